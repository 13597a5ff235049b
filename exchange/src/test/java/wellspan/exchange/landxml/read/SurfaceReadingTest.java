package wellspan.exchange.landxml.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/** Surfaces of LandXML. */
class SurfaceReadingTest extends DesignTexts {
  private static Shape.Faces surface(Received r) {
    return (Shape.Faces) r.items().getFirst().shape();
  }

  @Test
  void whatASurfaceWasMadeOfIsReadToo() throws IOException {
    Received r =
        read(
            METRE
                + PYRAMID.replace(
                    "<Definition",
                    "<SourceData><Breaklines><Breakline brkType=\"standard\"><PntList3D>1 2 3 4 5 6</PntList3D></Breakline></Breaklines>"
                        + "<Boundaries><Boundary bndType=\"outer\"><PntList2D>0 0 0 9 9 9 0 0</PntList2D></Boundary></Boundaries>"
                        + "<DataPoints><PntList3D>7 8 9</PntList3D></DataPoints></SourceData><Definition")
                + "<PlanFeatures><PlanFeature name=\"Edge\"><CoordGeom>"
                + "<IrregularLine><Start>1 2</Start><End>3 4</End><PntList3D>1 2 5 3 4 6</PntList3D></IrregularLine>"
                + "<Line><Start>1 2 3</Start><End>4 5 6</End></Line></CoordGeom></PlanFeature></PlanFeatures>");
    assertThat(r.items())
        .extracting(i -> i.kind() + " " + i.name())
        .contains(
            "string Hill breaklines", "string Hill boundary", "points Hill points", "string Edge");
    Shape.Lines edge =
        (Shape.Lines)
            r.items().stream().filter(i -> i.name().equals("Edge")).findFirst().get().shape();
    assertThat(edge.lines()).hasSize(2);
    assertThat(edge.lines().getFirst().xyz()).containsExactly(2, 1, 5, 4, 3, 6);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("terrain.invisible");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "a post | <Line><Start>1 2 3</Start><End>1 2 6</End></Line> | 2 1 3 2 1 6",
        "a place | <Line><Start>1 2 3</Start><End>1 2 3</End></Line> | 2 1 3 2 1 3",
        "a place by a list | <IrregularLine><Start>1 2 3</Start><End>1 2 3</End><PntList3D>1 2 3 1 2 3</PntList3D></IrregularLine> | 2 1 3 2 1 3",
        "a kerb's face | <IrregularLine><Start>1 2 0</Start><End>9 2 0.1</End><PntList3D>1 2 0 5 2 0 5 2 0.1 9 2 0.1</PntList3D></IrregularLine> | 2 1 0 2 5 0 2 5 0.1 2 9 0.1",
        "a point twice | <IrregularLine><Start>1 2 0</Start><End>9 2 0</End><PntList3D>1 2 0 5 2 0 5 2 0 9 2 0</PntList3D></IrregularLine> | 2 1 0 2 5 0 2 5 0 2 9 0",
        "ends apart from the list | <IrregularLine><Start>1 2 0</Start><End>9 2 0</End><PntList3D>3 2 0 5 2 0</PntList3D></IrregularLine> | 2 1 0 2 3 0 2 5 0 2 9 0",
        "levels at the ends only | <IrregularLine><Start>1 2 4</Start><End>9 2 5</End><PntList2D>1 2 5 2 9 2</PntList2D></IrregularLine> | 2 1 4 2 5 NaN 2 9 5"
      })
  void everyPointOfALineInSpaceIsRead(String what, String line, String expected)
      throws IOException {
    Received r =
        read(
            METRE
                + "<PlanFeatures><PlanFeature name=\"F\"><CoordGeom>"
                + line
                + "</CoordGeom></PlanFeature></PlanFeatures>");
    double[] xyz = Arrays.stream(expected.split(" ")).mapToDouble(Double::parseDouble).toArray();
    assertThat(((Shape.Lines) r.items().getFirst().shape()).lines().getFirst().xyz())
        .as(what)
        .containsExactly(xyz);
  }

  @Test
  void severalSurfacesOfOneNameAreKeptApart() throws IOException {
    String two = PYRAMID.replace("</Surfaces>", "").strip() + PYRAMID.replace("<Surfaces>", "");
    assertThat(read(METRE + two).items())
        .extracting(Item::name)
        .containsExactly("Hill", "Hill (2)");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "<P id=\"19\">10 10 0</P> | <P id=\"19\">10 NaN 0</P> | NaN",
        "<P id=\"19\">10 10 0</P> | <P id=\"19\">10 10</P> | one is missing",
        "<P id=\"19\">10 10 0</P> | <P id=\"19\">10 10 0 4</P> | more than three",
        "<P id=\"19\">10 10 0</P> | <P id=\"18\">10 10 0</P> | stands twice",
        "<P id=\"19\">10 10 0</P> | <P>10 10 0</P> | no id",
        "<F>17 18 top</F> | <F>17 18 99</F> | point 99, which does not exist",
        "<F>17 18 top</F> | <F>17 18</F> | fewer than three",
        "<F>17 18 top</F> | <F>17 18 19 20 top</F> | more than four",
        "<P id=\"19\">10 10 0</P> | <P id=\"19\">10,5 10 0</P> | 10,5"
      })
  void aSurfaceThatCannotBeReadWholeIsLeftOutWithItsLine(String good, String bad, String said)
      throws IOException {
    Received r =
        read(
            METRE
                + PYRAMID
                    .replace(good.strip(), bad.strip())
                    .replace(
                        "</Surfaces>",
                        PYRAMID.replaceAll("(?s).*?<Surfaces>", "").replace("Hill", "Sound")));
    assertThat(r.items()).extracting(Item::name).containsExactly("Sound");
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(
            f ->
                assertThat(f.message())
                    .startsWith("Surface Hill is left out: line ")
                    .contains(said.strip()));
  }

  @Test
  void facesOfFourPointsBeforeTheirPointsAndWithoutArea() throws IOException {
    Received r =
        read(
            METRE
                + "<Surfaces><Surface name=\"G\"><Definition surfType=\"grid\"><Faces><F>1 2 3 4</F><F>1 1 2</F></Faces>"
                + "<Pnts><P id=\"1\">0 0 1</P><P id=\"2\">0 10 1</P><P id=\"3\">10 10 1</P><P id=\"4\">10 0 1</P></Pnts></Definition></Surface></Surfaces>");
    assertThat(r.hasErrors()).isFalse();
    assertThat(surface(r).mesh().triangles()).containsExactly(0, 1, 2, 0, 2, 3);
    assertThat(r.findings())
        .extracting(Finding::code)
        .contains("terrain.quads", "terrain.degenerate");
  }

  @Test
  void aNameWithoutTrianglesIsAnError() throws IOException {
    Received r =
        read(
            METRE
                + "<Surfaces><Surface name=\"Yard\"><Definition surfType=\"TIN\"><Pnts/><Faces/></Definition></Surface></Surfaces>");
    assertThat(r.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("terrain.empty");
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains("Yard").contains("nothing will arrive");
            });
  }
}
