package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Finish;
import wellspan.core.geom.Mesh;
import wellspan.core.shape.FaceFinishes;

/**
 * The items of a product's body as one mesh at their place in the model's coordinates.
 *
 * @param closed whether the file calls all of it closed bodies; empty if it does not say
 * @param colours of each triangle, 0xRRGGBB, −1 for none; nothing where all have the same
 */
record PlacedShape(Mesh mesh, Optional<Boolean> closed, int[] colours) {
  /**
   * @throws Left or {@link Unread} if any part of it cannot be read
   */
  static PlacedShape of(
      List<Instance> items, Placement at, Soundness soundness, ShapeReader shape) {
    for (Instance item : items) {
      Optional<String> fault = soundness.whole(item);
      if (fault.isPresent()) {
        throw new Left(fault.get());
      }
      shape.item(item, Placement.IDENTITY, 0);
    }
    double[] xyz = shape.mesh().takeXyz();
    if (!at.isIdentity()) {
      at.apply(xyz, 0, xyz.length);
    }
    Mesh mesh = new Mesh(xyz, shape.mesh().takeTriangles());
    return new PlacedShape(mesh, shape.closed(), shape.mesh().takeColours());
  }

  /**
   * Finishes of single triangles where they have several colours.
   *
   * @param material of the whole
   */
  Optional<FaceFinishes> finishes(String material) {
    Map<Integer, Finish> byColour = new HashMap<>();
    Finish[] each = new Finish[colours.length];
    for (int t = 0; t < each.length; t++) {
      each[t] =
          colours[t] < 0
              ? null
              : byColour.computeIfAbsent(colours[t], rgb -> new Finish(material, rgb));
    }
    return FaceFinishes.of(each);
  }
}
