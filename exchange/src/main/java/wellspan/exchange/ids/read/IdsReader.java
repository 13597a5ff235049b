package wellspan.exchange.ids.read;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wellspan.core.requirement.Constraint;
import wellspan.core.requirement.Facet;
import wellspan.core.requirement.Requirement;
import wellspan.core.requirement.Requirement.Cardinality;
import wellspan.core.requirement.Requirements;
import wellspan.core.requirement.Specification;
import wellspan.core.requirement.Specification.Occurs;
import wellspan.exchange.file.ReadException;

/**
 * Reads a file of buildingSMART's IDS 1.0. A file that breaks its schema is refused as a whole: a
 * check by half of its requirements would be none.
 */
public final class IdsReader {
  private static final Set<String> VERSIONS = Set.of("IFC2X3", "IFC4", "IFC4X3_ADD2");
  private static final Set<String> RELATIONS =
      Set.of(
          "IFCRELAGGREGATES",
          "IFCRELNESTS",
          "IFCRELCONTAINEDINSPATIALSTRUCTURE",
          "IFCRELASSIGNSTOGROUP",
          "IFCRELVOIDSELEMENT IFCRELFILLSELEMENT");

  /** The order of elements that the schema fixes. */
  private static final List<String> INFO =
      List.of(
          "title", "copyright", "version", "description", "author", "date", "purpose", "milestone");

  private final IdsElement root;

  private IdsReader(IdsElement root) {
    this.root = root;
  }

  /**
   * @throws ReadException with line and a sentence, if the file is broken or breaks the schema
   */
  public static Requirements read(Path file) throws IOException {
    return new IdsReader(IdsElement.read(file)).requirements();
  }

  private Requirements requirements() throws ReadException {
    if (!root.is("ids")) {
      throw root.wrong("the root is <" + root.name() + "> and not <ids>");
    }
    root.expect(Set.of("info", "specifications"));
    IdsElement info = root.need("info");
    info.expect(INFO);
    String title = info.need("title").text();
    if (title.isBlank()) {
      throw info.wrong("the title is empty");
    }
    IdsElement all = root.need("specifications");
    all.expect(Set.of("specification"));
    List<Specification> out = new ArrayList<>();
    for (IdsElement s : all.children()) {
      out.add(specification(s));
    }
    if (out.isEmpty()) {
      throw all.wrong("there is no specification in it");
    }
    return new Requirements(title, out);
  }

  private Specification specification(IdsElement s) throws ReadException {
    s.expect(List.of("applicability", "requirements"));
    String name = s.needAttribute("name");
    Set<String> versions = new LinkedHashSet<>();
    for (String v : s.needAttribute("ifcVersion").strip().split("\\s+")) {
      if (!VERSIONS.contains(v)) {
        throw s.wrong("the ifcVersion \"" + v + "\" is not one of IFC2X3, IFC4 and IFC4X3_ADD2");
      }
      versions.add(v);
    }
    IdsElement a = s.need("applicability");
    List<Facet> applicability = new ArrayList<>();
    for (IdsElement f : a.children()) {
      applicability.add(facet(f, true));
    }
    List<Requirement> requirements = new ArrayList<>();
    for (IdsElement r : s.child("requirements").map(IdsElement::children).orElse(List.of())) {
      requirements.add(
          new Requirement(facet(r, false), cardinality(r), r.attribute("instructions").orElse("")));
    }
    return new Specification(
        name,
        s.attribute("identifier").orElse(""),
        s.attribute("description").orElse(""),
        s.attribute("instructions").orElse(""),
        versions,
        occurs(a),
        applicability,
        requirements);
  }

