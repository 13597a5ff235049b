package wellspan.core.proof;

import java.util.List;
import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentChords;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Footpoint;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;
import wellspan.core.shape.Shape;

/**
 * Compares an alignment with the line of points that stands for it where a format has no
 * alignments. Each point is looked up on the alignment itself: it must lie on it, in order, from
 * end to end of its profile, no two may be farther apart than a metre, and no chord farther from it
 * than was asked for.
 */
final class ChordsOfAlignment {
  private static final double WIDEST = 1 + 1e-6;

  private ChordsOfAlignment() {}

  static ItemComparison compare(
      Item sent, Shape.Axis axis, List<Polyline> arrived, double tolerance) {
    Alignment a = axis.alignment();
    double start = a.profile().map(p -> Math.max(0, p.start())).orElse(0.0);
    double end = a.profile().map(p -> Math.min(a.length(), p.end())).orElse(a.length());
    if (arrived.size() != 1) {
      return result(
          sent,
          0,
          Double.POSITIVE_INFINITY,
          new double[0],
          Difference.of(
              What.GEOMETRY,
              sent.name(),
              sent.name() + " arrived in " + arrived.size() + " lines instead of one."));
    }
    Polyline line = arrived.getFirst();
    double[] off = new double[line.pointCount()];
    double reached = start;
    double widest = 0;
    double beside = 0;
    for (int i = 0; i < off.length; i++) {
      Position p = line.point(i);
      double at = i == 0 ? start : i == off.length - 1 ? end : foot(a, p, reached, end);
      widest = i == 0 ? 0 : Math.max(widest, at - reached);
      if (i > 0 && at > reached) {
        beside =
            Math.max(
                beside, AlignmentChords.off(a.at(reached), a.at((reached + at) / 2), a.at(at)));
      }
      if (i > 0 && at <= reached) {
        widest = Double.POSITIVE_INFINITY; // it turns back
      }
      reached = at;
      AlignmentPoint q = a.at(at);
      double plan = Math.hypot(p.east() - q.east(), p.north() - q.north());
      off[i] = Double.isNaN(q.level()) ? plan : Math.hypot(plan, p.level() - q.level());
    }
    int worst = MeshComparison.worst(off);
    double max = off[worst];
    if (!(max <= tolerance)) {
      return result(
          sent,
          off.length,
          max,
          off,
          Difference.of(
                  What.GEOMETRY,
                  sent.name(),
                  String.format(
                      Locale.ROOT,
                      "%s: point %d of the line lies %.4f mm from the alignment.",
                      sent.name(),
                      worst + 1,
                      1000 * max))
              .at(line.point(worst))
              .by(max));
    }
    if (!(widest <= WIDEST)) {
      return result(
          sent,
          off.length,
          max,
          off,
          Difference.of(
              What.GEOMETRY,
              sent.name(),
              String.format(
                  Locale.ROOT,
                  "%s: the points of the line are up to %.3f m apart, so it leaves the alignment between them.",
                  sent.name(),
                  widest)));
    }
    if (!(beside <= axis.chord() + tolerance)) {
      return result(
          sent,
          off.length,
          max,
          off,
          Difference.of(
                  What.GEOMETRY,
                  sent.name(),
                  String.format(
                      Locale.ROOT,
                      "%s: between its points the line lies up to %.2f mm beside the alignment.",
                      sent.name(),
                      1000 * beside))
              .by(beside));
    }
    return result(sent, off.length, max, off);
  }

  private static ItemComparison result(
      Item sent, int points, double max, double[] off, Difference... found) {
    return new ItemComparison(
        new Proof.ItemProof(
            sent.name(), sent.kind().title(), points + " points", max, found.length == 0, off),
        List.of(found));
  }

  /** The distance along of the place beside a point, looked for from the last one on. */
  private static double foot(Alignment a, Position p, double from, double end) {
    AlignmentPoint before = a.at(from);
    double ahead = Math.hypot(p.east() - before.east(), p.north() - before.north());
    return Footpoint.follow(a, p.east(), p.north(), from + ahead, from, end);
  }
}
