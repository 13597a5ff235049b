package wellspan.app.shell;

import java.io.File;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import wellspan.app.session.FindingTopicsFile;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.check.Check;
import wellspan.core.check.JobFindings;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.finding.Stop;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Step;

/** Everything the checks found, grouped by stop. A click brings the stage to the place. */
final class FindingsView extends BorderPane {
  private final Session session;
  private final VBox list = new VBox();
  private final Set<String> openCodes = new HashSet<>();

  /** More of one code stand together. */
  private static final int FEW = 3;

  /** More of one code are counted. */
  private static final int MOST = 100;

  FindingsView(Session session, Runnable close) {
    this.session = session;
    setId("findings");
    getStyleClass().add("findings");
    setPrefWidth(360);
    setMaxWidth(360);
    HBox head =
        new HBox(
            Parts.label("Findings", "title"),
            Parts.space(),
            Parts.icon(Feather.SHARE_2, "Save the findings as topics (BCF)", this::save),
            Parts.icon(Feather.X, "Close the findings (Ctrl+F)", close));
    head.setPadding(new Insets(12, 8, 8, 14));
    setTop(head);
    ScrollPane scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    scroll.getStyleClass().add("card-scroll");
    setCenter(scroll);
    session.findingsProperty().addListener((o, a, b) -> refresh());
    visibleProperty().addListener((o, a, b) -> refresh());
    session.mends().previewProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void save() {
    FileChooser c = new FileChooser();
    c.setTitle("Save the findings as topics");
    c.getExtensionFilters().add(new FileChooser.ExtensionFilter("Topics", "*.bcf"));
    c.setInitialFileName("findings.bcf");
    File file = c.showSaveDialog(getScene().getWindow());
    if (file != null) {
      new FindingTopicsFile(session).write(file.toPath(), session.findingsProperty().get());
    }
  }

  /** Nothing that is hidden is built. */
  private void refresh() {
    if (!isVisible()) {
      return;
    }
    list.getChildren().clear();
    for (Stop stop : Stop.values()) {
      List<Finding> here =
          session.findingsProperty().get().stream().filter(f -> f.stop() == stop).toList();
      if (!here.isEmpty()) {
        var title = Parts.label(stop.title(), "docket-stop");
        title.setPadding(new Insets(10, 14, 2, 14));
        list.getChildren().add(title);
        Map<String, List<Finding>> byCode =
            here.stream()
                .collect(
                    Collectors.groupingBy(Finding::code, LinkedHashMap::new, Collectors.toList()));
        byCode.forEach(this::group);
      }
    }
    if (list.getChildren().isEmpty()) {
      var nothing = Parts.label("Nothing found.", "muted");
      nothing.setPadding(new Insets(14));
      list.getChildren().add(nothing);
    }
  }

  /** Findings of one code: each on its own where they are few, else together until opened. */
  private void group(String code, List<Finding> of) {
    if (of.size() > FEW) {
      list.getChildren().add(together(code, of));
    }
    if (of.size() <= FEW || openCodes.contains(code)) {
      of.stream().limit(MOST).forEach(f -> list.getChildren().add(row(f)));
      if (of.size() > MOST) {
        var more = Parts.label("and " + Figures.count(of.size() - MOST) + " more", "muted");
        more.setPadding(new Insets(4, 14, 8, 40));
        list.getChildren().add(more);
      }
    }
  }

  private VBox together(String code, List<Finding> of) {
    boolean opened = openCodes.contains(code);
    String words = Check.of(code).map(Check::definition).orElse(of.getFirst().message());
    Button each =
        Parts.button(
            opened ? "Close" : "Show each",
            "small",
            () -> {
              if (!openCodes.remove(code)) {
                openCodes.add(code);
              }
              refresh();
            });
    HBox buttons = new HBox(6, each);
    Map<ItemId, Step> mends = JobFindings.mends(session.build(), of, code);
    if (!mends.isEmpty()) {
      Button all =
          Parts.button(
              "Mend all: " + mends.values().iterator().next().title(),
              "small",
              () -> session.mends().look(code));
      all.setId(Parts.id("mend-all-", code));
      all.setAccessibleText("Mend all of " + code);
      Hint.say(all, "Shows first what it would do");
      buttons.getChildren().add(all);
    }
    boolean error = of.stream().anyMatch(Finding::isError);
    VBox v =
        new VBox(
            3,
            Parts.label(
                Figures.count(of.size()) + " × " + of.getFirst().severity().word(),
                error
                    ? "error"
                    : of.getFirst().severity() == Severity.WARNING ? "warning" : "muted"),
            Parts.wrapped(words),
            buttons);
    v.getStyleClass().add("finding");
    v.setId("findings-" + code);
    session
        .mends()
        .previewProperty()
        .get()
        .filter(t -> t.code().equals(code))
        .ifPresent(t -> v.getChildren().add(new MendPreview(session.mends(), t)));
    return v;
  }

  private HBox row(Finding f) {
    FontIcon icon =
        new FontIcon(
            f.severity() == Severity.ERROR
                ? Feather.X_CIRCLE
                : f.severity() == Severity.WARNING ? Feather.ALERT_TRIANGLE : Feather.INFO);
    String style =
        f.severity() == Severity.ERROR
            ? "error"
            : f.severity() == Severity.WARNING ? "warning" : "muted";
    VBox text = new VBox(2, Parts.wrapped(f.message()));
    f.place()
        .ifPresent(p -> text.getChildren().add(Parts.label(Figures.shared(p), "figure", "muted")));
    text.setMaxWidth(290);
    var word = Parts.label(f.severity().word(), style);
    text.getChildren().addFirst(word);
    mend(f)
        .ifPresent(
            step -> {
              Button b =
                  Parts.button(
                      "Mend", "small", () -> session.shape().add(f.subject().orElseThrow(), step));
              Hint.say(b, step.title());
              b.setAccessibleText(step.title());
              text.getChildren().add(b);
            });
    HBox row = new HBox(10, icon, text);
    row.getStyleClass().add("finding");
    row.setFocusTraversable(true);
    row.setAccessibleText(f.message());
    row.setOnMouseClicked(e -> go(session, f));
    row.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
            go(session, f);
            e.consume();
          }
        });
    return row;
  }

  /** The step that mends what was found, where it is an item and there is one. */
  private Optional<Step> mend(Finding f) {
    return f.subject()
        .map(session.build().items()::get)
        .flatMap(i -> Check.of(f.code()).flatMap(c -> c.mendFor(i.item())));
  }

  /** Brings stop, selection and stage to what was found. */
  static void go(Session session, Finding f) {
    session.stopProperty().set(f.stop());
    f.subject()
        .or(
            () ->
                session.build().items().values().stream()
                    .filter(i -> i.item().name().equals(f.item()))
                    .findFirst()
                    .map(Build.BuiltItem::id))
        .ifPresent(id -> session.selectedProperty().set(Optional.of(id)));
    f.place()
        .ifPresent(
            p -> {
              session.aim().at(p);
            });
  }
}
