package wellspan.core.packing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityAttributes;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.MaterialSet;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.ValueTypes;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.describe.Finishes;
import wellspan.core.describe.Networks;
import wellspan.core.describe.StandardSets;
import wellspan.core.item.Item;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.Ruled;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.FaceFinishes;
import wellspan.core.shape.Shape;

/**
 * What is said of an item in a format: what was received, in models what is known here, and over
 * both what the rulebook says.
 *
 * @param ruled what the rulebook decides of the item
 * @param facts what is known here
 */
record Saying(Rulebook book, Ruled ruled, PropertySet facts) {

  Description of(EntityClass c, String globalId, Item item, DeliveryFormat format) {
    boolean faces = item.triangles().isPresent();
    return new Description(
        c,
        globalId,
        sets(c, item, format),
        faces ? Finishes.standard(item) : item.kind().finish(),
        faces
            ? Optional.of(item.shape() instanceof Shape.Faces b && b.mesh().isClosed())
            : Optional.empty(),
        format.schema().isPresent() ? ruled.codesOver(item.said().classification()) : List.of(),
        ruled.structure().isEmpty() ? item.said().structure() : ruled.structure(),
        format.schema().map(s -> Networks.groups(item, s)).orElse(List.of()),
        item.said().type(),
        format
            .schema()
            .map(s -> EntityAttributes.fitting(item.said().attributes(), c.entity(), s))
            .orElse(Map.of()),
        format.schema().flatMap(s -> materials(item).map(m -> m.fitting(s))));
  }

  /** Those of its faces; else what was received, as long as the item is still made of it. */
  private static Optional<MaterialSet> materials(Item item) {
    List<String> ofFaces =
        FaceFinishes.of(item.shape()).map(FaceFinishes::materials).orElse(List.of());
    if (ofFaces.size() > 1) {
      return Optional.of(MaterialSet.of(ofFaces));
    }
    String material = item.attributes().material();
    return item.said().materials().filter(m -> m.materials().equals(material));
  }

  /**
   * Standard sets made here or by rules fit the class in the schema: what has no room in them goes
   * into an own set of like name. Those of a received model stay as they are.
   */
  private List<PropertySet> sets(EntityClass c, Item item, DeliveryFormat format) {
    if (format.schema().isEmpty()) {
      return without(
          format.sets(
              item.saying(item.said().withSets(ruled.over(item.said().propertySets()))), facts));
    }
    List<PropertySet> all = format.sets(item, facts);
    List<PropertySet> own =
        item.said().entityClass().equals(EntityClass.NONE)
            ? StandardSets.of(format.schema().get()).fitted(all, c.entity())
            : all;
    IfcSchema schema = format.schema().get();
    List<PropertySet> said = StandardSets.of(schema).fitted(ruled.sets(), c.entity());
    return Ruled.merged(without(own), said).stream()
        .map(s -> ValueTypes.fitting(s, schema))
        .toList();
  }

  private List<PropertySet> without(List<PropertySet> all) {
    return book.withoutSets().isEmpty()
        ? all
        : all.stream().filter(s -> !book.withoutSets().contains(s.name())).toList();
  }
}
