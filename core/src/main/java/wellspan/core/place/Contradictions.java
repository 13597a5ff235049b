package wellspan.core.place;

import static wellspan.core.finding.Stop.PLACE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.Transformation;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.receive.PlaceStatement;

/** Finds where a file says different things of its place. */
public final class Contradictions {
  /** Latitude and longitude are often given to the second only: 31 m. */
  private static final double GEOGRAPHIC_TOLERANCE = 100;

  private static final double FRAME_TOLERANCE = 0.001;

  private Contradictions() {}

  /**
   * @param source name of the file or source, for findings
   */
  public static List<Finding> check(String source, List<PlaceStatement> places) {
    List<Finding> out = new ArrayList<>();
    for (int i = 0; i < places.size(); i++) {
      for (int j = i + 1; j < places.size(); j++) {
        distance(places.get(i), places.get(j), source).ifPresent(out::add);
      }
    }
    return out;
  }

  private static Optional<Finding> distance(PlaceStatement a, PlaceStatement b, String source) {
    if (a.frame().isPresent() && b.frame().isPresent()) {
      Frame f = a.frame().get();
      Frame g = b.frame().get();
      double d = f.basePoint().distanceTo(g.basePoint());
      double turned = Math.abs((f.rotationDegrees() - g.rotationDegrees() + 540) % 360 - 180);
      boolean system = !f.crs().isEmpty() && !g.crs().isEmpty() && !f.crs().equals(g.crs());
      return d > FRAME_TOLERANCE || turned > 1e-4 || system
          ? Optional.of(finding(a, b, source, d))
          : Optional.empty();
    }
    if (a.geographic().isPresent() && b.geographic().isPresent()) {
      double d = metres(a.geographic().get(), b.geographic().get());
      return d > GEOGRAPHIC_TOLERANCE ? Optional.of(finding(a, b, source, d)) : Optional.empty();
    }
    PlaceStatement withFrame = a.frame().isPresent() ? a : b;
    PlaceStatement other = a.frame().isPresent() ? b : a;
    Optional<PlaceStatement.LonLat> at = withFrame.frame().flatMap(Contradictions::geographic);
    if (at.isEmpty() || other.geographic().isEmpty()) {
      return Optional.empty();
    }
    double d = metres(at.get(), other.geographic().get());
    return d > GEOGRAPHIC_TOLERANCE
        ? Optional.of(finding(withFrame, other, source, d))
        : Optional.empty();
  }

  /** Longitude and latitude of a frame's base point. */
  public static Optional<PlaceStatement.LonLat> geographic(Frame f) {
    Optional<Crs> crs = f.system().filter(Crs::projected);
    if (crs.isEmpty()) {
      return Optional.empty();
    }
    try {
      Position p = f.basePoint();
      double unit = crs.get().metresPerUnit();
      double[] xy =
          new Transformation(crs.get(), Crs.WGS84).apply(p.east() / unit, p.north() / unit);
      return Optional.of(new PlaceStatement.LonLat(xy[0], xy[1]));
    } catch (Transformation.OutsideAreaException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static double metres(PlaceStatement.LonLat a, PlaceStatement.LonLat b) {
    double degree = 111_320;
    double middle = Math.toRadians((a.latitude() + b.latitude()) / 2);
    return Math.hypot(
        (a.longitude() - b.longitude()) * degree * Math.cos(middle),
        (a.latitude() - b.latitude()) * degree);
  }

  private static Finding finding(PlaceStatement a, PlaceStatement b, String source, double metres) {
    Figure figure = metres >= 1000 ? Figure.of(metres / 1000, 1, "km") : Figure.of(metres, 3, "m");
    return Finding.warning(
            PLACE,
            "place.contradiction",
            source,
            source
                + ": "
                + a.where()
                + " says "
                + a.says()
                + ", "
                + b.where()
                + " says "
                + b.says()
                + "; that is "
                + figure.text()
                + " apart. Ask which one holds.")
        .withFigure(figure);
  }
}
