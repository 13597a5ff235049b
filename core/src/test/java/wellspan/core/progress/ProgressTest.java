package wellspan.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

class ProgressTest {
  private final List<Double> fractions = new ArrayList<>();
  private final List<String> told = new ArrayList<>();
  private boolean cancelled;
  private final Progress whole =
      new Progress() {
        @Override
        public void report(double fraction, String sentence) {
          fractions.add(fraction);
          told.add(sentence);
        }

        @Override
        public boolean isCancelled() {
          return cancelled;
        }
      };

  @Test
  void partsLieInsideTheWhole() {
    Progress inner = whole.part(0.5, 1).part(0, 0.5);
    inner.advance(0, "begin");
    inner.advance(1, "end");
    assertThat(fractions.get(0)).isCloseTo(0.5, within(1e-12));
    assertThat(fractions.get(1)).isCloseTo(0.75, within(1e-12));
  }

  @Test
  void aWholeThatHoldsUpItsStepsHoldsUpThoseOfItsParts() {
    List<String> held = new ArrayList<>();
    Progress holding =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {}

          @Override
          public boolean isCancelled() {
            return false;
          }

          @Override
          public void advance(double fraction, String sentence) {
            held.add(sentence + " " + fraction);
          }
        };
    holding.part(0.5, 1).part(0, 0.5).advance(1, "end");
    assertThat(held).containsExactly("end 0.75");
  }

  @Test
  void aCancelledWholeCancelsItsParts() {
    Progress part = whole.part(0, 0.1);
    assertThatCode(part::checkCancelled).doesNotThrowAnyException();
    cancelled = true;
    assertThatThrownBy(() -> part.advance(0.5, "x"))
        .isInstanceOf(CancellationException.class)
        .hasMessage("Cancelled. Nothing was changed.");
    assertThat(fractions).isEmpty();
  }

  @Test
  void nobodyIsNeverCancelled() {
    assertThatCode(() -> Progress.NONE.advance(0.3, "x")).doesNotThrowAnyException();
  }

  @Test
  void aFileIsToldOfByTheNameItWillHave() {
    Progress named = whole.naming("a.ifc.17.new", "a.ifc");
    named.part(0, 0.5).advance(1, "Reading a.ifc.17.new");
    named.report(1, "Comparing");
    assertThat(told).containsExactly("Reading a.ifc", "Comparing");
    cancelled = true;
    assertThatThrownBy(() -> named.advance(1, "x")).isInstanceOf(CancellationException.class);
  }
}
