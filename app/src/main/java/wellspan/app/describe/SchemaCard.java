package wellspan.app.describe;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.SchemaDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.item.ItemId;
import wellspan.core.model.ModelComparison;

/**
 * The same model in two schemas or files: which objects became proxies, which properties are lost;
 * in words and in the picture.
 */
final class SchemaCard extends VBox {
  /** Changes shown of a sort; the rest is counted. */
  private static final int SHOWN = 8;

  private static final double ROW = 250;

  private final Session session;
  private final SchemaDesk desk;
  private final ComboBox<SchemaDesk.Side> first = sides("compare-first");
  private final ComboBox<SchemaDesk.Side> second = sides("compare-second");
  private final ToggleButton picture = new ToggleButton("Show in the picture");
  private final VBox results = new VBox(4);

  SchemaCard(Session session) {
    super(8);
    this.session = session;
    desk = session.rules().schemas();
    setId("schema-card");
    getStyleClass().add("card");
    Button compare =
        Parts.button(
            "Compare",
            "primary",
            () -> {
              if (first.getValue() != null && second.getValue() != null) {
                desk.compare(first.getValue(), second.getValue());
              }
            });
    compare.setId("compare-schemas");
    compare.setMaxWidth(Double.MAX_VALUE);
    picture.setId("compare-picture");
    picture.getStyleClass().setAll("toggle-button", "segment");
    picture.setMaxWidth(Double.MAX_VALUE);
    picture.selectedProperty().bindBidirectional(desk.picturedProperty());
    Button close =
        Parts.icon(Feather.X, "Close", () -> session.rules().cardProperty().set(DescribeCard.NONE));
    getChildren()
        .addAll(
            Parts.row(Parts.label("Compare schemas", "title"), close),
            Parts.wrapped(
                "What becomes of objects and properties: in another schema, or in another file of the same model.",
                "muted"),
            Parts.label("From", "muted"),
            first,
            Parts.label("To", "muted"),
            second,
            compare,
            results);
    desk.comparedProperty().addListener((o, a, b) -> refresh());
    session.buildProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private static ComboBox<SchemaDesk.Side> sides(String id) {
    ComboBox<SchemaDesk.Side> c = new ComboBox<>();
    c.setId(id);
    c.setMaxWidth(Double.MAX_VALUE);
    c.setConverter(Choices.words(SchemaDesk.Side::title));
    return c;
  }

  private void offer() {
    List<SchemaDesk.Side> sides = desk.sides();
    SchemaDesk.Side from = first.getValue();
    SchemaDesk.Side to = second.getValue();
    first.getItems().setAll(sides);
    second.getItems().setAll(sides);
    first.setValue(sides.contains(from) ? from : sides.getFirst());
    second.setValue(sides.contains(to) ? to : sides.get(2));
  }

  @SuppressWarnings("ReferenceEquality") // a build is never changed
  private void refresh() {
    offer();
    results.getChildren().clear();
    Optional<SchemaDesk.Compared> last = desk.comparedProperty().get();
    if (last.isEmpty()) {
      return;
    }
    SchemaDesk.Compared c = last.get();
    ModelComparison m = c.comparison();
    Label verdict =
        Parts.wrapped(
            Figures.count(m.compared())
                + " objects in both"
                + (m.changes().isEmpty() ? ", and all of them say the same." : "."),
            "name");
    verdict.setId("compare-verdict");
    results.getChildren().addAll(Parts.line(), verdict, picture);
    if (c.of() != session.build()) {
      results
          .getChildren()
          .add(
              Parts.button(
                  "The job has changed since: compare again",
                  "small",
                  () -> desk.compare(c.first(), c.second())));
    }
    Map<ModelComparison.What, List<ModelComparison.Change>> byWhat =
        m.changes().stream().collect(Collectors.groupingBy(ModelComparison.Change::what));
    for (ModelComparison.What what : ModelComparison.What.values()) {
      List<ModelComparison.Change> all = byWhat.getOrDefault(what, List.of());
      if (all.isEmpty()) {
        continue;
      }
      results.getChildren().addAll(Parts.line(), Parts.label(sentence(what, all), "name"));
      all.stream().limit(SHOWN).forEach(x -> results.getChildren().add(line(c, x)));
      if (all.size() > SHOWN) {
        results
            .getChildren()
            .add(Parts.label("and " + (all.size() - SHOWN) + " more of this sort", "muted"));
      }
    }
  }

  private static String sentence(ModelComparison.What what, List<ModelComparison.Change> all) {
    long objects =
        all.stream().flatMap(c -> c.objects().stream()).map(o -> o.globalId()).distinct().count();
    return Figures.count(objects) + " " + what.words();
  }

  /** One change; it selects the items that it is about. */
  private Button line(SchemaDesk.Compared c, ModelComparison.Change x) {
    boolean becomes = !x.to().isEmpty() && !x.to().equals(x.from());
    Label from = Parts.label(x.from().isEmpty() ? x.to() : x.from());
    VBox what = new VBox(from);
    if (becomes && !x.from().isEmpty()) {
      what.getChildren().add(Parts.label("→ " + x.to(), "muted"));
    }
    for (Node n : what.getChildren()) {
      ((Label) n).setMinWidth(0);
    }
    what.setMinWidth(0);
    HBox.setHgrow(what, Priority.ALWAYS);
    Label count = Parts.label(Figures.count(x.objects().size()), "figure");
    count.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(8, what, count);
    row.setPrefWidth(ROW);
    Button b = new Button();
    b.setGraphic(row);
    b.getStyleClass().setAll("legend-line");
    b.setMaxWidth(Double.MAX_VALUE);
    String words = "Select what " + x.what().words() + ": " + x.from() + " " + x.to();
    b.setAccessibleText(words);
    Hint.say(b, words);
    List<ItemId> items = c.items(x.objects());
    b.setDisable(items.isEmpty());
    b.setOnAction(
        e -> {
          session.selection().choose(items);
          session.aim().goTo(items);
        });
    return b;
  }
}
