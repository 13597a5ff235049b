package wellspan.exchange.dxf.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.receive.PlaceStatement;

/**
 * What a drawing says of where it lies.
 *
 * @param crs authority and code of the system, empty if its definition names none
 * @param kind 1 local, 2 projected, 3 geographic
 * @param design a point of the drawing
 * @param reference the same point in the system; it counts for local drawings
 * @param north direction of north in the drawing
 */
record GeoData(String crs, int kind, double[] design, double[] reference, double[] north) {
  private static final Pattern ALIAS =
      Pattern.compile("<Alias\\s[^>]*id=\"(\\d{4,6})\"", Pattern.CASE_INSENSITIVE);
  private static final Pattern CODE =
      Pattern.compile("EPSG\\W{1,3}(\\d{4,6})(?!\\d)", Pattern.CASE_INSENSITIVE);

  /** Reads the object whose type stands in the current group, and moves on to the next one. */
  static GeoData read(Groups groups) throws IOException {
    int kind = 0;
    double[] design = new double[3];
    double[] reference = new double[3];
    double[] north = {0, 1};
    StringBuilder definition = new StringBuilder();
    boolean mesh = false;
    while (groups.next() && groups.code() != 0) {
      int code = groups.code();
      switch (code) {
        case 70 -> kind = groups.whole();
        case 93 -> mesh = true; // the points behind are those of a mesh
        case 10, 20, 30 -> {
          if (!mesh) {
            design[code / 10 - 1] = groups.number();
          }
        }
        case 11, 21, 31 -> {
          if (!mesh) {
            reference[code / 10 - 1] = groups.number();
          }
        }
        case 12 -> north[0] = groups.number();
        case 22 -> north[1] = groups.number();
        case 301, 303 -> definition.append(groups.text());
        default -> {}
      }
    }
    String text = definition.toString();
    Matcher alias = ALIAS.matcher(text);
    Matcher code = CODE.matcher(text);
    String crs =
        alias.find() ? "EPSG:" + alias.group(1) : code.find() ? "EPSG:" + code.group(1) : "";
    return new GeoData(crs, kind, design, reference, north);
  }

  /**
   * @param metres in the drawing's unit
   */
  List<PlaceStatement> places(double metres) {
    if (crs.isEmpty()) {
      return List.of();
    }
    if (kind != 1) {
      Frame f = Frame.UNPLACED.withCrs(crs);
      return List.of(PlaceStatement.ofFrame(50, "GEODATA", "the system " + crs, f));
    }
    double turn = Math.atan2(north[0], north[1]); // of north from the drawing's y axis, clockwise
    double x = design[0] * metres;
    double y = design[1] * metres;
    Position zero =
        new Position(
            reference[0] - (x * Math.cos(turn) - y * Math.sin(turn)),
            reference[1] - (x * Math.sin(turn) + y * Math.cos(turn)),
            reference[2] - design[2] * metres);
    Frame f = Frame.of(crs, "", zero, -Math.toDegrees(turn));
    return List.of(
        PlaceStatement.ofFrame(50, "GEODATA", "a local drawing in the system " + crs, f));
  }

  List<Finding> findings() {
    if (crs.isEmpty()) {
      return List.of(
          Finding.warning(
              RECEIVE,
              "drawing.geodata",
              "",
              "The drawing says where it lies (GEODATA) by a definition without a code that is known here. Name the system at the stop Place."));
    }
    return CrsCatalogue.shipped().find(crs).isPresent()
        ? List.of()
        : List.of(
            Finding.warning(
                RECEIVE,
                "system.unknown",
                "",
                "The system " + crs + " of GEODATA is not in the catalogue."));
  }
}
