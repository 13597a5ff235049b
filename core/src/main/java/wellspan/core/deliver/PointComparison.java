package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;

/** Compares named points as sent and as arrived, in their order. */
final class PointComparison {
  private PointComparison() {}

  static ItemComparison compare(Item.PointGroup sent, Item.PointGroup arrived) {
    List<Finding> findings = new ArrayList<>();
    int n = sent.points().size();
    double[] deviations = {};
    double max = Double.POSITIVE_INFINITY;
    if (arrived.points().size() == n) {
      deviations = new double[n];
      max = 0;
      for (int i = 0; i < n; i++) {
        Item.NamedPoint p = sent.points().get(i);
        Item.NamedPoint q = arrived.points().get(i);
        Position a = p.position();
        double plan = a.planDistanceTo(q.position());
        deviations[i] =
            Double.isNaN(a.height()) ? plan : Math.hypot(plan, a.height() - q.position().height());
        max = Math.max(max, deviations[i]);
        if (!p.name().equals(q.name()) || !p.code().equals(q.code())) {
          findings.add(
              error(
                  "proof.point",
                  sent,
                  "point "
                      + p.name()
                      + " "
                      + p.code()
                      + " arrived as "
                      + q.name()
                      + " "
                      + q.code()
                      + ".",
                  a));
        }
        if (!(deviations[i] <= Proof.TOLERANCE)) {
          String figure = String.format(Locale.ROOT, "%.4f mm", 1000 * deviations[i]);
          findings.add(
              error(
                      "proof.moved",
                      sent,
                      "point " + p.name() + " lies " + figure + " from where it was sent.",
                      a)
                  .withFigure(figure));
        }
      }
    } else {
      findings.add(
          Finding.error(
              DELIVER,
              "proof.vertices",
              sent.name(),
              sent.name()
                  + ": "
                  + n
                  + " points were sent, "
                  + arrived.points().size()
                  + " arrived."));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            sent.name(), sent.kind(), n + " points", max, findings.isEmpty(), deviations),
        findings);
  }

  private static Finding error(String code, Item item, String what, Position at) {
    return Finding.error(DELIVER, code, item.name(), item.name() + ": " + what).at(at);
  }
}
