package wellspan.core.rulebook;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * The rules of a rulebook as a table, to be worked on in a spreadsheet: one row for each property
 * rule. Every condition and every part of a value has columns of its own, so that there is no
 * syntax to be known; several words in a cell stand on lines of their own.
 *
 * @param head names of the columns
 * @param rows texts, as many in each as there are columns
 */
public record RuleTable(List<String> head, List<List<String>> rows) {
  private static final String NOTHING = "";
  private static final List<String> CONDITION =
      List.of("asks for", "is", "is not", "like", "at least", "at most", "given");
  private static final List<String> PART =
      List.of("fact", "attribute", "text", "lookup", "unit", "decimals");
  private static final List<String> TARGET =
      List.of(
          "set", "property", "type", "separator", "one of", "description", "may be missing", "off");

  /** Which rules a table would add, change and take away. */
  public record Change(List<String> added, List<String> changed, List<String> removed) {
    public Change {
      added = List.copyOf(added);
      changed = List.copyOf(changed);
      removed = List.copyOf(removed);
    }

    /** Whether nothing would be other than before. */
    public boolean isNone() {
      return added.isEmpty() && changed.isEmpty() && removed.isEmpty();
    }
  }

  public RuleTable {
    head = List.copyOf(head);
    rows = rows.stream().map(List::copyOf).toList();
  }

  /** The property rules of a rulebook. */
  public static RuleTable of(Rulebook book) {
    int conditions = 1;
    int parts = 1;
    for (PropertyRule r : book.properties()) {
      conditions = Math.max(conditions, r.when().size());
      parts = Math.max(parts, r.value().size());
    }
    List<String> head = new ArrayList<>(TARGET);
    for (int i = 1; i <= parts; i++) {
      for (String p : PART) {
        head.add("value " + i + " " + p);
      }
    }
    for (int i = 1; i <= conditions; i++) {
      for (String c : CONDITION) {
        head.add("when " + i + " " + c);
      }
    }
    List<List<String>> rows = new ArrayList<>();
    for (PropertyRule r : book.properties()) {
      Map<String, String> cells = new LinkedHashMap<>();
      cells.put("set", r.set());
      cells.put("property", r.property());
      cells.put("type", r.type());
      cells.put("separator", Lines.quoted(r.separator()));
      cells.put("one of", Lines.of(r.oneOf()));
      cells.put("description", r.description());
      cells.put("may be missing", r.mayBeMissing() ? "yes" : NOTHING);
      cells.put("off", r.off() ? "yes" : NOTHING);
      for (int i = 0; i < r.value().size(); i++) {
        ValuePart p = r.value().get(i);
        String at = "value " + (i + 1) + " ";
        cells.put(at + "fact", p.fact());
        cells.put(at + "attribute", p.attribute());
        cells.put(at + "text", p.text() == null ? NOTHING : Lines.quoted(p.text()));
        cells.put(at + "lookup", p.lookup());
        cells.put(at + "unit", p.unit());
        cells.put(at + "decimals", p.decimals() == null ? NOTHING : p.decimals().toString());
      }
      for (int i = 0; i < r.when().size(); i++) {
        Condition c = r.when().get(i);
        String at = "when " + (i + 1) + " ";
        cells.put(at + "asks for", c.fact().isEmpty() ? "attribute: " + c.attribute() : c.fact());
        cells.put(at + "is", Lines.of(c.is()));
        cells.put(at + "is not", Lines.of(c.isNot()));
        cells.put(at + "like", c.like());
        cells.put(at + "at least", c.atLeast() == null ? NOTHING : c.atLeast().toString());
        cells.put(at + "at most", c.atMost() == null ? NOTHING : c.atMost().toString());
        cells.put(at + "given", c.given() == null ? NOTHING : c.given() ? "yes" : "no");
      }
      rows.add(head.stream().map(h -> cells.getOrDefault(h, NOTHING)).toList());
    }
    return new RuleTable(head, rows);
  }

