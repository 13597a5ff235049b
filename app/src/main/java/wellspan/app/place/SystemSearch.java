package wellspan.app.place;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import wellspan.app.session.Session;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Parts;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.CrsTextException;
import wellspan.core.crs.OwnSystem;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.place.Contradictions;
import wellspan.core.receive.PlaceStatement;

/** Finds a coordinate reference system by code, name or area; favourites first. */
final class SystemSearch extends VBox {
  private static final int SHOWN = 60;
  private static final double LIST_HEIGHT = 190;
  private static final Pattern LON_LAT =
      Pattern.compile("\\s*(-?\\d{1,3}(?:\\.\\d+)?)[\\s,;]+(-?\\d{1,2}(?:\\.\\d+)?)\\s*");

  private final Session session;
  private final TextField field = new TextField();
  private final ListView<Crs> list = new ListView<>();

  /** Takes the id of a system, and its text if it is an own one. */
  interface Chosen {
    void take(String id, String definition);
  }

  SystemSearch(Session session, Chosen taken) {
    super(6);
    this.session = session;
    Consumer<Crs> chosen =
        c -> {
          if (c.projected()) {
            taken.take(c.id(), "");
          } else {
            degrees(c);
          }
        };
    field.setId("system-search");
    field.getStyleClass().add("field");
    field.setPromptText("code, words, or 7.5 58.9 (lon lat)");
    list.setId("system-list");
    list.setCellFactory(v -> new Cell());
    field.textProperty().addListener((o, a, b) -> find());
    field.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.DOWN) {
            list.requestFocus();
            list.getSelectionModel().selectFirst();
          } else if (e.getCode() == KeyCode.ENTER && !list.getItems().isEmpty()) {
            chosen.accept(list.getItems().getFirst());
          }
        });
    list.setOnMouseClicked(e -> choose(chosen));
    list.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            choose(chosen);
          }
        });
    Button here = Parts.button("Valid where the work lies", "small", this::validHere);
    here.setId("systems-here");
    FigureField own =
        new FigureField("own-system", "Own system as WKT or PROJ text", 290, t -> own(t, taken));
    own.setPromptText("own system: paste WKT or PROJ text");
    getChildren().addAll(field, here, list, own);
    find();
  }

  private void choose(Consumer<Crs> chosen) {
    Crs c = list.getSelectionModel().getSelectedItem();
    if (c != null) {
      chosen.accept(c);
    }
  }

  private void degrees(Crs c) {
    session.complain(c.name() + " counts in degrees. A job needs a projected system.");
  }

  private void own(String text, Chosen taken) {
    try {
      Crs c = OwnSystem.of("", text);
      if (!c.projected()) {
        degrees(c);
        return;
      }
      OwnSystem.identify(text)
          .ifPresentOrElse(k -> taken.take(k.id(), ""), () -> taken.take(c.id(), text));
    } catch (CrsTextException e) {
      session.complain(e.getMessage());
    }
  }

  /** Lists the systems whose area of use holds the work, smallest area first. */
  private void validHere() {
    Position work = session.build().bounds().centre();
    Frame f = session.job().frame();
    Frame there =
        session.build().bounds().isEmpty()
            ? f
            : f.withBasePoint(new Position(work.east(), work.north(), 0));
    Optional<PlaceStatement.LonLat> at = Contradictions.geographic(there);
    if (at.isEmpty()) {
      session.complain(
          "Where the work lies is not known yet. Choose any system that fits first, or search by area.");
      return;
    }
    list.getItems()
        .setAll(CrsCatalogue.shipped().validAt(at.get().longitude(), at.get().latitude()));
    list.setPrefHeight(LIST_HEIGHT);
  }

  void start() {
    field.clear();
    field.requestFocus();
    find();
  }

  private void find() {
    Set<String> favourites = FavouriteSystems.all();
    String query = field.getText();
    CrsCatalogue all = CrsCatalogue.shipped();
    Matcher place = LON_LAT.matcher(query);
    List<Crs> found =
        place.matches()
            ? all.validAt(Double.parseDouble(place.group(1)), Double.parseDouble(place.group(2)))
            : query.isBlank()
                ? favourites.stream().flatMap(f -> all.find(f).stream()).toList()
                : all.search(query, favourites, SHOWN);
    list.getItems().setAll(found);
    list.setPrefHeight(found.isEmpty() ? 70 : LIST_HEIGHT);
    list.setPlaceholder(
        Parts.wrapped(
            query.isBlank()
                ? "Type words; systems marked with a star stand here."
                : "No system of the EPSG dataset has this code or all these words. Look for a typing error, or paste the system's own text below.",
            "muted"));
  }

  private final class Cell extends ListCell<Crs> {
    Cell() {
      setPrefWidth(0); // as wide as the list, so that the star stays in sight
    }

    @Override
    protected void updateItem(Crs c, boolean empty) {
      super.updateItem(c, empty);
      if (empty || c == null) {
        setGraphic(null);
        return;
      }
      VBox text =
          new VBox(
              Parts.label(c.code() + "  " + c.name(), "name"),
              Parts.label(c.area().name(), "muted"));
      text.setMinWidth(0);
      HBox.setHgrow(text, Priority.ALWAYS);
      boolean marked = FavouriteSystems.all().contains(c.id());
      Button star =
          Parts.icon(
              Feather.STAR,
              marked ? "Take from the favourites" : "Add to the favourites",
              () -> {
                FavouriteSystems.toggle(c.id());
                list.refresh();
              });
      FontIcon icon = (FontIcon) star.getGraphic();
      icon.getStyleClass().removeAll("muted-icon");
      if (marked) {
        icon.setStyle("-fx-icon-color: #B97A0A;");
      } else {
        icon.getStyleClass().add("muted-icon");
      }
      star.setMinWidth(Region.USE_PREF_SIZE);
      HBox row = new HBox(6, text, star);
      row.setAlignment(Pos.CENTER_LEFT);
      setGraphic(row);
    }
  }
}
