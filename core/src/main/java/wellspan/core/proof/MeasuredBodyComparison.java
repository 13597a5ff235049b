package wellspan.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;

/**
 * Compares bodies that a file holds by curves and measures: what is made of those as sent and as
 * arrived has its vertices at the same places and encloses the same volume. How a flat end is cut
 * into triangles may hang on the last digit of a number and is not compared.
 */
final class MeasuredBodyComparison {
  /** Steps along curves hang on all that is written of them, metres. */
  private static final double TOLERANCE = 1e-5;

  private MeasuredBodyComparison() {}

  /**
   * @param tolerance of written coordinates, metres
   */
  static ItemComparison compare(Item item, Mesh sent, Mesh arrived, double tolerance) {
    double near = Math.max(TOLERANCE, tolerance);
    ItemComparison inOrder = MeshComparison.compare(item, sent, arrived, near);
    boolean counts =
        sent.vertexCount() == arrived.vertexCount()
            && sent.triangleCount() == arrived.triangleCount();
    if (!counts || inOrder.differences().isEmpty()) {
      return inOrder;
    }
    List<Difference> found = new ArrayList<>();
    inOrder.differences().stream().filter(d -> d.what() != What.TRIANGLES).forEach(found::add);
    double volume = Math.abs(sent.volume() - arrived.volume());
    if (sent.isClosed() != arrived.isClosed()
        || sent.isClosed() && volume > near * sent.surfaceArea()) {
      found.add(
          Difference.of(
                  What.GEOMETRY,
                  item.name(),
                  String.format(
                      Locale.ROOT,
                      "%s: encloses %.6f m³ as sent and %.6f m³ as arrived.",
                      item.name(),
                      sent.volume(),
                      arrived.volume()))
              .by(volume));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            item.name(),
            item.kind().title(),
            MeshComparison.counted(sent),
            inOrder.figures().maxDeviation(),
            found.isEmpty(),
            inOrder.figures().deviations()),
        found);
  }
}
