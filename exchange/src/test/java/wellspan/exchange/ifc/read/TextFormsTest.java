package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.progress.Progress;

/** Texts in every form that ISO 10303-21 has for them, and in those that files have besides. */
class TextFormsTest {
  @TempDir Path dir;

  private String name(String written, Charset bytes) throws IOException {
    String text =
        "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_NAME('','',(''),(''),'','','');\nFILE_SCHEMA(('IFC4'));\nENDSEC;\nDATA;\n"
            + HandMadeModel.HEAD
            + HandMadeModel.PLACEMENT
            + HandMadeModel.WALL.replace("'Wall'", "'" + written + "'")
            + HandMadeModel.BOX
            + "ENDSEC;\nEND-ISO-10303-21;\n";
    Path f = dir.resolve("a.ifc");
    Files.write(f, text.getBytes(bytes));
    return IfcReader.read(f, Progress.NONE).items().getFirst().name();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "plain | plain",
        "it''s | it's",
        "back\\\\slash | back\\slash",
        "Stra\\S\\_e | Straße",
        "Gr\\X\\FC\\X\\DFe | Grüße",
        "Gr\\X2\\00FC\\X0\\n | Grün",
        "\\X2\\041C043E04410442\\X0\\ | Мост",
        "\\X2\\6A4B\\X0\\ | 橋",
        "\\X4\\0001F6E4\\X0\\ way | 🛤 way",
        "\\X2\\D83DDEE4\\X0\\ way | 🛤 way",
        "\\PE\\\\S\\\" | Ђ",
        "a\\X\\5Cb | a\\b"
      })
  void everyFormIsTheSameText(String written, String meant) throws IOException {
    assertThat(name(written, StandardCharsets.US_ASCII)).isEqualTo(meant);
  }

  @Test
  void bytesOfOtherCodePagesAreReadAsTheyAreMeant() throws IOException {
    assertThat(name("Brücke über", StandardCharsets.UTF_8)).isEqualTo("Brücke über");
    assertThat(name("Brücke über", Charset.forName("windows-1252"))).isEqualTo("Brücke über");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"\\X2\\00F | x", "\\X\\G1 | x", "\\X2\\00FC | x", "\\Q\\ | x"})
  void aFormThatIsNoneDoesNotEndTheReading(String written, String other) throws IOException {
    assertThat(name("before " + written + " " + other, StandardCharsets.US_ASCII))
        .startsWith("before");
  }
}
