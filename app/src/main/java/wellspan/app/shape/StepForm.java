package wellspan.app.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Build;
import wellspan.core.step.Step;
import wellspan.core.triangulate.LevelRule;

/** The parameters of a step that is to be added, by the kind of step. */
final class StepForm extends VBox {
  private static final String DRAWN = "the outline drawn on the plan";

  /** The kinds of steps that can be chosen, as they are offered. */
  enum Kind {
    FALSE_LEVELS("Drop levels that are none", true, true),
    SPIKES("Drop spikes", true, true),
    DUPLICATES("Merge points at one place", true, false),
    FLAWED("Drop flawed triangles", false, true),
    ISLANDS("Drop loose parts", false, true),
    TRIM("Trim the outer edge", false, true),
    CLIP("Clip to an outline", true, true),
    CUT("Cut an outline out", true, true),
    COVER("Give an outline to a cover", false, true),
    SET_IN("Set a design in", false, true),
    RAISE("Raise or lower", true, true),
    SIMPLIFY("Simplify", false, true),
    FILL("Fill holes", false, true);

    final String title;
    private final boolean points;
    private final boolean surface;

    Kind(String title, boolean points, boolean surface) {
      this.title = title;
      this.points = points;
      this.surface = surface;
    }

    boolean fits(Item item) {
      return switch (item) {
        case Item.PointGroup p -> points;
        case Item.TerrainSurface s -> surface;
        case Item.StringLine l -> this == RAISE;
        case Item.AlignmentLine a -> false;
        case Item.Body b -> false;
        case Item.Cover c -> false;
      };
    }
  }

  private final Session session;
  private final Build.BuiltItem item;
  private Supplier<Step> step;

  StepForm(Session session, Build.BuiltItem item, Kind kind) {
    super(6);
    this.session = session;
    this.item = item;
    boolean surface = item.item() instanceof Item.TerrainSurface;
    switch (kind) {
      case FALSE_LEVELS -> step = () -> new Step.DropFalseLevels(surface);
      case SPIKES -> {
        TextField h = number("higher than", "m; 0 finds it", "0");
        step = () -> new Step.DropSpikes(value(h), surface);
      }
      case DUPLICATES -> {
        ComboBox<String> rule = choice("level", words());
        step = () -> new Step.MergeDuplicates(LevelRule.values()[index(rule)]);
      }
      case FLAWED -> {
        TextField h = number("slivers lower than", "m", "0.001");
        step = () -> new Step.DropFlawedTriangles(value(h));
      }
      case ISLANDS -> {
        TextField a = number("smaller than", "m²", "100");
        step = () -> new Step.DropIslands(value(a));
      }
      case TRIM -> {
        TextField l = number("sides longer than", "m; 0 for none", "40");
        TextField a = number("angles flatter than", "°; 0 for none", "0");
        step = () -> new Step.Trim(value(l), value(a));
      }
      case CLIP, CUT -> {
        Supplier<Step.Outline> o = outline();
        step = () -> new Step.Clip(o.get(), kind == Kind.CLIP);
      }
      case COVER -> {
        TextField name = text("name", "Cover");
        TextField material = text("material", "grass");
        Supplier<Step.Outline> o = outline();
        step = () -> new Step.CutCover(name.getText().strip(), material.getText().strip(), o.get());
      }
      case SET_IN -> {
        List<ItemId> others = others();
        ComboBox<String> of = choice("design", others.stream().map(this::name).toList());
        step = () -> new Step.SetIn(others.get(index(of)));
      }
      case RAISE -> {
        TextField by = number("by", "m, down is negative", "0.100");
        step = () -> new Step.Raise(value(by));
      }
      case SIMPLIFY -> {
        TextField e = number("no vertex more off than", "m", "0.020");
        step = () -> new Step.Simplify(value(e));
      }
      case FILL -> {
        TextField a = number("up to", "m²; 0 for all", "0");
        step = () -> new Step.FillHoles(value(a));
      }
    }
  }

  /**
   * The step as filled in.
   *
   * @throws IllegalArgumentException with a sentence, if something is not filled in rightly
   */
  Step step() {
    return step.get();
  }

  private static List<String> words() {
    return List.of(LevelRule.values()).stream().map(LevelRule::word).toList();
  }

  private TextField number(String name, String unit, String start) {
    TextField f = field(start, 74);
    f.setAccessibleText(name + " " + unit);
    f.setId("step-" + name.replace(' ', '-'));
    getChildren()
        .add(
            Parts.row(
                Parts.label(name, "muted"),
                new javafx.scene.layout.HBox(6, f, Parts.label(unit, "muted"))));
    return f;
  }

  private TextField text(String name, String start) {
    TextField f = field(start, 180);
    f.setId("step-" + name);
    f.setAccessibleText(name);
    getChildren().add(Parts.row(Parts.label(name, "muted"), f));
    return f;
  }

  private static TextField field(String start, double width) {
    TextField f = new TextField(start);
    f.getStyleClass().add("field");
    f.setPrefWidth(width);
    return f;
  }

  private ComboBox<String> choice(String name, List<String> titles) {
    ComboBox<String> c = new ComboBox<>();
    c.setId("step-" + name);
    c.getItems().addAll(titles);
    c.getSelectionModel().selectFirst();
    c.setPrefWidth(190);
    getChildren().add(Parts.row(Parts.label(name, "muted"), c));
    return c;
  }

  private static int index(ComboBox<String> c) {
    int i = c.getSelectionModel().getSelectedIndex();
    if (i < 0) {
      throw new IllegalArgumentException("Nothing is chosen. Choose one of the list first.");
    }
    return i;
  }

  private static double value(TextField f) {
    try {
      return Figures.parse(f.getText().replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException(
          "\"" + f.getText() + "\" is not a number. Type it as 0.250.", e);
    }
  }

  private String name(ItemId id) {
    return session.build().items().get(id).item().name();
  }

  private List<ItemId> others() {
    return session.build().items().values().stream()
        .filter(i -> i.item() instanceof Item.TerrainSurface s && s.mesh().triangleCount() > 0)
        .map(Build.BuiltItem::id)
        .filter(id -> !id.equals(item.id()))
        .toList();
  }

  /** Items that enclose an area, and what was drawn. */
  private Supplier<Step.Outline> outline() {
    List<Optional<ItemId>> from = new ArrayList<>();
    List<String> titles = new ArrayList<>();
    if (session.shape().outlineProperty().get().size() >= 3) {
      from.add(Optional.empty());
      titles.add(DRAWN);
    }
    for (Map.Entry<ItemId, Build.BuiltItem> e : session.build().items().entrySet()) {
      boolean encloses =
          switch (e.getValue().item()) {
            case Item.StringLine l -> l.lines().stream().anyMatch(p -> p.isClosed(0.01));
            case Item.TerrainSurface s -> s.mesh().triangleCount() > 0;
            case Item.Cover c -> true;
            case Item.AlignmentLine a -> true;
            case Item.Body b -> false;
            case Item.PointGroup p -> false;
          };
      if (encloses && !e.getKey().equals(item.id())) {
        from.add(Optional.of(e.getKey()));
        titles.add(e.getValue().item().name());
      }
    }
    ComboBox<String> c = choice("outline", titles);
    TextField offset = number("offset to the outside", "m", "0");
    return () -> {
      Optional<ItemId> id = from.get(index(c));
      return id.isPresent()
          ? new Step.Outline.Of(id.get(), value(offset))
          : session.shape().drawn();
    };
  }
}
