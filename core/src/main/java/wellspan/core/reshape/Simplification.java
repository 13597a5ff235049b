package wellspan.core.reshape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.PlanVertices;
import wellspan.core.geom.Polyline;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.TriangleIndex;
import wellspan.core.triangulate.Constraint;
import wellspan.core.triangulate.LevelRule;
import wellspan.core.triangulate.Triangulator;

/**
 * A surface of fewer triangles over some of the vertices, with the same outline. No vertex of the
 * surface lies farther above or below the simpler one than promised: vertices are put in, the worst
 * of every triangle first, until that holds (greedy insertion after Garland and Heckbert 1995).
 *
 * @param error largest vertical distance of a vertex left out, metres
 */
public record Simplification(Mesh mesh, double error) {

  /**
   * @param promised largest vertical distance, metres
   * @throws IllegalArgumentException with a sentence, if the surface has upright faces: two levels
   *     at one place that differ by more than what is promised
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Simplification of(Mesh mesh, double promised, Progress progress) {
    Mesh used = mesh.compact();
    checkUpright(used, promised);
    List<Constraint> outline = outline(used);
    boolean[] in = new boolean[used.vertexCount()];
    int[] first = extremes(used);
    for (int v : first) {
      in[v] = true;
    }
    Triangulator triangulator = new Triangulator(LevelRule.FIRST, LevelRule.FIRST, 0);
    for (int round = 0; ; round++) {
      progress.advance(Math.min(0.95, 0.08 * round), "Simplifying, round " + (round + 1));
      Mesh now = triangulator.run(chosen(used, in), outline, Progress.NONE).mesh();
      double error = insertWorst(used, now, in, promised);
      if (error <= promised) {
        return new Simplification(now.compact(), error);
      }
    }
  }

  private static void checkUpright(Mesh m, double promised) {
    PlanVertices places = new PlanVertices(Triangulator.SAME_PLACE, m.bounds(), m.vertexCount());
    for (int v = 0; v < m.vertexCount(); v++) {
      int p = places.at(m.east(v), m.north(v), m.level(v));
      if (Math.abs(places.level(p) - m.level(v)) > promised) {
        throw new IllegalArgumentException(
            "The surface has upright faces (two levels at one place) and cannot be simplified within "
                + promised
                + " m. Clip them away first, or allow more.");
      }
    }
  }

  private static List<Constraint> outline(Mesh m) {
    List<Constraint> out = new ArrayList<>();
    for (int[] loop : new MeshEdges(m).outlines()) {
      if (loop.length >= 3) {
        double[] xyz = new double[3 * loop.length];
        for (int i = 0; i < loop.length; i++) {
          System.arraycopy(m.xyz(), 3 * loop[i], xyz, 3 * i, 3);
        }
        boolean hole = wellspan.core.flaw.SurfaceFlaws.planArea(m, loop) < 0;
        out.add(
            new Constraint(
                "outline",
                new Polyline(xyz),
                hole ? Constraint.Kind.HOLE : Constraint.Kind.BOUNDARY));
      }
    }
    return out;
  }

  /** The vertices that reach farthest: with them the first round's triangles span the surface. */
  private static int[] extremes(Mesh m) {
    int[] best = new int[6];
    for (int v = 1; v < m.vertexCount(); v++) {
      for (int k = 0; k < 3; k++) {
        double x = m.xyz()[3 * v + k];
        best[k] = x < m.xyz()[3 * best[k] + k] ? v : best[k];
        best[3 + k] = x > m.xyz()[3 * best[3 + k] + k] ? v : best[3 + k];
      }
    }
    return best;
  }

  private static double[] chosen(Mesh m, boolean[] in) {
    double[] out = new double[m.xyz().length];
    int n = 0;
    for (int v = 0; v < in.length; v++) {
      if (in[v]) {
        System.arraycopy(m.xyz(), 3 * v, out, n, 3);
        n += 3;
      }
    }
    return Arrays.copyOf(out, n);
  }

  /** Puts the worst vertex of every triangle in; returns the largest distance there was. */
  private static double insertWorst(Mesh whole, Mesh now, boolean[] in, double promised) {
    TriangleIndex index = new TriangleIndex(now);
    int[] worst = new int[now.triangleCount()];
    double[] far = new double[worst.length];
    Arrays.fill(worst, -1);
    double largest = 0;
    for (int v = 0; v < in.length; v++) {
      if (in[v]) {
        continue;
      }
      int t = index.triangleAt(whole.east(v), whole.north(v));
      if (t < 0) {
        continue; // on the outline, which is kept whole: rounding puts it a hair outside
      }
      double d = Math.abs(index.levelAt(whole.east(v), whole.north(v)) - whole.level(v));
      largest = Math.max(largest, d);
      if (d > promised && d > far[t]) {
        far[t] = d;
        worst[t] = v;
      }
    }
    for (int v : worst) {
      if (v >= 0) {
        in[v] = true;
      }
    }
    return largest;
  }
}
