package wellspan.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;

/** Which pipes a long section through one of them shows. */
class PipeRunTest {
  private final List<NetworkPart.Run> all = new ArrayList<>();

  private static Chamber chamber(String name, double e, double n) {
    return new Chamber(name, new Chamber.Form.Round(1), e, n, 12, 8, 0.1, List.of(), "", List.of());
  }

  private NetworkPart.Run pipe(
      String network, String name, Chamber a, Chamber b, double diameter, double from, double to) {
    Position p = new Position(a.east(), a.north(), from);
    Position q = new Position(b.east(), b.north(), to);
    PipeSection section = new PipeSection.Circle(diameter);
    Pipe pipe = new Pipe(name, a.name(), b.name(), section, 0.05, Double.NaN, "", List.of());
    double length = Math.hypot(b.east() - a.east(), b.north() - a.north());
    NetworkPart.Run r =
        new NetworkPart.Run(
            network,
            "storm",
            new LaidPipe(pipe, a, b, p, q),
            new PipeBody(section, 0.05, p, q, length));
    all.add(r);
    return r;
  }

  private static List<String> names(PipeRun r) {
    return r.stretches().stream().map(s -> s.laid().pipe().name()).toList();
  }

  @Test
  void itRunsFromTheFarthestUpstreamToWhereItFlowsOut() {
    Chamber a = chamber("A", 0, 0), b = chamber("B", 30, 40), c = chamber("C", 90, 40);
    Chamber d = chamber("D", 90, 140), side = chamber("S", 30, 90);
    NetworkPart.Run ab = pipe("N", "ab", a, b, 0.3, 10, 9.5);
    NetworkPart.Run sb = pipe("N", "sb", side, b, 0.2, 10, 9.6);
    NetworkPart.Run bc = pipe("N", "bc", b, c, 0.3, 9.4, 9);
    pipe("N", "cd", c, d, 0.4, 9, 8.5);
    pipe("Other", "xx", chamber("D", 90, 140), chamber("Z", 0, 0), 0.9, 9, 8);
    PipeRun run = PipeRun.through(bc, all).orElseThrow();
    assertThat(names(run)).as("the larger of two that come in").containsExactly("ab", "bc", "cd");
    assertThat(run.chambers()).extracting(Chamber::name).containsExactly("A", "B", "C", "D");
    assertThat(run.length()).isCloseTo(50 + 60 + 100, within(1e-9));
    assertThat(run.at(25)).isEqualTo(new Position(15, 20, 9.75));
    assertThat(run.at(80).level()).isCloseTo(9.2, within(1e-9));
    assertThat(run.at(999)).isEqualTo(new Position(90, 140, 8.5));
    assertThat(PipeRun.through(ab, all)).contains(run);
    assertThat(names(PipeRun.through(sb, all).orElseThrow())).containsExactly("sb", "bc", "cd");
  }

  @Test
  void aChamberIsOnTheRunThatLeavesIt() {
    Chamber a = chamber("A", 0, 0), b = chamber("B", 50, 0), c = chamber("C", 100, 0);
    pipe("N", "ab", a, b, 0.3, 10, 9.5);
    pipe("N", "bc", b, c, 0.3, 9.5, 9);
    for (Chamber at : List.of(a, b, c)) {
      NetworkPart.Node node =
          new NetworkPart.Node(
              "N", "storm", at, new ChamberBody(at.east(), 0, at.form(), 12, 8, 0.1, 0.1, 0.1));
      assertThat(names(PipeRun.through(node, all).orElseThrow())).containsExactly("ab", "bc");
    }
    NetworkPart.Node alone =
        new NetworkPart.Node(
            "N",
            "storm",
            chamber("Q", 9, 9),
            new ChamberBody(9, 9, new Chamber.Form.Round(1), 12, 8, 0.1, 0.1, 0.1));
    assertThat(PipeRun.through(alone, all)).isEmpty();
  }

  @Test
  void ofTwoAlikeTheStraighterOneGoesOnAndLoopsEnd() {
    Chamber a = chamber("A", 0, 0), b = chamber("B", 50, 0);
    Chamber right = chamber("R", 50, -50), on = chamber("O", 100, 3);
    NetworkPart.Run ab = pipe("N", "ab", a, b, 0.3, 10, 9.5);
    pipe("N", "right", b, right, 0.3, 9.5, 9);
    pipe("N", "on", b, on, 0.3, 9.5, 9);
    pipe("N", "back", on, a, 0.3, 9, 8.5);
    assertThat(names(PipeRun.through(ab, all).orElseThrow())).containsExactly("ab", "on");
  }
}
