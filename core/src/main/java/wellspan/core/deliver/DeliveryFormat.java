package wellspan.core.deliver;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.attribute.PropertySet;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.CarriedBody;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/** A format of deliveries: what it is called and how it carries items. One record for each. */
public interface DeliveryFormat {
  /** As it stands in {@code job.json} and in receipts. */
  String id();

  /** For people. */
  String title();

  /** What is to be known where it is chosen, for people; empty where its title says it all. */
  default String about() {
    return "";
  }

  /** Of the file's name, with its dot. */
  String ending();

  /** All endings by which a written file may be named; the usual one first. */
  default List<String> endings() {
    return List.of(ending());
  }

  /** Decimals that coordinates are written with in a unit. */
  int decimals(LinearUnit unit);

  /**
   * How it carries an item.
   *
   * @param frame of the file
   */
  default Carriage carriage(Item item, Frame frame) {
    if (item.shape().isEmpty()) {
      return new Carriage.Not("There is nothing in it.");
    }
    if (item.shape() instanceof Shape.Picture) {
      return new Carriage.Not("A picture of the ground goes over a surface only.");
    }
    return carriageOfContent(item, frame);
  }

  /**
   * The same for an item that has something in it and is no picture of the ground.
   *
   * @param frame of the file
   */
  Carriage carriageOfContent(Item item, Frame frame);

  /** Whether it holds an item by its measures and leaves the triangles to the receiver. */
  default boolean leavesTriangles(Item item) {
    return false;
  }

  /**
   * What it holds as an outline and the line it is carried along, of which the receiver makes
   * triangles of its own; empty for what goes as triangles.
   *
   * @param frame of the file
   */
  default Optional<CarriedBody> carried(Item item, Frame frame) {
    return Optional.empty();
  }

  /** Items as a file with just these has them: triangles of measures are made of what it holds. */
  default List<Item> asSent(List<Item> items) {
    return items;
  }

  /**
   * The property sets that go with an item.
   *
   * @param facts what is known of it here
   */
  List<PropertySet> sets(Item item, PropertySet facts);

  /**
   * Whether a file of this format says where its zero lies; if not, position files go with it.
   *
   * @param frame of the file
   */
  default boolean saysPlace(Frame frame) {
    return false;
  }

  /** Whether the file says its unit. */
  default boolean saysUnit() {
    return true;
  }

  /** Whether pictures laid over surfaces go with it, as files beside it. */
  default boolean carriesPictures() {
    return false;
  }

  /** Whether the breaklines of a surface go with it. */
  default boolean takesBreaklines() {
    return false;
  }

  /** The schema of a model; empty where the format has no classes. */
  default Optional<IfcSchema> schema() {
    return Optional.empty();
  }

  /** Whether the format carries this item. */
  default boolean carries(Item item) {
    return !(carriage(item, Frame.UNPLACED) instanceof Carriage.Not);
  }

  /** What the proof does with each kind of content of such a file. */
  Coverage coverage();

  /** Whether files keep shared coordinates where nothing else is said. */
  default boolean keepsShared() {
    return false;
  }

  /**
   * Whether a reader means this format by a title such as {@code DXF R2000}.
   *
   * @param title in capitals
   */
  default boolean isTitled(String title) {
    return title.startsWith(id().toUpperCase(Locale.ROOT));
  }

  /** All formats that can be chosen. */
  static List<DeliveryFormat> all() {
    return List.copyOf(FormatList.shipped().formats());
  }

  /** The format of an id, letters of either case; {@code IFC4X3} is known too. */
  static Optional<DeliveryFormat> named(String id) {
    String wanted = id.strip().toLowerCase(Locale.ROOT);
    Optional<DeliveryFormat> found =
        all().stream().filter(f -> f.id().toLowerCase(Locale.ROOT).equals(wanted)).findFirst();
    return found.isPresent() ? found : IfcFormat.named(id.strip());
  }
}
