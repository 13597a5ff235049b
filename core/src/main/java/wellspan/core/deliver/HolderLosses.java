package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;

/** What was received of items besides what they are, and has no place in what is sent. */
public final class HolderLosses {
  private HolderLosses() {}

  /**
   * An item that is sent.
   *
   * @param attributes of its entity that go with it
   */
  public record Sent(Item item, Map<String, PropertyValue> attributes) {}

  static List<Finding> of(Parcel parcel) {
    return of(
        parcel.format(),
        parcel.pieces().stream()
            .map(p -> new Sent(p.item(), p.description().attributes()))
            .toList());
  }

  /** A note for each kind of thing that is lost. */
  public static List<Finding> of(DeliveryFormat format, List<Sent> all) {
    List<Finding> out = new ArrayList<>();
    if (format.schema().isEmpty()) {
      holders(format, all, out);
    }
    attributes(format, all, out);
    return out;
  }

  private static void holders(DeliveryFormat format, List<Sent> all, List<Finding> out) {
    List<Sent> lost = all.stream().filter(s -> isHeld(s.item().said())).toList();
    if (!lost.isEmpty()) {
      out.add(
          note(
              "deliver.holders",
              lost,
              (lost.size() == 1 ? " was" : " were")
                  + " received in levels, assemblies, groups or of a type; "
                  + format.title()
                  + " has no word for these."));
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

  private static Finding note(String code, List<Sent> of, String what) {
    String first = of.getFirst().item().name();
    String who = of.size() == 1 ? first : of.size() + " things, the first " + first + ",";
    return Finding.note(DELIVER, code, "", who + what).withFigure(Figure.count(of.size()));
  }
}
