package wellspan.core.packing;

import java.util.HashSet;
import java.util.Set;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityAttributes;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.RelationType;
import wellspan.core.deliver.CarriedRelations;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.ClassRules;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/** Gives features whose element is not sent with them a class that stands alone. */
final class FeaturesAlone {
  private FeaturesAlone() {}

  static Parcel settled(Parcel parcel) {
    Schema tables = Schema.forFile(parcel.schema().id()).orElseThrow();
    Set<String> hosted = new HashSet<>();
    CarriedRelations.of(parcel).stream()
        .filter(r -> r.type() == RelationType.FEATURE_OF)
        .forEach(r -> hosted.add(r.from().value()));
    return parcel.withPieces(
        parcel.pieces().stream()
            .map(
                p ->
                    hosted.contains(p.key())
                            || !ProductClasses.isFeature(
                                tables, p.description().entityClass().entity())
                        ? p
                        : alone(p, parcel))
            .toList());
  }

  private static Parcel.Piece alone(Parcel.Piece p, Parcel parcel) {
    Description d = p.description();
    EntityClass c = ClassRules.withoutHost(p.item(), d.entityClass(), parcel.schema());
    return p.with(d.as(c, EntityAttributes.fitting(d.attributes(), c.entity(), parcel.schema())));
  }
}
