package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.SchemaDesk;
import wellspan.core.colouring.ColourBy;
import wellspan.core.model.ModelComparison;
import wellspan.core.schema.IfcSchema;

/** What becomes of a model in another schema, in words and in the picture. */
class SchemaWindowTest extends WindowTest {
  @Test
  void proxiesAreToldAndShown() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT4);
    fire("#open-schemas");
    assertThat(session.rules().schemas().sides()).hasSize(IfcSchema.values().length);
    fire("#compare-schemas");
    settle(() -> session.rules().schemas().comparedProperty().get().isPresent());
    SchemaDesk.Compared c = session.rules().schemas().comparedProperty().get().orElseThrow();
    assertThat(text("#compare-verdict")).endsWith("objects in both.");
    ModelComparison.Change kerbs =
        c.comparison().changes().stream()
            .filter(x -> x.what() == ModelComparison.What.PROXY && x.from().equals("IfcKerb"))
            .findFirst()
            .orElseThrow();
    assertThat(kerbs.to()).isEqualTo("IfcBuildingElementProxy");
    assertThat(c.items(kerbs.objects())).hasSize(kerbs.objects().size()).isNotEmpty();
    assertThat(lookup("#rule-surface").query().isVisible()).isTrue();

    ToggleButton picture = lookup("#compare-picture").queryAs(ToggleButton.class);
    interact(picture::fire);
    assertThat(lookup("#rule-surface").query().isVisible()).isFalse();
    assertThat(shell.stage().isVisible()).isTrue();
    assertThat(session.colours().colouring().orElseThrow().by()).isInstanceOf(ColourBy.Told.class);
    assertThat(session.colours().colouring().orElseThrow().entries())
        .anySatisfy(
            e -> {
              assertThat(e.value()).isEqualTo("became proxies");
              assertThat(e.items()).containsAll(c.items(kerbs.objects()));
            });

    interact(() -> session.rules().cardProperty().set(DescribeCard.NONE));
    assertThat(session.colours().byProperty().get()).isEmpty();
    assertThat(lookup("#rule-surface").query().isVisible()).isTrue();
  }
}
