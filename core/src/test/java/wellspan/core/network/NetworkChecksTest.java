package wellspan.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;

/** Each fault of a network, and the network beside it that has none. */
class NetworkChecksTest {
  private static final PipeSection ROUND = new PipeSection.Circle(0.3);

  private final List<Chamber> chambers = new ArrayList<>();
  private final List<Pipe> pipes = new ArrayList<>();

  /** A chamber that is 3 m deep, its rim at 52. */
  private void chamber(String name, double east, double north, Chamber.Invert... inverts) {
    chambers.add(
        new Chamber(
            name,
            new Chamber.Form.Round(1),
            east,
            north,
            52,
            49,
            0.12,
            List.of(inverts),
            "",
            List.of()));
  }

  private static Chamber.Invert at(String pipe, double level) {
    return new Chamber.Invert(pipe, level, "");
  }

  private void pipe(String name, String from, String to, PipeSection section) {
    pipes.add(new Pipe(name, from, to, section, 0.05, Double.NaN, "", List.of()));
  }

  private List<String> codes(String type) {
    List<Finding> findings = new ArrayList<>();
    NetworkBodies.of(List.of(new Network("N", type, chambers, pipes)), findings);
    return findings.stream().map(Finding::code).toList();
  }

  private List<String> codes() {
    return codes("storm");
  }

  /** One pipe of 30 m between two chambers. */
  private void run(double from, double to) {
    chamber("A", 0, 0, at("p", from));
    chamber("B", 30, 0, at("p", to));
    pipe("p", "A", "B", ROUND);
  }

  @ParameterizedTest
  @CsvSource({
    "50, 49.7, ''",
    "50, 49.911, network.slope",
    "50, 49.909, ''",
    "51, 48.001, network.outside",
    "50, 50.1, network.rises",
    "50, 50, network.slope"
  })
  void aPipeFallsByTheUsualAmount(double from, double to, String code) {
    run(from, to);
    if (code.isEmpty()) {
      assertThat(codes()).isEmpty();
    } else {
      assertThat(codes()).contains(code);
    }
  }

  @Test
  void aPressurePipeMayRunFlat() {
    run(50, 50);
    assertThat(codes("water")).isEmpty();
    assertThat(codes("storm")).containsExactly("network.slope");
  }

  /** The top of the pipe is its height and its wall above its lowest inside point. */
  @ParameterizedTest
  @CsvSource({"50.84, ''", "50.86, network.cover", "51.64, network.cover", "51.66, network.above"})
  void aPipeLiesUnderTheRimOfItsChambers(double level, String code) {
    run(level, level - 0.3);
    assertThat(codes()).isEqualTo(code.isEmpty() ? List.of() : List.of(code));
  }

  @Test
  void aChannelNeedsNoCover() {
    chamber("A", 0, 0, at("p", 51.5));
    chamber("B", 30, 0, at("p", 51.2));
    pipe("p", "A", "B", new PipeSection.Channel(0.4, 1, 0.4));
    assertThat(codes()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"48.9985, network.outside", "48.9995, ''", "52.0015, network.outside"})
  void aPipeMeetsItsChamberBetweenFloorAndRim(double level, String code) {
    run(level, level - 0.3);
    assertThat(codes().contains("network.outside")).isEqualTo(!code.isEmpty() || level < 49.3);
  }

  /** Two pipes in a row, the second one leaving higher or lower than the first arrives. */
  @ParameterizedTest
  @CsvSource({"49.7, ''", "49.7009, ''", "49.712, network.step"})
  void waterDoesNotHaveToRiseToLeave(double leaves, String code) {
    chamber("A", 0, 0, at("p", 50));
    chamber("B", 30, 0, at("p", 49.7), at("q", leaves));
    chamber("C", 60, 0, at("q", 49.4));
    pipe("p", "A", "B", ROUND);
    pipe("q", "B", "C", ROUND);
    assertThat(codes()).isEqualTo(code.isEmpty() ? List.of() : List.of(code));
  }

