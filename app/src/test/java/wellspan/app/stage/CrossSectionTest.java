package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;

/** What a cross section tells of the road that is cut. */
class CrossSectionTest {
  private static final Mesh NOTHING = new Mesh(new double[0], new int[0]);
  private final List<CrossSection.Cut> cuts = new ArrayList<>();

  private void body(Band band, double... ring) {
    Item item = Item.body("b" + cuts.size(), NOTHING, band);
    cuts.add(new CrossSection.Cut(ItemId.of("s", item), item, List.<double[]>of(ring), true, 0, 0));
  }

  private CrossSection section() {
    return new CrossSection(
        "R", (Alignment) null, new AlignmentPoint(0, 0, 0, 0, 10, 0), cuts, 0, 20, -30, 30);
  }

  @Test
  void theCarriagewayFallsAsItsTopDoesWhateverLiesBesideIt() {
    body(Band.EARTHWORKS, -5, 10, 5, 10, 25, 0, -25, 0, -5, 10); // its slopes are no crossfall
    body(Band.PAVEMENT, -4, 9.9, 0, 10, 4, 9.8, 4, 9.7, 0, 9.9, -4, 9.8, -4, 9.9);
    body(Band.PAVEMENT, -4, 9.8, 0, 9.9, 4, 9.7, 4, 9.2, 0, 9.2, -4, 9.2, -4, 9.8);
    body(Band.PAVEMENT, 4, 10, 6, 10.1, 6, 10, 4, 9.9, 4, 10); // a footway, rising outwards
    CrossSection s = section();
    assertThat(s.crossfall(-1).orElseThrow().percent()).isCloseTo(-2.5, within(1e-9));
    assertThat(s.crossfall(1).orElseThrow().percent()).isCloseTo(-5, within(1e-9));
    assertThat(s.crossfall(1).orElseThrow().offset()).isCloseTo(2, within(1e-9));
  }

  @Test
  void whereNothingIsPavedNothingIsSaid() {
    body(Band.EARTHWORKS, -5, 10, 5, 10, 25, 0, -25, 0, -5, 10);
    assertThat(section().crossfall(1)).isEmpty();
    body(Band.PAVEMENT, -1e-9, 10, 4, 9.9, 4, 9.7, -1e-9, 9.8, -1e-9, 10); // ends at the axis
    assertThat(section().crossfall(-1)).as("on the other side only").isEmpty();
    assertThat(section().crossfall(1).orElseThrow().percent())
        .isCloseTo(-100 * 0.1 / 4, within(1e-6));
  }

  @Test
  void theTopIsThatOfTheHighestBody() {
    body(Band.EARTHWORKS, -5, 9, 5, 9, 5, 0, -5, 0, -5, 9);
    body(Band.PAVEMENT, -4, 10, 4, 10, 4, 9, -4, 9, -4, 10);
    assertThat(section().top(1)).isEqualTo(10);
    assertThat(section().top(4.5)).isEqualTo(9);
    assertThat(section().top(6)).isNaN();
  }

  private void surface(String name, double... line) {
    Item item = Item.body(name, NOTHING, Band.GROUND);
    cuts.add(
        new CrossSection.Cut(ItemId.of("s", item), item, List.<double[]>of(line), false, 0, 0));
  }

  @Test
  void levelsAreThoseBetweenTheOffsetsAlsoOfALineThatCrossesThem() {
    surface("ground", -40, 0, 40, 8); // 4 at the axis, 0.1 for each metre
    assertThat(CrossSection.levels(cuts, -10, 20)).containsExactly(3, 6);
    surface("the other way round", 40, 8, -40, 0);
    surface("beside", 21, 99, 30, 99);
    assertThat(CrossSection.levels(cuts, -10, 20)).containsExactly(3, 6);
    assertThat(CrossSection.levels(List.of(), -10, 20)[0]).isInfinite();
  }

  @Test
  void groundOutsideThePictureIsTold() {
    surface("deep", -40, -4, 40, -2);
    surface("high", -40, 25, 40, 24);
    surface("seen", -40, 25, 40, 5);
    surface("beside", 31, -9, 40, -9);
    body(Band.EARTHWORKS, -5, -9, 5, -9, 5, -8, -5, -8, -5, -9); // a body reaches as far as it does
    assertThat(section().outside())
        .extracting(o -> o.name() + " " + Math.round(o.metres() * 100))
        .containsExactly("deep -225", "high 413");
  }

  @Test
  void coursesAreNamedAsFarAsThereIsRoom() {
    List<String> all = List.of("Surface 40", "Binder 80", "Base 150");
    assertThat(CrossSectionPicture.fitting(all, " mm", 99))
        .isEqualTo("Surface 40 · Binder 80 · Base 150 mm");
    assertThat(CrossSectionPicture.fitting(all, " mm", 33))
        .isEqualTo("Surface 40 · Binder 80 mm, 1 more");
    assertThat(CrossSectionPicture.fitting(all, " mm", 32)).isEqualTo("Surface 40 mm, 2 more");
    assertThat(CrossSectionPicture.fitting(all, " mm", 5)).isEmpty();
    assertThat(CrossSectionPicture.fitting(List.of(), "", 99)).isEmpty();
  }
}
