package wellspan.core.step;

import java.util.BitSet;
import java.util.List;
import wellspan.core.flaw.GroundChecks;
import wellspan.core.geom.Mesh;
import wellspan.core.reshape.SliverFlip;
import wellspan.core.reshape.VertexDrop;
import wellspan.core.shape.Shape;

/** Surfaces with vertices or triangles left out. */
final class SurfaceEdits {
  private SurfaceEdits() {}

  /**
   * Without some vertices.
   *
   * @param refill closes the gaps over their outlines
   */
  static Shape.Faces without(Shape.Faces s, List<Integer> vertices, boolean refill) {
    if (vertices.isEmpty()) {
      return s;
    }
    BitSet gone = new BitSet();
    vertices.forEach(gone::set);
    return new Shape.Faces(VertexDrop.vertices(s.mesh(), gone, refill));
  }

  static Shape.Faces without(Shape.Faces s, BitSet triangles) {
    return triangles.isEmpty()
        ? s
        : new Shape.Faces(
            VertexDrop.triangles(s.mesh(), triangles),
            s.finishes().flatMap(f -> f.only(t -> !triangles.get(t))));
  }

  /** Without the slivers that a cut close beside a vertex leaves. */
  static Mesh clean(Mesh cut) {
    return SliverFlip.flip(cut, GroundChecks.SLIVER);
  }
}
