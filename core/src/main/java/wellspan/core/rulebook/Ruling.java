package wellspan.core.rulebook;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Classified;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.describe.ClassRules;
import wellspan.core.describe.StandardSets;
import wellspan.core.schema.IfcSchema;

/**
 * A rulebook in one schema, applied to items. In time of the number of rules for each item; facts
 * are worked out once for each {@link Subject}. Any thread may use it.
 */
public final class Ruling {
  private static final String QUANTITIES = "Qto_";

  private final Rulebook book;
  private final IfcSchema schema;
  private final StandardSets standard;

  public Ruling(Rulebook book, IfcSchema schema) {
    this.book = book;
    this.schema = schema;
    standard = StandardSets.of(schema);
  }

  /** What the rules decide of an item. */
  public Ruled of(Subject s) {
    if (book.equals(Rulebook.NONE)) {
      return Ruled.NOTHING;
    }
    boolean held = false;
    Optional<EntityClass> chosen = Optional.empty();
    String trouble = "";
    List<Holder> structure = List.of();
    boolean classed = false;
    for (ClassRule r : book.classes()) {
      boolean more = !classed && r.saysClass() || structure.isEmpty() && r.partOf() != null;
      if (r.off() || !more || !holds(r.when(), s)) {
        continue;
      }
      if (!classed && r.saysClass()) {
        classed = true;
        held = r.heldBack();
        chosen = r.in(schema);
      }
      if (structure.isEmpty() && r.partOf() != null) {
        structure = r.partOf().levels();
      }
    }
    if (chosen.isPresent() && !ClassRules.fits(chosen.get(), s.item(), schema)) {
      trouble =
          "the rulebook says "
              + chosen.get()
              + ", which "
              + schema.title()
              + " has not for such an item; it goes by its kind";
      chosen = Optional.empty();
    }
    Map<String, Map<String, PropertyValue>> sets = new LinkedHashMap<>();
    Map<String, Map<String, String>> notes = new HashMap<>();
    List<Cell> cells = new ArrayList<>(book.properties().size());
    for (PropertyRule r : book.properties()) {
      Cell cell = r.off() || !holds(r.when(), s) ? Cell.NOTHING : put(r, cell(r, s), sets);
      cells.add(cell);
      if (cell.state() == Cell.State.SAID && !r.description().isEmpty()) {
        notes.computeIfAbsent(r.set(), k -> new HashMap<>()).put(r.property(), r.description());
      }
    }
    List<Classified> codes = new ArrayList<>();
    List<Cell> codeCells = new ArrayList<>();
    for (CodeSystem c : book.classification()) {
      codeCells.add(c.off() ? Cell.NOTHING : code(c, s, codes, sets));
    }
    List<PropertySet> said = new ArrayList<>();
    sets.forEach(
        (name, values) ->
            said.add(
                new PropertySet(
                    name,
                    values,
                    name.startsWith(QUANTITIES),
                    "",
                    notes.getOrDefault(name, Map.of()))));
    return new Ruled(chosen, trouble, held, structure, said, codes, cells, codeCells);
  }

  private static boolean holds(List<Condition> when, Subject s) {
    for (Condition c : when) {
      if (!c.holds(s)) {
        return false;
      }
    }
    return true;
  }

  /** Puts a value into its set; the first rule that says a property counts. */
  private static Cell put(PropertyRule r, Cell cell, Map<String, Map<String, PropertyValue>> sets) {
    if (cell.value().isEmpty()) {
      return cell;
    }
    Map<String, PropertyValue> set = sets.computeIfAbsent(r.set(), k -> new LinkedHashMap<>());
    return set.putIfAbsent(r.property(), cell.value().get()) == null
        ? cell
        : Cell.twice(r.target() + ": another rule says it already");
  }

  private Cell cell(PropertyRule r, Subject s) {
    List<String> texts = new ArrayList<>();
    PropertyValue single = null;
    Optional<MeasureUnit> unit = Optional.empty();
    for (ValuePart part : r.value()) {
      Optional<PropertyValue> v = asked(part, s);
      if (v.isEmpty()) {
        return r.mayBeMissing() ? Cell.NOTHING : Cell.gap(r.target() + ": no " + part.show());
      }
      PropertyValue value = v.get();
      if (!part.lookup().isEmpty()) {
        Optional<Lookup> table = book.lookup(part.lookup());
        Optional<String> found = table.flatMap(t -> t.find(Typing.text(value)));
        if (found.isEmpty()) {
          return table.isEmpty()
              ? Cell.wrong(r.target() + ": there is no lookup " + part.lookup())
              : Cell.gap(
                  r.target()
                      + ": "
                      + Typing.text(value)
                      + " is not in the lookup "
                      + part.lookup());
        }
        single = new PropertyValue.Label(found.get());
      } else {
        single = value;
      }
      unit = MeasureUnit.named(part.unit());
      texts.add(Typing.text(single, unit, part.decimals()));
    }
    PropertyValue joined =
        r.value().size() == 1 ? single : new PropertyValue.Label(String.join(r.separator(), texts));
    boolean asText = r.value().size() == 1 && r.value().getFirst().decimals() != null;
    return typed(r, asText ? texts.getFirst() : null, joined, unit);
  }

