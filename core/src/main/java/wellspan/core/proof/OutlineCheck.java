package wellspan.core.proof;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;

/**
 * Checks the boundaries that a file gives for a surface against the triangles that arrived:
 * together their pieces must be the edges with a triangle on one side only, each once, and each
 * ring must say rightly whether the surface lies inside it. Edges are counted here by place,
 * whatever way the triangles are wound. Where more than two triangles meet at an edge, the open
 * edges need not make closed lines, so that some of them may be in no boundary.
 *
 * @param fault what is wrong, empty if nothing is
 * @param unsaid how many open edges of such a surface are in no boundary
 */
public record OutlineCheck(Optional<String> fault, int unsaid) {
  /** Edges of a ring that are asked which side its triangles lie on. */
  private static final int LOOKED_AT = 32;

  /** A triangle this near to the line of its edge in plan stands upright, metres. */
  private static final double UPRIGHT = 1e-4;

  private record Place(double e, double n, double h) {
    static Place of(double[] xyz, int i) {
      return new Place(xyz[3 * i] + 0.0, xyz[3 * i + 1] + 0.0, xyz[3 * i + 2] + 0.0);
    }
  }

  private record Edge(Place a, Place b) {
    private static final Comparator<Place> ORDER =
        Comparator.comparingDouble(Place::e)
            .thenComparingDouble(Place::n)
            .thenComparingDouble(Place::h);

    static Edge of(Place a, Place b) {
      return ORDER.compare(a, b) < 0 ? new Edge(a, b) : new Edge(b, a);
    }
  }

  /**
   * @param rings closed lines, the last point being the first again
   * @param outer of each ring, whether it is said to be an outer one
   */
  public static OutlineCheck of(Mesh mesh, List<Polyline> rings, List<Boolean> outer) {
    Map<Edge, Integer> uses = new HashMap<>();
    Map<Edge, Place> third = new HashMap<>();
    int[] t = mesh.triangles();
    for (int i = 0; i < t.length; i += 3) {
      for (int k = 0; k < 3; k++) {
        Place a = Place.of(mesh.xyz(), t[i + k]);
        Place b = Place.of(mesh.xyz(), t[i + (k + 1) % 3]);
        if (!a.equals(b)) {
          uses.merge(Edge.of(a, b), 1, Integer::sum);
          third.put(Edge.of(a, b), Place.of(mesh.xyz(), t[i + (k + 2) % 3]));
        }
      }
    }
    Set<Edge> open = new HashSet<>();
    uses.forEach(
        (e, n) -> {
          if (n == 1) {
            open.add(e);
          }
        });
    int edges = open.size();
    for (int r = 0; r < rings.size(); r++) {
      double[] xyz = rings.get(r).xyz();
      int n = rings.get(r).pointCount();
      if (!Place.of(xyz, 0).equals(Place.of(xyz, n - 1))) {
        return wrong("boundary " + (r + 1) + " is not closed");
      }
      for (int i = 0; i + 1 < n; i++) {
        Edge e = Edge.of(Place.of(xyz, i), Place.of(xyz, i + 1));
        if (!open.remove(e)) {
          return wrong("boundary " + (r + 1) + " runs where the surface does not end, or twice");
        }
      }
      if (isOther(xyz, third, outer.get(r))) {
        return wrong(
            "boundary "
                + (r + 1)
                + " is called "
                + (outer.get(r) ? "outer" : "void")
                + " and is the other");
      }
    }
    boolean branches = uses.values().stream().anyMatch(n -> n > 2);
    return open.isEmpty() || branches
        ? new OutlineCheck(Optional.empty(), open.size())
        : wrong(open.size() + " of " + edges + " open edges are in no boundary");
  }

  private static OutlineCheck wrong(String what) {
    return new OutlineCheck(Optional.of(what), 0);
  }

  /**
   * Whether a ring is said to be what it is not: no triangle along it lies on the side that is
   * said. Upright faces lie on neither side, and the edge of a leaning tube has some on both: such
   * rings may be called either.
   */
  private static boolean isOther(double[] ring, Map<Edge, Place> third, boolean outer) {
    int n = ring.length / 3 - 1;
    int step = Math.max(1, n / LOOKED_AT);
    boolean any = false;
    for (int i = 0; i < n; i += step) {
      Place c = third.get(Edge.of(Place.of(ring, i), Place.of(ring, i + 1)));
      if (isUpright(ring, i, c)) {
        continue;
      }
      if (inside(c, ring, i) == outer) {
        return false;
      }
      any = true;
    }
    return any;
  }

  /** Whether the triangle on an edge stands on its line in plan, as far as numbers tell. */
  private static boolean isUpright(double[] ring, int i, Place c) {
    double e = ring[3 * i + 3] - ring[3 * i];
    double n = ring[3 * i + 4] - ring[3 * i + 1];
    double off = e * (c.n() - ring[3 * i + 1]) - n * (c.e() - ring[3 * i]);
    double length = Math.hypot(e, n);
    return length == 0 || Math.abs(off) / length < UPRIGHT;
  }

  /**
   * Whether the triangle on the edge from point {@code i} of a ring lies inside the ring: counted
   * by the crossings of a ray from just beside the edge.
   */
  private static boolean inside(Place third, double[] ring, int i) {
    double e = (ring[3 * i] + ring[3 * i + 3]) / 2;
    double n = (ring[3 * i + 1] + ring[3 * i + 4]) / 2;
    double near = 1e-2; // of the way, beside the noise of large coordinates
    e += near * (third.e() - e);
    n += near * (third.n() - n);
    boolean in = false;
    for (int k = 0; k + 5 < ring.length; k += 3) {
      double n0 = ring[k + 1];
      double n1 = ring[k + 4];
      if (n0 > n != n1 > n && e < ring[k] + (n - n0) / (n1 - n0) * (ring[k + 3] - ring[k])) {
        in = !in;
      }
    }
    return in;
  }
}
