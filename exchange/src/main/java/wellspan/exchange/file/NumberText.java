package wellspan.exchange.file;

import java.util.regex.Pattern;

/**
 * Takes numbers one after the other out of a run of characters, without making objects. Decimal
 * numbers whose digits make a whole number below 2^53 are exact by one correctly rounded division;
 * all others go through {@link Double#parseDouble}.
 */
public final class NumberText {
  private static final double[] POWERS = {
    1e0, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15, 1e16,
    1e17, 1e18, 1e19, 1e20, 1e21, 1e22
  };

  /** The circumference of the earth in tenths of a millimetre is half of it. */
  private static final double ON_EARTH = 1e12;

  /** What may reach the slow way: no hexadecimal numbers, no suffixes, no words. */
  private static final Pattern DECIMAL =
      Pattern.compile("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eEdD][-+]?\\d+)?");

  /** What separates beside white space; a blank where nothing else does. */
  private final char comma;

  private char[] text = {};
  private int begin;
  private int at;
  private int end;

  /**
   * @param commas whether commas stand between numbers too; otherwise a number with one is none
   */
  public NumberText(boolean commas) {
    comma = commas ? ',' : ' ';
  }

  /** Starts over on characters that must not change while they are read. */
  public void over(char[] chars, int from, int length) {
    text = chars;
    begin = from;
    at = from;
    end = from + length;
  }

  /** Skips white space and separators; true if there is another token. */
  public boolean hasNext() {
    while (at < end && (text[at] <= ' ' || text[at] == comma)) {
      at++;
    }
    return at < end;
  }

  /**
   * A number of a design, which no coordinate, length or station on earth exceeds in any unit.
   *
   * @throws NumberFormatException with the token, if it is no such number
   */
  public double nextOnEarth() {
    double v = nextDouble();
    if (!isOnEarth(v)) {
      throw new NumberFormatException(Double.toString(v));
    }
    return v;
  }

  /** Whether a number could be one of a design. */
  public static boolean isOnEarth(double v) {
    return Math.abs(v) <= ON_EARTH;
  }

  /**
   * @throws NumberFormatException with the token, if it is no finite number
   */
  public double nextDouble() {
    if (!hasNext()) {
      throw new NumberFormatException("");
    }
    // the loop works on locals: fields would be loaded and stored for every character
    char[] t = text;
    int p = at;
    boolean negative = t[p] == '-';
    if (negative || t[p] == '+') {
      p++;
    }
    int first = p;
    int point = -1;
    long mantissa = 0;
    for (; p < end; p++) {
      int digit = t[p] - '0';
      if (digit >= 0 && digit <= 9) {
        mantissa = 10 * mantissa + digit;
      } else if (t[p] == '.' && point < 0) {
        point = p;
      } else {
        break;
      }
    }
    int digits = p - first - (point < 0 ? 0 : 1);
    boolean whole = p >= end || t[p] <= ' ' || t[p] == comma;
    // up to 18 digits the mantissa cannot overflow; below 2^53 it is exact as a double
    if (whole && digits > 0 && digits <= 18 && mantissa < 1L << 53) {
      at = p;
      double v = point < 0 ? mantissa : mantissa / POWERS[p - point - 1];
      return negative ? -v : v;
    }
    return slowDouble();
  }

  private double slowDouble() {
    String token = nextToken();
    if (!DECIMAL.matcher(token).matches()) {
      throw new NumberFormatException(token);
    }
    double v = Double.parseDouble(token.replace('D', 'E').replace('d', 'e'));
    if (!Double.isFinite(v)) {
      throw new NumberFormatException(token);
    }
    return v;
  }

  /**
   * The next token as a whole number; −1 and nothing consumed if it is no plain number of at most
   * nine digits without leading zeros.
   */
  public int nextWhole() {
    if (!hasNext()) {
      return -1;
    }
    char[] t = text;
    int first = at;
    int last = Math.min(end, first + 9);
    int p = first;
    int v = 0;
    while (p < last && t[p] >= '0' && t[p] <= '9') {
      v = 10 * v + (t[p++] - '0');
    }
    boolean leadingZero = p - first > 1 && t[first] == '0';
    if (p == first || leadingZero || p < end && t[p] > ' ' && t[p] != comma) {
      return -1;
    }
    at = p;
    return v;
  }

  /** The whole run of characters, also what was taken already. */
  public String all() {
    return new String(text, begin, end - begin);
  }

  /** The next token as text. */
  public String nextToken() {
    hasNext();
    int first = at;
    while (at < end && text[at] > ' ' && text[at] != comma) {
      at++;
    }
    return new String(text, first, at - first);
  }
}
