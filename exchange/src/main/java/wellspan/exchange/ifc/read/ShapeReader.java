package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wellspan.core.geom.FaceTriangulator;

/**
 * Reads the body of a product into triangles in the model's own coordinates: tessellated and
 * polygonal face sets, terrain networks, breps and surface models of polygons, extrusions, and
 * mapped items of all these.
 */
final class ShapeReader {
  private static final int DEEP = 32;

  private final MeshBuilder mesh = new MeshBuilder();
  private final Map<String, Integer> unread = new TreeMap<>();
  private final List<String> faults = new ArrayList<>();

  MeshBuilder mesh() {
    return mesh;
  }

  /** Geometry that was met and not read, by entity. */
  Map<String, Integer> unread() {
    return unread;
  }

  List<String> faults() {
    return faults;
  }

  void item(Instance item, Placement at, int depth) {
    if (depth > DEEP) {
      faults.add("#" + item.id() + " is nested too deeply");
      return;
    }
    int before = mesh.pointCount();
    switch (item.entity().name()) {
      case "IfcTriangulatedFaceSet", "IfcTriangulatedIrregularNetwork" -> triangulated(item);
      case "IfcPolygonalFaceSet" -> polygonal(item);
      case "IfcFacetedBrep", "IfcFacetedBrepWithVoids", "IfcManifoldSolidBrep" -> {
        item.ref("Outer").ifPresent(this::shell);
        item.refs("Voids").forEach(this::shell);
      }
      case "IfcShellBasedSurfaceModel" -> item.refs("SbsmBoundary").forEach(this::shell);
      case "IfcFaceBasedSurfaceModel" -> item.refs("FbsmFaces").forEach(this::shell);
      case "IfcExtrudedAreaSolid" -> extrusion(item);
      case "IfcMappedItem" -> {
        mapped(item, at, depth);
        return;
      }
      default -> unread.merge(item.entity().name(), 1, Integer::sum);
    }
    if (!at.isIdentity()) {
      at.apply(mesh.coordinates(), 3 * before, 3 * mesh.pointCount());
    }
  }

  private void mapped(Instance item, Placement at, int depth) {
    Optional<Instance> source = item.ref("MappingSource");
    Placement here =
        at.after(Placement.operator(item.ref("MappingTarget")))
            .after(Placement.axis(source.flatMap(s -> s.ref("MappingOrigin"))));
    source
        .flatMap(s -> s.ref("MappedRepresentation"))
        .ifPresent(r -> r.refs("Items").forEach(i -> item(i, here, depth + 1)));
  }

  private Optional<double[]> points(Instance set) {
    Value list = set.ref("Coordinates").map(c -> c.get("CoordList")).orElse(Value.UNSET);
    if (list instanceof Value.Table(double[] v, int columns) && columns == 3) {
      return Optional.of(v);
    }
    faults.add("#" + set.id() + " has no list of points in space");
    return Optional.empty();
  }

  /** Resolves one-based indices, through PnIndex where it is given. */
  private interface Index {
    int vertex(double oneBased);
  }

  private static final class OutOfRange extends RuntimeException {
    OutOfRange(String message) {
      super(message);
    }
  }

  private Index index(Instance set, int first, int count) {
    double[] through = set.numbers("PnIndex");
    return i -> {
      double k = through.length == 0 ? i : i >= 1 && i <= through.length ? through[(int) i - 1] : 0;
      if (!(k >= 1 && k <= count)) {
        throw new OutOfRange("#" + set.id() + " names point " + (long) i + " of " + count);
      }
      return first + (int) k - 1;
    };
  }

  private void triangulated(Instance set) {
    Optional<double[]> points = points(set);
    if (points.isEmpty()) {
      return;
    }
    if (!(set.get("CoordIndex") instanceof Value.Table(double[] t, int columns) && columns == 3)) {
      faults.add("#" + set.id() + " has no triangles");
      return;
    }
    int first = mesh.vertices(points.get());
    Index index = index(set, first, points.get().length / 3);
    mesh.reserveTriangles(t.length / 3);
    double[] flags = set.numbers("Flags");
    try {
      for (int i = 0; i < t.length; i += 3) {
        boolean hole =
            i / 3 < flags.length && flags[i / 3] < 0; // −1 void, −2 hole outside the surface
        if (!hole) {
          mesh.triangle(index.vertex(t[i]), index.vertex(t[i + 1]), index.vertex(t[i + 2]));
        }
      }
    } catch (OutOfRange e) {
      faults.add(e.getMessage());
    }
  }

