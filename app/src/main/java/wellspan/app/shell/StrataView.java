package wellspan.app.shell;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.build.Build;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/** The strata: all items as stacked bands, ordered from the top down to the ground. */
final class StrataView extends BorderPane {
  static final double WIDTH = 206;

  private final Session session;
  private final VBox bands = new VBox();
  private final Set<Band> open = new HashSet<>(List.of(Band.values()));

  StrataView(Session session) {
    this.session = session;
    setId("strata");
    getStyleClass().add("strata");
    setPrefWidth(WIDTH);
    setMinWidth(WIDTH);
    ScrollPane scroll = new ScrollPane(bands);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("card-scroll");
    setCenter(scroll);
    Button away = Parts.button("[", "plain", () -> session.peel(true));
    Button again = Parts.button("]", "plain", () -> session.peel(false));
    away.setAccessibleText("Peel the top stratum away");
    again.setAccessibleText("Put the stratum back");
    HBox peel = new HBox(6, Parts.label("Peel from the top", "muted"), Parts.space(), away, again);
    peel.setAlignment(Pos.CENTER_LEFT);
    peel.setPadding(new Insets(8, 10, 10, 18));
    setBottom(peel);
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.selectedProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    bands.getChildren().clear();
    for (Band band : Band.values()) {
      List<Build.BuiltItem> items =
          session.build().items().values().stream()
              .filter(i -> i.item().kind().stratum() == band)
              .toList();
      if (items.isEmpty() && band == Band.DRAWINGS) {
        continue;
      }
      bands.getChildren().add(bandRow(band, items));
      if (open.contains(band)) {
        items.forEach(i -> bands.getChildren().add(itemRow(band, i)));
      }
    }
  }

  private static Region colour(Band band, double opacity) {
    Region r = new Region();
    r.getStyleClass().add("band-colour");
    r.setMaxHeight(Double.MAX_VALUE);
    Color c = Theme.of(band);
    r.setBackground(
        new javafx.scene.layout.Background(
            new javafx.scene.layout.BackgroundFill(c.deriveColor(0, 1, 1, opacity), null, null)));
    return r;
  }

  private HBox bandRow(Band band, List<Build.BuiltItem> items) {
    List<ItemId> ids = items.stream().map(Build.BuiltItem::id).toList();
    boolean shown = ids.stream().anyMatch(session.build()::isVisible);
    Label name = Parts.label(band.title(), "name");
    name.setPadding(new Insets(0, 0, 0, 7));
    HBox row = new HBox(3, colour(band, 1), name, Parts.space());
    row.setFillHeight(true);
    row.getStyleClass().add("band");
    if (items.isEmpty()) {
      row.setOpacity(0.45);
    } else {
      Button eye =
          Parts.icon(
              shown ? Feather.EYE : Feather.EYE_OFF,
              (shown ? "Hide " : "Show ") + band.title(),
              () -> session.setVisible(ids, !shown));
      row.getChildren().addAll(Parts.label(Figures.count(ids.size()), "figure", "muted"), eye);
      name.setOnMouseClicked(
          e -> {
            if (!open.remove(band)) {
              open.add(band);
            }
            refresh();
          });
    }
    return row;
  }

  private HBox itemRow(Band band, Build.BuiltItem i) {
    boolean shown = session.build().isVisible(i.id());
    Label name = Parts.label(i.item().name());
    name.setPadding(new Insets(0, 0, 0, 8));
    HBox row =
        new HBox(
            3,
            colour(band, 0.55),
            name,
            Parts.space(),
            Parts.label(figure(i.item()), "figure", "muted"),
            Parts.icon(
                shown ? Feather.EYE : Feather.EYE_OFF,
                (shown ? "Hide " : "Show ") + i.item().name(),
                () -> session.setVisible(List.of(i.id()), !shown)));
    ((Label) row.getChildren().get(3)).setMinWidth(Region.USE_PREF_SIZE);
    name.setMinWidth(20);
    name.setTooltip(new javafx.scene.control.Tooltip(i.item().name()));
    row.getStyleClass().add("strata-item");
    row.setId("item-" + i.id().value());
    row.setFocusTraversable(true);
    row.setAccessibleText(i.item().kind() + " " + i.item().name());
    if (session.selectedProperty().get().filter(i.id()::equals).isPresent()) {
      row.getStyleClass().add("selected");
    }
    row.setOnMouseClicked(e -> session.selectedProperty().set(Optional.of(i.id())));
    row.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
            session.selectedProperty().set(Optional.of(i.id()));
            e.consume();
          }
        });
    return row;
  }

  private static String figure(Item item) {
    return switch (item.shape()) {
      case Shape.Faces f -> Figures.count(f.mesh().triangleCount());
      case Shape.Axis a -> Figures.number(a.alignment().length(), 0) + " m";
      case Shape.Lines l -> Figures.number(l.planLength(), 0) + " m";
      case Shape.Points p -> Figures.count(p.points().size());
      case Shape.Picture g -> Figures.number(g.place().width(), 0) + " m";
    };
  }
}
