package wellspan.core.packing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.EntityAttributes;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.Losses;
import wellspan.core.deliver.ReceivedLosses;
import wellspan.core.extract.Extract;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.schema.IfcSchema;

/** What stands in the way of a delivery, or should be known, before it runs. */
public final class BeforeDelivery {
  private BeforeDelivery() {}

  /**
   * In time of the number of items and findings.
   *
   * @param findings of the job
   * @return an error where nothing could leave, warnings for what is sent with errors, notes
   */
  public static List<Finding> of(Build build, Delivery delivery, List<Finding> findings) {
    Set<ItemId> sent = new LinkedHashSet<>();
    Set<String> names = new HashSet<>();
    Map<String, ItemId> unclear = new LinkedHashMap<>();
    for (Build.BuiltItem i : build.items().values()) {
      if (build.sends(delivery, i)) {
        sent.add(i.id());
        names.add(i.item().name());
        delivery
            .range()
            .flatMap(r -> Extract.unclear(i.item(), r))
            .ifPresent(why -> unclear.putIfAbsent(why, i.id()));
      }
    }
    if (sent.isEmpty()) {
      return List.of(
          Finding.error(
              Stop.DELIVER,
              "deliver.nothing",
              "",
              build.items().isEmpty()
                  ? "There is nothing to deliver yet. Receive a design first."
                  : "Everything is held back, or "
                      + delivery.format().title()
                      + " carries none of it. Include items in the manifest, or choose another format."));
    }
    List<Finding> out = new ArrayList<>();
    unclear.forEach(
        (why, id) ->
            out.add(
                Finding.error(
                        Stop.DELIVER, "deliver.range", build.items().get(id).item().name(), why)
                    .about(id)));
    if (delivery.range().isPresent()) {
      Extract.whole(sent.stream().map(id -> build.items().get(id).item()).toList())
          .ifPresent(out::add);
    }
    if (build.job().frame().crs().isEmpty() && delivery.format().schema().isPresent()) {
      out.add(Finding.note(Stop.PLACE, "deliver.local", "", Losses.LOCAL));
    }
    for (Finding f : findings) {
      boolean ofSent = f.subject().map(sent::contains).orElse(names.contains(f.item()));
      if (f.isError() && f.stop() != Stop.DELIVER && ofSent) {
        out.add(f);
      }
    }
    return out;
  }

  /**
   * What cannot be carried of what is sent, one note for each thing of an item and one for what
   * holds them. In time of the number of items.
   */
  public static List<Finding> losses(Build build, Delivery delivery) {
    Frame frame = delivery.zero().frame(build.job().frame());
    List<Finding> out = new ArrayList<>();
    List<ReceivedLosses.Sent> sent = new ArrayList<>();
    for (Build.BuiltItem i : build.items().values()) {
      if (build.sends(delivery, i)) {
        out.addAll(Losses.of(i.item(), delivery.format(), frame));
        EntityClass as = build.classOf(i, delivery.schema());
        sent.add(new ReceivedLosses.Sent(i.item(), as, attributes(i.item(), as, delivery)));
      }
    }
    out.addAll(ReceivedLosses.of(delivery.format(), sent));
    out.addAll(RootsLeftBehind.of(build, delivery));
    return out;
  }

  private static Map<String, PropertyValue> attributes(
      Item item, EntityClass as, Delivery delivery) {
    Map<String, PropertyValue> said = item.said().attributes();
    Optional<IfcSchema> schema = delivery.format().schema();
    return said.isEmpty() || schema.isEmpty()
        ? Map.of()
        : EntityAttributes.fitting(said, as.entity(), schema.get());
  }
}
