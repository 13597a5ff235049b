package wellspan.core.rulebook;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Classified;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;

/**
 * What a rulebook decides of an item.
 *
 * @param entityClass by a rule; empty where none is for the item
 * @param classTrouble why the class of a rule does not stand, empty if it does
 * @param heldBack whether it is not delivered
 * @param structure where a rule places it in the structure, outermost first; a part without a
 *     facility is one of the facility it is in anyway; empty where no rule does
 * @param sets what the rules say
 * @param codes by the rules; they go in the place of received ones of the same system
 * @param cells what each property rule says, in their order
 * @param codeCells what each code system says, in their order
 */
public record Ruled(
    Optional<EntityClass> entityClass,
    String classTrouble,
    boolean heldBack,
    List<Holder> structure,
    List<PropertySet> sets,
    List<Classified> codes,
    List<Cell> cells,
    List<Cell> codeCells) {

  /** Where no rulebook says anything. */
  public static final Ruled NOTHING =
      new Ruled(Optional.empty(), "", false, List.of(), List.of(), List.of(), List.of(), List.of());

  public Ruled {
    structure = List.copyOf(structure);
    sets = List.copyOf(sets);
    codes = List.copyOf(codes);
    cells = List.copyOf(cells);
    codeCells = List.copyOf(codeCells);
  }

  /** Sets with what the rules say put over them, property by property. */
  public List<PropertySet> over(List<PropertySet> before) {
    return sets.isEmpty() ? before : merged(before, sets);
  }

  /** Sets with others put over them, property by property. */
  public static List<PropertySet> merged(List<PropertySet> before, List<PropertySet> over) {
    Map<String, PropertySet> out = new LinkedHashMap<>();
    before.forEach(s -> out.put(s.name(), s));
    for (PropertySet s : over) {
      PropertySet there = out.get(s.name());
      if (there == null) {
        out.put(s.name(), s);
      } else {
        Map<String, PropertyValue> all = new LinkedHashMap<>(there.values());
        all.putAll(s.values());
        Map<String, String> notes = new LinkedHashMap<>(there.notes());
        notes.putAll(s.notes());
        out.put(s.name(), there.with(all).saying(there.description(), notes));
      }
    }
    return List.copyOf(out.values());
  }

  /** Received codes, and those of the rules in the place of received ones of their system. */
  public List<Classified> codesOver(List<Classified> received) {
    if (codes.isEmpty()) {
      return received;
    }
    List<Classified> out = new ArrayList<>();
    for (Classified c : received) {
      if (codes.stream().noneMatch(n -> n.system().equals(c.system()))) {
        out.add(c);
      }
    }
    out.addAll(codes);
    return out;
  }

  /**
   * Gaps and misfits, in the order of the rules.
   *
   * @param item its name
   */
  public List<Finding> findings(String item) {
    List<Finding> out = new ArrayList<>();
    if (!classTrouble.isEmpty()) {
      out.add(warning("describe.class", item, classTrouble));
    }
    for (List<Cell> all : List.of(cells, codeCells)) {
      for (Cell c : all) {
        switch (c.state()) {
          case GAP -> out.add(warning("describe.gap", item, c.message()));
          case TWICE -> out.add(warning("describe.twice", item, c.message()));
          case WRONG ->
              out.add(
                  Finding.error(
                      Stop.DESCRIBE,
                      "describe.value",
                      item,
                      item + ": " + c.message() + ". It is left out."));
          case SAID, NONE -> {}
        }
      }
    }
    return out;
  }

  private static Finding warning(String code, String item, String what) {
    return Finding.warning(Stop.DESCRIBE, code, item, item + ": " + what + ".");
  }
}
