package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import wellspan.app.theme.Hint;

class HintWindowTest extends WindowTest {
  private static List<String> shown() {
    return Window.getWindows().stream()
        .filter(w -> w instanceof Tooltip && w.isShowing())
        .map(w -> ((Tooltip) w).getText())
        .toList();
  }

  @Test
  void whatIsSaidStandsWhereThePointerRests() throws Exception {
    Node runOff = lookup("#run-off").query();
    assertThat(runOff.getAccessibleHelp()).isEqualTo("Arrows down the steepest fall");
    moveTo("#run-off");
    settle(() -> shown().equals(List.of("Arrows down the steepest fall")));
    interact(() -> Hint.say(runOff, "Arrows down the fall"));
    assertThat(shown()).containsExactly("Arrows down the fall");
    moveTo("#findings-button");
    settle(() -> shown().isEmpty());
    interact(() -> Hint.say(runOff, ""));
    moveTo("#run-off");
    Thread.sleep(1500); // longer than a hint takes to come
    assertThat(shown()).isEmpty();
    interact(() -> Hint.say(runOff, "Arrows down the steepest fall"));
  }
}
