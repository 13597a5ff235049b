package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.progress.Progress;
import wellspan.exchange.file.ReadException;

class StepReadingTest {
  @TempDir Path dir;

  private static List<Value> parse(String s) {
    return new StepParser(s.getBytes(StandardCharsets.ISO_8859_1), 0).parameters(4);
  }

  @Test
  void allKindsOfValuesAreRead() {
    List<Value> v =
        parse("( $ , * , #12,'it''s', .T.,-1.5E-3,42,IFCLABEL('x'),(), (#1,#2) /* note */ )");
    assertThat(v)
        .containsExactly(
            Value.UNSET,
            Value.DERIVED,
            new Value.Ref(12),
            new Value.Text("it's"),
            new Value.Literal("T"),
            new Value.Num(-0.0015, false),
            new Value.Num(42, true),
            new Value.Typed("IFCLABEL", new Value.Text("x")),
            new Value.Many(List.of()),
            new Value.Many(List.of(new Value.Ref(1), new Value.Ref(2))));
  }

  @Test
  void runsOfNumbersBecomeArrays() {
    assertThat(parse("((1.,2.5,-3E2))").getFirst())
        .isInstanceOfSatisfying(
            Value.Numbers.class, n -> assertThat(n.values()).containsExactly(1, 2.5, -300));
    assertThat(parse("(((1,2,3),(4,5,6)))").getFirst())
        .isInstanceOfSatisfying(
            Value.Table.class,
            t -> {
              assertThat(t.columns()).isEqualTo(3);
              assertThat(t.values()).containsExactly(1, 2, 3, 4, 5, 6);
            });
    assertThat(parse("(((1,2),(3,4,5)))").getFirst()).isInstanceOf(Value.Many.class);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Gr\\X2\\00F600DF\\X0\\e | Größe",
        "\\S\\d\\X\\E9 | äé",
        "a\\\\b | a\\b",
        "\\X4\\0001F600\\X0\\ | \uD83D\uDE00",
        "\\PA\\x | x"
      })
  void escapesAreDecoded(String raw, String text) {
    assertThat(StepString.decode(raw)).isEqualTo(text);
  }

  private Path file(String text) throws IOException {
    return Files.writeString(dir.resolve("m.ifc"), text);
  }

  private static final String HEAD =
      "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_SCHEMA(('IFC4'));\nENDSEC;\nDATA;\n";
  private static final String TAIL = "ENDSEC;\nEND-ISO-10303-21;\n";

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "#1=IFCCARTESIANPOINT((1.,2.) | line 7",
        "#1 IFCCARTESIANPOINT((1.,2.)); | '=' is missing",
        "#99999999999=IFCCARTESIANPOINT((1.,2.)); | too large",
        "?? | unexpected character"
      })
  void brokenRecordsNameTheirLine(String data, String said) throws IOException {
    Path f = file(HEAD + data.strip().replace("\\n", "\n") + "\n" + TAIL);
    assertThatThrownBy(() -> IfcReader.read(f, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("line ")
        .hasMessageContaining(said.strip());
  }

  @Test
  void otherFilesAndCutFilesAreRefused() throws IOException {
    assertThatThrownBy(() -> IfcReader.read(file("hello"), Progress.NONE))
        .hasMessageContaining("no STEP file");
    assertThatThrownBy(
            () -> IfcReader.read(file(HEAD + "#1=IFCDIRECTION((1.,0.));\n"), Progress.NONE))
        .hasMessageContaining("ends too early");
    assertThatThrownBy(
            () -> IfcReader.read(file(HEAD.replace("IFC4", "IFC9") + TAIL), Progress.NONE))
        .hasMessageContaining("schema IFC9 is not known");
    assertThatThrownBy(
            () ->
                IfcReader.read(
                    file("ISO-10303-21;\nHEADER;\nENDSEC;\nDATA;\n" + TAIL), Progress.NONE))
        .hasMessageContaining("does not name its schema");
  }

  @Test
  void aBrokenValueIsFoundWhenItIsUsed() throws IOException {
    Path f =
        file(
            HEAD
                + "#1=IFCPROJECT('x',$,'n',$,$,$,$,$,#2);\n#2=IFCUNITASSIGNMENT((#3);\n#3=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);\n"
                + TAIL);
    assertThatThrownBy(() -> IfcReader.read(f, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("line 8");
  }
}
