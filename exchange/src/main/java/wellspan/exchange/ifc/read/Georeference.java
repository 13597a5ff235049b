package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.unit.LinearUnit;

/**
 * How a file's own coordinates become shared ones: scale to metres, turn, shift.
 *
 * @param scale metres on the map in one unit of the file, horizontally
 * @param upwards metres in one unit of the file, vertically
 * @param cos of the angle from the map's easting axis to the file's x axis
 * @param places everything that the file says of where it lies, strongest first
 * @param declared whether the file says so; otherwise its coordinates are taken as they are
 */
record Georeference(
    double scale,
    double upwards,
    double cos,
    double sin,
    double east,
    double north,
    double height,
    List<PlaceStatement> places,
    boolean declared) {

  /** Placements of less than this are shifts inside a model, not places on a map, metres. */
  private static final double LARGE = 10_000;

  /**
   * @param doubts takes what is wrong with statements of where the model lies; they do not count
   */
  static Georeference of(
      IfcModel model,
      Units units,
      PropertyReader properties,
      Soundness soundness,
      List<String> doubts) {
    List<PlaceStatement> places = new ArrayList<>();
    Optional<Georeference> found =
        operation(model, "IFCMAPCONVERSION", soundness, doubts)
            .map(c -> mapConversion(c, units))
            .or(
                () ->
                    operation(model, "IFCRIGIDOPERATION", soundness, doubts)
                        .map(c -> rigidOperation(c, units)))
            .or(() -> conventionalSets(model, units, properties));
    found.ifPresent(g -> places.addAll(g.places()));
    try {
      context(model, units, places);
    } catch (Unread e) {
      doubts.add(e.getMessage());
    }
    sites(model, units, places);
    Georeference g =
        found.orElseGet(
            () ->
                new Georeference(units.length(), units.length(), 1, 0, 0, 0, 0, List.of(), false));
    return new Georeference(
        g.scale,
        g.upwards,
        g.cos,
        g.sin,
        g.east,
        g.north,
        g.height,
        List.copyOf(places),
        g.declared);
  }

  /** The one sound operation of a kind; others that say something else are a doubt. */
  private static Optional<Instance> operation(
      IfcModel model, String kind, Soundness soundness, List<String> doubts) {
    if (model.schema().entity(kind).isEmpty()) {
      return Optional.empty();
    }
    Instance taken = null;
    for (Instance c : model.all(kind)) {
      Optional<String> fault = soundness.whole(c);
      if (fault.isPresent()) {
        doubts.add(fault.get());
      } else if (taken == null) {
        taken = c;
      } else if (!taken
          .values()
          .subList(1, taken.values().size())
          .equals(c.values().subList(1, c.values().size()))) {
        doubts.add("#" + c.id() + " says another place than #" + taken.id());
      }
    }
    return Optional.ofNullable(taken);
  }

  private static Georeference mapConversion(Instance c, Units units) {
    Target t = Target.of(c.ref("TargetCRS"), units);
    double all = c.number("Scale", 1) * t.mapUnit();
    return of(
        "the map conversion",
        t,
        units,
        new double[] {
          c.number("Eastings", 0) * t.mapUnit(),
          c.number("Northings", 0) * t.mapUnit(),
          c.number("OrthogonalHeight", 0) * t.mapUnit()
        },
        c.number("XAxisAbscissa", 1),
        c.number("XAxisOrdinate", 0),
        all * c.number("FactorX", 1),
        all * c.number("FactorZ", 1));
  }

  private static Georeference rigidOperation(Instance c, Units units) {
    Target t = Target.of(c.ref("TargetCRS"), units);
    return of(
        "the rigid operation",
        t,
        units,
        new double[] {
          c.number("FirstCoordinate", 0) * t.mapUnit(),
          c.number("SecondCoordinate", 0) * t.mapUnit(),
          c.number("Height", 0) * t.mapUnit()
        },
        1,
        0,
        units.length(),
        units.length());
  }

  private static Optional<Georeference> conventionalSets(
      IfcModel model, Units units, PropertyReader properties) {
    List<Instance> hosts = new ArrayList<>(model.all("IFCSITE"));
    hosts.addAll(model.all("IFCPROJECT"));
    for (Instance host : hosts) {
      Map<String, PropertyValue> conversion = set(properties.of(host), "ePSet_MapConversion");
      if (!conversion.containsKey("Eastings") || !conversion.containsKey("Northings")) {
        continue;
      }
      Map<String, PropertyValue> system = set(properties.of(host), "ePSet_ProjectedCRS");
      Target t =
          new Target(
              word(system, "Name"),
              word(system, "Description"),
              word(system, "VerticalDatum"),
              Target.named(word(system, "MapUnit")));
      double scale =
          number(conversion, "Scale", units.length() / t.mapUnit(), t.mapUnit()) * t.mapUnit();
      return Optional.of(
          of(
              "ePSet_MapConversion",
              t,
              units,
              new double[] {
                metres(conversion, "Eastings", t.mapUnit()),
                metres(conversion, "Northings", t.mapUnit()),
                metres(conversion, "OrthogonalHeight", t.mapUnit())
              },
              number(conversion, "XAxisAbscissa", 1, 1),
              number(conversion, "XAxisOrdinate", 0, 1),
              scale,
              scale));
    }
    return Optional.empty();
  }

  private static Map<String, PropertyValue> set(List<PropertySet> sets, String name) {
    return sets.stream()
        .filter(s -> s.name().equalsIgnoreCase(name))
        .findFirst()
        .map(PropertySet::values)
        .orElse(Map.of());
  }

  private static String word(Map<String, PropertyValue> set, String name) {
    return set.get(name) instanceof PropertyValue.Label(String s) ? s : "";
  }

  /** Plain reals are in the map's unit, length measures were brought to metres by the reader. */
  private static double metres(Map<String, PropertyValue> set, String name, double mapUnit) {
    return number(set, name, 0, mapUnit) * mapUnit;
  }

  private static double number(
      Map<String, PropertyValue> set, String name, double otherwise, double lengthUnit) {
    return switch (set.get(name)) {
      case PropertyValue.Real(double d) -> d;
      case PropertyValue.Count(long n) -> n;
      case PropertyValue.Length(double m) -> m / lengthUnit;
      case null, default -> otherwise;
    };
  }

  /** The reference system that coordinates are brought to. */
  private record Target(String name, String description, String verticalDatum, double mapUnit) {
    static Target of(Optional<Instance> crs, Units units) {
      double mapUnit =
          crs.flatMap(t -> t.ref("MapUnit"))
              .map(Units::metres)
              .filter(Double::isFinite)
              .orElse(units.length());
      return new Target(
          crs.map(t -> t.text("Name")).orElse(""),
          crs.map(t -> t.text("Description")).orElse(""),
          crs.map(t -> t.text("VerticalDatum")).orElse(""),
          mapUnit);
    }

    static double named(String unit) {
      return unit.isEmpty()
          ? 1
          : LinearUnit.named(unit.equalsIgnoreCase("meter") ? "metre" : unit)
              .map(LinearUnit::metres)
              .orElse(1.0);
    }

    /** The text of a system that the catalogue does not have. */
    String definition() {
      boolean text = description.contains("+proj=") || description.contains("[");
      return text && CrsCatalogue.shipped().find(name).isEmpty() ? description : "";
    }
  }

  private static Georeference of(
      String where,
      Target t,
      Units units,
      double[] base,
      double x,
      double y,
      double horizontal,
      double upwards) {
    double length = Math.hypot(x, y);
    double rotation = -Math.toDegrees(Math.atan2(y, x));
    double local = units.length() / horizontal;
    // the horizontal scale of frames lies near 1; anything else is a slip of units that is reported
    boolean usual = local > 0.1 && local < 10;
    Frame frame =
        new Frame(
            t.name(),
            t.definition(),
            t.verticalDatum(),
            Double.NaN,
            new Position(base[0], base[1], base[2]),
            rotation == 0 ? 0 : rotation,
            usual ? nearOne(local) : 1,
            LinearUnit.nearest(units.length()).orElse(LinearUnit.METRE),
            "");
    return new Georeference(
        horizontal,
        upwards,
        x / length,
        y / length,
        base[0],
        base[1],
        base[2],
        List.of(PlaceStatement.ofFrame(50, where, says(frame), frame)),
        true);
  }

  /** Unit factors carry rounding of the last digit, scales do not. */
  private static double nearOne(double scale) {
    return Math.abs(scale - 1) < 1e-14 ? 1 : scale;
  }

  private static String says(Frame f) {
    Position p = f.basePoint();
    return String.format(
        Locale.ROOT,
        "zero at E %.3f N %.3f H %.3f%s",
        p.east(),
        p.north(),
        p.level(),
        f.crs().isEmpty() ? "" : " in " + f.crs());
  }

  /** Level 40: world coordinate system and true north of the model context. */
  private static void context(IfcModel model, Units units, List<PlaceStatement> places) {
    for (Instance c : model.all("IFCGEOMETRICREPRESENTATIONCONTEXT")) {
      if (c.isA("IFCGEOMETRICREPRESENTATIONSUBCONTEXT")
          || !c.text("ContextType").equalsIgnoreCase("Model")) {
        continue;
      }
      double[] m = Placement.axis(c.ref("WorldCoordinateSystem")).m();
      double e = m[3] * units.length();
      double n = m[7] * units.length();
      if (Math.hypot(e, n) > LARGE) {
        double rotation = -Math.toDegrees(Math.atan2(m[4], m[0]));
        Frame f =
            Frame.of("", "", new Position(e, n, m[11] * units.length()), rotation)
                .withUnit(LinearUnit.nearest(units.length()).orElse(LinearUnit.METRE));
        places.add(PlaceStatement.ofFrame(40, "the world coordinate system", says(f), f));
      }
      return;
    }
  }

  /** Levels 30, 20 and 10: placement, latitude and longitude, address of the sites. */
  private static void sites(IfcModel model, Units units, List<PlaceStatement> places) {
    for (Instance site : model.all("IFCSITE")) {
      double[] m;
      try {
        m = Placements.withoutLines().of(site).m();
      } catch (Unread e) {
        continue; // what stands on the site is left out with this reason
      }
      double e = m[3] * units.length();
      double n = m[7] * units.length();
      if (Math.hypot(e, n) > LARGE) {
        double rotation = -Math.toDegrees(Math.atan2(m[4], m[0]));
        Frame f =
            Frame.of(
                    "",
                    "",
                    new Position(e, n, m[11] * units.length()),
                    rotation == 0 ? 0 : rotation)
                .withUnit(LinearUnit.nearest(units.length()).orElse(LinearUnit.METRE));
        places.add(PlaceStatement.ofFrame(30, "the site's placement", says(f), f));
      }
      double latitude = degrees(site.numbers("RefLatitude"));
      double longitude = degrees(site.numbers("RefLongitude"));
      if (Double.isFinite(latitude)
          && Double.isFinite(longitude)
          && (latitude != 0 || longitude != 0)) {
        places.add(
            PlaceStatement.ofPlace(
                20,
                "the site's latitude and longitude",
                String.format(Locale.ROOT, "%.6f° N %.6f° E", latitude, longitude),
                longitude,
                latitude));
      }
      site.ref("SiteAddress")
          .ifPresent(
              a ->
                  places.add(
                      new PlaceStatement(
                          10,
                          "the site's address",
                          address(a),
                          Optional.empty(),
                          Optional.empty())));
    }
  }

  private static String address(Instance a) {
    List<String> parts = new ArrayList<>();
    for (String part : List.of("PostalCode", "Town", "Region", "Country")) {
      if (!a.text(part).isEmpty()) {
        parts.add(a.text(part));
      }
    }
    return parts.isEmpty() ? "an address" : String.join(" ", parts);
  }

  /** Degrees, minutes, seconds and millionths of a second, all of one sign; NaN if not given. */
  private static double degrees(double[] v) {
    if (v.length < 3) {
      return Double.NaN;
    }
    double sum = v[0] + v[1] / 60 + v[2] / 3600;
    return v.length > 3 ? sum + v[3] / 3.6e9 : sum;
  }

  /** The frame by which coordinates were brought to shared ones. */
  Optional<Frame> frame() {
    return declared ? places.getFirst().frame() : Optional.empty();
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
      xyz[i + 2] = height + xyz[i + 2] * upwards;
    }
  }
}
