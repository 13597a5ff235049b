package wellspan.app.shell;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.Background;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Measure;

/** One row of the strata; used again for other rows as the list is scrolled. */
final class StrataCell extends ListCell<StrataRows.Row> {
  private static final double BAND_HEIGHT = 34;
  private static final double MORE_BY_SHARE = 20;
  private static final double ITEM_HEIGHT = 26;

  private final Session session;
  private StrataItemLine line;
  private final Consumer<StrataRows.Row> openOrClose;

  /**
   * @param openOrClose what a click on a band or group does
   */
  StrataCell(Session session, Consumer<StrataRows.Row> openOrClose) {
    this.session = session;
    this.openOrClose = openOrClose;
    setPadding(Insets.EMPTY);
    setPrefWidth(0); // as wide as the list
  }

  @Override
  protected void updateItem(StrataRows.Row row, boolean empty) {
    super.updateItem(row, empty);
    setText(null);
    if (!(row instanceof StrataRows.ItemRow)) {
      Hint.say(this, "");
      setUserData(null);
      setAccessibleText(null);
    }
    if (empty || row == null) {
      setGraphic(null);
      setPrefHeight(ITEM_HEIGHT);
      return;
    }
    HBox graphic =
        switch (row) {
          case StrataRows.BandRow b -> band(b);
          case StrataRows.GroupRow g -> group(g);
          case StrataRows.ItemRow i -> item(i);
        };
    graphic.setFillHeight(true);
    graphic.setPrefHeight(getPrefHeight());
    graphic.setPadding(new Insets(0, 2, 0, 0));
    graphic.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    if (getGraphic() != graphic) {
      setGraphic(graphic);
    }
  }

  private HBox band(StrataRows.BandRow b) {
    setPrefHeight(BAND_HEIGHT + Math.round(MORE_BY_SHARE * b.share()));
    String sign = b.ids().isEmpty() ? "" : b.open() ? "\u25be " : "\u25b8 ";
    Label name = Parts.label(sign + b.band().title(), "name");
    HBox row = new HBox(3, colour(b.band(), 1), name, Parts.space());
    row.getStyleClass().add("band");
    setAccessibleText(b.band().title() + ", " + b.ids().size() + " items");
    if (b.ids().isEmpty()) {
      row.setOpacity(0.45);
      return row;
    }
    row.getChildren()
        .addAll(
            Parts.label(Figures.count(b.ids().size()), "figure", "muted"),
            eye(b.ids(), b.band().title()));
    name.setOnMouseClicked(e -> openOrClose.accept(b));
    return row;
  }

  private HBox group(StrataRows.GroupRow g) {
    setPrefHeight(ITEM_HEIGHT + 2);
    String title = g.title().isEmpty() ? "(says nothing)" : g.title();
    Label name = Parts.label((g.open() ? "\u25be " : "\u25b8 ") + title);
    name.setMinWidth(20);
    Hint.say(this, title);
    setAccessibleText(title + ", " + g.ids().size() + " items");
    name.setOnMouseClicked(e -> openOrClose.accept(g));
    HBox row =
        new HBox(
            3,
            colour(g.band(), 0.75),
            name,
            Parts.space(),
            Parts.label(Figures.count(g.ids().size()), "figure", "muted"),
            eye(g.ids(), title));
    ((Label) row.getChildren().get(3)).setMinWidth(Region.USE_PREF_SIZE);
    row.getStyleClass().add("strata-item");
    return row;
  }

  /** The line is kept and only says something else: scrolling makes no nodes. */
  private HBox item(StrataRows.ItemRow i) {
    setPrefHeight(ITEM_HEIGHT);
    Item item = i.item().item();
    boolean stale = session.staleProperty().get().contains(i.item().id());
    if (line == null) {
      line = new StrataItemLine();
    }
    boolean shown = i.ids().stream().anyMatch(session.build()::isVisible);
    line.show(
        item.name(),
        stale ? "being made …" : figure(item),
        i.grouped(),
        stale,
        colours(i.band(), 0.55),
        shown,
        () -> session.visibility().set(i.ids(), !shown));
    Hint.say(
        this,
        stale ? item.name() + " is not as the job has it yet; it is being made." : item.name());
    setUserData(i.item().id()); // an id of the node would have all its styles looked up again
    setAccessibleText(item.kind() + " " + item.name());
    return line;
  }

  private Button eye(List<ItemId> ids, String of) {
    boolean shown = ids.stream().anyMatch(session.build()::isVisible);
    return Parts.icon(
        shown ? Feather.EYE : Feather.EYE_OFF,
        (shown ? "Hide " : "Show ") + of,
        () -> session.visibility().set(ids, !shown));
  }

  private static Region colour(Band band, double opacity) {
    Region r = new Region();
    r.getStyleClass().add("band-colour");
    r.setMaxHeight(Double.MAX_VALUE);
    r.setBackground(colours(band, opacity));
    return r;
  }

  private static Background colours(Band band, double opacity) {
    return Background.fill(Theme.of(band).deriveColor(0, 1, 1, opacity));
  }

  private static String figure(Item item) {
    Optional<Double> thickness = thickness(item);
    if (thickness.isPresent()) {
      return Figures.number(1000 * thickness.get(), 0) + " mm";
    }
    for (Measure m : List.of(Measure.TRIANGLES, Measure.LENGTH, Measure.POINTS)) {
      OptionalDouble figure = item.shape().measure(m);
      if (figure.isPresent()) {
        return m == Measure.LENGTH
            ? Figures.number(figure.getAsDouble(), 0) + " m"
            : Figures.count((int) figure.getAsDouble());
      }
    }
    OptionalDouble width = item.shape().measure(Measure.GROUND_WIDTH);
    return width.isPresent() ? Figures.number(width.getAsDouble(), 0) + " m" : "";
  }

  /** Of a course, as its source or its section says. */
  private static Optional<Double> thickness(Item item) {
    return item.said().propertySets().stream()
        .map(set -> set.values().get("Thickness"))
        .filter(PropertyValue.Length.class::isInstance)
        .map(v -> ((PropertyValue.Length) v).metres())
        .findFirst();
  }
}
