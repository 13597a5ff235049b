package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Cant;
import wellspan.core.align.Chainages;
import wellspan.core.align.LayoutElements;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.ProfileSegment;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.shape.Shape;

/**
 * Writes an alignment: layouts with their segments, curve geometry, a polyline for simple
 * receivers, referents.
 */
final class AlignmentRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final ProjectRecords project;
  private final PropertyRecords properties;
  private final LocalCoordinates local;
  private final AlignmentLines curves;
  private final Representations representations;
  private final double unit;
  private Parcel.Piece piece;

  AlignmentRecords(
      StepWriter step,
      Parcel parcel,
      ProjectRecords project,
      PropertyRecords properties,
      LocalCoordinates local,
      AlignmentLines curves,
      Representations representations) {
    this.representations = representations;
    this.step = step;
    this.parcel = parcel;
    this.project = project;
    this.properties = properties;
    this.local = local;
    this.curves = curves;
    unit = local.unit();
  }

  private String id(String role) {
    return parcel.ids().of(piece.key(), role);
  }

  /**
   * @return the alignment
   */
  int write(Parcel.Piece p, Shape.Axis axisOf) throws IOException {
    piece = p;
    EntityClass c = p.description().entityClass();
    if (!c.entity().equals("IfcAlignment")) {
      throw new SchemaViolation(
          "The alignment "
              + p.item().name()
              + " can only be delivered as IfcAlignment, not as "
              + c
              + ".");
    }
    Alignment a = local.of(axisOf.alignment());
    int base = curves.inPlan(axisOf.alignment());
    List<Integer> shapes = new ArrayList<>();
    int axis = base;
    if (a.profile().isPresent()) {
      shapes.add(representations.add(project.axisContext(), "FootPrint", "Curve2D", List.of(base)));
      axis = curves.along(axisOf.alignment());
      shapes.add(representations.add(project.axisContext(), "Axis", "Curve3D", List.of(axis)));
    } else {
      shapes.add(representations.add(project.axisContext(), "Axis", "Curve2D", List.of(base)));
    }
    shapes.add(
        representations.add(
            project.annotationContext(),
            "Annotation",
            "GeometricCurveSet",
            List.of(polyline(new Shape.Axis(a, axisOf.chord())))));
    int shape = step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(shapes));
    int placement = step.add("IfcLocalPlacement", UNSET, ref(project.identity()));
    int alignment =
        step.root(
            "IfcAlignment",
            p.description().globalId(),
            text(p.item().name()),
            EntityValues.of("Description", p.description().attributes(), parcel),
            UNSET,
            ref(placement),
            ref(shape),
            c.predefinedType().isEmpty() ? UNSET : literal(c.predefinedType()));
    List<Integer> layouts = new ArrayList<>(List.of(horizontal(LayoutElements.of(a), placement)));
    if (a.profile().isPresent()) {
      layouts.add(vertical(a.profile().get().segments(), placement));
    }
    Optional<Cant> cant = Cant.of(p.description().propertySets(), axisOf.alignment().chainages());
    if (cant.isPresent()) {
      double along = a.length() / axisOf.alignment().length() / unit;
      layouts.add(new CantRecords(step, this::id, along, unit).write(cant.get(), placement));
    }
    step.root("IfcRelNests", id("layouts"), UNSET, UNSET, ref(alignment), refs(layouts));
    step.root(
        "IfcRelNests", id("referents"), UNSET, UNSET, ref(alignment), refs(referents(a, axis)));
    return alignment;
  }

  private int horizontal(List<PlanElement> elements, int placement) throws IOException {
    int layout =
        step.root(
            "IfcAlignmentHorizontal", id("horizontal"), UNSET, UNSET, UNSET, ref(placement), UNSET);
    List<Integer> segments = new ArrayList<>();
    for (PlanElement e : elements) {
      String type =
          switch (e) {
            case PlanElement.Line l -> "LINE";
            case PlanElement.Arc r -> "CIRCULARARC";
            case PlanElement.Spiral s -> SpiralTypes.of(s);
            case PlanElement.Irregular i ->
                throw new IllegalStateException("taken to pieces before");
          };
      segments.add(
          horizontalSegment(
              segments.size(),
              placement,
              e.start(),
              radius(e.startCurvature()),
              radius(e.endCurvature()),
              e.length(),
              type));
    }
    segments.add(
        horizontalSegment(segments.size(), placement, elements.getLast().end(), 0, 0, 0, "LINE"));
    step.root("IfcRelNests", id("horizontal segments"), UNSET, UNSET, ref(layout), refs(segments));
    return layout;
  }

  private static double radius(double curvature) {
    return curvature == 0 ? 0 : 1 / curvature;
  }

  private int horizontalSegment(
      int number,
      int placement,
      PlanPoint start,
      double radiusStart,
      double radiusEnd,
      double length,
      String type)
      throws IOException {
    int point = step.add("IfcCartesianPoint", reals(start.east() / unit, start.north() / unit));
    int design =
        step.add(
            "IfcAlignmentHorizontalSegment",
            UNSET,
            UNSET,
            ref(point),
            real(start.direction()),
            real(radiusStart / unit),
            real(radiusEnd / unit),
            real(length / unit),
            UNSET,
            literal(type));
    return segment("horizontal " + number, placement, design);
  }

  private int vertical(List<ProfileSegment> profile, int placement) throws IOException {
    int layout =
        step.root(
            "IfcAlignmentVertical", id("vertical"), UNSET, UNSET, UNSET, ref(placement), UNSET);
    List<Integer> segments = new ArrayList<>();
    for (ProfileSegment s : profile) {
      int number = segments.size();
      segments.add(
          switch (s) {
            case ProfileSegment.Grade g ->
                verticalSegment(number, placement, g, UNSET, "CONSTANTGRADIENT");
            case ProfileSegment.Parabola p ->
                verticalSegment(
                    number,
                    placement,
                    p,
                    real(p.length() / (p.endGrade() - p.startGrade()) / unit),
                    "PARABOLICARC");
            case ProfileSegment.Circle c ->
                verticalSegment(number, placement, c, real(c.radius() / unit), "CIRCULARARC");
          });
    }
    ProfileSegment last = profile.getLast();
    ProfileSegment end =
        new ProfileSegment.Grade(last.endDistance(), 0, last.endLevel(), last.endGrade());
    segments.add(verticalSegment(segments.size(), placement, end, UNSET, "CONSTANTGRADIENT"));
    step.root("IfcRelNests", id("vertical segments"), UNSET, UNSET, ref(layout), refs(segments));
    return layout;
  }

  private int verticalSegment(
      int number, int placement, ProfileSegment s, StepValue radius, String type)
      throws IOException {
    int design =
        step.add(
            "IfcAlignmentVerticalSegment",
            UNSET,
            UNSET,
            real(s.startDistance() / unit),
            real(s.length() / unit),
            real(s.startLevel() / unit),
            real(s.startGrade()),
            real(s.endGrade()),
            radius,
            literal(type));
    return segment("vertical " + number, placement, design);
  }

  private int segment(String role, int placement, int design) throws IOException {
    return step.root(
        "IfcAlignmentSegment", id(role), UNSET, UNSET, UNSET, ref(placement), UNSET, ref(design));
  }

  /** A line of points for receivers that do not know the curves. */
  private int polyline(Shape.Axis axis) throws IOException {
    List<Integer> points = new ArrayList<>();
    Polyline chords = axis.line();
    for (int i = 0; i < chords.pointCount(); i++) {
      Position p = chords.point(i);
      points.add(
          step.add(
              "IfcCartesianPoint",
              Double.isFinite(p.level())
                  ? reals(p.east() / unit, p.north() / unit, p.level() / unit)
                  : reals(p.east() / unit, p.north() / unit)));
    }
    int line = step.add("IfcPolyline", refs(points));
    return step.add("IfcGeometricCurveSet", refs(List.of(line)));
  }

  private List<Integer> referents(Alignment a, int curve) throws IOException {
    List<Integer> out = new ArrayList<>();
    Map<String, PropertyValue> start = new LinkedHashMap<>();
    start.put("Station", new PropertyValue.Length(a.startChainage()));
    out.add(referent("start", a, curve, 0, start));
    for (Chainages.Equation e : a.chainages().equations()) {
      if (e.distance() > 0 && e.distance() <= a.length()) {
        Map<String, PropertyValue> v = new LinkedHashMap<>();
        v.put("IncomingStation", new PropertyValue.Length(e.back()));
        v.put("Station", new PropertyValue.Length(e.ahead()));
        v.put("HasIncreasingStation", new PropertyValue.Flag(e.increasing()));
        out.add(referent("equation " + out.size(), a, curve, e.distance(), v));
      }
    }
    return out;
  }

  private int referent(
      String role, Alignment a, int curve, double distance, Map<String, PropertyValue> stationing)
      throws IOException {
    AlignmentPoint p = a.at(distance);
    double level = Double.isFinite(p.level()) ? p.level() : 0;
    int along =
        step.add(
            "IfcPointByDistanceExpression",
            StepValue.typed("IfcLengthMeasure", real(distance / unit)),
            UNSET,
            UNSET,
            UNSET,
            ref(curve));
    int linear = step.add("IfcAxis2PlacementLinear", ref(along), UNSET, UNSET);
    int point =
        step.add("IfcCartesianPoint", reals(p.east() / unit, p.north() / unit, level / unit));
    int cartesian = step.add("IfcAxis2Placement3D", ref(point), UNSET, UNSET);
    int placement = step.add("IfcLinearPlacement", UNSET, ref(linear), ref(cartesian));
    int referent =
        step.root(
            "IfcReferent",
            id(role),
            text(Chainages.format(p.chainage())),
            UNSET,
            UNSET,
            ref(placement),
            UNSET,
            literal("STATION"));
    properties.attach(
        piece.key() + "/" + role,
        referent,
        List.of(new PropertySet("Pset_Stationing", stationing)));
    return referent;
  }
}
