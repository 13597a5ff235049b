package wellspan.core.deliver;

import static wellspan.core.deliver.Content.*;

import java.util.EnumSet;
import java.util.List;
import wellspan.core.attribute.PropertySet;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/** Points in rows of separated values. */
public record PointListFormat() implements DeliveryFormat {
  private static final Coverage COVERAGE =
      Coverage.of(
          "point list",
          EnumSet.of(POSITIONS, NAMES, POINT_CODES, NO_LEVELS, PLACE),
          EnumSet.of(UNIT));

  @Override
  public String id() {
    return "point list";
  }

  @Override
  public String title() {
    return "Point list";
  }

  @Override
  public String ending() {
    return ".csv";
  }

  @Override
  public int decimals(LinearUnit unit) {
    return unit.metres() >= 0.1 ? 6 : 3;
  }

  @Override
  public Carriage carriageOfContent(Item item, Frame frame) {
    return item.shape() instanceof Shape.Points
        ? new Carriage.Whole()
        : new Carriage.Not("A list holds points only.");
  }

  @Override
  public List<PropertySet> sets(Item item, PropertySet facts) {
    return List.of();
  }

  @Override
  public Coverage coverage() {
    return COVERAGE;
  }

  @Override
  public boolean isTitled(String title) {
    return title.contains("POINT LIST");
  }
}
