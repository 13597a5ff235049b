package wellspan.exchange.dxf.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import wellspan.core.geom.Affine;

/** What a polyline with its vertex entities draws: a line, a grid of faces, or a mesh of faces. */
final class PolylineShapes {
  private static final int CLOSED = 1;
  private static final int SPLINE_FITTED = 4;
  private static final int IN_SPACE = 8;
  private static final int GRID = 16;
  private static final int CLOSED_ALONG_N = 32;
  private static final int MESH = 64;
  private static final int CONTROL_VERTEX = 16;
  private static final int PLACE_OF_MESH = 64;
  private static final int FACE_OF_MESH = 128;

  private final String layer;
  private final int flags;
  private final int rows;
  private final int columns;
  private final Affine plane;
  private final double level;
  private final List<double[]> places = new ArrayList<>();
  private final List<Double> bulges = new ArrayList<>();
  private int[] faces = new int[32];
  private int corners;

  PolylineShapes(Entity polyline) {
    layer = polyline.layer();
    flags = polyline.whole(70, 0);
    boolean fitted = (flags & SPLINE_FITTED) != 0;
    rows = fitted && polyline.whole(73, 0) > 0 ? polyline.whole(73, 0) : polyline.whole(71, 0);
    columns = fitted && polyline.whole(74, 0) > 0 ? polyline.whole(74, 0) : polyline.whole(72, 0);
    boolean inSpace = (flags & (IN_SPACE | GRID | MESH)) != 0;
    plane = inSpace ? Affine.IDENTITY : OwnPlane.facing(polyline.extrusion());
    level = inSpace ? 0 : polyline.number(30, 0);
  }

  void vertex(Entity v) {
    int kind = v.whole(70, 0);
    if ((flags & SPLINE_FITTED) != 0 && (kind & CONTROL_VERTEX) != 0) {
      return; // the frame of a fitted curve, not the curve
    }
    if ((flags & MESH) != 0 && (kind & FACE_OF_MESH) != 0 && (kind & PLACE_OF_MESH) == 0) {
      face(v);
      return;
    }
    double[] p = v.point(10);
    if ((flags & (IN_SPACE | GRID | MESH)) == 0) {
      p[2] = level;
    }
    places.add(p);
    bulges.add(v.number(42, 0));
  }

  /** Corners count from one; a negative number marks an edge that is not drawn. */
  private void face(Entity v) {
    if (corners + 4 > faces.length) {
      faces = Arrays.copyOf(faces, 2 * faces.length);
    }
    for (int k = 0; k < 4; k++) {
      faces[corners++] = Math.abs(v.whole(71 + k, 0)) - 1;
    }
  }

  Optional<Drawn> shape() {
    if ((flags & MESH) != 0) {
      return mesh();
    }
    if ((flags & GRID) != 0) {
      return grid();
    }
    double[] turns = bulges.stream().mapToDouble(Double::doubleValue).toArray();
    if ((flags & IN_SPACE) != 0) {
      turns = new double[turns.length];
    }
    return EntityShapes.path(
        layer, plane, EntityShapes.flat(places), turns, places.size(), (flags & CLOSED) != 0);
  }

  private Optional<Drawn> mesh() {
    double[] xyz = EntityShapes.flat(places);
    int[] out = new int[6 * corners / 4];
    int n = 0;
    for (int i = 0; i < corners; i += 4) {
      int used = faces[i + 3] >= 0 ? 4 : 3;
      int[] cut = MeshShape.triangles(xyz, Arrays.copyOfRange(faces, i, i + used));
      System.arraycopy(cut, 0, out, n, cut.length);
      n += cut.length;
    }
    return n == 0
        ? Optional.empty()
        : Optional.of(new Drawn.Faces(layer, xyz, Arrays.copyOf(out, n), true));
  }

  private Optional<Drawn> grid() {
    if (rows < 2 || columns < 2 || (long) rows * columns != places.size()) {
      return Optional.empty();
    }
    double[] xyz = EntityShapes.flat(places);
    int lastRow = (flags & CLOSED) != 0 ? rows : rows - 1;
    int lastColumn = (flags & CLOSED_ALONG_N) != 0 ? columns : columns - 1;
    int[] out = new int[6 * lastRow * lastColumn];
    int n = 0;
    for (int r = 0; r < lastRow; r++) {
      for (int c = 0; c < lastColumn; c++) {
        int nextRow = (r + 1) % rows * columns;
        int nextColumn = (c + 1) % columns;
        int[] cut =
            EntityShapes.quad(
                xyz, r * columns + c, nextRow + c, nextRow + nextColumn, r * columns + nextColumn);
        System.arraycopy(cut, 0, out, n, cut.length);
        n += cut.length;
      }
    }
    return Optional.of(new Drawn.Faces(layer, xyz, Arrays.copyOf(out, n), true));
  }
}
