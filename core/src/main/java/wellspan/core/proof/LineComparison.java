package wellspan.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;

/** Compares lines of straight pieces as sent and as arrived, point by point. */
final class LineComparison {
  private LineComparison() {}

  /** Lines that arrive in the order and direction in which they were sent. */
  static ItemComparison compare(
      Item sent, List<Polyline> lines, List<Polyline> arrived, Limits limits) {
    List<Difference> found = new ArrayList<>();
    List<Position> here = points(lines);
    double[] deviations = {};
    double max = Double.POSITIVE_INFINITY;
    if (counts(lines).equals(counts(arrived))) {
      deviations = deviations(here, points(arrived), limits);
      int worst = MeshComparison.worst(deviations);
      max = deviations[worst];
      if (!(max <= limits.tolerance())) {
        found.add(moved(sent, worst, here.get(worst), max));
      }
    } else {
      found.add(
          Difference.of(
              What.GEOMETRY,
              sent.name(),
              sent.name() + ": " + said(lines) + " were sent, " + said(arrived) + " arrived."));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            sent.name(),
            sent.kind().title(),
            here.size() + " points",
            max,
            found.isEmpty(),
            deviations),
        found);
  }

  /** Lines in any order, each in either direction. */
  static ItemComparison loose(
      Item sent, List<Polyline> lines, List<Polyline> arrived, Limits limits) {
    if (counts(lines).equals(counts(arrived))) {
      ItemComparison inOrder = compare(sent, lines, arrived, limits);
      if (inOrder.differences().isEmpty()) {
        return inOrder;
      }
    }
    List<Polyline> rest = new ArrayList<>(arrived);
    List<Polyline> ordered = new ArrayList<>();
    for (Polyline l : lines) {
      Polyline best = null;
      double least = Double.POSITIVE_INFINITY;
      for (Polyline r : rest) {
        for (Polyline way : List.of(r, reversed(r))) {
          if (way.pointCount() == l.pointCount()) {
            double[] off = deviations(points(List.of(l)), points(List.of(way)), limits);
            double max = off[MeshComparison.worst(off)];
            if (best == null || max < least) {
              least = max;
              best = way;
            }
          }
        }
      }
      if (best == null) {
        return compare(sent, lines, arrived, limits);
      }
      Polyline taken = best;
      rest.removeIf(r -> r.pointCount() == taken.pointCount() && same(r, taken));
      ordered.add(best);
    }
    ordered.addAll(rest);
    return compare(sent, lines, ordered, limits);
  }

  private static boolean same(Polyline a, Polyline b) {
    return java.util.Arrays.equals(a.xyz(), b.xyz())
        || java.util.Arrays.equals(a.xyz(), reversed(b).xyz());
  }

  private static Polyline reversed(Polyline l) {
    int n = l.xyz().length;
    double[] out = new double[n];
    for (int i = 0; i < n; i += 3) {
      System.arraycopy(l.xyz(), n - 3 - i, out, i, 3);
    }
    return new Polyline(out);
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

  private static double[] deviations(List<Position> here, List<Position> there, Limits limits) {
    double[] out = new double[here.size()];
    for (int i = 0; i < out.length; i++) {
      out[i] = limits.distance(here.get(i), there.get(i));
    }
    return out;
  }

  private static Difference moved(Item sent, int worst, Position where, double by) {
    return Difference.of(
            What.GEOMETRY,
            sent.name(),
            sent.name()
                + ": point "
                + (worst + 1)
                + " of the line lies "
                + Difference.millimetres(by)
                + " from where it was sent.")
        .at(where)
        .by(by);
  }
}
