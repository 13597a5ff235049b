package wellspan.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.finding.Finding;
import wellspan.core.job.RevisionChange;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.Intake;

class DemoDataTest {
  private static final Path COMMITTED = Path.of("..", "demo");

  @TempDir Path dir;

  @Test
  void theCommittedDataAreWhatTheMakerMakes() throws IOException {
    DemoMaker.make(dir);
    List<Path> made;
    try (Stream<Path> all = Files.walk(dir)) {
      made =
          all.filter(Files::isRegularFile)
              .map(dir::relativize)
              .filter(p -> !p.startsWith("job/cache")) // kept for speed, and never committed
              .toList();
    }
    assertThat(made).hasSizeGreaterThan(5);
    for (Path p : made) {
      assertThat(Files.mismatch(COMMITTED.resolve(p), dir.resolve(p)))
          .as(p.toString())
          .isEqualTo(-1);
    }
  }

  @Test
  void theRoadIsAsTheScenarioSays() throws IOException {
    Received r = Intake.read(COMMITTED.resolve("road/quay-road.xml"), Progress.NONE);
    Shape.Faces ground = (Shape.Faces) r.items().getFirst().shape();
    assertThat(ground.mesh().triangleCount()).isGreaterThan(20_000);
    Alignment quay =
        r.items().stream()
            .filter(i -> i.shape() instanceof Shape.Axis)
            .map(i -> ((Shape.Axis) i.shape()).alignment())
            .findFirst()
            .orElseThrow();
    assertThat(quay.length()).isCloseTo(1240, within(1e-6));
    assertThat(quay.largestGap()).isLessThan(1e-8);
    List<PlanElement> e = quay.elements();
    assertThat(e)
        .anySatisfy(
            x ->
                assertThat(x)
                    .isInstanceOfSatisfying(
                        PlanElement.Spiral.class,
                        s ->
                            assertThat(s.startCurvature() * s.endCurvature())
                                .isPositive())); // compound
    assertThat(e.stream().mapToDouble(PlanElement::startCurvature).max().orElseThrow())
        .isPositive();
    assertThat(e.stream().mapToDouble(PlanElement::startCurvature).min().orElseThrow())
        .isNegative();
    assertThat(r.findings())
        .extracting(Finding::code)
        .as("what is planted, and that the verge makes room for the junction")
        .containsExactly("terrain.empty", "section.gap");
  }

  @Test
  void revisionBRaisesTheProfileBetweenTwoChainages() throws IOException {
    RevisionChange c =
        RevisionChange.between(
            Intake.read(COMMITTED.resolve("road/quay-road.xml"), Progress.NONE),
            Intake.read(COMMITTED.resolve("road/quay-road-RevB.xml"), Progress.NONE));
    assertThat(c.added()).isEmpty();
    assertThat(c.gone()).isEmpty();
    assertThat(c.changed())
        .hasSize(13) // the profile, the ground, and every part of the road
        .anySatisfy(s -> assertThat(s).contains("Kerb: volume"))
        .anySatisfy(
            s ->
                assertThat(s)
                    .startsWith("Quay Road: profile moved by up to +0.350 m between 0+42"));
    assertThat(c.same()).isEqualTo(18); // the branch, the junction and the head too
    assertThat(c.largestLevelDifference()).isCloseTo(0.35, within(0.01));
  }

  @ParameterizedTest
  @ValueSource(strings = {"yard/yard-layout.dxf", "survey/breaklines.dxf"})
  void drawingsAreSoundApartFromTheirPlantedFlaws(String name) throws IOException {
    List<String> lines = Files.readAllLines(COMMITTED.resolve(name));
    Set<String> handles = new HashSet<>();
    List<String> owners = new ArrayList<>();
    Set<String> layers = new HashSet<>();
    List<String> used = new ArrayList<>();
    String type = "";
    for (int i = 0; i + 1 < lines.size(); i += 2) {
      String value = lines.get(i + 1);
      switch (lines.get(i).strip()) {
        case "0" -> type = value;
        case "2" -> {
          if (type.equals("LAYER")) {
            layers.add(value);
          }
        }
        case "5", "105" -> {
          if (!type.equals("SECTION")) { // there it is the next free handle
            assertThat(handles.add(value)).as("handle %s is used once", value).isTrue();
          }
        }
        case "8" -> {
          if (!type.equals("SECTION")) {
            used.add(value);
          }
        }
        case "330", "340", "350", "390" -> owners.add(value);
        default -> {}
      }
    }
    handles.add("0");
    assertThat(handles).containsAll(owners);
    assertThat(layers).containsAll(used);
    assertThat(lines).contains("OBJECTS", "BLOCK_RECORD", "*Active", "EOF");
  }
}
