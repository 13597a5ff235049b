package wellspan.app.place;

import java.util.List;
import java.util.Optional;
import java.util.prefs.Preferences;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.align.Chainages;
import wellspan.core.frame.PositionFormat;
import wellspan.core.geom.Position;
import wellspan.core.place.SpotMark;
import wellspan.core.reading.Reading;
import wellspan.core.unit.LinearUnit;

/** The position that is being read, in all its coordinates, and the spot marks made of such. */
public final class ReadingCard extends VBox {
  private final Session session;

  public ReadingCard(Session session) {
    this.session = session;
    setId("reading-card");
    getStyleClass().add("card");
    refresh();
  }

  public void refresh() {
    getChildren().setAll(Parts.label("Position", "title"));
    Optional<Position> at = session.place().probeProperty().get();
    if (at.isEmpty()) {
      getChildren()
          .add(
              Parts.wrapped("Hold Shift and click on the plan to read a position there.", "muted"));
    } else {
      reading(session.aim().readingAt(at.get()));
    }
    marks();
  }

  private void reading(Reading r) {
    PositionFormat f = format();
    getChildren()
        .addAll(
            copied("Shared", f.text(r.shared())),
            copied("Local", withUnit(f, session.job().frame().unit()).text(r.local())));
    r.geographic()
        .ifPresent(
            g ->
                getChildren()
                    .add(
                        copied(
                            "Lat, lon",
                            Figures.number(g.latitude(), 8)
                                + "°, "
                                + Figures.number(g.longitude(), 8)
                                + "°")));
    r.along()
        .ifPresent(
            a -> {
              getChildren()
                  .add(
                      copied(
                          a.alignment(),
                          Chainages.format(a.foot().chainage())
                              + "  "
                              + Figures.number(Math.abs(a.foot().offset()), 3)
                              + (a.foot().offset() >= 0 ? " m right" : " m left")));
              if (Double.isFinite(a.foot().level())) {
                getChildren()
                    .add(Parts.row("its profile", Figures.number(a.foot().level(), 3) + " m"));
              }
            });
    session
        .place()
        .northAt(r.shared())
        .ifPresent(
            g ->
                getChildren()
                    .addAll(
                        Parts.row(
                            "Grid from true north",
                            Figures.number(g.convergenceDegrees(), 5) + "°"),
                        Parts.row(
                            "Combined factor",
                            Figures.number(
                                g.combinedFactor(session.place().ellipsoidal(r.shared().level())),
                                8))));
    for (Reading.Level l : r.levels()) {
      getChildren().add(Parts.row(l.surface(), Figures.number(l.level(), 3) + " m"));
    }
    getChildren().add(formats(f));
    Button mark = Parts.button("Mark this place", "plain", () -> session.place().mark(r.shared()));
    mark.setId("mark-place");
    mark.setMaxWidth(Double.MAX_VALUE);
    getChildren().add(mark);
  }

  private static PositionFormat withUnit(PositionFormat f, LinearUnit u) {
    return new PositionFormat(u, f.decimals(), f.northFirst(), f.withUnit(), f.separator());
  }

  private HBox copied(String name, String text) {
    Button copy =
        Parts.icon(
            Feather.COPY,
            "Copy " + name,
            () -> {
              ClipboardContent c = new ClipboardContent();
              c.putString(text);
              Clipboard.getSystemClipboard().setContent(c);
            });
    VBox words = new VBox(Parts.label(name, "muted"), Parts.label(text, "figure"));
    return Parts.row(words, copy);
  }

  private static Preferences store() {
    return Preferences.userRoot().node("wellspan");
  }

  /** How positions are written; kept over jobs. */
  static PositionFormat format() {
    return new PositionFormat(
        LinearUnit.named(store().get("position.unit", "m")).orElse(LinearUnit.METRE),
        Math.clamp(store().getInt("position.decimals", 3), 0, 6),
        store().getBoolean("position.northFirst", false),
        store().getBoolean("position.suffix", false),
        " ");
  }

  private VBox formats(PositionFormat f) {
    ComboBox<Integer> decimals = new ComboBox<>();
    decimals.getItems().addAll(0, 1, 2, 3, 4, 5, 6);
    decimals.setValue(f.decimals());
    decimals.setAccessibleText("Decimals");
    Choices.onChosen(
        decimals,
        e -> {
          store().putInt("position.decimals", decimals.getValue());
          refresh();
        });
    CheckBox order = new CheckBox("North first");
    order.setSelected(f.northFirst());
    order.setOnAction(
        e -> {
          store().putBoolean("position.northFirst", order.isSelected());
          refresh();
        });
    CheckBox suffix = new CheckBox("unit after each");
    suffix.setSelected(f.withUnit());
    suffix.setOnAction(
        e -> {
          store().putBoolean("position.suffix", suffix.isSelected());
          refresh();
        });
    ComboBox<String> unit = new ComboBox<>();
    unit.getItems().addAll("m", "mm", "ft", "ftUS");
    unit.setValue(f.unit().symbol());
    unit.setAccessibleText("Unit");
    Choices.onChosen(
        unit,
        e -> {
          store().put("position.unit", unit.getValue());
          refresh();
        });
    HBox first =
        new HBox(8, Parts.label("Decimals", "muted"), decimals, Parts.label("unit", "muted"), unit);
    first.setAlignment(Pos.CENTER_LEFT);
    HBox second = new HBox(12, order, suffix);
    second.setAlignment(Pos.CENTER_LEFT);
    return new VBox(4, first, second);
  }

  private void marks() {
    List<SpotMark> all = session.job().marks();
    Button pick =
        Parts.button("Mark a place", "small", () -> session.place().pickProperty().set(Pick.MARK));
    pick.setId("pick-mark");
    getChildren()
        .add(
            Parts.row(
                Parts.label(
                    all.isEmpty()
                        ? "No spot marks"
                        : all.size() == 1 ? "1 spot mark" : all.size() + " spot marks",
                    "muted"),
                pick));
    for (int i = 0; i < all.size(); i++) {
      SpotMark m = all.get(i);
      int index = i;
      FigureField name =
          new FigureField(
                  "mark-" + m.name(),
                  "Name of the mark",
                  170,
                  t -> session.place().renameMark(index, t.strip()))
              .show(m.name());
      Button remove =
          Parts.button(
              "Remove",
              "small",
              () ->
                  session
                      .place()
                      .changeMarks(
                          "Remove " + m.name(),
                          old -> old.stream().filter(x -> !x.equals(m)).toList()));
      getChildren()
          .add(
              new VBox(
                  Parts.row(name, remove), Parts.label(format().text(m.position()), "figure")));
    }
  }
}
