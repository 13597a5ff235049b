package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;

/**
 * Reads the body of a product into triangles in the model's own coordinates: tessellated and
 * polygonal face sets, terrain networks, breps and surface models (curved faces within twice the
 * tolerance of curves), solids, and mapped items of all these. A shape is read whole or not at all.
 */
final class ShapeReader {
  private static final int DEEP = 32;

  private final CurveReader curves;
  private final SolidReader solids;
  private final FinishReader finishes;
  private final MeshBuilder mesh = new MeshBuilder();
  private Optional<Boolean> closed = Optional.empty();

  ShapeReader(CurveReader curves, SolidReader solids, FinishReader finishes) {
    this.curves = curves;
    this.solids = solids;
    this.finishes = finishes;
  }

  MeshBuilder mesh() {
    return mesh;
  }

  /** Whether the file calls all that was read closed bodies; empty if it does not say. */
  Optional<Boolean> closed() {
    return closed;
  }

  /**
   * @throws Unread if any part of it cannot be read
   */
  void item(Instance item, Placement at, int depth) {
    if (depth > DEEP) {
      throw new Unread(item, "is nested too deeply");
    }
    int before = mesh.pointCount();
    int first = mesh.triangleCount();
    switch (item.entity().name()) {
      case "IfcTriangulatedFaceSet", "IfcTriangulatedIrregularNetwork" -> triangulated(item);
      case "IfcPolygonalFaceSet" -> polygonal(item);
      case "IfcFacetedBrep",
          "IfcFacetedBrepWithVoids",
          "IfcManifoldSolidBrep",
          "IfcAdvancedBrep",
          "IfcAdvancedBrepWithVoids" -> {
        item.ref("Outer").ifPresent(this::shell);
        item.refs("Voids").forEach(this::shell);
        said(true);
      }
      case "IfcShellBasedSurfaceModel" -> {
        item.refs("SbsmBoundary").forEach(this::shell);
        said(item.refs("SbsmBoundary").stream().allMatch(s -> s.isA("IFCCLOSEDSHELL")));
      }
      case "IfcFaceBasedSurfaceModel" -> {
        item.refs("FbsmFaces").forEach(this::shell);
        said(false);
      }
      case "IfcMappedItem" -> {
        mapped(item, at, depth);
        paint(item, first);
        return;
      }
      default -> {
        Mesh solid = solids.solid(item, this::faces).orElseThrow(() -> Unread.kind(item));
        mesh.mesh(solid);
        said(!item.isA("IFCSECTIONEDSURFACE"));
      }
    }
    paint(item, first);
    if (!at.isIdentity()) {
      at.apply(mesh.coordinates(), 3 * before, 3 * mesh.pointCount());
      if (at.mirrors()) {
        mesh.turnFrom(first);
      }
    }
  }

  /** What single faces have goes before what the whole has. */
  private void paint(Instance item, int first) {
    Integer rgb = finishes.own(item);
    if (rgb != null) {
      mesh.paintFrom(first, rgb);
    }
  }

  private void said(boolean body) {
    closed = Optional.of(closed.orElse(true) && body);
  }

  /** A body given by faces, for cutting it; corners at one place are one. */
  private Mesh faces(Instance item) {
    ShapeReader own = new ShapeReader(curves, solids, finishes);
    own.item(item, Placement.IDENTITY, 1);
    MeshWeld weld = new MeshWeld();
    weld.add(own.mesh.takeXyz(), own.mesh.takeTriangles());
    return weld.mesh();
  }

  private void mapped(Instance item, Placement at, int depth) {
    Instance source =
        item.ref("MappingSource").orElseThrow(() -> new Unread(item, "has no source"));
    Instance target =
        item.ref("MappingTarget").orElseThrow(() -> new Unread(item, "has no target"));
    Placement here =
        at.after(Placement.operator(target)).after(Placement.axis(source.ref("MappingOrigin")));
    source
        .ref("MappedRepresentation")
        .orElseThrow(() -> new Unread(source, "has no representation"))
        .refs("Items")
        .forEach(i -> item(i, here, depth + 1));
  }

  private static double[] points(Instance set) {
    Value list = set.ref("Coordinates").map(c -> c.get("CoordList")).orElse(Value.UNSET);
    if (list instanceof Value.Table(double[] v, int columns, Value.Tokens _) && columns == 3) {
      return v;
    }
    throw new Unread(
        set, "has no list of points of three coordinates each (decimal commas make more of them)");
  }

  /** Resolves one-based indices, through PnIndex where it is given. */
  private interface Index {
    int vertex(double oneBased);
  }