  private static Occurs occurs(IdsElement a) throws ReadException {
    String min = a.attribute("minOccurs").orElse("1");
    String max = a.attribute("maxOccurs").orElse(min.equals("0") ? "unbounded" : "1");
    if (!min.matches("\\d+") || !max.matches("\\d+|unbounded")) {
      throw a.wrong("minOccurs \"" + min + "\" and maxOccurs \"" + max + "\" are no numbers");
    }
    if (max.equals("0")) {
      if (!min.equals("0")) {
        throw a.wrong("minOccurs is greater than maxOccurs");
      }
      return Occurs.PROHIBITED;
    }
    return min.equals("0") ? Occurs.OPTIONAL : Occurs.REQUIRED;
  }

  private static Cardinality cardinality(IdsElement f) throws ReadException {
    String said = f.attribute("cardinality").orElse("required");
    boolean partOf = f.is("partOf");
    return switch (said) {
      case "required" -> Cardinality.REQUIRED;
      case "prohibited" -> Cardinality.PROHIBITED;
      case "optional" -> {
        if (partOf) {
          throw f.wrong("partOf cannot be optional");
        }
        yield Cardinality.OPTIONAL;
      }
      default ->
          throw f.wrong(
              "the cardinality \"" + said + "\" is not one of required, optional, prohibited");
    };
  }

  private static Facet facet(IdsElement f, boolean applicability) throws ReadException {
    Set<String> extra = applicability ? Set.of() : Set.of("cardinality", "instructions", "uri");
    return switch (f.name()) {
      case "entity" -> {
        f.attributes(applicability ? Set.of() : Set.of("instructions"), Set.of());
        yield entity(f);
      }
      case "attribute" -> {
        f.attributes(extra, Set.of());
        f.expect(List.of("name", "value"));
        yield new Facet.Attribute(constraint(f.need("name")), optional(f, "value"));
      }
      case "property" -> {
        f.attributes(extra, Set.of("dataType", "uri"));
        f.expect(List.of("propertySet", "baseName", "value"));
        String type = f.attribute("dataType").orElse("");
        if (!type.equals(type.toUpperCase(java.util.Locale.ROOT))) {
          throw f.wrong("the dataType " + type + " is not in capitals");
        }
        yield new Facet.Property(
            type,
            constraint(f.need("propertySet")),
            constraint(f.need("baseName")),
            optional(f, "value"));
      }
      case "classification" -> {
        f.attributes(extra, Set.of("uri"));
        f.expect(List.of("value", "system"));
        yield new Facet.Classification(
            optional(f, "value"), Optional.of(constraint(f.need("system"))));
      }
      case "material" -> {
        f.attributes(extra, Set.of("uri"));
        f.expect(List.of("value"));
        yield new Facet.Material(optional(f, "value"));
      }
      case "partOf" -> {
        f.attributes(extra, Set.of("relation"));
        f.expect(List.of("entity"));
        String relation = f.attribute("relation").orElse("");
        if (!relation.isEmpty() && !RELATIONS.contains(relation)) {
          throw f.wrong("the relation \"" + relation + "\" is not known");
        }
        yield new Facet.PartOf(relation, entity(f.need("entity")));
      }
      default -> throw f.wrong("the facet <" + f.name() + "> is not known");
    };
  }

  private static Facet.Entity entity(IdsElement f) throws ReadException {
    f.expect(List.of("name", "predefinedType"));
    return new Facet.Entity(constraint(f.need("name")), optional(f, "predefinedType"));
  }

  private static Optional<Constraint> optional(IdsElement f, String name) throws ReadException {
    Optional<IdsElement> c = f.child(name);
    return c.isEmpty() ? Optional.empty() : Optional.of(constraint(c.get()));
  }

  private static Constraint constraint(IdsElement e) throws ReadException {
    e.expect(Set.of("simpleValue", "restriction"));
    if (e.children().size() != 1) {
      throw e.wrong("<" + e.name() + "> needs one simpleValue or one restriction");
    }
    IdsElement only = e.children().getFirst();
    if (only.is("simpleValue")) {
      return new Constraint.Simple(only.text());
    }
    return IdsRestriction.of(only);
  }
}
