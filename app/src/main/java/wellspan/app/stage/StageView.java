package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;

/** The picture with its switches: plan, 3D, long section. */
public final class StageView extends StackPane {
  /** The pictures of the stage. */
  public enum Picture {
    PLAN("Plan"),
    SPACE("3D"),
    SECTION("Long section");

    private final String title;

    Picture(String title) {
      this.title = title;
    }
  }

  private static final double[] INTERVALS = {0.1, 0.25, 0.5, 1, 2, 5, 10};

  private final ComboBox<String> interval = new ComboBox<>();
  private final PlanView plan;
  private final SpaceView space;
  private final SectionView section;
  private final List<ToggleButton> pictures = new ArrayList<>();
  private final HBox planStyles;
  private final HBox planOptions;
  private final HBox spaceOptions;
  private Picture shown = Picture.PLAN;

  public StageView(Session session) {
    setId("stage");
    setMinSize(0, 0);
    plan = new PlanView(session);
    space = new SpaceView(session);
    section = new SectionView(session);
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
    spaceOptions = spaceOptions();
    planOptions = planOptions();
    VBox bar = new VBox(8, new HBox(10, tabs, planStyles, spaceOptions), planOptions);
    bar.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    StackPane.setAlignment(bar, Pos.TOP_LEFT);
    StackPane.setMargin(bar, new Insets(12, 0, 0, 16));
    getChildren().addAll(plan, space, section, bar, new PickPrompt(session));
    show(Picture.PLAN);
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
    HBox h = segments();
    ToggleGroup group = new ToggleGroup();
    for (PlanView.SurfaceStyle s : PlanView.SurfaceStyle.values()) {
      ToggleButton b = segment(s.title(), group);
      b.setSelected(s == PlanView.SurfaceStyle.CONTOURS);
      b.setOnAction(
          e -> {
            b.setSelected(true);
            plan.setSurfaceStyle(s);
            interval.setVisible(s == PlanView.SurfaceStyle.CONTOURS);
          });
      h.getChildren().add(b);
    }
    return h;
  }

  /** How far apart contours are, and whether arrows show where water runs. */
  private HBox planOptions() {
    ToggleButton runOff = segment("Run-off", null);
    runOff.setId("run-off");
    runOff.setTooltip(new Tooltip("Arrows down the steepest fall"));
    runOff.setOnAction(e -> plan.setRunOff(runOff.isSelected()));
    HBox segment = segments();
    segment.getChildren().add(runOff);
    interval.setId("contour-interval");
    interval.setAccessibleText("Distance of drawn contours");
    interval.getItems().add("contours to scale");
    for (double d : INTERVALS) {
      interval.getItems().add("contours every " + Figures.number(d, d < 1 ? 2 : 0) + " m");
    }
    interval.getSelectionModel().selectFirst();
    interval.setOnAction(
        e -> {
          int i = interval.getSelectionModel().getSelectedIndex();
          plan.setContourInterval(i == 0 ? 0 : INTERVALS[i - 1]);
        });
    HBox h = new HBox(8, segment, interval);
    h.setAlignment(Pos.CENTER_LEFT);
    return h;
  }

  private HBox spaceOptions() {
    HBox h = segments();
    ToggleButton edges = segment("Edges", null);
    edges.setOnAction(e -> space.setEdges(edges.isSelected()));
    h.getChildren().add(edges);
    ToggleGroup group = new ToggleGroup();
    for (int factor : new int[] {1, 2, 5}) {
      ToggleButton b = segment("levels × " + factor, group);
      b.setSelected(factor == 1);
      b.setOnAction(
          e -> {
            b.setSelected(true);
            space.setExaggeration(factor);
          });
      h.getChildren().add(b);
    }
    return h;
  }

  /** Lays something over the pictures and under the switches. */
  public void setOverlay(Node overlay) {
    getChildren().add(getChildren().size() - 1, overlay);
  }

  public PlanView plan() {
    return plan;
  }

  public SpaceView space() {
    return space;
  }

  public void show(Picture p) {
    shown = p;
    plan.setVisible(p == Picture.PLAN);
    space.setVisible(p == Picture.SPACE);
    section.setVisible(p == Picture.SECTION);
    for (Picture each : Picture.values()) {
      pictures.get(each.ordinal()).setSelected(each == p);
    }
    visible(planStyles, p == Picture.PLAN);
    visible(planOptions, p == Picture.PLAN);
    visible(spaceOptions, p == Picture.SPACE && space.isPossible());
  }

  private static void visible(Node n, boolean shown) {
    n.setVisible(shown);
    n.setManaged(shown);
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
  }
}