  private static Index index(Instance set, int first, int count) {
    double[] through = set.numbers("PnIndex");
    return i -> {
      double k = through.length == 0 ? i : i >= 1 && i <= through.length ? through[(int) i - 1] : 0;
      if (!(k >= 1 && k <= count)) {
        throw new Unread(set, "names point " + (long) i + " of " + count);
      }
      return first + (int) k - 1;
    };
  }

  private void triangulated(Instance set) {
    double[] points = points(set);
    if (!(set.get("CoordIndex") instanceof Value.Table(double[] t, int columns, Value.Tokens _)
        && columns == 3)) {
      throw new Unread(set, "has no list of triangles of three corners each");
    }
    int first = mesh.vertices(points);
    Index index = index(set, first, points.length / 3);
    mesh.reserveTriangles(t.length / 3);
    int[] colours = finishes.ofFaces(set);
    double[] flags = set.numbers("Flags");
    for (int i = 0; i < t.length; i += 3) {
      // −1 void, −2 hole outside the surface
      boolean hole = i / 3 < flags.length && flags[i / 3] < 0;
      if (!hole) {
        mesh.triangle(index.vertex(t[i]), index.vertex(t[i + 1]), index.vertex(t[i + 2]));
        paint(colours, i / 3, mesh.triangleCount() - 1);
      }
    }
    closedFlag(set);
  }

  private void paint(int[] colours, int face, int first) {
    if (face < colours.length && colours[face] >= 0) {
      mesh.paintFrom(first, colours[face]);
    }
  }

  private void closedFlag(Instance set) {
    String flag = set.literal("Closed");
    if (!flag.isEmpty()) {
      said(flag.equals("T"));
    }
  }

  private void polygonal(Instance set) {
    double[] points = points(set);
    int first = mesh.vertices(points);
    Index index = index(set, first, points.length / 3);
    int[] colours = finishes.ofFaces(set);
    int number = 0;
    for (Instance face : set.refs("Faces")) {
      int before = mesh.triangleCount();
      List<int[]> loops = new ArrayList<>();
      loops.add(loop(face.numbers("CoordIndex"), index));
      switch (face.get("InnerCoordIndices")) {
        case Value.Table(double[] v, int columns, Value.Tokens _) -> {
          for (int i = 0; i < v.length; i += columns) {
            loops.add(loop(java.util.Arrays.copyOfRange(v, i, i + columns), index));
          }
        }
        case Value.Many(List<Value> inner) -> {
          for (Value v : inner) {
            if (v instanceof Value.Numbers(double[] n, Value.Tokens _)) {
              loops.add(loop(n, index));
            }
          }
        }
        default -> {}
      }
      face(loops, face);
      paint(colours, number++, before);
    }
    closedFlag(set);
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
    List<Instance> faces = shell.refs("CfsFaces");
    if (faces.stream().anyMatch(f -> f.isA("IFCFACESURFACE"))) {
      CurvedFaceReader curved = new CurvedFaceReader(curves, mesh);
      for (Instance face : faces) {
        int first = mesh.triangleCount();
        curved.face(face);
        if (finishes.hasFaces()) {
          paint(face, first);
        }
      }
      return;
    }
    for (Instance face : faces) {
      List<int[]> loops = new ArrayList<>();
      for (Instance bound : face.refs("Bounds")) {
        Instance loop = bound.ref("Bound").orElseThrow(() -> new Unread(bound, "has no loop"));
        if (!loop.isA("IFCPOLYLOOP")) {
          throw Unread.kind(loop);
        }
        int[] v =
            loop.refs("Polygon").stream()
                .mapToInt(
                    p ->
                        vertexOf.computeIfAbsent(
                            p.id(),
                            k -> {
                              double[] c = Placement.point(Optional.of(p));
                              if (p.numbers("Coordinates").length != 3) {
                                throw new Unread(p, "has no three coordinates");
                              }
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
        int first = mesh.triangleCount();
        face(loops, face);
        if (finishes.hasFaces()) {
          paint(face, first);
        }
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

  private void face(List<int[]> loops, Instance of) {
    if (loops.getFirst().length < 3) {
      throw new Unread(of, "is a face with fewer than three corners");
    }
    try {
      int[] t = FaceTriangulator.triangles(mesh.coordinates(), loops);
      for (int i = 0; i < t.length; i += 3) {
        mesh.triangle(t[i], t[i + 1], t[i + 2]);
      }
    } catch (IllegalArgumentException e) {
      throw new Unread(of, "cannot be cut into triangles: " + e.getMessage());
    }
  }
}
