package wellspan.app.session;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.AttributeTable;
import wellspan.core.build.Build;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.rulebook.Cell;
import wellspan.core.rulebook.ClassRule;
import wellspan.core.rulebook.CodeSystem;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookComparison;
import wellspan.core.rulebook.Ruled;
import wellspan.core.rulebook.Subject;
import wellspan.core.rulebook.ValuePart;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.rulebook.RulebookFile;
import wellspan.exchange.table.read.CodeList;
import wellspan.exchange.table.read.TableReader;

/** The rulebook of the job as it is worked on at the stop Describe. Used on the window's thread. */
public final class RuleDesk {
  /** Names of items that are not there in one sentence. */
  private static final int NAMED = 5;

  private final Session session;
  private final ObjectProperty<IfcSchema> schema = new SimpleObjectProperty<>();
  private final ObjectProperty<Optional<Band>> scope = new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<RuleRef>> selected =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<DescribeCard> card = new SimpleObjectProperty<>(DescribeCard.NONE);
  private final SchemaDesk schemas;
  private final SaidDesk said;

  RuleDesk(Session session) {
    this.session = session;
    schema.set(session.deliveries().schema());
    schemas = new SchemaDesk(session, card);
    said = new SaidDesk(session, schema);
    session
        .historyProperty()
        .addListener(
            (o, a, b) ->
                selected.set(selected.get().filter(r -> r.isIn(session.job().rulebook()))));
  }

  /** What a rule reaches. */
  public record Reach(int said, int of, boolean wrong) {}

  /** The schema in which items are shown. */
  public ObjectProperty<IfcSchema> schemaProperty() {
    return schema;
  }

  /** The stratum whose items are shown; empty for all. */
  public ObjectProperty<Optional<Band>> scopeProperty() {
    return scope;
  }

  /** The rule in hand. */
  public ObjectProperty<Optional<RuleRef>> selectedProperty() {
    return selected;
  }

  /** How the model differs in two schemas. */
  public SchemaDesk schemas() {
    return schemas;
  }

  /** All that items would say, beside what rules make them say. */
  public SaidDesk said() {
    return said;
  }

  /** What stands beside the rules. */
  public ObjectProperty<DescribeCard> cardProperty() {
    return card;
  }

  public Rulebook book() {
    return session.job().rulebook();
  }

  /**
   * The items that a model holds, of the stratum that is looked at; those that some rule is for
   * come first.
   */
  public List<Build.BuiltItem> items() {
    IfcFormat format = new IfcFormat(schema.get());
    return session.build().items().values().stream()
        .filter(i -> scope.get().filter(b -> i.item().kind().stratum() != b).isEmpty())
        .filter(i -> format.carries(i.item()))
        .sorted(Comparator.comparing(i -> !isTouched(i)))
        .toList();
  }

  private boolean isTouched(Build.BuiltItem i) {
    Ruled r = ruled(i);
    return Stream.concat(r.cells().stream(), r.codeCells().stream())
        .anyMatch(c -> c.state() != Cell.State.NONE);
  }

  /** What the rulebook decides of an item in the schema that is looked at. */
  public Ruled ruled(Build.BuiltItem i) {
    return session.build().ruled(i.id(), schema.get());
  }

  /** The first property rule in use that says a property of a set. */
  public Optional<RuleRef> ruleOf(String set, String property) {
    List<PropertyRule> all = book().properties();
    for (int i = 0; i < all.size(); i++) {
      if (!all.get(i).off()
          && all.get(i).set().equals(set)
          && all.get(i).property().equals(property)) {
        return Optional.of(new RuleRef(RuleRef.Kind.PROPERTY, i));
      }
    }
    return Optional.empty();
  }

  /** The cell of a rule for an item; of a class rule there is none. */
  public Cell cell(RuleRef rule, Ruled r) {
    List<Cell> all = rule.kind() == RuleRef.Kind.PROPERTY ? r.cells() : r.codeCells();
    return rule.index() < all.size() ? all.get(rule.index()) : NO_CELL;
  }

