package wellspan.core.requirement;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Classified;
import wellspan.core.model.Model;
import wellspan.core.model.ModelObject;
import wellspan.core.model.ModelProperty;
import wellspan.core.model.ModelSet;
import wellspan.core.model.ModelValue;

/**
 * Whether objects of a model have a facet. What restrictions say to names is remembered, since many
 * objects share few names; so one thread uses it.
 *
 * <p>What the standard leaves open is taken so: all properties that a restriction of names finds
 * have to fit; bounds of a range are compared for equality; a group of any kind counts as a whole
 * only where that relation is named or none is.
 */
final class FacetCheck {
  private final Model model;
  private final IdentityHashMap<Constraint, Map<String, Boolean>> known = new IdentityHashMap<>();
  private final IdentityHashMap<Constraint, String> words = new IdentityHashMap<>();

  FacetCheck(Model model) {
    this.model = model;
  }

  /**
   * Whether an object has a facet.
   *
   * @param there whether anything of the kind is there at all
   * @param reason why it does not fit; empty where it does
   */
  record Answer(boolean there, String reason) {
    static final Answer FITS = new Answer(true, "");

    boolean fits() {
      return reason.isEmpty();
    }

    static Answer missing(String what) {
      return new Answer(false, what);
    }

    static Answer wrong(String what) {
      return new Answer(true, what);
    }
  }

  /** Whether a name fits. */
  boolean fits(Constraint c, String name) {
    return c instanceof Constraint.Simple simple
        ? simple.text().equals(name)
        : known.computeIfAbsent(c, k -> new HashMap<>()).computeIfAbsent(name, c::fits);
  }

  private String words(Constraint c) {
    return words.computeIfAbsent(c, Constraint::words);
  }

  Answer has(ModelObject o, Facet f) {
    return switch (f) {
      case Facet.Entity e -> entity(o, e);
      case Facet.Attribute a -> attribute(o, a);
      case Facet.Property p -> property(o, p);
      case Facet.Classification c -> classification(o, c);
      case Facet.Material m -> material(o, m);
      case Facet.PartOf p -> partOf(o, p);
    };
  }

  private Answer entity(ModelObject o, Facet.Entity e) {
    if (!fits(e.name(), o.entity().toUpperCase(Locale.ROOT))) {
      return Answer.wrong("the class is " + o.entity() + ", asked for is " + words(e.name()));
    }
    if (e.predefinedType().isEmpty()) {
      return Answer.FITS;
    }
    Constraint wanted = e.predefinedType().get();
    if (!o.predefinedType().isEmpty()
        && (wanted.fits(o.predefinedType()) || o.userDefined() && wanted.fits("USERDEFINED"))) {
      return Answer.FITS;
    }
    return Answer.wrong(
        o.predefinedType().isEmpty()
            ? "there is no predefined type, asked for is " + words(wanted)
            : "the predefined type is " + o.predefinedType() + ", asked for is " + words(wanted));
  }

  private Answer attribute(ModelObject o, Facet.Attribute a) {
    List<Map.Entry<String, ModelValue>> found =
        o.attributes().entrySet().stream()
            .filter(e -> e.getValue().isGiven() && fits(a.name(), e.getKey()))
            .toList();
    if (found.isEmpty()) {
      return Answer.missing("the attribute " + words(a.name()) + " has no value");
    }
    if (a.value().isPresent()) {
      for (Map.Entry<String, ModelValue> e : found) {
        if (!a.value().get().fits(e.getValue())) {
          return Answer.wrong(
              "the attribute "
                  + e.getKey()
                  + " is "
                  + e.getValue().show()
                  + ", asked for is "
                  + words(a.value().get()));
        }
      }
    }
    return Answer.FITS;
  }

  private Answer property(ModelObject o, Facet.Property p) {
    boolean anySet = false;
    boolean there = false;
    String missing = "";
    for (ModelSet s : o.sets()) {
      if (!fits(p.set(), s.name())) {
        continue;
      }
      anySet = true;
      String named = "";
      boolean given = false;
      for (ModelProperty q : s.properties().values()) {
        if (!fits(p.baseName(), q.name())) {
          continue;
        }
        named = named.isEmpty() ? q.name() : named;
        if (q.isGiven()) {
          given = true;
          Optional<String> why = value(s, q, p);
          if (why.isPresent()) {
            return Answer.wrong(why.get());
          }
        }
      }
      there |= given;
      if (!given) {
        missing =
            s.name()
                + (named.isEmpty()
                    ? " has no property " + words(p.baseName())
                    : "." + named + " has no value");
      }
    }
    if (!anySet) {
      return Answer.missing("there is no set " + words(p.set()));
    }
    return missing.isEmpty()
        ? Answer.FITS
        : there ? Answer.wrong(missing) : Answer.missing(missing);
  }