  /**
   * @param rounded the value as text where the rule names its decimals; null where it does not
   */
  private Cell typed(PropertyRule r, String rounded, PropertyValue v, Optional<MeasureUnit> unit) {
    List<String> allowed = allowed(r);
    if (!allowed.isEmpty()) {
      String word = rounded != null ? rounded : Typing.text(v, unit, null);
      Optional<String> hit = allowed.stream().filter(word::equalsIgnoreCase).findFirst();
      if (hit.isEmpty()) {
        return Cell.wrong(
            r.target() + ": " + word + " is not one of " + String.join(", ", allowed));
      }
      boolean enumerated = !standard.allowed(r.set(), r.property()).isEmpty();
      PropertyValue label = new PropertyValue.Label(hit.get());
      return Cell.said(enumerated ? new PropertyValue.Several(true, List.of(label)) : label);
    }
    String type = r.type().isEmpty() ? standard.type(r.set(), r.property()) : r.type();
    try {
      boolean words = type.isEmpty() ? rounded != null : Typing.isText(type);
      PropertyValue from = words && rounded != null ? new PropertyValue.Label(rounded) : v;
      return Cell.said(Typing.as(from, type, unit));
    } catch (Typing.Misfit e) {
      return Cell.wrong(r.target() + ": " + e.getMessage());
    }
  }

  private List<String> allowed(PropertyRule r) {
    return r.oneOf().isEmpty() ? standard.allowed(r.set(), r.property()) : r.oneOf();
  }

  private static Optional<PropertyValue> asked(ValuePart part, Subject s) {
    if (part.text() != null) {
      return Optional.of(new PropertyValue.Label(part.text()));
    }
    return part.fact().isEmpty() ? s.attribute(part.attribute()) : s.fact(part.fact());
  }

  private Cell code(
      CodeSystem system,
      Subject s,
      List<Classified> codes,
      Map<String, Map<String, PropertyValue>> sets) {
    for (CodeSystem.CodeRule rule : system.rules()) {
      if (rule.off() || !holds(rule.when(), s)) {
        continue;
      }
      PropertyRule as =
          new PropertyRule(
              List.of(),
              rule.value(),
              "",
              system.system(),
              "Code",
              "",
              List.of(),
              "",
              false,
              false);
      Cell cell = cell(as, s);
      if (cell.value().isEmpty()) {
        return new Cell(
            cell.value(), cell.state(), cell.message().replace(as.target(), system.system()));
      }
      String code = Typing.text(cell.value().get());
      Optional<Classified> found = system.find(code);
      if (found.isEmpty()) {
        return Cell.wrong(
            system.system() + ": " + code + " is not among the codes of the classification");
      }
      Classified c = found.get();
      if (!system.withoutReference()) {
        codes.add(c);
      }
      Map<String, Boolean> untitled = new HashMap<>();
      String twice = "";
      for (CodeSystem.CodeProperty p : system.properties()) {
        List<String> words = new ArrayList<>();
        for (CodeSystem.Says says : p.says()) {
          switch (says) {
            case CODE -> words.add(c.code());
            case SYSTEM -> words.add(c.system());
            case TITLE -> {
              if (c.title().isEmpty()) {
                untitled.put(c.code(), true);
              } else {
                words.add(c.title());
              }
            }
          }
        }
        if (!words.isEmpty()) {
          PropertyValue before =
              sets.computeIfAbsent(p.set(), k -> new LinkedHashMap<>())
                  .putIfAbsent(
                      p.property(), new PropertyValue.Label(String.join(p.separator(), words)));
          if (before != null) {
            twice = p.set() + "." + p.property();
          }
        }
      }
      PropertyValue shown = new PropertyValue.Label((c.code() + " " + c.title()).strip());
      if (!twice.isEmpty()) {
        return new Cell(
            Optional.of(shown),
            Cell.State.TWICE,
            system.system() + ": a rule says " + twice + " already");
      }
      return untitled.isEmpty()
          ? Cell.said(shown)
          : new Cell(
              Optional.of(shown), Cell.State.GAP, system.system() + ": no title for " + c.code());
    }
    return Cell.NOTHING;
  }
}
