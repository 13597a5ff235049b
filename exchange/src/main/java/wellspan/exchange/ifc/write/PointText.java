package wellspan.exchange.ifc.write;

import java.nio.charset.StandardCharsets;

/** Points as pairs or triples of reals, rounded to decimals and without trailing zeros. */
record PointText(StepValue.Points points) implements RowText {
  private static final double[] SCALE = {1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9};

  @Override
  public int append(int row, byte[] to, int at) {
    double[] numbers = new double[3];
    points.source().row(row, numbers);
    int p = at;
    to[p++] = '(';
    p = fixed(numbers[0], to, p);
    to[p++] = ',';
    p = fixed(numbers[1], to, p);
    if (points.columns() == 3) {
      to[p++] = ',';
      p = fixed(numbers[2], to, p);
    }
    to[p++] = ')';
    return p;
  }

  private int fixed(double d, byte[] to, int at) {
    double scaled = d * SCALE[points.decimals()];
    if (!(Math.abs(scaled) < 9e15)) {
      if (!Double.isFinite(d)) {
        throw new SchemaViolation("A coordinate is not a finite number.");
      }
      byte[] b = StepPrinter.real(d).getBytes(StandardCharsets.US_ASCII);
      System.arraycopy(b, 0, to, at, b.length);
      return at + b.length;
    }
    int p = at;
    long v = Math.round(scaled);
    if (v < 0) {
      to[p++] = '-';
      v = -v;
    }
    return Digits.decimal(v, points.decimals(), to, p);
  }
}
