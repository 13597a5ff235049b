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

  private final int[] triangles;
  private final int[] twin;
  private final int[] slots;
  private final int[] next;

  public MeshEdges(Mesh mesh) {
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

  /**
   * The closed chains of vertices along edges that have a triangle on one side only: outer outlines
   * counter-clockwise, holes clockwise. Where chains touch in a vertex they are kept apart as far
   * as the order of edges allows.
   */
  public List<int[]> outlines() {
    int vertices = Arrays.stream(triangles).max().orElse(-1) + 1;
    int[] first = new int[vertices];
    int[] after = new int[twin.length];
    Arrays.fill(first, -1);
    int open = 0;
    for (int h = 0; h < twin.length; h++) {
      if (twin[h] == NONE) {
        after[h] = first[from(h)];
        first[from(h)] = h;
        open++;
      }
    }
    List<int[]> loops = new ArrayList<>();
    int[] chain = new int[open];
    for (int start = 0; start < twin.length; start++) {
      if (twin[start] != NONE || !take(first, after, start)) {
        continue;
      }
      int n = 0;
      int h = start;
      while (h >= 0) {
        chain[n++] = from(h);
        h = first[to(h)];
        if (h >= 0) {
          take(first, after, h);
        }
      }
      loops.add(Arrays.copyOf(chain, n));
    }
    return loops;
  }

  /** Takes a half edge out of its start vertex's list; false if it was taken before. */
  private boolean take(int[] first, int[] after, int h) {
    int v = from(h);
    if (first[v] == h) {
      first[v] = after[h];
      return true;
    }
    for (int o = first[v]; o >= 0; o = after[o]) {
      if (after[o] == h) {
        after[o] = after[h];
        return true;
      }
    }
    return false;
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
