package wellspan.core.flaw;

import java.util.ArrayList;
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

  private static void breaks(String name, Alignment a, List<Finding> out) {
    List<PlanElement> all = a.elements();
    double at = 0;
    for (int i = 0; i + 1 < all.size(); i++) {
      at += all.get(i).length();
      PlanPoint end = all.get(i).end();
      double turn =
          Math.abs(
              Math.IEEEremainder(
                  all.get(i + 1).start().direction() - end.direction(), 2 * Math.PI));
      if (turn > BREAK) {
        double degrees = Math.toDegrees(turn);
        out.add(
            Finding.warning(
                    Stop.SHAPE,
                    "alignment.tangent",
                    name,
                    String.format(
                        Locale.ROOT,
                        "%s turns by %.3f° between two elements at chainage %.3f m. Receivers that want tangents refuse it.",
                        name,
                        degrees,
                        a.chainages().at(at)))
                .withFigure(Figure.of(degrees, 3, "°"))
                .at(new Position(end.east(), end.north(), a.at(at).level())));
      }
    }
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
