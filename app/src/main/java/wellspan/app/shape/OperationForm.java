package wellspan.app.shape;

import java.lang.reflect.ParameterizedType;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.choice.Choice;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Operation;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Parameters;
import wellspan.core.operation.Takes;
import wellspan.core.typical.TypicalSection;

/** The form of an operation, made from what its parameters declare. */
final class OperationForm<T extends Operation> extends Form {
  /** A usual value of this size stands for none. */
  private static final double UNBOUNDED = 1e8;

  private final Class<T> operation;
  private final Optional<Build.BuiltItem> of;
  private final List<Supplier<?>> values = new ArrayList<>();

  /**
   * @param of the item that a step is for; empty for recipes
   * @param filled what was filled in before
   */
  OperationForm(
      Session session,
      String prefix,
      Class<T> operation,
      Optional<Build.BuiltItem> of,
      Map<String, String> filled) {
    super(session, prefix, filled);
    this.operation = operation;
    this.of = of;
    Parameters.of(operation).forEach(p -> values.add(field(p)));
  }

  /**
   * The operation as filled in.
   *
   * @throws IllegalArgumentException with a sentence, if something is not filled in rightly
   */
  T operation() {
    return Parameters.make(operation, values.stream().map(Supplier::get).toList());
  }

  private Supplier<?> field(Parameters.Of p) {
    Parameter d = p.declared();
    if (p.type() == double.class || p.type() == int.class) {
      boolean open = p.optional() && Math.abs(Double.parseDouble(d.usual())) >= UNBOUNDED;
      if (open) { // left empty it is not bounded
        TextField f = number(d.label(), d.unit(), "");
        f.setPromptText("all");
        return () -> f.getText().isBlank() ? Double.valueOf(d.usual()) : (Double) value(f);
      }
      TextField f = number(d.label(), d.unit(), start(d));
      return p.type() == double.class ? () -> value(f) : () -> (int) Math.rint(value(f));
    }
    if (p.type() == boolean.class) {
      return yesOrNo(d);
    }
    if (p.type() == String.class) {
      TextField f = text(d.label(), start(d).replace("\"", ""));
      return p.name().equals("name")
          ? () -> filledIn(f, "Give it a name first.")
          : () -> f.getText().strip();
    }
    if (p.type() instanceof Class<?> c && Choice.class.isAssignableFrom(c)) {
      return oneOf(d, c);
    }
    if (p.type() == TypicalSection.class) {
      return section(d);
    }
    if (p.type() == Outline.class) {
      return outline(of.map(Build.BuiltItem::id));
    }
    if (p.type() == ItemId.class) {
      List<ItemId> fitting = fitting(d);
      int selected = session.selectedProperty().get().map(fitting::indexOf).orElse(-1);
      List<String> names = new ArrayList<>(fitting.stream().map(this::name).toList());
      if (p.optional()) {
        names.addFirst("none");
        ComboBox<String> c = choice(d.label(), names, 0);
        return () -> index(c) == 0 ? new ItemId("") : fitting.get(index(c) - 1);
      }
      ComboBox<String> c = choice(d.label(), names, Math.max(0, selected));
      return () -> fitting.get(index(c));
    }
    if (p.type() instanceof ParameterizedType) {
      return several(d);
    }
    throw new IllegalStateException("no field for " + p.type());
  }

  /** The typical section in hand, and the way to its drawing. */
  private Supplier<TypicalSection> section(Parameter d) {
    Button draw =
        Parts.button("Draw it", "small", () -> session.sections().openProperty().set(true));
    draw.setId("draw-section");
    Label name = Parts.label("", "name");
    name.textProperty().bind(session.sections().sectionProperty().map(TypicalSection::name));
    getChildren().addAll(Parts.label(d.label(), "muted"), Parts.row(name, draw));
    return session.sections()::section;
  }

  private Supplier<Object> oneOf(Parameter d, Class<?> type) {
    List<Object> all = List.of(type.getEnumConstants());
    List<String> words = all.stream().map(o -> ((Choice) o).word()).toList();
    ComboBox<String> c =
        choice(d.label(), words, Math.max(0, words.indexOf(start(d).replace("\"", ""))));
    return () -> all.get(index(c));
  }

  private static String start(Parameter d) {
    return d.start().isEmpty() ? d.usual() : d.start();
  }

  /** Where a parameter means nothing for the item it stays at its usual value. */
  private Supplier<Boolean> yesOrNo(Parameter d) {
    Item item = of.map(Build.BuiltItem::item).orElse(null);
    boolean means =
        item == null || d.takes().length == 0 || Stream.of(d.takes()).anyMatch(t -> t.fits(item));
    if (!means) {
      return () -> Boolean.valueOf(d.usual());
    }
    CheckBox box = new CheckBox(d.label());
    box.setId(id(d.label()));
    box.setSelected(Boolean.parseBoolean(start(d)));
    getChildren().add(box);
    return box::isSelected;
  }

  private List<ItemId> fitting(Parameter d) {
    return session.build().items().values().stream()
        .filter(i -> !i.item().shape().isEmpty())
        .filter(i -> Stream.of(d.takes()).anyMatch((Takes t) -> t.fits(i.item())))
        .map(Build.BuiltItem::id)
        .filter(id -> of.filter(o -> o.id().equals(id)).isEmpty())
        .toList();
  }

  private Supplier<List<ItemId>> several(Parameter d) {
    getChildren().add(Parts.label(d.label(), "muted"));
    List<ItemId> fitting = fitting(d);
    List<CheckBox> boxes = new ArrayList<>();
    for (ItemId id : fitting) {
      CheckBox box = new CheckBox(name(id));
      box.setSelected(session.selection().ids().contains(id));
      boxes.add(box);
      getChildren().add(box);
    }
    return () ->
        Stream.iterate(0, i -> i < fitting.size(), i -> i + 1)
            .filter(i -> boxes.get(i).isSelected())
            .map(fitting::get)
            .toList();
  }
}
