package wellspan.exchange.ifc.write;

import java.util.Map;
import wellspan.core.attribute.EntityAttributes;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;

/** What things say by plain attributes of their entities, as it stands in a record. */
final class EntityValues {
  private EntityValues() {}

  /**
   * The value of an attribute.
   *
   * @param said what fits the entity, see {@link EntityAttributes}
   */
  static StepValue of(String attribute, Map<String, PropertyValue> said, Parcel parcel) {
    return switch (said.get(attribute)) {
      case null -> StepValue.UNSET;
      case PropertyValue.Label(String t) -> StepValue.text(t);
      case PropertyValue.Length(double m) -> StepValue.real(m / parcel.unit().metres());
      case PropertyValue.Real(double d) -> StepValue.real(d);
      case PropertyValue.Measure(String type, double d) -> StepValue.real(d);
      case PropertyValue.Count(long n) -> StepValue.whole(n);
      case PropertyValue.Flag(boolean b) -> StepValue.flag(b);
      case PropertyValue.Words(String type, String literal) -> StepValue.literal(literal);
      default -> throw new IllegalStateException(attribute + " is no plain value");
    };
  }
}
