package wellspan.core.proof;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.proof.Difference.What;

/** Compares what files say of an item, beside its geometry. */
final class Said {
  private final String item;
  private final List<Difference> found = new ArrayList<>();
  private final List<String> mismatches = new ArrayList<>();
  private int equal;
  private boolean asText;

  Said(String item) {
    this.item = item;
  }

  List<Difference> differences() {
    return found;
  }

  /** Properties that did not arrive as sent, as sentences. */
  List<String> mismatches() {
    return mismatches;
  }

  /** Number of properties that arrived as sent. */
  int equal() {
    return equal;
  }

  private void differs(What what, String message) {
    found.add(Difference.of(what, item, item + " " + message));
  }

  void classes(Description sent, Description arrived) {
    if (!sent.entityClass().entity().equals(arrived.entityClass().entity())) {
      differs(
          What.CLASS,
          "was sent as " + sent.entityClass() + " and arrived as " + arrived.entityClass() + ".");
    } else if (!sent.entityClass().equals(arrived.entityClass())) {
      differs(
          What.TYPE,
          "was sent as " + sent.entityClass() + " and arrived as " + arrived.entityClass() + ".");
    }
  }

  void closed(Description sent, Description arrived) {
    if (sent.closed().isPresent() && !sent.closed().equals(arrived.closed())) {
      differs(
          What.CLOSED,
          "was sent as "
              + (sent.closed().get() ? "a closed body" : "an open surface")
              + " and arrived as "
              + arrived.closed().map(c -> c ? "a closed body" : "an open surface").orElse("neither")
              + ".");
    }
  }

  /**
   * @param sets whether both sides can tell layers and other sets of materials
   */
  void materials(Description sent, Description arrived, boolean sets) {
    String here = sent.finish().map(Finish::material).orElse("");
    String there = arrived.finish().map(Finish::material).orElse("");
    if (!here.equals(there)) {
      differs(
          What.MATERIAL,
          "was sent "
              + (here.isEmpty() ? "without a material" : "of " + here)
              + " and arrived "
              + (there.isEmpty() ? "without one" : "of " + there)
              + ".");
    }
    if (sets && !Materials.same(sent.materials(), arrived.materials())) {
      differs(
          What.MATERIAL,
          "was sent "
              + Materials.words(sent.materials())
              + " and arrived "
              + Materials.words(arrived.materials())
              + ".");
    }
  }

  /**
   * @param items GlobalIds of levels that are items themselves; their names are compared there
   */
  void structure(Description sent, Description arrived, Set<String> items) {
    if (!places(sent, items).equals(places(arrived, items))) {
      differs(
          What.STRUCTURE,
          "was sent in "
              + path(sent.structure())
              + " and arrived in "
              + path(arrived.structure())
              + ".");
    }
  }

  private static List<Holder> places(Description d, Set<String> items) {
    return d.structure().stream()
        .map(
            h ->
                items.contains(h.globalId()) ? new Holder(h.entityClass(), h.globalId()) : h.bare())
        .toList();
  }

  private static String path(List<Holder> structure) {
    return structure.isEmpty()
        ? "the site"
        : structure.stream().map(Holder::toString).collect(Collectors.joining(", "));
  }

  /**
   * Codes count as what they say, in whatever order.
   *
   * @param parents whether the codes above them count too
   */
  void classification(Description sent, Description arrived, boolean parents) {
    List<String> there = new ArrayList<>(codes(arrived, parents));
    for (String c : codes(sent, parents)) {
      if (!there.remove(c)) {
        differs(What.CLASSIFICATION, "was sent with the code " + c + ", which did not arrive.");
      }
    }
    there.forEach(
        c -> differs(What.CLASSIFICATION, "arrived with the code " + c + ", which was not sent."));
  }

  private static List<String> codes(Description d, boolean parents) {
    return d.classification().stream()
        .map(
            c ->
                parents && !c.parents().isEmpty()
                    ? c.show() + " under " + String.join(", ", c.parents())
                    : c.show())
        .toList();
  }

  void colours(Description sent, Description arrived) {
    String here = colour(sent.finish());
    String there = colour(arrived.finish());
    if (!here.equals(there)) {
      differs(What.COLOUR, "was sent " + here + " and arrived " + there + ".");
    }
  }

