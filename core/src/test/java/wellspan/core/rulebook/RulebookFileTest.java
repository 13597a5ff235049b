package wellspan.core.rulebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rulebooks and their tables go out and come back as they were. */
class RulebookFileTest {
  @Provide
  Arbitrary<PropertyRule> rules() {
    Arbitrary<String> word =
        Arbitraries.of(
            "a",
            "0042",
            "Größe",
            "=1+1",
            "two\nlines",
            "\"quoted\"",
            " padded ",
            "a,b;c",
            "-",
            "yes",
            "attribute: x",
            "1e3");
    Arbitrary<Condition> condition =
        Combinators.combine(
                Arbitraries.of("kind", "layer", "thickness"),
                word.list().ofMaxSize(3),
                word,
                Arbitraries.of(0.0, 0.1, -2.5e-7),
                Arbitraries.of(true, false))
            .as(
                (fact, is, attribute, least, given) ->
                    is.isEmpty()
                        ? new Condition("", attribute, null, null, null, least, null, given)
                        : new Condition(fact, "", is, is, "x*", null, least, null));
    Arbitrary<ValuePart> part =
        Combinators.combine(word, Arbitraries.of("mm", "", "%"), Arbitraries.of(0, 3, -1))
            .as(
                (w, unit, places) ->
                    switch (Math.floorMod(w.hashCode() + places, 3)) {
                      case 0 -> ValuePart.text(w).through(w);
                      case 1 -> ValuePart.attribute(w).in(unit, places < 0 ? null : places);
                      default -> ValuePart.fact("volume").in(unit, places < 0 ? null : places);
                    });
    return Combinators.combine(
            condition.list().ofMaxSize(3),
            part.list().ofMinSize(1).ofMaxSize(3),
            Arbitraries.of(" ", "", " – ", "\n", ";"),
            word.filter(w -> !w.isBlank()).map(String::strip),
            Arbitraries.of("", "IfcLabel", "IfcLengthMeasure"),
            word.list().ofMaxSize(2),
            Arbitraries.of(true, false))
        .as(
            (when, value, separator, set, type, oneOf, flag) ->
                new PropertyRule(when, value, separator, set, "P", type, oneOf, set, flag, !flag));
  }

  @Property(tries = 300)
  void aRulebookComesBackAsItWas(@ForAll("rules") PropertyRule rule) {
    Rulebook book =
        new Rulebook(
            "Client",
            "3",
            "Roads",
            List.of(
                new ClassRule(
                    "c",
                    rule.when(),
                    Map.of("IFC4", new ClassRule.Named("IfcSlab", "x")),
                    rule.off() ? null : new ClassRule.PartOf(rule.set(), "IfcRoad", "p", "x"),
                    false,
                    rule.off())),
            List.of(rule),
            List.of(new Lookup("l", Map.of("a", "b"), null)),
            List.of(
                new CodeSystem(
                    "Works",
                    List.of(new CodeSystem.Code("007", "Größe", "")),
                    List.of(new CodeSystem.CodeRule(rule.when(), rule.value(), rule.off())),
                    rule.off(),
                    List.of(
                        new CodeSystem.CodeProperty(
                            "S", "P", List.of(CodeSystem.Says.TITLE), rule.separator())),
                    false)),
            List.of("Wellspan_KnownFacts"));
    assertThat(RulebookJson.read(RulebookJson.write(book))).isEqualTo(book);
    assertThat(RulebookJson.read(RulebookJson.node(book))).isEqualTo(book);
  }

  @Property(tries = 300)
  void aTableComesBackAsItWas(
      @ForAll("rules") PropertyRule one, @ForAll("rules") PropertyRule other) {
    Rulebook book = Rulebook.NONE.withProperties(List.of(one, other));
    RuleTable table = RuleTable.of(book);
    assertThat(table.rules()).isEqualTo(book.properties());
    assertThat(RuleTable.change(book.properties(), table.rules()).isNone()).isTrue();
  }

