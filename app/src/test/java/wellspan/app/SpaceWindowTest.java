package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.SubScene;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.PhongMaterial;
import javafx.scene.shape.MeshView;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.app.stage.StageView;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.job.SavedView;

/** The picture in 3D, which needs OpenGL. */
@Tag("space")
class SpaceWindowTest extends WindowTest {
  @Test
  void threeDimensionsAreReallyShown() throws Exception {
    assertThat(Platform.isSupported(ConditionalFeature.SCENE3D))
        .as("3D is supported; under Xvfb it needs Mesa and -Dprism.forceGPU=true")
        .isTrue();
    receive(DEMO.resolve("road/quay-road.xml"));
    push(KeyCode.ALT, KeyCode.DIGIT2);
    calm();
    assertThat(colours(lookup("#space").query()))
        .as("the shaded ground has many tones")
        .isGreaterThan(60);
  }

  @Test
  @SuppressWarnings("unchecked")
  void theWorkIsCutOpenAcrossTheRoad() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    ComboBox<String> cut = lookup("#space-cut").queryAs(ComboBox.class);
    interact(() -> session.selection().choose(List.of()));
    interact(() -> cut.setValue("Box round selection"));
    assertThat(cut.getValue()).as("there is nothing to go round").isEqualTo("Whole");
    assertThat(text("#message")).contains("Select what the box is to go round");
    interact(() -> cut.setValue("Cut across"));
    calm();
    Slider along = lookup("#space-cut-along").queryAs(Slider.class);
    assertThat(along.getMax()).isGreaterThan(1000);
    assertThat(lookup("#space-cut-along").query().isVisible()).isTrue();
    interact(() -> along.setValue(100));
    assertThat(text("#space-cut-chainage")).isEqualTo("0+100.000");
  }

  @Test
  @SuppressWarnings("unchecked")
  void whatIsCutAwayOrHiddenDoesNotMoveThePicture() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    settle(() -> !session.work().runningProperty().get());
    ItemId link =
        session.build().items().values().stream()
            .filter(i -> i.item().name().equals("Yard Link"))
            .findFirst()
            .orElseThrow()
            .id();
    interact(() -> session.selection().choose(List.of(link)));
    interact(() -> session.aim().goTo(List.of(link)));
    keep("whole");
    ComboBox<String> cut = lookup("#space-cut").queryAs(ComboBox.class);
    interact(() -> cut.setValue("Box round selection"));
    calm();
    keep("in a box");
    interact(() -> cut.setValue("Whole"));
    interact(() -> session.visibility().only(List.of(link)));
    calm();
    keep("alone");
    Position whole = session.job().views().getFirst().at();
    assertThat(session.job().views())
        .allSatisfy(v -> assertThat(v.at().planDistanceTo(whole)).isLessThan(1e-6))
        .allSatisfy(v -> assertThat(v.at().level()).isCloseTo(whole.level(), within(1e-6)));
  }

  @Test
  void aSelectionDrawsOnlyWhatItTouchesAnew() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    settle(() -> !session.work().runningProperty().get());
    List<ItemId> two = session.build().items().keySet().stream().limit(2).toList();
    interact(() -> session.selection().choose(List.of(two.getFirst())));
    List<Node> before = drawn();
    interact(() -> session.selection().choose(List.of(two.getLast())));
    List<Node> gone = new ArrayList<>(before);
    gone.removeAll(drawn());
    List<Node> fresh = drawn();
    fresh.removeAll(before);
    assertThat(gone).isNotEmpty().extracting(Node::getUserData).isSubsetOf(two);
    assertThat(fresh).hasSameSizeAs(gone).extracting(Node::getUserData).isSubsetOf(two);
    assertThat(before.size()).as("much is not touched").isGreaterThan(gone.size());
  }

  @Test
  void whatStandsInARoomIsSeen(@TempDir Path dir) throws Exception {
    String data =
        """
        #1=IFCPROJECT('0000000000000000000001',$,'p',$,$,$,$,(#4),#2);
        #2=IFCUNITASSIGNMENT((#3));
        #3=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);
        #4=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,$,#6,$);
        #5=IFCCARTESIANPOINT((0.,0.,0.));
        #6=IFCAXIS2PLACEMENT3D(#5,$,$);
        #7=IFCLOCALPLACEMENT($,#6);
        #8=IFCDIRECTION((0.,0.,1.));
        #9=IFCSPACE('0000000000000000000002',$,'101',$,$,#7,#11,$,.ELEMENT.,$,$);
        #10=IFCPUMP('0000000000000000000003',$,'Pump',$,$,#7,#12,$,$);
        #11=IFCPRODUCTDEFINITIONSHAPE($,$,(#13));
        #12=IFCPRODUCTDEFINITIONSHAPE($,$,(#14));
        #13=IFCSHAPEREPRESENTATION(#4,'Body','SweptSolid',(#15));
        #14=IFCSHAPEREPRESENTATION(#4,'Body','SweptSolid',(#16));
        #15=IFCEXTRUDEDAREASOLID(#17,#6,#8,3.);
        #16=IFCEXTRUDEDAREASOLID(#18,#6,#8,1.);
        #17=IFCRECTANGLEPROFILEDEF(.AREA.,$,$,5.,4.);
        #18=IFCRECTANGLEPROFILEDEF(.AREA.,$,$,1.,1.);
        """;
    receive(
        Files.writeString(
            dir.resolve("room.ifc"),
            "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_NAME('','',(''),(''),'','','');\nFILE_SCHEMA(('IFC4'));\nENDSEC;\nDATA;\n"
                + data
                + "ENDSEC;\nEND-ISO-10303-21;\n"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    settle(() -> !session.work().runningProperty().get());
    List<Double> opacities =
        drawn().stream()
            .filter(n -> n.getUserData() instanceof ItemId)
            .map(n -> ((PhongMaterial) ((MeshView) n).getMaterial()).getDiffuseColor().getOpacity())
            .toList();
    assertThat(opacities).as("the room is drawn after what it hides").hasSize(2);
    assertThat(opacities.getFirst()).isEqualTo(1);
    assertThat(opacities.getLast()).isLessThan(0.5);
  }

  private List<Node> drawn() {
    SubScene scene = lookup((Node n) -> n instanceof SubScene).queryAs(SubScene.class);
    return new ArrayList<>(scene.getRoot().lookupAll("MeshView"));
  }

  @Test
  void aViewIsKeptAndLookedAtAgain() throws Exception {
    receive(DEMO.resolve("road/quay-road.xml"));
    interact(() -> shell.stage().show(StageView.Picture.SPACE));
    settle(() -> !session.work().runningProperty().get());
    interact(() -> lookup("#space").query().requestFocus());
    push(KeyCode.LEFT);
    push(KeyCode.PLUS);
    keep("near");
    push(KeyCode.RIGHT);
    push(KeyCode.MINUS);
    push(KeyCode.MINUS);
    keep("far");
    SavedView near = session.job().views().getFirst();
    SavedView far = session.job().views().getLast();
    assertThat(far.reach()).isCloseTo(near.reach() * 1.69, within(1e-6 * near.reach()));
    assertThat(far.turn()).isNotEqualTo(near.turn());
    interact(() -> shell.stage().show(StageView.Picture.PLAN));
    interact(() -> shell.stage().look(near));
    keep("near again");
    SavedView again = session.job().views().getLast();
    assertThat(again.picture()).isEqualTo(SavedView.Picture.SPACE);
    assertThat(again.reach()).isCloseTo(near.reach(), within(1e-9));
    assertThat(again.turn()).isEqualTo(near.turn());
    assertThat(again.tilt()).isEqualTo(near.tilt());
    assertThat(again.at().planDistanceTo(near.at())).isLessThan(1e-6);
  }

  private void keep(String name) {
    interact(() -> session.aim().viewsProperty().set(true));
    interact(() -> lookup("#view-name").queryAs(TextField.class).setText(name));
    fire("#keep-view");
    interact(() -> lookup("#space").query().requestFocus());
  }
}
