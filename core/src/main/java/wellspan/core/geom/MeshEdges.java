package wellspan.core.geom;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Which triangles of a mesh meet at which edges. Half edge {@code 3 t + k} runs from corner {@code
 * k} of triangle {@code t} to the next corner.
 */
public final class MeshEdges {
  /** No triangle lies on the other side. */
  public static final int NONE = -1;

  /** More than two triangles meet here, or two that are turned against each other. */
  public static final int IRREGULAR = -2;

  private final Mesh mesh;
  private final int[] triangles;
  private final int[] twin;
  private final int[] slots;
  private final int[] next;

  public MeshEdges(Mesh mesh) {
    this.mesh = mesh;
    triangles = mesh.triangles();
    int n = triangles.length;
    twin = new int[n];
    next = new int[n];
    slots = new int[Integer.highestOneBit(Math.max(1, n)) << 1];
    Arrays.fill(slots, -1);
    for (int h = 0; h < n; h++) {
      int s = slot(from(h), to(h));
      next[h] = slots[s];
      slots[s] = h;
    }
    for (int h = 0; h < n; h++) {
      twin[h] = partner(h);
    }
  }

  private int slot(int a, int b) {
    long key = (long) Math.min(a, b) << 32 | Math.max(a, b);
    return (int) ((key * 0x9E3779B97F4A7C15L) >>> 33) & (slots.length - 1);
  }

  private int partner(int h) {
    int a = from(h), b = to(h), found = NONE;
    for (int o = slots[slot(a, b)]; o >= 0; o = next[o]) {
      if (o == h) {
        continue;
      }
      if (from(o) == b && to(o) == a) {
        if (found != NONE) {
          return IRREGULAR;
        }
        found = o;
      } else if (from(o) == a && to(o) == b) {
        return IRREGULAR;
      }
    }
    return found;
  }

  public int from(int h) {
    return triangles[h];
  }

  public int to(int h) {
    return triangles[h % 3 == 2 ? h - 2 : h + 1];
  }

  /** The half edge on the other side, {@link #NONE} or {@link #IRREGULAR}. */
  public int twin(int h) {
    return twin[h];
  }

  public int halfEdgeCount() {
    return twin.length;
  }

  /** Whether two vertices are joined by an edge of any triangle. */
  public boolean joins(int a, int b) {
    for (int o = slots[slot(a, b)]; o >= 0; o = next[o]) {
      if (from(o) == a && to(o) == b || from(o) == b && to(o) == a) {
        return true;
      }
    }
    return false;
  }

  /** Whether exactly one triangle has the edge between two vertices. */
  public boolean isOpen(int a, int b) {
    int uses = 0;
    for (int o = slots[slot(a, b)]; o >= 0; o = next[o]) {
      uses += from(o) == a && to(o) == b || from(o) == b && to(o) == a ? 1 : 0;
    }
    return uses == 1;
  }

  /**
   * The closed chains of vertices along edges that have a triangle on one side only, whatever way
   * triangles are wound. The surface lies to the left of each, seen from above: outer outlines run
   * counter-clockwise, holes clockwise. Outlines that touch in a vertex are kept apart: each
   * follows the triangles that hang together there. Where more than two triangles meet at an edge a
   * chain ends: from its last vertex to its first there is no open edge then.
   */
  public List<int[]> outlines() {
    int n = twin.length;
    int[] across = new int[n]; // the half edge of the other triangle, whatever way it runs
    int open = 0;
    for (int h = 0; h < n; h++) {
      across[h] = across(h);
      open += across[h] == NONE ? 1 : 0;
    }
    boolean[] done = new boolean[n];
    List<int[]> loops = new ArrayList<>();
    int[] chain = new int[open];
    for (int start = 0; start < n; start++) {
      if (across[start] != NONE || done[start]) {
        continue;
      }
      int length = 0;
      double left = 0;
      int h = start;
      int at = from(start);
      while (h >= 0 && !done[h]) {
        done[h] = true;
        chain[length++] = at;
        int to = from(h) == at ? to(h) : from(h);
        left += side(at, to, third(h));
        h = nextOpen(h, to, across);
        at = to;
      }
      int[] loop = Arrays.copyOf(chain, length);
      if (left < 0) {
        for (int i = 1, j = length - 1; i < j; i++, j--) {
          int v = loop[i];
          loop[i] = loop[j];
          loop[j] = v;
        }
      }
      loops.add(loop);
    }
    return loops;
  }

  /** The one other triangle at an edge, {@link #NONE}, or {@link #IRREGULAR} if there are more. */
  private int across(int h) {
    int a = from(h), b = to(h), found = NONE;
    for (int o = slots[slot(a, b)]; o >= 0; o = next[o]) {
      if (o != h && (from(o) == b && to(o) == a || from(o) == a && to(o) == b)) {
        if (found != NONE) {
          return IRREGULAR;
        }
        found = o;
      }
    }
    return found;
  }

  private int third(int h) {
    int t = h - h % 3;
    return triangles[t + (h % 3 + 2) % 3];
  }

  /** Twice the area in plan of the triangle on an edge, positive if it lies to the left. */
  private double side(int a, int b, int c) {
    return (mesh.east(b) - mesh.east(a)) * (mesh.north(c) - mesh.north(a))
        - (mesh.north(b) - mesh.north(a)) * (mesh.east(c) - mesh.east(a));
  }

  /**
   * The next open edge at a vertex: around it from triangle to triangle, until one has no
   * neighbour. −1 where more than two triangles meet at an edge on the way.
   */
  private int nextOpen(int open, int vertex, int[] across) {
    int h = open;
    for (int i = 0; i < twin.length; i++) {
      int t = h - h % 3;
      int other = -1;
      for (int k = t; k < t + 3; k++) {
        if (k != h && (from(k) == vertex || to(k) == vertex)) {
          other = k;
        }
      }
      if (other < 0 || across[other] == IRREGULAR) {
        return -1;
      }
      if (across[other] == NONE) {
        return other;
      }
      h = across[other];
    }
    return -1;
  }

  /**
   * Numbers the parts of the mesh that hang together over edges.
   *
   * @return the part of each triangle, from zero in the order of first triangles
   */
  public int[] parts(java.util.function.IntPredicate crossable) {
    int n = triangles.length / 3;
    int[] part = new int[n];
    Arrays.fill(part, -1);
    int[] stack = new int[n];
    int parts = 0;
    for (int seed = 0; seed < n; seed++) {
      if (part[seed] >= 0) {
        continue;
      }
      int top = 0;
      stack[top++] = seed;
      part[seed] = parts;
      while (top > 0) {
        int t = stack[--top];
        for (int h = 3 * t; h < 3 * t + 3; h++) {
          int o = twin[h];
          if (o >= 0 && part[o / 3] < 0 && crossable.test(h)) {
            part[o / 3] = parts;
            stack[top++] = o / 3;
          }
        }
      }
      parts++;
    }
    return part;
  }
}