  @Test
  void tellsWhatATableWouldChange() {
    PropertyRule a = PropertyRule.of(List.of(), ValuePart.text("a"), "S", "A", "");
    PropertyRule b = PropertyRule.of(List.of(), ValuePart.text("b"), "S", "B", "");
    PropertyRule other = PropertyRule.of(List.of(), ValuePart.text("c"), "S", "A", "");
    PropertyRule c = PropertyRule.of(List.of(), ValuePart.text("c"), "S", "C", "");
    RuleTable.Change change = RuleTable.change(List.of(a, b), List.of(other, c));
    assertThat(change.changed()).containsExactly("S.A");
    assertThat(change.added()).containsExactly("S.C");
    assertThat(change.removed()).containsExactly("S.B");
    assertThat(
            RulebookComparison.of(
                Rulebook.NONE.withProperties(List.of(a, b)),
                Rulebook.NONE.withProperties(List.of(other, c))))
        .containsExactly(
            "property rule S.A is another",
            "property rule S.B is here only",
            "property rule S.C is there only");
    assertThat(
            RulebookComparison.of(
                Rulebook.NONE.withProperties(List.of(a, b)),
                Rulebook.NONE.withProperties(List.of(b, a))))
        .hasSize(1);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '\u0001',
      value = {
        "{} | this is no rulebook",
        "{\"wellspan-rulebook\":2} | form 2",
        "{\"wellspan-rulebook\":1,\"rules\":[]} | \"rules\" is not known here",
        "{\"wellspan-rulebook\":1,\"properties\":[{\"set\":\"S\",\"property\":\"P\"}]} | says no value",
        "{\"wellspan-rulebook\":1,\"properties\":[{\"set\":\"S\",\"property\":\"P\",\"value\":[{\"fact\":\"tickness\"}]}]} | no fact",
        "{\"wellspan-rulebook\":1,\"properties\":[{\"set\":\"S\",\"property\":\"P\",\"value\":[{\"fact\":\"volume\",\"text\":\"x\"}]}]} | one of fact, attribute and text",
        "{\"wellspan-rulebook\":1,\"properties\":[{\"set\":\"S\",\"property\":\"P\",\"value\":[{\"fact\":\"volume\",\"unit\":\"furlong\"}]}]} | furlong",
        "{\"wellspan-rulebook\":1,\"properties\":[{\"set\":\"S\",\"property\":\"P\",\"type\":\"IfcWall\",\"value\":[{\"fact\":\"volume\"}]}]} | IfcWall",
        "{\"wellspan-rulebook\":1,\"classes\":[{\"name\":\"c\",\"as\":{\"IFC5\":{\"class\":\"IfcWall\"}}}]} | IFC5",
        "{\"wellspan-rulebook\":1,\"classes\":[{\"name\":\"c\"}]} | names no class",
        "{\"wellspan-rulebook\":1,\"classes\":[{\"name\":\"c\",\"heldBack\":\"yes\"}]} | another form",
        "{\"wellspan-rulebook\":1,\"classes\":[{\"name\":\"c\",\"partOf\":{\"partType\":\"SIDEWALK\"}}]} | needs a facility or a part",
        "{\"wellspan-rulebook\":1,\"classes\":[{\"name\":\"c\",\"partOf\":{\"facility\":\"A\",\"class\":\"IfcWall\"}}]} | IfcWall is no facility",
        "{\"wellspan-rulebook\":1,\"classification\":[{\"system\":\"W\",\"codes\":[{\"code\":\"1\"},{\"code\":\"1\"}]}]} | twice",
        "{\"wellspan-rulebook\":1,\"lookups\":[{\"name\":\"l\",\"rows\":{\"A\":\"1\",\"a\":\"2\"}}]} | the same",
        "{\"wellspan-rulebook\":1,\"name\":\"a\",\"name\":\"b\"} | not JSON",
        "{\"wellspan-rulebook\":1} trailing | not JSON",
        "{\"wellspan-rulebook\":1,\"classes\":[{\"when\":[{\"fact\":\"kind\"}],\"heldBack\":true}]} | needs one of",
      })
  void refusesWhatItDoesNotUnderstandWhole(String text, String why) {
    assertThatThrownBy(() -> RulebookJson.read(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(why);
  }

  @Test
  void namesTheLineOfAFault() {
    assertThatThrownBy(
            () -> RulebookJson.read("{\"wellspan-rulebook\":1,\n\"name\":\"x\",\n\"odd\":1}"))
        .hasMessageStartingWith("line 3: ");
  }

  @Test
  void aTableIsRefusedWithItsRow() {
    List<String> head = List.of("set", "property", "value 1 fact");
    assertThatThrownBy(
            () ->
                new RuleTable(
                        head, List.of(List.of("S", "P", "volume"), List.of("S", "Q", "tickness")))
                    .rules())
        .hasMessageStartingWith("row 3: ");
    assertThatThrownBy(() -> new RuleTable(List.of("set"), List.of()).rules())
        .hasMessageContaining("property");
    assertThatThrownBy(() -> new RuleTable(List.of("set", "property", "colour"), List.of()).rules())
        .hasMessageContaining("colour");
  }

  @Test
  void theShippedRulebookIsWhole() {
    Rulebook shipped = RulebookJson.shipped();
    assertThat(shipped.count()).isPositive();
    assertThat(RulebookJson.read(RulebookJson.write(shipped))).isEqualTo(shipped);
    Rulebook own = shipped.copiedAs("Client");
    assertThat(own.copiedFrom()).isEqualTo(shipped.name());
    assertThat(RulebookComparison.of(own, shipped)).isEmpty();
  }

  @Test
  void keepsTheOrderOfALookup() {
    Map<String, String> rows = new LinkedHashMap<>();
    rows.put("z", "1");
    rows.put("a", "2");
    Rulebook book = Rulebook.NONE.withLookups(List.of(new Lookup("l", rows, "other")));
    assertThat(RulebookJson.read(RulebookJson.write(book)).lookups().getFirst().rows().keySet())
        .containsExactly("z", "a");
  }
}
