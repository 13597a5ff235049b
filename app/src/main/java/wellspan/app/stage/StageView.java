package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.image.Image;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
import wellspan.app.theme.OnDemand;
import wellspan.app.theme.Theme;
import wellspan.core.job.SavedView;

/** The picture with its switches: plan, 3D, long section, plan over cross section. */
public final class StageView extends StackPane {
  /** The pictures of the stage. */
  public enum Picture {
    PLAN("Plan"),
    SPACE("3D"),
    SECTION("Long section"),
    CROSS("Cross section");

    private final String title;

    Picture(String title) {
      this.title = title;
    }
  }

  /** Room at both sides of the tools, pixels; in a narrow window they take two rows. */
  private static final double BESIDE_TOOLS = 24;

  /** Width of a list to choose from, pixels: left alone it is as wide as its open list. */
  private static final double CHOICE = 112;

  private static final double[] INTERVALS = {0.1, 0.25, 0.5, 1, 2, 5, 10};

  private final Session session;
  private final ChoiceBox<String> interval = new ChoiceBox<>();
  private final ChoiceBox<Integer> levels = new ChoiceBox<>();
  private final PlanView plan;
  private final SpaceView space;
  private final SectionView section;
  private final CrossSectionView cross;
  private final CutMark cutMark;
  private final SplitPane halves = new SplitPane();
  private final List<ToggleButton> pictures = new ArrayList<>();
  private final HBox planStyles;
  private final HBox planOptions;
  private final OnDemand<HBox> spaceOptions;
  private final OnDemand<HBox> crossOptions;
  private final OnDemand<MassChoice> sectionOptions;
  private final FlowPane bar = new FlowPane(8, 6);
  private final VBox corner;
  private final OnDemand<CutChoice> cut;
  private Picture shown = Picture.PLAN;

  public StageView(Session session) {
    this.session = session;
    setId("stage");
    setMinSize(0, 0);
    plan = new PlanView(session);
    space = new SpaceView(session);
    section = new SectionView(session);
    cross = new CrossSectionView(session);
    cutMark = new CutMark(plan, cross);
    halves.setOrientation(Orientation.VERTICAL);
    halves.getStyleClass().add("halves");
    halves.getItems().add(plan);
    plan.addEventHandler(
        MouseEvent.MOUSE_CLICKED,
        e -> {
          if (shown == Picture.CROSS && e.isStillSincePress()) {
            session.aim().pointerProperty().get().ifPresent(p -> cross.cutAt(p));
          }
        });
    HBox tabs = segments();
    ToggleGroup group = new ToggleGroup();
    for (Picture p : Picture.values()) {
      ToggleButton b = segment(p.title, group);
      b.setId("picture-" + p.name().toLowerCase(java.util.Locale.ROOT));
      b.setOnAction(e -> show(p));
      pictures.add(b);
      tabs.getChildren().add(b);
    }
    planStyles = styles();
    planOptions = planOptions();
    spaceOptions = new OnDemand<>(() -> tool(spaceOptions()));
    cut = new OnDemand<>(() -> tool(cut(session)));
    crossOptions = new OnDemand<>(() -> tool(crossOptions()));
    sectionOptions = new OnDemand<>(() -> tool(new MassChoice(session, section::setMasses)));
    section
        .alongLineProperty()
        .addListener((o, a, along) -> sectionOptions.setVisible(shown == Picture.SECTION && along));
    bar.getChildren().addAll(tabs, planStyles, planOptions);
    bar.setRowValignment(VPos.CENTER);
    bar.prefWrapLengthProperty().bind(widthProperty().subtract(BESIDE_TOOLS));
    bar.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    bar.setPickOnBounds(false);
    StackPane.setAlignment(bar, Pos.TOP_LEFT);
    StackPane.setMargin(bar, new Insets(12, 0, 0, 16));
    corner =
        new VBox(
            8,
            new MeasureCard(session),
            new ViewsCard(session, this::view, this::look),
            new ColourChoice(session));
    corner.setAlignment(Pos.BOTTOM_RIGHT);
    corner.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    corner.setPickOnBounds(false);
    StackPane.setAlignment(corner, Pos.BOTTOM_RIGHT);
    StackPane.setMargin(corner, new Insets(0, 16, 12, 0));
    getChildren()
        .addAll(
            halves,
            cutMark,
            space,
            section,
            bar,
            corner,
            new PickPrompt(session),
            new FarHint(session));
    show(Picture.PLAN);
  }

  /** A tool that joins the row of tools. */
  private <N extends Node> N tool(N tool) {
    bar.getChildren().add(tool);
    return tool;
  }

  private CutChoice cut(Session session) {
    CutChoice choice = new CutChoice(session, space);
    StackPane.setAlignment(choice.along(), Pos.TOP_LEFT);
    StackPane.setMargin(choice.along(), new Insets(52, 0, 0, 16));
    getChildren().add(getChildren().indexOf(corner), choice.along());
    return choice;
  }

  private static HBox segments() {
    HBox h = new HBox();
    h.getStyleClass().add("segments");
    h.setAlignment(Pos.CENTER_LEFT);
    return h;
  }

  private static ToggleButton segment(String text, ToggleGroup group) {
    ToggleButton b = new ToggleButton(text);
    b.getStyleClass().setAll("toggle-button", "segment");
    b.setToggleGroup(group);
    return b;
  }

