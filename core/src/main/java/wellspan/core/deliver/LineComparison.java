package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;

/** Compares a line of straight pieces as sent and as arrived, point by point. */
public final class LineComparison {
  private LineComparison() {}

  /**
   * The straight pieces that stand for an alignment where a schema has none: points at every metre
   * and at every element end. Outside the profile the level is NaN; if there is a profile such
   * points are left out.
   */
  public static Polyline chords(Alignment a) {
    List<AlignmentPoint> points =
        a.everyWithEnds(1).stream()
            .filter(p -> a.profile().isEmpty() || Double.isFinite(p.level()))
            .toList();
    double[] xyz = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      xyz[3 * i] = points.get(i).east();
      xyz[3 * i + 1] = points.get(i).north();
      xyz[3 * i + 2] = points.get(i).level();
    }
    return new Polyline(xyz);
  }

  /**
   * @param sent the item, for its name
   * @param lines its lines as they were to arrive; levels of NaN are not compared
   */
  static ItemComparison compare(Item sent, List<Polyline> lines, Item.StringLine arrived) {
    List<Finding> findings = new ArrayList<>();
    List<Position> here = points(lines);
    double[] deviations = {};
    double max = Double.POSITIVE_INFINITY;
    if (counts(lines).equals(counts(arrived.lines()))) {
      deviations = deviations(here, points(arrived.lines()));
      int worst = MeshComparison.worst(deviations);
      max = deviations[worst];
      if (!(max <= Proof.TOLERANCE)) {
        findings.add(moved(sent, worst, here.get(worst), max));
      }
    } else {
      findings.add(
          Finding.error(
              DELIVER,
              "proof.vertices",
              sent.name(),
              sent.name()
                  + ": "
                  + said(lines)
                  + " were sent, "
                  + said(arrived.lines())
                  + " arrived."));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            sent.name(),
            sent.kind(),
            here.size() + " points",
            max,
            max <= Proof.TOLERANCE,
            deviations),
        findings);
  }

  private static List<Integer> counts(List<Polyline> lines) {
    return lines.stream().map(Polyline::pointCount).toList();
  }

  private static String said(List<Polyline> lines) {
    int points = lines.stream().mapToInt(Polyline::pointCount).sum();
    return lines.size() == 1
        ? points + " points of the line"
        : lines.size() + " lines with " + points + " points";
  }

  private static List<Position> points(List<Polyline> lines) {
    return lines.stream()
        .flatMap(l -> IntStream.range(0, l.pointCount()).mapToObj(l::point))
        .toList();
  }

  private static double[] deviations(List<Position> here, List<Position> there) {
    double[] out = new double[here.size()];
    for (int i = 0; i < out.length; i++) {
      double plan = here.get(i).planDistanceTo(there.get(i));
      double level = here.get(i).height();
      out[i] = Double.isNaN(level) ? plan : Math.hypot(plan, level - there.get(i).height());
    }
    return out;
  }

  private static Finding moved(Item sent, int worst, Position where, double by) {
    String figure = String.format(Locale.ROOT, "%.4f mm", 1000 * by);
    return Finding.error(
            DELIVER,
            "proof.moved",
            sent.name(),
            sent.name()
                + ": point "
                + (worst + 1)
                + " of the line lies "
                + figure
                + " from where it was sent.")
        .at(where)
        .withFigure(figure);
  }
}
