package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.flag;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.List;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;

/**
 * Writes a mesh as a triangulated face set in local coordinates: vertices and triangles in the
 * order they came.
 */
final class MeshRecords {
  private final StepWriter step;
  private final Parcel parcel;

  MeshRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    this.parcel = parcel;
  }

  /**
   * @return the product definition shape
   */
  int shape(ProjectRecords project, Mesh mesh, boolean closed) throws IOException {
    int points =
        step.add(
            "IfcCartesianPointList3D",
            new StepValue.Points(mesh.vertexCount(), decimals(), local(mesh)),
            UNSET);
    int faces =
        step.add(
            "IfcTriangulatedFaceSet",
            ref(points),
            UNSET,
            flag(closed),
            new StepValue.Triples(mesh.triangles()),
            UNSET);
    int body =
        step.add(
            "IfcShapeRepresentation",
            ref(project.bodyContext()),
            text("Body"),
            text("Tessellation"),
            refs(List.of(faces)));
    return step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(List.of(body)));
  }

  /** Decimals that keep a micrometre: a thousandth of what counts as a deviation. */
  private int decimals() {
    double unit = parcel.unit().metres();
    return unit >= 100 ? 9 : unit >= 0.1 ? 7 : 4;
  }

  private StepValue.RowSource local(Mesh mesh) {
    Frame f = parcel.frame();
    double angle = Math.toRadians(f.rotationDegrees());
    double c = Math.cos(angle);
    double s = Math.sin(angle);
    double e0 = f.basePoint().east(), n0 = f.basePoint().north(), h0 = f.basePoint().height();
    double unit = parcel.unit().metres();
    double[] xyz = mesh.xyz();
    return (i, row) -> {
      double dx = xyz[3 * i] - e0;
      double dy = xyz[3 * i + 1] - n0;
      row[0] = (dx * c - dy * s) / unit;
      row[1] = (dx * s + dy * c) / unit;
      row[2] = (xyz[3 * i + 2] - h0) / unit;
    };
  }
}
