package wellspan.app.describe;

import java.io.File;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import wellspan.app.session.RequirementDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.item.ItemId;
import wellspan.core.requirement.RequirementReport;
import wellspan.core.schema.IfcSchema;

/** What would be delivered against requirements: each specification, and what fails in it. */
final class RequirementCard extends VBox {
  /** Objects shown for a reason; the page of the check has all of them. */
  private static final int SHOWN = 12;

  private static final int SHOWN_REASONS = 5;

  private final Session session;
  private final VBox results = new VBox();
  private final ComboBox<IfcSchema> schema = new ComboBox<>();

  RequirementCard(Session session) {
    this.session = session;
    getStyleClass().add("card");
    setId("requirements");
    schema.getItems().setAll(IfcSchema.values());
    schema.setValue(session.deliveries().schema());
    schema.setAccessibleText("Schema that is checked");
    Button choose = Parts.button("Check an IDS file \u2026", "primary", this::choose);
    choose.setId("check-requirements");
    choose.setMaxWidth(Double.MAX_VALUE);
    results.getStyleClass().add("plain-column");
    getChildren()
        .addAll(
            Parts.label("Requirements", "title"),
            Parts.wrapped(
                "What the receiver asks for, as an IDS file: checked against everything as it would be delivered.",
                "muted"),
            Parts.row(Parts.label("as", "muted"), schema),
            choose,
            results);
    session.requirements().checkedProperty().addListener((o, a, b) -> refresh());
    session.buildProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void choose() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Requirements");
    chooser
        .getExtensionFilters()
        .add(new FileChooser.ExtensionFilter("Requirements (IDS)", "*.ids", "*.xml"));
    File file = chooser.showOpenDialog(getScene().getWindow());
    if (file != null) {
      session.requirements().check(file.toPath(), schema.getValue());
    }
  }

  @SuppressWarnings("ReferenceEquality") // a build is never changed
  private void refresh() {
    results.getChildren().clear();
    Optional<RequirementDesk.Checked> last = session.requirements().checkedProperty().get();
    if (last.isEmpty()) {
      return;
    }
    RequirementDesk.Checked c = last.get();
    long failed = c.report().results().stream().filter(r -> !r.pass()).count();
    results
        .getChildren()
        .addAll(
            Parts.line(),
            Parts.label(c.report().title(), "name"),
            Parts.wrapped(
                failed == 0
                    ? "Every specification is fulfilled."
                    : failed + " of " + c.report().results().size() + " are not fulfilled.",
                failed == 0 ? "proven" : "error"));
    if (c.of() != session.build()) {
      results
          .getChildren()
          .add(
              Parts.button(
                  "The job has changed since: check again",
                  "small",
                  () -> session.requirements().check(c.file(), c.schema())));
    }
    for (RequirementReport.Result r : c.report().results()) {
      results.getChildren().add(result(c, r));
    }
  }

  private VBox result(RequirementDesk.Checked c, RequirementReport.Result r) {
    VBox v = new VBox(4);
    String count = r.skipped() ? "not run" : r.passed() + " of " + r.applicable();
    Label name = Parts.wrapped(r.specification().name());
    HBox.setHgrow(name, Priority.ALWAYS);
    Label figure = Parts.label(count, "figure", r.pass() ? "proven" : "error");
    figure.setMinWidth(Region.USE_PREF_SIZE);
    v.getChildren().addAll(Parts.line(), new HBox(8, name, Parts.space(), figure));
    if (r.skipped()) {
      v.getChildren().add(Parts.wrapped("It is for another schema.", "muted"));
    }
    if (!r.note().isEmpty()) {
      v.getChildren().add(Parts.wrapped(r.note(), "error"));
    }
    Map<String, List<RequirementReport.Failure>> byReason = new LinkedHashMap<>();
    r.failures().forEach(f -> byReason.computeIfAbsent(f.reason(), k -> new ArrayList<>()).add(f));
    int reasons = 0;
    for (Map.Entry<String, List<RequirementReport.Failure>> e : byReason.entrySet()) {
      if (reasons++ == SHOWN_REASONS) {
        v.getChildren()
            .add(
                Parts.wrapped(
                    "and " + (byReason.size() - SHOWN_REASONS) + " reasons more", "muted"));
        break;
      }
      v.getChildren().addAll(Parts.wrapped(e.getKey(), "muted"), objects(c, e.getValue()));
    }
    return v;
  }

  /** The objects that fail for one reason; each goes to its item. */
  private FlowPane objects(RequirementDesk.Checked c, List<RequirementReport.Failure> failures) {
    FlowPane all = new FlowPane(4, 4);
    for (RequirementReport.Failure f : failures.subList(0, Math.min(SHOWN, failures.size()))) {
      String name = f.object().name().isEmpty() ? f.object().entity() : f.object().name();
      Optional<ItemId> item = c.item(f.object().globalId());
      all.getChildren()
          .add(
              item.isEmpty()
                  ? Parts.label(name, "name")
                  : Parts.button(
                      name,
                      "small",
                      () -> {
                        session.selectedProperty().set(item);
                        session.aim().goTo(List.of(item.get()));
                      }));
    }
    if (failures.size() > SHOWN) {
      all.getChildren().add(Parts.label("and " + (failures.size() - SHOWN) + " more", "muted"));
    }
    return all;
  }
}
