package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;

/** A road received in cross sections, cut under the plan and delivered. */
class CrossSectionWindowTest extends WindowTest {
  private Path road() throws Exception {
    StringBuilder s =
        new StringBuilder(
            """
            <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
            <Units><Metric linearUnit="meter"/></Units><CoordinateSystem epsgCode="25832"/>
            <Alignments><Alignment name="Mill Lane" length="100" staStart="0"><CoordGeom>
            <Line><Start>5700000 400000</Start><End>5700000 400100</End></Line></CoordGeom><CrossSects>
            """);
    for (int sta = 0; sta <= 100; sta += 50) {
      s.append("<CrossSect sta=\"").append(sta).append("\">");
      double top = 20;
      for (String course : new String[] {"Wearing,0.04", "Binder,0.08"}) {
        String[] c = course.split(",");
        double t = Double.parseDouble(c[1]);
        s.append("<DesignCrossSectSurf closedArea=\"true\" name=\"").append(c[0]).append("\">");
        for (double[] p : new double[][] {{-3, top}, {3, top}, {3, top - t}, {-3, top - t}}) {
          s.append("<CrossSectPnt>" + p[0] + " " + p[1] + "</CrossSectPnt>");
        }
        s.append("</DesignCrossSectSurf>");
        top -= t;
      }
      s.append("</CrossSect>");
    }
    s.append("</CrossSects></Alignment></Alignments></LandXML>");
    return Files.writeString(dir.resolve("road.xml"), s);
  }

  @Test
  void theDocketSaysWhatACourseFollowsAndLeadsThere() throws Exception {
    receive(road());
    ItemId course = id("course");
    interact(() -> session.selection().choose(List.of(course)));
    Hyperlink link =
        (Hyperlink) lookup("#docket-relations").queryAs(VBox.class).getChildren().getFirst();
    assertThat(link.getText()).isEqualTo("follows Mill Lane");
    interact(link::fire);
    calm();
    assertThat(session.selectedProperty().get()).contains(id("alignment"));
    Hyperlink back =
        (Hyperlink) lookup("#docket-relations").queryAs(VBox.class).getChildren().getFirst();
    assertThat(back.getText()).isEqualTo("followed by Wearing and 1 more");
    interact(back::fire);
    assertThat(session.selection().ids()).hasSize(2);
  }

  private ItemId id(String kind) {
    return session.build().items().values().stream()
        .filter(i -> i.item().kind().title().equals(kind))
        .findFirst()
        .orElseThrow()
        .id();
  }

  @Test
  void coursesAreCutUnderThePlanAndPickedThere() throws Exception {
    receive(road());
    assertThat(session.build().items().values())
        .extracting(i -> i.item().kind().title())
        .contains("course");
    interact(() -> lookup("#picture-cross").queryAs(ToggleButton.class).fire());
    calm();
    Slider along = lookup("#section-along").queryAs(Slider.class);
    assertThat(along.getMax()).isEqualTo(100);
    double before = along.getValue();
    interact(() -> lookup("#cross-section").query().requestFocus());
    press(KeyCode.RIGHT).release(KeyCode.RIGHT);
    calm();
    assertThat(along.getValue()).isEqualTo(before + 1);
    var view = lookup("#cross-section").query();
    var box = view.localToScreen(view.getBoundsInLocal());
    for (double y = box.getMinY() + 60; y < box.getMaxY() - 70; y += 1) {
      clickOn(box.getCenterX() + 40, y);
      Item picked =
          session
              .selectedProperty()
              .get()
              .map(id -> session.build().items().get(id).item())
              .orElse(null);
      if (picked != null && picked.kind().title().equals("course")) {
        assertThat(picked.name()).isEqualTo("Wearing"); // the first from above
        return;
      }
    }
    assertThat(session.selectedProperty().get()).as("a course under the pointer").isPresent();
  }
}
