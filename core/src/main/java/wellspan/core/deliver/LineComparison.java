package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Polyline;
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
   * @param line its points as they were to arrive; levels of NaN are not compared
   */
  static ItemComparison compare(Item sent, Polyline line, Item.StringLine arrived) {
    Polyline there = arrived.line();
    List<Finding> findings = new ArrayList<>();
    double[] deviations = {};
    double max = Double.POSITIVE_INFINITY;
    if (line.pointCount() == there.pointCount()) {
      deviations = new double[line.pointCount()];
      for (int i = 0; i < deviations.length; i++) {
        double plan = line.point(i).planDistanceTo(there.point(i));
        double level = line.point(i).height();
        deviations[i] =
            Double.isNaN(level) ? plan : Math.hypot(plan, level - there.point(i).height());
      }
      int worst = MeshComparison.worst(deviations);
      max = deviations[worst];
      if (!(max <= Proof.TOLERANCE)) {
        String figure = String.format(Locale.ROOT, "%.4f mm", 1000 * max);
        findings.add(
            Finding.error(
                    DELIVER,
                    "proof.moved",
                    sent.name(),
                    sent.name()
                        + ": point "
                        + (worst + 1)
                        + " of the line lies "
                        + figure
                        + " from where it was sent.")
                .at(line.point(worst))
                .withFigure(figure));
      }
    } else {
      findings.add(
          Finding.error(
              DELIVER,
              "proof.vertices",
              sent.name(),
              sent.name()
                  + ": "
                  + line.pointCount()
                  + " points of the line were sent, "
                  + there.pointCount()
                  + " arrived."));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            sent.name(),
            sent.kind(),
            line.pointCount() + " points",
            max,
            max <= Proof.TOLERANCE,
            deviations),
        findings);
  }
}
