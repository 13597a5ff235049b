package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.shell.ShellView;
import wellspan.app.stage.StageView;
import wellspan.app.stage.SurfaceStyle;
import wellspan.core.colouring.ColourBy;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Kind;
import wellspan.core.job.SavedView;

/** Measuring, colours by what items say, views and outlines, as a user does it. */
class StageToolsWindowTest extends WindowTest {
  private void click(double e, double n) {
    interact(() -> session.place().clicked(new Position(e, n, 5), 0.001));
    calm();
  }

  @Test
  void distancesAndAreasAreMeasuredAndCopied() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.D);
    assertThat(session.place().pickProperty().get()).isEqualTo(Pick.MEASURE);
    click(412_300, 6_534_700);
    assertThat(lookup("#measured").query().isVisible()).as("one place is no distance").isFalse();
    click(412_303, 6_534_704);
    assertThat(card("#measured")).contains("5.000 m").contains("36.8699°");
    click(412_300, 6_534_704);
    assertThat(card("#measured")).contains("6.00 m²");
    push(KeyCode.ENTER);
    assertThat(session.place().pickProperty().get()).isEqualTo(Pick.NONE);
    assertThat(lookup("#measured").query().isVisible()).as("the figures stay").isTrue();
    press("#measured", "Copy");
    String copied = callOnWindow(() -> Clipboard.getSystemClipboard().getString());
    assertThat(copied).contains("area in plan\t6.00 m²");
    press("#measured", "Clear");
    assertThat(session.measure().placesProperty().get()).isEmpty();
  }

  private String callOnWindow(java.util.concurrent.Callable<String> what) throws Exception {
    return WaitForAsyncUtils.asyncFx(what).get();
  }

  private void press(String card, String words) {
    ButtonBase button =
        lookup(card).query().lookupAll(".button").stream()
            .map(ButtonBase.class::cast)
            .filter(b -> b.getText().equals(words))
            .findFirst()
            .orElseThrow();
    interact(button::fire);
    calm();
  }

  @Test
  void aLegendTellsTheColoursAndSelects() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    receive(DEMO.resolve("survey/control.csv"));
    assertThat(lookup("#colour-legend").query().isVisible()).isFalse();
    interact(() -> session.colours().byProperty().set(Optional.of(new ColourBy.Source())));
    calm();
    List<String> lines =
        lookup("#colour-legend").query().lookupAll(".legend-line").stream()
            .map(n -> ((Labeled) n).getAccessibleText())
            .toList();
    assertThat(lines).anyMatch(l -> l.startsWith("control, 1 items"));
    ButtonBase first =
        (ButtonBase) lookup("#colour-legend").query().lookupAll(".legend-line").iterator().next();
    interact(first::fire);
    assertThat(session.selection().ids())
        .hasSize(session.colours().colouring().orElseThrow().entries().getFirst().items().size());
  }

  @Test
  void viewsAreKeptByNameAndLookedAtAgain() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.V);
    assertThat(lookup("#views").query().isVisible()).isTrue();
    fire("#keep-view");
    assertThat(card("#views")).contains("Give it a name first.");
    Position quay = new Position(413_100, 6_534_600, 3);
    interact(() -> session.aim().at(quay));
    Point2D before = shell.stage().plan().onScreen(quay);
    interact(() -> lookup("#view-name").queryAs(TextField.class).setText("Quay"));
    fire("#keep-view");
    assertThat(session.job().views()).extracting(SavedView::name).containsExactly("Quay");
    interact(() -> shell.stage().fit());
    assertThat(shell.stage().plan().onScreen(quay).distance(before)).isGreaterThan(50);
    interact(() -> shell.stage().look(session.job().views().getFirst()));
    assertThat(shell.stage().plan().onScreen(quay).distance(before)).isLessThan(1e-6);
    interact(session::undo);
    assertThat(session.job().views()).isEmpty();
  }

  @Test
  void whatLiesWithinAnOutlineIsSelected() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    receive(DEMO.resolve("survey/control.csv"));
    push(KeyCode.O);
    assertThat(session.place().pickProperty().get()).isEqualTo(Pick.SELECT);
    assertThat(card("#picking")).contains("around what shall be selected");
    var control =
        session.build().items().values().stream()
            .filter(i -> i.source().equals("control"))
            .findFirst()
            .orElseThrow();
    Box b = control.item().bounds();
    click(b.minE() - 1, b.minN() - 1);
    click(b.maxE() + 1, b.minN() - 1);
    click(b.maxE() + 1, b.maxN() + 1);
    click(b.minE() - 1, b.maxN() + 1);
    push(KeyCode.ENTER);
    assertThat(session.selection().ids()).contains(control.id());
    assertThat(session.selection().ids())
        .as("the ground reaches beyond")
        .noneMatch(id -> session.build().items().get(id).item().kind().is(Kind.TERRAIN));
    push(KeyCode.O);
    click(0, 0);
    push(KeyCode.ESCAPE);
    assertThat(session.selection().outline().cornersProperty().get()).isEmpty();
    assertThat(session.selection().ids()).as("left as it was").contains(control.id());
  }

  /** A drawing of its own zero does not leave an empty picture: it is named, and one click away. */
  @Test
  void whatLiesFarFromTheRestIsNamedAndLedTo() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    assertThat(lookup("#far-hint").query().isVisible()).isFalse();
    receive(DEMO.resolve("survey/control.csv"));
    receive(DEMO.resolve("yard/yard-layout.dxf"));
    assertThat(lookup("#far-hint").query().isVisible()).isTrue();
    assertThat(card("#far-hint")).contains("yard-layout").contains("from the rest");
    interact(() -> shell.stage().fit());
    Position road =
        session.build().items().values().stream()
            .filter(i -> i.source().equals("quay-road"))
            .findFirst()
            .orElseThrow()
            .item()
            .bounds()
            .centre();
    assertThat(isSeen(road)).isTrue();
    fire("#far-go-yard-layout");
    assertThat(isSeen(road)).isFalse();
    fire("#far-back");
    assertThat(isSeen(road)).isTrue();
    fire("#far-place-yard-layout");
    assertThat(session.stopProperty().get()).isEqualTo(Stop.PLACE);
    assertThat(session.place().sources().openProperty().get()).isEqualTo("yard-layout");
  }

  /** The first source is shown alone for a moment; the picture is of all of them in the end. */
  @Test
  void aJobThatOpensIsSeenWhole() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    receive(
        Files.writeString(
            dir.resolve("east.csv"),
            "name,easting,northing,height\nA,414000,6534700,5\nB,414100,6534760,6\nC,414050,6534720,5\n"));
    interact(session::save);
    Session again =
        new Session(session.store(), session.store().open(), Clock.systemUTC(), Platform::runLater);
    interact(
        () -> {
          shell = new ShellView(again, null, null);
          ((Stage) lookup("#plan").query().getScene().getWindow())
              .setScene(new Scene(shell, 1280, 780));
          again.load();
        });
    settle(() -> !again.work().runningProperty().get() && again.build().received().size() == 2);
    settle(() -> !shell.stage().plan().isBusy());
    for (var i : again.build().items().values()) {
      if (!i.item().bounds().isEmpty()) {
        assertThat(isSeen(i.item().bounds().centre())).as(i.item().name()).isTrue();
      }
    }
  }

  @Test
  void theWholeStaysWholeInLessRoomUntilTheHandLeavesIt() throws Exception {
    receive(
        Files.writeString(
            dir.resolve("tall.csv"),
            "name,easting,northing,height\nA,412000,6534500,5\nB,412100,6535300,6\nC,412050,6534900,5\n"));
    interact(() -> shell.stage().fit());
    Box work = session.build().items().values().iterator().next().item().bounds();
    double before = reach(work);
    interact(() -> shell.stage().show(StageView.Picture.CROSS)); // takes half of the height
    settle(() -> reach(work) < 0.8 * before);
    assertThat(isSeen(new Position(work.minE(), work.minN(), 0))).isTrue();
    assertThat(isSeen(new Position(work.maxE(), work.maxN(), 0))).isTrue();
    double half = lookup("#plan").query().getLayoutBounds().getHeight();
    interact(() -> session.aim().at(new Position(work.minE(), work.minN(), 5)));
    double left = reach(work);
    interact(() -> shell.stage().show(StageView.Picture.PLAN));
    settle(() -> lookup("#plan").query().getLayoutBounds().getHeight() > 1.3 * half);
    assertThat(reach(work)).as("as the hand left it").isEqualTo(left);
  }

  /** Pixels from corner to corner. */
  private double reach(Box b) {
    return shell
        .stage()
        .plan()
        .onScreen(new Position(b.minE(), b.minN(), 0))
        .distance(shell.stage().plan().onScreen(new Position(b.maxE(), b.maxN(), 0)));
  }

  /** A mark that nobody draws stays until the ground under it is drawn anew. */
  @Test
  void theGroundIsDrawnAnewOnlyWhereItHasChanged() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    settle(() -> !shell.stage().plan().isBusy());
    Canvas ground =
        (Canvas) lookup((Node n) -> n instanceof Canvas && n.getParent() instanceof Group).query();
    interact(
        () -> {
          ground.getGraphicsContext2D().setFill(Color.MAGENTA);
          ground.getGraphicsContext2D().fillRect(600, 300, 4, 4);
        });
    assertThat(ground(ground)).isEqualTo(Color.MAGENTA);
    interact(() -> session.selection().choose(session.build().items().keySet()));
    interact(() -> session.stopProperty().set(Stop.PLACE));
    settle(() -> !shell.stage().plan().isBusy());
    assertThat(ground(ground)).as("a mark and a stop").isEqualTo(Color.MAGENTA);
    interact(() -> shell.stage().plan().setSurfaceStyle(SurfaceStyle.SLOPE));
    settle(() -> !shell.stage().plan().isBusy());
    Color slope = ground(ground);
    assertThat(slope).as("another style").isNotEqualTo(Color.MAGENTA);
    interact(() -> shell.stage().plan().setSurfaceStyle(SurfaceStyle.CONTOURS));
    settle(() -> !shell.stage().plan().isBusy());
    assertThat(ground(ground)).as("and back").isNotIn(slope, Color.MAGENTA);
  }

  private Color ground(Canvas canvas) throws Exception {
    return WaitForAsyncUtils.asyncFx(
            () -> canvas.snapshot(null, null).getPixelReader().getColor(601, 301))
        .get();
  }

  private boolean isSeen(Position p) {
    Point2D at = shell.stage().plan().onScreen(p);
    return shell.stage().plan().getBoundsInLocal().contains(at);
  }
}
