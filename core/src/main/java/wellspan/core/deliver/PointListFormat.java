package wellspan.core.deliver;

import java.util.List;
import wellspan.core.attribute.PropertySet;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/** Points in rows of separated values. */
public record PointListFormat() implements DeliveryFormat {
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
  public Carriage carriage(Item item, Frame frame) {
    if (item.shape().isEmpty()) {
      return Losses.NOTHING;
    }
    return item.shape() instanceof Shape.Points
        ? new Carriage.Whole()
        : new Carriage.Not("A list holds points only.");
  }

  @Override
  public List<PropertySet> sets(Item item, PropertySet facts) {
    return List.of();
  }
}
