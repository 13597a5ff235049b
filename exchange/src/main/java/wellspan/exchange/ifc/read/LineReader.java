package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.geom.Position;
import wellspan.core.shape.NamedPoint;

/** Reads curves, single points and texts out of the representations of products without a body. */
final class LineReader {
  private final Georeference geo;
  private final CurveReader curves;
  private final Placements placements;

  LineReader(Georeference geo, CurveReader curves, Placements placements) {
    this.geo = geo;
    this.curves = curves;
    this.placements = placements;
  }

  /**
   * The curves of a product in shared coordinates, levels NaN where one is flat.
   *
   * @param items of its representations
   * @throws Unread if one cannot be read
   */
  List<double[]> lines(Instance product, List<Instance> items) {
    List<double[]> out = new ArrayList<>();
    for (Instance item : elements(items)) {
      if (item.isA("IFCCURVE")) {
        out.add(moved(product, curves.points(item), isFlat(item)));
      }
    }
    return out;
  }

  /** The single point of a product in shared coordinates, its level NaN where it has none. */
  Optional<double[]> point(Instance product, List<Instance> items) {
    List<Instance> points =
        elements(items).stream().filter(i -> i.isA("IFCCARTESIANPOINT")).toList();
    if (points.size() != 1) {
      return Optional.empty();
    }
    boolean flat = points.getFirst().numbers("Coordinates").length < 3;
    return Optional.of(moved(product, Placement.point(Optional.of(points.getFirst())), flat));
  }

  /** Where a product stands, in shared coordinates. */
  Position origin(Instance product) {
    double[] p = moved(product, new double[3], false);
    return new Position(p[0], p[1], p[2]);
  }

  /** The texts of a product as points that are named by their words. */
  List<NamedPoint> texts(Instance product, List<Instance> items) {
    List<NamedPoint> out = new ArrayList<>();
    for (Instance item : elements(items)) {
      if (item.isA("IFCTEXTLITERAL")) {
        double[] m = Placement.axis(item.ref("Placement")).m();
        boolean flat = item.ref("Placement").map(p -> p.isA("IFCAXIS2PLACEMENT2D")).orElse(false);
        double[] p = moved(product, new double[] {m[3], m[7], m[11]}, flat);
        out.add(new NamedPoint(item.text("Literal"), new Position(p[0], p[1], p[2]), "text"));
      }
    }
    return out;
  }

  /** The items, and what geometric sets among them hold. */
  static List<Instance> elements(List<Instance> items) {
    List<Instance> out = new ArrayList<>();
    for (Instance item : items) {
      if (item.isA("IFCGEOMETRICSET")) {
        out.addAll(item.refs("Elements"));
      } else {
        out.add(item);
      }
    }
    return out;
  }

  /** Whether a curve lies in a plane of two coordinates and so says nothing of levels. */
  static boolean isFlat(Instance curve) {
    return isFlat(curve, 0);
  }

  private static boolean isFlat(Instance curve, int depth) {
    if (depth > 16) {
      return false;
    }
    return switch (curve.entity().name()) {
      case "IfcPolyline" -> curve.refs("Points").getFirst().numbers("Coordinates").length == 2;
      case "IfcIndexedPolyCurve" ->
          curve.ref("Points").map(p -> p.isA("IFCCARTESIANPOINTLIST2D")).orElse(false);
      case "IfcCircle", "IfcEllipse" ->
          curve.ref("Position").map(p -> p.isA("IFCAXIS2PLACEMENT2D")).orElse(false);
      case "IfcLine" ->
          curve.ref("Pnt").map(p -> p.numbers("Coordinates").length == 2).orElse(false);
      case "IfcTrimmedCurve" ->
          curve.ref("BasisCurve").map(c -> isFlat(c, depth + 1)).orElse(false);
      case "IfcCompositeCurve" ->
          curve.refs("Segments").stream()
              .allMatch(
                  s ->
                      s.isA("IFCCURVESEGMENT")
                          || s.ref("ParentCurve").map(c -> isFlat(c, depth + 1)).orElse(false));
      default -> false;
    };
  }

  private double[] moved(Instance product, double[] xyz, boolean flat) {
    Placement at = placements.of(product);
    if (!at.isIdentity()) {
      at.apply(xyz, 0, xyz.length);
    }
    geo.apply(xyz);
    if (flat) {
      for (int i = 2; i < xyz.length; i += 3) {
        xyz[i] = Double.NaN;
      }
    }
    return xyz;
  }
}
