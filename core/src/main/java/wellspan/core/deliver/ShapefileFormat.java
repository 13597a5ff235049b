package wellspan.core.deliver;

import static wellspan.core.deliver.Content.LAYERS;
import static wellspan.core.deliver.Content.NAMES;
import static wellspan.core.deliver.Content.NO_LEVELS;
import static wellspan.core.deliver.Content.POSITIONS;
import static wellspan.core.deliver.Content.PROPERTIES;
import static wellspan.core.deliver.Content.SYSTEM;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.unit.LinearUnit;

/** Lines in space as a shapefile with its table, index, system and code page. */
public record ShapefileFormat() implements DeliveryFormat {
  private static final Coverage COVERAGE =
      Coverage.of(
          "shapefile",
          EnumSet.of(POSITIONS, NAMES, NO_LEVELS, SYSTEM),
          EnumSet.of(LAYERS, PROPERTIES));

  @Override
  public String id() {
    return "shapefile";
  }

  @Override
  public String title() {
    return "Shapefile";
  }

  @Override
  public String ending() {
    return ".shp";
  }

  /** Coordinates are stored as they are. */
  @Override
  public int decimals(LinearUnit unit) {
    return 9;
  }

  @Override
  public Carriage carriageOfContent(Item item, Frame frame) {
    if (item.shape().lines().isEmpty()) {
      return new Carriage.Not("A shapefile holds one kind of geometry; here that is lines.");
    }
    if (item.shape().follows().isEmpty()) {
      return new Carriage.Whole();
    }
    List<Finding> out = new ArrayList<>();
    out.add(
        Losses.note(
            "deliver.plain",
            item,
            "a shapefile has no alignments: it goes as a line of straight pieces; elements, profile and chainages stay here."));
    Losses.partProfile(item, item.shape().follows().get(), out);
    return Carriage.with(out);
  }

  @Override
  public List<PropertySet> sets(Item item, PropertySet facts) {
    return List.of();
  }

  /** The system stands beside it, and coordinates are shared ones. */
  @Override
  public boolean saysPlace(Frame frame) {
    return frame.isShared()
        && frame.wellKnownText().isPresent()
        && frame.verticalDatum().isEmpty(); // its .prj knows plan systems only
  }

  @Override
  public boolean saysUnit() {
    return true;
  }

  @Override
  public Coverage coverage() {
    return COVERAGE;
  }

  @Override
  public boolean keepsShared() {
    return true;
  }
}
