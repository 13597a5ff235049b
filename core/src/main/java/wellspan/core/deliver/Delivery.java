package wellspan.core.deliver;

import java.util.Optional;
import java.util.Set;
import wellspan.core.extract.ChainageRange;
import wellspan.core.extract.Extract;
import wellspan.core.extract.Split;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;

/**
 * A saved hand-over.
 *
 * @param name unique in the job
 * @param receiver who gets it, for people
 * @param format of the written file
 * @param zero where the zero of the written file lies
 * @param fileName name of the written file, without a path
 * @param heldBack items that stay here although the format could carry them
 * @param range of chainages that alignments and what is carried along them are cut to; empty for
 *     all of them
 * @param split how it is dealt to several files, each of the name with a part's behind its stem;
 *     empty for one file
 */
public record Delivery(
    String name,
    String receiver,
    DeliveryFormat format,
    LinearUnit unit,
    LocalZero zero,
    String fileName,
    Set<ItemId> heldBack,
    Optional<ChainageRange> range,
    Optional<Split> split) {

  public Delivery {
    heldBack = Set.copyOf(heldBack);
  }

  /** A delivery of one file over all chainages. */
  public Delivery(
      String name,
      String receiver,
      DeliveryFormat format,
      LinearUnit unit,
      LocalZero zero,
      String fileName,
      Set<ItemId> heldBack) {
    this(
        name, receiver, format, unit, zero, fileName, heldBack, Optional.empty(), Optional.empty());
  }

  /** A delivery as a model. */
  public Delivery(
      String name,
      String receiver,
      IfcSchema schema,
      LinearUnit unit,
      LocalZero zero,
      String fileName,
      Set<ItemId> heldBack) {
    this(name, receiver, new IfcFormat(schema), unit, zero, fileName, heldBack);
  }

  /** Everything that can go as a model of a schema, to see what it would say. */
  public static Delivery ofAll(IfcSchema schema) {
    return new Delivery(
        "all", "", schema, LinearUnit.METRE, new LocalZero.BasePoint(), "all.ifc", Set.of());
  }

  /** The schema whose classes items get; IFC4.3 where the format has no classes. */
  public IfcSchema schema() {
    return format.schema().orElse(IfcSchema.IFC4X3);
  }

  /** Whether the format carries this item. */
  public boolean carries(Item item) {
    return format.carries(item);
  }

  /** Whether an item goes with it: it can be carried, is not held back, and lies in its range. */
  public boolean sends(ItemId id, Item item) {
    return carries(item)
        && !heldBack.contains(id)
        && range.map(r -> Extract.reaches(item, r)).orElse(true);
  }

  public Delivery holdingBack(Set<ItemId> ids) {
    return new Delivery(name, receiver, format, unit, zero, fileName, ids, range, split);
  }

  /** In another format; the file's name gets its ending. */
  public Delivery withFormat(DeliveryFormat f) {
    String stem = fileName.replaceFirst("\\.[^.]*$", "");
    return new Delivery(name, receiver, f, unit, zero, stem + f.ending(), heldBack, range, split);
  }

  public Delivery withUnit(LinearUnit u) {
    return new Delivery(name, receiver, format, u, zero, fileName, heldBack, range, split);
  }

  public Delivery withZero(LocalZero z) {
    return new Delivery(name, receiver, format, unit, z, fileName, heldBack, range, split);
  }

  /** Over other chainages. */
  public Delivery within(Optional<ChainageRange> r) {
    return new Delivery(name, receiver, format, unit, zero, fileName, heldBack, r, split);
  }

  /** As one file, or dealt to several. */
  public Delivery dealt(Optional<Split> s) {
    return new Delivery(name, receiver, format, unit, zero, fileName, heldBack, range, s);
  }

  /** The name of the file of a part. */
  public String fileName(String part) {
    int last = fileName.lastIndexOf('.');
    int dot = last > 0 ? last : fileName.length(); // a name need not have an ending
    return fileName.substring(0, dot) + "-" + part + fileName.substring(dot);
  }
}
