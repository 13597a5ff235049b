package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/** Lines that stand for alignments keep to them as closely as was asked for. */
class AlignmentChordsTest {
  @ParameterizedTest
  @CsvSource({"5, 0.01", "5, 0.001", "12, 0.01", "500, 0.01", "2, 0.0001"})
  void anArcIsCutWithinTheTolerance(double radius, double chord) {
    PlanElement arc =
        new PlanElement.Arc(new PlanPoint(radius, 0, Math.PI / 2), radius * Math.PI / 2, radius);
    Alignment a = new Alignment("a", List.of(arc), new Chainages(0, List.of()), Optional.empty());
    Polyline line = AlignmentChords.of(a, chord);
    for (int i = 1; i < line.pointCount(); i++) {
      Position p = line.point(i - 1);
      Position q = line.point(i);
      double half = Math.hypot(p.east() - q.east(), p.north() - q.north()) / 2;
      double sagitta = radius - Math.sqrt(radius * radius - half * half);
      assertThat(sagitta).isLessThanOrEqualTo(chord);
      assertThat(half * 2).isLessThanOrEqualTo(1 + 1e-9);
    }
  }
}
