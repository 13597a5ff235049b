package wellspan.app.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import wellspan.app.session.Session;
import wellspan.app.session.ShapeDesk;
import wellspan.app.stage.DifferenceColours;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Outline;
import wellspan.core.overlay.LevelDifference;
import wellspan.core.overlay.Volumes;
import wellspan.core.shape.Shape;

/** Two surfaces against each other: triangles, levels, volumes; or a receiver's own triangles. */
final class CompareCard extends VBox {
  private static final String REDRAWN = "a receiver's own triangles";
  private static final double BAR = 112;

  private final Session session;
  private double swell = 1;
  private double compaction = 1;

  CompareCard(Session session) {
    this.session = session;
    setId("compare");
    getStyleClass().add("card");
    refresh();
  }

  void refresh() {
    getChildren().setAll(Parts.label("Compare", "title"));
    Optional<Build.BuiltItem> chosen =
        session.selectedItem().filter(i -> i.item().ground().isPresent());
    Optional<ShapeDesk.Comparison> done = session.shape().comparisonProperty().get();
    if (chosen.isPresent()) {
      choose(chosen.get().id());
    } else if (done.isEmpty()) {
      getChildren()
          .add(
              Parts.wrapped(
                  "Select a terrain surface to compare it with another one, or with what a receiver makes of it that draws triangles of its own.",
                  "muted"));
    }
    done.ifPresent(this::result);
  }

  private void choose(ItemId first) {
    List<Optional<ItemId>> others = new ArrayList<>();
    ComboBox<String> with = new ComboBox<>();
    with.setId("compare-with");
    others.add(Optional.empty());
    with.getItems().add(REDRAWN);
    for (Build.BuiltItem i : session.build().items().values()) {
      if (i.item().ground().isPresent() && !i.id().equals(first)) {
        others.add(Optional.of(i.id()));
        with.getItems().add(i.item().name());
      }
    }
    int last =
        session
            .shape()
            .comparisonProperty()
            .get()
            .filter(c -> c.first().equals(first))
            .map(c -> others.indexOf(c.second()))
            .orElse(0);
    with.getSelectionModel().select(Math.max(0, last));
    with.setPrefWidth(290);
    List<Optional<Outline>> areas = new ArrayList<>();
    ComboBox<String> within = within(areas);
    Button go =
        Parts.button(
            "Compare",
            "plain",
            () ->
                session
                    .shape()
                    .compare(
                        first,
                        others.get(with.getSelectionModel().getSelectedIndex()),
                        areas.get(within.getSelectionModel().getSelectedIndex())));
    go.setId("compare-go");
    getChildren()
        .addAll(
            Parts.row(Parts.label(name(first) + " with", "muted"), go),
            with,
            Parts.row(Parts.label("within", "muted"), within));
  }

  /** Everywhere, the outline drawn on the plan, and items that enclose an area. */
  private ComboBox<String> within(List<Optional<Outline>> areas) {
    ComboBox<String> c = new ComboBox<>();
    c.setId("compare-within");
    c.setPrefWidth(190);
    areas.add(Optional.empty());
    c.getItems().add("everywhere");
    if (session.shape().outlineProperty().get().size() >= 3) {
      areas.add(Optional.of(session.shape().drawn()));
      c.getItems().add("drawn on the plan");
    }
    for (Build.BuiltItem i : session.build().items().values()) {
      boolean encloses =
          i.item().kind().is(Kind.COVER)
              || i.item().shape() instanceof Shape.Lines l
                  && l.lines().stream().anyMatch(p -> p.isClosed(0.01));
      if (encloses) {
        areas.add(Optional.of(new Outline.Of(i.id(), 0)));
        c.getItems().add(i.item().name());
      }
    }
    int last =
        session
            .shape()
            .comparisonProperty()
            .get()
            .map(done -> areas.indexOf(done.within()))
            .orElse(0);
    c.getSelectionModel().select(Math.max(0, last));
    return c;
  }

  private String name(ItemId id) {
    Build.BuiltItem i = session.build().items().get(id);
    return i == null ? id.value() : i.item().name();
  }

