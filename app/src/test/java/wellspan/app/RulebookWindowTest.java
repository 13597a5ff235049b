package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.skin.TableColumnHeader;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.RuleRef;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Stop;
import wellspan.core.packing.Packing;
import wellspan.core.packing.SaidProperties;
import wellspan.core.rulebook.Cell;
import wellspan.core.rulebook.CodeSystem;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.schema.IfcSchema;

/** Rules beside their effect on real items, at the stop Describe. */
class RulebookWindowTest extends WindowTest {
  private static final double BORDER = 3;

  private void open() throws Exception {
    receive(DEMO.resolve("drainage/quay-road-drainage.xml"));
    interact(() -> session.stopProperty().set(Stop.DESCRIBE));
  }

  @SuppressWarnings("unchecked") // the only table there is
  private TableView<Build.BuiltItem> table() {
    return lookup("#rule-items").queryAs(TableView.class);
  }

  private List<String> columns() {
    return table().getColumns().stream().map(TableColumn::getText).toList();
  }

  private Cell cell(String item, int rule) {
    Build.BuiltItem i =
        session.build().items().values().stream()
            .filter(x -> x.item().name().equals(item))
            .findFirst()
            .orElseThrow();
    return session.rules().cell(new RuleRef(RuleRef.Kind.PROPERTY, rule), session.rules().ruled(i));
  }

  /** Types into an editable list and leaves it. */
  private void choose(String query, String text) {
    ComboBox<?> list = lookup(query).queryAs(ComboBox.class);
    interact(
        () -> {
          list.getEditor().setText(text);
          list.getOnAction().handle(new ActionEvent());
        });
  }

  private void press(String query) {
    Button b = lookup(query).queryAs(Button.class);
    interact(b::fire);
    calm();
  }

  @Test
  void aNewRulebookStartsFromTheShippedOne() throws Exception {
    open();
    assertThat(columns()).containsExactly("Item", "Class");
    press("#start-rulebook");
    assertThat(session.rules().book().copiedFrom()).isNotEmpty();
    assertThat(session.rules().book().count()).isPositive();
    interact(session::undo);
    assertThat(session.rules().book()).isEqualTo(Rulebook.NONE);
  }

  /** Whatever would be delivered, set by set, and from a cell of a rule to that rule. */
  @Test
  void everythingThatIsSaidHasAColumnWhenAskedFor() throws Exception {
    open();
    press("#start-rulebook");
    ComboBox<Boolean> columns = lookup("#rule-columns").query();
    interact(
        () -> {
          columns.setValue(true);
          columns.getOnAction().handle(new ActionEvent());
        });
    settle(() -> session.rules().said().saidProperty().get().isPresent());
    SaidProperties said = session.rules().said().saidProperty().get().orElseThrow();
    List<SaidProperties.Column> shown = new ArrayList<>();
    for (TableColumn<Build.BuiltItem, ?> set : table().getColumns()) {
      set.getColumns()
          .forEach(c -> shown.add(new SaidProperties.Column(set.getText(), c.getText())));
    }
    assertThat(shown).containsExactlyElementsOf(said.columns()).hasSizeGreaterThan(10);
    Build.BuiltItem first = table().getItems().getFirst();
    Description delivered =
        Packing.description(session.build(), first, Delivery.ofAll(IfcSchema.IFC4X3));
    for (PropertySet set : delivered.propertySets()) {
      set.values()
          .forEach(
              (name, value) ->
                  assertThat(said.value(first.id(), new SaidProperties.Column(set.name(), name)))
                      .contains(value));
    }
    PropertyRule rule = session.rules().book().properties().getFirst();
    assertThat(session.rules().ruleOf(rule.set(), rule.property()))
        .contains(new RuleRef(RuleRef.Kind.PROPERTY, 0));
    interact(() -> session.rules().schemaProperty().set(IfcSchema.IFC2X3));
    settle(() -> !session.work().runningProperty().get());
    assertThat(session.rules().said().saidProperty().get()).isPresent();
    interact(
        () -> {
          columns.setValue(false);
          columns.getOnAction().handle(new ActionEvent());
        });
    assertThat(columns()).contains("Item", "Class").doesNotContain(shown.getFirst().set());
  }

