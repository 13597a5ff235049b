package wellspan.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;

/** Compares an alignment as sent and as arrived at 1 m steps and at every element end. */
final class AlignmentComparison {
  /**
   * At a gap it is a matter of the last digit on which side of it a place comes to lie; so far from
   * it there is no doubt, a part of what may differ.
   */
  private static final double ASIDE = 0.1;

  private AlignmentComparison() {}

  static ItemComparison compare(
      Item sentItem, Alignment sent, Alignment arrived, double tolerance) {
    List<Difference> findings = new ArrayList<>();
    List<AlignmentPoint> points = sent.everyWithEnds(1);
    double[] deviations = new double[points.size()];
    Optional<ArrivedInPieces> pieces = ArrivedInPieces.of(sent, arrived);
    double longer = Math.abs(sent.length() - arrived.length());
    boolean lies = longer <= pieces.map(ArrivedInPieces::longer).orElse(tolerance);
    double aside = ASIDE * tolerance;
    double chainage = 0;
    for (int i = 0; i < deviations.length; i++) {
      AlignmentPoint p = points.get(i);
      double d = p.distance();
      AlignmentPoint q = arrived.at(d); // its profile and its labels count by the distance
      double there = pieces.map(x -> x.at(d)).orElse(d);
      deviations[i] = deviation(p, arrived.at(there), q.level());
      if (deviations[i] > tolerance) {
        double before = deviation(p, arrived.at(there - aside), q.level());
        double behind = deviation(p, arrived.at(there + aside), q.level());
        deviations[i] = Math.min(deviations[i], Math.min(before, behind));
      }
      lies &= deviations[i] <= pieces.map(x -> x.limit(d, tolerance)).orElse(tolerance);
      chainage = Math.max(chainage, Math.abs(p.chainage() - q.chainage()));
    }
    int worst = MeshComparison.worst(deviations);
    double max = Math.max(deviations[worst], longer);
    String name = sentItem.name();
    if (!lies) {
      AlignmentPoint p = points.get(worst);
      String figure = String.format(Locale.ROOT, "%.4f mm", 1000 * max);
      findings.add(
          Difference.of(
                  What.GEOMETRY,
                  name,
                  name
                      + ": the alignment lies "
                      + figure
                      + " from where it was sent, worst at "
                      + Chainages.format(p.chainage())
                      + ".")
              .at(new Position(p.east(), p.north(), p.level()))
              .by(max));
    }
    chainage = Math.max(chainage, equations(sent.chainages(), arrived.chainages()));
    if (chainage > 1e-6) {
      findings.add(
          Difference.of(
              What.GEOMETRY,
              name,
              String.format(Locale.ROOT, "%s: chainages differ by up to %.3f m.", name, chainage)));
    }
    int elements = sent.simpleElements().size();
    int came = arrived.simpleElements().size();
    boolean identical =
        (elements == came || pieces.isPresent())
            && sent.profile()
                .map(p -> p.segments().size())
                .equals(arrived.profile().map(p -> p.segments().size()))
            && lies;
    if (elements != came && pieces.isEmpty()) {
      findings.add(
          Difference.of(
              What.GEOMETRY,
              name,
              name + ": " + elements + " plan elements were sent, " + came + " arrived."));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            name, sentItem.kind().title(), points.size() + " points", max, identical, deviations),
        findings);
  }

  /** By how much the labels at jumps of chainage differ at most, metres. */
  private static double equations(Chainages a, Chainages b) {
    if (a.equations().size() != b.equations().size()) {
      return Double.POSITIVE_INFINITY;
    }
    double most = 0;
    for (int i = 0; i < a.equations().size(); i++) {
      Chainages.Equation x = a.equations().get(i);
      Chainages.Equation y = b.equations().get(i);
      most = Math.max(most, Math.abs(x.back() - y.back()));
      most = Math.max(most, Math.abs(x.ahead() - y.ahead()));
      most = x.increasing() == y.increasing() ? most : Double.POSITIVE_INFINITY;
    }
    return most;
  }

  private static double deviation(AlignmentPoint p, AlignmentPoint inPlan, double level) {
    double plan = Math.hypot(p.east() - inPlan.east(), p.north() - inPlan.north());
    return Double.isNaN(p.level()) && Double.isNaN(level)
        ? plan
        : Math.hypot(plan, p.level() - level);
  }
}
