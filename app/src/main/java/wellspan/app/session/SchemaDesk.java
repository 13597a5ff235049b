package wellspan.app.session;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.colouring.ColourBy;
import wellspan.core.deliver.Delivery;
import wellspan.core.item.ItemId;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.model.Model;
import wellspan.core.model.ModelComparison;
import wellspan.core.model.ModelObject;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.delivery.DeliveredModel;
import wellspan.exchange.ifc.read.ModelReader;

/**
 * Compares the job's model in two schemas, or two received files of a model: what became of objects
 * and properties. Used on the window's thread.
 */
public final class SchemaDesk {
  private final Session session;
  private final ObjectProperty<Optional<Compared>> compared =
      new SimpleObjectProperty<>(Optional.empty());

  private final BooleanProperty pictured = new SimpleBooleanProperty();

  /**
   * @param card what stands beside the rules: with the comparison its picture goes too
   */
  SchemaDesk(Session session, ObjectProperty<DescribeCard> card) {
    this.session = session;
    pictured.addListener((o, was, is) -> colour());
    compared.addListener((o, was, is) -> colour());
    card.addListener(
        (o, was, is) -> {
          if (is != DescribeCard.SCHEMAS) {
            pictured.set(false);
          }
        });
  }

  /** Whether the stage shows what became of each item, in the place of the rules. */
  public BooleanProperty picturedProperty() {
    return pictured;
  }

  private void colour() {
    ObjectProperty<Optional<ColourBy>> by = session.colours().byProperty();
    if (pictured.get() && compared.get().isPresent()) {
      by.set(compared.get().map(Compared::colouring));
    } else if (by.get().filter(ColourBy.Told.class::isInstance).isPresent()) {
      by.set(Optional.empty());
    }
  }

  /** One of the two models. */
  public sealed interface Side {
    /** For people. */
    String title();

    /** The job as it would be delivered. */
    record AsDelivered(IfcSchema schema) implements Side {
      @Override
      public String title() {
        return "this job as " + schema.title();
      }
    }

    /** A file as it was received. */
    record AsReceived(String source, Revision revision) implements Side {
      @Override
      public String title() {
        return source + " as received";
      }
    }
  }

  /**
   * A comparison that was made.
   *
   * @param of the state of the job that was compared
   * @param items what the objects are here, by their GlobalIds; of one object several sources may
   *     have an item
   */
  public record Compared(
      Side first,
      Side second,
      ModelComparison comparison,
      Build of,
      Map<String, List<ItemId>> items) {

    /** The items of some objects. */
    public List<ItemId> items(List<ModelObject> objects) {
      return objects.stream()
          .flatMap(o -> items.getOrDefault(o.globalId(), List.of()).stream())
          .toList();
    }

    /** What became of each item, for the stage; those that stayed say so. */
    public ColourBy colouring() {
      Map<ItemId, String> says = new HashMap<>();
      items.values().forEach(all -> all.forEach(i -> says.put(i, "as before")));
      comparison
          .byGlobalId()
          .forEach(
              (id, what) ->
                  items.getOrDefault(id, List.of()).forEach(i -> says.put(i, what.words())));
      return new ColourBy.Told("from " + first.title() + " to " + second.title(), says);
    }
  }

  /** The last comparison; empty before the first. */
  public ObjectProperty<Optional<Compared>> comparedProperty() {
    return compared;
  }

  /** What can be compared: the job in each schema, and every model that was received. */
  public List<Side> sides() {
    List<Side> out = new ArrayList<>();
    for (IfcSchema s : IfcSchema.values()) {
      out.add(new Side.AsDelivered(s));
    }
    for (Source s : session.job().sources()) {
      boolean model =
          Optional.ofNullable(session.build().raw().get(s.name()))
              .map(r -> r.format().startsWith("IFC"))
              .orElse(false);
      if (model) {
        out.add(new Side.AsReceived(s.name(), s.current()));
      }
    }
    return out;
  }

  public void compare(Side first, Side second) {
    Build build = session.build();
    session
        .work()
        .startBeside(
            "Comparing schemas",
            p ->
                new Compared(
                    first,
                    second,
                    ModelComparison.of(
                        model(first, build, p.part(0, 0.5)), model(second, build, p.part(0.5, 1))),
                    build,
                    items(build)),
            c -> compared.set(Optional.of(c)),
            session::complain);
  }

  private Model model(Side side, Build build, Progress p) throws IOException {
    return switch (side) {
      case Side.AsReceived(String source, Revision revision) ->
          ModelReader.read(session.store().stored(revision), p);
      case Side.AsDelivered(IfcSchema schema) ->
          DeliveredModel.of(Packing.parcel(build, Delivery.ofAll(schema)), p);
    };
  }

  private static Map<String, List<ItemId>> items(Build build) {
    Map<String, List<ItemId>> out = new LinkedHashMap<>();
    for (Build.BuiltItem i : build.items().values()) {
      out.computeIfAbsent(build.globalId(i), k -> new ArrayList<>(1)).add(i.id());
    }
    return out;
  }
}