  /** Each rule in turn, to columns out of sight and back. */
  @Test
  void theItemsStayWhereTheColumnOfARuleIsBroughtIn() throws Exception {
    open();
    interact(() -> session.rules().take(DEMO.resolve("client/harbour-client.json")));
    calm();
    int rules = session.rules().book().properties().size();
    assertThat(table().getColumns().stream().mapToDouble(TableColumn::getWidth).sum())
        .as("wider than the window")
        .isGreaterThan(table().getWidth());
    for (int i : new int[] {rules - 1, 0, rules - 2, rules / 2, 1, rules - 1}) {
      RuleRef rule = new RuleRef(RuleRef.Kind.PROPERTY, i);
      interact(() -> session.rules().selectedProperty().set(Optional.of(rule)));
      calm();
      List<Build.BuiltItem> seen =
          table().lookupAll(".table-row-cell").stream()
              .filter(r -> r.isVisible() && r instanceof TableRow<?> t && !t.isEmpty())
              .map(r -> (Build.BuiltItem) ((TableRow<?>) r).getItem())
              .toList();
      assertThat(seen).as("rows with rule " + i).hasSizeGreaterThan(2);
      assertThat(namesAtTheEdge()).containsExactlyInAnyOrderElementsOf(names(seen));
      assertThat(headingsOf(rule)).as("not below the names").allMatch(h -> h >= nameWidth());
      if (table().getItems().stream().anyMatch(x -> says(rule, x))) {
        assertThat(seen).as("an item that rule " + i + " is of").anyMatch(x -> says(rule, x));
      }
    }
  }

  private static List<String> names(List<Build.BuiltItem> items) {
    return items.stream().map(i -> i.item().name()).toList();
  }

  private double nameWidth() {
    return table().getColumns().getFirst().getWidth();
  }

  /** How far a node is from the left edge of the table. */
  private double fromTheEdge(Node n) {
    return n.localToScene(0, 0).getX() - table().localToScene(0, 0).getX();
  }

  /**
   * What is written at the left edge of the rows, by a cell of the first column or above others.
   */
  private List<String> namesAtTheEdge() {
    return table().lookupAll(".table-row-cell > .name").stream()
        .filter(
            n -> n.isVisible() && n.getParent().isVisible() && Math.abs(fromTheEdge(n)) < BORDER)
        .map(n -> ((Labeled) n).getText())
        .filter(text -> text != null)
        .toList();
  }

  private List<Double> headingsOf(RuleRef rule) {
    return table().lookupAll(".column-header").stream()
        .filter(n -> n instanceof TableColumnHeader h && h.getTableColumn() != null)
        .filter(n -> rule.equals(((TableColumnHeader) n).getTableColumn().getUserData()))
        .map(this::fromTheEdge)
        .toList();
  }

  private boolean says(RuleRef rule, Build.BuiltItem i) {
    return session.rules().cell(rule, session.rules().ruled(i)).state() != Cell.State.NONE;
  }

  @Test
  void aGapIsSeenAndMendedForAllItemsAtOnce() throws Exception {
    open();
    interact(() -> session.rules().take(DEMO.resolve("client/harbour-client.json")));
    assertThat(columns()).contains("Owner", "Harbour works");
    int owner =
        session.rules().book().properties().stream()
            .map(PropertyRule::property)
            .toList()
            .indexOf("Owner");
    assertThat(cell("M01", owner).state()).isEqualTo(Cell.State.GAP);
    assertThat(session.findingsProperty().get())
        .anyMatch(f -> f.code().equals("describe.gap") && f.item().equals("M01"));
    interact(
        () ->
            session
                .selection()
                .choose(
                    session.build().items().values().stream()
                        .filter(i -> i.item().kind().title().equals("chamber"))
                        .map(Build.BuiltItem::id)
                        .toList()));
    press("#open-attributes");
    interact(
        () -> {
          lookup("#attribute-name").queryAs(TextField.class).setText("Owner");
          lookup("#attribute-value").queryAs(TextField.class).setText("Harbour office");
        });
    press("#attribute-say");
    assertThat(cell("M01", owner).state()).isEqualTo(Cell.State.SAID);
    assertThat(cell("M14", owner).state()).isEqualTo(Cell.State.SAID);
    assertThat(session.findingsProperty().get())
        .noneMatch(f -> f.code().equals("describe.gap") && f.message().contains("Owner"));
    assertThat(card("#attributes")).contains("Owner").contains("Harbour office");
  }

  @Test
  void anItemChosenInTheTableIsTheOneWhoseJourneyIsTold() throws Exception {
    open();
    interact(() -> table().getSelectionModel().clearAndSelect(3));
    String name = table().getItems().get(3).item().name();
    assertThat(session.selectedItem().orElseThrow().item().name()).isEqualTo(name);
    assertThat(lookup("#docket").query().lookupAll(".label"))
        .extracting(n -> ((javafx.scene.control.Labeled) n).getText())
        .contains(name);
    interact(() -> table().getSelectionModel().selectRange(3, 6));
    assertThat(session.selection().ids()).hasSize(3);
  }

