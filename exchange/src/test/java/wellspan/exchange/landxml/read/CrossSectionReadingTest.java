package wellspan.exchange.landxml.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

class CrossSectionReadingTest {
  private static final String METRE = "<Metric linearUnit=\"meter\"/>";

  @TempDir Path dir;

  private Received read(String units, String start, String more, String sections)
      throws IOException {
    return LandXmlReader.read(
        Files.writeString(
            dir.resolve("road.xml"),
            "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\"><Units>"
                + units
                + "</Units><Alignments><Alignment name=\"R\" length=\"100\" staStart=\""
                + start
                + "\"><CoordGeom><Line><Start>0 0</Start><End>0 100</End></Line></CoordGeom>"
                + more
                + "<CrossSects>"
                + sections
                + "</CrossSects></Alignment></Alignments></LandXML>"),
        Progress.NONE);
  }

  private static String section(double sta, String surface) {
    return "<CrossSect sta=\"" + sta + "\">" + surface + "</CrossSect>";
  }

  private static String box(String attributes) {
    return "<DesignCrossSectSurf "
        + attributes
        + "><CrossSectPnt>0 10</CrossSectPnt><CrossSectPnt>4 10</CrossSectPnt><CrossSectPnt>4 9.5</CrossSectPnt><CrossSectPnt>0 9.5</CrossSectPnt></DesignCrossSectSurf>";
  }

  private static Item only(Received r, String kind) {
    return r.items().stream()
        .filter(i -> i.kind().title().equals(kind))
        .findFirst()
        .orElseThrow(() -> new AssertionError(r.items() + " " + r.findings()));
  }

  private static double volume(Item i) {
    return ((Shape.Faces) i.shape()).mesh().volume();
  }

  @Test
  void feetBecomeMetres() throws IOException {
    String s = box("name=\"Base\" closedArea=\"true\"");
    Received r = read("<Imperial linearUnit=\"foot\"/>", "0", "", section(0, s) + section(100, s));
    assertThat(volume(only(r, "course"))).isCloseTo(200 * Math.pow(0.3048, 3), within(1e-9));
  }

  @Test
  void chainagesThatOnlyFitAsDisplayedAreTakenSo() throws IOException {
    String s = box("name=\"Base\" closedArea=\"true\"");
    Received r =
        read(
            METRE,
            "1000",
            "<StaEquation staInternal=\"1040\" staBack=\"1040\" staAhead=\"2000\"/>",
            section(1000, s) + section(1040, s) + section(2010, s) + section(2060, s));
    Item base = only(r, "course");
    assertThat(volume(base)).isCloseTo(200, within(1e-6));
    assertThat(r.findings()).extracting(Finding::code).contains("section.chainages");
    assertThat(base.said().propertySets().getFirst().values().get("EndChainage"))
        .isEqualTo(new PropertyValue.Length(2060));
  }

  @Test
  void nameCodeAndMaterialTellTheKind() throws IOException {
    for (String[] row :
        new String[][] {
          {"name=\"Bordstein\"", "kerb"},
          {"name=\"1\" material=\"topsoil\"", "verge"},
          {"desc=\"footway slabs\"", "footway"},
          {"name=\"Embankment\"", "fill"},
          {"name=\"Layer 3\" material=\"gravel\"", "course"}
        }) {
      String s = box(row[0] + " closedArea=\"true\"");
      Received r = read(METRE, "0", "", section(0, s) + section(100, s));
      assertThat(volume(only(r, row[1]))).as(row[0]).isCloseTo(200, within(1e-6));
    }
  }

  @Test
  void anOutlineThatDoesNotSayWhetherItIsClosedIsWhenItComesBack() throws IOException {
    String s = box("name=\"Base\"");
    Received r = read(METRE, "0", "", section(0, s) + section(100, s));
    assertThat(only(r, "course").said().closed()).hasValue(true);
    String line =
        "<DesignCrossSectSurf name=\"Top\"><CrossSectPnt>-4 10</CrossSectPnt><CrossSectPnt>4 10</CrossSectPnt></DesignCrossSectSurf>";
    Received open = read(METRE, "0", "", section(0, line) + section(100, line));
    assertThat(only(open, "design surface").said().closed()).hasValue(false);
  }

  @Test
  void groundSectionsAreLinesAcrossAndABrokenSectionIsNamed() throws IOException {
    String ground =
        "<CrossSectSurf name=\"Ground\"><PntList2D>-10 8 0 9 10 8.5</PntList2D></CrossSectSurf>";
    String s = box("name=\"Base\" closedArea=\"true\"");
    Received r =
        read(
            METRE,
            "0",
            "",
            section(0, ground + s)
                + "<CrossSect sta=\"50\"><DesignCrossSectSurf name=\"Base\" closedArea=\"true\"><CrossSectPnt>a b</CrossSectPnt></DesignCrossSectSurf></CrossSect>"
                + section(100, ground + s));
    Shape.Lines lines = (Shape.Lines) only(r, "string").shape();
    assertThat(lines.lines()).hasSize(2);
    assertThat(lines.lines().getFirst().point(0).north()).isCloseTo(10, within(1e-9)); // left
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .extracting(Finding::code)
        .containsExactly("landxml.left-out");
    assertThat(volume(only(r, "course"))).isCloseTo(200, within(1e-6));
  }

  private static String bySlopes(String side) {
    return "<DesignCrossSectSurf name=\"Shoulder\" typicalThickness=\"0.1\" closedArea=\"false\" side=\""
        + side
        + "\"><CrossSectPnt dataFormat=\"Slope Distance\">-0.025 3</CrossSectPnt>"
        + "<CrossSectPnt dataFormat=\"Slope Distance\">-2 1</CrossSectPnt></DesignCrossSectSurf>";
  }

  @Test
  void distancesWithSlopesRunToTheSideThatIsNamed() throws IOException {
    String profile =
        "<Profile><ProfAlign name=\"p\"><PVI>0 10</PVI><PVI>100 10</PVI></ProfAlign></Profile>";
    for (String side : new String[] {"left", "right"}) {
      String s = bySlopes(side);
      Received r = read(METRE, "0", profile, section(0, s) + section(50, s) + section(100, s));
      Item shoulder = r.items().getLast();
      assertThat(volume(shoulder)).as(side).isCloseTo(10, within(1e-6));
      double from = side.equals("left") ? 3 : -4; // the line runs east
      assertThat(shoulder.bounds().minN()).as(side).isCloseTo(from, within(1e-9));
      assertThat(shoulder.bounds().maxN()).as(side).isCloseTo(from + 1, within(1e-9));
      assertThat(shoulder.bounds().maxH()).isCloseTo(10 - 3 * 0.025, within(1e-9));
      assertThat(r.findings()).extracting(Finding::code).containsExactly("section.slopes");
    }
  }

  @Test
  void slopesThatStartFromNoLevelSayWhatIsMissing() throws IOException {
    String s = bySlopes("right");
    Received r = read(METRE, "0", "", section(0, s) + section(100, s));
    assertThat(r.findings().getFirst().message()).contains("no profile whose level");
    assertThat(r.findings()).anyMatch(Finding::isError);
  }
}
