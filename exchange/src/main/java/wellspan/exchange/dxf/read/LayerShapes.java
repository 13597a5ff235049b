package wellspan.exchange.dxf.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.Affine;
import wellspan.core.geom.Chords;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.geom.Polyline;

/** What is drawn on one layer, in the drawing's coordinates and unit. */
final class LayerShapes {
  /**
   * A circle, a cross or a block with attributes: a place that was marked on purpose.
   *
   * @param attributes words of a block by their tags
   */
  record Mark(double[] at, double size, String name, String kind, Map<String, String> attributes) {
    Mark(double[] at, double size, String name, String kind) {
      this(at, size, name, kind, Map.of());
    }
  }

  /** A text at a place. */
  record Label(double[] at, double height, String words) {}

  private final MeshWeld faces = new MeshWeld();
  private final List<Mesh> bodies = new ArrayList<>();
  private final List<Polyline> lines = new ArrayList<>();
  private final List<double[]> points = new ArrayList<>();
  private final List<Mark> marks = new ArrayList<>();
  private final List<Label> labels = new ArrayList<>();
  private final List<Curve> curves = new ArrayList<>();
  private final Extent extent = new Extent();

  MeshWeld faces() {
    return faces;
  }

  List<Mesh> bodies() {
    return bodies;
  }

  List<Polyline> lines() {
    return lines;
  }

  List<double[]> points() {
    return points;
  }

  List<Mark> marks() {
    return marks;
  }

  List<Label> labels() {
    return labels;
  }

  /** A curve that becomes straight pieces when the tolerance is known. */
  private record Curve(Drawn shape, Affine map) {}

  void mark(Mark m) {
    marks.add(m);
  }

  /**
   * Adds a shape that is no insert; curves wait for {@link #drawCurves}.
   *
   * @param map from its coordinates to the drawing's
   */
  void add(Drawn shape, Affine map) {
    switch (shape) {
      case Drawn.Faces f -> faces(f, map);
      case Drawn.Path p -> line(map.apply(p.xyz()));
      case Drawn.RoundPath p -> {
        extent.add(map.after(p.plane()).apply(p.xyz()));
        curves.add(new Curve(p, map.after(p.plane())));
      }
      case Drawn.Ellipse e -> {
        extent.add(map.apply(e.centre()));
        curves.add(new Curve(e, map));
        if (e.circle()) {
          double radius = Math.sqrt(square(e.major()));
          marks.add(new Mark(map.apply(e.centre()), radius * stretch(map), "", "circle"));
        }
      }
      case Drawn.Spline s -> {
        extent.add(map.apply(s.control()));
        curves.add(new Curve(s, map));
      }
      case Drawn.Point p -> {
        points.add(map.apply(p.at()));
        extent.add(points.getLast());
      }
      case Drawn.Text t -> {
        if (!t.words().isEmpty()) {
          labels.add(new Label(map.apply(t.at()), t.height() * stretch(map), t.words()));
        }
      }
      case Drawn.Insert i -> throw new IllegalArgumentException("Blocks are laid out before.");
    }
  }

  /** How far everything reaches; of curves only their centres and corners count. */
  Extent extent() {
    return extent;
  }

  /**
   * Draws the curves as straight pieces.
   *
   * @param tolerance in the drawing's unit
   * @return how many of them cannot be drawn
   */
  int drawCurves(double tolerance) {
    int bad = 0;
    for (Curve c : curves) {
      try {
        line(pieces(c.shape, c.map, tolerance / stretch(c.map)));
      } catch (IllegalArgumentException e) {
        bad++;
      }
    }
    curves.clear();
    return bad;
  }

  private static double[] pieces(Drawn shape, Affine map, double within) {
    return map.apply(
        switch (shape) {
          case Drawn.RoundPath p -> roundPath(p, within);
          case Drawn.Ellipse e ->
              Chords.ellipse(e.centre(), e.major(), e.minor(), e.from(), e.sweep(), within);
          case Drawn.Spline s ->
              Chords.spline(s.degree(), s.knots(), s.weights(), s.control(), within);
          default -> throw new IllegalArgumentException("This is no curve.");
        });
  }

  private void faces(Drawn.Faces f, Affine map) {
    double[] xyz = map.isIdentity() ? f.xyz() : map.apply(f.xyz());
    extent.add(xyz);
    int[] triangles = map.determinant() < 0 ? turned(f.triangles()) : f.triangles();
    if (f.solid() && triangles.length >= 12) {
      Mesh mesh = new Mesh(xyz, triangles);
      if (mesh.isClosed()) {
        bodies.add(mesh);
        return;
      }
    }
    faces.add(xyz, triangles);
  }

  /** A mirror turns every triangle over; this turns them back. */
  private static int[] turned(int[] triangles) {
    int[] out = triangles.clone();
    for (int i = 0; i + 2 < out.length; i += 3) {
      out[i + 1] = triangles[i + 2];
      out[i + 2] = triangles[i + 1];
    }
    return out;
  }

  private void line(double[] xyz) {
    extent.add(xyz);
    lines.add(new Polyline(xyz));
  }

  private static double[] roundPath(Drawn.RoundPath p, double within) {
    double[] out = Arrays.copyOf(p.xyz(), p.xyz().length);
    int n = 3;
    for (int i = 0; i < p.bulges().length; i++) {
      double[] piece =
          Chords.bulge(
              Arrays.copyOfRange(p.xyz(), 3 * i, 3 * i + 3),
              Arrays.copyOfRange(p.xyz(), 3 * i + 3, 3 * i + 6),
              p.bulges()[i],
              within);
      if (n + piece.length > out.length) {
        out = Arrays.copyOf(out, Math.max(2 * out.length, n + piece.length));
      }
      System.arraycopy(piece, 0, out, n, piece.length);
      n += piece.length;
    }
    return Arrays.copyOf(out, n);
  }

  private static double square(double[] v) {
    return v[0] * v[0] + v[1] * v[1] + v[2] * v[2];
  }

  /** How much longer a map makes lengths at most; one for a map that flattens everything. */
  static double stretch(Affine map) {
    double best = 0;
    for (int c = 0; c < 3; c++) {
      best = Math.max(best, square(new double[] {map.m()[c], map.m()[4 + c], map.m()[8 + c]}));
    }
    return best > 0 ? Math.sqrt(best) : 1;
  }
}
