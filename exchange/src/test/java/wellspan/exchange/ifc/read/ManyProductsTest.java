package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wellspan.exchange.ifc.read.HandMadeModel.HEAD;
import static wellspan.exchange.ifc.read.HandMadeModel.PLACEMENT;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;

/** Products that are so many that several threads read them become what one would make of them. */
class ManyProductsTest {
  private static final int MANY = 1000;

  @TempDir Path dir;

  /** Blocks of growing height that share two sets and stand in rows of a hundred of one name. */
  private static String blocks() {
    StringBuilder data = new StringBuilder(HEAD + PLACEMENT);
    List<String> all = new ArrayList<>();
    for (int i = 0; i < MANY; i++) {
      int n = 1000 + 10 * i;
      all.add("#" + n);
      data.append(
          String.format(
              Locale.ROOT,
              """
              #%d=IFCWALL('%022d',$,'Block %d',$,$,#24,#%d,$,$);
              #%d=IFCPRODUCTDEFINITIONSHAPE($,$,(#%d));
              #%d=IFCSHAPEREPRESENTATION(#4,'Body','x',(#%d));
              #%d=IFCBLOCK(#6,1.,1.,%d.);
              """,
              n,
              i,
              i / 100,
              n + 1,
              n + 1,
              n + 2,
              n + 2,
              n + 3,
              n + 3,
              i + 1));
    }
    return data
        + "#900=IFCPROPERTYSET('0000000000000000009900',$,'Sound',$,(#901));\n"
        + "#901=IFCPROPERTYSINGLEVALUE('Mark',$,IFCLABEL('A'),$);\n"
        + "#902=IFCPROPERTYSET('0000000000000000009902',$,'Broken',$,(#901,#903));\n"
        + "#903=IFCPROPERTYSINGLEVALUE('Weight',$,'no value',$);\n"
        + "#904=IFCRELDEFINESBYPROPERTIES('0000000000000000009904',$,$,$,("
        + String.join(",", all)
        + "),#900);\n"
        + "#905=IFCRELDEFINESBYPROPERTIES('0000000000000000009905',$,$,$,("
        + String.join(",", all)
        + "),#902);\n";
  }

  private Received read(String data) throws IOException {
    return new HandMadeModel(dir).read("IFC4", data);
  }

  @Test
  void theyStandInTheOrderOfTheFileUnderNamesOfTheirOwn() throws IOException {
    List<Item> items = read(blocks()).items();
    assertThat(items).hasSize(MANY);
    for (int i = 0; i < MANY; i++) {
      int nth = i % 100 + 1;
      assertThat(items.get(i).name())
          .isEqualTo("Block " + i / 100 + (nth == 1 ? "" : " (" + nth + ")"));
      assertThat(items.get(i).triangles().orElseThrow().bounds().maxH()).isEqualTo(3 + i + 1.0);
      assertThat(items.get(i).said().propertySets()).hasSize(2);
    }
  }

  @Test
  void whatIsWrongWithASetOfAllOfThemIsSaidOnce() throws IOException {
    assertThat(read(blocks()).findings().stream().filter(Finding::isError))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("Broken.Weight", "#903"));
  }

  @Test
  void whatIsCountedIsCountedOnce() throws IOException {
    String twoLong = "'" + "x".repeat(300) + "'";
    String data =
        blocks()
            .replace("IFCLABEL('A')", "IFCLABEL(" + twoLong + ")")
            .replace("'Block 7'", twoLong)
            .replace("1.,1.,500.", "1.,1.,500");
    Received r = read(data);
    assertThat(r.findings())
        .filteredOn(f -> f.code().equals("ifc.text.long"))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).startsWith("101 instances"));
    assertThat(r.findings())
        .filteredOn(f -> f.code().equals("ifc.real"))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).startsWith("1 instance holds"));
  }

  @Test
  void productsOfOneGlobalIdAreFoundHoweverFarApart() throws IOException {
    String data = blocks().replace(String.format("'%022d'", 999), String.format("'%022d'", 1));
    assertThat(read(data).findings())
        .filteredOn(f -> f.code().equals("ifc.id.twice"))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("#10990").contains("#1010"));
  }

  @Test
  void textThatIsBrokenInTheMiddleIsNamedByItsLine() {
    String data = blocks().replace("1.,1.,700.", "1.,1.!700.");
    assertThatThrownBy(() -> read(data))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("comma")
        .hasMessageContaining("line");
  }

  @Test
  void readingThemIsCancelled() throws IOException {
    Path file = new HandMadeModel(dir).file("IFC4", blocks());
    Progress half =
        new Progress() {
          private volatile boolean enough;

          @Override
          public void report(double fraction, String sentence) {
            enough |= fraction > 0.8;
          }

          @Override
          public boolean isCancelled() {
            return enough;
          }
        };
    assertThatThrownBy(() -> IfcReader.read(file, half)).isInstanceOf(CancellationException.class);
  }
}
