package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.MaterialSet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.attribute.ValueLosses;
import wellspan.core.describe.HolderClasses;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/** What was received of items and has no place in what is sent, each kind of loss told once. */
public final class ReceivedLosses {
  private ReceivedLosses() {}

  /**
   * An item that is sent.
   *
   * @param as the class that it goes as
   * @param attributes of its entity that go with it
   */
  public record Sent(Item item, EntityClass as, Map<String, PropertyValue> attributes) {}

  static List<Finding> of(Parcel parcel) {
    return of(
        parcel.format(),
        parcel.pieces().stream()
            .map(
                p ->
                    new Sent(p.item(), p.description().entityClass(), p.description().attributes()))
            .toList());
  }

  /** A note for each kind of thing that is lost. */
  public static List<Finding> of(DeliveryFormat format, List<Sent> all) {
    List<Finding> out = new ArrayList<>();
    if (format.schema().isEmpty()) {
      holders(format, all, out);
      transparent(format, all, out);
    } else {
      classes(format.schema().get(), all, out);
      values(format.schema().get(), all, out);
      levels(format.schema().get(), all, out);
    }
    attributes(format, all, out);
    materials(format, all, out);
    return out;
  }

  /** Classes that nobody chose to change: the schema, or a delivery, has none of them. */
  private static void classes(IfcSchema schema, List<Sent> all, List<Finding> out) {
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    Map<String, List<Sent>> changed = new LinkedHashMap<>();
    for (Sent s : all) {
      String was = s.item().said().entityClass().entity();
      boolean ground = s.item().kind().is(Kind.TERRAIN); // its format tells that
      if (!was.isEmpty() && !was.equals(s.as().entity()) && !ground && !has(tables, s)) {
        String words = " received as " + was + " and %s as " + s.as().entity() + ".";
        changed.computeIfAbsent(words, k -> new ArrayList<>()).add(s);
      }
    }
    changed.forEach(
        (words, of) ->
            out.add(
                note(
                    "deliver.class",
                    of,
                    of.size() == 1
                        ? " was" + words.formatted("goes")
                        : " were" + words.formatted("go"))));
  }

  /** Values of properties that do not go whole. */
  private static void values(IfcSchema schema, List<Sent> all, List<Finding> out) {
    ValueLosses losses = new ValueLosses(schema);
    Set<String> what = new TreeSet<>();
    List<Sent> lost = new ArrayList<>();
    for (Sent s : all) {
      Set<String> of = losses.of(s.item().said().propertySets());
      if (!of.isEmpty()) {
        lost.add(s);
        what.addAll(of);
      }
    }
    String rest = String.join(", ", what) + ": " + schema.title() + " has no such thing.";
    tell(out, "deliver.values", lost, " has", " have", " properties that go without " + rest);
  }

  /** Layers and their like where the format has other words for them, or none. */
  private static void materials(DeliveryFormat format, List<Sent> all, List<Finding> out) {
    List<Sent> lost =
        all.stream().filter(s -> isLost(s.item().said().materials(), format)).toList();
    String rest =
        " made of layers or parts that go without their names, sections or thicknesses: "
            + format.title()
            + " has no place for these.";
    tell(out, "deliver.materials", lost, " is", " are", rest);
  }

  private static boolean isLost(Optional<MaterialSet> set, DeliveryFormat format) {
    return set.isPresent()
        && (format.schema().isEmpty()
            || !set.get().fitting(format.schema().get()).equals(set.get()));
  }

  private static boolean has(Schema tables, Sent s) {
    EntityClass received = s.item().said().entityClass();
    return ProductClasses.has(tables, received.entity(), "")
        || ProductClasses.has(tables, received.entity(), received.predefinedType());
  }

  private static void holders(DeliveryFormat format, List<Sent> all, List<Finding> out) {
    List<Sent> lost = all.stream().filter(s -> isHeld(s.item().said())).toList();
    String rest =
        " received in levels, assemblies, groups or of a type; "
            + format.title()
            + " has no word for these.";
    tell(out, "deliver.holders", lost, " was", " were", rest);
  }

  private static void transparent(DeliveryFormat format, List<Sent> all, List<Finding> out) {
    List<Sent> lost =
        format.coverage().proves(Content.COLOURS)
            ? all.stream().filter(s -> isSeenThrough(s.item().said())).toList()
            : List.of();
    String rest = " seen through as received; " + format.title() + " gets the colour without that.";
    tell(out, "deliver.transparency", lost, " is", " are", rest);
  }

  private static boolean isSeenThrough(Description d) {
    return d.finish().map(f -> f.transparency() > 0).orElse(false);
  }

  /** Levels of the structure that the schema has none for. */
  private static void levels(IfcSchema schema, List<Sent> all, List<Finding> out) {
    Map<List<Holder>, Boolean> known = new HashMap<>();
    List<Sent> lost =
        all.stream()
            .filter(
                s ->
                    known.computeIfAbsent(
                        s.item().said().structure(),
                        path ->
                            path.stream().anyMatch(h -> HolderClasses.place(h, schema).isEmpty())))
            .toList();
    if (!lost.isEmpty()) {
      Holder first =
          lost.getFirst().item().said().structure().stream()
              .filter(h -> HolderClasses.place(h, schema).isEmpty())
              .findFirst()
              .orElseThrow();
      out.add(
          note(
              "deliver.levels",
              lost,
              (lost.size() == 1 ? " stands in " : " stand in levels such as ")
                  + first.name()
                  + " ("
                  + first.entityClass().entity()
                  + "), which "
                  + schema.title()
                  + " has no place for here."));
    }
  }

  private static boolean isHeld(Description d) {
    return !d.structure().isEmpty() || !d.groups().isEmpty() || d.type().isPresent();
  }

  private static void attributes(DeliveryFormat format, List<Sent> all, List<Finding> out) {
    Set<String> names = new TreeSet<>();
    List<Sent> lost = new ArrayList<>();
    for (Sent s : all) {
      Set<String> left = new TreeSet<>(s.item().said().attributes().keySet());
      left.removeAll(s.attributes().keySet());
      if (!left.isEmpty()) {
        lost.add(s);
        names.addAll(left);
      }
    }
    if (!lost.isEmpty()) {
      out.add(
          note(
              "deliver.attributes",
              lost,
              (lost.size() == 1 ? " goes" : " go")
                  + " without "
                  + String.join(", ", names)
                  + ": there is no such attribute in "
                  + format.title()
                  + (lost.size() == 1 ? " for what it goes as." : " for what they go as.")));
    }
  }

  /** Tells a loss, if there is any; one thing and several take other verbs. */
  private static void tell(
      List<Finding> out, String code, List<Sent> lost, String one, String several, String rest) {
    if (!lost.isEmpty()) {
      out.add(note(code, lost, (lost.size() == 1 ? one : several) + rest));
    }
  }

  private static Finding note(String code, List<Sent> of, String what) {
    String first = of.getFirst().item().name();
    String who = of.size() == 1 ? first : of.size() + " things, the first " + first + ",";
    return Finding.note(DELIVER, code, "", who + what).withFigure(Figure.count(of.size()));
  }
}
