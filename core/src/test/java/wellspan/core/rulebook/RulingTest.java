package wellspan.core.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.attribute.Classified;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/** What rules decide of items, by known answers. */
class RulingTest {
  /** A box of 4 × 3 × 0.5 m. */
  private static Mesh box() {
    double[] xyz = new double[24];
    for (int i = 0; i < 8; i++) {
      xyz[3 * i] = 100 + (i & 1) * 4;
      xyz[3 * i + 1] = 200 + (i >> 1 & 1) * 3;
      xyz[3 * i + 2] = 10 + (i >> 2) * 0.5;
    }
    int[] t = {
      0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1,
      3, 5, 3, 7, 5
    };
    return new Mesh(xyz, t);
  }

  private static Item course(Map<String, PropertyValue> attributes) {
    return Item.of("Base", Kind.of("course"), new Shape.Faces(box()))
        .on("C-PV-BASE")
        .saying(
            Description.of(
                List.of(new PropertySet("Design", attributes)),
                Optional.of(new Finish("Asphalt", 0x4B4C50))));
  }

  private static Subject subject(String name, PropertyValue v) {
    return Subject.of(course(Map.of(name, v)), "a.xml");
  }

  private static Rulebook with(PropertyRule... rules) {
    return Rulebook.NONE.withProperties(List.of(rules));
  }

  private static Cell only(Rulebook book, Subject s) {
    return new Ruling(book, IfcSchema.IFC4X3).of(s).cells().getFirst();
  }

  private static PropertyRule typed(ValuePart part, String type) {
    return PropertyRule.of(List.of(), part, "Own", "P", type);
  }

  @ParameterizedTest
  @CsvSource({
    "area, 12", "volume, 6", "lowest level, 10", "highest level, 10.5", "surface area, 31",
    "triangles, 12", "layer, C-PV-BASE", "material, Asphalt", "kind, course", "stratum, Pavement",
    "colour, #4B4C50", "source, a.xml", "name, Base"
  })
  void tellsWhatIsKnownOfABox(String fact, String expected) {
    Subject s = Subject.of(course(Map.of()), "a.xml");
    String text = s.fact(fact).map(Typing::text).orElse("");
    if (expected.matches("[0-9.]+")) {
      assertThat(Double.parseDouble(text)).isCloseTo(Double.parseDouble(expected), within(1e-9));
    } else {
      assertThat(text).isEqualTo(expected);
    }
  }

