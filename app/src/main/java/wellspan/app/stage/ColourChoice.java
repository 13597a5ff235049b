package wellspan.app.stage;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.colouring.ColourBy;
import wellspan.core.colouring.Colouring;

/** Chooses by what items are coloured, and tells what each colour stands for. */
final class ColourChoice extends VBox {
  private static final double WIDTH = 230;

  private final Session session;
  private final MenuButton what = new MenuButton();
  private final VBox legend = new VBox(2);
  private final ScrollPane scroll = new ScrollPane(legend);

  ColourChoice(Session session) {
    super(4);
    this.session = session;
    setAlignment(Pos.BOTTOM_RIGHT);
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setPickOnBounds(false);
    what.setId("colour-by");
    what.getStyleClass().addAll("plain", "on-picture");
    what.setMaxWidth(WIDTH);
    what.setOnShowing(e -> offer());
    what.getItems().add(new MenuItem("")); // a menu without an entry does not open
    legend.getStyleClass().add("card");
    scroll.setFitToWidth(true);
    scroll.setMaxHeight(330);
    scroll.setPrefWidth(WIDTH);
    scroll.setMaxWidth(WIDTH);
    scroll.getStyleClass().add("card-scroll");
    scroll.setId("colour-legend");
    what.setPopupSide(Side.TOP);
    ToggleButton measure = new ToggleButton("Measure");
    measure.setId("measure");
    measure.getStyleClass().setAll("toggle-button", "segment");
    Hint.say(measure, "Distances, slopes and areas between points (D)");
    session.place().pickProperty().addListener((o, a, b) -> measure.setSelected(b == Pick.MEASURE));
    measure.setOnAction(
        e -> session.place().pickProperty().set(measure.isSelected() ? Pick.MEASURE : Pick.NONE));
    ToggleButton views = new ToggleButton("Views");
    views.setId("show-views");
    views.getStyleClass().setAll("toggle-button", "segment");
    Hint.say(views, "Where you looked, kept by name (V)");
    views.selectedProperty().bindBidirectional(session.aim().viewsProperty());
    HBox segment = new HBox(views, measure);
    segment.getStyleClass().add("segments");
    HBox tools = new HBox(8, segment, what);
    tools.setAlignment(Pos.CENTER_RIGHT);
    getChildren().addAll(scroll, tools);
    session.colours().byProperty().addListener((o, a, b) -> refresh());
    session.buildProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void offer() {
    List<MenuItem> out = new ArrayList<>();
    out.add(entry("own colours", Optional.empty()));
    Map<String, Menu> sets = new LinkedHashMap<>();
    for (ColourBy by : ColourBy.offered(session.build(), session.rules().schemaProperty().get())) {
      if (by instanceof ColourBy.Property p) {
        sets.computeIfAbsent(p.set(), ColourChoice::menu)
            .getItems()
            .add(entry(p.name(), Optional.of(by)));
      } else {
        out.add(entry(by.title(), Optional.of(by)));
      }
    }
    out.addAll(sets.values());
    what.getItems().setAll(out);
  }

  private static Menu menu(String set) {
    Menu m = new Menu(set);
    m.setMnemonicParsing(false);
    return m;
  }

  private MenuItem entry(String title, Optional<ColourBy> by) {
    MenuItem m = new MenuItem(title);
    m.setMnemonicParsing(false);
    m.setOnAction(e -> session.colours().byProperty().set(by));
    return m;
  }

  private void refresh() {
    Optional<Colouring> c = session.colours().colouring();
    what.setText("Colours: " + c.map(x -> x.by().title()).orElse("own"));
    scroll.setVisible(c.isPresent());
    scroll.setManaged(c.isPresent());
    legend
        .getChildren()
        .setAll(c.map(x -> x.entries().stream().map(this::line).toList()).orElse(List.of()));
  }

  private Node line(Colouring.Entry e) {
    Rectangle swatch = new Rectangle(14, 14, ItemColour.color(e.rgb()));
    Label value = Parts.label(e.value());
    value.setMinWidth(0);
    Label count = Parts.label(Integer.toString(e.items().size()), "figure");
    count.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(8, swatch, value, Parts.space(), count);
    row.setAlignment(Pos.CENTER_LEFT);
    row.setPrefWidth(WIDTH - 44);
    Button b = new Button();
    b.setGraphic(row);
    b.getStyleClass().setAll("legend-line");
    b.setAccessibleText(e.value() + ", " + e.items().size() + " items; press to select them");
    Hint.say(b, e.value() + ": press to select these " + e.items().size());
    b.setOnAction(x -> session.selection().choose(e.items()));
    return b;
  }
}
