package wellspan.app.place;

import java.util.List;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.FigureEntry;
import wellspan.app.theme.FigureEntry.Cell;
import wellspan.app.theme.FigureEntry.Row;
import wellspan.app.theme.FigureEntry.Takes;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.geom.Position;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.shape.Shape;

/** Control points as known against as found in a source, worst first. */
final class TallyCard extends VBox {
  private final Session session;
  private boolean typing;

  TallyCard(Session session) {
    this.session = session;
    setId("tally");
    getStyleClass().add("card");
    refresh();
  }

  void refresh() {
    getChildren().setAll(Parts.row(Parts.label("Control tally", "title"), tolerance()));
    Control control = session.job().control();
    if (control.points().isEmpty()) {
      none();
      return;
    }
    List<ControlTally> all = session.build().tallies();
    Optional<ControlTally> shown = session.place().tallyShown();
    if (shown.isEmpty()) {
      getChildren()
          .add(
              Parts.wrapped(
                  control.points().size()
                      + " control points are known; no source holds one of them.",
                  "muted"));
      tools();
      return;
    }
    ComboBox<String> source = new ComboBox<>();
    source.setId("tally-source");
    all.forEach(t -> source.getItems().add(t.where()));
    source.setValue(shown.get().where());
    Choices.onChosen(
        source,
        e -> {
          session.place().talliedProperty().set(source.getValue());
          refresh();
        });
    getChildren().add(Parts.row(Parts.label("found in", "muted"), source));
    table(shown.get());
    verdict(shown.get());
    tools();
  }

  private FigureField tolerance() {
    FigureField f =
        new FigureField(
            "tolerance",
            "Tolerance in millimetres",
            74,
            t -> {
              try {
                double mm = Figures.parse(t.replace("±", "").replace("mm", ""));
                session
                    .place()
                    .changeControl(
                        "Set the tolerance to " + Figures.number(mm, 0) + " mm",
                        c -> c.withTolerance(mm / 1000));
              } catch (NumberFormatException e) {
                session.complain("\"" + t + "\" is not a number of millimetres.");
              }
            });
    return f.show("± " + Figures.number(1000 * session.job().control().tolerance(), 0) + " mm");
  }

  private void none() {
    getChildren()
        .add(
            Parts.wrapped(
                "Control points say where things really are. Take them from a received list, or pick them on the plan.",
                "muted"));
    tools();
  }

  private void table(ControlTally t) {
    GridPane g = new GridPane();
    g.setHgap(4);
    g.setVgap(3);
    ColumnConstraints name = new ColumnConstraints(56);
    name.setHgrow(Priority.ALWAYS);
    g.getColumnConstraints().add(name);
    for (int i = 0; i < 4; i++) {
      ColumnConstraints c = new ColumnConstraints(48);
      c.setHalignment(HPos.RIGHT);
      g.getColumnConstraints().add(c);
    }
    String[] heads = {"Point", "ΔE", "ΔN", "ΔH", "3D mm"};
    for (int i = 0; i < heads.length; i++) {
      g.add(Parts.label(heads[i], "muted"), i, 0);
    }
    int row = 1;
    for (ControlTally.Line l : t.lines()) {
      boolean good = l.within(t.tolerance());
      var point = Parts.label((good ? "" : "✕ ") + l.name(), "name");
      Hint.say(point, "found as " + l.by().title());
      point.setOnMouseClicked(e -> session.aim().at(l.known()));
      g.add(point, 0, row);
      g.add(Parts.label(mm(l.east()), "figure"), 1, row);
      g.add(Parts.label(mm(l.north()), "figure"), 2, row);
      g.add(Parts.label(mm(l.height()), "figure"), 3, row);
      g.add(
          Parts.label(Figures.millimetres(l.space()), "figure", good ? "proven" : "error"), 4, row);
      row++;
    }
    getChildren().add(g);
  }

  private static String mm(double metres) {
    if (Double.isNaN(metres)) {
      return "–";
    }
    String s = Figures.millimetres(metres);
    return metres > 0 && !s.equals("0") && !s.equals("far") ? "+" + s : s;
  }

  private void verdict(ControlTally t) {
    long out = t.lines().stream().filter(l -> !l.within(t.tolerance())).count();
    if (out == 0) {
      getChildren()
          .add(
              Parts.wrapped(
                  "✓ All " + t.lines().size() + " points agree within the tolerance.", "proven"));
    } else {
      t.findings(wellspan.core.finding.Stop.PLACE).stream()
          .filter(f -> f.code().equals("place.tally"))
          .limit(2)
          .forEach(f -> getChildren().add(Parts.wrapped(f.message(), "error")));
    }
    if (!t.notFound().isEmpty()) {
      getChildren()
          .add(Parts.wrapped("Nothing found at " + String.join(", ", t.notFound()) + ".", "muted"));
    }
  }

  private void tools() {
    Button pick =
        Parts.button(
            "Pick a point", "small", () -> session.place().pickProperty().set(Pick.CONTROL));
    pick.setId("pick-control");
    Button type =
        Parts.button(
            typing ? "Close" : "Type",
            "small",
            () -> {
              typing = !typing;
              refresh();
            });
    type.setId("type-control");
    ComboBox<String> from = new ComboBox<>();
    from.setId("control-from");
    from.setPromptText("Take from …");
    session
        .build()
        .received()
        .forEach(
            (name, r) -> {
              if (r.items().stream().anyMatch(i -> i.shape() instanceof Shape.Points)) {
                from.getItems().add(name);
              }
            });
    Choices.onChosen(
        from,
        e -> {
          if (from.getValue() != null) {
            session.place().takeControl(from.getValue());
          }
        });
    from.setPrefWidth(120);
    getChildren().add(new HBox(4, pick, type, Parts.space(), from));
    if (typing) {
      typed();
    }
  }

  /** A row to type a point in, and the known points to take away. */
  private void typed() {
    getChildren()
        .add(
            new FigureEntry(
                "add-control",
                "Add the point",
                List.of(
                    new Row(
                        "",
                        List.of(
                            new Cell("control-name", "Name", "BN-6", Takes.WORD),
                            new Cell(
                                "control-h", "H, m (if known)", "21.500", Takes.NUMBER_OR_NONE))),
                    new Row(
                        "",
                        List.of(
                            new Cell("control-e", "E, m", "412500.000", Takes.NUMBER),
                            new Cell("control-n", "N, m", "6534800.000", Takes.NUMBER)))),
                this::typed));
    for (Control.Point p : session.job().control().points()) {
      Button remove =
          Parts.button(
              "Remove",
              "small",
              () -> session.place().changeControl("Remove " + p.name(), c -> c.without(p.name())));
      getChildren()
          .add(
              Parts.row(
                  Parts.label(p.name() + "  " + Figures.shared(p.known()), "figure"), remove));
    }
  }

  private void typed(FigureEntry.Typed t) {
    String name = t.word("control-name");
    Position p = t.position("control-e", "control-n", "control-h");
    session
        .place()
        .changeControl("Type control point " + name, c -> c.with(new Control.Point(name, p)));
  }
}
