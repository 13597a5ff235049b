package wellspan.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.crs.OwnSystem;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.unit.LinearUnit;

class FrameSheetTest {
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 2), 21.5)
          .withScale(1.000305)
          .withUnit(LinearUnit.MILLIMETRE)
          .withHeights("NN2000", 39.5)
          .withLock("agreed");
  private static final Box WORK = new Box(411_980, 6_534_300, -6, 413_300, 6_535_092, 56.3);

  private static FrameSheet sheet() {
    return FrameSheet.of(
        "Brindle Ness",
        FRAME,
        List.of(
            new FrameSheet.NamedPosition("BN-1", new Position(412_118.402, 6_534_792.775, 47.319)),
            new FrameSheet.NamedPosition("flat", new Position(1, 2, Double.NaN))),
        WORK);
  }

  /** The formulas on the sheet, worked out here on their own. */
  @Test
  void checkPointsFollowTheFormulasOnTheSheet() {
    assertThat(sheet().checks()).hasSize(3);
    double a = Math.toRadians(21.5);
    for (FrameSheet.CheckPoint c : sheet().checks()) {
      double de = c.shared().east() - 412_000;
      double dn = c.shared().north() - 6_534_500;
      assertThat(c.local().east())
          .isCloseTo(1.000305 * (de * Math.cos(a) - dn * Math.sin(a)), within(1e-9));
      assertThat(c.local().north())
          .isCloseTo(1.000305 * (de * Math.sin(a) + dn * Math.cos(a)), within(1e-9));
      assertThat(c.local().level()).isEqualTo(c.shared().level() - 2);
    }
    assertThat(sheet().checks().getFirst().local().planDistanceTo(new Position(0, 0, 0))).isZero();
  }

  @Test
  void theSheetIsWrittenAsJsonWithWkt() throws Exception {
    JsonNode n = new ObjectMapper().readTree(FrameSheetJson.node(sheet()).toString());
    assertThat(FrameJson.read(n.path("frame"))).isEqualTo(FRAME);
    assertThat(n.path("system").path("id").asText()).isEqualTo("EPSG:25832");
    assertThat(n.path("wkt").asText()).startsWith("PROJCS[\"ETRS_1989_UTM_Zone_32N\"");
    assertThat(n.path("control")).hasSize(2);
    assertThat(n.path("control").get(1).path("shared").get(2).isNull()).isTrue();
    assertThat(n.path("atBasePoint").path("convergence").asDouble())
        .isCloseTo(-1.31003571, within(1e-6));
    assertThat(OwnSystem.identify(n.path("wkt").asText()).orElseThrow().code()).isEqualTo("25832");
  }

  @Test
  void thePageSaysEverythingInWords() {
    String html = FrameSheetPage.html(sheet());
    assertThat(html)
        .contains("EPSG:25832, ETRS89 / UTM zone 32N")
        .contains("412000.0000 m")
        .contains("21.50000000°")
        .contains("1.000305000")
        .contains("39.5000 m")
        .contains("millimetre")
        .contains("BN-1")
        .contains("agreed")
        .contains("PROJCS[&quot;")
        .doesNotContain("NaN");
    String empty = FrameSheetPage.html(FrameSheet.of("j", Frame.UNPLACED, List.of(), Box.EMPTY));
    assertThat(empty).contains("not chosen").contains("not named");
  }

  @Test
  void positionFilesSayWhereAFileLies() throws Exception {
    JsonNode n = new ObjectMapper().readTree(PositionFile.json("points.csv", FRAME, WORK));
    assertThat(n.path("job").asText()).isEqualTo("points.csv");
    assertThat(FrameJson.read(n.path("frame")).basePoint()).isEqualTo(FRAME.basePoint());
    assertThat(PositionFile.text("points.csv", FRAME))
        .contains("Position of points.csv")
        .contains("E 412000.0000   N 6534500.0000   H 2.0000")
        .contains("21.50000000 degrees")
        .contains("millimetre");
  }

  @Property(tries = 100)
  void sharedAndLocalAreInverse(
      @ForAll @DoubleRange(min = -20_000, max = 20_000) double de,
      @ForAll @DoubleRange(min = -20_000, max = 20_000) double dn,
      @ForAll @DoubleRange(min = -360, max = 360) double turn,
      @ForAll @DoubleRange(min = 0.99, max = 1.01) double scale) {
    Frame f = FRAME.withRotation(turn).withScale(scale);
    Position p = new Position(412_000 + de, 6_534_500 + dn, 12.5);
    assertThat(f.toShared(f.toLocal(p)).distanceTo(p)).isLessThan(1e-8);
  }

  @Test
  void ownSystemsAreCarriedByTheirText() {
    String text =
        "+proj=tmerc +lat_0=58 +lon_0=7.5 +k=1 +x_0=10000 +y_0=5000 +ellps=GRS80 +towgs84=0,0,0 +units=m";
    Frame own = FRAME.withCrs("Harbour grid", text);
    assertThat(own.system().orElseThrow().name()).isEqualTo("Harbour grid");
    assertThat(FrameJson.read(FrameJson.node(own))).isEqualTo(own);
    assertThat(FRAME.withCrs("Harbour grid", "broken").system()).isEmpty();
    assertThat(FrameSheet.of("j", own, List.of(), WORK).wkt()).isEmpty();
    assertThat(
            FrameChecks.check(
                own.withBasePoint(new Position(10_000, 5_000, 0)),
                new Box(10_000, 5_000, 0, 11_000, 6_000, 1)))
        .isEmpty();
  }

  @Test
  void scalesFarFromOneAreRefused() {
    assertThatThrownBy(() -> FRAME.withScale(1000)).hasMessageContaining("near 1");
    assertThatThrownBy(() -> FRAME.withScale(Double.NaN)).hasMessageContaining("near 1");
  }

  @Test
  void changesSayWhatTheyDo() {
    Frame moved = FRAME.withBasePoint(new Position(412_003, 6_534_504, 2)).withScale(1.000305);
    FrameChange shift = FrameChange.between(FRAME, moved, WORK);
    assertThat(shift.largestLocalMove()).isCloseTo(5 * 1.000305, within(1e-9));
    assertThat(shift.sentences(List.of("BIM handover")))
        .containsExactly(
            "Local coordinates move by up to 5.002 m.",
            "One delivery was made in the frame as it is now and must be made again: BIM handover.");
    FrameChange turn = FrameChange.between(FRAME, FRAME.withRotation(-338.5 + 0.001), WORK);
    assertThat(turn.turnedDegrees()).isCloseTo(0.001, within(1e-9));
    assertThat(turn.sentences(List.of("A", "B")).getLast()).startsWith("2 deliveries were");
    FrameChange other = FrameChange.between(FRAME, FRAME.withCrs("EPSG:25833"), WORK);
    assertThat(other.meaningChanges()).isTrue();
    assertThat(other.sentences(List.of()))
        .containsExactly(
            "Shared coordinates keep their numbers and mean other places on earth afterwards.");
    assertThat(FrameChange.between(FRAME, FRAME.withLock(""), WORK).movesNothing()).isTrue();
    assertThat(FrameChange.between(Frame.UNPLACED, FRAME, Box.EMPTY).meaningChanges()).isFalse();
    FrameChange small =
        FrameChange.between(
            FRAME, FRAME.withBasePoint(new Position(412_000.002, 6_534_500, 2)), Box.EMPTY);
    assertThat(small.sentences(List.of()))
        .containsExactly("Local coordinates move by up to 2.0 mm.");
  }

  @Test
  void whatReachesAFileIsTheSameForEveryLockAndReadingUnit() {
    assertThat(FRAME.asDelivered())
        .isEqualTo(
            FRAME.withLock("").withUnit(LinearUnit.FOOT).withHeights("NN2000", 3).asDelivered());
    assertThat(FRAME.asDelivered()).isNotEqualTo(FRAME.withScale(1).asDelivered());
  }

  @Test
  void baseNearTheWorkIsProposedInSeveralWays() {
    List<BasePoints.Proposal> all = BasePoints.proposals(WORK);
    assertThat(all).hasSize(3);
    assertThat(all.getFirst().point()).isEqualTo(new Position(411_900, 6_534_300, 0));
    assertThat(all.get(1).point()).isEqualTo(new Position(412_600, 6_534_700, 0));
    assertThat(all.get(2).point().level()).isEqualTo(-6);
    Box high = new Box(1, 1, 2_345, 100, 100, 2_400);
    assertThat(BasePoints.propose(high)).isEqualTo(new Position(0, 0, 2_300));
  }
}
