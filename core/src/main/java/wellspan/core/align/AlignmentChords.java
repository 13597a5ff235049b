package wellspan.core.align;

import java.util.List;
import wellspan.core.geom.Polyline;

/** The straight pieces that stand for an alignment where a format has none. */
public final class AlignmentChords {
  private AlignmentChords() {}

  /**
   * Points at every metre and at every element end. Outside the profile the level is NaN; if there
   * is a profile such points are left out.
   */
  public static Polyline of(Alignment a) {
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
}
