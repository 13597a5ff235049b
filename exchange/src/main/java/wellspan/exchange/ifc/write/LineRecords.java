package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.refs;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/** Writes lines of straight pieces and single points in local coordinates. */
final class LineRecords {
  private final StepWriter step;
  private final LocalCoordinates local;
  private final Representations representations;

  LineRecords(StepWriter step, LocalCoordinates local, Representations representations) {
    this.step = step;
    this.representations = representations;
    this.local = local;
  }

  /** The line itself; if one level is not known the line is written in plan only. */
  int polyline(Polyline line) throws IOException {
    boolean spatial = true;
    for (int i = 0; i < line.pointCount(); i++) {
      spatial &= Double.isFinite(line.point(i).level());
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
            ? representations.add(
                project.annotationContext(),
                "Annotation",
                "GeometricCurveSet",
                List.of(step.add("IfcGeometricCurveSet", refs(curves))))
            : representations.add(project.axisContext(), "Axis", "Curve3D", curves);
    return step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(List.of(representation)));
  }

  /** A product definition shape of one point. */
  int pointShape(ProjectRecords project, Position p) throws IOException {
    int set = step.add("IfcGeometricSet", refs(List.of(point(p))));
    int representation =
        representations.add(
            project.annotationContext(), "Annotation", "GeometricSet", List.of(set));
    return step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(List.of(representation)));
  }
}
