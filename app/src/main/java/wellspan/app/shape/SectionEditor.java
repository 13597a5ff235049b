package wellspan.app.shape;

import java.io.File;
import java.util.List;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.SectionDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.typical.Course;
import wellspan.core.typical.Strip;
import wellspan.core.typical.StripUse;

/** Draws the typical section that a road is made of; it stands in the place of the stage. */
public final class SectionEditor extends BorderPane {
  private final Session session;
  private final SectionDesk desk;
  private final SectionPicture picture;
  private final TextField name = new TextField();
  private final VBox strip = new VBox(8);
  private final VBox courses = new VBox(6);

  public SectionEditor(Session session) {
    this.session = session;
    desk = session.sections();
    picture = new SectionPicture(session);
    setId("section-editor");
    getStyleClass().add("rule-surface");
    setMinSize(0, 0);
    setTop(head());
    setCenter(picture);
    HBox below = new HBox(24, strip, courses);
    below.setPadding(new Insets(10, 16, 14, 20));
    strip.setMinWidth(250);
    courses.setMinWidth(Region.USE_PREF_SIZE);
    setBottom(below);
    desk.sectionProperty().addListener((o, a, b) -> refresh());
    picture.chosenProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  public void setTheme(Theme t) {
    picture.setTheme(t);
  }

  private Node head() {
    name.setId("section-name");
    name.setAccessibleText("Name of the typical section");
    name.getStyleClass().add("field");
    name.setPrefWidth(210);
    name.setOnAction(e -> desk.change(s -> s.named(name.getText().strip())));
    name.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                desk.change(s -> s.named(name.getText().strip()));
              }
            });
    Button done = Parts.button("Done", "primary", () -> desk.openProperty().set(false));
    done.setId("section-done");
    FlowPane all =
        new FlowPane(
            8,
            8,
            Parts.label("Typical section", "title"),
            name,
            Parts.button("Open …", "plain", this::open),
            Parts.button("Save …", "plain", this::save),
            Parts.button("Right side on both", "plain", () -> desk.change(s -> s.mirrored())),
            done);
    all.setPadding(new Insets(10, 16, 8, 20));
    all.setAlignment(Pos.CENTER_LEFT);
    return all;
  }

  private static FileChooser chooser(String title) {
    FileChooser c = new FileChooser();
    c.setTitle(title);
    c.getExtensionFilters().add(new FileChooser.ExtensionFilter("Typical section", "*.json"));
    return c;
  }

  private void open() {
    File f = chooser("Open a typical section").showOpenDialog(getScene().getWindow());
    if (f != null) {
      desk.read(f.toPath());
    }
  }

  private void save() {
    FileChooser c = chooser("Save the typical section");
    c.setInitialFileName(desk.section().name().replaceAll("[^\\p{L}\\p{N} _-]", "") + ".json");
    File f = c.showSaveDialog(getScene().getWindow());
    if (f != null) {
      desk.write(f.toPath());
    }
  }

  private void refresh() {
    if (!name.isFocused()) {
      name.setText(desk.section().name());
    }
    showStrip();
    showCourses();
  }

  private void showStrip() {
    if (picture.chosenProperty().get().isEmpty()) {
      Button left = Parts.button("+ Ditch on the left", "small", () -> desk.addDitch(-1));
      left.setId("ditch-left");
      Button right = Parts.button("+ Ditch on the right", "small", () -> desk.addDitch(1));
      right.setId("ditch-right");
      VBox add =
          new VBox(
              8,
              new HBox(
                  8,
                  Parts.button("+ Strip on the left", "small", () -> add(-1)),
                  Parts.button("+ Strip on the right", "small", () -> add(1))),
              new HBox(8, left, right));
      strip
          .getChildren()
          .setAll(
              Parts.label("Strips", "title"),
              Parts.wrapped(
                  "Click a strip to change it. Type its width under it, or draw its edge at the ring.",
                  "muted"),
              add);
      return;
    }
    SectionSketch.At at = picture.chosenProperty().get().get();
    Strip s = desk.section().side(at.side()).get(at.number());
    ComboBox<String> use = new ComboBox<>();
    use.setId("strip-use");
    use.getItems().setAll(Stream.of(StripUse.values()).map(StripUse::word).toList());
    use.setValue(s.use().word());
    Choices.onChosen(
        use,
        e -> {
          StripUse u = StripUse.values()[use.getSelectionModel().getSelectedIndex()];
          desk.changeStrip(
              at.side(),
              at.number(),
              x -> new Strip(u, x.width(), x.fall(), x.rise(), x.thickness(), x.material()));
        });
    GridPane g = grid();
    field(
        g,
        0,
        "strip-fall",
        "falls outwards",
        s.fall(),
        "%",
        at,
        (x, v) -> new Strip(x.use(), x.width(), v, x.rise(), x.thickness(), x.material()));
    field(
        g,
        1,
        "strip-rise",
        "step up inside",
        s.rise(),
        "m",
        at,
        (x, v) -> new Strip(x.use(), x.width(), x.fall(), v, x.thickness(), x.material()));
    field(
        g,
        2,
        "strip-thickness",
        "thickness",
        s.thickness(),
        "m",
        at,
        (x, v) -> new Strip(x.use(), x.width(), x.fall(), x.rise(), v, x.material()));
    FigureField material =
        new FigureField(
                "strip-material",
                "Material",
                130,
                t ->
                    desk.changeStrip(
                        at.side(),
                        at.number(),
                        x -> new Strip(x.use(), x.width(), x.fall(), x.rise(), x.thickness(), t)))
            .show(s.material());
    g.add(Parts.label("material", "muted"), 0, 3);
    g.add(material, 1, 3);
    HBox act =
        new HBox(
            8,
            Parts.button(
                "+ Strip outside of it", "small", () -> desk.addStrip(at.side(), at.number())),
            Parts.button("Remove", "small", () -> desk.removeStrip(at.side(), at.number())));
    String title = (at.side() < 0 ? "Left" : "Right") + " strip " + (at.number() + 1);
    strip.getChildren().setAll(Parts.row(Parts.label(title, "title"), use), g, act);
  }

  private void add(int side) {
    desk.addStrip(side, desk.section().side(side).size() - 1);
  }

  /** A strip with another measure. */
  private interface Measured {
    Strip with(Strip s, double v);
  }

  private void field(
      GridPane g,
      int row,
      String id,
      String label,
      double value,
      String unit,
      SectionSketch.At at,
      Measured how) {
    FigureField f =
        new FigureField(
                id,
                label + ", " + unit,
                74,
                t -> number(t, v -> desk.changeStrip(at.side(), at.number(), x -> how.with(x, v))))
            .show(Figures.number(value, 3));
    g.add(Parts.label(label, "muted"), 0, row);
    g.add(new HBox(6, f, Parts.label(unit, "muted")), 1, row);
  }

  private void number(String typed, DoubleConsumer take) {
    Figures.typed(typed)
        .ifPresentOrElse(
            take,
            () -> session.complain("\u201c" + typed + "\u201d is no number, for example 0.12."));
  }

  private static GridPane grid() {
    GridPane g = new GridPane();
    g.setHgap(12);
    g.setVgap(5);
    return g;
  }

  private void showCourses() {
    GridPane g = grid();
    List<String> heads = List.of("course", "material", "mm", "m wider");
    for (int i = 0; i < heads.size(); i++) {
      Label head = Parts.label(heads.get(i), "muted");
      head.setMinWidth(Region.USE_PREF_SIZE);
      g.add(head, i, 0);
    }
    for (int i = 0; i < desk.section().courses().size(); i++) {
      course(g, i, desk.section().courses().get(i));
    }
    Button add = Parts.button("+ Course below", "small", desk::addCourse);
    add.setId("add-course");
    Label title = Parts.label("Courses under lanes and paved shoulders", "title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    courses.getChildren().setAll(title, g, add);
  }

  private void course(GridPane g, int i, Course c) {
    String id = "course-" + (i + 1);
    g.add(
        new FigureField(
                id + "-name",
                "Name of course " + (i + 1),
                130,
                t ->
                    desk.changeCourse(
                        i, x -> new Course(t, x.material(), x.thickness(), x.wider())))
            .show(c.name()),
        0,
        i + 1);
    g.add(
        new FigureField(
                id + "-material",
                "Material of course " + (i + 1),
                112,
                t -> desk.changeCourse(i, x -> new Course(x.name(), t, x.thickness(), x.wider())))
            .show(c.material()),
        1,
        i + 1);
    g.add(
        new FigureField(
                id + "-thickness",
                "Thickness of course " + (i + 1) + ", millimetres",
                54,
                t ->
                    number(
                        t,
                        v ->
                            desk.changeCourse(
                                i, x -> new Course(x.name(), x.material(), v / 1000, x.wider()))))
            .show(Figures.number(1000 * c.thickness(), 0)),
        2,
        i + 1);
    g.add(
        new FigureField(
                id + "-wider",
                "How far course " + (i + 1) + " reaches beyond the paved edge, metres",
                54,
                t ->
                    number(
                        t,
                        v ->
                            desk.changeCourse(
                                i, x -> new Course(x.name(), x.material(), x.thickness(), v))))
            .show(Figures.number(c.wider(), 2)),
        3,
        i + 1);
    g.add(
        Parts.icon(Feather.X, "Take " + c.name() + " away", () -> desk.removeCourse(i)), 4, i + 1);
  }
}
