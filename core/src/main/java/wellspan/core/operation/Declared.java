package wellspan.core.operation;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What an operation is called and what it is for. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
public @interface Declared {
  /** As it stands in the job file; never changed once a job may hold it. */
  String id();

  /** For lists and buttons. */
  String title();

  /** One sentence for people. */
  String about();

  /** Other words of the trade, by which it is found too. */
  String also() default "";

  /** Grows with the parameters; jobs of earlier versions open by what may be left out. */
  int version() default 1;

  /** The items that a step is for; nothing for recipes. */
  Takes[] accepts() default {};
}
