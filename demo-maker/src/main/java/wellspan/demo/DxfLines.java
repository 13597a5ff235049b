package wellspan.demo;

import java.util.Locale;

/** Text of a plain drawing: groups one after the other. */
final class DxfLines {
  private final StringBuilder text = new StringBuilder();
  private final double unit;

  /**
   * @param unit of the drawing in metres
   */
  DxfLines(double unit) {
    this.unit = unit;
  }

  /** Appends groups given as code, value, code, value … */
  DxfLines group(Object... codesAndValues) {
    for (int i = 0; i < codesAndValues.length; i += 2) {
      text.append(
          String.format(Locale.ROOT, "%3s\n%s\n", codesAndValues[i], codesAndValues[i + 1]));
    }
    return this;
  }

  /** Appends a point given in metres. */
  DxfLines place(int code, double x, double y, double z) {
    return group(
        code, decimal(x / unit), code + 10, decimal(y / unit), code + 20, decimal(z / unit));
  }

  static String decimal(double v) {
    String s = String.format(Locale.ROOT, "%.6f", v).replaceAll("0+$", "");
    return s.endsWith(".") ? s + "0" : s;
  }

  @Override
  public String toString() {
    return text.toString();
  }
}