  private static final Cell NO_CELL = new Cell(Optional.empty(), Cell.State.NONE, "");

  /** What an item knows of what a part of a value asks for. */
  public Optional<PropertyValue> known(Build.BuiltItem i, ValuePart part) {
    Subject s = session.build().subjects().get(i.id());
    return part.text() != null || s == null
        ? Optional.empty()
        : part.fact().isEmpty() ? s.attribute(part.attribute()) : s.fact(part.fact());
  }

  /** How many of the items that a rule is for say what it asks for. */
  public Reach reach(RuleRef rule, List<Build.BuiltItem> items) {
    int said = 0;
    int of = 0;
    boolean wrong = false;
    for (Build.BuiltItem i : items) {
      Cell c = cell(rule, ruled(i));
      if (c.state() != Cell.State.NONE) {
        of++;
        said += c.state() == Cell.State.SAID ? 1 : 0;
        wrong |= c.state() == Cell.State.WRONG;
      }
    }
    return new Reach(said, of, wrong);
  }

  // ---- edits

  /** One undoable edit of the rulebook. */
  public void edit(String what, UnaryOperator<Rulebook> change) {
    session.edit(what, j -> j.withRulebook(change.apply(j.rulebook())));
  }

  /** Puts a property rule in the place of another. */
  public void replace(int index, PropertyRule rule) {
    edit("Rule for " + rule.target(), b -> b.withProperties(with(b.properties(), index, rule)));
  }

  /** Puts a class rule in the place of another. */
  public void replace(int index, ClassRule rule) {
    edit("Class rule " + rule.name(), b -> b.withClasses(with(b.classes(), index, rule)));
  }

  /** Puts a code system in the place of another. */
  public void replace(int index, CodeSystem system) {
    edit(
        "Classification " + system.system(),
        b -> b.withClassification(with(b.classification(), index, system)));
  }

  /** Adds a property rule behind the one in hand and takes it in hand. */
  public void add(PropertyRule rule) {
    int at = behind(RuleRef.Kind.PROPERTY);
    edit("New rule for " + rule.target(), b -> b.withProperties(plus(b.properties(), at, rule)));
    open(new RuleRef(RuleRef.Kind.PROPERTY, at));
  }

  /** Adds a class rule behind the one in hand and takes it in hand. */
  public void add(ClassRule rule) {
    int at = behind(RuleRef.Kind.CLASS);
    edit("New class rule", b -> b.withClasses(plus(b.classes(), at, rule)));
    open(new RuleRef(RuleRef.Kind.CLASS, at));
  }

  /** Adds a code system and takes it in hand. */
  public void add(CodeSystem system) {
    int at = book().classification().size();
    edit("New classification", b -> b.withClassification(plus(b.classification(), at, system)));
    open(new RuleRef(RuleRef.Kind.CODES, at));
  }

  private void open(RuleRef rule) {
    selected.set(Optional.of(rule));
    card.set(DescribeCard.RULE);
  }

  private int behind(RuleRef.Kind kind) {
    return selected
        .get()
        .filter(r -> r.kind() == kind)
        .map(r -> r.index() + 1)
        .orElse(RuleRef.size(book(), kind));
  }

  /** Takes a rule away. */
  public void remove(RuleRef rule) {
    edit(
        "Without a " + rule.kind().title(),
        b ->
            switch (rule.kind()) {
              case CLASS -> b.withClasses(minus(b.classes(), rule.index()));
              case PROPERTY -> b.withProperties(minus(b.properties(), rule.index()));
              case CODES -> b.withClassification(minus(b.classification(), rule.index()));
            });
    card.set(DescribeCard.NONE);
  }

