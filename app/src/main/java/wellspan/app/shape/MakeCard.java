package wellspan.app.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.MakeDesk;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Operation;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Recipe;
import wellspan.core.recipe.Extrusion;
import wellspan.core.recipe.GradedPad;
import wellspan.core.recipe.RoadOfTypicalSection;
import wellspan.core.recipe.TexturedGround;
import wellspan.core.recipe.Triangulation;
import wellspan.core.replay.Operations;
import wellspan.core.shape.Shape;
import wellspan.core.triangulate.LevelRule;

/**
 * Makes what no source holds: a terrain surface of points and lines, a pad on the ground, contours,
 * textured ground.
 */
final class MakeCard extends VBox {
  private static final List<String> ROLES =
      List.of("not used", "points", "breaklines", "boundary", "hole");

  /** The form that is open. */
  private enum Open {
    NOTHING,
    SURFACE,
    TEXTURE,
    RECIPE
  }

  /** What is made by a form of its parameters; the others have forms of their own. */
  private static final List<Class<? extends Recipe>> MAKINGS =
      Operations.recipes().stream()
          .filter(r -> r != Triangulation.class && r != TexturedGround.class)
          .toList();

  private final Session session;
  private final Consumer<Node> opened;
  private Open open = Open.NOTHING;
  private Class<? extends Recipe> making = MAKINGS.getFirst();
  private Optional<Recipe> changing = Optional.empty();

  /** What was asked for and could not be made. */
  private Optional<MakeDesk.Refused> refused = Optional.empty();

  private final Map<ItemId, Integer> roles = new LinkedHashMap<>();
  private final Map<String, String> filled = new HashMap<>();
  private String name = "Ground";
  private LevelRule crossings = LevelRule.MEAN;

  /** What is wrong with the form, told where the hand is. */
  private String problem = "";

  /**
   * @param opened is told of the card when a form opens on it
   */
  MakeCard(Session session, Consumer<Node> opened) {
    this.session = session;
    this.opened = opened;
    setId("make");
    getStyleClass().add("card");
    refresh();
  }

  void refresh() {
    FlowPane openers = new FlowPane(6, 6);
    openers
        .getChildren()
        .addAll(
            opener("make-surface", "Surface", Open.SURFACE, making),
            opener("make-texture", "Picture over ground", Open.TEXTURE, making));
    for (Class<? extends Recipe> m : MAKINGS) {
      openers
          .getChildren()
          .add(opener("make-" + id(m), Operations.declared(m).title(), Open.RECIPE, m));
    }
    boolean drawing = session.place().pickProperty().get() == Pick.OUTLINE;
    int corners = session.shape().outlineProperty().get().size();
    Button draw =
        Parts.button(
            drawing ? "End the outline (" + corners + ")" : "Draw an outline",
            "small",
            () -> session.place().pickProperty().set(drawing ? Pick.NONE : Pick.OUTLINE));
    draw.setId("draw-outline");
    getChildren().setAll(Parts.label("Make", "title"), openers, draw);
    if (!drawing && corners >= 3) {
      getChildren()
          .add(
              Parts.wrapped(
                  "An outline of "
                      + corners
                      + " corners is drawn; steps, pads and extrusions can use it.",
                  "muted"));
    }
    switch (open) {
      case NOTHING -> {}
      case SURFACE -> form();
      case TEXTURE -> {
        TextureForm form = new TextureForm(session, filled, this::close);
        form.problem(reason());
        getChildren().add(form);
      }
      case RECIPE -> form(making);
    }
  }

  private String reason() {
    return refused.map(MakeDesk.Refused::why).orElse("");
  }

  private void close() {
    refused = Optional.empty();
    session.sections().openProperty().set(false); // what was drawn is made now
    open = Open.NOTHING;
    changing = Optional.empty();
    refresh();
  }

  /** Opens the form of what is to be made; nothing if it is not made here. */
  void ask(Class<? extends Operation> operation) {
    Optional<Class<? extends Recipe>> recipe =
        Operations.recipes().stream().filter(operation::equals).findFirst();
    if (recipe.isEmpty()) {
      return;
    }
    open =
        operation == Triangulation.class
            ? Open.SURFACE
            : operation == TexturedGround.class ? Open.TEXTURE : Open.RECIPE;
    making = recipe.get();
    changing = Optional.empty();
    refused = Optional.empty();
    refresh();
    opened.accept(this);
  }

  /** Whether what was made is changed in a form of its parameters. */
  static boolean changes(Recipe made) {
    return MAKINGS.contains(made.getClass());
  }

  /** Opens the form of what was made with its values, to make it anew. */
  void change(Recipe made) {
    open = Open.RECIPE;
    refused = Optional.empty();
    making = made.getClass();
    changing = Optional.of(made);
    filled.keySet().removeIf(k -> k.startsWith(id(making) + "-"));
    switch (made) {
      case RoadOfTypicalSection r -> session.sections().change(s -> r.section());
      case GradedPad p -> drawn(p.outline());
      case Extrusion e -> drawn(e.outline());
      default -> {}
    }
    refresh();
    opened.accept(this);
  }

  /** Opens the form of what could not be made as it was filled in, with the reason. */
  void again(MakeDesk.Refused what) {
    if (what.recipe() instanceof Triangulation) {
      open = Open.SURFACE;
    } else if (what.recipe() instanceof TexturedGround) {
      open = Open.TEXTURE;
    } else {
      change(what.recipe());
    }
    refused = Optional.of(what);
    refresh();
    opened.accept(this);
  }

