package wellspan.core.proof;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.picture.Pixels;
import wellspan.core.picture.Texture;

/** Compares the picture over a surface as sent and as arrived: its pixels and where they lie. */
final class TextureComparison {
  private TextureComparison() {}

  /** What is wrong with it; nothing if neither has a picture. */
  static List<Difference> compare(Item sent, Item arrived, double tolerance) {
    Optional<Texture> here = of(sent);
    Optional<Texture> there = of(arrived);
    if (here.isEmpty() && there.isEmpty()) {
      return List.of();
    }
    if (there.isEmpty()) {
      return wrong(sent, "the picture over it did not arrive.");
    }
    if (here.isEmpty()) {
      return wrong(sent, "a picture lies over it that was not sent.");
    }
    if (!same(here.get().pixels(), there.get().pixels())) {
      return wrong(sent, "the picture over it arrived with other pixels.");
    }
    double off = sent.triangles().map(m -> off(m, here.get(), there.get())).orElse(0.0);
    return off <= tolerance
        ? List.of()
        : wrong(
            sent,
            String.format(
                Locale.ROOT, "the picture over it arrived up to %.4f mm aside.", 1000 * off));
  }

  private static Optional<Texture> of(Item item) {
    return item.attributes().texture();
  }

  private static boolean same(Pixels a, Pixels b) {
    return a.width() == b.width() && a.height() == b.height() && Arrays.equals(a.argb(), b.argb());
  }

  /** How far the picture is aside at the vertices, measured on the picture as sent, metres. */
  private static double off(Mesh mesh, Texture here, Texture there) {
    double worst = 0;
    for (int v = 0; v < mesh.vertexCount(); v++) {
      double u = there.across(mesh.east(v), mesh.north(v));
      double w = there.down(mesh.east(v), mesh.north(v));
      double de = here.place().east(u, w) - mesh.east(v);
      double dn = here.place().north(u, w) - mesh.north(v);
      worst = Math.max(worst, Math.hypot(de, dn));
    }
    return worst;
  }

  private static List<Difference> wrong(Item item, String what) {
    return List.of(Difference.of(Difference.What.TEXTURE, item.name(), item.name() + ": " + what));
  }
}
