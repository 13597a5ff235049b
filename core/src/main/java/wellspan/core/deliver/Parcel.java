package wellspan.core.deliver;

import java.util.List;
import java.util.Optional;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.Relation;
import wellspan.core.place.Control;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;
import wellspan.core.unit.LinearUnit;

/**
 * Everything that one delivery sends, ready for a writer: nothing in it is decided any more. Holds
 * the very items of the build, so it costs no memory of its own; any thread may read it.
 *
 * @param project name of the project in the model
 * @param format of the written file
 * @param frame of the written file: its base point is the file's zero
 * @param control points that the written file is tallied against
 * @param unit length unit of the written file
 * @param ids makes the GlobalIds of what is not an item
 * @param info what is said of the project besides its name
 * @param relations between items by the keys of their pieces; those with an end that is not sent
 *     are passed over
 * @param root project and site of the one model that all of it was received with; empty where they
 *     are made here
 */
public record Parcel(
    String project,
    DeliveryFormat format,
    Frame frame,
    LinearUnit unit,
    GlobalIds ids,
    List<Piece> pieces,
    Control control,
    ProjectInfo info,
    List<Relation> relations,
    Optional<ModelRoot> root) {

  public Parcel {
    pieces = List.copyOf(pieces);
    relations = List.copyOf(relations);
  }

  /** Of a project of which nothing but its name is stated. */
  public Parcel(
      String project,
      DeliveryFormat format,
      Frame frame,
      LinearUnit unit,
      GlobalIds ids,
      List<Piece> pieces,
      Control control) {
    this(
        project,
        format,
        frame,
        unit,
        ids,
        pieces,
        control,
        ProjectInfo.NONE,
        List.of(),
        Optional.empty());
  }

  /** The same with other pieces. */
  public Parcel withPieces(List<Piece> others) {
    return new Parcel(project, format, frame, unit, ids, others, control, info, relations, root);
  }

  /** The same in the project and site of a received model. */
  public Parcel in(String name, ProjectInfo stated, ModelRoot received) {
    return new Parcel(
        name, format, frame, unit, ids, pieces, control, stated, relations, Optional.of(received));
  }

  /** A parcel for a model. */
  public Parcel(
      String project,
      IfcSchema schema,
      Frame frame,
      LinearUnit unit,
      GlobalIds ids,
      List<Piece> pieces,
      Control control) {
    this(project, new IfcFormat(schema), frame, unit, ids, pieces, control);
  }

  /** Version of the model's schema; IFC4.3 where the format has none. */
  public IfcSchema schema() {
    return format.schema().orElse(IfcSchema.IFC4X3);
  }

  /** Pieces that are levels of the structure by their class, as rooms are; in their order. */
  public List<Piece> levels() {
    if (format.schema().isEmpty()) {
      return List.of();
    }
    Schema tables = Schema.forFile(schema().id()).orElseThrow();
    return pieces.stream()
        .filter(p -> ProductClasses.isLevel(tables, p.description().entityClass().entity()))
        .toList();
  }

  /**
   * One item to send.
   *
   * @param key identity over all runs, from which GlobalIds of the item's parts are made
   * @param description what the file is to say of it
   * @param fingerprint changes when what is sent of the item changes
   * @param within key of the surface whose breaklines these lines are; empty for all others
   */
  public record Piece(
      String key, Item item, Description description, String fingerprint, String within) {

    /** Between the identity of an item and that of a part of it; no item's identity holds it. */
    public static final char PART = '\u0000';

    /** Identity of the item that this is, or is a part of. */
    public String itemKey() {
      int part = key.indexOf(PART);
      return part < 0 ? key : key.substring(0, part);
    }

    /** An item that stands for itself. */
    public Piece(String key, Item item, Description description, String fingerprint) {
      this(key, item, description, fingerprint, "");
    }

    /** The same with another item. */
    public Piece with(Item other) {
      return new Piece(key, other, description, fingerprint, within);
    }

    /** The same with another description. */
    public Piece with(Description d) {
      return new Piece(key, item, d, fingerprint, within);
    }
  }
}
