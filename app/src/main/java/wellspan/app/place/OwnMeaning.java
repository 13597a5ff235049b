package wellspan.app.place;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.session.SourceDesk;
import wellspan.app.theme.Choices;
import wellspan.app.theme.FigureEntry;
import wellspan.app.theme.FigureEntry.Cell;
import wellspan.app.theme.FigureEntry.Row;
import wellspan.app.theme.FigureEntry.Takes;
import wellspan.app.theme.Parts;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.job.Source;
import wellspan.core.place.SourcePlacement;
import wellspan.core.unit.LinearUnit;

/** What a source means, where none of the proposals fits: its unit, its system, its own zero. */
final class OwnMeaning extends VBox {
  private final Session session;
  private final SourceDesk desk;
  private final Source source;

  OwnMeaning(Session session, Source source) {
    super(6);
    this.session = session;
    this.source = source;
    desk = session.place().sources();
    getChildren().addAll(Parts.label("Or it is known", "name"), unit(), system(), zero());
  }

  private javafx.scene.Node unit() {
    ComboBox<String> box = new ComboBox<>();
    box.setId("source-unit");
    box.setAccessibleText("Unit of the source");
    for (LinearUnit u : LinearUnit.values()) {
      box.getItems().add(u.title());
    }
    for (LinearUnit u : LinearUnit.values()) {
      if (Math.abs(source.placement().unitFactor() - u.metres()) <= 1e-12) {
        box.setValue(u.title());
      }
    }
    box.setPromptText("as it says");
    Choices.onChosen(
        box,
        e ->
            LinearUnit.named(box.getValue())
                .ifPresent(
                    u -> desk.place(source.name(), source.placement().withUnitFactor(u.metres()))));
    return Parts.row(Parts.label("Its lengths are in", "muted"), box);
  }

  private FigureEntry system() {
    return new FigureEntry(
        "place-in-system",
        "Transform from it",
        List.of(
            new Row(
                "",
                List.of(
                    new Cell("source-system", "Its system, by code", "EPSG:25833", Takes.WORD)))),
        t -> inSystem(t.word("source-system")));
  }

  private void inSystem(String code) {
    String id = code.matches("\\d+") ? "EPSG:" + code : code.toUpperCase(Locale.ROOT);
    Optional<Crs> found = CrsCatalogue.shipped().find(id);
    if (found.isEmpty()) {
      session.complain(
          "There is no coordinate reference system \""
              + code
              + "\" in the catalogue. Type its EPSG code.");
      return;
    }
    desk.place(
        source.name(),
        source.placement().withWhere(new SourcePlacement.Where.InSystem(found.get().id(), "")));
  }

  private FigureEntry zero() {
    return new FigureEntry(
        "place-local",
        "Place it so",
        List.of(
            new Row(
                "Its zero lies at",
                List.of(
                    new Cell("local-e", "E, m", "412868.350", Takes.NUMBER),
                    new Cell("local-n", "N, m", "6534560.120", Takes.NUMBER))),
            new Row(
                "",
                List.of(
                    new Cell("local-h", "H, m", "0.000", Takes.NUMBER),
                    new Cell("local-turn", "turned clockwise, °", "21.5", Takes.NUMBER)))),
        t ->
            desk.place(
                source.name(),
                source
                    .placement()
                    .withWhere(
                        new SourcePlacement.Where.Local(
                            t.position("local-e", "local-n", "local-h"),
                            t.number("local-turn"),
                            1))));
  }
}
