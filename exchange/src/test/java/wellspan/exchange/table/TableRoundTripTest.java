package wellspan.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.rulebook.CodeSystem;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.table.read.CodeList;
import wellspan.exchange.table.read.TableReader;
import wellspan.exchange.table.write.TableFile;

/** Tables go out and come back without a change. */
class TableRoundTripTest {
  @TempDir Path folder;

  @ParameterizedTest
  @ValueSource(strings = {"t.csv", "t.xlsx"})
  void textsComeBackAsTheyWere(String name) throws IOException {
    Path file = folder.resolve(name);
    List<String> head = List.of("name", "Größe", "c", "d", "e");
    List<List<String>> rows =
        List.of(
            List.of("0042", "Schlüssel ß", "two\nlines", "=1+1", "a;b,c\t"),
            List.of("1.50", "\"quoted\"", "2026-11-28", "-3", "'x"),
            List.of("1e5", " padded ", "TRUE", "+4", "x"));
    List<List<Object>> cells = new ArrayList<>();
    rows.forEach(r -> cells.add(new ArrayList<>(r)));
    TableFile.write(file, head, cells);
    List<List<String>> back = TableReader.read(file);
    assertThat(back.getFirst()).isEqualTo(head);
    assertThat(back.subList(1, back.size())).isEqualTo(rows);
  }

  @ParameterizedTest
  @ValueSource(strings = {"code;title;parent", "code,title,parent", "code\ttitle\tparent"})
  void findsTheSeparator(String head) throws IOException {
    Path file = folder.resolve("codes.csv");
    String s = head.substring(4, 5);
    Files.writeString(
        file, head + "\r\n007" + s + "Größe" + s + "\r\n\r\n0071" + s + s + "007\r\n");
    assertThat(CodeList.read(file))
        .containsExactly(
            new CodeSystem.Code("007", "Größe", ""), new CodeSystem.Code("0071", "", "007"));
  }

  @Test
  void readsCodesAsJson() throws IOException {
    Path file = folder.resolve("codes.json");
    Files.writeString(
        file, "[{\"code\":\"3\",\"title\":\"Pavement\"},{\"code\":\"3.1\",\"parent\":\"3\"}]");
    assertThat(CodeList.read(file))
        .containsExactly(
            new CodeSystem.Code("3", "Pavement", ""), new CodeSystem.Code("3.1", "", "3"));
  }

  @Test
  void refusesWhatIsNoTable() throws IOException {
    Path broken = folder.resolve("b.csv");
    Files.writeString(broken, "code,title\n\"3,Pavement\n");
    assertThatThrownBy(() -> TableReader.read(broken)).isInstanceOf(ReadException.class);
    Path book = folder.resolve("b.xlsx");
    Files.writeString(book, "no workbook");
    assertThatThrownBy(() -> TableReader.read(book))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("workbook");
    Path old = folder.resolve("o.csv");
    Files.write(old, "code,title\n1,Gr\u00f6\u00dfe\n".getBytes(StandardCharsets.ISO_8859_1));
    assertThatThrownBy(() -> TableReader.read(old)).hasMessageContaining("UTF-8");
    Path none = folder.resolve("n.csv");
    Files.writeString(none, "number,title\n1,x\n");
    assertThatThrownBy(() -> CodeList.read(none)).hasMessageContaining("code");
    assertThatThrownBy(() -> TableReader.read(folder.resolve("missing.csv")))
        .hasMessageContaining("no such file");
  }
}