  @Test
  void aPipeIsNotSmallerThanOneThatFlowsIntoIt() {
    chamber("A", 0, 0, at("p", 50));
    chamber("B", 30, 0, at("p", 49.7), at("q", 49.7));
    chamber("C", 60, 0, at("q", 49.4));
    pipe("p", "A", "B", ROUND);
    pipe("q", "B", "C", new PipeSection.Circle(0.25));
    assertThat(codes()).containsExactly("network.shrinks");
  }

  /** Of one area, whatever their forms. */
  @Test
  void aBoxOfTheSameAreaIsNotSmaller() {
    double side = Math.sqrt(Math.PI) * 0.15;
    chamber("A", 0, 0, at("p", 50));
    chamber("B", 30, 0, at("p", 49.7), at("q", 49.7));
    chamber("C", 60, 0, at("q", 49.4));
    pipe("p", "A", "B", ROUND);
    pipe("q", "B", "C", new PipeSection.Box(side, side));
    assertThat(codes()).isEmpty();
  }

  private void triangle() {
    chamber("A", 0, 0, at("p", 50), at("r", 49.1));
    chamber("B", 30, 0, at("p", 49.7), at("q", 49.7));
    chamber("C", 30, 30, at("q", 49.4), at("r", 49.4));
    pipe("p", "A", "B", ROUND);
    pipe("q", "B", "C", ROUND);
    pipe("r", "C", "A", ROUND);
  }

  @Test
  void stormWaterDoesNotFlowInALoop() {
    triangle();
    assertThat(codes("storm")).contains("network.loop");
    assertThat(codes("water")).doesNotContain("network.loop");
  }

  @Test
  void twoWaysToOneChamberAreNoLoop() {
    chamber("A", 0, 0, at("p", 50), at("r", 50));
    chamber("B", 30, 0, at("p", 49.7), at("q", 49.7));
    chamber("C", 30, 30, at("q", 49.4), at("r", 49.4));
    pipe("p", "A", "B", ROUND);
    pipe("q", "B", "C", ROUND);
    pipe("r", "A", "C", ROUND);
    assertThat(codes()).isEmpty();
  }

  /** A line of chambers longer than any stack. */
  @Test
  void aLongNetworkIsFollowedToItsEnd() {
    int n = 3000;
    for (int i = 0; i <= n; i++) {
      double level = 50 - 0.004 * 10 * (i % 2);
      chamber("C" + i, 10 * i, 0, at("p" + (i - 1), level), at("p" + i, level));
      if (i < n) {
        pipe("p" + i, "C" + i, "C" + (i + 1), ROUND);
      }
    }
    assertThat(codes()).doesNotContain("network.loop");
  }

  /** Two pipes that cross in plan, one above the other by a distance between their axes. */
  @ParameterizedTest
  @CsvSource({"0.41, false", "0.39, true", "0, true"})
  void pipesThatCrossLeaveRoomForTheirWalls(double apart, boolean near) {
    chamber("A", 0, 0, at("p", 50.15));
    chamber("B", 30, 0, at("p", 49.85));
    chamber("C", 15, -15, at("q", 50.15 - apart));
    chamber("D", 15, 15, at("q", 49.85 - apart));
    pipe("p", "A", "B", ROUND);
    pipe("q", "C", "D", ROUND);
    assertThat(codes().contains("network.near")).isEqualTo(near);
  }

  @Test
  void pipesOfOneChamberMayTouch() {
    chamber("A", 0, 0, at("p", 50), at("q", 50));
    chamber("B", 30, 0, at("p", 49.7));
    chamber("C", 30, 0.5, at("q", 49.7));
    pipe("p", "A", "B", ROUND);
    pipe("q", "A", "C", ROUND);
    assertThat(codes()).doesNotContain("network.near");
  }

  @Test
  void equalNamesAreSaidOnceForEachSort() {
    run(50, 49.7);
    chamber("A", 60, 0);
    pipe("p", "A", "B", ROUND);
    assertThat(codes().stream().filter("network.name"::equals)).hasSize(2);
  }

  @Test
  void aChamberAndAPipeMayShareAName() {
    chamber("A", 0, 0, at("A", 50));
    chamber("B", 30, 0, at("A", 49.7));
    pipe("A", "A", "B", ROUND);
    assertThat(codes()).isEmpty();
  }
}
