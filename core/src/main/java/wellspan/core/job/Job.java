package wellspan.core.job;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import wellspan.core.deliver.Delivery;
import wellspan.core.frame.Frame;
import wellspan.core.item.ItemId;
import wellspan.core.unit.LinearUnit;

/**
 * Everything decided about a job. Geometry is not part of it: that is built from the sources.
 *
 * @param id never changes; the GlobalIds of all deliveries come from it
 * @param settings of items that differ from the standard ones
 */
public record Job(
    UUID id,
    String name,
    Frame frame,
    List<Source> sources,
    Map<ItemId, ItemSettings> settings,
    List<Delivery> deliveries) {

  public Job {
    sources = List.copyOf(sources);
    settings = Collections.unmodifiableMap(new TreeMap<>(settings));
    deliveries = List.copyOf(deliveries);
  }

  /**
   * An empty job with one delivery, so that there is something to run as soon as a source is there.
   */
  public static Job named(String name) {
    Delivery first =
        new Delivery(
            "BIM handover",
            "BIM authoring",
            "IFC4X3_ADD2",
            LinearUnit.METRE,
            "bim-handover.ifc",
            java.util.Set.of());
    return new Job(UUID.randomUUID(), name, Frame.UNPLACED, List.of(), Map.of(), List.of(first));
  }

  public Optional<Source> source(String sourceName) {
    return sources.stream().filter(s -> s.name().equals(sourceName)).findFirst();
  }

  public Optional<Delivery> delivery(String deliveryName) {
    return deliveries.stream().filter(d -> d.name().equals(deliveryName)).findFirst();
  }

  public ItemSettings settingsOf(ItemId id) {
    return settings.getOrDefault(id, ItemSettings.STANDARD);
  }

  public Job withFrame(Frame f) {
    return new Job(id, name, f, sources, settings, deliveries);
  }

  /** Adds a source, or replaces the one of the same name. */
  public Job withSource(Source source) {
    List<Source> all = new ArrayList<>(sources);
    int at = sources.stream().map(Source::name).toList().indexOf(source.name());
    if (at < 0) {
      all.add(source);
    } else {
      all.set(at, source);
    }
    return new Job(id, name, frame, all, settings, deliveries);
  }

  public Job withSettings(
      Collection<ItemId> ids, java.util.function.UnaryOperator<ItemSettings> change) {
    Map<ItemId, ItemSettings> all = new TreeMap<>(settings);
    for (ItemId item : ids) {
      ItemSettings s = change.apply(settingsOf(item));
      if (s.equals(ItemSettings.STANDARD)) {
        all.remove(item);
      } else {
        all.put(item, s);
      }
    }
    return new Job(id, name, frame, sources, all, deliveries);
  }

  public Job withDelivery(Delivery delivery) {
    List<Delivery> all = new ArrayList<>(deliveries);
    int at = deliveries.stream().map(Delivery::name).toList().indexOf(delivery.name());
    if (at < 0) {
      all.add(delivery);
    } else {
      all.set(at, delivery);
    }
    return new Job(id, name, frame, sources, settings, all);
  }
}
