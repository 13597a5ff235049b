package wellspan.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;

class PointTableTest {
  @Property(tries = 50)
  void aTableIsTheListOfWhatWasAdded(@ForAll @Size(max = 60) List<String> names) {
    PointTable.Builder b = new PointTable.Builder();
    List<NamedPoint> plain = new ArrayList<>();
    for (String name : names) {
      int i = plain.size();
      String code = i % 3 == 0 ? "peg" : "";
      b.add(name, i, 2.0 * i, -i, code);
      String shown = name.isEmpty() ? Integer.toString(i + 1) : name;
      plain.add(new NamedPoint(shown, new Position(i, 2.0 * i, -i), code));
    }
    assertThat(b.build()).isEqualTo(plain).hasSameSizeAs(plain);
  }

  @Test
  void aGroupKeepsTheTableAndItsCoordinates() {
    PointTable.Builder b = new PointTable.Builder();
    for (int i = 0; i < 5000; i++) {
      b.add("", i, i + 0.5, 7, "");
    }
    PointTable table = b.build();
    Shape.Points g = new Shape.Points(table);
    assertThat(g.points()).isSameAs(table);
    assertThat(g.coordinates()).hasSize(15_000).startsWith(0, 0.5, 7, 1, 1.5, 7);
    assertThat(g.bounds().maxE()).isEqualTo(4999);
    assertThatThrownBy(() -> table.get(5000)).isInstanceOf(IndexOutOfBoundsException.class);
    assertThatThrownBy(() -> table.set(0, null)).isInstanceOf(UnsupportedOperationException.class);
  }
}
