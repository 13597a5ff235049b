package wellspan.app.session;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.item.ItemId;
import wellspan.core.model.Model;
import wellspan.core.packing.Packing;
import wellspan.core.requirement.RequirementCheck;
import wellspan.core.requirement.RequirementReport;
import wellspan.core.requirement.Requirements;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.delivery.DeliveredModel;
import wellspan.exchange.ids.read.IdsReader;

/** Checks what would be delivered against requirements. Used on the window's thread. */
public final class RequirementDesk {
  private final Session session;
  private final ObjectProperty<Optional<Checked>> checked =
      new SimpleObjectProperty<>(Optional.empty());

  RequirementDesk(Session session) {
    this.session = session;
  }

  /**
   * A check that was made.
   *
   * @param file that holds the requirements
   * @param of the state of the job that was checked
   */
  public record Checked(
      Path file, IfcSchema schema, RequirementReport report, Build of, Map<String, ItemId> items) {
    /** The item that an object of the model stands for. */
    public Optional<ItemId> item(String globalId) {
      return Optional.ofNullable(items.get(globalId));
    }
  }

  /** The last check; empty before the first. */
  public ObjectProperty<Optional<Checked>> checkedProperty() {
    return checked;
  }

  /** Checks all that can be delivered in a schema. */
  public void check(Path file, IfcSchema schema) {
    Optional<String> unfinished = session.opening().unfinished();
    if (unfinished.isPresent()) { // what was not read would count as missing, or as nothing amiss
      session.complain(unfinished.get());
      return;
    }
    Build build = session.build();
    session
        .work()
        .startBeside(
            "Checking requirements",
            p -> {
              Requirements wanted = IdsReader.read(file);
              Model model = DeliveredModel.of(Packing.parcel(build, Delivery.ofAll(schema)), p);
              return new Checked(
                  file, schema, RequirementCheck.run(wanted, model, p), build, items(build));
            },
            c -> {
              checked.set(Optional.of(c));
              session.rules().cardProperty().set(DescribeCard.REQUIREMENTS);
            },
            session::complain);
  }

  private static Map<String, ItemId> items(Build build) {
    GlobalIds ids = new GlobalIds(build.job().id());
    Map<String, ItemId> out = new HashMap<>();
    build
        .items()
        .values()
        .forEach(
            i -> {
              String received = i.item().said().globalId();
              out.put(ids.of(i.id().value(), "product"), i.id());
              if (!received.isEmpty()) {
                out.put(received, i.id());
              }
            });
    return out;
  }
}
