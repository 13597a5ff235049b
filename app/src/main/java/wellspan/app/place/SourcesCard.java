package wellspan.app.place;

import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.session.SourceDesk;
import wellspan.app.stage.PlanView;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.job.Source;
import wellspan.core.place.HelmertFit;
import wellspan.core.place.Hypotheses;
import wellspan.core.place.PointPair;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;

/** How each source lies; the open one with the meanings its numbers could have, and its fit. */
final class SourcesCard extends VBox {
  private static final int SHOWN = 7;

  private final Session session;
  private final SourceDesk desk;
  private final PlanView plan;
  private Node openedRow;
  private boolean nextPair;

  SourcesCard(Session session, PlanView plan) {
    this.session = session;
    this.plan = plan;
    desk = session.place().sources();
    setId("sources");
    getStyleClass().add("card");
    refresh();
  }

  void refresh() {
    openedRow = null;
    getChildren().setAll(Parts.label("Sources in the frame", "title"));
    if (session.job().sources().isEmpty()) {
      getChildren().add(Parts.wrapped("Nothing is received yet.", "muted"));
      return;
    }
    for (Source s : session.job().sources()) {
      boolean open = s.name().equals(desk.openProperty().get());
      Button change =
          Parts.button(
              open ? "Close" : "Place",
              "small",
              () -> desk.openProperty().set(open ? "" : s.name()));
      change.setId("place-source-" + s.name());
      HBox heading = Parts.row(Parts.label(s.name(), "name"), change);
      getChildren().addAll(heading, Parts.wrapped(s.placement().summary(), "muted"));
      if (open) {
        openedRow = heading;
        open(s);
      }
    }
  }

  /** The heading of the source that is worked on. */
  Optional<Node> opened() {
    return Optional.ofNullable(openedRow);
  }

  private void open(Source s) {
    Received raw = session.build().raw().get(s.name());
    if (raw == null) {
      getChildren().add(Parts.wrapped("It is not read yet.", "muted"));
      return;
    }
    for (PlaceStatement p : raw.places()) {
      statement(p);
    }
    meanings(s);
    typedMeaning(s);
    known(s);
    pairs();
  }

  private void statement(PlaceStatement p) {
    VBox v =
        new VBox(
            Parts.wrapped("Level " + p.level() + ": " + p.where() + " says " + p.says(), "muted"));
    if (p.frame().isPresent()) {
      Button take = Parts.button("Take for the job", "small", () -> session.place().take(p));
      take.setDisable(session.job().frame().isLocked());
      v.getChildren().add(take);
    }
    getChildren().add(v);
  }

  private void meanings(Source s) {
    List<Hypotheses.Hypothesis> all = desk.hypotheses();
    if (all.isEmpty()) {
      return;
    }
    Button look =
        Parts.button(
            "Show all",
            "small",
            () -> {
              Box box = session.build().bounds();
              for (Hypotheses.Hypothesis h : all) {
                box = h.fits() ? box.union(h.extent()) : box;
              }
              plan.fit(box);
            });
    getChildren().add(Parts.row(Parts.label("Its numbers could be", "muted"), look));
    for (int i = 0; i < Math.min(SHOWN, all.size()); i++) {
      Hypotheses.Hypothesis h = all.get(i);
      boolean now = h.placement().equals(s.placement());
      Button take =
          Parts.button(now ? "Taken" : "Take", "small", () -> desk.place(s.name(), h.placement()));
      take.setId("take-meaning-" + (i + 1));
      take.setDisable(now);
      HBox row =
          Parts.row(
              Parts.wrapped(
                  (h.fits() ? "✓ " : "– ") + (i + 1) + "  " + h.title() + where(h),
                  h.fits() ? "" : "muted"),
              take);
      row.setOnMouseEntered(e -> desk.shownProperty().set(Optional.of(h)));
      row.setOnMouseExited(e -> desk.shownProperty().set(Optional.empty()));
      getChildren().add(row);
    }
  }

  private static String where(Hypotheses.Hypothesis h) {
    if (h.extent().isEmpty()) {
      return ": outside every area";
    }
    return Double.isNaN(h.gap()) || h.gap() == 0
        ? h.fits() && h.gap() == 0 ? ": among the other content" : ""
        : ": " + Figures.distance(h.gap()) + " away";
  }

  /** Any other system and any other unit, typed. */
  private void typedMeaning(Source s) {
    FigureField system =
        new FigureField(
            "system-line",
            "System of the source",
            160,
            t ->
                CrsCatalogue.shipped()
                    .find(t)
                    .ifPresentOrElse(
                        c ->
                            desk.place(
                                s.name(),
                                s.placement()
                                    .withWhere(new SourcePlacement.Where.InSystem(c.id(), ""))),
                        () ->
                            session.complain(
                                "There is no coordinate reference system \""
                                    + t
                                    + "\" in the catalogue. Type its EPSG code.")));
    system.setPromptText("its system: EPSG:n");
    FigureField unit =
        new FigureField(
            "unit-line",
            "Unit of the source",
            110,
            t ->
                LinearUnit.named(t)
                    .ifPresentOrElse(
                        u -> desk.place(s.name(), s.placement().withUnitFactor(u.metres())),
                        () ->
                            session.complain(
                                "\"" + t + "\" is no unit. Type m, mm, cm, ft or ftUS.")));
    unit.setPromptText("its unit: mm");
    getChildren().add(new HBox(6, system, unit));
  }

