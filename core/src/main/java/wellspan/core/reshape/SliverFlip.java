package wellspan.core.reshape;

import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.Set;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;

/**
 * Takes slivers out of a surface by turning their longest side: the vertex that lies almost on that
 * side becomes part of it. Nothing moves by more than a sliver's height.
 */
public final class SliverFlip {
  private static final int PASSES = 8;

  private SliverFlip() {}

  /**
   * @param height of a triangle below which it is a sliver, metres
   * @return the surface; slivers at its outline stay
   */
  public static Mesh flip(Mesh mesh, double height) {
    Mesh now = mesh;
    for (int pass = 0; pass < PASSES; pass++) {
      Mesh next = pass(now, height);
      if (Arrays.equals(next.triangles(), now.triangles())) {
        return now;
      }
      now = next;
    }
    return now;
  }

  private static Mesh pass(Mesh m, double height) {
    int[] t = m.triangles().clone();
    MeshEdges edges = new MeshEdges(m);
    BitSet turned = new BitSet();
    Set<Long> made = new HashSet<>();
    for (int i = 0; i < m.triangleCount(); i++) {
      int longest = longest(m, edges, i);
      int twin = edges.twin(longest);
      double side = length(m, edges, longest);
      if (twin < 0 || 2 * Math.abs(m.planArea(i)) >= height * side) {
        continue;
      }
      int other = twin / 3;
      if (turned.get(i) || turned.get(other)) {
        continue;
      }
      int a = edges.from(longest), b = edges.to(longest);
      int p = corner(t, i, a, b), q = corner(t, other, a, b);
      if (edges.joins(p, q) || !made.add((long) Math.min(p, q) << 32 | Math.max(p, q))) {
        continue; // the side would be there twice
      }
      turned.set(i);
      turned.set(other);
      put(t, i, q, b, p);
      put(t, other, q, p, a);
    }
    return new Mesh(m.xyz(), t);
  }

  private static int longest(Mesh m, MeshEdges edges, int triangle) {
    int best = 3 * triangle;
    for (int h = best + 1; h < 3 * triangle + 3; h++) {
      best = length(m, edges, h) > length(m, edges, best) ? h : best;
    }
    return best;
  }

  private static double length(Mesh m, MeshEdges edges, int h) {
    int a = edges.from(h), b = edges.to(h);
    return Math.hypot(m.east(a) - m.east(b), m.north(a) - m.north(b));
  }

  private static int corner(int[] t, int triangle, int a, int b) {
    for (int k = 3 * triangle; k < 3 * triangle + 3; k++) {
      if (t[k] != a && t[k] != b) {
        return t[k];
      }
    }
    throw new IllegalStateException("a triangle has the same corner twice");
  }

  private static void put(int[] t, int triangle, int a, int b, int c) {
    t[3 * triangle] = a;
    t[3 * triangle + 1] = b;
    t[3 * triangle + 2] = c;
  }
}
