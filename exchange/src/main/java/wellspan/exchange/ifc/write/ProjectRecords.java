package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.DERIVED;
import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;
import static wellspan.exchange.ifc.write.StepValue.typed;
import static wellspan.exchange.ifc.write.StepValue.whole;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.GridNorth;
import wellspan.core.crs.Transformation;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.unit.LinearUnit;

/**
 * Writes what every file starts with: units, contexts, georeference, project, site, road and road
 * part.
 */
final class ProjectRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private int identity;
  private int metre;
  private int bodyContext;
  private int axisContext;
  private int annotationContext;
  private int project;
  private int sitePlacement;
  private int site;
  private int road;
  private int roadPart;

  ProjectRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    this.parcel = parcel;
  }

  int identity() {
    return identity;
  }

  int bodyContext() {
    return bodyContext;
  }

  int axisContext() {
    return axisContext;
  }

  int annotationContext() {
    return annotationContext;
  }

  int project() {
    return project;
  }

  int sitePlacement() {
    return sitePlacement;
  }

  int site() {
    return site;
  }

  int road() {
    return road;
  }

  int roadPart() {
    return roadPart;
  }

  ProjectRecords write() throws IOException {
    int origin = step.add("IfcCartesianPoint", reals(0, 0, 0));
    identity = step.add("IfcAxis2Placement3D", ref(origin), UNSET, UNSET);
    metre = step.add("IfcSIUnit", DERIVED, literal("LENGTHUNIT"), UNSET, literal("METRE"));
    int length =
        switch (parcel.unit()) {
          case METRE -> metre;
          case MILLIMETRE ->
              step.add(
                  "IfcSIUnit", DERIVED, literal("LENGTHUNIT"), literal("MILLI"), literal("METRE"));
          default -> conversionUnit(parcel.unit().title(), parcel.unit().metres());
        };
    int units = units(length);
    int model = contexts();
    georeference(model);
    project =
        step.add(
            "IfcProject",
            text(id("project")),
            UNSET,
            text(parcel.project()),
            UNSET,
            UNSET,
            UNSET,
            UNSET,
            refs(List.of(model)),
            ref(units));
    spatial();
    return this;
  }

  private String id(String what) {
    return parcel.ids().of(what, "product");
  }

  private int units(int length) throws IOException {
    List<Integer> all = new ArrayList<>(List.of(length));
    all.add(step.add("IfcSIUnit", DERIVED, literal("AREAUNIT"), UNSET, literal("SQUARE_METRE")));
    all.add(step.add("IfcSIUnit", DERIVED, literal("VOLUMEUNIT"), UNSET, literal("CUBIC_METRE")));
    all.add(step.add("IfcSIUnit", DERIVED, literal("PLANEANGLEUNIT"), UNSET, literal("RADIAN")));
    return step.add("IfcUnitAssignment", refs(all));
  }

  private int conversionUnit(String name, double metres) throws IOException {
    int dimensions =
        step.add(
            "IfcDimensionalExponents",
            whole(1),
            whole(0),
            whole(0),
            whole(0),
            whole(0),
            whole(0),
            whole(0));
    int factor =
        step.add("IfcMeasureWithUnit", typed("IfcLengthMeasure", real(metres)), ref(metre));
    return step.add(
        "IfcConversionBasedUnit", ref(dimensions), literal("LENGTHUNIT"), text(name), ref(factor));
  }

  private int contexts() throws IOException {
    StepValue north = trueNorth();
    double precision = 1e-6 / parcel.unit().metres();
    int model =
        step.add(
            "IfcGeometricRepresentationContext",
            UNSET,
            text("Model"),
            whole(3),
            real(precision),
            ref(identity),
            north);
    bodyContext = subContext(model, "Body");
    axisContext = subContext(model, "Axis");
    annotationContext = subContext(model, "Annotation");
    return model;
  }

  private int subContext(int model, String name) throws IOException {
    return step.add(
        "IfcGeometricRepresentationSubContext",
        text(name),
        text("Model"),
        DERIVED,
        DERIVED,
        DERIVED,
        DERIVED,
        ref(model),
        UNSET,
        literal("MODEL_VIEW"),
        UNSET);
  }

  private Optional<Crs> crs() {
    return parcel.frame().crs().isEmpty()
        ? Optional.empty()
        : CrsCatalogue.shipped().find(parcel.frame().crs());
  }

  /**
   * Direction of true north in the local plane: the site's rotation and the grid's convergence
   * together.
   */
  private StepValue trueNorth() throws IOException {
    Optional<Crs> crs = crs().filter(Crs::projected);
    if (crs.isEmpty()) {
      return UNSET;
    }
    try {
      GridNorth north = GridNorth.at(crs.get(), parcel.frame().basePoint());
      double fromSite =
          Math.toRadians(-north.convergenceDegrees() - parcel.frame().rotationDegrees());
      return ref(step.add("IfcDirection", reals(Math.sin(fromSite), Math.cos(fromSite))));
    } catch (Transformation.OutsideAreaException | IllegalArgumentException e) {
      return UNSET; // not known here, so not said; the frame's checks have reported it
    }
  }

  private void georeference(int model) throws IOException {
    Frame f = parcel.frame();
    if (f.crs().isEmpty()) {
      return;
    }
    double mapUnit = crs().map(Crs::metresPerUnit).filter(m -> m > 0).orElse(1.0);
    int unit =
        mapUnit == 1 ? metre : conversionUnit(crs().map(Crs::unit).orElse("map unit"), mapUnit);
    int target =
        step.add(
            "IfcProjectedCRS",
            text(f.crs()),
            crs().map(c -> text(c.name())).orElse(UNSET),
            crs().map(c -> text(c.datum())).orElse(UNSET),
            f.verticalDatum().isEmpty() ? UNSET : text(f.verticalDatum()),
            UNSET,
            UNSET,
            ref(unit));
    double angle = Math.toRadians(-f.rotationDegrees());
    step.add(
        "IfcMapConversion",
        ref(model),
        ref(target),
        real(f.basePoint().east() / mapUnit),
        real(f.basePoint().north() / mapUnit),
        real(f.basePoint().height() / mapUnit),
        real(Math.cos(angle)),
        real(Math.sin(angle)),
        real(
            parcel.unit() == LinearUnit.METRE && mapUnit == 1
                ? 1
                : parcel.unit().metres() / mapUnit));
  }

  private void spatial() throws IOException {
    sitePlacement = step.add("IfcLocalPlacement", UNSET, ref(identity));
    site =
        step.add(
            "IfcSite",
            text(id("site")),
            UNSET,
            text(parcel.project()),
            UNSET,
            UNSET,
            ref(sitePlacement),
            UNSET,
            UNSET,
            literal("ELEMENT"),
            UNSET,
            UNSET,
            UNSET,
            UNSET,
            UNSET);
    int roadPlacement = step.add("IfcLocalPlacement", ref(sitePlacement), ref(identity));
    road =
        step.add(
            "IfcRoad",
            text(id("road")),
            UNSET,
            text("Road"),
            UNSET,
            UNSET,
            ref(roadPlacement),
            UNSET,
            UNSET,
            literal("ELEMENT"),
            UNSET);
    int partPlacement = step.add("IfcLocalPlacement", ref(roadPlacement), ref(identity));
    roadPart =
        step.add(
            "IfcRoadPart",
            text(id("road part")),
            UNSET,
            text("Road segment"),
            UNSET,
            UNSET,
            ref(partPlacement),
            UNSET,
            UNSET,
            literal("ELEMENT"),
            literal("LONGITUDINAL"),
            literal("ROADSEGMENT"));
  }
}
