package wellspan.core.shape;

import java.util.List;
import wellspan.core.geom.Box;
import wellspan.core.geom.Polyline;

/** How much of a shape lies in a part of the plan. In time of the number of its vertices. */
public final class PlanShare {
  private PlanShare() {}

  /**
   * From 0 to 1: of the length of lines, of the number of points, of the extent of bodies and
   * pictures.
   */
  public static double within(Shape s, Box part) {
    if (!s.bounds().overlapsPlan(part)) {
      return 0;
    }
    return switch (s) {
      case Shape.Axis a -> ofLines(List.of(a.line()), part);
      case Shape.Lines l -> ofLines(l.lines(), part);
      case Shape.Points p -> ofPoints(p.coordinates(), part);
      case Shape.Faces f -> ofExtent(f.bounds(), part);
      case Shape.Picture p -> ofExtent(p.bounds(), part);
    };
  }

  private static double ofLines(List<Polyline> lines, Box part) {
    double whole = 0;
    double in = 0;
    for (Polyline l : lines) {
      whole += l.planLength();
      in += l.planLengthWithin(part);
    }
    return whole == 0 ? 0 : in / whole;
  }

  private static double ofPoints(double[] xyz, Box part) {
    int in = 0;
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      boolean inside =
          xyz[i] >= part.minE()
              && xyz[i] <= part.maxE()
              && xyz[i + 1] >= part.minN()
              && xyz[i + 1] <= part.maxN();
      in += inside ? 1 : 0;
    }
    return xyz.length == 0 ? 0 : 3.0 * in / xyz.length;
  }

  private static double ofExtent(Box whole, Box part) {
    double across = Math.min(whole.maxE(), part.maxE()) - Math.max(whole.minE(), part.minE());
    double along = Math.min(whole.maxN(), part.maxN()) - Math.max(whole.minN(), part.minN());
    double area = whole.width() * whole.depth();
    return area == 0 ? 1 : Math.max(0, across) * Math.max(0, along) / area;
  }
}
