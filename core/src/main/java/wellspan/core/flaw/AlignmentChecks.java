package wellspan.core.flaw;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

/** What receivers of alignments stumble over: breaks in direction, and elements that few take. */
public final class AlignmentChecks {
  /** A smaller break in direction is how numbers were rounded, radians. */
  private static final double BREAK = Math.toRadians(0.01);

  /** More breaks than this of one alignment are told as one finding. */
  private static final int MOST = 12;

  /** More elements than this are taken by few receivers. */
  private static final int MANY = 100;

  private AlignmentChecks() {}

  /** Nothing for what is no alignment. In time of the number of elements. */
  public static List<Finding> of(Item item) {
    List<Finding> out = new ArrayList<>();
    if (item.shape() instanceof Shape.Axis axis) {
      breaks(item.name(), axis.alignment(), out);
      hard(item.name(), axis.alignment(), out);
    }
    return out;
  }

  /**
   * A place where the direction jumps.
   *
   * @param at distance from the start, metres
   */
  private record Turn(double degrees, double at, Position place) {}

  private static void breaks(String name, Alignment a, List<Finding> out) {
    List<PlanElement> all = a.elements();
    List<Turn> turns = new ArrayList<>();
    double at = 0;
    for (int i = 0; i + 1 < all.size(); i++) {
      at += all.get(i).length();
      PlanPoint end = all.get(i).end();
      double turn =
          Math.abs(
              Math.IEEEremainder(
                  all.get(i + 1).start().direction() - end.direction(), 2 * Math.PI));
      if (turn > BREAK) {
        turns.add(
            new Turn(
                Math.toDegrees(turn), at, new Position(end.east(), end.north(), a.at(at).level())));
      }
    }
    if (turns.size() > MOST) {
      turns.sort(Comparator.comparingDouble(Turn::degrees).reversed());
      out.add(
          turn(
              name,
              String.format(
                  Locale.ROOT,
                  "%s turns between two elements at %d places, by %.3f° at chainage %.3f m and by less at the others. Receivers that want tangents refuse it.",
                  name,
                  turns.size(),
                  turns.getFirst().degrees(),
                  a.chainages().at(turns.getFirst().at())),
              turns));
      return;
    }
    for (Turn t : turns) {
      out.add(
          turn(
              name,
              String.format(
                  Locale.ROOT,
                  "%s turns by %.3f° between two elements at chainage %.3f m. Receivers that want tangents refuse it.",
                  name,
                  t.degrees(),
                  a.chainages().at(t.at())),
              List.of(t)));
    }
  }

  private static Finding turn(String name, String sentence, List<Turn> turns) {
    return Finding.warning(Stop.SHAPE, "alignment.tangent", name, sentence)
        .withFigure(Figure.of(turns.getFirst().degrees(), 3, "°"))
        .at(turns.stream().map(Turn::place).toList());
  }

  /** Said once for an alignment, with what to send instead. */
  private static void hard(String name, Alignment a, List<Finding> out) {
    List<String> why = new ArrayList<>();
    int spirals = 0;
    int compound = 0;
    int reverse = 0;
    PlanElement before = null;
    for (PlanElement e : a.elements()) {
      spirals += e instanceof PlanElement.Spiral ? 1 : 0;
      if (before instanceof PlanElement.Arc p && e instanceof PlanElement.Arc q) {
        compound += p.radius() * q.radius() > 0 ? 1 : 0;
        reverse += p.radius() * q.radius() < 0 ? 1 : 0;
      }
      before = e;
    }
    count(why, compound, "compound curve");
    count(why, reverse, "reverse curve");
    count(why, spirals, "transition");
    if (a.elements().size() > MANY) {
      why.add(a.elements().size() + " elements");
    }
    if (!why.isEmpty()) {
      out.add(
          Finding.note(
                  Stop.SHAPE,
                  "alignment.hard",
                  name,
                  name
                      + " has "
                      + String.join(", ", why)
                      + ", which some receivers refuse. Send those a line instead, within tolerances: convert --only … --thin 0.02,0.01.")
              .withFigure(Figure.count(why.size(), "reasons")));
    }
  }

  private static void count(List<String> why, int n, String what) {
    if (n > 0) {
      why.add(n + " " + what + (n == 1 ? "" : "s"));
    }
  }
}
