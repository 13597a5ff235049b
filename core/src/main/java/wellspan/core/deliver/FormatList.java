package wellspan.core.deliver;

import java.util.List;
import java.util.ServiceLoader;

/**
 * Names every format that deliveries can be made in. The module that writes and reads files
 * provides it, as a service, so that what is decided here needs no codec and a format is added in
 * one place.
 */
public interface FormatList {
  /** In the order in which they are offered. */
  List<? extends DeliveryFormat> formats();

  /**
   * The one that is on the class path. Safe for any thread; found once.
   *
   * @throws IllegalStateException if there is none
   */
  static FormatList shipped() {
    return Shipped.LIST;
  }

  /** Found when it is first asked for. */
  final class Shipped {
    private static final FormatList LIST =
        ServiceLoader.load(FormatList.class, FormatList.class.getClassLoader())
            .findFirst()
            .orElseThrow(() -> new IllegalStateException("No format to deliver in was found."));

    private Shipped() {}
  }
}
