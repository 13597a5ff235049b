package wellspan.core.receive;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;

/**
 * What a file turned out to hold, in shared coordinates and metres. Item names are unique within a
 * kind. Immutable but for arrays that nobody writes; any thread may read it.
 *
 * @param format name and version of the format, such as {@code LandXML 1.2}
 * @param crs authority and code or the name as declared, empty if the file does not say
 * @param unit the declared unit's title, empty if the file does not say
 * @param items items with what the file says of them
 * @param layers layers of a drawing with what they hold, in the file's order; empty if the format
 *     has none
 * @param counts number of things in the file by their name in the format
 * @param places what the file says of where it lies, strongest statement first
 * @param beside other files that were read with it, relative to it
 * @param root project and site of a model; empty for formats without them
 */
public record Received(
    String format,
    String crs,
    String unit,
    List<Item> items,
    List<Layer> layers,
    Map<String, Integer> counts,
    List<Finding> findings,
    List<PlaceStatement> places,
    List<String> beside,
    Optional<ModelRoot> root) {

  public Received {
    items = List.copyOf(items);
    layers = List.copyOf(layers);
    findings = List.copyOf(findings);
    places = List.copyOf(places);
    beside = List.copyOf(beside);
  }

  /** A file of a format without layers. */
  public Received(
      String format,
      String crs,
      String unit,
      List<Item> items,
      Map<String, Integer> counts,
      List<Finding> findings,
      List<PlaceStatement> places) {
    this(format, crs, unit, items, List.of(), counts, findings, places);
  }

  /** A file that nothing was read with. */
  public Received(
      String format,
      String crs,
      String unit,
      List<Item> items,
      List<Layer> layers,
      Map<String, Integer> counts,
      List<Finding> findings,
      List<PlaceStatement> places) {
    this(format, crs, unit, items, layers, counts, findings, places, List.of(), Optional.empty());
  }

  /** The same file with others that were read with it. */
  public Received with(List<String> filesBeside) {
    return new Received(
        format, crs, unit, items, layers, counts, findings, places, filesBeside, root);
  }

  /** The same file with what it says of its project. */
  public Received of(Optional<ModelRoot> project) {
    return new Received(
        format, crs, unit, items, layers, counts, findings, places, beside, project);
  }

  /** The frame that the file itself declares, where it carries one. */
  public Optional<Frame> frame() {
    return places.stream().map(PlaceStatement::frame).flatMap(Optional::stream).findFirst();
  }

  /** The same file with its items elsewhere. */
  public Received withItems(List<Item> placed, List<Finding> all) {
    return new Received(format, crs, unit, placed, layers, counts, all, places, beside, root);
  }

  /** Extent of all items. */
  public Box bounds() {
    return items.stream().map(Item::bounds).reduce(Box.EMPTY, Box::union);
  }

  public boolean hasErrors() {
    return findings.stream().anyMatch(Finding::isError);
  }

  /** The same, told in another unit. */
  public Received withUnit(String name) {
    return new Received(format, crs, name, items, layers, counts, findings, places, beside, root);
  }
}
