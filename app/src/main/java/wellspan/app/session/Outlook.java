package wellspan.app.session;

import java.util.List;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;
import wellspan.core.packing.BeforeDelivery;

/**
 * What there is to say of a delivery before it runs.
 *
 * @param before what stands in its way, or should be known
 * @param losses what cannot be carried
 */
public record Outlook(List<Finding> before, List<Finding> losses) {
  static Outlook of(Build build, Delivery delivery, List<Finding> findings) {
    return new Outlook(
        BeforeDelivery.of(build, delivery, findings), BeforeDelivery.losses(build, delivery));
  }
}
