package wellspan.exchange.ifc.write;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wellspan.exchange.ifc.write.StepValue.DERIVED;
import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.many;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.text;
import static wellspan.exchange.ifc.write.StepValue.typed;
import static wellspan.exchange.ifc.write.StepValue.whole;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import wellspan.core.progress.Progress;
import wellspan.core.schema.Schema;

class StepWriterTest {
  private final ByteArrayOutputStream out = new ByteArrayOutputStream();
  private final StepWriter step =
      new StepWriter(out, Schema.forFile("IFC4X3_ADD2").orElseThrow(), Progress.NONE);

  private String written() throws IOException {
    step.end();
    return out.toString(StandardCharsets.US_ASCII);
  }

  private void refused(String said, String entity, StepValue... values) {
    assertThatThrownBy(() -> step.add(entity, values))
        .isInstanceOf(SchemaViolation.class)
        .hasMessageContaining(said);
  }

  @Test
  void recordsAreWrittenAsTheStandardWants() throws IOException {
    int p = step.add("IfcCartesianPoint", reals(1, -2.5, 1e-9));
    step.add("IfcAxis2Placement3D", ref(p), UNSET, UNSET);
    step.add(
        "IfcPropertySingleValue",
        text("It's \\ Größe"),
        UNSET,
        typed("IfcLengthMeasure", real(3)),
        UNSET);
    step.add("IfcSIUnit", DERIVED, literal("LENGTHUNIT"), UNSET, literal("METRE"));
    assertThat(written().lines())
        .containsExactly(
            "#1=IFCCARTESIANPOINT((1.,-2.5,1.E-9));",
            "#2=IFCAXIS2PLACEMENT3D(#1,$,$);",
            "#3=IFCPROPERTYSINGLEVALUE('It''s \\\\ Gr\\X2\\00F600DF\\X0\\e',$,IFCLENGTHMEASURE(3.),$);",
            "#4=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);",
            "ENDSEC;",
            "END-ISO-10303-21;");
  }

  @Test
  void tablesOfPointsAreRoundedWithoutTrailingZeros() throws IOException {
    double[][] rows = {{0, -0.00000004, 12.5}, {-1234.5678901, 1e-7, 3}};
    step.add(
        "IfcCartesianPointList3D",
        new StepValue.Points(2, 3, 7, (i, r) -> System.arraycopy(rows[i], 0, r, 0, 3)),
        UNSET);
    assertThat(written())
        .startsWith("#1=IFCCARTESIANPOINTLIST3D(((0.,0.,12.5),(-1234.5678901,0.0000001,3.)),$);");
  }

  @Test
  void longTablesKeepTheOrderOfTheirRows() throws IOException {
    int rows = 5 * RowText.BLOCK + 1;
    int[] triples = IntStream.range(0, 3 * rows).map(i -> 7 * i).toArray();
    step.add(
        "IfcCartesianPointList3D",
        new StepValue.Points(rows, 3, 4, (i, r) -> java.util.Arrays.fill(r, i / 8.0)),
        UNSET);
    step.add("IfcTriangulatedFaceSet", ref(1), UNSET, UNSET, new StepValue.Triples(triples), UNSET);
    String[] records = written().split("\n");
    String points =
        IntStream.range(0, rows)
            .mapToObj(i -> StepPrinter.real(i / 8.0))
            .map(r -> "(" + r + "," + r + "," + r + ")")
            .collect(Collectors.joining(","));
    String indices =
        IntStream.range(0, rows)
            .map(i -> 21 * i + 1)
            .mapToObj(n -> "(" + n + "," + (n + 7) + "," + (n + 14) + ")")
            .collect(Collectors.joining(","));
    assertThat(records[0].equals("#1=IFCCARTESIANPOINTLIST3D((" + points + "),$);")).isTrue();
    assertThat(records[1].equals("#2=IFCTRIANGULATEDFACESET(#1,$,$,(" + indices + "),$);"))
        .isTrue();
  }

  @Test
  void aTableWithARowThatIsNoNumberIsRefused() {
    refused(
        "finite",
        "IfcCartesianPointList3D",
        new StepValue.Points(9000, 3, 7, (i, r) -> r[0] = i == 8000 ? Double.NaN : i),
        UNSET);
  }

  @Test
  void whatIsMadeMeanwhileKeepsTheOrderOfTheRecords() throws IOException {
    int many = 50_000;
    for (int i = 1; i <= many; i += 2) {
      int p = step.add("IfcCartesianPoint", reals(i, 0.5));
      step.add("IfcVertexPoint", ref(p));
    }
    List<String> records = written().lines().toList();
    assertThat(records).hasSize(many + 2);
    for (int i = 1; i <= many; i += 2) {
      assertThat(records.get(i - 1)).isEqualTo("#" + i + "=IFCCARTESIANPOINT((" + i + ".,0.5));");
      assertThat(records.get(i)).isEqualTo("#" + (i + 1) + "=IFCVERTEXPOINT(#" + i + ");");
    }
  }

