package wellspan.core.proof;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;
import wellspan.core.shape.FaceFinishes;
import wellspan.core.shape.Shape;

/** Compares the colours of single triangles as sent and as arrived. */
final class FaceColours {
  private static final int NONE = -1;

  private FaceColours() {}

  /**
   * The first triangle in another colour. Nothing where the triangles are others: that is told with
   * them.
   *
   * @param said what was sent with the item
   */
  static List<Difference> compare(Item sent, Item arrived, Description said) {
    if (!(sent.shape() instanceof Shape.Faces s)
        || !(arrived.shape() instanceof Shape.Faces a)
        || s.finishes().isEmpty() && a.finishes().isEmpty()
        || s.mesh().triangleCount() != a.mesh().triangleCount()) {
      return List.of();
    }
    int[] here = colours(s, said.finish());
    int[] there = colours(a, arrived.said().finish());
    int other = 0;
    int first = NONE;
    for (int t = 0; t < here.length; t++) {
      if (here[t] != there[t]) {
        other++;
        first = first == NONE ? t : first;
      }
    }
    if (other == 0) {
      return List.of();
    }
    Mesh m = s.mesh();
    return List.of(
        Difference.of(
                What.COLOUR,
                sent.name(),
                String.format(
                    Locale.ROOT,
                    "%s: %d of %d faces arrived in another colour; face %d was sent %s and arrived %s.",
                    sent.name(),
                    other,
                    here.length,
                    first + 1,
                    word(here[first]),
                    word(there[first])))
            .at(m.vertex(m.triangles()[3 * first])));
  }

  private static int[] colours(Shape.Faces f, Optional<Finish> whole) {
    int own = whole.map(Finish::rgb).orElse(NONE);
    return f.finishes()
        .orElseGet(() -> new FaceFinishes(List.of(), unpainted(f.mesh())))
        .colours(own);
  }

  private static int[] unpainted(Mesh mesh) {
    int[] of = new int[mesh.triangleCount()];
    java.util.Arrays.fill(of, FaceFinishes.OWN);
    return of;
  }

  private static String word(int rgb) {
    return rgb == NONE ? "without one" : String.format(Locale.ROOT, "in #%06X", rgb);
  }
}
