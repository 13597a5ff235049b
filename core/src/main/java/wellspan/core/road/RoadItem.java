package wellspan.core.road;

import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.RelationType;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;

/** A part of a road as an item of a job. */
public final class RoadItem {
  private RoadItem() {}

  /**
   * The item; empty if nothing can be made of the part.
   *
   * @param road its name is the item's layer
   * @param name of the item
   * @param stop at which it is made
   * @param findings takes what is wrong with it
   */
  public static Optional<Item> of(
      String road, Alignment axis, RoadPart p, String name, Stop stop, List<Finding> findings) {
    Kind kind = Kind.of(p.kind());
    RoadBody body = new RoadBody(road, axis, p);
    Shape.Faces faces = Shape.Faces.of(body, Curved.USUAL_CHORD);
    boolean solid = p.body().isSolid();
    if (faces.isEmpty()) {
      return Optional.empty();
    }
    if (solid && !faces.mesh().isClosed()) {
      findings.add(
          Finding.error(
              stop,
              "section.solid",
              name,
              name + " of " + road + " makes no closed body and is left out."));
      return Optional.empty();
    }
    if (solid && p.body().isCutAtCentre()) {
      findings.add(
          Finding.warning(
              stop,
              "section.centre",
              name,
              name
                  + " of "
                  + road
                  + " reaches beyond the centre of a curve; it is cut where another place of the axis is nearer."));
    }
    Description said =
        Description.of(PropertySet.merged(body.facts(), p.sets()), finish(kind, p.material()))
            .withClosed(solid);
    return Optional.of(
        new Item(name, kind, faces, Attributes.NONE.withLayer(road).with(said))
            .standing(RelationType.FOLLOWS, Kind.ALIGNMENT, axis.name()));
  }

  private static Optional<Finish> finish(Kind kind, String material) {
    return material.isEmpty()
        ? kind.finish()
        : Optional.of(new Finish(material, Finish.colour(material)));
  }
}
