package wellspan.core.replay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.choice.Choice;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Operation;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Parameters;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.progress.Progress;
import wellspan.core.shape.NamedPoint;
import wellspan.core.typical.CrossfallTable;
import wellspan.core.typical.TypicalSection;

/** What holds for every operation, whoever adds one. */
class OperationContractTest {
  private static final ItemId GROUND = new ItemId("s/terrain-surface/G");
  private static final ItemId POINTS = new ItemId("s/points/P");
  private static final ItemId LINES = new ItemId("s/string/L");
  private static final ItemId AXIS = new ItemId("s/alignment/A");
  private static final ItemId PICTURE = new ItemId("s/image/I");

  private static Map<ItemId, Item> items(boolean empty) {
    double[] xyz = {0, 0, 1, 40, 0, 2, 40, 40, 3, 0, 40, 2};
    Mesh mesh =
        empty ? new Mesh(new double[0], new int[0]) : new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3});
    List<NamedPoint> points = new ArrayList<>();
    for (int i = 0; !empty && i < 4; i++) {
      points.add(
          new NamedPoint("" + i, new Position(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]), ""));
    }
    Polyline ring = new Polyline(new double[] {5, 5, 1, 35, 5, 1, 35, 35, 1, 5, 35, 1, 5, 5, 1});
    return Map.of(
        GROUND, Item.surface("G", mesh),
        POINTS, Item.points("P", points),
        LINES, Item.string("L", ring),
        AXIS,
            Item.alignment(
                "A",
                new Alignment(
                    "A",
                    List.of(new PlanElement.Line(new PlanPoint(10, 10, 0), 20)),
                    new Chainages(0, List.of()),
                    Optional.empty())),
        PICTURE,
            Item.picture(
                "I",
                new Pixels(2, 2, new int[4]),
                PicturePlace.ofWorld(new double[] {20, 0, 0, -20, 10, 30}, 2, 2)));
  }

  private static Inputs inputs(boolean empty) {
    Map<ItemId, Item> all = items(empty);
    return id -> {
      if (!all.containsKey(id)) {
        throw new IllegalArgumentException(id + " is not there.");
      }
      return all.get(id);
    };
  }

  private static ItemId fitting(Takes t) {
    return switch (t) {
      case POINTS -> POINTS;
      case SURFACE -> GROUND;
      case LINES -> LINES;
      case AXIS -> AXIS;
      case PICTURE -> PICTURE;
    };
  }

  private static Object value(Parameters.Of p) {
    if (p.type() == double.class) {
      return 2.5;
    } else if (p.type() == int.class) {
      return 3;
    } else if (p.type() == boolean.class) {
      return true;
    } else if (p.type() == String.class) {
      return "Name";
    } else if (p.type() instanceof Class<?> c && Choice.class.isAssignableFrom(c)) {
      return c.getEnumConstants()[c.getEnumConstants().length - 1];
    } else if (p.type() == TypicalSection.class) {
      return TypicalSection.FIRST;
    } else if (p.type() == CrossfallTable.class) {
      return new CrossfallTable(List.of(new CrossfallTable.Row(1, 2.5, -2.5)));
    } else if (p.name().equals("to")) {
      return 1e9;
    } else if (p.type() == Outline.class) {
      return new Outline.Of(LINES, 0);
    } else if (p.type() == ItemId.class) {
      return fitting(p.declared().takes()[0]);
    }
    return List.of(fitting(p.declared().takes()[0]));
  }

  private static Operation example(Class<? extends Operation> o) {
    return Parameters.make(o, Parameters.of(o).stream().map(OperationContractTest::value).toList());
  }

  static Stream<Class<? extends Operation>> all() {
    return Operations.all();
  }

  static Stream<Class<? extends Step>> steps() {
    return Operations.steps().stream();
  }

  @Test
  void everyIdIsThereOnce() {
    assertThat(Operations.all().map(o -> Operations.declared(o).id())).doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @MethodSource("all")
  void everythingIsDeclared(Class<? extends Operation> o) {
    Declared d = Operations.declared(o);
    assertThat(d.about()).endsWith(".");
    assertThat(d.title()).isNotBlank();
    assertThat(Step.class.isAssignableFrom(o)).isEqualTo(d.accepts().length > 0);
    assertThat(Parameters.of(o))
        .isNotEmpty()
        .allSatisfy(p -> assertThat(p.declared().label()).isNotBlank())
        .filteredOn(p -> p.type() == ItemId.class)
        .allSatisfy(p -> assertThat(p.declared().takes()).isNotEmpty());
  }

  private static Operation again(Operation o, JsonNode n) {
    return o instanceof Step ? OperationJson.step(n).step() : OperationJson.recipe(n);
  }

  private static ObjectNode json(Operation o) {
    return o instanceof Step s
        ? OperationJson.node(RecordedStep.of(s))
        : OperationJson.node((Recipe) o);
  }

  @ParameterizedTest
  @MethodSource("all")
  void itComesBackFromTheJobFileAlsoWhenWhatIsUsualIsLeftOut(Class<? extends Operation> o)
      throws Exception {
    Operation made = example(o);
    ObjectNode n = json(made);
    assertThat(again(made, n)).isEqualTo(made);
    for (Parameters.Of p : Parameters.of(o)) {
      ObjectNode less = n.deepCopy();
      less.remove(p.name());
      if (p.optional()) {
        assertThat(json(again(made, less)).get(p.name()))
            .isEqualTo(
                json(again(
                        made,
                        n.deepCopy()
                            .set(p.name(), new ObjectMapper().readTree(p.declared().usual()))))
                    .get(p.name()));
      } else {
        assertThatThrownBy(() -> again(made, less))
            .isInstanceOf(IllegalArgumentException.class)
            .hasMessageContaining(p.name());
      }
    }
    n.put("gained later", 1);
    assertThatThrownBy(() -> again(made, n)).hasMessageContaining("gained later");
  }

  @ParameterizedTest
  @MethodSource("all")
  void numbersThatAreNoneAreRefusedInASentence(Class<? extends Operation> o) {
    List<Parameters.Of> all = Parameters.of(o);
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).type() == double.class) {
        List<Object> values =
            new ArrayList<>(all.stream().map(OperationContractTest::value).toList());
        for (double odd :
            all.get(i).declared().least() == 0
                ? new double[] {Double.NaN, Double.POSITIVE_INFINITY, -1}
                : new double[] {Double.NaN}) {
          values.set(i, odd);
          assertThatThrownBy(() -> Parameters.make(o, values))
              .isInstanceOf(IllegalArgumentException.class)
              .hasMessageContaining(all.get(i).declared().label());
        }
      }
    }
  }

  private static List<Item> accepted(Class<? extends Step> s, boolean empty) {
    return items(empty).values().stream().filter(i -> Operations.accepts(s, i)).toList();
  }

  @ParameterizedTest
  @MethodSource("steps")
  void aStepLeavesTheItemAndItsNameAndSaysWhatItDid(Class<? extends Step> s) {
    Step step = (Step) example(s);
    assertThat(accepted(s, false)).isNotEmpty();
    for (Item item : accepted(s, false)) {
      String before = item.toString();
      StepOutcome o = StepRun.of(RecordedStep.of(step), item, inputs(false), Progress.NONE);
      assertThat(o.told()).as(item.name()).endsWith(".");
      assertThat(o.item().name()).isEqualTo(item.name());
      assertThat(o.item().attributes()).isEqualTo(item.attributes());
      assertThat(item).hasToString(before);
    }
    for (Item item : items(false).values()) {
      if (!Operations.accepts(s, item)) {
        StepOutcome o = StepRun.of(RecordedStep.of(step), item, inputs(false), Progress.NONE);
        assertThat(o.failed()).isTrue();
        assertThat(o.item()).isSameAs(item);
      }
    }
  }

  @ParameterizedTest
  @MethodSource("all")
  void nothingToWorkOnIsASentenceAndNoFault(Class<? extends Operation> o) {
    Operation made = example(o);
    if (made instanceof Step s) {
      for (Item item : accepted(s.getClass(), true)) {
        assertThat(StepRun.of(RecordedStep.of(s), item, inputs(true), Progress.NONE).told())
            .isNotBlank();
      }
    } else {
      Recipe.Made m = RecipeRun.of((Recipe) made, inputs(true), Progress.NONE);
      assertThat(m.told()).isNotBlank();
      assertThat(m.items()).allSatisfy(i -> assertThat(i.kind()).isInstanceOf(Kind.class));
    }
  }

  @ParameterizedTest
  @MethodSource("all")
  void itNamesWhatItUses(Class<? extends Operation> o) {
    long named =
        Parameters.of(o).stream()
            .filter(
                p ->
                    p.type() == ItemId.class
                        || p.type() == Outline.class
                        || value(p) instanceof List)
            .count();
    assertThat(example(o).uses()).hasSize((int) named);
  }

  @ParameterizedTest
  @MethodSource("all")
  void cancelledItGivesNothing(Class<? extends Operation> o) {
    Progress cancelled =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {}

          @Override
          public boolean isCancelled() {
            return true;
          }
        };
    Operation made = example(o);
    if (made instanceof Step s) {
      Item item = accepted(s.getClass(), false).getFirst();
      assertThatThrownBy(() -> StepRun.of(RecordedStep.of(s), item, inputs(false), cancelled))
          .isInstanceOf(java.util.concurrent.CancellationException.class);
    } else {
      assertThatThrownBy(() -> RecipeRun.of((Recipe) made, inputs(false), cancelled))
          .isInstanceOf(java.util.concurrent.CancellationException.class);
    }
  }
}