  private HBox styles() {
    ChoiceBox<SurfaceStyle> styles = new ChoiceBox<>();
    styles.setId("surface-style");
    styles.setAccessibleText("How surfaces are drawn");
    styles.getItems().setAll(SurfaceStyle.values());
    styles.setConverter(Choices.words(SurfaceStyle::title));
    styles.setValue(SurfaceStyle.CONTOURS);
    styles.setPrefWidth(CHOICE);
    styles
        .valueProperty()
        .addListener(
            (o, a, s) -> {
              plan.setSurfaceStyle(s);
              visible(interval, s == SurfaceStyle.CONTOURS);
            });
    HBox h = new HBox(styles);
    h.setAlignment(Pos.CENTER_LEFT);
    return h;
  }

  /** How far apart contours are, and whether arrows show where water runs. */
  private HBox planOptions() {
    ToggleButton runOff = segment("Run-off", null);
    runOff.setId("run-off");
    Hint.say(runOff, "Arrows down the steepest fall");
    runOff.setOnAction(e -> plan.setRunOff(runOff.isSelected()));
    HBox segment = segments();
    segment.getChildren().add(runOff);
    interval.setId("contour-interval");
    interval.setAccessibleText("Distance of drawn contours");
    interval.getItems().add("to scale");
    for (double d : INTERVALS) {
      interval.getItems().add("every " + Figures.number(d, d < 1 ? 2 : 0) + " m");
    }
    interval.getSelectionModel().selectFirst();
    interval.setPrefWidth(CHOICE);
    interval.setOnAction(
        e -> {
          int i = interval.getSelectionModel().getSelectedIndex();
          plan.setContourInterval(i == 0 ? 0 : INTERVALS[i - 1]);
        });
    HBox h = new HBox(8, interval, segment);
    h.setAlignment(Pos.CENTER_LEFT);
    return h;
  }

  private HBox spaceOptions() {
    HBox h = segments();
    ToggleButton edges = segment("Edges", null);
    edges.setOnAction(e -> space.setEdges(edges.isSelected()));
    ToggleButton grid = segment("Grid", null);
    grid.setSelected(true);
    grid.setOnAction(e -> space.setGrid(grid.isSelected()));
    h.getChildren().addAll(edges, grid);
    levels.setId("space-levels");
    levels.setAccessibleText("Levels shown so many times higher");
    levels.getItems().setAll(1, 2, 5, 10);
    levels.setValue(1);
    levels.setConverter(Choices.words(factor -> "levels × " + factor));
    levels.setPrefWidth(CHOICE);
    levels.setOnAction(e -> space.setExaggeration(levels.getValue()));
    HBox all = new HBox(8, h, levels);
    all.setAlignment(Pos.CENTER_LEFT);
    return all;
  }

  private HBox crossOptions() {
    HBox h = segments();
    ToggleGroup group = new ToggleGroup();
    for (double factor : CrossSectionView.exaggerations()) {
      ToggleButton b = segment("levels × " + Figures.number(factor, 0), group);
      b.setSelected(factor == 2);
      b.setOnAction(
          e -> {
            b.setSelected(true);
            cross.setExaggeration(factor);
          });
      h.getChildren().add(b);
    }
    return h;
  }

  /** Lays something over the pictures and under the switches. */
  public void setOverlay(Node overlay) {
    getChildren().add(getChildren().size() - 1, overlay);
  }

  /**
   * Shows the plan as it was seen last until it is drawn.
   *
   * @param size of the plan that was seen, pixels of the window
   */
  public void showLast(Image look, Rectangle2D size) {
    getChildren().add(1, new LastLook(session, plan, this, look, size));
  }

  public PlanView plan() {
    return plan;
  }

  public SpaceView space() {
    return space;
  }

  public void show(Picture p) {
    shown = p;
    boolean both = p == Picture.CROSS;
    halves.setVisible(p == Picture.PLAN || both);
    plan.setVisible(p == Picture.PLAN || both);
    cross.setVisible(both);
    cutMark.setVisible(both);
    if (both && halves.getItems().size() == 1) {
      halves.getItems().add(cross);
      halves.setDividerPositions(0.55);
      cross.requestFocus();
    } else if (!both) {
      halves.getItems().remove(cross);
    }
    space.setVisible(p == Picture.SPACE);
    section.setVisible(p == Picture.SECTION);
    for (Picture each : Picture.values()) {
      pictures.get(each.ordinal()).setSelected(each == p);
    }
    crossOptions.setVisible(both);
    sectionOptions.setVisible(p == Picture.SECTION && section.alongLineProperty().get());
    visible(planStyles, p == Picture.PLAN);
    visible(planOptions, p == Picture.PLAN);
    spaceOptions.setVisible(p == Picture.SPACE && space.isPossible());
    cut.setVisible(p == Picture.SPACE && space.isPossible());
    visible(corner, p == Picture.PLAN || p == Picture.SPACE);
    cut.made().ifPresent(c -> c.setShown(p == Picture.SPACE));
  }

  private static void visible(Node n, boolean shown) {
    n.setVisible(shown);
    n.setManaged(shown);
  }

  private SavedView view(String name) {
    return shown == Picture.SPACE ? space.view(name) : plan.view(name);
  }

  /** Shows a kept view. */
  public void look(SavedView v) {
    switch (v.picture()) {
      case PLAN -> {
        show(Picture.PLAN);
        plan.look(v);
      }
      case SPACE -> {
        show(Picture.SPACE);
        space.look(v);
        levels.setValue((int) Math.rint(v.levels()));
      }
    }
  }

  /** Shows everything in the current picture. */
  public void fit() {
    if (shown == Picture.SPACE) {
      space.fit();
    } else {
      plan.fit();
    }
  }

  public void setTheme(Theme t) {
    plan.setTheme(t);
    space.setTheme(t);
    section.setTheme(t);
    cross.setTheme(t);
  }
}
