package wellspan.core.job;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.describe.ClassRules;
import wellspan.core.describe.EntityClass;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.FrameChecks;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.receive.Received;

/**
 * A job with everything that its sources hold: what the window shows and deliveries are made of.
 *
 * @param received what the current revision of each source holds, by the source's name
 * @param items by identity, in the order of sources
 */
public record Build(Job job, Map<String, Received> received, Map<ItemId, BuiltItem> items) {

  /** An item with where it came from. */
  public record BuiltItem(ItemId id, Item item, String source, Revision revision) {}

  public static Build of(Job job, Map<String, Received> received) {
    Map<ItemId, BuiltItem> items = new LinkedHashMap<>();
    for (Source s : job.sources()) {
      Received r = received.get(s.name());
      if (r != null) {
        for (Item item : r.items()) {
          ItemId id = ItemId.of(s.name(), item.kind(), item.name());
          items.put(id, new BuiltItem(id, item, s.name(), s.current()));
        }
      }
    }
    return new Build(
        job,
        Collections.unmodifiableMap(new LinkedHashMap<>(received)),
        Collections.unmodifiableMap(items));
  }

  /** Extent of all items, shared coordinates. */
  public Box bounds() {
    return items.values().stream().map(b -> b.item().bounds()).reduce(Box.EMPTY, Box::union);
  }

  public boolean isVisible(ItemId id) {
    return job.settingsOf(id).visible();
  }

  /** The class an item is delivered as: the chosen one or the standard one for its kind. */
  public EntityClass classOf(BuiltItem item) {
    return job.settingsOf(item.id())
        .entityClass()
        .orElseGet(() -> ClassRules.standard(item.item()));
  }

  /** Everything the checks find, by stops. */
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>();
    received.forEach(
        (source, r) -> {
          all.addAll(r.findings());
          if (!r.crs().isEmpty()
              && !job.frame().crs().isEmpty()
              && !r.crs().equalsIgnoreCase(job.frame().crs())) {
            all.add(
                Finding.warning(
                    Stop.PLACE,
                    "frame.crs.differs",
                    source,
                    source
                        + " declares "
                        + r.crs()
                        + ", the job lies in "
                        + job.frame().crs()
                        + ". Its coordinates are taken as they are; check which one is meant."));
          }
        });
    all.addAll(FrameChecks.check(job.frame(), bounds()));
    for (BuiltItem i : items.values()) {
      if (i.item() instanceof Item.PointGroup p) {
        all.add(
            Finding.note(
                Stop.DELIVER,
                "deliver.points",
                p.name(),
                p.name() + " stays here: points are not delivered as IFC yet."));
      }
    }
    return all;
  }
}