  private static org.assertj.core.data.Offset<Double> within(double d) {
    return org.assertj.core.data.Offset.offset(d);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        // what stands in the source | unit of the rule | type | what is delivered
        "40 mm   |    | IfcLengthMeasure         | 0.04",
        "40      | mm | IfcLengthMeasure         | 0.04",
        "0.04    |    | IfcPositiveLengthMeasure | 0.04",
        "-3      |    | IfcPositiveLengthMeasure | !not positive",
        "3 m2    |    | IfcAreaMeasure           | 3",
        "2.5ha   |    | IfcAreaMeasure           | 25000",
        "3 m2    |    | IfcLengthMeasure         | !is of area, not of length",
        "twelve  |    | IfcReal                  | !is no number",
        "1 000   |    | IfcReal                  | !is no number",
        "7 %     |    | IfcRatioMeasure          | 0.07",
        "yes     |    | IfcBoolean               | true",
        "0       |    | IfcBoolean               | false",
        "maybe   |    | IfcBoolean               | !neither yes nor no",
        "12      |    | IfcInteger               | 12",
        "12.5    |    | IfcInteger               | !no whole number",
        "0042    |    | IfcIdentifier            | 0042",
        "Größe ß |    | IfcLabel                 | Größe ß",
        "1e400   |    | IfcReal                  | !no number",
      })
  void bringsTextsToTypes(String text, String unit, String type, String expected) {
    Cell cell =
        only(
            with(typed(ValuePart.attribute("Design.V").in(unit == null ? "" : unit, null), type)),
            subject("V", new PropertyValue.Label(text)));
    if (expected.startsWith("!")) {
      assertThat(cell.state()).isEqualTo(Cell.State.WRONG);
      assertThat(cell.message()).contains(expected.substring(1)).startsWith("Own.P: ");
      assertThat(cell.value()).isEmpty();
    } else {
      assertThat(cell.value().map(Typing::text)).contains(expected);
    }
  }

  @Test
  void keepsTheMeasureOfAFactAndRefusesAnother() {
    Subject s = Subject.of(course(Map.of()), "");
    assertThat(only(with(typed(ValuePart.fact("volume"), "")), s).value())
        .hasValueSatisfying(
            v ->
                assertThat(v)
                    .isInstanceOfSatisfying(
                        PropertyValue.Measure.class,
                        m -> {
                          assertThat(m.type()).isEqualTo("IfcVolumeMeasure");
                          assertThat(m.number()).isCloseTo(6, within(1e-9));
                        }));
    assertThat(only(with(typed(ValuePart.fact("volume"), "IfcLengthMeasure")), s).state())
        .isEqualTo(Cell.State.WRONG);
  }

  @Test
  void joinsPartsToATextInUnits() {
    PropertyRule rule =
        new PropertyRule(
            List.of(),
            List.of(
                ValuePart.fact("layer"),
                ValuePart.attribute("Thickness").in("mm", 0),
                ValuePart.text("mm")),
            "_",
            "Own",
            "P",
            "IfcLabel",
            List.of(),
            "",
            false,
            false);
    assertThat(only(with(rule), subject("Thickness", new PropertyValue.Length(0.1195))).value())
        .contains(new PropertyValue.Label("C-PV-BASE_120_mm"));
  }

  @Test
  void aMissingValueIsAGapUnlessItMayBeMissing() {
    PropertyRule rule = typed(ValuePart.attribute("Nothing"), "");
    Subject s = Subject.of(course(Map.of("Empty", new PropertyValue.Label(""))), "");
    assertThat(only(with(rule), s).state()).isEqualTo(Cell.State.GAP);
    assertThat(only(with(typed(ValuePart.attribute("Empty"), "")), s).state())
        .isEqualTo(Cell.State.GAP);
    PropertyRule optional =
        new PropertyRule(
            rule.when(), rule.value(), null, "Own", "P", "", List.of(), "", true, false);
    assertThat(only(with(optional), s).state()).isEqualTo(Cell.State.NONE);
    assertThat(only(with(rule.off(true)), s).state()).isEqualTo(Cell.State.NONE);
  }

  @Test
  void looksWordsUpWithoutCaseAndSaysWhatIsNotInTheTable() {
    Map<String, String> rows = new LinkedHashMap<>();
    rows.put("as built", "EXISTING");
    Rulebook book =
        with(typed(ValuePart.attribute("Status").through("status"), ""))
            .withLookups(List.of(new Lookup("status", rows, null)));
    assertThat(only(book, subject("Status", new PropertyValue.Label("As Built"))).value())
        .contains(new PropertyValue.Label("EXISTING"));
    Cell gap = only(book, subject("Status", new PropertyValue.Label("planned")));
    assertThat(gap.state()).isEqualTo(Cell.State.GAP);
    assertThat(gap.message()).isEqualTo("Own.P: planned is not in the lookup status");
    Rulebook other = book.withLookups(List.of(new Lookup("status", rows, "NOTKNOWN")));
    assertThat(only(other, subject("Status", new PropertyValue.Label("planned"))).value())
        .contains(new PropertyValue.Label("NOTKNOWN"));
    assertThat(
            only(
                    book.withLookups(List.of()),
                    subject("Status", new PropertyValue.Label("as built")))
                .state())
        .isEqualTo(Cell.State.WRONG);
  }

  @Test
  void holdsTheWordsOfAStandardSetAndItsTypes() {
    PropertyRule status =
        PropertyRule.of(List.of(), ValuePart.attribute("S"), "Pset_PavementCommon", "Status", "");
    assertThat(only(with(status), subject("S", new PropertyValue.Label("new"))).value())
        .contains(new PropertyValue.Several(true, List.of(new PropertyValue.Label("NEW"))));
    assertThat(only(with(status), subject("S", new PropertyValue.Label("finished"))).message())
        .contains("finished is not one of ")
        .contains("EXISTING");
    PropertyRule thickness =
        PropertyRule.of(
            List.of(), ValuePart.attribute("T"), "Pset_CourseCommon", "NominalThickness", "");
    assertThat(only(with(thickness), subject("T", new PropertyValue.Label("120 mm"))).value())
        .contains(new PropertyValue.Measure("IfcNonNegativeLengthMeasure", 0.12));
  }

  @Test
  void theFirstOfTwoRulesForOnePropertyCounts() {
    Ruled r =
        new Ruling(
                with(typed(ValuePart.text("a"), ""), typed(ValuePart.text("b"), "")),
                IfcSchema.IFC4)
            .of(Subject.of(course(Map.of()), ""));
    assertThat(r.sets())
        .containsExactly(new PropertySet("Own", Map.of("P", new PropertyValue.Label("a")), false));
    assertThat(r.cells().get(1).state()).isEqualTo(Cell.State.TWICE);
    assertThat(r.findings("Base")).extracting(f -> f.code()).containsExactly("describe.twice");
  }

  @ParameterizedTest
  @CsvSource({
    "C-PV-*, true",
    "c-pv-base, true",
    "*BASE, true",
    "*PV*S*, true",
    "C-PV, false",
    "*, true",
    "C-?V-BASE, false",
    "**-BASE*, true",
    "*BASEX, false"
  })
  void comparesWithAStar(String pattern, boolean fits) {
    assertThat(Condition.like("layer", pattern).holds(Subject.of(course(Map.of()), "")))
        .isEqualTo(fits);
  }

  @Test
  void asksForNumbersAndForWhatIsGiven() {
    Subject s = subject("T", new PropertyValue.Length(0.12));
    assertThat(numeric("Design.T", 0.12, null).holds(s)).isTrue();
    assertThat(numeric("Design.T", 0.13, null).holds(s)).isFalse();
    assertThat(numeric("Design.T", null, 0.12).holds(s)).isTrue();
    assertThat(numeric("Design.None", 0.0, null).holds(s)).isFalse();
    assertThat(new Condition("", "T", null, null, null, null, null, true).holds(s)).isTrue();
    assertThat(new Condition("", "U", null, null, null, null, null, false).holds(s)).isTrue();
    assertThat(new Condition("kind", "", null, List.of("kerb"), null, null, null, null).holds(s))
        .isTrue();
  }

  private static Condition numeric(String attribute, Double from, Double to) {
    return new Condition("", attribute, null, null, null, from, to, null);
  }

  @Test
  void inheritsFromTheRoad() {
    Item road =
        Item.of("Quay Road", Kind.STRING, course(Map.of()).shape())
            .saying(
                Description.of(
                    List.of(
                        new PropertySet(
                            "Client", Map.of("Contract", new PropertyValue.Label("C7")))),
                    Optional.empty()));
    Subject s = new Subject(course(Map.of()), "", "", List.of(road));
    assertThat(only(with(typed(ValuePart.attribute("Client.Contract"), "")), s).value())
        .contains(new PropertyValue.Label("C7"));
  }

  @Test
  void theFirstClassRuleThatFitsDecides() {
    ClassRule held =
        new ClassRule("a", List.of(Condition.fact("kind", List.of("kerb"))), null, true, false);
    ClassRule named =
        new ClassRule(
            "b",
            List.of(),
            Map.of(
                "IFC4X3", new ClassRule.Named("ifccourse", "PAVEMENT"),
                "IFC4", new ClassRule.Named("IfcSlab", "wearing course"),
                "IFC2X3", new ClassRule.Named("IfcCourse", "")),
            false,
            false);
    Rulebook book = Rulebook.NONE.withClasses(List.of(held, named));
    Subject s = Subject.of(course(Map.of()), "");
    assertThat(new Ruling(book, IfcSchema.IFC4X3).of(s).entityClass())
        .contains(new EntityClass("IfcCourse", "PAVEMENT"));
    assertThat(new Ruling(book, IfcSchema.IFC4).of(s).entityClass())
        .contains(new EntityClass("IfcSlab", "USERDEFINED", "wearing course"));
    Ruled old = new Ruling(book, IfcSchema.IFC2X3).of(s);
    assertThat(old.entityClass()).isEmpty();
    assertThat(old.classTrouble()).contains("IfcCourse").contains("IFC2x3");
    Item kerb = Item.of("K", Kind.of("kerb"), new Shape.Faces(box()));
    assertThat(new Ruling(book, IfcSchema.IFC4).of(Subject.of(kerb, "")).heldBack()).isTrue();
  }

  @Test
  void givesCodesWithTitlesAndWhatStandsAbove() {
    CodeSystem works =
        new CodeSystem(
            "Works",
            List.of(
                new CodeSystem.Code("3", "Pavement", ""),
                new CodeSystem.Code("3.2", "Courses", "3"),
                new CodeSystem.Code("3.21", "Base course", "3.2"),
                new CodeSystem.Code("4", "", "4")),
            List.of(
                new CodeSystem.CodeRule(
                    List.of(Condition.fact("layer", List.of("c-pv-base"))),
                    List.of(ValuePart.attribute("Code")),
                    false)),
            false,
            List.of(
                new CodeSystem.CodeProperty(
                    "Client", "Code", List.of(CodeSystem.Says.CODE, CodeSystem.Says.TITLE), " · "),
                new CodeSystem.CodeProperty("Client", "Title", List.of(CodeSystem.Says.TITLE), "")),
            false);
    Ruling ruling = new Ruling(Rulebook.NONE.withClassification(List.of(works)), IfcSchema.IFC4);
    Ruled base = ruling.of(subject("Code", new PropertyValue.Label("3.21")));
    assertThat(base.codes())
        .containsExactly(new Classified("Works", "3.21", "Base course", List.of("3.2", "3")));
    assertThat(base.sets().getFirst().values())
        .containsEntry("Code", new PropertyValue.Label("3.21 · Base course"))
        .containsEntry("Title", new PropertyValue.Label("Base course"));
    Ruled untitled = ruling.of(subject("Code", new PropertyValue.Label("4")));
    assertThat(untitled.codeCells().getFirst().message()).isEqualTo("Works: no title for 4");
    assertThat(untitled.sets().getFirst().values())
        .containsOnly(Map.entry("Code", new PropertyValue.Label("4")));
    Ruled unknown = ruling.of(subject("Code", new PropertyValue.Label("9")));
    assertThat(unknown.codeCells().getFirst().state()).isEqualTo(Cell.State.WRONG);
    assertThat(unknown.codes()).isEmpty();
    Ruled none = ruling.of(subject("Other", new PropertyValue.Label("9")));
    assertThat(none.codeCells().getFirst().state()).isEqualTo(Cell.State.GAP);
  }

  @Test
  void aCodeDoesNotWriteOverWhatARuleSays() {
    CodeSystem works =
        new CodeSystem(
            "Works",
            List.of(),
            List.of(new CodeSystem.CodeRule(List.of(), List.of(ValuePart.text("7")), false)),
            false,
            List.of(new CodeSystem.CodeProperty("Own", "P", List.of(), " ")),
            false);
    Ruled r =
        new Ruling(
                with(typed(ValuePart.text("a"), "")).withClassification(List.of(works)),
                IfcSchema.IFC4)
            .of(Subject.of(course(Map.of()), ""));
    assertThat(r.sets().getFirst().values()).containsEntry("P", new PropertyValue.Label("a"));
    assertThat(r.codeCells().getFirst().state()).isEqualTo(Cell.State.TWICE);
    assertThat(r.codes()).hasSize(1);
  }

  @Test
  void codesOfRulesGoInThePlaceOfReceivedOnesOfTheirSystem() {
    Classified received = new Classified("Works", "1", "", List.of());
    Classified elsewhere = new Classified("Costs", "7", "", List.of());
    Classified ruled = new Classified("Works", "2", "", List.of());
    Ruled r =
        new Ruled(
            Optional.empty(),
            "",
            false,
            List.of(),
            List.of(),
            List.of(ruled),
            List.of(),
            List.of());
    assertThat(r.codesOver(List.of(received, elsewhere))).containsExactly(elsewhere, ruled);
    assertThat(Ruled.NOTHING.codesOver(List.of(received))).containsExactly(received);
  }

  @Test
  void whatHandsSayGoesOverWhatTheSourceSays() {
    Item i =
        OwnAttributes.on(
            course(Map.of("Status", new PropertyValue.Label("planned"))),
            Map.of("Design.Status", "built", "Owner", "Harbour"));
    Subject s = Subject.of(i, "");
    assertThat(s.attribute("Status")).contains(new PropertyValue.Label("built"));
    assertThat(s.attribute("Attributes.Owner")).contains(new PropertyValue.Label("Harbour"));
  }
}
