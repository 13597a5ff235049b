package wellspan.app.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Rectangle2D;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Cards over the plan stay in it and off each other. */
class CardPlacesTest {
  private static final Rectangle2D AREA = new Rectangle2D(8, 52, 700, 460);

  @Test
  void aCardWithRoomStandsWhereItBelongs() {
    CardPlaces free = new CardPlaces(AREA);
    assertThat(free.next(100, 200, 180, 26)).isEqualTo(new Rectangle2D(100, 200, 180, 26));
    assertThat(free.next(300, 200, 80, 26)).isEqualTo(new Rectangle2D(300, 200, 80, 26));
  }

  @Test
  void cardsOfWhatLiesOutsideStandInARowAlongTheEdge() {
    CardPlaces free = new CardPlaces(AREA);
    Rectangle2D first = free.next(-4000, 9000, 180, 26);
    Rectangle2D second = free.next(-3900, 9050, 120, 26);
    assertThat(first).isEqualTo(new Rectangle2D(8, 486, 180, 26));
    assertThat(second).isEqualTo(new Rectangle2D(194, 486, 120, 26));
  }

  @Property
  void whereverTheyBelongTheyStayInThePictureAndOffEachOther(
      @ForAll @DoubleRange(min = -5000, max = 5000) double x,
      @ForAll @DoubleRange(min = -5000, max = 5000) double y,
      @ForAll @DoubleRange(min = 0, max = 200) double dx,
      @ForAll @DoubleRange(min = -200, max = 200) double dy) {
    CardPlaces free = new CardPlaces(AREA);
    List<Rectangle2D> all = new ArrayList<>();
    all.add(free.next(x, y, 216, 130));
    all.add(free.next(x + dx, y + dy, 140, 26));
    all.add(free.next(x + dy, y + dx, 124, 26));
    assertThat(all).allMatch(AREA::contains);
    assertThat(all.get(0).intersects(all.get(1))).isFalse();
    assertThat(all.get(0).intersects(all.get(2))).isFalse();
    assertThat(all.get(1).intersects(all.get(2))).isFalse();
  }

  @Test
  void withoutRoomTheyStandAtTheBeginningOfThePicture() {
    CardPlaces free = new CardPlaces(new Rectangle2D(8, 52, 0, 0));
    assertThat(free.next(50, 50, 100, 26)).isEqualTo(new Rectangle2D(8, 52, 100, 26));
  }
}
