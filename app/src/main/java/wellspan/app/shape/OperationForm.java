package wellspan.app.shape;

import java.lang.reflect.ParameterizedType;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
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
import wellspan.core.typical.CrossfallTable;
import wellspan.core.typical.TypicalSection;

/** The form of an operation, made from what its parameters declare. */
final class OperationForm<T extends Operation> extends Form {
  /** A usual value of this size stands for none. */
  private static final double UNBOUNDED = 1e8;

  private final Class<T> operation;
  private final Optional<Build.BuiltItem> of;
  private final Optional<? extends Operation> from;
  private final List<Supplier<?>> values = new ArrayList<>();

  /**
   * @param of the item that a step is for; empty for recipes
   * @param from whose values the form begins with; empty for the usual ones
   * @param filled what was filled in before
   */
  OperationForm(
      Session session,
      String prefix,
      Class<T> operation,
      Optional<Build.BuiltItem> of,
      Optional<? extends Operation> from,
      Map<String, String> filled) {
    super(session, prefix, filled);
    this.operation = operation;
    this.of = of;
    this.from = from;
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
        TextField f = number(d.label(), d.unit(), bounded(p));
        f.setPromptText("all");
        return () -> f.getText().isBlank() ? Double.valueOf(d.usual()) : (Double) value(f);
      }
      TextField f = number(d.label(), d.unit(), start(p));
      return p.type() == double.class ? () -> value(f) : () -> (int) Math.rint(value(f));
    }
    if (p.type() == boolean.class) {
      return yesOrNo(p);
    }
    if (p.type() == String.class) {
      TextField f = text(d.label(), d.unit(), start(p));
      if (p.name().equals("name") && from.isPresent()) { // by its name it is found again
        f.setDisable(session.job().recipe(f.getText()).isPresent());
      }
      return p.name().equals("name")
          ? () -> filledIn(f, "Give it a name first.")
          : () -> f.getText().strip();
    }
    if (p.type() instanceof Class<?> c && Choice.class.isAssignableFrom(c)) {
      return oneOf(p, c);
    }
    if (p.type() == TypicalSection.class) {
      return section(d);
    }
    if (p.type() == CrossfallTable.class) {
      CrossfallTable start = was(p).map(CrossfallTable.class::cast).orElse(CrossfallTable.NONE);
      CrossfallRows rows = new CrossfallRows(id(""), filled(), start);
      getChildren().addAll(Parts.label(d.label(), "muted"), rows);
      return rows::table;
    }
    if (p.type() == Outline.class) {
      return outline(of.map(Build.BuiltItem::id), was(p).map(Outline.class::cast));
    }
    if (p.type() == ItemId.class) {
      List<ItemId> fitting = fitting(d);
      Optional<ItemId> was = was(p).map(ItemId.class::cast);
      int selected = was.or(session.selectedProperty()::get).map(fitting::indexOf).orElse(-1);
      List<String> names = new ArrayList<>(fitting.stream().map(this::name).toList());
      if (p.optional()) {
        names.addFirst("none");
        ComboBox<String> c = choice(d.label(), names, was.map(fitting::indexOf).orElse(-1) + 1);
        return () -> index(c) == 0 ? new ItemId("") : fitting.get(index(c) - 1);
      }
      ComboBox<String> c = choice(d.label(), names, Math.max(0, selected));
      return () -> fitting.get(index(c));
    }
    if (p.type() instanceof ParameterizedType) {
      return several(p);
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

  /** The value that the form begins with, where it is that of an operation. */
  private Optional<Object> was(Parameters.Of p) {
    return from.map(o -> Parameters.value(o, p));
  }

  private String bounded(Parameters.Of p) {
    return was(p)
        .filter(v -> Math.abs(((Number) v).doubleValue()) < UNBOUNDED)
        .map(v -> plain((Number) v))
        .orElse("");
  }

  private static String plain(Number n) {
    return BigDecimal.valueOf(n.doubleValue()).stripTrailingZeros().toPlainString();
  }

  private String start(Parameters.Of p) {
    return was(p)
        .map(v -> v instanceof Number n ? plain(n) : v.toString())
        .orElseGet(() -> start(p.declared()).replace("\"", ""));
  }

  private Supplier<Object> oneOf(Parameters.Of p, Class<?> type) {
    Parameter d = p.declared();
    List<Object> all = List.of(type.getEnumConstants());
    List<String> words = all.stream().map(o -> ((Choice) o).word()).toList();
    ComboBox<String> c =
        choice(
            d.label(),
            words,
            was(p)
                .map(all::indexOf)
                .orElseGet(() -> Math.max(0, words.indexOf(start(d).replace("\"", "")))));
    return () -> all.get(index(c));
  }

  private static String start(Parameter d) {
    return d.start().isEmpty() ? d.usual() : d.start();
  }

  /** Where a parameter means nothing for the item it stays at its usual value. */
  private Supplier<Boolean> yesOrNo(Parameters.Of p) {
    Parameter d = p.declared();
    Item item = of.map(Build.BuiltItem::item).orElse(null);
    boolean means =
        item == null || d.takes().length == 0 || Stream.of(d.takes()).anyMatch(t -> t.fits(item));
    if (!means) {
      return () -> Boolean.valueOf(d.usual());
    }
    CheckBox box = new CheckBox(d.label());
    box.setId(id(d.label()));
    box.setSelected(Boolean.parseBoolean(start(p)));
    getChildren().add(box);
    return box::isSelected;
  }

  /** Items that may be taken, those of the sort that is named first before others. */
  private List<ItemId> fitting(Parameter d) {
    return session.build().items().values().stream()
        .filter(i -> !i.item().shape().isEmpty())
        .filter(i -> Stream.of(d.takes()).anyMatch((Takes t) -> t.fits(i.item())))
        .sorted(Comparator.comparingInt(i -> sort(d, i.item())))
        .map(Build.BuiltItem::id)
        .filter(id -> of.filter(o -> o.id().equals(id)).isEmpty())
        .toList();
  }

  private static int sort(Parameter d, Item item) {
    int n = 0;
    while (!d.takes()[n].fits(item)) {
      n++;
    }
    return n;
  }

  private Supplier<List<ItemId>> several(Parameters.Of p) {
    Parameter d = p.declared();
    getChildren().add(Parts.label(d.label(), "muted"));
    List<ItemId> fitting = fitting(d);
    List<CheckBox> boxes = new ArrayList<>();
    for (ItemId id : fitting) {
      CheckBox box = new CheckBox(name(id));
      box.setSelected(
          was(p)
              .map(v -> ((List<?>) v).contains(id))
              .orElseGet(() -> session.selection().ids().contains(id)));
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
