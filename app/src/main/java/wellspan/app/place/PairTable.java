package wellspan.app.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.HPos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.session.SourceDesk;
import wellspan.app.theme.FigureEntry;
import wellspan.app.theme.FigureEntry.Cell;
import wellspan.app.theme.FigureEntry.Row;
import wellspan.app.theme.FigureEntry.Takes;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.place.HelmertFit;
import wellspan.core.place.PointPair;

/** The point pairs that a source is fitted by, with what is left at each. */
final class PairTable extends VBox {
  private final Session session;
  private final SourceDesk desk;
  private boolean nextPair;

  PairTable(Session session) {
    super(6);
    this.session = session;
    desk = session.place().sources();
  }

  void refresh() {
    Button match = Parts.button("Match names", "small", desk::matchByName);
    match.setId("match-names");
    match.setDisable(!desk.matchable());
    Button pick =
        Parts.button("Pick pair", "small", () -> session.place().pickProperty().set(Pick.PAIR));
    pick.setId("pick-pair");
    getChildren().setAll(Parts.row(Parts.label("Or by pairs", "name"), new HBox(4, match, pick)));
    List<PointPair> all = desk.pairs();
    if (!all.isEmpty()) {
      fitted(all);
    }
    FigureEntry entry = entry(all.size() + 1);
    getChildren().add(entry);
    if (nextPair) { // lists of pairs are typed one after the other
      nextPair = false;
      Platform.runLater(entry::start);
    }
  }

  private FigureEntry entry(int number) {
    String name = "P" + number;
    return new FigureEntry(
            "add-pair",
            "Add the pair",
            List.of(
                new Row("", List.of(new Cell("pair-name", "Name", name, Takes.WORD))),
                new Row(
                    "reads in the source",
                    List.of(
                        new Cell("pair-x", "x", "118.400", Takes.NUMBER),
                        new Cell("pair-y", "y", "64.250", Takes.NUMBER),
                        new Cell("pair-z", "z (if known)", "3.100", Takes.NUMBER_OR_NONE))),
                new Row(
                    "belongs at",
                    List.of(
                        new Cell("pair-e", "E, m", "412928.960", Takes.NUMBER),
                        new Cell("pair-n", "N, m", "6534749.190", Takes.NUMBER),
                        new Cell("pair-h", "H, m", "3.100", Takes.NUMBER_OR_NONE)))),
            t -> {
              nextPair = true;
              desk.addPair(
                  t.word("pair-name"),
                  t.position("pair-x", "pair-y", "pair-z"),
                  t.position("pair-e", "pair-n", "pair-h"));
            })
        .show("pair-name", name);
  }

  private void fitted(List<PointPair> all) {
    SourceDesk.FitResult result = desk.fit();
    GridPane table = new GridPane();
    table.setHgap(6);
    table.setVgap(2);
    ColumnConstraints name = new ColumnConstraints();
    name.setHgrow(Priority.ALWAYS);
    ColumnConstraints left = new ColumnConstraints(74);
    left.setHalignment(HPos.RIGHT);
    table.getColumnConstraints().addAll(name, left, left, new ColumnConstraints(28));
    table.addRow(
        0,
        Parts.label("Pair", "muted"),
        Parts.label("left in plan", "muted"),
        Parts.label("in level", "muted"));
    for (int i = 0; i < all.size(); i++) {
      pair(table, all, i, result.fit());
    }
    CheckBox fixed = new CheckBox("Scale fixed to 1");
    fixed.setId("scale-fixed");
    fixed.setSelected(!desk.scaleFree());
    fixed.setOnAction(e -> desk.setPairs(all, !fixed.isSelected()));
    getChildren().addAll(table, fixed);
    result
        .fit()
        .ifPresentOrElse(
            this::figures, () -> getChildren().add(Parts.wrapped(result.why(), "error")));
  }

  private void figures(HelmertFit fit) {
    getChildren()
        .addAll(
            Parts.row(
                "Turned", Figures.number(-Math.toDegrees(fit.similarity().rotation()), 5) + "°"),
            Parts.row("Scale", Figures.number(fit.similarity().scale(), 8)),
            Parts.row("Deviation in plan", deviation(fit.planDeviation())),
            Parts.row("Deviation in height", deviation(fit.heightDeviation())));
  }

  private static String deviation(double metres) {
    return Double.isNaN(metres) ? "no redundancy" : "± " + Figures.number(1000 * metres, 2) + " mm";
  }

  private void pair(GridPane table, List<PointPair> all, int i, Optional<HelmertFit> fit) {
    PointPair p = all.get(i);
    CheckBox on = new CheckBox(p.name());
    on.setSelected(p.used());
    on.setOnAction(
        e -> {
          List<PointPair> next = new ArrayList<>(all);
          next.set(i, p.withUsed(on.isSelected()));
          desk.setPairs(next, desk.scaleFree());
        });
    Button remove =
        Parts.icon(
            Feather.X,
            "Remove pair " + p.name(),
            () -> {
              List<PointPair> next = new ArrayList<>(all);
              next.remove(i);
              desk.setPairs(next, desk.scaleFree());
            });
    boolean gross = fit.map(f -> f.residuals().get(i).gross()).orElse(false);
    String style = gross ? "error" : "";
    table.addRow(
        i + 1,
        on,
        Parts.label(
            fit.map(f -> (gross ? "✕ " : "") + residual(f.residuals().get(i).plan())).orElse("–"),
            "figure",
            style),
        Parts.label(
            fit.map(f -> residual(f.residuals().get(i).height())).orElse("–"), "figure", style),
        remove);
  }

  private static String residual(double metres) {
    return Math.abs(metres) >= 1
        ? Figures.number(metres, 1) + " m"
        : Figures.number(1000 * metres, 1) + " mm";
  }
}