  private void polygonal(Instance set) {
    Optional<double[]> points = points(set);
    if (points.isEmpty()) {
      return;
    }
    int first = mesh.vertices(points.get());
    Index index = index(set, first, points.get().length / 3);
    for (Instance face : set.refs("Faces")) {
      List<int[]> loops = new ArrayList<>();
      try {
        loops.add(loop(face.numbers("CoordIndex"), index));
        switch (face.get("InnerCoordIndices")) {
          case Value.Table(double[] v, int columns) -> {
            for (int i = 0; i < v.length; i += columns) {
              loops.add(loop(java.util.Arrays.copyOfRange(v, i, i + columns), index));
            }
          }
          case Value.Many(List<Value> inner) -> {
            for (Value v : inner) {
              if (v instanceof Value.Numbers(double[] n)) {
                loops.add(loop(n, index));
              }
            }
          }
          default -> {}
        }
        face(loops, face.id());
      } catch (OutOfRange e) {
        faults.add(e.getMessage());
      }
    }
  }

  private static int[] loop(double[] indices, Index index) {
    int[] out = new int[indices.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = index.vertex(indices[i]);
    }
    return out;
  }

  private void shell(Instance shell) {
    Map<Integer, Integer> vertexOf = new HashMap<>();
    for (Instance face : shell.refs("CfsFaces")) {
      if (face.isA("IFCFACESURFACE")
          && !face.ref("FaceSurface").map(s -> s.isA("IFCPLANE")).orElse(false)) {
        unread.merge(face.entity().name(), 1, Integer::sum);
        continue;
      }
      List<int[]> loops = new ArrayList<>();
      for (Instance bound : face.refs("Bounds")) {
        Optional<Instance> loop = bound.ref("Bound");
        if (loop.isEmpty() || !loop.get().isA("IFCPOLYLOOP")) {
          unread.merge(loop.map(l -> l.entity().name()).orElse("face bound"), 1, Integer::sum);
          continue;
        }
        int[] v =
            loop.get().refs("Polygon").stream()
                .mapToInt(
                    p ->
                        vertexOf.computeIfAbsent(
                            p.id(),
                            k -> {
                              double[] c = Placement.point(Optional.of(p));
                              return mesh.vertex(c[0], c[1], c[2]);
                            }))
                .toArray();
        if (bound.literal("Orientation").equals("F")) {
          reverse(v);
        }
        if (bound.isA("IFCFACEOUTERBOUND")) {
          loops.addFirst(v);
        } else {
          loops.add(v);
        }
      }
      if (!loops.isEmpty()) {
        face(loops, face.id());
      }
    }
  }

  private static void reverse(int[] v) {
    for (int i = 0, j = v.length - 1; i < j; i++, j--) {
      int t = v[i];
      v[i] = v[j];
      v[j] = t;
    }
  }

  private void face(List<int[]> loops, int id) {
    if (loops.getFirst().length < 3) {
      faults.add("#" + id + " is a face with fewer than three corners");
      return;
    }
    try {
      int[] t = FaceTriangulator.triangles(mesh.coordinates(), loops);
      for (int i = 0; i < t.length; i += 3) {
        mesh.triangle(t[i], t[i + 1], t[i + 2]);
      }
    } catch (IllegalArgumentException e) {
      faults.add("#" + id + ": " + e.getMessage());
    }
  }

  private void extrusion(Instance solid) {
    Optional<List<double[]>> profile = solid.ref("SweptArea").flatMap(ProfileReader::loops);
    if (profile.isEmpty()) {
      unread.merge(
          solid.entity().name()
              + " of "
              + solid.ref("SweptArea").map(p -> p.entity().name()).orElse("nothing"),
          1,
          Integer::sum);
      return;
    }
    double depth = solid.number("Depth", 0);
    double[] d =
        solid
            .ref("ExtrudedDirection")
            .map(i -> i.numbers("DirectionRatios"))
            .filter(v -> v.length == 3)
            .orElse(new double[] {0, 0, 1});
    double l = depth / Math.sqrt(d[0] * d[0] + d[1] * d[1] + d[2] * d[2]);
    int before = mesh.pointCount();
    List<int[]> bottom = new ArrayList<>();
    List<int[]> top = new ArrayList<>();
    for (int k = 0; k < profile.get().size(); k++) {
      double[] xy = ProfileReader.turned(profile.get().get(k), k == 0);
      int n = xy.length / 2;
      int[] low = new int[n];
      int[] high = new int[n];
      for (int i = 0; i < n; i++) {
        low[i] = mesh.vertex(xy[2 * i], xy[2 * i + 1], 0);
        high[i] = mesh.vertex(xy[2 * i] + l * d[0], xy[2 * i + 1] + l * d[1], l * d[2]);
      }
      for (int i = 0; i < n; i++) {
        int j = (i + 1) % n;
        mesh.triangle(low[i], low[j], high[j]);
        mesh.triangle(low[i], high[j], high[i]);
      }
      top.add(high);
      int[] under = low.clone();
      reverse(under);
      bottom.add(under);
    }
    face(bottom, solid.id());
    face(top, solid.id());
    Placement.axis(solid.ref("Position"))
        .apply(mesh.coordinates(), 3 * before, 3 * mesh.pointCount());
  }
}
