package wellspan.exchange.ifc.read;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/** Parses the parameter list of one record out of the file's bytes. */
final class StepParser {
  private static final double[] POWERS = {
    1e0, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15, 1e16,
    1e17, 1e18, 1e19, 1e20, 1e21, 1e22
  };

  private static final int FEW = 2;

  private final byte[] b;
  private int at;
  private boolean anyReal;
  private boolean anyWhole;

  StepParser(byte[] bytes, int offset) {
    b = bytes;
    at = offset;
  }

  /**
   * The values between the parenthesis at the current place and its partner.
   *
   * @param usual how many there usually are
   */
  List<Value> parameters(int usual) {
    expect('(');
    if (peek() == ')') {
      at++;
      return List.of();
    }
    Value[] out = new Value[usual];
    int n = 0;
    while (true) {
      if (n == out.length) {
        out = Arrays.copyOf(out, 2 * n + 2);
      }
      out[n++] = value();
      int c = peek();
      at++;
      if (c == ')') {
        return Arrays.asList(n == out.length ? out : Arrays.copyOf(out, n));
      }
      if (c != ',') {
        throw new StepSyntaxException(at - 1, "a comma or a closing parenthesis is missing");
      }
    }
  }

  private void expect(char c) {
    if (peek() != c) {
      throw new StepSyntaxException(at, "'" + c + "' is missing");
    }
    at++;
  }

  /** Skips blanks and comments; the next byte, without taking it. */
  private int peek() {
    while (true) {
      if (at >= b.length) {
        throw new StepSyntaxException(b.length - 1, "the file ends inside a record");
      }
      int c = b[at];
      if (c == '/' && at + 1 < b.length && b[at + 1] == '*') {
        at += 2;
        while (at + 1 < b.length && !(b[at] == '*' && b[at + 1] == '/')) {
          at++;
        }
        at += 2;
      } else if (c <= ' ' && c >= 0) {
        at++;
      } else {
        return c;
      }
    }
  }

  private Value value() {
    int c = peek();
    switch (c) {
      case '$' -> {
        at++;
        return Value.UNSET;
      }
      case '*' -> {
        at++;
        return Value.DERIVED;
      }
      case '#' -> {
        at++;
        return new Value.Ref(natural());
      }
      case '\'' -> {
        return new Value.Text(string());
      }
      case '.' -> {
        int from = ++at;
        while (at < b.length && b[at] != '.') {
          at++;
        }
        return new Value.Literal(new String(b, from, at++ - from, StandardCharsets.ISO_8859_1));
      }
      case '"' -> {
        int from = ++at;
        while (at < b.length && b[at] != '"') {
          at++;
        }
        return new Value.Text(new String(b, from, at++ - from, StandardCharsets.ISO_8859_1));
      }
      case '(' -> {
        return list();
      }
      default -> {
        if (c == '-' || c == '+' || c >= '0' && c <= '9') {
          return number();
        }
        return typed();
      }
    }
  }

  private Value typed() {
    int from = at;
    while (at < b.length && (Character.isLetterOrDigit(b[at]) || b[at] == '_')) {
      at++;
    }
    if (at == from) {
      throw new StepSyntaxException(at, "unexpected character '" + (char) (b[at] & 0xFF) + "'");
    }
    String type = new String(b, from, at - from, StandardCharsets.ISO_8859_1);
    List<Value> inner = parameters(1);
    if (inner.size() != 1) {
      throw new StepSyntaxException(
          from, type + " holds " + inner.size() + " values where one is needed");
    }
    return new Value.Typed(type, inner.getFirst());
  }

  private Value list() {
    int start = at;
    at++;
    int c = peek();
    if (c == '(') {
      Value table = table();
      if (table != null) {
        return table;
      }
    } else if (c == '-' || c == '+' || c >= '0' && c <= '9') {
      Value numbers = numbers();
      if (numbers != null) {
        return numbers;
      }
    }
    at = start;
    return new Value.Many(parameters(FEW));
  }

