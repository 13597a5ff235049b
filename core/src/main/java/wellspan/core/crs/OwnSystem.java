package wellspan.core.crs;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.unit.LinearUnit;

/**
 * Coordinate reference systems from a text: PROJ parameters, WKT 1 (OGC and as in .prj files) or
 * WKT 2 (ISO 19162). Site grids come this way.
 */
public final class OwnSystem {
  /** Datums whose coordinates count as WGS 84's within a metre, by the beginning of their names. */
  private static final String[] NEAR_WGS84 = {
    "wgs 1984",
    "world geodetic system 1984",
    "etrs",
    "european terrestrial reference system 1989",
    "north american 1983",
    "nad83",
    "gda",
    "geocentric datum of australia",
    "nzgd2000",
    "new zealand 2000",
    "new zealand geodetic datum 2000",
    "jgd",
    "sirgas",
    "rgf93",
    "sweref",
    "china 2000",
    "pulkovo 2000"
  };

  /** Ellipsoids by name in PROJ's spelling, for texts that name no datum: a and 1/f. */
  private static final Map<String, String> DATUMS = Map.of("WGS84", "WGS 84", "NAD83", "NAD83");

  private OwnSystem() {}

  /**
   * @param name how the system is called in the job; if it is empty the text's own name is taken
   * @throws CrsTextException with a sentence, if the text cannot be used
   */
  public static Crs of(String name, String text) throws CrsTextException {
    String t = text.strip();
    if (t.isEmpty()) {
      throw new CrsTextException("There is no text. Paste the system as WKT or PROJ text.");
    }
    Crs crs = t.startsWith("+") || t.contains("+proj=") ? fromProj(name, t) : fromWkt(name, t);
    try {
      new Transformation(crs, Crs.WGS84);
    } catch (RuntimeException e) {
      throw new CrsTextException(
          "The system cannot be computed with: " + e.getMessage() + " Check the text.");
    }
    return crs;
  }

  /**
   * The catalogue's system that a WKT text means, by its EPSG code or by its name as in .prj files.
   */
  public static Optional<Crs> identify(String wkt) {
    try {
      WktNode root = WktNode.parse(wkt.strip());
      Optional<WktNode> id = root.child("AUTHORITY", "ID");
      if (id.isPresent()
          && id.get().name().equalsIgnoreCase("EPSG")
          && id.get().values().size() > 1) {
        Optional<Crs> known = CrsCatalogue.shipped().find(id.get().values().get(1));
        if (known.isPresent()) {
          return known;
        }
      }
      return WellKnownTexts.byName(root.name());
    } catch (CrsTextException e) {
      return Optional.empty();
    }
  }

  private static Crs fromProj(String name, String text) throws CrsTextException {
    String kind = parameter(text, "proj");
    if (kind.isEmpty()) {
      throw new CrsTextException("The PROJ text has no +proj= and so no projection.");
    }
    String clean =
        text.replaceAll("\\s+", " ").replaceAll("\\s*\\+(type|no_defs|wktext)(=\\S*)?", "").strip();
    boolean geographic = kind.equals("longlat") || kind.equals("latlong");
    double metres = geographic ? 0 : unitOfProj(text);
    String datum = parameter(text, "datum");
    return own(
        name.isBlank() ? "own system" : name,
        !geographic,
        metres,
        datum.isEmpty() ? parameter(text, "ellps") : DATUMS.getOrDefault(datum, datum),
        clean);
  }

  private static double unitOfProj(String text) throws CrsTextException {
    String factor = parameter(text, "to_meter");
    String units = parameter(text, "units");
    if (!factor.isEmpty()) {
      try {
        return Double.parseDouble(factor);
      } catch (NumberFormatException e) {
        throw new CrsTextException("+to_meter=" + factor + " is not a number.");
      }
    }
    return switch (units) {
      case "", "m" -> 1;
      case "km" -> 1000;
      case "ft" -> LinearUnit.FOOT.metres();
      case "us-ft" -> LinearUnit.US_SURVEY_FOOT.metres();
      default -> throw new CrsTextException("The unit " + units + " is not known here.");
    };
  }

  private static String parameter(String text, String key) {
    for (String word : text.split("\\s+")) {
      if (word.startsWith("+" + key + "=")) {
        return word.substring(key.length() + 2);
      }
    }
    return "";
  }

  private static Crs own(String name, boolean projected, double metres, String datum, String proj) {
    String unit =
        !projected
            ? "degree"
            : LinearUnit.nearest(metres).map(LinearUnit::title).orElse(metres + " m");
    DatumShift shift = proj.contains("+datum=WGS84") ? DatumShift.EXACT : DatumShift.UNKNOWN;
    AreaOfUse area = new AreaOfUse("area of use not stated", -180, -90, 180, 90);
    String code = name.chars().allMatch(Character::isDigit) ? "own " + name : name;
    return new Crs(code, projected, name, unit, metres, datum, area, proj, "", "", shift);
  }

