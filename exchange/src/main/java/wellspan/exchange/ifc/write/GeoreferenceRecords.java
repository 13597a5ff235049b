package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.many;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.text;
import static wellspan.exchange.ifc.write.StepValue.whole;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.crs.Crs;
import wellspan.core.crs.GridNorth;
import wellspan.core.crs.Transformation;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.schema.IfcSchema;

/**
 * Writes where a file lies: map conversion and projected system in IFC4 and IFC4.3, property sets
 * by convention in IFC2x3, and for all of them true north and the site's latitude and longitude.
 */
final class GeoreferenceRecords {
  private final StepWriter step;
  private final Frame frame;
  private final Optional<Crs> crs;
  private final double unit;
  private final double mapUnit;
  private final Optional<Place> place;

  /** Direction of true north and geographic position of the file's zero. */
  private record Place(GridNorth grid, double longitude, double latitude) {}

  GeoreferenceRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    frame = parcel.frame();
    unit = parcel.unit().metres();
    crs = frame.system();
    mapUnit = crs.map(Crs::metresPerUnit).filter(m -> m > 0).orElse(1.0);
    place = crs.filter(Crs::projected).flatMap(c -> place(c, frame.basePoint()));
  }

  /** Empty where it is not known, so not said; the frame's checks have reported it. */
  private static Optional<Place> place(Crs crs, Position zero) {
    try {
      GridNorth north = GridNorth.at(crs, zero);
      double u = crs.metresPerUnit();
      double[] wgs84 = new Transformation(crs, Crs.WGS84).apply(zero.east() / u, zero.north() / u);
      return Optional.of(new Place(north, wgs84[0], wgs84[1]));
    } catch (Transformation.OutsideAreaException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /**
   * Direction of true north in the local plane: the site's rotation and the grid's convergence
   * together.
   */
  StepValue trueNorth() throws IOException {
    if (place.isEmpty()) {
      return UNSET;
    }
    double fromSite =
        Math.toRadians(-place.get().grid().convergenceDegrees() - frame.rotationDegrees());
    return ref(step.add("IfcDirection", StepValue.reals(Math.sin(fromSite), Math.cos(fromSite))));
  }

  StepValue latitude() {
    return place.map(p -> compoundAngle(p.latitude())).orElse(UNSET);
  }

  StepValue longitude() {
    return place.map(p -> compoundAngle(p.longitude())).orElse(UNSET);
  }

  StepValue elevation() {
    return frame.crs().isEmpty() ? UNSET : real(frame.basePoint().level() / unit);
  }

  /** Degrees, minutes, seconds and millionths of a second, all of one sign. */
  static StepValue compoundAngle(double degrees) {
    long millionths = Math.round(Math.abs(degrees) * 3_600_000_000L);
    long sign = degrees < 0 ? -1 : 1;
    return many(
        whole(sign * (millionths / 3_600_000_000L)),
        whole(sign * (millionths / 60_000_000 % 60)),
        whole(sign * (millionths / 1_000_000 % 60)),
        whole(sign * (millionths % 1_000_000)));
  }

  private double scale() {
    double perUnit = unit == mapUnit ? 1 : unit / mapUnit;
    return perUnit / frame.scale();
  }

  /**
   * Map conversion and projected system.
   *
   * @param model the context it starts from
   * @param units makes a length unit of a title and its metres
   */
  void mapConversion(int model, IfcSchema schema, UnitMaker units) throws IOException {
    if (frame.crs().isEmpty()) {
      return;
    }
    int target =
        step.add(
            "IfcProjectedCRS",
            text(frame.crs()),
            description(),
            crs.map(c -> text(c.datum())).orElse(UNSET),
            frame.verticalDatum().isEmpty() ? UNSET : text(frame.verticalDatum()),
            UNSET,
            UNSET,
            ref(units.unit(crs.map(Crs::unit).orElse("map unit"), mapUnit)));
    double angle = Math.toRadians(-frame.rotationDegrees());
    Position b = frame.basePoint();
    boolean scaled = schema == IfcSchema.IFC4X3 && frame.scale() != 1;
    StepValue[] common = {
      ref(model),
      ref(target),
      real(b.east() / mapUnit),
      real(b.north() / mapUnit),
      real(b.level() / mapUnit),
      real(Math.cos(angle)),
      real(Math.sin(angle)),
      real(scaled ? unit / mapUnit : scale())
    };
    if (scaled) {
      StepValue[] all = java.util.Arrays.copyOf(common, common.length + 3);
      all[common.length] = real(1 / frame.scale());
      all[common.length + 1] = real(1 / frame.scale());
      all[common.length + 2] = real(1);
      step.add("IfcMapConversionScaled", all);
    } else {
      step.add("IfcMapConversion", common);
    }
    if (schema == IfcSchema.IFC4X3 && frame.definition().contains("[")) {
      step.add("IfcWellKnownText", text(frame.definition()), ref(target));
    }
  }

  /** A system of the job's own is described by its text, so that it can be read back. */
  private StepValue description() {
    return frame.definition().isEmpty()
        ? crs.map(c -> text(c.name())).orElse(UNSET)
        : text(frame.definition());
  }

  /** Makes length units. */
  interface UnitMaker {
    int unit(String title, double metres) throws IOException;
  }

  /** The same as property sets with the names of the IFC4 attributes, for IFC2x3. */
  List<PropertySet> conventionalSets() {
    if (frame.crs().isEmpty()) {
      return List.of();
    }
    double angle = Math.toRadians(-frame.rotationDegrees());
    Position b = frame.basePoint();
    Map<String, PropertyValue> conversion = new LinkedHashMap<>();
    conversion.put("Eastings", new PropertyValue.Real(b.east() / mapUnit));
    conversion.put("Northings", new PropertyValue.Real(b.north() / mapUnit));
    conversion.put("OrthogonalHeight", new PropertyValue.Real(b.level() / mapUnit));
    conversion.put("XAxisAbscissa", new PropertyValue.Real(Math.cos(angle)));
    conversion.put("XAxisOrdinate", new PropertyValue.Real(Math.sin(angle)));
    conversion.put("Scale", new PropertyValue.Real(scale()));
    Map<String, PropertyValue> system = new LinkedHashMap<>();
    system.put("Name", new PropertyValue.Label(frame.crs()));
    if (!frame.definition().isEmpty()) {
      system.put("Description", new PropertyValue.Label(frame.definition()));
    } else if (crs.isPresent()) {
      system.put("Description", new PropertyValue.Label(crs.get().name()));
    }
    crs.ifPresent(c -> system.put("GeodeticDatum", new PropertyValue.Label(c.datum())));
    if (!frame.verticalDatum().isEmpty()) {
      system.put("VerticalDatum", new PropertyValue.Label(frame.verticalDatum()));
    }
    system.put(
        "MapUnit",
        new PropertyValue.Label(mapUnit == 1 ? "METRE" : crs.map(Crs::unit).orElse("METRE")));
    return List.of(
        new PropertySet("ePSet_MapConversion", conversion),
        new PropertySet("ePSet_ProjectedCRS", system));
  }
}
