package wellspan.core.proof;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import wellspan.core.attribute.MaterialSet;

/** Compares sets of materials, part by part in their order. */
final class Materials {
  private static final double SAME = 1e-9;

  private Materials() {}

  static boolean same(Optional<MaterialSet> a, Optional<MaterialSet> b) {
    if (a.isEmpty() || b.isEmpty()) {
      return a.isEmpty() && b.isEmpty();
    }
    List<MaterialSet.Part> x = a.get().parts();
    List<MaterialSet.Part> y = b.get().parts();
    boolean same =
        a.get().form() == b.get().form()
            && a.get().name().equals(b.get().name())
            && x.size() == y.size();
    for (int i = 0; same && i < x.size(); i++) {
      same = same(x.get(i), y.get(i));
    }
    return same;
  }

  private static boolean same(MaterialSet.Part a, MaterialSet.Part b) {
    return a.name().equals(b.name())
        && a.material().equals(b.material())
        && a.category().equals(b.category())
        && a.ventilated() == b.ventilated()
        && same(a.measure(), b.measure());
  }

  private static boolean same(OptionalDouble a, OptionalDouble b) {
    return a.isPresent() == b.isPresent()
        && (a.isEmpty()
            || Math.abs(a.getAsDouble() - b.getAsDouble())
                <= SAME * Math.max(1, Math.abs(a.getAsDouble())));
  }

  /** For people. */
  static String words(Optional<MaterialSet> set) {
    return set.map(
            s ->
                "as "
                    + s.form().name().toLowerCase(Locale.ROOT)
                    + (s.name().isEmpty() ? "" : " " + s.name())
                    + " of "
                    + s.parts().stream().map(Materials::words).collect(Collectors.joining(", ")))
        .orElse("without a set of materials");
  }

  private static String words(MaterialSet.Part p) {
    return (p.name().isEmpty() ? "" : p.name() + ": ")
        + p.material()
        + (p.measure().isPresent() ? " " + p.measure().getAsDouble() : "")
        + (p.category().isEmpty() ? "" : " (" + p.category() + ")")
        + (p.ventilated() ? " ventilated" : "");
  }
}
