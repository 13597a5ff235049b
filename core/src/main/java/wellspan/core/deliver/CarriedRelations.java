package wellspan.core.deliver;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.RelationType;
import wellspan.core.item.Item;
import wellspan.core.item.Relation;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/** Which of a parcel's relations a model of its schema holds. */
public final class CarriedRelations {
  private CarriedRelations() {}

  /**
   * Those between two of the parcel's pieces: parts of one whole each, connections between bodies,
   * and in IFC4.3 what follows an alignment.
   */
  public static List<Relation> of(Parcel parcel) {
    Map<String, Parcel.Piece> pieces = new HashMap<>();
    parcel.pieces().forEach(p -> pieces.put(p.key(), p));
    Set<String> parts = new HashSet<>();
    List<Relation> out = new ArrayList<>();
    for (Relation r : parcel.relations()) {
      Parcel.Piece from = pieces.get(r.from().value());
      Parcel.Piece to = pieces.get(r.to().value());
      if (from == null || to == null || !isBody(from.item())) {
        continue;
      }
      boolean carried =
          switch (r.type()) {
            case PART_OF -> isBody(to.item()) && parts.add(from.key());
            case CONNECTS -> isBody(to.item());
            case FOLLOWS ->
                parcel.schema() == IfcSchema.IFC4X3
                    && to.description().entityClass().entity().equals("IfcAlignment");
          };
      if (carried) {
        out.add(r);
      }
    }
    return out;
  }

  /** How many stay here, of a type. */
  public static long left(Parcel parcel, RelationType type) {
    long all = parcel.relations().stream().filter(r -> r.type() == type).count();
    return all - of(parcel).stream().filter(r -> r.type() == type).count();
  }

  private static boolean isBody(Item item) {
    return item.shape() instanceof Shape.Faces && !item.kind().surface();
  }
}
