package wellspan.cli;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Writer;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.Consumer;
import wellspan.core.crs.Transformation;
import wellspan.exchange.file.NumberText;

/**
 * Brings lines of {@code x y [z]} through a transformation as a stream, without an object for each
 * number. What stands after the second number is carried over as it is.
 */
final class CoordinateLines {
  private static final double[] POWERS = {1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9};

  /** Of a million lines a sample is asked for its accuracy. */
  private static final int EVERY = 1000;

  private static final int FEW = 100;

  private final Transformation transformation;
  private final int decimals;
  private final NumberText numbers = new NumberText(true);
  private final double[] xy = new double[2];
  private final StringBuilder out = new StringBuilder(64);
  private final Set<String> doubts = new LinkedHashSet<>();
  private char[] chars = new char[256];

  CoordinateLines(Transformation transformation, int decimals) {
    this.transformation = transformation;
    this.decimals = decimals;
  }

  /**
   * What is to be said of the accuracy at the places that were transformed, looked at by samples.
   */
  Set<String> doubts() {
    return doubts;
  }

  /**
   * @param outside is told of lines that cannot be transformed; they become {@code * *}
   * @return whether every line was transformed
   * @throws IllegalArgumentException with the line's number, if a line is not x y [z]
   */
  boolean run(BufferedReader in, Writer to, Consumer<String> outside) throws IOException {
    boolean all = true;
    long number = 0;
    for (String line = in.readLine(); line != null; line = in.readLine()) {
      number++;
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      String rest = parse(line, number);
      out.setLength(0);
      try {
        if (number <= FEW || number % EVERY == 1) {
          doubts.addAll(transformation.accuracyAt(xy[0], xy[1]).sentences());
        }
        transformation.apply(xy, 0);
        fixed(xy[0]);
        out.append(' ');
        fixed(xy[1]);
        if (!rest.isEmpty()) {
          out.append(' ').append(rest);
        }
      } catch (Transformation.OutsideAreaException e) {
        outside.accept("line " + number + ": " + e.getMessage());
        out.setLength(0);
        out.append("* *");
        all = false;
      }
      to.append(out.append('\n'));
    }
    return all;
  }

  private String parse(String line, long number) {
    int n = line.length();
    if (n > chars.length) {
      chars = new char[2 * n];
    }
    line.getChars(0, n, chars, 0);
    for (int i = 0; i < n; i++) {
      if (chars[i] == ';') {
        chars[i] = ' ';
      }
    }
    numbers.over(chars, 0, n);
    try {
      xy[0] = numbers.nextDouble();
      xy[1] = numbers.nextDouble();
      String z = numbers.hasNext() ? numbers.nextToken() : "";
      if (!numbers.hasNext()) {
        return z;
      }
    } catch (NumberFormatException e) {
      // written in another way perhaps
    }
    WrittenPlace written =
        WrittenPlace.of(line)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "line "
                            + number
                            + ": \""
                            + line
                            + "\" is not x y [z]. Write numbers with a point or a comma, or angles without spaces in them, for instance 58°56'30\"N."));
    xy[0] = written.x();
    xy[1] = written.y();
    return written.rest();
  }

  private void fixed(double d) {
    long v = Math.round(d * POWERS[decimals]);
    if (v < 0) {
      out.append('-');
      v = -v;
    }
    long power = (long) POWERS[decimals];
    out.append(v / power).append('.');
    long part = v % power;
    for (long p = power / 10; p > part && p > 1; p /= 10) {
      out.append('0');
    }
    out.append(part);
  }
}
