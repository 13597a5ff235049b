package wellspan.core.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;

/** In what two rulebooks differ, in sentences. */
public final class RulebookComparison {
  private RulebookComparison() {}

  /** Nothing if they decide the same; names and versions do not count. */
  public static List<String> of(Rulebook here, Rulebook there) {
    List<String> out = new ArrayList<>();
    named(out, "class rule", here.classes(), there.classes(), ClassRule::name);
    named(out, "property rule", here.properties(), there.properties(), PropertyRule::target);
    named(out, "lookup", here.lookups(), there.lookups(), Lookup::name);
    named(out, "classification", here.classification(), there.classification(), CodeSystem::system);
    named(out, "set left out", here.withoutSets(), there.withoutSets(), s -> s);
    if (out.isEmpty() && !here.classes().equals(there.classes())) {
      out.add("the class rules stand in another order, and the first that fits an item counts");
    }
    if (out.isEmpty() && !here.properties().equals(there.properties())) {
      out.add("the property rules stand in another order");
    }
    return out;
  }

  private static <T> void named(
      List<String> out, String what, List<T> here, List<T> there, Function<T, String> name) {
    List<T> other = new ArrayList<>(there);
    List<T> left = new ArrayList<>();
    for (T t : here) {
      if (!other.remove(t)) {
        left.add(t);
      }
    }
    for (T t : left) {
      List<T> like =
          other.stream()
              .filter(o -> Objects.equals(name.apply(o), name.apply(t)))
              .collect(Collectors.toList());
      if (like.isEmpty()) {
        out.add(what + " " + name.apply(t) + " is here only");
      } else {
        other.remove(like.getFirst());
        out.add(what + " " + name.apply(t) + " is another");
      }
    }
    other.forEach(o -> out.add(what + " " + name.apply(o) + " is there only"));
  }
}
