package wellspan.core.step;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Step;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.picture.Texture;
import wellspan.core.progress.Progress;
import wellspan.core.recipe.GradedPad;
import wellspan.core.recipe.TexturedGround;
import wellspan.core.replay.OperationJson;
import wellspan.core.replay.RecipeRun;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;
import wellspan.core.replay.StepRun;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.Grounds;
import wellspan.core.triangulate.LevelRule;

/** Every step on every kind of item it is for, with its figures. */
class StepsTest {
  private static final ItemId OUTLINE = new ItemId("s/string/Outline");
  private static final ItemId OPEN = new ItemId("s/string/Open");
  private static final ItemId ROAD = new ItemId("s/alignment/Road");
  private static final ItemId DESIGN = new ItemId("s/terrain-surface/Design");
  private static final ItemId PEGS = new ItemId("s/points/Pegs");

  private static Polyline line(boolean closed, double... local) {
    List<Double> xyz = new ArrayList<>();
    for (int i = 0; i < local.length; i += 2) {
      xyz.addAll(List.of(Grounds.E + local[i], Grounds.N + local[i + 1], 0.0));
    }
    if (closed) {
      xyz.addAll(xyz.subList(0, 3));
    }
    return new Polyline(xyz.stream().mapToDouble(Double::doubleValue).toArray());
  }

  private static final Map<ItemId, Item> OTHERS =
      Map.of(
          OUTLINE,
          Item.string("Outline", line(true, 20, 20, 60, 20, 60, 50, 20, 50)),
          OPEN,
          Item.string("Open", line(false, 0, 0, 10, 10)),
          ROAD,
          Item.alignment(
              "Road",
              new Alignment(
                  "Road",
                  List.of(
                      new PlanElement.Line(new PlanPoint(Grounds.E + 10, Grounds.N + 50, 0), 80)),
                  new Chainages(0, List.of()),
                  java.util.Optional.empty())),
          DESIGN,
          Item.surface(
              "Design",
              new Mesh(
                  new double[] {
                    Grounds.E + 30, Grounds.N + 30, 8, Grounds.E + 70, Grounds.N + 30, 8,
                    Grounds.E + 70, Grounds.N + 70, 8, Grounds.E + 30, Grounds.N + 70, 8
                  },
                  new int[] {0, 1, 2, 0, 2, 3})),
          PEGS,
          Item.points("Pegs", List.of()));

  private static final Inputs INPUTS =
      id -> {
        if (!OTHERS.containsKey(id)) {
          throw new IllegalArgumentException(id + " is not there.");
        }
        return OTHERS.get(id);
      };

  private static Item ground() {
    return Item.surface("Ground", Grounds.grid(20, 20, 5, (x, y) -> 5 + 0.02 * x));
  }

  private static StepOutcome on(Item item, Step step) {
    return StepRun.of(RecordedStep.of(step), item, INPUTS, Progress.NONE);
  }

  private static Mesh mesh(StepOutcome o) {
    return ((Shape.Faces) o.item().shape()).mesh();
  }

  @Test
  void clippingByEveryKindOfOutline() {
    assertThat(mesh(on(ground(), clip(OUTLINE, 0, true))).planArea()).isCloseTo(1200, within(1e-6));
    assertThat(mesh(on(ground(), clip(OUTLINE, 0, false))).planArea())
        .isCloseTo(10_000 - 1200, within(1e-6));
    assertThat(mesh(on(ground(), clip(DESIGN, 0, true))).planArea()).isCloseTo(1600, within(1e-6));
    assertThat(mesh(on(ground(), clip(ROAD, 3, true))).planArea()).isCloseTo(80 * 6, within(1e-6));
    double wider = mesh(on(ground(), clip(OUTLINE, 2, true))).planArea();
    // a rectangle of 44 × 34 less what rounding its corners takes off
    assertThat(wider).isBetween(44 * 34 - 4.0, 44 * 34 - 3.0);
    Outline drawn =
        new Outline.Drawn(
            List.of(
                Grounds.E, Grounds.N, Grounds.E + 10, Grounds.N, Grounds.E + 10, Grounds.N + 10));
    assertThat(mesh(on(ground(), new Clip(drawn, true))).planArea()).isCloseTo(50, within(1e-9));
  }

