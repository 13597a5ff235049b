package wellspan.exchange.ifc.write;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import wellspan.core.attribute.Finish;
import wellspan.core.deliver.Parcel;
import wellspan.core.geom.Mesh;
import wellspan.core.shape.Shape;

/**
 * Which bodies of a parcel are the same but for where they stand and how they are turned: posts,
 * lights, stones. Such a shape is written once. Time of the number of vertices.
 */
final class LikeShapes {
  /** Larger ones are hardly there twice, triangles. */
  private static final int LARGEST = 20_000;

  /** Corners of like shapes meet within this, metres: below what a file's decimals keep. */
  private static final double SAME = 2e-7;

  /** Sizes that differ by more than this are not compared corner by corner, metres. */
  private static final double BUCKET = 1e-3;

  private final LocalCoordinates local;
  private final Map<String, Placed> byKey = new HashMap<>();

  /** A shape that some have. */
  static final class Group {
    final Mesh mesh;

    /** Relative to the first of them, in the file's unit. */
    final double[] corners;

    final Axes axes;
    int count;

    Group(Mesh mesh, double[] corners, Axes axes) {
      this.mesh = mesh;
      this.corners = corners;
      this.axes = axes;
    }
  }

  /**
   * Where a shape stands.
   *
   * @param group what stands there
   * @param turn rows of the rotation from the shape as it is written
   * @param at of its first corner, in the file's unit
   */
  record Placed(Group group, double[][] turn, double[] at) {}

  /**
   * Directions that belong to a shape however it stands; each of length 1, square to each other.
   */
  private record Axes(double[] u, double[] v, double[] w) {}

  private record Kind(
      int vertices, int triangles, boolean closed, Optional<Finish> finish, long size) {}

  /**
   * @param alone what is kept as a shape of its own though nothing else has it
   */
  LikeShapes(Parcel parcel, LocalCoordinates local, Predicate<Parcel.Piece> alone) {
    this.local = local;
    Map<Kind, List<Group>> groups = new HashMap<>();
    for (Parcel.Piece p : parcel.pieces()) {
      if (p.item().shape() instanceof Shape.Faces f
          && !p.item().kind().surface()
          && f.finishes().isEmpty()
          && f.mesh().triangleCount() > 0
          && f.mesh().triangleCount() <= LARGEST
          && p.item().attributes().texture().isEmpty()
          && parcel.format().carried(p.item(), parcel.frame()).isEmpty()) {
        take(p, f.mesh(), groups);
      }
    }
    for (Parcel.Piece p : parcel.pieces()) {
      Placed placed = byKey.get(p.key());
      if (placed != null && placed.group().count < 2 && !alone.test(p)) {
        byKey.remove(p.key());
      }
    }
  }

  /** Where the shape of a piece stands; empty where it is the only one of its kind. */
  Optional<Placed> of(Parcel.Piece piece) {
    return Optional.ofNullable(byKey.get(piece.key()));
  }

  private void take(Parcel.Piece piece, Mesh mesh, Map<Kind, List<Group>> groups) {
    double[] at = new double[3];
    double[] corners = corners(mesh, at);
    Axes axes = axes(corners);
    if (axes == null) {
      return;
    }
    double size = 0;
    for (int i = 0; i < corners.length; i += 3) {
      size += Math.sqrt(square(corners, i));
    }
    Kind kind =
        new Kind(
            mesh.vertexCount(),
            Arrays.hashCode(mesh.triangles()),
            piece.description().closed().orElse(false),
            piece.description().finish(),
            Math.round(size * local.unit() / BUCKET));
    List<Group> some = groups.computeIfAbsent(kind, k -> new ArrayList<>());
    for (Group g : some) {
      double[][] turn = turn(g.axes, axes);
      if (fits(g, mesh, corners, turn)) {
        g.count++;
        byKey.put(piece.key(), new Placed(g, turn, at));
        return;
      }
    }
    Group fresh = new Group(mesh, corners, axes);
    fresh.count = 1;
    some.add(fresh);
    byKey.put(piece.key(), new Placed(fresh, new double[][] {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}, at));
  }

  /** Corners relative to the first, in the file's unit. */
  private double[] corners(Mesh mesh, double[] first) {
    StepValue.RowSource rows = local.rows(mesh.xyz());
    double[] out = new double[mesh.xyz().length];
    double[] row = new double[3];
    rows.row(0, first);
    for (int i = 0; i < mesh.vertexCount(); i++) {
      rows.row(i, row);
      for (int k = 0; k < 3; k++) {
        out[3 * i + k] = row[k] - first[k];
      }
    }
    return out;
  }

  private static double square(double[] p, int i) {
    return p[i] * p[i] + p[i + 1] * p[i + 1] + p[i + 2] * p[i + 2];
  }

  /** From the first corner to the farthest, and to the one farthest off that line; null if flat. */
  private static Axes axes(double[] corners) {
    int far = 0;
    for (int i = 3; i < corners.length; i += 3) {
      far = square(corners, i) > square(corners, far) * (1 + 1e-9) ? i : far;
    }
    double length = Math.sqrt(square(corners, far));
    if (!(length > 0)) {
      return null;
    }
    double[] u = {corners[far] / length, corners[far + 1] / length, corners[far + 2] / length};
    double[] v = null;
    double most = 0;
    for (int i = 3; i < corners.length; i += 3) {
      double along = corners[i] * u[0] + corners[i + 1] * u[1] + corners[i + 2] * u[2];
      double[] off = {
        corners[i] - along * u[0], corners[i + 1] - along * u[1], corners[i + 2] - along * u[2]
      };
      double d = Math.sqrt(square(off, 0));
      if (d > most * (1 + 1e-9) && d > 1e-6 * length) {
        most = d;
        v = new double[] {off[0] / d, off[1] / d, off[2] / d};
      }
    }
    return v == null ? null : new Axes(u, v, cross(u, v));
  }

  private static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  /** The rotation that brings the axes of one shape to those of another, by rows. */
  private static double[][] turn(Axes from, Axes to) {
    double[][] out = new double[3][3];
    double[][] a = {from.u, from.v, from.w};
    double[][] b = {to.u, to.v, to.w};
    for (int r = 0; r < 3; r++) {
      for (int c = 0; c < 3; c++) {
        for (int k = 0; k < 3; k++) {
          out[r][c] += b[k][r] * a[k][c];
        }
      }
    }
    return out;
  }

  private boolean fits(Group g, Mesh mesh, double[] corners, double[][] turn) {
    if (!Arrays.equals(g.mesh.triangles(), mesh.triangles())) {
      return false;
    }
    double same = SAME / local.unit();
    for (int i = 0; i < corners.length; i += 3) {
      for (int r = 0; r < 3; r++) {
        double there =
            turn[r][0] * g.corners[i]
                + turn[r][1] * g.corners[i + 1]
                + turn[r][2] * g.corners[i + 2];
        if (!(Math.abs(there - corners[i + r]) <= same)) {
          return false;
        }
      }
    }
    return true;
  }
}