  @Test
  void aRowThatIsNoNumberIsSaidOfItsItemHoweverLate() {
    assertThatThrownBy(
            () -> {
              step.about("Kerb 7");
              step.add(
                  "IfcCartesianPointList3D",
                  new StepValue.Points(3, 3, 7, (i, r) -> r[0] = Double.NaN),
                  UNSET);
              step.about("Kerb 8");
              for (int i = 0; i < 20_000; i++) {
                step.add("IfcCartesianPoint", reals(i, 0));
              }
              step.end();
            })
        .isInstanceOf(SchemaViolation.class)
        .hasMessage("Kerb 7: A coordinate is not a finite number.");
  }

  @Test
  void aFullDiskIsSaid() {
    OutputStream full =
        new OutputStream() {
          @Override
          public void write(int b) throws IOException {
            throw new IOException("No space left on device");
          }
        };
    assertThatThrownBy(
            () -> {
              try (StepWriter onFull =
                  new StepWriter(full, Schema.forFile("IFC4").orElseThrow(), Progress.NONE)) {
                for (int i = 0; i < 100_000; i++) {
                  onFull.add("IfcCartesianPoint", reals(i, 0));
                }
                onFull.end();
              }
            })
        .isInstanceOf(IOException.class)
        .hasMessageContaining("No space left");
  }

  @Property
  void wholeNumbersAreWrittenInFull(@ForAll @LongRange(min = 0) long n) {
    byte[] to = new byte[RowText.ROW_BYTES];
    assertThat(new String(to, 0, Digits.natural(n, to, 0), StandardCharsets.US_ASCII))
        .isEqualTo(Long.toString(n));
  }

  @Property
  void decimalsAreWrittenWithoutTrailingZeros(
      @ForAll @LongRange(min = 0) long n, @ForAll @IntRange(min = 1, max = 9) int decimals) {
    byte[] to = new byte[RowText.ROW_BYTES];
    String written =
        new String(to, 0, Digits.decimal(n, decimals, to, 0), StandardCharsets.US_ASCII);
    assertThat(written).matches("\\d+\\.(\\d*[1-9])?");
    assertThat(new BigDecimal(written + "0")).isEqualByComparingTo(BigDecimal.valueOf(n, decimals));
  }

  @Test
  void whatTheSchemaDoesNotAllowCannotBeWritten() throws IOException {
    int p = step.add("IfcCartesianPoint", reals(0, 0));
    refused("not an entity", "IfcRoadThing");
    refused("abstract", "IfcProduct");
    refused("attributes", "IfcCartesianPoint", reals(0, 0), UNSET);
    refused("Coordinates is required", "IfcCartesianPoint", UNSET);
    refused("has 4 elements", "IfcCartesianPoint", reals(0, 0, 0, 0));
    refused("needs REAL", "IfcCartesianPoint", many(whole(1), whole(2)));
    refused("finite", "IfcCartesianPoint", reals(0, Double.NaN));
    refused("needs a reference to IFCDIRECTION", "IfcVector", ref(p), real(1));
    refused("written", "IfcVector", ref(99), real(1));
    refused("derived", "IfcSIUnit", UNSET, literal("LENGTHUNIT"), UNSET, literal("METRE"));
    refused("IFCSIUNITNAME", "IfcSIUnit", DERIVED, literal("LENGTHUNIT"), UNSET, literal("CUBIT"));
    refused("positive", "IfcCircle", ref(step.add("IfcAxis2Placement2D", ref(p), UNSET)), real(0));
    refused(
        "not a member",
        "IfcPropertySingleValue",
        text("x"),
        UNSET,
        typed("IfcCartesianPoint", real(1)),
        UNSET);
    refused(
        "characters",
        "IfcRelAggregates",
        text("short"),
        UNSET,
        UNSET,
        UNSET,
        ref(p),
        StepValue.refs(java.util.List.of(p)));
    refused(
        "255",
        "IfcPropertySingleValue",
        text("x"),
        UNSET,
        typed("IfcLabel", text("y".repeat(256))),
        UNSET);
    assertThat(written().lines().filter(l -> l.startsWith("#"))).hasSize(2);
  }

  @Property
  void realsHaveAPointAndReadBack(@ForAll double d) {
    String s = StepPrinter.real(d);
    assertThat(s).matches("-?\\d+\\.\\d*(E-?\\d+)?");
    assertThat(Double.parseDouble(s)).isEqualTo(d);
  }

  @Property
  void textIsPlainAscii(@ForAll String s) {
    assertThat(StepText.encode(s)).matches("[\\x20-\\x7e]*");
  }
}