  private static Crs fromWkt(String name, String text) throws CrsTextException {
    WktNode root = WktNode.parse(text);
    WktNode crs =
        switch (root.keyword()) {
          case "COMPD_CS", "COMPOUNDCRS" ->
              root.children().stream()
                  .filter(c -> c.keyword().startsWith("PROJ") || c.keyword().startsWith("GEOG"))
                  .findFirst()
                  .orElseThrow(() -> new CrsTextException("The compound system has no plan part."));
          case "BOUNDCRS" -> bound(root);
          default -> root;
        };
    String title = name.isBlank() ? crs.name() : name;
    return switch (crs.keyword()) {
      case "PROJCS" -> projected1(title, crs);
      case "PROJCRS", "PROJECTEDCRS" -> projected2(title, crs);
      case "GEOGCS", "GEOGCRS", "GEOGRAPHICCRS", "GEODCRS" ->
          own(title, false, 0, datumName(crs), "+proj=longlat " + datum(crs));
      default ->
          throw new CrsTextException(
              "\""
                  + crs.keyword()
                  + "\" is not a projected or geographic system. Give the system as WKT or PROJ text.");
    };
  }

  private static WktNode bound(WktNode root) throws CrsTextException {
    return root.child("SOURCECRS")
        .flatMap(s -> s.children().stream().findFirst())
        .orElseThrow(() -> new CrsTextException("The bound system has no source system."));
  }

  private static Crs projected1(String name, WktNode crs) throws CrsTextException {
    WktNode geographic =
        crs.child("GEOGCS")
            .orElseThrow(() -> new CrsTextException("The projected system names no datum."));
    Optional<WktNode> unit = crs.child("UNIT");
    double metres = unit.isPresent() ? unit.get().number(1) : 1;
    String method =
        crs.child("PROJECTION")
            .orElseThrow(() -> new CrsTextException("The projected system names no projection."))
            .name();
    double degrees = degrees(geographic);
    String proj = WktProjection.proj(method, crs.all("PARAMETER"), metres, degrees);
    return finished(name, proj, metres, geographic);
  }

  private static Crs projected2(String name, WktNode crs) throws CrsTextException {
    WktNode geographic =
        crs.child("BASEGEOGCRS", "BASEGEODCRS")
            .orElseThrow(() -> new CrsTextException("The projected system names no datum."));
    WktNode conversion =
        crs.child("CONVERSION")
            .orElseThrow(() -> new CrsTextException("The projected system names no projection."));
    Optional<WktNode> unit = crs.child("LENGTHUNIT", "UNIT");
    if (unit.isEmpty()) {
      unit = crs.child("AXIS").flatMap(a -> a.child("LENGTHUNIT", "UNIT"));
    }
    double metres = unit.isPresent() ? unit.get().number(1) : 1;
    String method = conversion.child("METHOD").map(WktNode::name).orElse("");
    String proj =
        WktProjection.proj(method, conversion.all("PARAMETER"), metres, degrees(geographic));
    return finished(name, proj, metres, geographic);
  }

  private static Crs finished(String name, String projection, double metres, WktNode geographic)
      throws CrsTextException {
    String unit = metres == 1 ? " +units=m" : " +to_meter=" + metres;
    return own(
        name, true, metres, datumName(geographic), projection + " " + datum(geographic) + unit);
  }

  private static double degrees(WktNode geographic) throws CrsTextException {
    Optional<WktNode> unit = geographic.child("UNIT", "ANGLEUNIT");
    return unit.isPresent() ? unit.get().degrees() : 1;
  }

  private static Optional<WktNode> datumNode(WktNode geographic) {
    return geographic.child("DATUM", "GEODETICDATUM", "TRF", "ENSEMBLE");
  }

  private static String datumName(WktNode geographic) {
    return datumNode(geographic)
        .map(WktNode::name)
        .orElse("")
        .replaceFirst("^D_", "")
        .replace('_', ' ');
  }

  private static String datum(WktNode geographic) throws CrsTextException {
    WktNode datum =
        datumNode(geographic).orElseThrow(() -> new CrsTextException("The system names no datum."));
    Optional<WktNode> ellipsoid = datum.child("SPHEROID", "ELLIPSOID");
    if (ellipsoid.isEmpty()) {
      throw new CrsTextException("The datum " + datum.name() + " names no ellipsoid.");
    }
    double a = ellipsoid.get().number(1);
    double inverseFlattening = ellipsoid.get().number(2);
    StringBuilder out = new StringBuilder("+a=" + a);
    out.append(inverseFlattening == 0 ? " +b=" + a : " +rf=" + inverseFlattening);
    Optional<WktNode> shift = datum.child("TOWGS84");
    if (shift.isPresent()) {
      out.append(" +towgs84=").append(String.join(",", shift.get().values()));
    } else if (nearWgs84(datumName(geographic))) {
      out.append(" +towgs84=0,0,0");
    }
    Optional<WktNode> meridian = geographic.child("PRIMEM", "PRIMEMERIDIAN");
    if (meridian.isPresent() && meridian.get().number(1) != 0) {
      // degrees, whatever the unit of the system's other angles, unless it names one itself
      Optional<WktNode> unit = meridian.get().child("ANGLEUNIT", "UNIT");
      double factor = unit.isPresent() ? unit.get().degrees() : 1;
      out.append(" +pm=").append(meridian.get().number(1) * factor);
    }
    return out.toString();
  }

  private static boolean nearWgs84(String datum) {
    String d = datum.toLowerCase(Locale.ROOT);
    for (String start : NEAR_WGS84) {
      if (d.startsWith(start)) {
        return true;
      }
    }
    return false;
  }
}
