package wellspan.exchange.file;

import java.util.regex.Pattern;

/**
 * Takes numbers one after the other out of a run of characters, without making objects. Decimal
 * numbers of up to 15 digits with small exponents are exact by one correctly rounded division or
 * product; all others go through {@link Double#parseDouble}.
 */
public final class NumberText {
  private static final double[] POWERS = {
    1e0, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15, 1e16,
    1e17, 1e18, 1e19, 1e20, 1e21, 1e22
  };

  /** What may reach the slow way: no hexadecimal numbers, no suffixes, no words. */
  private static final Pattern DECIMAL =
      Pattern.compile("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eEdD][-+]?\\d+)?");

  private char[] text = {};
  private int at;
  private int end;

  /** Starts over on characters that must not change while they are read. */
  public void over(char[] chars, int from, int length) {
    text = chars;
    at = from;
    end = from + length;
  }

  /** Skips white space and commas; true if there is another token. */
  public boolean hasNext() {
    while (at < end && (text[at] <= ' ' || text[at] == ',')) {
      at++;
    }
    return at < end;
  }

  /**
   * @throws NumberFormatException with the token, if it is no finite number
   */
  public double nextDouble() {
    if (!hasNext()) {
      throw new NumberFormatException("");
    }
    int begin = at;
    boolean negative = text[at] == '-';
    if (negative || text[at] == '+') {
      at++;
    }
    long mantissa = 0;
    int digits = 0;
    int scale = 0;
    boolean point = false;
    boolean seen = false;
    for (; at < end; at++) {
      char c = text[at];
      if (c >= '0' && c <= '9') {
        seen = true;
        if (digits > 0 || c != '0') {
          digits++;
        }
        if (digits <= 18) {
          mantissa = 10 * mantissa + (c - '0');
        }
        if (point) {
          scale++;
        }
      } else if (c == '.' && !point) {
        point = true;
      } else {
        break;
      }
    }
    boolean simple = at >= end || text[at] <= ' ' || text[at] == ',';
    if (simple && seen && digits <= 15 && scale <= 22) {
      double v = mantissa / POWERS[scale];
      return negative ? -v : v;
    }
    while (at < end && text[at] > ' ' && text[at] != ',') {
      at++;
    }
    String token = new String(text, begin, at - begin);
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
    int p = at;
    int v = 0;
    while (p < end && text[p] >= '0' && text[p] <= '9' && p - at < 9) {
      v = 10 * v + (text[p++] - '0');
    }
    boolean leadingZero = p - at > 1 && text[at] == '0';
    if (p == at || leadingZero || p < end && text[p] > ' ' && text[p] != ',') {
      return -1;
    }
    at = p;
    return v;
  }

  /** The next token as text. */
  public String nextToken() {
    hasNext();
    int begin = at;
    while (at < end && text[at] > ' ' && text[at] != ',') {
      at++;
    }
    return new String(text, begin, at - begin);
  }
}
