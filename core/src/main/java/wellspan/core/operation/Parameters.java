package wellspan.core.operation;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;

/** The parameters of operations as they are declared. */
public final class Parameters {
  private Parameters() {}

  /**
   * One of them.
   *
   * @param name as it stands in the job file
   * @param type of the value
   * @param declared label, unit, usual value and range
   */
  public record Of(String name, Type type, Parameter declared) {
    /** Label with its unit, for lists. */
    public String words() {
      return declared.label() + (declared.unit().isEmpty() ? "" : " (" + declared.unit() + ")");
    }

    /** Whether it may be left out. */
    public boolean optional() {
      return !declared.usual().isEmpty();
    }
  }

  public static List<Of> of(Class<? extends Operation> operation) {
    return Arrays.stream(operation.getRecordComponents())
        .map(c -> new Of(c.getName(), c.getGenericType(), c.getAnnotation(Parameter.class)))
        .toList();
  }

  /**
   * An operation with these values.
   *
   * @param values in the order of the parameters
   * @throws IllegalArgumentException with a sentence, if one of them cannot be
   */
  public static <T extends Operation> T make(Class<T> operation, List<?> values) {
    Class<?>[] types =
        Arrays.stream(operation.getRecordComponents())
            .map(RecordComponent::getType)
            .toArray(Class<?>[]::new);
    try {
      T made = operation.getConstructor(types).newInstance(values.toArray());
      check(made);
      return made;
    } catch (InvocationTargetException e) {
      throw new IllegalArgumentException(e.getCause().getMessage(), e);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException("Operations are public records.", e);
    }
  }

  /**
   * Checks numbers against their ranges.
   *
   * @throws IllegalArgumentException with a sentence
   */
  public static void check(Operation operation) {
    for (RecordComponent c : operation.getClass().getRecordComponents()) {
      Parameter p = c.getAnnotation(Parameter.class);
      if (value(c, operation) instanceof Number n) {
        double v = n.doubleValue();
        if (!Double.isFinite(v) || v < p.least() || v > p.most()) {
          throw new IllegalArgumentException(
              "\u201c" + p.label() + "\u201d is " + n + ", and must be " + range(p) + ".");
        }
      }
    }
  }

  /** Whether a number has a least or greatest value. */
  public static boolean isLimited(Parameter p) {
    return p.least() > Double.NEGATIVE_INFINITY || p.most() < Double.POSITIVE_INFINITY;
  }

  /** What a number may be, in words. */
  public static String range(Parameter p) {
    boolean least = p.least() > Double.NEGATIVE_INFINITY;
    boolean most = p.most() < Double.POSITIVE_INFINITY;
    if (least && most) {
      return plain(p.least()) + " to " + plain(p.most());
    }
    return least ? plain(p.least()) + " or more" : most ? plain(p.most()) + " or less" : "a number";
  }

  private static String plain(double v) {
    return BigDecimal.valueOf(v).stripTrailingZeros().toPlainString();
  }

  /** The value that an operation has for a parameter. */
  public static Object value(Operation of, Of parameter) {
    return Arrays.stream(of.getClass().getRecordComponents())
        .filter(c -> c.getName().equals(parameter.name()))
        .map(c -> value(c, of))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException(parameter.name()));
  }

  static Object value(RecordComponent c, Operation of) {
    try {
      return c.getAccessor().invoke(of);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException("Operations are public records.", e);
    }
  }
}
