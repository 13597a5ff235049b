package wellspan.exchange.ifc.read;

import java.util.List;
import java.util.Optional;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;

/**
 * How a file's own coordinates become shared ones: scale to metres, turn, shift.
 *
 * @param scale metres on the map in one unit of the file, horizontally and vertically
 * @param cos of the angle from the map's easting axis to the file's x axis
 * @param declared whether the file says so; otherwise its coordinates are taken as they are
 */
record Georeference(
    double scale,
    double cos,
    double sin,
    double east,
    double north,
    double height,
    Optional<Frame> frame,
    boolean declared) {

  static Georeference of(IfcModel model, double lengthUnit) {
    List<Instance> conversions = model.all("IFCMAPCONVERSION");
    if (model.schema().entity("IfcMapConversion").isEmpty() || conversions.isEmpty()) {
      return new Georeference(lengthUnit, 1, 0, 0, 0, 0, Optional.empty(), false);
    }
    Instance c = conversions.getFirst();
    Optional<Instance> crs = c.ref("TargetCRS");
    double mapUnit =
        crs.flatMap(t -> t.ref("MapUnit"))
            .map(Units::metres)
            .filter(Double::isFinite)
            .orElse(lengthUnit);
    double x = c.number("XAxisAbscissa", 1);
    double y = c.number("XAxisOrdinate", 0);
    double length = Math.hypot(x, y);
    double e = c.number("Eastings", 0) * mapUnit;
    double n = c.number("Northings", 0) * mapUnit;
    double h = c.number("OrthogonalHeight", 0) * mapUnit;
    double rotation = -Math.toDegrees(Math.atan2(y, x));
    Frame frame =
        new Frame(
            crs.map(t -> t.text("Name")).orElse(""),
            crs.map(t -> t.text("VerticalDatum")).orElse(""),
            new Position(e, n, h),
            rotation,
            "");
    return new Georeference(
        c.number("Scale", 1) * mapUnit, x / length, y / length, e, n, h, Optional.of(frame), true);
  }

  /** Turns points in the file's coordinates, in threes, into shared ones, in place. */
  void apply(double[] xyz) {
    double c = cos * scale;
    double s = sin * scale;
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      double x = xyz[i];
      double y = xyz[i + 1];
      xyz[i] = east + x * c - y * s;
      xyz[i + 1] = north + x * s + y * c;
      xyz[i + 2] = height + xyz[i + 2] * scale;
    }
  }
}