  /**
   * The rules that stand in the table, in its order.
   *
   * @throws IllegalArgumentException with the row and what is wrong; nothing is taken by half
   */
  public List<PropertyRule> rules() {
    for (String needed : List.of("set", "property")) {
      if (!head.contains(needed)) {
        throw new IllegalArgumentException(
            "the table has no column \u201c" + needed + "\u201d; its first row names the columns");
      }
    }
    Set<String> unknown = new TreeSet<>();
    for (String h : head) {
      if (!h.isBlank()
          && !TARGET.contains(h)
          && !h.matches("value [1-9][0-9]? (" + String.join("|", PART) + ")")
          && !h.matches("when [1-9][0-9]? (" + String.join("|", CONDITION) + ")")) {
        unknown.add(h);
      }
    }
    if (!unknown.isEmpty()) {
      throw new IllegalArgumentException(
          "the table has columns that mean nothing here: " + String.join(", ", unknown));
    }
    List<PropertyRule> out = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      Map<String, String> cells = new LinkedHashMap<>();
      for (int c = 0; c < head.size() && c < rows.get(i).size(); c++) {
        cells.put(head.get(c), rows.get(i).get(c));
      }
      if (cells.values().stream().allMatch(String::isBlank)) {
        continue;
      }
      try {
        out.add(rule(cells));
      } catch (IllegalArgumentException e) {
        throw new IllegalArgumentException("row " + (i + 2) + ": " + e.getMessage(), e);
      }
    }
    return out;
  }

  private static PropertyRule rule(Map<String, String> cells) {
    List<ValuePart> value = new ArrayList<>();
    List<Condition> when = new ArrayList<>();
    for (int i = 1; i < 100; i++) {
      String at = "value " + i + " ";
      String text = cells.getOrDefault(at + "text", NOTHING);
      String fact = cells.getOrDefault(at + "fact", NOTHING);
      String attribute = cells.getOrDefault(at + "attribute", NOTHING);
      if (!text.isEmpty() || !fact.isEmpty() || !attribute.isEmpty()) {
        value.add(
            new ValuePart(
                fact,
                attribute,
                text.isEmpty() ? null : Lines.unquoted(text),
                cells.getOrDefault(at + "lookup", NOTHING),
                cells.getOrDefault(at + "unit", NOTHING),
                whole(cells.getOrDefault(at + "decimals", NOTHING))));
      }
      at = "when " + i + " ";
      String asks = cells.getOrDefault(at + "asks for", NOTHING);
      if (!asks.isEmpty()) {
        boolean attributed = asks.startsWith("attribute: ");
        when.add(
            new Condition(
                attributed ? NOTHING : asks,
                attributed ? asks.substring("attribute: ".length()) : NOTHING,
                Lines.read(cells.getOrDefault(at + "is", NOTHING)),
                Lines.read(cells.getOrDefault(at + "is not", NOTHING)),
                cells.getOrDefault(at + "like", NOTHING),
                number(cells.getOrDefault(at + "at least", NOTHING)),
                number(cells.getOrDefault(at + "at most", NOTHING)),
                truth(cells.getOrDefault(at + "given", NOTHING))));
      }
    }
    return new PropertyRule(
        when,
        value,
        cells.getOrDefault("separator", NOTHING).isEmpty()
            ? null
            : Lines.unquoted(cells.get("separator")),
        cells.get("set"),
        cells.get("property"),
        cells.getOrDefault("type", NOTHING),
        Lines.read(cells.getOrDefault("one of", NOTHING)),
        cells.getOrDefault("description", NOTHING),
        Boolean.TRUE.equals(truth(cells.getOrDefault("may be missing", NOTHING))),
        Boolean.TRUE.equals(truth(cells.getOrDefault("off", NOTHING))));
  }

  private static Integer whole(String text) {
    Double d = number(text);
    if (d == null) {
      return null;
    }
    if (d != Math.rint(d)) {
      throw new IllegalArgumentException(text + " is no whole number");
    }
    return d.intValue();
  }

  private static Double number(String text) {
    if (text.isBlank()) {
      return null;
    }
    try {
      return Double.valueOf(text.strip().replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(text + " is no number", e);
    }
  }

  private static Boolean truth(String text) {
    return switch (text.strip().toLowerCase(java.util.Locale.ROOT)) {
      case "" -> null;
      case "yes", "true", "x", "1" -> true;
      case "no", "false", "0" -> false;
      default ->
          throw new IllegalArgumentException("\u201c" + text + "\u201d is neither yes nor no");
    };
  }

  /** What would be other if these rules were taken in the place of those. */
  public static Change change(List<PropertyRule> before, List<PropertyRule> after) {
    List<PropertyRule> gone = new ArrayList<>(before);
    List<PropertyRule> fresh = new ArrayList<>();
    for (PropertyRule r : after) {
      if (!gone.remove(r)) {
        fresh.add(r);
      }
    }
    List<String> added = new ArrayList<>();
    List<String> changed = new ArrayList<>();
    for (PropertyRule r : fresh) {
      boolean was = gone.removeIf(new OnceOf(r.target())::is);
      (was ? changed : added).add(r.target());
    }
    return new Change(added, changed, gone.stream().map(PropertyRule::target).toList());
  }

  /** Takes one rule of a target and no more. */
  private static final class OnceOf {
    private final String target;
    private boolean taken;

    OnceOf(String target) {
      this.target = target;
    }

    boolean is(PropertyRule r) {
      boolean hit = !taken && r.target().equals(target);
      taken |= hit;
      return hit;
    }
  }
}
