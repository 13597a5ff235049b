package wellspan.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;

/** Compares the vertices and triangles of a mesh as sent and as arrived. */
final class MeshComparison {
  private MeshComparison() {}

  /**
   * Formats that list corners face by face give vertices another order and drop those that no
   * triangle uses; vertices at one place become one. Where the triangles pair one to one the
   * arrived mesh is brought into the order sent before it is compared, vertex by vertex.
   *
   * @param tolerance metres
   */
  static ItemComparison compare(Item item, Mesh sent, Mesh arrived, double tolerance) {
    if (Arrays.equals(sent.triangles(), arrived.triangles())
        && sent.vertexCount() == arrived.vertexCount()) {
      return inOrder(item, sent, arrived, tolerance);
    }
    return inOrder(item, sent, renumbered(sent, arrived).orElse(arrived), tolerance);
  }

  private static Optional<Mesh> renumbered(Mesh sent, Mesh arrived) {
    int[] here = sent.triangles();
    int[] there = arrived.triangles();
    if (here.length != there.length) {
      return Optional.empty();
    }
    int[] partner = new int[sent.vertexCount()];
    Arrays.fill(partner, -1);
    for (int i = 0; i < here.length; i++) {
      if (partner[here[i]] == -1) {
        partner[here[i]] = there[i];
      } else if (partner[here[i]] != there[i]) {
        return Optional.empty();
      }
    }
    double[] xyz = sent.xyz().clone(); // unused vertices count as arrived: they are no surface
    for (int v = 0; v < partner.length; v++) {
      if (partner[v] >= 0) {
        System.arraycopy(arrived.xyz(), 3 * partner[v], xyz, 3 * v, 3);
      }
    }
    return Optional.of(new Mesh(xyz, here));
  }

  private static ItemComparison inOrder(Item item, Mesh sent, Mesh arrived, double tolerance) {
    List<Difference> found = new ArrayList<>();
    double[] deviations = {};
    double max = Double.POSITIVE_INFINITY;
    if (sent.vertexCount() == arrived.vertexCount()) {
      deviations = deviations(sent, arrived);
      int worst = worst(deviations);
      max = deviations.length == 0 ? 0 : deviations[worst];
      if (!(max <= tolerance)) {
        found.add(
            Difference.of(
                    What.GEOMETRY,
                    item.name(),
                    String.format(
                        Locale.ROOT,
                        "%s: vertex %d of %d lies %.4f mm from where it was sent.",
                        item.name(),
                        worst + 1,
                        deviations.length,
                        1000 * max))
                .at(sent.vertex(worst))
                .by(max));
      }
    } else {
      found.add(
          Difference.of(
              What.GEOMETRY,
              item.name(),
              item.name()
                  + ": "
                  + sent.vertexCount()
                  + " vertices were sent, "
                  + arrived.vertexCount()
                  + " arrived."));
    }
    boolean identical = Arrays.equals(sent.triangles(), arrived.triangles());
    if (!identical) {
      found.add(triangles(item, sent, arrived));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            item.name(),
            item.kind().title(),
            counted(sent),
            max,
            identical && max <= tolerance,
            deviations),
        found);
  }

  static String counted(Mesh m) {
    return String.format(Locale.ROOT, "%,d triangles", m.triangleCount()).replace(',', '\u00a0');
  }

  private static Difference triangles(Item item, Mesh sent, Mesh arrived) {
    int first = Arrays.mismatch(sent.triangles(), arrived.triangles()) / 3;
    String message =
        sent.triangleCount() == arrived.triangleCount()
            ? item.name() + ": triangle " + (first + 1) + " has other corners than the one sent."
            : item.name()
                + ": "
                + sent.triangleCount()
                + " triangles were sent, "
                + arrived.triangleCount()
                + " arrived; they differ from triangle "
                + (first + 1)
                + " on.";
    Difference d = Difference.of(What.TRIANGLES, item.name(), message);
    return first < sent.triangleCount() ? d.at(sent.vertex(sent.triangles()[3 * first])) : d;
  }

  private static double[] deviations(Mesh a, Mesh b) {
    double[] out = new double[a.vertexCount()];
    double[] p = a.xyz();
    double[] q = b.xyz();
    for (int i = 0; i < out.length; i++) {
      double dx = p[3 * i] - q[3 * i],
          dy = p[3 * i + 1] - q[3 * i + 1],
          dz = p[3 * i + 2] - q[3 * i + 2];
      out[i] = Math.sqrt(dx * dx + dy * dy + dz * dz);
    }
    return out;
  }

  /** Index of the largest deviation; one that is no number counts as the largest of all. */
  static int worst(double[] d) {
    int w = 0;
    for (int i = 0; i < d.length; i++) {
      if (Double.isNaN(d[i])) {
        return i;
      }
      if (d[i] > d[w]) {
        w = i;
      }
    }
    return w;
  }
}
