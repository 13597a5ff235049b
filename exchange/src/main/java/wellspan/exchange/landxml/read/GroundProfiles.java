package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentChords;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.exchange.file.UniqueNames;

/**
 * Makes strings of the ground along an alignment ({@code ProfSurf}): through each given station,
 * and between stations as near to the alignment in plan as a millimetre, with even falls.
 */
final class GroundProfiles {
  private static final double CHORD = 0.001;

  /** Halvings of the way between two stations. */
  private static final int DEEPEST = 20;

  private final double metres;
  private final double up;
  private final UniqueNames names;
  private final List<Finding> findings;

  /**
   * @param metres in the file's unit
   * @param up metres in the file's unit of levels
   */
  GroundProfiles(double metres, double up, UniqueNames names, List<Finding> findings) {
    this.metres = metres;
    this.up = up;
    this.names = names;
    this.findings = findings;
  }

  List<Item> of(Alignment axis, AlignmentSection.Raw raw) {
    List<Item> out = new ArrayList<>();
    for (GroundStretches g : raw.grounds()) {
      List<Polyline> lines = new ArrayList<>();
      int beyond = 0;
      int lonely = 0;
      for (double[] list : g.stretches()) { // level, station, nothing: it is read northing first
        List<double[]> stations = new ArrayList<>();
        for (int k = 0; k < list.length; k += 3) {
          double distance = (list[k + 1] - raw.start()) * metres;
          if (distance < -CHORD || distance > axis.length() + CHORD) {
            beyond++;
          } else {
            stations.add(new double[] {Math.clamp(distance, 0, axis.length()), list[k] * up});
          }
        }
        if (stations.size() < 2) {
          lonely += stations.size();
        } else {
          lines.add(line(axis, stations));
        }
      }
      if (!lines.isEmpty()) {
        out.add(Item.string(names.of("string", g.name()), lines).on(raw.name()));
      }
      leftOut(raw.name(), g.name(), beyond, "beyond the alignment");
      leftOut(raw.name(), g.name(), lonely, "without a neighbour");
    }
    return out;
  }

  private static Polyline line(Alignment axis, List<double[]> stations) {
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i < stations.size(); i++) {
      double[] s = stations.get(i);
      AlignmentPoint here = axis.at(s[0]);
      if (i > 0) {
        double[] before = stations.get(i - 1);
        List<AlignmentPoint> between = new ArrayList<>();
        between(axis, axis.at(before[0]), here, DEEPEST, between);
        for (AlignmentPoint m : between) {
          double share = (m.distance() - before[0]) / (s[0] - before[0]);
          out.add(new double[] {m.east(), m.north(), before[1] + share * (s[1] - before[1])});
        }
      }
      out.add(new double[] {here.east(), here.north(), s[1]});
    }
    return new Polyline(out.stream().flatMapToDouble(java.util.Arrays::stream).toArray());
  }

  private static void between(
      Alignment axis, AlignmentPoint p, AlignmentPoint q, int deep, List<AlignmentPoint> out) {
    AlignmentPoint m = axis.at((p.distance() + q.distance()) / 2);
    // an S may cross its chord in the middle
    boolean longer = axis.elementEnds().stream().anyMatch(e -> inside(e, p, q));
    if (deep == 0 || !longer && AlignmentChords.planOff(p, m, q) <= CHORD / 2) {
      return;
    }
    between(axis, p, m, deep - 1, out);
    out.add(m);
    between(axis, m, q, deep - 1, out);
  }

  private static boolean inside(double end, AlignmentPoint p, AlignmentPoint q) {
    return end > p.distance() + 0.5 && end < q.distance() - 0.5;
  }

  private void leftOut(String road, String name, int count, String why) {
    if (count > 0) {
      findings.add(
          Finding.error(
                  RECEIVE,
                  "profile.point",
                  road,
                  road
                      + ": "
                      + count
                      + " points of "
                      + name
                      + " lie "
                      + why
                      + "; they are left out.")
              .withFigure(Figure.count(count, "points")));
    }
  }
}