  /** A list of numbers only, or null if it is something else. */
  private Value numbers() {
    int start = at;
    double[] out = new double[8];
    int n = 0;
    anyReal = false;
    anyWhole = false;
    while (true) {
      if (n == out.length) {
        out = Arrays.copyOf(out, 2 * n);
      }
      int c = peek();
      if (!(c == '-' || c == '+' || c >= '0' && c <= '9')) {
        at = start - 1; // something else stands among the numbers
        return null;
      }
      out[n++] = real();
      if (peek() == ')') {
        at++;
        return new Value.Numbers(Arrays.copyOf(out, n), Value.Tokens.of(anyReal, anyWhole));
      }
      expect(',');
    }
  }

  /** Rows of equally many numbers, or null if it is something else. */
  private Value table() {
    double[] out = new double[48];
    int n = 0;
    int columns = -1;
    anyReal = false;
    anyWhole = false;
    while (true) {
      expect('(');
      int begin = n;
      while (true) {
        int c = peek();
        if (!(c == '-' || c == '+' || c >= '0' && c <= '9')) {
          return null;
        }
        if (n == out.length) {
          out = Arrays.copyOf(out, 2 * n);
        }
        out[n++] = real();
        if (peek() == ')') {
          at++;
          break;
        }
        expect(',');
      }
      if (columns < 0) {
        columns = n - begin;
      } else if (columns != n - begin) {
        return null;
      }
      int c = peek();
      at++;
      if (c == ')') {
        return new Value.Table(Arrays.copyOf(out, n), columns, Value.Tokens.of(anyReal, anyWhole));
      }
      if (c != ',') {
        throw new StepSyntaxException(at - 1, "a comma or a closing parenthesis is missing");
      }
      if (peek() != '(') {
        return null;
      }
    }
  }

  private Value number() {
    int from = at;
    double d = real();
    boolean whole = true;
    for (int i = from; i < at; i++) {
      whole &= b[i] != '.' && b[i] != 'E' && b[i] != 'e';
    }
    return new Value.Num(d, whole);
  }

  private double real() {
    int from = at;
    boolean negative = b[at] == '-';
    if (negative || b[at] == '+') {
      at++;
    }
    long mantissa = 0;
    int digits = 0;
    int scale = 0;
    boolean point = false;
    while (at < b.length) {
      int c = b[at];
      if (c >= '0' && c <= '9') {
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
      at++;
    }
    boolean exponent = at < b.length && (b[at] == 'E' || b[at] == 'e');
    anyReal |= point || exponent;
    anyWhole |= !point && !exponent;
    if (!exponent && digits <= 15 && scale <= 22) {
      double v = mantissa / POWERS[scale];
      return negative ? -v : v;
    }
    while (at < b.length
        && (b[at] == 'E'
            || b[at] == 'e'
            || b[at] == '-'
            || b[at] == '+'
            || b[at] >= '0' && b[at] <= '9')) {
      at++;
    }
    try {
      return Double.parseDouble(new String(b, from, at - from, StandardCharsets.ISO_8859_1));
    } catch (NumberFormatException e) {
      throw new StepSyntaxException(from, "a number cannot be read");
    }
  }

  private int natural() {
    long v = 0;
    int from = at;
    while (at < b.length && b[at] >= '0' && b[at] <= '9' && v < 1L << 31) {
      v = 10 * v + (b[at++] - '0');
    }
    if (at == from || v > Integer.MAX_VALUE) {
      throw new StepSyntaxException(from, "the number of an instance is missing or too large");
    }
    return (int) v;
  }

  private String string() {
    int from = ++at;
    boolean simple = true;
    while (true) {
      if (at >= b.length) {
        throw new StepSyntaxException(from, "a text does not end");
      }
      if (b[at] == '\'') {
        if (at + 1 < b.length && b[at + 1] == '\'') {
          simple = false;
          at += 2;
          continue;
        }
        break;
      }
      simple &= b[at] != '\\';
      at++;
    }
    String raw = StepString.of(b, from, at++);
    return simple ? raw : StepString.decode(raw);
  }
}
