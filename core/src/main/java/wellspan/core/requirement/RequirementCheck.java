package wellspan.core.requirement;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import wellspan.core.model.Model;
import wellspan.core.model.ModelObject;
import wellspan.core.progress.Progress;

/**
 * Checks a model against requirements, on all cores. Cost: specifications times objects of the
 * classes named.
 */
public final class RequirementCheck {
  /** Objects are judged in so many lots at most, each with what it remembers of its own. */
  private static final int LOTS = 16;

  /** Fewer objects are not worth another lot. */
  private static final int LEAST = 500;

  private final Model model;
  private final List<FacetCheck> facets = new ArrayList<>();
  private final Map<String, List<ModelObject>> byClass = new HashMap<>();

  private RequirementCheck(Model model) {
    this.model = model;
    for (int i = 0; i < LOTS; i++) {
      facets.add(new FacetCheck(model));
    }
    for (ModelObject o : model.objects()) {
      byClass.computeIfAbsent(o.entity().toUpperCase(Locale.ROOT), k -> new ArrayList<>()).add(o);
    }
  }

  public static RequirementReport run(Requirements r, Model model, Progress progress) {
    RequirementCheck check = new RequirementCheck(model);
    List<RequirementReport.Result> out = new ArrayList<>();
    int done = 0;
    for (Specification s : r.specifications()) {
      progress.advance((double) done++ / r.specifications().size(), "Checking " + s.name());
      out.add(check.specification(s));
    }
    return new RequirementReport(r.title(), out);
  }

  private RequirementReport.Result specification(Specification s) {
    if (!s.isFor(model.schema())) {
      return new RequirementReport.Result(s, true, true, 0, List.of(), "");
    }
    List<ModelObject> objects = candidates(s);
    int lots = Math.clamp(objects.size() / LEAST, 1, LOTS);
    List<Judged> judged =
        IntStream.range(0, lots)
            .parallel()
            .mapToObj(
                i ->
                    judge(
                        s,
                        objects.subList(
                            (int) ((long) objects.size() * i / lots),
                            (int) ((long) objects.size() * (i + 1) / lots)),
                        facets.get(i)))
            .toList();
    int applicable = judged.stream().mapToInt(Judged::applicable).sum();
    List<RequirementReport.Failure> failures =
        judged.stream().flatMap(j -> j.failures().stream()).toList();
    boolean none = applicable == 0 && s.occurs() == Specification.Occurs.REQUIRED;
    return new RequirementReport.Result(
        s,
        false,
        failures.isEmpty() && !none,
        applicable,
        failures,
        none ? "Nothing in the model is what the specification is about." : "");
  }

  /** What was found of some objects, in their order. */
  private record Judged(int applicable, List<RequirementReport.Failure> failures) {}

  private static Judged judge(Specification s, List<ModelObject> objects, FacetCheck facets) {
    List<RequirementReport.Failure> failures = new ArrayList<>();
    int applicable = 0;
    for (ModelObject o : objects) {
      if (!hasAll(o, s.applicability(), facets)) {
        continue;
      }
      applicable++;
      String why =
          s.occurs() == Specification.Occurs.PROHIBITED
              ? "it is there, and must not be"
              : reason(o, s.requirements(), facets);
      if (!why.isEmpty()) {
        failures.add(new RequirementReport.Failure(o, why));
      }
    }
    return new Judged(applicable, failures);
  }

  private static boolean hasAll(ModelObject o, List<Facet> all, FacetCheck facets) {
    for (Facet f : all) {
      if (!facets.has(o, f).fits()) {
        return false;
      }
    }
    return true;
  }

  /** Objects of the classes that an entity facet names, all where there is none. */
  private List<ModelObject> candidates(Specification s) {
    for (Facet f : s.applicability()) {
      if (f instanceof Facet.Entity e) {
        List<ModelObject> out = new ArrayList<>();
        byClass.forEach(
            (name, objects) -> {
              if (facets.getFirst().fits(e.name(), name)) {
                out.addAll(objects);
              }
            });
        out.sort(java.util.Comparator.comparingInt(ModelObject::number));
        return out;
      }
    }
    return model.objects();
  }

  private static String reason(ModelObject o, List<Requirement> requirements, FacetCheck facets) {
    List<String> out = new ArrayList<>(0);
    for (Requirement r : requirements) {
      FacetCheck.Answer a = facets.has(o, r.facet());
      switch (r.cardinality()) {
        case REQUIRED -> {
          if (!a.fits()) {
            out.add(a.reason());
          }
        }
        case OPTIONAL -> {
          if (a.there() && !a.fits()) {
            out.add(a.reason());
          }
        }
        case PROHIBITED -> {
          if (a.fits()) {
            out.add("it has what it must not have: " + words(r.facet()));
          }
        }
      }
    }
    return String.join("; ", out);
  }

  private static String words(Facet f) {
    return switch (f) {
      case Facet.Entity e -> "the class " + e.name().words();
      case Facet.Attribute a ->
          "the attribute " + a.name().words() + a.value().map(v -> " " + v.words()).orElse("");
      case Facet.Property p ->
          "the property "
              + p.set().words()
              + "."
              + p.baseName().words()
              + p.value().map(v -> " " + v.words()).orElse("");
      case Facet.Classification c ->
          "a classification" + c.value().map(v -> " " + v.words()).orElse("");
      case Facet.Material m -> "a material" + m.value().map(v -> " " + v.words()).orElse("");
      case Facet.PartOf p -> "a whole of the class " + p.whole().name().words();
    };
  }
}
