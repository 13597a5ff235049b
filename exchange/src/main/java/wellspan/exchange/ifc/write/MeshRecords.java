package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.flag;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import wellspan.core.attribute.Finish;
import wellspan.core.geom.Mesh;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/**
 * Writes a mesh in local coordinates with vertices and triangles in the order they came: as a
 * triangulated face set, or in IFC2x3 as a surface model of faces.
 */
final class MeshRecords {
  private final StepWriter step;
  private final LocalCoordinates local;
  private final FinishRecords finishes;
  private final TextureRecords textures;
  private final Representations representations;
  private final IdentityHashMap<LikeShapes.Group, Integer> maps = new IdentityHashMap<>();

  MeshRecords(
      StepWriter step,
      LocalCoordinates local,
      FinishRecords finishes,
      Representations representations) {
    this.step = step;
    this.representations = representations;
    this.local = local;
    this.finishes = finishes;
    textures = new TextureRecords(step);
  }

  /**
   * @param picture laid over it; never in IFC2x3
   * @return the product definition shape
   */
  int shape(
      ProjectRecords project,
      Shape.Faces shape,
      boolean closed,
      Optional<Finish> finish,
      Optional<PictureOver> picture)
      throws IOException {
    Mesh mesh = shape.mesh();
    boolean faces = project.schema() == IfcSchema.IFC2X3;
    StepValue.RowSource rows = local.rows(mesh.xyz());
    int[] each = new int[faces && shape.finishes().isPresent() ? mesh.triangleCount() : 0];
    int geometry = faces ? surfaceModel(mesh, rows, closed, each) : faceSet(mesh, rows, closed);
    if (shape.finishes().isPresent()) {
      finishes.dressFaces(geometry, each, shape.finishes().get(), finish);
    }
    Optional<Integer> image =
        picture.isPresent()
            ? Optional.of(textures.lay(picture.get(), geometry, mesh))
            : Optional.empty();
    finishes.dress(geometry, finish, image);
    String type = type(project, closed);
    int body = representations.add(project.bodyContext(), "Body", type, List.of(geometry));
    return step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(List.of(body)));
  }

  private static String type(ProjectRecords project, boolean closed) {
    return project.schema() == IfcSchema.IFC2X3 ? closed ? "Brep" : "SurfaceModel" : "Tessellation";
  }

  /**
   * A shape that others have too: its geometry is written with the first of them.
   *
   * @return the product definition shape
   */
  int instance(
      ProjectRecords project, LikeShapes.Placed placed, boolean closed, Optional<Finish> finish)
      throws IOException {
    LikeShapes.Group g = placed.group();
    Integer map = maps.get(g);
    if (map == null) {
      map = map(project, g, closed, finish);
      maps.put(g, map);
    }
    double[][] turn = placed.turn();
    int[] axes = new int[3];
    for (int c = 0; c < 3; c++) {
      axes[c] = step.add("IfcDirection", reals(turn[0][c], turn[1][c], turn[2][c]));
    }
    int origin = step.add("IfcCartesianPoint", reals(placed.at()));
    int target =
        step.add(
            "IfcCartesianTransformationOperator3D",
            ref(axes[0]),
            ref(axes[1]),
            ref(origin),
            UNSET,
            ref(axes[2]));
    int item = step.add("IfcMappedItem", ref(map), ref(target));
    int body =
        representations.add(project.bodyContext(), "Body", "MappedRepresentation", List.of(item));
    return step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(List.of(body)));
  }

  /** The map of a shape that was written. */
  int map(LikeShapes.Group g) {
    return maps.get(g);
  }

  private int map(
      ProjectRecords project, LikeShapes.Group g, boolean closed, Optional<Finish> finish)
      throws IOException {
    StepValue.RowSource rows = (i, row) -> System.arraycopy(g.corners, 3 * i, row, 0, 3);
    int geometry =
        project.schema() == IfcSchema.IFC2X3
            ? surfaceModel(g.mesh, rows, closed, new int[0])
            : faceSet(g.mesh, rows, closed);
    finishes.dress(geometry, finish, Optional.empty());
    int shape =
        step.add(
            "IfcShapeRepresentation",
            ref(project.bodyContext()),
            text("Body"),
            text(type(project, closed)),
            refs(List.of(geometry)));
    return step.add("IfcRepresentationMap", ref(project.identity()), ref(shape));
  }

  private int faceSet(Mesh mesh, StepValue.RowSource from, boolean closed) throws IOException {
    StepValue rows = new StepValue.Points(mesh.vertexCount(), 3, local.decimals(), from);
    // IFC4 has no TagList, IFC4.3 has one
    int points =
        step.attributeCount("IfcCartesianPointList3D") == 1
            ? step.add("IfcCartesianPointList3D", rows)
            : step.add("IfcCartesianPointList3D", rows, UNSET);
    return step.add(
        "IfcTriangulatedFaceSet",
        ref(points),
        UNSET,
        flag(closed),
        new StepValue.Triples(mesh.triangles()),
        UNSET);
  }

  /**
   * @param numbers takes the record of each face, where there is room
   */
  private int surfaceModel(Mesh mesh, StepValue.RowSource rows, boolean closed, int[] numbers)
      throws IOException {
    int[] points = new int[mesh.vertexCount()];
    double[] row = new double[3];
    double precision = Math.pow(10, local.decimals());
    for (int i = 0; i < points.length; i++) {
      rows.row(i, row);
      for (int k = 0; k < 3; k++) {
        row[k] = Math.rint(row[k] * precision) / precision;
      }
      points[i] = step.add("IfcCartesianPoint", reals(row));
    }
    int[] t = mesh.triangles();
    List<Integer> faces = new ArrayList<>(t.length / 3);
    for (int i = 0; i < t.length; i += 3) {
      int loop =
          step.add("IfcPolyLoop", refs(List.of(points[t[i]], points[t[i + 1]], points[t[i + 2]])));
      int bound = step.add("IfcFaceOuterBound", ref(loop), flag(true));
      int face = step.add("IfcFace", refs(List.of(bound)));
      faces.add(face);
      if (numbers.length > 0) {
        numbers[i / 3] = face;
      }
    }
    if (closed) {
      return step.add("IfcFacetedBrep", ref(step.add("IfcClosedShell", refs(faces))));
    }
    int set = step.add("IfcConnectedFaceSet", refs(faces));
    return step.add("IfcFaceBasedSurfaceModel", refs(List.of(set)));
  }
}
