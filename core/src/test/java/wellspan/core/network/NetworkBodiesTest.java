package wellspan.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;

class NetworkBodiesTest {
  private final List<Finding> findings = new ArrayList<>();

  private static Chamber round(
      String name, double east, double rim, double sump, Chamber.Invert... i) {
    return new Chamber(
        name, new Chamber.Form.Round(1), east, 0, rim, sump, 0.12, List.of(i), "", List.of());
  }

  private static Chamber.Invert in(String pipe, double level) {
    return new Chamber.Invert(pipe, level, "in");
  }

  private static Chamber.Invert out(String pipe, double level) {
    return new Chamber.Invert(pipe, level, "out");
  }

  private static Pipe pipe(String name, String from, String to, PipeSection s) {
    return new Pipe(name, from, to, s, 0.05, Double.NaN, "", List.of());
  }

  private List<NetworkBody> bodies(List<Chamber> chambers, Pipe... pipes) {
    return NetworkBodies.of(
        List.of(new Network("Storm", "storm", chambers, List.of(pipes))), findings);
  }

  @Test
  void aPipeEndsAtTheOuterWallsAndHasTheVolumeOfItsWall() {
    NetworkBody p =
        bodies(
                List.of(round("A", 0, 52, 49, out("p", 50)), round("B", 30, 52, 49, in("p", 49.7))),
                pipe("p", "A", "B", new PipeSection.Circle(0.3)))
            .getLast();
    PipeBody body = (PipeBody) p.body().body();
    double length = (30 - 2 * 0.62) * Math.hypot(1, 0.01);
    assertThat(body.length()).isCloseTo(length, within(1e-9));
    assertThat(body.planLength()).hasValue(30);
    Mesh m = body.mesh(0.010);
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(Math.PI * (0.2 * 0.2 - 0.15 * 0.15) * length, within(1e-6));
    assertThat(m.bounds().minH()).isCloseTo(49.7 + 0.01 * 0.62 - 0.05, within(0.002));
    assertThat(findings).isEmpty();
  }

  @Test
  void everySectionIsClosedAndHasItsVolume() {
    Position from = new Position(10, 5, 50);
    Position to = new Position(30, 25, 49.8);
    for (PipeSection s :
        List.of(
            new PipeSection.Egg(0.9, 0.6),
            new PipeSection.Ellipse(0.9, 0.6),
            new PipeSection.Box(1.2, 2),
            new PipeSection.Channel(0.5, 1.2, 0.4))) {
      PipeBody b = new PipeBody(s, 0.08, from, to, 28);
      Mesh m = b.mesh(0.010);
      assertThat(m.isClosed()).as(s.toString()).isTrue();
      assertThat(m.volume()).as(s.toString()).isCloseTo(b.volume(), Percentage.withPercentage(0.1));
    }
  }

  @Test
  void theStandardEggHasItsPublishedAreaAndPerimeter() {
    PipeSection.Egg egg = new PipeSection.Egg(3, 2); // r = 1
    assertThat(egg.area()).isCloseTo(4.594, within(0.002));
    assertThat(egg.perimeter()).isCloseTo(7.930, within(0.002));
  }

  @Test
  void chambersAreHollowWithABaseAndACover() {
    ChamberBody b = new ChamberBody(0, 0, new Chamber.Form.Round(1), 52, 49, 0.12, 0.12, 0.1);
    Mesh m = b.mesh(0.010);
    assertThat(m.isClosed()).isTrue();
    double exact = Math.PI / 4 * (1.24 * 1.24 * 3.12 - 2.9);
    assertThat(b.volume()).isCloseTo(exact, within(1e-9));
    assertThat(m.volume()).isCloseTo(exact, within(1e-6));
    ChamberBody box =
        new ChamberBody(0, 0, new Chamber.Form.Rectangular(2, 1, 0.3), 52, 49, 0.2, 0.2, 0.1);
    assertThat(box.mesh(0.010).volume()).isCloseTo(2.4 * 1.4 * 3.2 - 2 * 1 * 2.9, within(1e-9));
  }

  @Test
  void whatIsWrongIsSaid() {
    bodies(
        List.of(
            round("A", 0, 52, 49, out("up", 50), out("flat", 50.1), out("none", 50)),
            round("B", 30, 52, 49, in("up", 50.2), out("small", 50.3), in("flat", 50.05)),
            round("C", 60, 51.0, 50, in("small", 50.2), out("back", 50.1)),
            round("D", 90, 50, 50)),
        pipe("up", "A", "B", new PipeSection.Circle(0.4)),
        pipe("flat", "A", "B", new PipeSection.Circle(0.4)),
        pipe("small", "B", "C", new PipeSection.Circle(0.3)),
        pipe("back", "C", "A", new PipeSection.Circle(0.3)),
        pipe("none", "A", "X", new PipeSection.Circle(0.3)),
        pipe("zero", "A", "B", new PipeSection.Circle(0)),
        pipe("blank", "B", "C", new PipeSection.Circle(0.3)));
    assertThat(findings)
        .extracting(Finding::code)
        .contains(
            "network.rises",
            "network.slope",
            "network.step",
            "network.shrinks",
            "network.loop",
            "network.chamber",
            "network.size.none",
            "network.invert.assumed",
            "network.level",
            "network.cover");
  }

  @Test
  void pipesThatRunIntoEachOtherAreNamed() {
    Chamber n =
        new Chamber(
            "N",
            new Chamber.Form.Round(1),
            15,
            15,
            52,
            49,
            0.12,
            List.of(out("q", 50)),
            "",
            List.of());
    Chamber s =
        new Chamber(
            "S",
            new Chamber.Form.Round(1),
            15,
            -15,
            52,
            49,
            0.12,
            List.of(in("q", 49.7)),
            "",
            List.of());
    bodies(
        List.of(round("A", 0, 52, 49, out("p", 50)), round("B", 30, 52, 49, in("p", 49.7)), n, s),
        pipe("p", "A", "B", new PipeSection.Circle(0.3)),
        pipe("q", "N", "S", new PipeSection.Circle(0.3)));
    assertThat(findings).extracting(Finding::code).containsExactly("network.near");
  }
}