  private Optional<String> value(ModelSet s, ModelProperty q, Facet.Property p) {
    String name = s.name() + "." + q.name();
    if (q.kind() == ModelProperty.Kind.OTHER) {
      return Optional.of(name + " is made of others or a reference, which is not compared");
    }
    List<ModelValue> given = q.given();
    if (!p.dataType().isEmpty()
        && given.stream().noneMatch(v -> v.type().toUpperCase(Locale.ROOT).equals(p.dataType()))) {
      return Optional.of(
          name + " is of the type " + given.getFirst().type() + ", asked for is " + p.dataType());
    }
    if (p.value().isPresent() && given.stream().noneMatch(p.value().get()::fits)) {
      return Optional.of(
          name
              + " is "
              + String.join(", ", given.stream().map(ModelValue::show).toList())
              + ", asked for is "
              + words(p.value().get()));
    }
    return Optional.empty();
  }

  private Answer classification(ModelObject o, Facet.Classification c) {
    List<Classified> ofSystem =
        o.classification().stream()
            .filter(r -> c.system().map(s -> s.fits(r.system())).orElse(true))
            .toList();
    if (ofSystem.isEmpty()) {
      return Answer.missing("there is no classification" + asked(c));
    }
    if (c.value().isEmpty()
        || ofSystem.stream()
            .anyMatch(
                r ->
                    c.value().get().fits(r.code())
                        || r.parents().stream().anyMatch(c.value().get()::fits))) {
      return Answer.FITS;
    }
    return Answer.wrong(
        "the classification is "
            + String.join(", ", ofSystem.stream().map(Classified::code).toList())
            + ", asked for is one"
            + asked(c));
  }

  private String asked(Facet.Classification c) {
    return c.system().map(s -> " of the system " + words(s)).orElse("")
        + c.value().map(v -> " with the code " + words(v)).orElse("");
  }

  private Answer material(ModelObject o, Facet.Material m) {
    if (o.materials().isEmpty()) {
      return Answer.missing("there is no material");
    }
    if (m.value().isEmpty()
        || o.materials().stream()
            .flatMap(x -> x.words().stream())
            .anyMatch(m.value().get()::fits)) {
      return Answer.FITS;
    }
    return Answer.wrong(
        "the material is "
            + String.join(
                ", ", o.materials().stream().flatMap(x -> x.words().stream()).distinct().toList())
            + ", asked for is "
            + words(m.value().get()));
  }

  /** Chains of the named relation, or of any; what contains an object, and that one's wholes. */
  private Answer partOf(ModelObject o, Facet.PartOf p) {
    Set<String> relations =
        p.relation().isEmpty() ? Set.of() : Set.of(p.relation().strip().split("\\s+"));
    Set<Integer> seen = new HashSet<>();
    Deque<ModelObject> open = new ArrayDeque<>();
    List<String> wholes = new ArrayList<>();
    seen.add(o.number());
    open.add(o);
    while (!open.isEmpty()) {
      ModelObject at = open.poll();
      for (ModelObject.PartOf r : at.parts()) {
        if (!relations.isEmpty() && !relations.contains(r.relation()) || !seen.add(r.whole())) {
          continue;
        }
        Optional<ModelObject> whole = model.find(r.whole());
        if (whole.isEmpty()) {
          continue;
        }
        wholes.add(whole.get().entity());
        if (entity(whole.get(), p.whole()).fits()) {
          return Answer.FITS;
        }
        open.add(whole.get());
      }
    }
    String by = relations.isEmpty() ? "" : " by " + p.relation();
    return wholes.isEmpty()
        ? Answer.missing("it is part of nothing" + by)
        : Answer.wrong(
            "it is part of "
                + String.join(", ", wholes)
                + by
                + ", asked for is "
                + words(p.whole().name())
                + p.whole().predefinedType().map(t -> " " + words(t)).orElse(""));
  }
}
