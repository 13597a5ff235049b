package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/** Writes lines of straight pieces and single points in local coordinates. */
final class LineRecords {
  private final StepWriter step;
  private final LocalCoordinates local;

  LineRecords(StepWriter step, LocalCoordinates local) {
    this.step = step;
    this.local = local;
  }

  /** The line itself; if one level is not known the line is written in plan only. */
  int polyline(Polyline line) throws IOException {
    boolean spatial = true;
    for (int i = 0; i < line.pointCount(); i++) {
      spatial &= Double.isFinite(line.point(i).height());
    }
    List<Integer> points = new ArrayList<>();
    for (int i = 0; i < line.pointCount(); i++) {
      Position p = line.point(i);
      points.add(point(spatial ? p : new Position(p.east(), p.north(), Double.NaN)));
    }
    return step.add("IfcPolyline", refs(points));
  }

  int point(Position p) throws IOException {
    return step.add("IfcCartesianPoint", reals(local.of(p)));
  }

  /** A product definition shape with lines as an axis, or for annotations in a set of curves. */
  int lineShape(ProjectRecords project, List<Polyline> lines, boolean annotation)
      throws IOException {
    List<Integer> curves = new ArrayList<>();
    for (Polyline line : lines) {
      curves.add(polyline(line));
    }
    int representation =
        annotation
            ? step.add(
                "IfcShapeRepresentation",
                ref(project.annotationContext()),
                text("Annotation"),
                text("GeometricCurveSet"),
                refs(List.of(step.add("IfcGeometricCurveSet", refs(curves)))))
            : step.add(
                "IfcShapeRepresentation",
                ref(project.axisContext()),
                text("Axis"),
                text("Curve3D"),
                refs(curves));
    return step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(List.of(representation)));
  }

  /** A product definition shape of one point. */
  int pointShape(ProjectRecords project, Position p) throws IOException {
    int set = step.add("IfcGeometricSet", refs(List.of(point(p))));
    int representation =
        step.add(
            "IfcShapeRepresentation",
            ref(project.annotationContext()),
            text("Annotation"),
            text("GeometricSet"),
            refs(List.of(set)));
    return step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(List.of(representation)));
  }
}
