package wellspan.core.solid;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;

/** The body or sheet between sections that follow each other. */
public final class Loft {
  private Loft() {}

  /**
   * A closed body: its sides join the sections, flat caps close its ends. Corners at one place are
   * one vertex and triangles without area are left out, so that sections may meet in a point or on
   * an axis of revolution.
   *
   * @param sections two or more, each with the same loops (the outer one first, then holes) of the
   *     same number of corners, coordinates in threes, not closed by a repeated corner
   * @param ring whether the last section joins the first again; there are no caps then
   * @return turned outwards
   * @throws IllegalArgumentException if the sections differ in their corners, or a cap is no simple
   *     polygon
   */
  public static Mesh body(List<List<double[]>> sections, boolean ring) {
    MeshWeld weld = new MeshWeld();
    List<List<int[]>> numbers = new ArrayList<>();
    for (List<double[]> section : sections) {
      numbers.add(section.stream().map(loop -> vertices(weld, loop)).toList());
    }
    int n = sections.size();
    for (int s = 0; s + (ring ? 0 : 1) < n; s++) {
      sides(
          weld,
          new Row(sections.get(s), numbers.get(s)),
          new Row(sections.get((s + 1) % n), numbers.get((s + 1) % n)),
          true,
          s % 2 == 1);
    }
    if (!ring) {
      cap(weld, sections.getFirst(), numbers.getFirst(), true);
      cap(weld, sections.getLast(), numbers.getLast(), false);
    }
    Mesh mesh = weld.mesh();
    return mesh.volume() < 0 ? turned(mesh) : mesh;
  }

  /**
   * An open sheet between lines.
   *
   * @param lines two or more with the same number of points, coordinates in threes
   */
  public static Mesh sheet(List<double[]> lines) {
    MeshWeld weld = new MeshWeld();
    List<List<int[]>> numbers = lines.stream().map(line -> List.of(vertices(weld, line))).toList();
    for (int s = 0; s + 1 < lines.size(); s++) {
      sides(
          weld,
          new Row(List.of(lines.get(s)), numbers.get(s)),
          new Row(List.of(lines.get(s + 1)), numbers.get(s + 1)),
          false,
          s % 2 == 1);
    }
    return weld.mesh();
  }

  private static int[] vertices(MeshWeld weld, double[] loop) {
    int[] out = new int[loop.length / 3];
    for (int i = 0; i < out.length; i++) {
      out[i] = weld.vertex(loop[3 * i], loop[3 * i + 1], loop[3 * i + 2]);
    }
    return out;
  }

  /** The loops of a section: coordinates in threes, and numbers of their vertices. */
  private record Row(List<double[]> loops, List<int[]> numbers) {}

  /**
   * The diagonal of each side runs from the left corner of a section to the right one of the next,
   * above and below alike, so that a twisted body keeps its thickness; in the next step the other
   * way, so that a body whose thickness changes keeps its volume.
   */
  private static void sides(MeshWeld weld, Row from, Row to, boolean closed, boolean fromRight) {
    if (from.numbers.size() != to.numbers.size()) {
      throw new IllegalArgumentException(
          "sections that follow each other have other numbers of loops");
    }
    for (int k = 0; k < from.numbers.size(); k++) {
      int[] a = from.numbers.get(k);
      int[] b = to.numbers.get(k);
      if (a.length != b.length) {
        throw new IllegalArgumentException(
            "sections that follow each other have " + a.length + " and " + b.length + " corners");
      }
      for (int i = 0; i + (closed ? 0 : 1) < a.length; i++) {
        int j = (i + 1) % a.length;
        if (runsLeft(from.loops.get(k), to.loops.get(k), i, j) ^ fromRight) {
          triangle(weld, a[i], a[j], b[i]);
          triangle(weld, a[j], b[j], b[i]);
        } else {
          triangle(weld, a[i], a[j], b[j]);
          triangle(weld, a[i], b[j], b[i]);
        }
      }
    }
  }

  /** Whether an edge of two sections runs to the left, seen along the way between them in plan. */
  private static boolean runsLeft(double[] a, double[] b, int i, int j) {
    double e = b[3 * i] - a[3 * i] + b[3 * j] - a[3 * j];
    double n = b[3 * i + 1] - a[3 * i + 1] + b[3 * j + 1] - a[3 * j + 1];
    double across =
        (a[3 * j] - a[3 * i] + b[3 * j] - b[3 * i]) * n
            - (a[3 * j + 1] - a[3 * i + 1] + b[3 * j + 1] - b[3 * i + 1]) * e;
    return across < -1e-9 * Math.hypot(e, n);
  }

  private static void triangle(MeshWeld weld, int a, int b, int c) {
    if (a != b && b != c && c != a) {
      weld.triangle(a, b, c);
    }
  }

  /** A section on the axis of a revolution, or one that is a point, needs no cap. */
  private static void cap(
      MeshWeld weld, List<double[]> section, List<int[]> numbers, boolean start) {
    List<int[]> loops = new ArrayList<>();
    int points = 0;
    for (double[] loop : section) {
      points += loop.length / 3;
    }
    double[] xyz = new double[3 * points];
    int[] vertexOf = new int[points];
    int at = 0;
    for (int k = 0; k < section.size(); k++) {
      int n = numbers.get(k).length;
      int[] loop = new int[n];
      System.arraycopy(section.get(k), 0, xyz, 3 * at, 3 * n);
      for (int i = 0; i < n; i++) {
        vertexOf[at] = numbers.get(k)[i];
        loop[i] = at++;
      }
      loops.add(loop);
    }
    if (java.util.Arrays.stream(vertexOf).distinct().count() < 3) {
      return;
    }
    int[] t = FaceTriangulator.triangles(xyz, loops);
    for (int i = 0; i < t.length; i += 3) {
      int a = vertexOf[t[i]];
      int b = vertexOf[t[i + 1]];
      int c = vertexOf[t[i + 2]];
      triangle(weld, a, start ? c : b, start ? b : c);
    }
  }

  /** The same triangles turned over. */
  static Mesh turned(Mesh mesh) {
    int[] t = mesh.triangles().clone();
    for (int i = 0; i < t.length; i += 3) {
      int b = t[i + 1];
      t[i + 1] = t[i + 2];
      t[i + 2] = b;
    }
    return new Mesh(mesh.xyz(), t);
  }
}
