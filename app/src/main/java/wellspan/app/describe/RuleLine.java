package wellspan.app.describe;

import java.util.stream.Collectors;
import wellspan.app.session.RuleRef;
import wellspan.core.rulebook.ClassRule;
import wellspan.core.rulebook.CodeSystem;
import wellspan.core.rulebook.Condition;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.ValuePart;
import wellspan.core.schema.IfcSchema;

/**
 * A rule in words: what an item knows, how it is taken, and what the item will say.
 *
 * @param from what is asked for
 * @param how what becomes of it on the way, empty if nothing does
 * @param target what it ends in
 * @param type of the target
 * @param when for which items
 */
record RuleLine(
    RuleRef rule, String from, String how, String target, String type, String when, boolean off) {

  static RuleLine of(Rulebook book, RuleRef rule, IfcSchema schema) {
    return switch (rule.kind()) {
      case CLASS -> of(rule, book.classes().get(rule.index()), schema);
      case PROPERTY -> of(rule, book.properties().get(rule.index()));
      case CODES -> of(rule, book.classification().get(rule.index()));
    };
  }

  private static RuleLine of(RuleRef rule, ClassRule c, IfcSchema schema) {
    ClassRule.Named as = c.as().get(schema.name());
    String target =
        c.heldBack()
            ? "stays here"
            : as != null
                ? (as.entity() + " " + as.predefinedType()).strip()
                : c.as().isEmpty() && c.partOf() != null ? place(c.partOf()) : "class by its kind";
    return new RuleLine(
        rule,
        c.name().isEmpty() ? "items" : c.name(),
        "",
        target,
        c.heldBack() ? "held back" : c.as().isEmpty() ? "place" : "class",
        conditions(c.when()),
        c.off());
  }

  private static String place(ClassRule.PartOf p) {
    return p.facility().isEmpty()
        ? "its own road · " + p.part()
        : p.part().isEmpty() ? p.facility() : p.facility() + " · " + p.part();
  }

  private static RuleLine of(RuleRef rule, PropertyRule p) {
    ValuePart first = p.value().getFirst();
    String from =
        first.text() == null && first.lookup().isEmpty() && !first.attribute().isEmpty()
            ? "attribute " + p.from()
            : p.from();
    String how =
        p.value().size() > 1
            ? "join \u201c" + p.separator() + "\u201d"
            : !first.lookup().isEmpty() ? "lookup" : first.unit();
    String type =
        !p.oneOf().isEmpty()
            ? "one of " + p.oneOf().size()
            : p.type().startsWith("Ifc") ? ValueTypeNames.of(p.type()) : "";
    return new RuleLine(
        rule, from, how, p.set() + " \u00b7 " + p.property(), type, conditions(p.when()), p.off());
  }

  private static RuleLine of(RuleRef rule, CodeSystem c) {
    String how =
        c.properties().isEmpty()
            ? ""
            : c.properties().getFirst().says().size() > 1
                ? "join \u201c" + c.properties().getFirst().separator() + "\u201d"
                : "";
    String target =
        c.properties().isEmpty() || !c.withoutReference()
            ? c.system()
            : c.properties().getFirst().set() + " \u00b7 " + c.properties().getFirst().property();
    return new RuleLine(
        rule,
        "code" + (how.isEmpty() ? "" : " + title"),
        how,
        target,
        c.codes().isEmpty() ? "any code" : c.codes().size() + " codes",
        c.rules().size() + (c.rules().size() == 1 ? " rule" : " rules"),
        c.off());
  }

  /** For which items, in words. */
  static String conditions(java.util.List<Condition> when) {
    return when.isEmpty()
        ? "every item"
        : when.stream().map(Condition::show).collect(Collectors.joining(" and "));
  }
}