  @Test
  void aRuleIsMadeAndChangedWhileItsEffectIsSeen() throws Exception {
    open();
    interact(() -> session.rules().take(DEMO.resolve("client/harbour-client.json")));
    Build.BuiltItem pipe =
        session.build().items().values().stream()
            .filter(i -> i.item().name().equals("P01"))
            .findFirst()
            .orElseThrow();
    interact(
        () -> {
          session.selectedProperty().set(Optional.of(pipe.id()));
          session
              .rules()
              .add(
                  PropertyRule.of(
                      List.of(),
                      wellspan.core.rulebook.ValuePart.fact("name"),
                      "Client",
                      "Property",
                      ""));
        });
    assertThat(session.rules().cardProperty().get()).isEqualTo(DescribeCard.RULE);
    choose("#rule-set", "Client_Drainage");
    choose("#rule-property", "Number");
    assertThat(columns()).contains("Number");
    int at = session.rules().selectedProperty().get().orElseThrow().index();
    assertThat(cell("P01", at).value().orElseThrow().show()).isEqualTo("P01");
    assertThat(card("#rule-card")).contains("For 29 items:").contains("M01");
    press("#rule-remove");
    assertThat(columns()).doesNotContain("Number");
  }

  @Test
  void rulesAreWalkedMovedAndTakenAwayByKeys() throws Exception {
    open();
    interact(() -> session.rules().take(DEMO.resolve("client/harbour-client.json")));
    ListView<?> rules = lookup("#rules").queryAs(ListView.class);
    interact(
        () -> {
          rules.requestFocus();
          rules.getSelectionModel().select(2);
        });
    RuleRef second = new RuleRef(RuleRef.Kind.PROPERTY, 1);
    assertThat(session.rules().selectedProperty().get()).contains(second);
    String moved = session.rules().book().properties().get(1).target();
    interact(() -> session.rules().move(second, -1));
    assertThat(session.rules().book().properties().getFirst().target()).isEqualTo(moved);
    int before = session.rules().book().properties().size();
    interact(rules::requestFocus);
    type(KeyCode.DELETE);
    calm();
    assertThat(session.rules().book().properties()).hasSize(before - 1);
  }

  @Test
  void theSchemaDecidesTheClassAndTheScopeWhatIsShown() throws Exception {
    open();
    interact(() -> session.rules().schemaProperty().set(IfcSchema.IFC2X3));
    TableColumn<Build.BuiltItem, ?> classes = table().getColumns().get(1);
    List<Object> shown =
        table().getItems().stream().map(i -> (Object) classes.getCellData(i)).toList();
    assertThat(shown).contains("IfcFlowSegment RIGIDSEGMENT");
    interact(
        () -> session.rules().scopeProperty().set(Optional.of(wellspan.core.item.Band.STRUCTURES)));
    assertThat(table().getItems()).isEmpty();
  }

  @Test
  void rulesGoOutAsATableAndCodesComeFromAFile() throws Exception {
    open();
    interact(() -> session.rules().take(DEMO.resolve("client/harbour-client.json")));
    Path out = Files.createTempDirectory(dir, "t").resolve("rules.xlsx");
    interact(() -> session.rules().writeTable(out));
    interact(
        () ->
            assertThat(session.rules().readTable(out))
                .contains(session.rules().book().properties()));
    Path codes = out.resolveSibling("codes.csv");
    Files.writeString(codes, "code,title\n7.10,Rohr\n7.20,Schacht\n");
    interact(
        () -> {
          CodeSystem works = session.rules().book().classification().getFirst();
          session
              .rules()
              .replace(0, works.withCodes(session.rules().readCodes(codes).orElseThrow()));
        });
    Build.BuiltItem pipe =
        session.rules().items().stream()
            .filter(i -> i.item().kind().title().equals("pipe"))
            .findFirst()
            .orElseThrow();
    assertThat(session.rules().ruled(pipe).codes().getFirst().title()).isEqualTo("Rohr");
    interact(() -> session.rules().takeAttributes(out.resolveSibling("none.csv")));
    assertThat(session.messages().complaintProperty().get()).isTrue();
    Node surface = lookup("#rule-surface").query();
    assertThat(surface.isVisible()).isTrue();
  }
}
