package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Stop;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;
import wellspan.core.step.Raise;
import wellspan.core.typical.TypicalSection;

/** A road made of a section that was drawn, as a user does it. */
class TypicalSectionWindowTest extends WindowTest {
  @Test
  void aSectionIsDrawnAndARoadMadeOfIt() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    fire("#make-road");
    fire("#draw-section");
    assertThat(lookup("#section-editor").query().isVisible()).isTrue();
    type("#width-left-1", "4");
    assertThat(session.sections().section().left().getFirst().width()).isEqualTo(4);
    type("#width-left-1", "wide");
    assertThat(text("#message")).contains("is no width in metres");
    assertThat(session.sections().section().left().getFirst().width()).isEqualTo(4);
    type("#course-1-thickness", "50");
    assertThat(session.sections().section().courses().getFirst().thickness())
        .isCloseTo(0.05, within(1e-12));
    type("#course-1-thickness", "0");
    assertThat(text("#message")).contains("needs a thickness above 0");
    fire("#add-course");
    assertThat(session.sections().section().courses()).hasSize(4);

    Node picture = lookup("#section-picture").query();
    double before = session.sections().section().right().getFirst().width();
    dragEdge(picture);
    assertThat(session.sections().section().right().getFirst().width()).isGreaterThan(before);

    int items = session.build().items().size();
    fire("#road-go");
    settle(() -> session.build().items().size() > items);
    assertThat(lookup("#section-editor").query().isVisible()).isFalse();
    assertThat(session.build().items().values())
        .filteredOn(i -> i.item().name().startsWith("Road "))
        .hasSizeGreaterThan(6)
        .allSatisfy(i -> assertThat(((Shape.Faces) i.item().shape()).mesh().isClosed()).isTrue());
  }

  @Test
  void aRoadThatWasMadeIsChanged() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    fire("#make-road");
    enter("#road-from-chainage", "100");
    enter("#road-to-chainage", "200");
    int items = session.build().items().size();
    fire("#road-go");
    settle(() -> session.build().items().size() > items);
    interact(() -> session.sections().change(s -> s.mirrored())); // another one in hand since
    int made = session.build().items().size();

    fire("#change-made");
    assertThat(value("#road-from-chainage")).isEqualTo("100");
    assertThat(value("#road-to-chainage")).isEqualTo("200");
    assertThat(lookup("#road-name").query().isDisabled()).isTrue();
    assertThat(session.sections().section()).isEqualTo(TypicalSection.FIRST);
    fire("#draw-section");
    fire("#ditch-right");
    enter("#road-to-chainage", "150");
    fire("#road-go");
    settle(() -> session.build().items().size() > made);
    assertThat(session.job().recipes()).hasSize(1);
    assertThat(session.build().items().values())
        .anySatisfy(i -> assertThat(i.item().kind().id()).isEqualTo("ditch"))
        .filteredOn(i -> i.item().name().startsWith("Road "))
        .allSatisfy(i -> assertThat(lengthOf(i.item())).isCloseTo(50, within(1e-9)));
  }

  @Test
  void formsAreFoundByWhatTheyMake() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.CONTROL, KeyCode.K);
    interact(() -> lookup("#find-field").queryAs(TextField.class).setText("culvert"));
    push(KeyCode.ENTER);
    calm();
    assertThat(session.stopProperty().get()).isEqualTo(Stop.SHAPE);
    assertThat(lookup("#culvert-clear-width").tryQuery()).isPresent();
    interact(
        () ->
            session
                .selectedProperty()
                .set(Optional.of(new ItemId("quay-road/terrain-surface/Design ground"))));
    interact(() -> session.forms().ask(Raise.class));
    assertThat(lookup("#step-by").tryQuery()).isPresent();
  }

  private void enter(String query, String value) {
    interact(() -> lookup(query).queryAs(TextField.class).setText(value));
  }

  private String value(String query) {
    return lookup(query).queryAs(TextField.class).getText();
  }

  private static double lengthOf(Item i) {
    return ((Shape.Faces) i.shape()).curved().orElseThrow().planLength().orElseThrow();
  }

  /** Draws the outer edge of the first strip on the right 40 pixels outwards. */
  private void dragEdge(Node picture) {
    double scale =
        (picture.getLayoutBounds().getWidth() - 80)
            / (width(session.sections().section(), -1) + width(session.sections().section(), 1));
    double x = 40 + scale * (width(session.sections().section(), -1) + 3.25);
    double y = picture.getLayoutBounds().getHeight() - 70;
    var at = picture.localToScreen(x, y);
    drag(at.getX(), at.getY()).moveBy(40, 0).drop();
    calm();
  }

  private static double width(TypicalSection s, int side) {
    return s.side(side).stream().mapToDouble(t -> t.width()).sum();
  }

  @Test
  void aSectionGoesToAFileAndComesBack() throws Exception {
    Path file = dir.resolve("section.json");
    interact(() -> session.sections().change(s -> s.named("Quay")));
    interact(() -> session.sections().write(file));
    interact(() -> session.sections().change(s -> s.mirrored().named("Other")));
    interact(() -> session.sections().read(file));
    assertThat(session.sections().section()).isEqualTo(TypicalSection.FIRST.named("Quay"));
    java.nio.file.Files.writeString(file, "{\"version\":1}");
    interact(() -> session.sections().read(file));
    assertThat(text("#message")).contains("section.json, line 1");
    assertThat(session.sections().section().name()).isEqualTo("Quay");
  }
}
