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
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.schema.IfcSchema;

/** Writes what every file starts with: units, contexts, georeference, project and site. */
final class ProjectRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final PropertyRecords properties;
  private final GeoreferenceRecords place;
  private int identity;
  private int metre;
  private int bodyContext;
  private int axisContext;
  private int annotationContext;
  private int project;
  private int sitePlacement;
  private int site;

  ProjectRecords(StepWriter step, Parcel parcel, PropertyRecords properties) {
    this.step = step;
    this.parcel = parcel;
    this.properties = properties;
    place = new GeoreferenceRecords(step, parcel);
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

  IfcSchema schema() {
    return parcel.schema();
  }

  private int mapUnit(String title, double metres) throws IOException {
    return metres == 1 ? metre : conversionUnit(title, metres);
  }

  ProjectRecords write() throws IOException {
    if (schema() == IfcSchema.IFC2X3) {
      owner();
    }
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
    if (schema() != IfcSchema.IFC2X3) {
      place.mapConversion(model, schema(), this::mapUnit);
    }
    Map<String, PropertyValue> ofProject =
        parcel.root().map(r -> r.project().attributes()).orElse(Map.of());
    project =
        step.root(
            "IfcProject",
            id(parcel.root().map(ModelRoot::project), "project"),
            text(parcel.project()),
            EntityValues.of("Description", ofProject, parcel),
            UNSET,
            EntityValues.of("LongName", ofProject, parcel),
            stated(parcel.info().phase()),
            refs(List.of(model)),
            ref(units));
    spatial();
    return this;
  }

  private static StepValue stated(String s) {
    return s.isEmpty() ? UNSET : text(s);
  }

  private static String or(String stated, String otherwise) {
    return stated.isEmpty() ? otherwise : stated;
  }

  private String id(Optional<Holder> received, String what) {
    return received
        .map(Holder::globalId)
        .filter(g -> !g.isEmpty())
        .orElseGet(() -> parcel.ids().of(what, "product"));
  }

  private int units(int length) throws IOException {
    List<Integer> all = new ArrayList<>(List.of(length));
    all.add(step.add("IfcSIUnit", DERIVED, literal("AREAUNIT"), UNSET, literal("SQUARE_METRE")));
    all.add(step.add("IfcSIUnit", DERIVED, literal("VOLUMEUNIT"), UNSET, literal("CUBIC_METRE")));
    all.add(step.add("IfcSIUnit", DERIVED, literal("PLANEANGLEUNIT"), UNSET, literal("RADIAN")));
    all.addAll(new MeasureUnits(step, parcel).write(parcel));
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
    StepValue north = place.trueNorth();
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

  /**
   * IFC2x3 demands an owner history of every rooted object. Dates are not known, so the date is
   * that of the epoch: the same in every run.
   */
  private void owner() throws IOException {
    StepValue[] nobody = new StepValue[step.attributeCount("IfcPerson")];
    java.util.Arrays.fill(nobody, UNSET);
    nobody[1] = text(or(parcel.info().author(), "not stated"));
    int person = step.add("IfcPerson", nobody);
    int organisation =
        step.add(
            "IfcOrganization",
            UNSET,
            text(or(parcel.info().organisation(), "not stated")),
            UNSET,
            UNSET,
            UNSET);
    int both = step.add("IfcPersonAndOrganization", ref(person), ref(organisation), UNSET);
    int application =
        step.add(
            "IfcApplication", ref(organisation), text("0.1"), text("Wellspan"), text("Wellspan"));
    step.ownedBy(
        step.add(
            "IfcOwnerHistory",
            ref(both),
            ref(application),
            UNSET,
            literal("NOCHANGE"),
            UNSET,
            UNSET,
            UNSET,
            whole(0)));
  }

  private void spatial() throws IOException {
    sitePlacement = step.add("IfcLocalPlacement", UNSET, ref(identity));
    Map<String, PropertyValue> ofSite =
        parcel.root().flatMap(ModelRoot::site).map(Holder::attributes).orElse(Map.of());
    site =
        step.root(
            "IfcSite",
            id(parcel.root().flatMap(ModelRoot::site), "site"),
            text(or(parcel.info().site(), parcel.project())),
            EntityValues.of("Description", ofSite, parcel),
            UNSET,
            ref(sitePlacement),
            UNSET,
            EntityValues.of("LongName", ofSite, parcel),
            literal("ELEMENT"),
            place.latitude(),
            place.longitude(),
            place.elevation(),
            EntityValues.of("LandTitleNumber", ofSite, parcel),
            UNSET);
    if (schema() == IfcSchema.IFC2X3) {
      properties.attach("site", site, place.conventionalSets());
    }
    if (parcel.root().isPresent()) {
      ModelRoot root = parcel.root().get();
      properties.attach("project", project, root.project().propertySets());
      properties.attach("site", site, root.site().map(Holder::propertySets).orElse(List.of()));
    }
  }
}
