package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import wellspan.core.attribute.Description;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/** What was received of items besides what they are, and has no place in what is sent. */
final class HolderLosses {
  private HolderLosses() {}

  static List<Finding> of(Parcel parcel) {
    List<Finding> out = new ArrayList<>();
    if (parcel.format().schema().isEmpty()) {
      holders(parcel, out);
    }
    attributes(parcel, out);
    return out;
  }

  private static void holders(Parcel parcel, List<Finding> out) {
    Predicate<Description> held =
        d -> !d.structure().isEmpty() || !d.groups().isEmpty() || d.type().isPresent();
    List<Parcel.Piece> lost =
        parcel.pieces().stream().filter(p -> held.test(p.item().said())).toList();
    if (!lost.isEmpty()) {
      out.add(
          note(
              "deliver.holders",
              lost,
              (lost.size() == 1 ? " was" : " were")
                  + " received in levels, assemblies, groups or of a type; "
                  + parcel.format().title()
                  + " has no word for these."));
    }
  }

  private static void attributes(Parcel parcel, List<Finding> out) {
    Set<String> names = new TreeSet<>();
    List<Parcel.Piece> lost = new ArrayList<>();
    for (Parcel.Piece p : parcel.pieces()) {
      Set<String> left = new TreeSet<>(p.item().said().attributes().keySet());
      left.removeAll(p.description().attributes().keySet());
      if (!left.isEmpty()) {
        lost.add(p);
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
                  + parcel.format().title()
                  + " for what they go as."));
    }
  }

  private static Finding note(String code, List<Parcel.Piece> of, String what) {
    String first = of.getFirst().item().name();
    String who = of.size() == 1 ? first : of.size() + " things, the first " + first + ",";
    return Finding.note(DELIVER, code, "", who + what).withFigure(Figure.count(of.size()));
  }
}