  private static Step clip(ItemId id, double offset, boolean inside) {
    return new Clip(new Outline.Of(id, offset), inside);
  }

  @Test
  void outlinesThatEncloseNothingAreSentences() {
    assertThat(on(ground(), clip(OPEN, 0, true)).told()).contains("no closed line");
    assertThat(on(ground(), clip(ROAD, 0, true)).told()).contains("needs a width");
    assertThat(on(ground(), clip(PEGS, 0, true)).told()).contains("is no outline");
    Step two = new Clip(new Outline.Drawn(List.of(0.0, 0.0, 1.0, 1.0)), true);
    assertThat(on(ground(), two).told()).contains("three corners");
    StepOutcome o = on(ground(), clip(new ItemId("gone"), 0, true));
    assertThat(o.failed()).isTrue();
    assertThat(mesh(o).planArea()).isCloseTo(10_000, within(1e-6));
  }

  @Test
  void aDesignIsSetInAndItsStepAtTheSeamIsAFinding() {
    StepOutcome o = on(ground(), new SetIn(DESIGN));
    assertThat(mesh(o).planArea()).isCloseTo(10_000, within(1e-6));
    assertThat(o.findings()).extracting(f -> f.code()).containsExactly("terrain.seam");
    // the ground lies at 5.6 … 6.4 m along the design at 8 m
    assertThat(o.told()).contains("2.400 m");
    assertThat(on(ground(), new SetIn(OUTLINE)).told()).contains("is no surface");
  }

  @Test
  void raisingMovesEveryKindThatHasLevels() {
    assertThat(on(ground(), new Raise(-2)).after().lowest()).isCloseTo(3, within(1e-12));
    Shape.Lines l = (Shape.Lines) on(OTHERS.get(OUTLINE), new Raise(1.5)).item().shape();
    assertThat(l.lines().getFirst().point(2).level()).isEqualTo(1.5);
    assertThat(on(points(), new Raise(1)).after().highest()).isEqualTo(21);
  }

