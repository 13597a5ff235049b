package wellspan.exchange.points.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ColumnRole;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.file.ReadException;

class PointListReaderTest {
  @TempDir Path dir;

  private Received read(String text) throws IOException {
    return PointListReader.read(Files.writeString(dir.resolve("control.csv"), text), Progress.NONE);
  }

  @Test
  void columnsAreFoundByTheirNames() throws IOException {
    Shape.Points g =
        (Shape.Points)
            read("Northing;Point;Easting;Level;Code\n6534500.5;BN-1;412000.25;;x\n2;B;1;3.5;\n")
                .items()
                .getFirst()
                .shape();
    assertThat(g.points().get(0).position().east()).isEqualTo(412_000.25);
    assertThat(g.points().get(0).position().level()).isNaN();
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

  @Test
  void marksThatWouldTakePointsAwayAreNamed() throws IOException {
    String points = "A;1;2;3;wall\nB;2;3;4;\"\nC;3;4;5;\"\nD;4;5;6;wall\n"; // as above
    for (String text :
        List.of(points, "A;1;2;3;wall\nB;2;3;4;\"\nC;3;4;5;x\n", "A;1;2;3;x\nB;2;3;4;\"2\" in\n")) {
      assertThatThrownBy(() -> read("id;e;n;level;code\n" + text))
          .isInstanceOf(ReadException.class)
          .hasMessageStartingWith("control.csv, line 3: ")
          .hasMessageContaining("quotation marks");
    }
    Shape.Points g =
        (Shape.Points)
            read("id;e;n;level;code\nA;1;2;3;\"old\ntree\"\nB;2;3;4;pipe 2\"\n")
                .items()
                .getFirst()
                .shape();
    assertThat(g.points()).hasSize(2);
    assertThat(g.points().getFirst().code()).isEqualTo("old\ntree");
    assertThat(g.points().getLast().code()).isEqualTo("pipe 2\"");
  }

  private NamedPoint first(String text) throws IOException {
    return ((Shape.Points) read(text).items().getFirst().shape()).points().getFirst();
  }

  @Test
  void decimalCommasSpacesAndOtherLanguagesAreRead() throws IOException {
    NamedPoint p =
        first("Punktnummer;Hochwert;Rechtswert;Höhe\nP 1;6 534 500,25;412 000,5;−1,75\n");
    assertThat(p.name()).isEqualTo("P 1");
    assertThat(p.position()).isEqualTo(new Position(412_000.5, 6_534_500.25, -1.75));
    assertThat(first("navn\tøst\tnord\thøyde\nA\t1,5\t2,5\t3\n").position())
        .isEqualTo(new Position(1.5, 2.5, 3));
    assertThat(first("A   412000.5  6534500.25   7 peg\n"))
        .isEqualTo(new NamedPoint("A", new Position(412_000.5, 6_534_500.25, 7), "peg"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "punkt rechts hoch h/P1 412300,25 6534700,5 12,5/P2 412310 6534710,5 12|SPACE",
        "Gate 1,412300,6534700,3/Gate 2,412310,6534710,4|,",
        "id, e, n, h/P 1, 412300.25, 6534700.5, 12/P 2, 412310, 6534710, 12|,",
        "412300,6534700,3/412310,6534710,4|,",
        "a;b;c/1,5;2,5;3/2,5;3,5;4|;"
      })
  void aCommaBetweenDigitsOfWordsIsNoSeparator(String lines, String separator) throws IOException {
    Path f = Files.writeString(dir.resolve("list.txt"), lines.replace('/', '\n') + "\n");
    assertThat(PointListPreview.found(f).separator())
        .isEqualTo(separator.equals("SPACE") ? " " : separator);
  }

  @Test
  void aUnitInTheHeaderIsTaken() throws IOException {
    Received r = read("id,x [mm],y [mm],z [mm]\nA,1500,2500,-250\n");
    assertThat(r.unit()).isEqualTo("millimetre");
    Position p = ((Shape.Points) r.items().getFirst().shape()).points().getFirst().position();
    assertThat(p).isEqualTo(new Position(1.5, 2.5, -0.25));
  }

  @Test
  void listsWithoutHeaderSayHowTheyWereTaken() throws IOException {
    Received r = read("A,412000,6534500,3\nB,412001,6534501,4\n");
    assertThat(((Shape.Points) r.items().getFirst().shape()).points()).hasSize(2);
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
      Position p = ((Shape.Points) r.items().getFirst().shape()).points().getFirst().position();
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
    Shape.Points g =
        (Shape.Points) PointListReader.read(f, Progress.NONE).items().getFirst().shape();
    assertThat(g.points().getFirst().name()).isEqualTo("M\u00FCller");
    assertThat(g.points().getFirst().position().level()).isEqualTo(1);
  }

  @Test
  void aListWithoutPointsIsAnError() throws IOException {
    assertThat(read("id,e,n\n").hasErrors()).isTrue();
  }

  private static ReadingRule.Columns columns(String separator, int head, ColumnRole... roles) {
    return new ReadingRule.Columns(separator, head, List.of(roles), Optional.of(LinearUnit.FOOT));
  }

  @Test
  void chosenColumnsHoldWhateverTheHeaderSays() throws IOException {
    Path f =
        Files.writeString(
            dir.resolve("odd.txt"), "Survey of the shore\na;b;c;d\n7;20,5;10;peg\n8;21;11;nail\n");
    Received r =
        PointListReader.read(
            f,
            Optional.of(
                columns(
                    ";", 2, ColumnRole.HEIGHT, ColumnRole.NORTH, ColumnRole.EAST, ColumnRole.CODE)),
            Progress.NONE);
    NamedPoint p = ((Shape.Points) r.items().getFirst().shape()).points().getFirst();
    assertThat(p.position()).isEqualTo(new Position(10 * 0.3048, 20.5 * 0.3048, 7 * 0.3048));
    assertThat(p.code()).isEqualTo("peg");
    assertThat(r.unit()).isEqualTo("foot");
    assertThat(r.findings()).extracting(Finding::code).doesNotContain("points.columns");
  }

  @Test
  void aPreviewShowsTheFirstRowsAndWhatTheyAreTakenFor() throws IOException {
    Path known = Files.writeString(dir.resolve("k.csv"), "id,N [ft],E [ft],H\nA,1,2,3\n");
    PointListPreview sure = PointListPreview.found(known);
    assertThat(sure.certain()).isTrue();
    assertThat(sure.headLines()).isEqualTo(1);
    assertThat(sure.unit()).contains(LinearUnit.FOOT);
    assertThat(sure.roles())
        .containsExactly(ColumnRole.NAME, ColumnRole.NORTH, ColumnRole.EAST, ColumnRole.HEIGHT);
    Path odd =
        Files.writeString(
            dir.resolve("o.csv"),
            "about this list\nalpha,beta,gamma\n1,2.5,3\n" + "4,5,6\n".repeat(50));
    PointListPreview unsure = PointListPreview.found(odd);
    assertThat(unsure.certain()).isFalse();
    assertThat(unsure.headLines()).isEqualTo(2);
    assertThat(unsure.roles()).containsOnly(ColumnRole.NONE).hasSize(3);
    assertThat(unsure.rows()).hasSize(PointListPreview.ROWS);
    PointListPreview chosen =
        PointListPreview.by(odd, columns(",", 2, ColumnRole.EAST, ColumnRole.NORTH));
    assertThat(chosen.roles()).containsExactly(ColumnRole.EAST, ColumnRole.NORTH, ColumnRole.NONE);
  }

  @Test
  void aPreviewTellsWhatCannotStandInAColumn() {
    assertThat(PointListPreview.fits(ColumnRole.EAST, "6 534,5")).isTrue();
    assertThat(PointListPreview.fits(ColumnRole.EAST, "peg")).isFalse();
    assertThat(PointListPreview.fits(ColumnRole.EAST, "")).isFalse();
    assertThat(PointListPreview.fits(ColumnRole.HEIGHT, "")).isTrue();
    assertThat(PointListPreview.fits(ColumnRole.LATITUDE, "58°56'28.3\"")).isTrue();
    assertThat(PointListPreview.fits(ColumnRole.CODE, "anything")).isTrue();
  }

  @Property(tries = 1000)
  void numbersAreReadLikeTheLanguageReadsThem(@ForAll double d) {
    if (Double.isFinite(d)) {
      assertThat(PlainNumber.parse(Double.toString(d))).isEqualTo(d);
      String short3 = String.format(java.util.Locale.ROOT, "%.3f", d % 1e8);
      assertThat(PlainNumber.parse(short3)).isEqualTo(Double.parseDouble(short3));
      assertThat(PlainNumber.parse(short3.replace('.', ','))).isEqualTo(Double.parseDouble(short3));
    }
  }

  @Test
  void whatIsNoNumberIsNone() {
    for (String s : List.of("", "-", ".", ",", "1.2.3", "1e", "0x10", "NaN", "1e999", "12a")) {
      assertThat(PlainNumber.parse(s)).as(s).isNaN();
    }
    assertThat(PlainNumber.parse("−1 234,5")).isEqualTo(-1234.5);
    assertThat(PlainNumber.parse(".5")).isEqualTo(0.5);
    assertThat(PlainNumber.parse("5.")).isEqualTo(5);
  }
}
