package wellspan.app.place;

import java.util.Optional;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import wellspan.core.crs.AreaOfUse;
import wellspan.core.crs.GridNorth;

/** The whole earth with the area of use of a system, and the work in it. */
final class AreaPicture extends Pane {
  private static final double WIDTH = 172;
  private static final double HEIGHT = 86;

  /** An area smaller than this in the picture is still to be seen, pixels. */
  private static final double LEAST = 2;

  private static final double CROSS = 6;

  /**
   * @param at where the work lies, if it is known
   */
  AreaPicture(AreaOfUse area, Optional<GridNorth> at) {
    getStyleClass().add("area-picture");
    setMinSize(WIDTH, HEIGHT);
    setPrefSize(WIDTH, HEIGHT);
    setMaxSize(WIDTH, HEIGHT);
    for (int lon = -120; lon <= 120; lon += 60) {
      line(x(lon), 0, x(lon), HEIGHT, "graticule");
    }
    for (int lat = -60; lat <= 60; lat += 30) {
      line(0, y(lat), WIDTH, y(lat), "graticule");
    }
    boolean round = area.west() > area.east(); // over the line of the date
    span(area.west(), round ? 180 : area.east(), area);
    if (round) {
      span(-180, area.east(), area);
    }
    at.ifPresent(
        p -> {
          double x = x(p.longitude()), y = y(p.latitude());
          line(x - CROSS, y, x + CROSS, y, "area-work");
          line(x, y - CROSS, x, y + CROSS, "area-work");
        });
  }

  private static double x(double longitude) {
    return (longitude + 180) / 360 * WIDTH;
  }

  private static double y(double latitude) {
    return (90 - latitude) / 180 * HEIGHT;
  }

  private void span(double west, double east, AreaOfUse a) {
    Region r = new Region();
    r.getStyleClass().add("area-of-use");
    r.setManaged(false);
    r.resizeRelocate(
        x(west),
        y(a.north()),
        Math.max(LEAST, x(east) - x(west)),
        Math.max(LEAST, y(a.south()) - y(a.north())));
    getChildren().add(r);
  }

  private void line(double x0, double y0, double x1, double y1, String style) {
    Line l = new Line(x0, y0, x1, y1);
    l.getStyleClass().add(style);
    getChildren().add(l);
  }
}
