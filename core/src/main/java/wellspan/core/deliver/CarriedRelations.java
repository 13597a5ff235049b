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
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;
import wellspan.core.shape.Shape;

/** Which of a parcel's relations a model of its schema holds. */
public final class CarriedRelations {
  private static final String ELEMENT = "IFCELEMENT";

  private CarriedRelations() {}

  /**
   * Those between two of the parcel's pieces: parts of one whole each, features of one element
   * each, connections between bodies, and in IFC4.3 what follows an alignment.
   */
  public static List<Relation> of(Parcel parcel) {
    Map<String, Parcel.Piece> pieces = new HashMap<>();
    parcel.pieces().forEach(p -> pieces.put(p.key(), p));
    Map<String, String> wholeOf = new HashMap<>();
    Schema tables =
        parcel.format().schema().isEmpty()
            ? null
            : Schema.forFile(parcel.schema().id()).orElseThrow();
    List<Relation> out = new ArrayList<>();
    for (Relation r : parcel.relations()) {
      Parcel.Piece from = pieces.get(r.from().value());
      Parcel.Piece to = pieces.get(r.to().value());
      if (from == null || to == null || !isBetweenProducts(r.type(), from.item(), to.item())) {
        continue;
      }
      boolean carried =
          switch (r.type()) {
            case PART_OF -> // what is a part of a level, and no level, stands in it
                isLevel(tables, from) == isLevel(tables, to)
                    && isFirstWhole(wholeOf, from.key(), to.key());
            case CONNECTS -> true;
            case FOLLOWS ->
                parcel.schema() == IfcSchema.IFC4X3
                    && to.description().entityClass().entity().equals("IfcAlignment");
            case FEATURE_OF ->
                tables != null
                    && ProductClasses.isFeature(tables, entity(from))
                    && !ProductClasses.isFeature(tables, entity(to))
                    && tables.entity(entity(to)).filter(e -> tables.isA(e, ELEMENT)).isPresent()
                    && isFirstWhole(wholeOf, from.key(), to.key());
          };
      if (carried) {
        out.add(r);
      }
    }
    return out;
  }

  private static boolean isLevel(Schema tables, Parcel.Piece p) {
    return tables != null && ProductClasses.isLevel(tables, entity(p));
  }

  private static String entity(Parcel.Piece p) {
    return p.description().entityClass().entity();
  }

  /** How many of the things that are sent lose a relation of a type. */
  public static long left(Parcel parcel, RelationType type) {
    Set<String> sent = new HashSet<>();
    parcel.pieces().forEach(p -> sent.add(p.key()));
    long all =
        parcel.relations().stream()
            .filter(r -> r.type() == type && sent.contains(r.from().value()))
            .count();
    return all - of(parcel).stream().filter(r -> r.type() == type).count();
  }

  /** Whether a model of any schema could hold a relation between two such items. */
  public static boolean isBetweenProducts(RelationType type, Item from, Item to) {
    // what a surface is called may change on its way; that it follows a line does not
    return type == RelationType.FOLLOWS
        ? from.shape() instanceof Shape.Faces && to.shape() instanceof Shape.Axis
        : isBody(from) && isBody(to);
  }

  /** A part or a feature has one whole, and is no whole of its own whole. */
  private static boolean isFirstWhole(Map<String, String> wholeOf, String part, String whole) {
    for (String above = whole; above != null; above = wholeOf.get(above)) {
      if (above.equals(part)) {
        return false;
      }
    }
    return wholeOf.putIfAbsent(part, whole) == null;
  }

  private static boolean isBody(Item item) {
    return item.shape() instanceof Shape.Faces && !item.kind().surface();
  }
}
