package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.finding.Finding;

/** Draws the elements of plan features as lines of points: what is round by chords. */
final class FeatureLines {
  /** Chords leave a curve by this much at most, metres. */
  private static final double WITHIN = 0.001;

  /** The end of an element and the start of the next one are one within this, metres. */
  private static final double SAME = 1e-6;

  private final PlanElements plan;
  private final double levels;
  private final List<Finding> findings;

  /**
   * @param levels metres in the file's unit of levels
   */
  FeatureLines(PlanElements plan, double levels, List<Finding> findings) {
    this.plan = plan;
    this.levels = levels;
    this.findings = findings;
  }

  /** Easting, northing, level in threes, metres; elements that hang together are one line. */
  List<double[]> of(PlanFeatureSection.Raw feature) {
    List<double[]> out = new ArrayList<>();
    for (List<AlignmentSection.RawElement> elements : feature.lines()) {
      List<double[]> line = new ArrayList<>();
      for (AlignmentSection.RawElement e : elements) {
        List<double[]> next = points(feature.name(), e);
        boolean irregular = e.kind().equals("IrregularLine");
        if (!line.isEmpty() && !next.isEmpty() && (irregular || !meet(line.getLast(), next))) {
          out.add(flat(line));
          line.clear();
        }
        line.addAll(line.isEmpty() || next.isEmpty() ? next : next.subList(1, next.size()));
        if (irregular && !line.isEmpty()) {
          out.add(flat(line));
          line.clear();
        }
      }
      if (!line.isEmpty()) {
        out.add(flat(line));
      }
    }
    return out;
  }

  private static boolean meet(double[] end, List<double[]> next) {
    double[] start = next.getFirst();
    return Math.hypot(end[0] - start[0], end[1] - start[1]) <= SAME;
  }

  private List<double[]> points(String name, AlignmentSection.RawElement e) {
    List<double[]> out = new ArrayList<>();
    try {
      if (e.kind().equals("IrregularLine") || e.kind().equals("Chain")) {
        double[] xyz = plan.points(e);
        for (int i = 0; i < xyz.length; i += 3) {
          out.add(new double[] {xyz[i], xyz[i + 1], xyz[i + 2] * levels});
        }
        return out;
      }
      double[] start = plan.need(e, "Start");
      double[] end = plan.need(e, "End");
      double from = start[2] * levels;
      double to = end[2] * levels;
      Optional<PlanElement> made = plan.make(name, e);
      if (made.isEmpty()) { // it stands upright, or is a place
        out.add(new double[] {start[0], start[1], from});
        out.add(new double[] {end[0], end[1], to});
        return out;
      }
      double length = made.get().length();
      int n = pieces(made.get());
      for (int i = 0; i <= n; i++) {
        PlanPoint p = made.get().at(length * i / n);
        out.add(new double[] {p.east(), p.north(), from + (to - from) * i / n});
      }
      return out;
    } catch (PlanElements.Refused | IllegalArgumentException ex) {
      findings.add(
          Finding.error(
              RECEIVE,
              "landxml.left-out",
              name,
              "A line of " + name + " is left out: " + ex.getMessage()));
      return List.of();
    }
  }

  /** The chord c leaves an arc of radius r by c²/(8·r). */
  private static int pieces(PlanElement e) {
    double sharpest = Math.max(Math.abs(e.startCurvature()), Math.abs(e.endCurvature()));
    return sharpest == 0
        ? 1
        : (int) Math.max(1, Math.ceil(e.length() / Math.sqrt(8 * WITHIN / sharpest)));
  }

  private static double[] flat(List<double[]> line) {
    double[] xyz = new double[3 * line.size()];
    for (int i = 0; i < line.size(); i++) {
      System.arraycopy(line.get(i), 0, xyz, 3 * i, 3);
    }
    return xyz;
  }
}