  private void result(ShapeDesk.Comparison c) {
    LevelDifference d = c.difference();
    getChildren()
        .addAll(
            Parts.line(),
            Parts.row(
                Parts.wrapped(
                    name(c.first()) + " → " + c.second().map(this::name).orElse(REDRAWN), "name"),
                Parts.button("Close", "small", session.shape()::closeComparison)));
    if (d.area() == 0) {
      getChildren().add(Parts.wrapped("The two do not lie over each other.", "warning"));
      return;
    }
    getChildren()
        .addAll(
            Parts.row("same triangles", Figures.number(d.sameShare(), 1) + " %"),
            Parts.row("area of both", Figures.number(d.area(), 0) + " m²"),
            Parts.row("mean difference", signed(d.mean()) + " m"),
            Parts.row("RMS", Figures.number(d.rms(), 3) + " m"),
            place("lowest", d.lowest(), d.lowestAt()),
            place("highest", d.highest(), d.highestAt()));
    histogram(d);
    c.volumes().ifPresent(this::volumes);
    if (c.volumes().isPresent() && c.within().isEmpty()) {
      Button bodies =
          Parts.button("Make earth bodies", "small", () -> session.shape().makeEarth(c));
      bodies.setId("compare-earth");
      getChildren().add(bodies);
    }
  }

  private static String signed(double v) {
    return (v > 0 ? "+" : "") + Figures.number(v, 3);
  }

  private HBox place(String name, double value, Optional<Position> at) {
    HBox row = Parts.row(name, signed(value) + " m");
    at.ifPresent(
        p -> {
          Button go =
              Parts.button(
                  "Show",
                  "small",
                  () -> {
                    session.aim().at(p);
                  });
          go.setAccessibleText("Show the " + name + " difference");
          row.getChildren().add(1, go);
        });
    return row;
  }

  private void histogram(LevelDifference d) {
    double most = d.areas().stream().mapToDouble(Double::doubleValue).max().orElse(1);
    getChildren().add(Parts.label("share of the area by difference", "muted"));
    for (int i = d.areas().size() - 1; i >= 0; i--) {
      double area = d.areas().get(i);
      Rectangle bar = new Rectangle(Math.max(area > 0 ? 1 : 0, BAR * area / most), 9);
      bar.setFill(DifferenceColours.band(i));
      Pane room = new Pane(bar);
      room.setPrefWidth(BAR);
      room.setMinWidth(BAR);
      bar.setY(3);
      var name = Parts.label(band(i), "figure");
      name.setMinWidth(76);
      var share = Parts.label(Figures.number(100 * area / d.area(), 1) + " %", "figure");
      share.setMinWidth(Region.USE_PREF_SIZE);
      getChildren().add(new HBox(6, name, room, Parts.space(), share));
    }
  }

  private static String band(int i) {
    List<Double> e = LevelDifference.EDGES;
    if (i == 0) {
      return "< " + plain(e.getFirst());
    }
    return i == e.size() ? "> " + plain(e.getLast()) : "… " + plain(e.get(i));
  }

  private static String plain(double v) {
    String s = Figures.number(Math.abs(v), 2);
    return (v < 0 ? "−" : "+") + s;
  }

  private void volumes(Volumes v) {
    Volumes.Factors f = new Volumes.Factors(swell, compaction);
    getChildren()
        .addAll(
            Parts.line(),
            Parts.row("cut", Figures.number(v.cut(), 1) + " m³"),
            Parts.row("fill", Figures.number(v.fill(), 1) + " m³"),
            Parts.row(
                Parts.label("swell, compaction", "muted"),
                new HBox(
                    4,
                    factor("swell", swell, x -> swell = x),
                    factor("compaction", compaction, x -> compaction = x))),
            Parts.row("cut, loose", Figures.number(v.loose(f), 1) + " m³"),
            Parts.row(
                v.surplus(f) >= 0 ? "to carry away" : "to bring",
                Figures.number(Math.abs(v.surplus(f)), 1) + " m³"));
  }

  private TextField factor(String name, double value, java.util.function.DoubleConsumer take) {
    TextField t = new TextField(Figures.number(value, 2));
    t.setId(name);
    t.setAccessibleText(name);
    t.getStyleClass().add("field");
    t.setPrefWidth(56);
    t.setOnAction(
        e -> {
          try {
            double x = Figures.parse(t.getText());
            new Volumes.Factors(x, x);
            take.accept(x);
            refresh();
          } catch (NumberFormatException n) {
            session.complain("\"" + t.getText() + "\" is not a factor. Type it as 1.25.");
          } catch (IllegalArgumentException n) {
            session.complain(n.getMessage());
          }
        });
    return t;
  }
}
