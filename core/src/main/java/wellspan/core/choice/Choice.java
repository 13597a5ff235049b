package wellspan.core.choice;

import java.lang.reflect.Type;
import java.util.List;
import java.util.stream.Stream;

/** One of several that a parameter may be: an enumeration with words for people and files. */
public interface Choice {
  /** As it stands in files, forms and messages. */
  String word();

  /** All that a parameter of a type may be, in its order; empty where the type is no choice. */
  static List<String> words(Type type) {
    return type instanceof Class<?> c && c.isEnum() && Choice.class.isAssignableFrom(c)
        ? Stream.of(c.getEnumConstants()).map(o -> ((Choice) o).word()).toList()
        : List.of();
  }
}
