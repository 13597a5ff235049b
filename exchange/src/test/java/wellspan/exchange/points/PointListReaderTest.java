package wellspan.exchange.points;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;

class PointListReaderTest {
  @TempDir Path dir;

  private Received read(String text) throws IOException {
    return PointListReader.read(Files.writeString(dir.resolve("control.csv"), text), Progress.NONE);
  }

  @Test
  void columnsAreFoundByTheirNames() throws IOException {
    Item.PointGroup g =
        (Item.PointGroup)
            read("Northing;Point;Easting;Level;Code\n6534500.5;BN-1;412000.25;;x\n2;B;1;3.5;\n")
                .items()
                .getFirst();
    assertThat(g.points().get(0).position().east()).isEqualTo(412_000.25);
    assertThat(g.points().get(0).position().height()).isNaN();
    assertThat(g.points().get(1).position()).isEqualTo(new Position(1, 2, 3.5));
  }

  @Test
  void faultsNameColumnAndLine() {
    assertThatThrownBy(() -> read("id,what\n1,2\n"))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("no columns for east and north");
    assertThatThrownBy(() -> read("id,e,n\nA,1,2\nB,zwei,3\n"))
        .hasMessageContaining("line 3")
        .hasMessageContaining("\"zwei\"");
    assertThatThrownBy(() -> read("id,e,n\nA,NaN,2\n")).hasMessageContaining("not a number");
    assertThatThrownBy(() -> read("id,lat,lon\nA,95.2,7\n")).hasMessageContaining("no latitude");
    assertThatThrownBy(() -> read("id,lat,lon\nA,58°61'0\",7\n")).hasMessageContaining("line 2");
  }

  private Item.NamedPoint first(String text) throws IOException {
    return ((Item.PointGroup) read(text).items().getFirst()).points().getFirst();
  }

  @Test
  void decimalCommasSpacesAndOtherLanguagesAreRead() throws IOException {
    Item.NamedPoint p =
        first("Punktnummer;Hochwert;Rechtswert;Höhe\nP 1;6 534 500,25;412 000,5;−1,75\n");
    assertThat(p.name()).isEqualTo("P 1");
    assertThat(p.position()).isEqualTo(new Position(412_000.5, 6_534_500.25, -1.75));
    assertThat(first("navn\tøst\tnord\thøyde\nA\t1,5\t2,5\t3\n").position())
        .isEqualTo(new Position(1.5, 2.5, 3));
    assertThat(first("A   412000.5  6534500.25   7 peg\n"))
        .isEqualTo(new Item.NamedPoint("A", new Position(412_000.5, 6_534_500.25, 7), "peg"));
  }

  @Test
  void aUnitInTheHeaderIsTaken() throws IOException {
    Received r = read("id,x [mm],y [mm],z [mm]\nA,1500,2500,-250\n");
    assertThat(r.unit()).isEqualTo("millimetre");
    Position p = ((Item.PointGroup) r.items().getFirst()).points().getFirst().position();
    assertThat(p).isEqualTo(new Position(1.5, 2.5, -0.25));
  }

  @Test
  void listsWithoutHeaderSayHowTheyWereTaken() throws IOException {
    Received r = read("A,412000,6534500,3\nB,412001,6534501,4\n");
    assertThat(((Item.PointGroup) r.items().getFirst()).points()).hasSize(2);
    assertThat(r.findings()).extracting(Finding::code).contains("points.columns");
    assertThat(first("412000;6534500;3\n").name()).isEqualTo("1");
  }

  @Test
  void latitudeAndLongitudeComeInAllWritings() throws IOException {
    Position expected = new Position(-7.4708204, 58.9411039, 12);
    for (String line :
        List.of(
            "A;58.9411039;-7.4708204;12",
            "A;58°56'27.974\"N;7°28'14.953\"W;12",
            "A;58 56 27.974;-7 28 14.953;12",
            "A;58:56:27.974;-7:28:14.953;12",
            "A;58° 56.466234' N;7° 28.249224' W;12")) {
      Received r = read("id;lat;lon;h\n" + line + "\n");
      assertThat(r.crs()).isEqualTo("EPSG:4326");
      Position p = ((Item.PointGroup) r.items().getFirst()).points().getFirst().position();
      assertThat(p.planDistanceTo(expected)).as(line).isLessThan(2e-7);
    }
  }

  @Test
  void textOfOlderProgramsIsReadToo() throws IOException {
    Path f =
        Files.write(
            dir.resolve("b.csv"),
            "id,H\u00F6he,e,n\nM\u00FCller,1,2,3\n"
                .getBytes(java.nio.charset.StandardCharsets.ISO_8859_1));
    Item.PointGroup g = (Item.PointGroup) PointListReader.read(f, Progress.NONE).items().getFirst();
    assertThat(g.points().getFirst().name()).isEqualTo("M\u00FCller");
    assertThat(g.points().getFirst().position().height()).isEqualTo(1);
  }

  @Test
  void aListWithoutPointsIsAnError() throws IOException {
    assertThat(read("id,e,n\n").hasErrors()).isTrue();
  }
}
