package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.Button;
import org.junit.jupiter.api.Test;
import wellspan.app.session.RequirementDesk;
import wellspan.core.finding.Stop;
import wellspan.core.requirement.RequirementReport;
import wellspan.core.schema.IfcSchema;

/** What the client of the demo asks for, checked at the stop Describe. */
class RequirementWindowTest extends WindowTest {
  @Test
  void whatFailsIsShownAndOneClickGoesToIt() throws Exception {
    receive(DEMO.resolve("drainage/quay-road-drainage.xml"));
    interact(() -> session.stopProperty().set(Stop.DESCRIBE));
    interact(
        () ->
            session
                .requirements()
                .check(DEMO.resolve("client/harbour-client.ids"), IfcSchema.IFC4X3));
    settle(() -> session.requirements().checkedProperty().get().isPresent());
    RequirementDesk.Checked c = session.requirements().checkedProperty().get().orElseThrow();
    assertThat(c.report().results())
        .filteredOn(r -> !r.pass())
        .extracting(r -> r.specification().name())
        .contains("Chambers say who looks after them")
        .doesNotContain("Pipes fall by 0.5 per cent or more");
    RequirementReport.Result owner = c.report().results().get(2);
    assertThat(owner.failures()).hasSize(14);
    calm();
    assertThat(card("#requirements")).contains("Client_Operation").contains("and 2 more");
    Button go =
        from(lookup("#requirements").<javafx.scene.Node>query())
            .lookup("M01")
            .queryAs(Button.class);
    interact(go::fire);
    assertThat(session.selectedItem().orElseThrow().item().name()).isEqualTo("M01");
  }
}