  private static String colour(Optional<Finish> finish) {
    return finish
        .map(
            f ->
                String.format(Locale.ROOT, "in the colour #%06X", f.rgb())
                    + (f.transparency() > 0
                        ? String.format(Locale.ROOT, ", %.4f of it transparent", f.transparency())
                        : ""))
        .orElse("without a colour");
  }

  void layers(String sent, String arrived) {
    if (!sent.equalsIgnoreCase(arrived)) {
      differs(
          What.LAYER,
          "was sent on "
              + (sent.isEmpty() ? "no layer" : "the layer " + sent)
              + " and arrived on "
              + (arrived.isEmpty() ? "none" : arrived)
              + ".");
    }
  }

  /**
   * @param moreSets whether sets that were not sent may arrive besides
   * @param asText whether the arrived file may hold a text for a value of whatever type
   */
  void properties(Description sent, Description arrived, boolean moreSets, boolean asText) {
    this.asText = asText;
    Map<String, PropertySet> there = byName(arrived.propertySets());
    Map<String, PropertySet> here = byName(sent.propertySets());
    here.forEach(
        (name, set) -> {
          PropertySet other = there.get(name);
          if (other == null && !set.values().isEmpty()) {
            property(set, "the set " + name + " did not arrive");
          } else if (other != null) {
            set(set, other);
          }
        });
    if (!moreSets) {
      there.values().stream()
          .filter(s -> !here.containsKey(s.name()))
          .forEach(s -> property(s, "the set " + s.name() + " arrived but was not sent"));
    }
  }

  /** What the entities say by themselves. */
  void attributes(Map<String, PropertyValue> sent, Map<String, PropertyValue> arrived) {
    set(new PropertySet("attribute", sent), new PropertySet("attribute", arrived));
  }

  private static Map<String, PropertySet> byName(List<PropertySet> sets) {
    Map<String, PropertySet> out = new LinkedHashMap<>();
    sets.forEach(s -> out.put(s.name(), s));
    return out;
  }

  private void set(PropertySet sent, PropertySet arrived) {
    if (sent.quantities() != arrived.quantities() && !asText) {
      property(sent, "the set " + sent.name() + " is one of quantities on one side only");
    }
    sent.values()
        .forEach(
            (name, value) -> {
              PropertyValue other = arrived.values().get(name);
              String said = sent.name() + "." + name;
              if (other == null) {
                property(sent, said + " did not arrive");
              } else if (!SameValue.same(value, other)
                  && !(asText && SameValue.tells(other.show(), value))) {
                boolean shownAlike = value.show().equals(other.show());
                property(
                    sent,
                    said
                        + " was sent as "
                        + value.show()
                        + (shownAlike ? SameValue.apart(value, other) : "")
                        + " and arrived as "
                        + other.show()
                        + (shownAlike ? SameValue.apart(other, value) : ""));
              } else {
                equal++;
              }
            });
    if (!asText) {
      notes(sent, arrived);
    }
    arrived.values().keySet().stream()
        .filter(name -> !sent.values().containsKey(name))
        .forEach(name -> property(sent, sent.name() + "." + name + " arrived but was not sent"));
  }

  /** What is said of the set and of its properties. */
  private void notes(PropertySet sent, PropertySet arrived) {
    if (!sent.description().equals(arrived.description())) {
      property(
          sent,
          "the description of "
              + sent.name()
              + " was sent as '"
              + sent.description()
              + "' and arrived as '"
              + arrived.description()
              + "'");
    }
    sent.values()
        .keySet()
        .forEach(
            name -> {
              String here = sent.notes().getOrDefault(name, "");
              String there = arrived.notes().getOrDefault(name, "");
              if (arrived.values().containsKey(name) && !here.equals(there)) {
                property(
                    sent,
                    "the description of "
                        + sent.name()
                        + "."
                        + name
                        + " was sent as '"
                        + here
                        + "' and arrived as '"
                        + there
                        + "'");
              }
            });
  }

  private void property(PropertySet set, String what) {
    mismatches.add(item + ": " + what);
    found.add(
        Difference.of(
            set.quantities() ? What.QUANTITY : What.PROPERTY, item, item + ": " + what + "."));
  }
}