  private static Item points() {
    List<NamedPoint> out = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      int row = i / 10;
      out.add(
          new NamedPoint(
              "P" + i, new Position(Grounds.E + i % 10 * 10, Grounds.N + row * 10.0, 20), "peg"));
    }
    out.add(new NamedPoint("again", new Position(Grounds.E, Grounds.N, 18), ""));
    return Item.points("Points", out);
  }

  @Test
  void pointsAtOnePlaceBecomeOneByTheRule() {
    for (LevelRule rule : LevelRule.values()) {
      StepOutcome o = on(points(), new MergeDuplicates(rule));
      assertThat(o.after().points()).isEqualTo(100);
      NamedPoint first = ((Shape.Points) o.item().shape()).points().getFirst();
      double expected =
          switch (rule) {
            case FIRST, HIGHEST -> 20;
            case LOWEST -> 18;
            case MEAN -> 19;
          };
      assertThat(first.position().level()).isEqualTo(expected);
      assertThat(first.name()).isEqualTo("P0");
      assertThat(first.code()).isEqualTo("peg");
    }
  }

  @Test
  void pointsAreClippedToo() {
    StepOutcome o = on(points(), clip(OUTLINE, 0, true));
    assertThat(o.after().points()).isEqualTo(5 * 4); // those on the outline belong to it
    assertThat(o.told()).contains("81 points dropped");
  }

  @Test
  void holesLoosePartsAndTheOutlineAreMended() {
    Mesh m = Grounds.grid(20, 20, 5, (x, y) -> 5 + 0.02 * x);
    Mesh holed = m.only(t -> t != 402 && t != 403 && (t < 760 || t > 779 || t > 777));
    Item s = Item.surface("Ground", holed);
    assertThat(on(s, new FillHoles(30)).told()).contains("2 triangles put in, 25.0 m²");
    assertThat(on(s, new DropIslands(1e9)).failed()).isFalse();
    assertThat(on(ground(), new Trim(4, 0)).after().triangles()).isZero();
    assertThat(on(ground(), new Trim(0, 0)).after().triangles()).isEqualTo(800);
  }

  @Test
  void spikesAndFalseLevelsOfASurfaceAreDroppedAndBridged() {
    Mesh m = Grounds.grid(20, 20, 5, (x, y) -> 25 + 0.02 * x);
    double[] xyz = m.xyz().clone();
    xyz[3 * 220 + 2] = -999;
    xyz[3 * 130 + 2] += 9;
    Item s = Item.surface("G", new Mesh(xyz, m.triangles()));
    StepOutcome clean = on(s, new DropFalseLevels(true));
    assertThat(clean.told()).contains("1 at -999.000 m");
    StepOutcome flat = on(clean.item(), new DropSpikes(0, true));
    assertThat(flat.told()).startsWith("1 points dropped");
    assertThat(mesh(flat).planArea()).isCloseTo(10_000, within(1e-6));
    assertThat(flat.after().highest()).isLessThan(28);
    StepOutcome open = on(s, new DropFalseLevels(false));
    assertThat(mesh(open).planArea()).isLessThan(10_000);
  }

  @Test
  void simplifyingKeepsItsPromiseAndSaysIt() {
    StepOutcome o = on(ground(), new Simplify(0.01));
    assertThat(o.after().triangles()).isLessThan(o.before().triangles());
    assertThat(o.told()).contains("no vertex lies more than 0.0");
  }

  @Test
  void aCoverThatMissesTheSurfaceIsASentence() {
    Step far = new CutCover("Lawn", "", new Outline.Drawn(List.of(0.0, 0.0, 1.0, 0.0, 1.0, 1.0)));
    assertThat(on(ground(), far).told()).contains("lies beside the surface");
  }

  @Test
  void stepsThatAreNotForAKindSaySo() {
    List<Step> forSurfaces =
        List.of(
            new DropFlawedTriangles(0.001),
            new DropIslands(1),
            new Trim(1, 1),
            new SetIn(DESIGN),
            new Simplify(1),
            new FillHoles(1),
            new CutCover("c", "m", new Outline.Of(OUTLINE, 0)));
    for (Step s : forSurfaces) {
      assertThat(on(points(), s).told()).as(s.title()).contains("not for an item of the kind");
    }
    assertThat(on(ground(), new MergeDuplicates(LevelRule.MEAN)).failed()).isTrue();
    assertThat(on(OTHERS.get(ROAD), new Raise(1)).failed()).isTrue();
    assertThat(on(OTHERS.get(OPEN), new Trim(1, 1)).failed()).isTrue();
  }

  @Test
  void everyStepHasATitleAndSurvivesJson() {
    List<Step> all =
        List.of(
            new DropFalseLevels(true),
            new DropSpikes(1.5, false),
            new MergeDuplicates(LevelRule.LOWEST),
            new DropFlawedTriangles(0.001),
            new DropIslands(5),
            new Trim(40, 2),
            clip(OUTLINE, 1.5, false),
            new SetIn(DESIGN),
            new Raise(-0.1),
            new Simplify(0.02),
            new FillHoles(9),
            new CutCover("Lawn", "grass", new Outline.Of(OUTLINE, 0)));
    for (Step s : all) {
      assertThat(s.title()).isNotBlank();
      RecordedStep off = new RecordedStep(s, false);
      assertThat(OperationJson.step(OperationJson.node(off))).isEqualTo(off);
      assertThat(OperationJson.step(OperationJson.node(RecordedStep.of(s))))
          .isEqualTo(RecordedStep.of(s));
    }
  }

  @Test
  void aPadIsMadeWithItsFigures() {
    ItemId ground = new ItemId("s/terrain-surface/Ground");
    Item flat = Item.surface("Ground", Grounds.grid(20, 20, 5, (x, y) -> 0));
    GradedPad recipe =
        new GradedPad(
            "Yard",
            ground,
            new Outline.Drawn(
                List.of(
                    Grounds.E + 40.0,
                    Grounds.N + 40.0,
                    Grounds.E + 60.0,
                    Grounds.N + 40.0,
                    Grounds.E + 60.0,
                    Grounds.N + 60.0,
                    Grounds.E + 40.0,
                    Grounds.N + 60.0)),
            1,
            2,
            180,
            1.5,
            2);
    assertThat(OperationJson.recipe(OperationJson.node(recipe))).isEqualTo(recipe);
    Recipe.Made made = RecipeRun.of(recipe, id -> flat, Progress.NONE);
    assertThat(made.findings()).isEmpty();
    assertThat(made.told()).startsWith("400.0 m² with ").contains("cut 0.0 m³");
    Mesh pad = ((Shape.Faces) made.items().getFirst().shape()).mesh();
    // 2 % towards the south: 0.2 m higher at the northern side, 10 m from the middle
    assertThat(pad.bounds().maxH()).isCloseTo(1.2, within(1e-6));
    Recipe.Made high =
        RecipeRun.of(
            new GradedPad("Yard", ground, recipe.outline(), 99, 0, 0, 1, 9),
            id -> flat,
            Progress.NONE);
    assertThat(high.findings()).extracting(f -> f.code()).containsExactly("terrain.slope-open");
    Recipe.Made none =
        RecipeRun.of(
            new GradedPad("Yard", ground, recipe.outline(), 1, 0, 0, -1, 9),
            id -> flat,
            Progress.NONE);
    assertThat(none.items()).isEmpty();
    assertThat(none.told()).contains("slope in cut").contains("0 or more");
  }

  private static final ItemId HILL = new ItemId("s/terrain-surface/Hill");
  private static final ItemId PHOTO = new ItemId("s/image/Photo");

  private static Recipe.Made textured(double pixel, double spacing, double error) {
    Mesh hill = Grounds.grid(50, 50, 2, (x, y) -> 5 * Math.sin(x / 15) + y / 20);
    int[] argb = new int[60 * 40];
    java.util.Arrays.fill(argb, 0xFF336699);
    Item photo =
        Item.picture(
            "Photo",
            new Pixels(60, 40, argb),
            PicturePlace.ofWorld(
                new double[] {1, 0, 0, -1, Grounds.E + 10.5, Grounds.N + 49.5}, 60, 40));
    Map<ItemId, Item> items = Map.of(HILL, Item.surface("Hill", hill), PHOTO, photo);
    Recipe r = new TexturedGround("Tex", HILL, PHOTO, pixel, spacing, error);
    assertThat(OperationJson.recipe(OperationJson.node(r))).isEqualTo(r);
    return RecipeRun.of(r, items::get, Progress.NONE);
  }

  @Test
  void groundIsCutToThePictureAndThePictureToTheGround() {
    Recipe.Made made = textured(0.5, 0, 0);
    Item ground = made.items().getFirst();
    Shape.Faces s = (Shape.Faces) ground.shape();
    assertThat(s.mesh().planArea()).isCloseTo(60 * 40, within(1e-6));
    Texture t = ground.attributes().texture().orElseThrow();
    assertThat(t.pixels().width()).isEqualTo(120);
    assertThat(t.pixels().height()).isEqualTo(80);
    for (int v = 0; v < s.mesh().vertexCount(); v++) {
      assertThat(t.across(s.mesh().east(v), s.mesh().north(v))).isBetween(-1e-9, 1 + 1e-9);
      assertThat(t.down(s.mesh().east(v), s.mesh().north(v))).isBetween(-1e-9, 1 + 1e-9);
    }
    assertThat(made.findings()).extracting(f -> f.code()).containsExactly("terrain.texture-part");
    Item moved =
        StepRun.of(RecordedStep.of(new Raise(1)), ground, id -> ground, Progress.NONE).item();
    assertThat(moved.attributes().texture()).isPresent();
  }

  @Test
  void texturedGroundCanBeMadeLighterWithinAnError() {
    int full = ((Shape.Faces) textured(1, 0, 0).items().getFirst().shape()).mesh().triangleCount();
    Recipe.Made simple = textured(1, 0, 0.05);
    assertThat(((Shape.Faces) simple.items().getFirst().shape()).mesh().triangleCount())
        .isLessThan(full / 2);
    Recipe.Made spaced = textured(1, 5, 0);
    assertThat(((Shape.Faces) spaced.items().getFirst().shape()).mesh().triangleCount())
        .isEqualTo(2 * 12 * 8);
    assertThat(textured(1, 0.001, 0).told()).contains("Choose a larger one");
    assertThat(textured(0, 0, 0).told()).contains("greater than zero");
  }
}