  /** A typed zero and rotation of the source's own local system. */
  private void known(Source s) {
    FigureField line =
        new FigureField(
            "local-line",
            "Zero and rotation of the source",
            290,
            t -> {
              String[] w = t.split("[\\s,;]+");
              try {
                if (w.length != 4) {
                  throw new NumberFormatException();
                }
                Position zero =
                    new Position(Figures.parse(w[0]), Figures.parse(w[1]), Figures.parse(w[2]));
                desk.place(
                    s.name(),
                    s.placement()
                        .withWhere(new SourcePlacement.Where.Local(zero, Figures.parse(w[3]), 1)));
              } catch (NumberFormatException e) {
                session.complain(
                    "\""
                        + t
                        + "\" is no zero with rotation. Type E, N, H and degrees: 412868.35 6534560.12 0 21.5.");
              }
            });
    line.setPromptText("its zero and turn: E N H degrees");
    getChildren().add(line);
  }

  private void pairs() {
    Button match = Parts.button("Match names", "small", desk::matchByName);
    match.setId("match-names");
    match.setDisable(!desk.matchable());
    Button pick =
        Parts.button("Pick pair", "small", () -> session.place().pickProperty().set(Pick.PAIR));
    pick.setId("pick-pair");
    getChildren().add(Parts.row(Parts.label("Fit by pairs", "muted"), new HBox(4, match, pick)));
    FigureField line = new FigureField("pair-line", "A typed pair", 290, this::typed);
    line.setPromptText("name x y z = E N H");
    getChildren().add(line);
    if (nextPair) { // lists of pairs are typed one after the other
      nextPair = false;
      Platform.runLater(line::requestFocus);
    }
    List<PointPair> all = desk.pairs();
    if (all.isEmpty()) {
      return;
    }
    SourceDesk.FitResult result = desk.fit();
    for (int i = 0; i < all.size(); i++) {
      pair(all, i, result);
    }
    CheckBox fixed = new CheckBox("Scale fixed to 1");
    fixed.setId("scale-fixed");
    fixed.setSelected(!desk.scaleFree());
    fixed.setOnAction(e -> desk.setPairs(all, !fixed.isSelected()));
    getChildren().add(fixed);
    if (result.fit().isEmpty()) {
      getChildren().add(Parts.wrapped(result.why(), "error"));
      return;
    }
    HelmertFit fit = result.fit().get();
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

  private void pair(List<PointPair> all, int i, SourceDesk.FitResult result) {
    PointPair p = all.get(i);
    CheckBox on = new CheckBox(p.name());
    on.setSelected(p.used());
    on.setOnAction(
        e -> {
          List<PointPair> next = new java.util.ArrayList<>(all);
          next.set(i, p.withUsed(on.isSelected()));
          desk.setPairs(next, desk.scaleFree());
        });
    Button remove =
        Parts.button(
            "Remove",
            "small",
            () -> {
              List<PointPair> next = new java.util.ArrayList<>(all);
              next.remove(i);
              desk.setPairs(next, desk.scaleFree());
            });
    String residual =
        result
            .fit()
            .map(f -> f.residuals().get(i))
            .map(r -> residual(r.plan(), r.height()))
            .orElse("–");
    boolean gross = result.fit().map(f -> f.residuals().get(i).gross()).orElse(false);
    getChildren()
        .add(
            Parts.row(
                on,
                new HBox(
                    6,
                    Parts.label((gross ? "✕ " : "") + residual, "figure", gross ? "error" : ""),
                    remove)));
  }

  private static String residual(double plan, double height) {
    boolean large = plan >= 1 || Math.abs(height) >= 1;
    double scale = large ? 1 : 1000;
    return Figures.number(scale * plan, 1)
        + " / "
        + Figures.number(scale * height, 1)
        + (large ? " m" : " mm");
  }

  private void typed(String text) {
    String[] sides = text.split("=");
    try {
      if (sides.length != 2) {
        throw new NumberFormatException();
      }
      String[] left = sides[0].strip().split("[\\s,;]+");
      String[] right = sides[1].strip().split("[\\s,;]+");
      int named = left.length == right.length ? 0 : 1;
      nextPair = true;
      desk.addPair(
          named == 1 ? left[0] : "P" + (desk.pairs().size() + 1),
          position(left, named),
          position(right, 0));
    } catch (NumberFormatException e) {
      nextPair = false;
      session.complain(
          "\"" + text + "\" is no pair. Type x y z = E N H, with a name before it if you like.");
    }
  }

  private static Position position(String[] w, int from) {
    if (w.length - from < 2 || w.length - from > 3) {
      throw new NumberFormatException();
    }
    return new Position(
        Figures.parse(w[from]),
        Figures.parse(w[from + 1]),
        w.length - from == 3 ? Figures.parse(w[from + 2]) : Double.NaN);
  }
}
