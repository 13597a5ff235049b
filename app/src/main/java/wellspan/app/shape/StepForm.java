package wellspan.app.shape;

import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import wellspan.app.session.Session;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Build;
import wellspan.core.shape.Shape;
import wellspan.core.step.Step;
import wellspan.core.triangulate.LevelRule;

/** The parameters of a step that is to be added, by the kind of step. */
final class StepForm extends Form {
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
      return switch (item.shape()) {
        case Shape.Points p -> points;
        case Shape.Faces s -> surface && item.ground().isPresent();
        case Shape.Lines l -> this == RAISE;
        case Shape.Axis a -> false;
        case Shape.Picture g -> false;
      };
    }
  }

  private Supplier<Step> step;

  StepForm(Session session, Build.BuiltItem item, Kind kind) {
    super(session, "step-", new HashMap<>());
    Optional<ItemId> self = Optional.of(item.id());
    boolean surface = item.item().ground().isPresent();
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
        TextField l = number("longest side", "m; 0 for any", "40");
        TextField a = number("flattest angle", "°; 0 for any", "0");
        step = () -> new Step.Trim(value(l), value(a));
      }
      case CLIP, CUT -> {
        Supplier<Step.Outline> o = outline(self);
        step = () -> new Step.Clip(o.get(), kind == Kind.CLIP);
      }
      case COVER -> {
        TextField name = text("name", "Cover");
        TextField material = text("material", "grass");
        Supplier<Step.Outline> o = outline(self);
        step = () -> new Step.CutCover(name.getText().strip(), material.getText().strip(), o.get());
      }
      case SET_IN -> {
        List<ItemId> others = surfaces(self);
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
}