  /** Moves a rule up or down by one; the first that fits counts. */
  public void move(RuleRef rule, int by) {
    int to = rule.index() + by;
    if (to < 0 || to >= RuleRef.size(book(), rule.kind())) {
      return;
    }
    edit(
        "Order of the rules",
        b ->
            switch (rule.kind()) {
              case CLASS -> b.withClasses(swapped(b.classes(), rule.index(), to));
              case PROPERTY -> b.withProperties(swapped(b.properties(), rule.index(), to));
              case CODES -> b.withClassification(swapped(b.classification(), rule.index(), to));
            });
    selected.set(Optional.of(new RuleRef(rule.kind(), to)));
  }

  private static <T> List<T> with(List<T> all, int index, T one) {
    List<T> out = new ArrayList<>(all);
    out.set(index, one);
    return out;
  }

  private static <T> List<T> plus(List<T> all, int index, T one) {
    List<T> out = new ArrayList<>(all);
    out.add(index, one);
    return out;
  }

  private static <T> List<T> minus(List<T> all, int index) {
    List<T> out = new ArrayList<>(all);
    out.remove(index);
    return out;
  }

  private static <T> List<T> swapped(List<T> all, int a, int b) {
    List<T> out = new ArrayList<>(all);
    java.util.Collections.swap(out, a, b);
    return out;
  }

  /** Says something of items; an empty text takes it back. */
  public void say(Collection<ItemId> items, String attribute, String value) {
    session.edit(
        attribute + " of " + items.size() + (items.size() == 1 ? " item" : " items"),
        j -> j.withSettings(items, s -> s.withAttribute(attribute, value)));
  }

  // ---- files

  /** Takes a rulebook of a file into the job. */
  public void take(Path file) {
    read(file)
        .ifPresent(
            b -> {
              edit("Rulebook " + b.name(), x -> b);
              session.say(b.name() + " is the rulebook of the job: " + b.count() + " rules.");
            });
  }

  /** In what the rulebook of a file differs from that of the job, in sentences. */
  public Optional<List<String>> compare(Path file) {
    return read(file).map(other -> RulebookComparison.of(book(), other));
  }

  private Optional<Rulebook> read(Path file) {
    return tried(() -> RulebookFile.read(file));
  }

  /** Writes the rulebook of the job to a file. */
  public void write(Path file) {
    tried(
            () -> {
              RulebookFile.write(book(), file);
              return book().name() + " was written to " + file + ".";
            })
        .ifPresent(session::say);
  }

  /** Writes the property rules as a table. */
  public void writeTable(Path file) {
    tried(
            () -> {
              RulebookFile.writeRules(book(), file);
              return "The rules are in " + file + ". Edit them there and take them back.";
            })
        .ifPresent(session::say);
  }

  /** The property rules that stand in a table; empty, with a sentence, if it cannot be read. */
  public Optional<List<PropertyRule>> readTable(Path file) {
    return tried(() -> RulebookFile.readRules(file).rules());
  }

  /** The codes of a classification in a file; empty, with a sentence, if it cannot be read. */
  public Optional<List<CodeSystem.Code>> readCodes(Path file) {
    return tried(() -> CodeList.read(file));
  }

  private interface Trial<T> {
    T make() throws IOException;
  }

  private <T> Optional<T> tried(Trial<T> work) {
    try {
      return Optional.of(work.make());
    } catch (IOException | IllegalArgumentException e) {
      session.complain(e.getMessage());
      return Optional.empty();
    }
  }

  /** Takes attributes of items from a table. */
  public void takeAttributes(Path file) {
    tried(() -> AttributeTable.of(session.build(), TableReader.read(file)))
        .ifPresent(table -> take(table, String.valueOf(file.getFileName())));
  }

  private void take(AttributeTable table, String file) {
    session.edit("Attributes from " + file, table::on);
    String done = table.values().size() + " items have attributes from " + file + ".";
    if (table.notFound().isEmpty()) {
      session.say(done);
    } else {
      session.complain(
          done
              + " Not found: "
              + String.join(", ", table.notFound().stream().limit(NAMED).toList())
              + (table.notFound().size() > NAMED ? " and others." : "."));
    }
  }
}
