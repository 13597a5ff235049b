package wellspan.core.operation;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A parameter of an operation. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Parameter {
  String label();

  /** Unit of a number, and what a special value stands for. */
  String unit() default "";

  /**
   * The value, as JSON, where a job or a call leaves it out; empty if it must be given. A parameter
   * that an operation gains later must have one, so that jobs saved before open.
   */
  String usual() default "";

  /** What a form begins with; empty for the usual value. */
  String start() default "";

  /** Least value of a number. */
  double least() default Double.NEGATIVE_INFINITY;

  /** Greatest value of a number. */
  double most() default Double.POSITIVE_INFINITY;

  /** The items that a named item may be, or for which the parameter means something. */
  Takes[] takes() default {};
}