  /** What it was drawn around lies under the hand again. */
  private void drawn(Outline outline) {
    if (outline instanceof Outline.Drawn d) {
      List<Position> corners = new ArrayList<>();
      for (int i = 0; i + 1 < d.ring().size(); i += 2) {
        corners.add(new Position(d.ring().get(i), d.ring().get(i + 1), Double.NaN));
      }
      session.shape().outlineProperty().set(corners);
    }
  }

  private Button opener(String id, String title, Open what, Class<? extends Recipe> which) {
    boolean isOpen = open == what && (what != Open.RECIPE || making.equals(which));
    Button b =
        Parts.button(
            title,
            "small",
            () -> {
              open = isOpen ? Open.NOTHING : what;
              making = which;
              changing = Optional.empty();
              refused = Optional.empty();
              refresh();
              if (!isOpen) {
                opened.accept(this);
              }
            });
    b.setId(id);
    if (isOpen) {
      b.getStyleClass().add("open");
      b.setAccessibleText(title + ", close");
    }
    return b;
  }

  private static String id(Class<? extends Recipe> recipe) {
    return Operations.declared(recipe).id().replace(' ', '-');
  }

  private void form(Class<? extends Recipe> m) {
    OperationForm<? extends Recipe> form =
        new OperationForm<>(session, id(m) + "-", m, Optional.empty(), changing, filled);
    form.setId(id(m));
    Optional<Recipe> there = changing.filter(r -> session.job().recipe(r.name()).isPresent());
    form.makes(there.isPresent() ? "Make it anew" : "Make it", form::operation, this::close);
    form.problem(reason());
    String about =
        there
            .map(r -> r.name() + " as it was made. Change what should be otherwise.")
            .orElse(Operations.declared(m).about());
    getChildren().addAll(Parts.wrapped(about, "muted"), form);
  }

  /** Starts from what is selected; the only points there are need no choosing. */
  private void presetRoles() {
    if (roles.values().stream().anyMatch(r -> r > 0)) {
      return; // chosen before
    }
    List<ItemId> points = new ArrayList<>();
    for (Build.BuiltItem i : session.build().items().values()) {
      boolean chosen = session.selection().ids().contains(i.id());
      if (i.item().shape() instanceof Shape.Points g && g.points().size() >= 3) {
        points.add(i.id());
        if (chosen) {
          roles.put(i.id(), 1);
        }
      } else if (chosen && i.item().shape() instanceof Shape.Lines) {
        roles.put(i.id(), 2);
      }
    }
    if (roles.values().stream().noneMatch(r -> r == 1) && points.size() == 1) {
      roles.put(points.getFirst(), 1);
    }
  }

  private void form() {
    presetRoles();
    TextField title = new TextField(name);
    title.setId("make-name");
    title.getStyleClass().add("field");
    title.textProperty().addListener((o, a, b) -> name = b.strip());
    getChildren().add(Parts.row(Parts.label("name", "muted"), title));
    for (Build.BuiltItem i : session.build().items().values()) {
      boolean points =
          i.item().shape() instanceof Shape.Points g && g.points().size() >= 3
              || i.item().ground().isPresent();
      boolean lines = i.item().shape() instanceof Shape.Lines;
      if (points || lines) {
        row(i, lines ? ROLES : ROLES.subList(0, 2));
      }
    }
    ComboBox<String> rule = new ComboBox<>();
    for (LevelRule r : LevelRule.values()) {
      rule.getItems().add(r.word());
    }
    rule.setValue(crossings.word());
    rule.setOnAction(
        e -> crossings = LevelRule.values()[rule.getSelectionModel().getSelectedIndex()]);
    getChildren().add(Parts.row(Parts.label("level where lines cross", "muted"), rule));
    Button make = Parts.button("Triangulate", "primary", this::make);
    make.setId("make-go");
    getChildren().add(make);
    String wrong = problem.isEmpty() ? reason() : problem;
    if (!wrong.isEmpty()) {
      getChildren().add(Parts.wrapped(wrong, "error"));
    }
  }

  private void row(Build.BuiltItem i, List<String> choices) {
    ComboBox<String> role = new ComboBox<>();
    role.getItems().addAll(choices);
    role.getSelectionModel().select(roles.getOrDefault(i.id(), 0).intValue());
    role.setPrefWidth(110);
    role.setId(Parts.id("role-", i.id().value()));
    role.setOnAction(e -> roles.put(i.id(), role.getSelectionModel().getSelectedIndex()));
    var label = Parts.label(i.item().name());
    label.setMinWidth(40);
    getChildren().add(Parts.row(label, role));
  }

  private void make() {
    List<ItemId> points = of(1);
    if (points.isEmpty() && of(2).isEmpty() || name.isEmpty()) {
      problem = "Give the surface a name, and choose above what it is made of.";
      session.complain(problem);
      refresh();
      return;
    }
    problem = "";
    refused = Optional.empty();
    open = Open.NOTHING;
    session
        .shape()
        .making()
        .make(new Triangulation(name, points, of(2), of(3), of(4), LevelRule.MEAN, crossings));
    refresh();
  }

  private List<ItemId> of(int role) {
    List<ItemId> out = new ArrayList<>();
    roles.forEach(
        (id, r) -> {
          if (r == role && session.build().items().containsKey(id)) {
            out.add(id);
          }
        });
    return out;
  }
}
