package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class LargeAndOddTest extends CommandFixture {

  private Path write(String name, String text) throws IOException {
    return Files.writeString(dir.resolve(name), text);
  }

  @Test
  void aNetOfManyTrianglesGoesThroughUnchanged() throws IOException {
    int n = 120;
    StringBuilder s =
        new StringBuilder(
            "<LandXML version=\"1.1\"><Units><Metric linearUnit=\"meter\"/></Units><Surfaces><Surface name=\"Net\"><Definition surfType=\"TIN\"><Pnts>");
    for (int i = 0; i < n * n; i++) {
      s.append("<P id=\"")
          .append(3 * i + 100)
          .append("\">")
          .append(6_534_000 + Math.floorDiv(i, n) * 2.5)
          .append(' ')
          .append(412_000 + i % n * 2.5)
          .append(' ')
          .append(i % 17 / 10.0)
          .append("</P>");
    }
    s.append("</Pnts><Faces>");
    for (int j = 0; j + 1 < n; j++) {
      for (int i = 0; i + 1 < n; i++) {
        int a = j * n + i;
        for (int[] f : new int[][] {{a, a + 1, a + n}, {a + 1, a + n + 1, a + n}}) {
          s.append("<F>")
              .append(3 * f[0] + 100)
              .append(' ')
              .append(3 * f[1] + 100)
              .append(' ')
              .append(3 * f[2] + 100)
              .append("</F>");
        }
      }
    }
    Path in =
        write(
            "net.xml", s.append("</Faces></Definition></Surface></Surfaces></LandXML>").toString());
    assertThat(
            run("convert", in.toString(), dir.resolve("net.ifc").toString(), "--crs", "EPSG:25832"))
        .as(err.toString())
        .isZero();
    assertThat(out.toString()).contains("triangles identical").contains("proven");
    assertThat(run("inspect", dir.resolve("net.ifc").toString())).isZero();
    assertThat(out.toString()).contains((n - 1) * (n - 1) * 2 + " triangles");
  }

  @Test
  void namesOfAnyScriptSurvive() throws IOException {
    Path in =
        write(
            "Straße 'öst'.xml",
            "<LandXML version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><Surfaces><Surface name=\"Geländе №1 – 道路\"><Definition surfType=\"TIN\"><Pnts><P id=\"a\">6534000 412000 1</P><P id=\"b\">6534000 412010 1</P><P id=\"c\">6534010 412000 1</P></Pnts><Faces><F>a b c</F></Faces></Definition></Surface></Surfaces></LandXML>");
    assertThat(
            run("convert", in.toString(), dir.resolve("ü.ifc").toString(), "--crs", "EPSG:25832"))
        .as(err.toString())
        .isZero();
    assertThat(run("inspect", dir.resolve("ü.ifc").toString(), "--json")).isZero();
    assertThat(out.toString()).contains("Geländе №1 – 道路").contains("Straße 'öst'.xml");
  }

  @Test
  void severalInputsBecomeOneFile() throws IOException {
    String one =
        "<LandXML version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><CoordinateSystem epsgCode=\"25832\"/><Alignments><Alignment name=\"NAME\" staStart=\"0\"><CoordGeom><Line><Start>6534000 412000</Start><End>6534000 412100</End></Line></CoordGeom></Alignment></Alignments></LandXML>";
    Path a = write("a.xml", one.replace("NAME", "A"));
    Path b = write("b.xml", one.replace("NAME", "B"));
    assertThat(run("convert", a.toString(), b.toString(), dir.resolve("both.ifc").toString()))
        .as(err.toString())
        .isZero();
    assertThat(out.toString()).contains("2 of 2 items arrived");
  }

  @Test
  void aFileWithNothingToDeliverIsSaid() throws IOException {
    Path in =
        write(
            "empty.xml",
            "<LandXML version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><Surfaces><Surface name=\"S\"><Definition surfType=\"TIN\"><Pnts/><Faces/></Definition></Surface></Surfaces></LandXML>");
    assertThat(
            run("convert", in.toString(), dir.resolve("x.ifc").toString(), "--crs", "EPSG:25832"))
        .isEqualTo(2);
    assertThat(err.toString()).contains("Nothing to write");
    assertThat(dir.resolve("x.ifc")).doesNotExist();
  }

  @Test
  void versionAndHelpAnswer() {
    assertThat(run("--version")).isZero();
    assertThat(out.toString()).contains("Wellspan 0.1.0");
    assertThat(run("deliver", "--help")).isZero();
    assertThat(out.toString()).contains("--to").contains("--json");
  }
}
