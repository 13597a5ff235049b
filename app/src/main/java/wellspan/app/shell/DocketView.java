package wellspan.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import wellspan.app.session.CellState;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.app.theme.ShapeWords;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.describe.KnownFacts;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.SourceNames;
import wellspan.core.receive.Received;
import wellspan.core.replay.RecordedStep;
import wellspan.core.rulebook.Cell;
import wellspan.core.rulebook.Ruled;

/** The docket: the selected item's own journey in six cells under the six stops. */
final class DocketView extends Pane {
  static final double HEIGHT = 130;

  /** Characters of two figures that stand side by side in a cell. */
  private static final int ONE_LINE = 18;

  private final Session session;
  private final VBox head = new VBox(2);
  private final List<DocketCell> cells = new ArrayList<>();
  private final List<Region> rules = new ArrayList<>();

  DocketView(Session session) {
    this.session = session;
    setId("docket");
    getStyleClass().add("docket");
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    getChildren().add(head);
    for (Stop s : Stop.values()) {
      Region rule = new Region();
      rule.getStyleClass().add("docket-rule");
      DocketCell cell = new DocketCell(s);
      rules.add(rule);
      cells.add(cell);
      getChildren().addAll(rule, cell);
    }
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.staleProperty().addListener((o, a, b) -> refresh());
    session.selection().idsProperty().addListener((o, a, b) -> refresh());
    session.deliveries().latestProperty().addListener((o, a, b) -> refresh());
    session.deliveries().reckonedProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  @Override
  protected void layoutChildren() {
    double w = getWidth();
    head.resizeRelocate(18, 14, 196, getHeight() - 20);
    for (int i = 0; i < cells.size(); i++) {
      double x = RouteGrid.x(i, w);
      double next = i + 1 < cells.size() ? RouteGrid.x(i + 1, w) : w;
      rules.get(i).resizeRelocate(x - 1, 10, 2, getHeight() - 20);
      cells.get(i).resizeRelocate(x + 10, 10, next - x - 16, getHeight() - 14);
    }
  }

  private void cell(Stop stop, String... lines) {
    DocketCell c = cells.get(stop.ordinal());
    for (String line : lines) {
      if (line.isEmpty()) {
        continue;
      }
      String[] styled = line.split("\t", 2);
      if (styled.length == 2) {
        c.line(styled[1], styled[0].split(" "));
      } else {
        c.line(line);
      }
    }
  }

  private void card(DescribeCard card) {
    session.rules().cardProperty().set(card);
    session.stopProperty().set(Stop.DESCRIBE);
  }

  private void refresh() {
    cells.forEach(DocketCell::begin);
    say();
    cells.forEach(DocketCell::end);
  }

  private void say() {
    if (session.selection().ids().size() > 1) {
      several();
      return;
    }
    Optional<Build.BuiltItem> chosen = session.selectedItem();
    if (chosen.isEmpty()) {
      head.getChildren()
          .setAll(
              Parts.label("Nothing selected", "title"),
              Parts.wrapped(
                  "Click an item on the stage or in the strata: its journey stands here.",
                  "muted"));
      return;
    }
    Build.BuiltItem i = chosen.get();
    head.getChildren()
        .setAll(
            Parts.wrapped(i.item().name(), "title"), Parts.label(i.item().kind().title(), "muted"));
    RelationLinks.of(session, i.id()).ifPresent(head.getChildren()::add);
    receive(i);
    place(i.item());
    shape(i.item());
    describe(i);
    cell(Stop.DRAW, "muted\tLayers and line styles", "muted\tcome with a later version.");
    deliver(i);
  }

  /** What several items share, and where they differ. */
  private void several() {
    SharedFacts f = SharedFacts.of(session);
    head.getChildren()
        .setAll(
            Parts.wrapped(Figures.count(f.count()) + " items", "title"),
            Parts.label(f.kinds(), "muted"));
    cell(Stop.RECEIVE, f.source(), f.layer());
    cell(Stop.PLACE, f.extent().toArray(String[]::new));
    cell(Stop.SHAPE, f.geometry().toArray(String[]::new));
    cell(Stop.DESCRIBE, f.classes(), f.material());
    DocketCell c = cells.get(Stop.DESCRIBE.ordinal());
    c.link(
        "class-of-all",
        "Class of all …",
        "Choose a class for all of them",
        () -> card(DescribeCard.ITEM));
    c.link(
        "say-of-all",
        "Say of all …",
        "Give all of them an attribute",
        () -> card(DescribeCard.ATTRIBUTES));
    cell(Stop.DRAW, "muted\tLayers and line styles", "muted\tcome with a later version.");
    for (SharedFacts.InDelivery d : f.deliveries()) {
      delivery(d.name(), d.words(), Parts.id("all-in-", d.name()), !d.all());
    }
  }

  private void receive(Build.BuiltItem i) {
    Received r = session.build().received().get(i.source());
    if (i.source().equals(SourceNames.JOB)) {
      madeHere(i);
      return;
    }
    cell(
        Stop.RECEIVE,
        "name\t" + i.origin().file(),
        i.origin().revision()
            + ", "
            + java.time.format.DateTimeFormatter.ofPattern("d MMM yyyy", java.util.Locale.ENGLISH)
                .withZone(java.time.ZoneId.systemDefault())
                .format(i.origin().receivedAt()),
        r == null ? "" : r.format() + (r.unit().isEmpty() ? "" : ", " + r.unit()),
        "muted\t"
            + (r == null || r.crs().isEmpty() ? "declares no system" : "declares " + r.crs()));
  }

  /** What was made in the job: of which items, whose own journey leads to their sources. */
  private void madeHere(Build.BuiltItem i) {
    List<String> of =
        session.build().results().uses(i.id()).stream()
            .map(id -> session.build().items().get(id))
            .filter(java.util.Objects::nonNull)
            .map(u -> u.item().name())
            .toList();
    List<String> lines = new ArrayList<>();
    lines.add("name\tmade in the job");
    of.stream().limit(of.size() > 4 ? 3 : 4).forEach(lines::add);
    if (of.size() > 4) {
      lines.add("muted\tand " + (of.size() - 3) + " more");
    }
    cell(Stop.RECEIVE, lines.toArray(String[]::new));
  }

  private void place(Item item) {
    Box b = item.bounds();
    if (b.isEmpty()) {
      cell(Stop.PLACE, "warning\tThere is nothing to place.");
      return;
    }
    Position c = b.centre();
    Position l = session.job().frame().toLocal(c);
    String x = "x " + Figures.number(l.east(), 1);
    String y = "y " + Figures.number(l.north(), 1);
    boolean fits = x.length() + y.length() < ONE_LINE;
    cell(
        Stop.PLACE,
        "figure\tE " + Figures.number(c.east(), 3),
        "figure\tN " + Figures.number(c.north(), 3),
        "figure muted\t" + (fits ? x + " " + y : x),
        fits ? "" : "figure muted\t" + y,
        "muted\t"
            + Figures.distance(b.farthestPlanDistance(session.job().frame().basePoint()))
            + " from base");
  }

  private void shape(Item item) {
    List<String> lines = new ArrayList<>(ShapeWords.lines(item.shape()));
    // beside the measures of an alignment or a picture there is no room for a line more
    if (item.shape().vertices().isEmpty() || item.shape().isEmpty()) {
      cell(Stop.SHAPE, lines.toArray(String[]::new));
      return;
    }
    lines.add(Math.min(2, lines.size()), steps());
    cell(Stop.SHAPE, lines.toArray(String[]::new));
  }

  /** How the selected item was made and shaped, in a few words. */
  private String steps() {
    ItemId id = session.selectedProperty().get().orElseThrow();
    long on = session.job().stepsOf(id).stream().filter(RecordedStep::on).count();
    String steps = on == 0 ? "" : on == 1 ? "1 step" : on + " steps";
    if (session.staleProperty().get().contains(id)) {
      return "warning\tbeing made anew";
    }
    return session.shape().making().maker(id).isPresent()
        ? steps.isEmpty() ? "made here" : "made here, " + steps
        : steps.isEmpty() ? "as received" : steps;
  }

  private void describe(Build.BuiltItem i) {
    int facts = KnownFacts.of(i.item(), i.origin().file(), i.origin().revision()).values().size();
    var c = session.build().classOf(i, session.deliveries().schema());
    if (!new IfcFormat(session.deliveries().schema()).carries(i.item())) {
      cell(Stop.DESCRIBE, "muted\tnot delivered as IFC");
      return;
    }
    Ruled r = session.build().ruled(i.id(), session.deliveries().schema());
    long of = cells(r).filter(x -> x.state() != Cell.State.NONE).count();
    long said = cells(r).filter(x -> x.state() == Cell.State.SAID).count();
    Optional<Cell> trouble = cells(r).filter(Cell::isTrouble).findFirst();
    cell(
        Stop.DESCRIBE,
        "name\t" + (r.heldBack() ? "stays here, by a rule" : c.entity()),
        c.type(),
        facts + " known facts",
        of == 0 ? "muted\t" + KnownFacts.SET : said + " of " + of + " values by rules",
        trouble
            .map(
                t ->
                    (t.state() == Cell.State.WRONG ? "error\t" : "warning\t")
                        + t.message().substring(t.message().indexOf(": ") + 2))
            .orElse(""));
  }

  private static Stream<Cell> cells(Ruled r) {
    return Stream.concat(r.cells().stream(), r.codeCells().stream());
  }

  private void deliver(Build.BuiltItem i) {
    DocketCell c = cells.get(Stop.DELIVER.ordinal());
    for (Delivery d : session.job().deliveries()) {
      CellState s = CellState.of(session, d, i);
      String words = s.sign() + " " + d.name() + " " + s.words();
      if (!s.isChoice()) {
        c.line(words, s.style());
      } else {
        delivery(d.name(), words, Parts.id("in-", d.name()), s == CellState.HELD_BACK, s.style());
      }
    }
    if (session.job().deliveries().isEmpty()) {
      c.line("no delivery yet", "muted");
    }
  }

  /** How the selection stands to a delivery; a click holds it back or includes it. */
  private void delivery(String name, String words, String id, boolean include, String... styles) {
    cells
        .get(Stop.DELIVER.ordinal())
        .link(
            id,
            words,
            words + (include ? ". Click to include." : ". Click to hold back."),
            () -> session.deliveries().holdBack(name, session.selection().ids(), !include),
            styles);
  }
}
