package wellspan.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static wellspan.core.road.RoadPartsTest.area;
import static wellspan.core.road.RoadPartsTest.at;
import static wellspan.core.road.RoadPartsTest.box;
import static wellspan.core.road.RoadPartsTest.solid;
import static wellspan.core.road.RoadPartsTest.straight;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.finding.Finding;

/** Cross sections with something wrong in them: what is sound is made, what is not is told. */
class BadSectionsTest {
  private final List<Finding> findings = new ArrayList<>();

  private List<RoadPart> parts(Alignment axis, CrossSection... sections) {
    return RoadParts.of(axis, List.of(sections), findings);
  }

  @Test
  void badSectionsAreNamedAndMakeNoBrokenBody() {
    double[][] bow = {{0, 100}, {4, 99}, {4, 100}, {0, 99}};
    List<RoadPart> p =
        parts(
            straight(40),
            at(20, box("Base", 0, 4, 100, 0.2)),
            at(0, box("Base", 0, 4, 100, 0.2), area("Bow", bow)),
            at(40, box("Base", 0, 4, 100, 0.2), box("Alone", 0, 1, 100, 1)),
            at(55, box("Base", 0, 4, 100, 0.2)));
    assertThat(p).singleElement().satisfies(b -> solid(b, 40 * 0.8));
    assertThat(findings)
        .extracting(Finding::code)
        .containsExactlyInAnyOrder(
            "section.beyond", "section.order", "section.outline", "section.alone");
  }

  @Test
  void whatIsWrongInManySectionsIsToldOnceWithWhere() {
    double[][] bow = {{0, 100}, {4, 99}, {4, 100}, {0, 99}};
    CrossSection[] sections = new CrossSection[9];
    for (int i = 0; i < 9; i++) {
      sections[i] = at(5 * i, box("Base", 0, 4, 100, 0.2), area("Bow", bow));
    }
    parts(straight(40), sections);
    assertThat(findings)
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.message()).contains("9 sections from 0+000.000 to 0+040.000: Bow");
              assertThat(f.figure().orElseThrow().value()).isEqualTo(9);
            });
    findings.clear();
    parts(straight(10), at(0, area("Bow", bow)), at(10, area("Bow", bow)));
    assertThat(findings)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("sections 0+000.000, 0+010.000: Bow"));
  }

  @Test
  void whatIsMissingBetweenSectionsThatHaveItIsNoted() {
    List<RoadPart> p =
        parts(
            straight(100),
            at(0, box("Base", 0, 4, 100, 0.2)),
            at(20, box("Base", 0, 4, 100, 0.2)),
            at(40),
            at(70, box("Base", 0, 4, 100, 0.2)),
            at(100, box("Base", 0, 4, 100, 0.2)));
    assertThat(p).singleElement().satisfies(b -> solid(b, 50 * 0.8));
    assertThat(findings)
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("section.gap");
              assertThat(f.isError()).isFalse();
              assertThat(f.message()).contains("0+020.000", "0+070.000");
              assertThat(f.figure().orElseThrow().value()).isEqualTo(50);
            });
  }

  /** What fades to nothing, stays nothing and grows again is not missing. */
  @Test
  void noThicknessIsNoGap() {
    parts(
        straight(100),
        at(0, box("Base", 0, 4, 100, 0.2)),
        at(20, box("Base", 0, 4, 100, 0)),
        at(60, box("Base", 0, 4, 100, 0)),
        at(100, box("Base", 0, 4, 100, 0.2)));
    assertThat(findings).isEmpty();
  }
}
