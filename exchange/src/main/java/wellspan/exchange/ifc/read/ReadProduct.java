package wellspan.exchange.ifc.read;

import java.util.List;
import java.util.Optional;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.shape.NamedPoint;

/**
 * What a product became.
 *
 * @param sound whether it can be read by itself
 * @param item under its own name, which others may have too
 * @param points single points and texts, which belong to no item of their own
 * @param findings what is to be said of it
 */
record ReadProduct(
    Instance product,
    boolean sound,
    Optional<Item> item,
    List<NamedPoint> points,
    List<Finding> findings) {}
