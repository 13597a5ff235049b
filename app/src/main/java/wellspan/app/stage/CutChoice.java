package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.build.Build;
import wellspan.core.cut.HalfSpace;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/** What of the work is cut open in 3D: nothing, across a road, or all round the selection. */
final class CutChoice extends HBox {
  private static final String WHOLE = "Whole";
  private static final String ACROSS = "Cut across";
  private static final String BOX = "Box round selection";

  /** Room round the selection, metres. */
  private static final double MARGIN = 2;

  private final Session session;
  private final SpaceView space;
  private final ComboBox<String> what = new ComboBox<>();
  private final Slider along = new Slider();
  private final Label chainage = Parts.label("", "figure");
  private final HBox row = new HBox(8, along, chainage);
  private boolean pictureShown;
  private List<HalfSpace> box = List.of();

  CutChoice(Session session, SpaceView space) {
    super(6);
    this.session = session;
    this.space = space;
    setAlignment(Pos.CENTER_LEFT);
    what.setId("space-cut");
    what.setAccessibleText("What is cut open");
    what.getItems().setAll(WHOLE, ACROSS, BOX);
    what.setValue(WHOLE);
    along.setId("space-cut-along");
    chainage.setId("space-cut-chainage");
    along.setAccessibleText("Chainage of the cut");
    along.setPrefWidth(260);
    along.setBlockIncrement(5);
    chainage.setMinWidth(Region.USE_PREF_SIZE);
    chainage.getStyleClass().add("space-label");
    what.setPrefWidth(150);
    getChildren().add(what);
    row.setAlignment(Pos.CENTER_LEFT);
    row.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    Choices.onChosen(what, e -> chosen());
    along.valueProperty().addListener((o, a, b) -> cut());
    session.buildProperty().addListener((o, a, b) -> cut());
    session.selection().idsProperty().addListener((o, a, b) -> cut());
    row.setVisible(false);
  }

  /** Where it is cut across, on a line of its own. */
  HBox along() {
    return row;
  }

  /** Whether the picture that is cut is shown. */
  void setShown(boolean shown) {
    pictureShown = shown;
    cut();
  }

  private Optional<Alignment> axis() {
    Build b = session.build();
    Optional<ItemId> id = CrossSection.axis(b, session.selectedProperty().get());
    return id.map(b.items()::get)
        .map(i -> i.item().shape())
        .filter(Shape.Axis.class::isInstance)
        .map(s -> ((Shape.Axis) s).alignment());
  }

  private void chosen() {
    if (what.getValue().equals(ACROSS)) {
      if (axis().isEmpty()) {
        session.complain("There is no alignment to cut across. Receive a road design first.");
        what.setValue(WHOLE);
      } else {
        along.setMax(axis().get().length());
        along.setValue(along.getMax() / 2);
      }
    } else if (what.getValue().equals(BOX) && session.selection().ids().isEmpty()) {
      session.complain("Select what the box is to go round, then choose it again.");
      what.setValue(WHOLE);
    }
    box = sides(session.selection().ids().stream().toList()); // stays while others are selected
    cut();
  }

  private void cut() {
    boolean across = what.getValue().equals(ACROSS) && axis().isPresent();
    row.setVisible(across && pictureShown);
    if (across) {
      AlignmentPoint p = axis().get().at(Math.min(along.getValue(), axis().get().length()));
      chainage.setText(Chainages.format(p.chainage()));
      Position back =
          new Position(
              -Math.cos(p.direction()), -Math.sin(p.direction()), 0); // kept: what lies ahead
      space.setCuts(List.of(new HalfSpace(new Position(p.east(), p.north(), 0), back)));
    } else if (what.getValue().equals(BOX)) {
      space.setCuts(box);
    } else {
      space.setCuts(List.of());
    }
  }

  private List<HalfSpace> sides(List<ItemId> ids) {
    Box b = Box.EMPTY;
    for (ItemId id : ids) {
      Build.BuiltItem i = session.build().items().get(id);
      b = i == null ? b : b.union(i.item().bounds());
    }
    List<HalfSpace> out = new ArrayList<>();
    if (!b.isEmpty()) {
      double low = b.hasLevels() ? b.minH() : 0;
      double high = b.hasLevels() ? b.maxH() : 0;
      Position least = new Position(b.minE() - MARGIN, b.minN() - MARGIN, low - MARGIN);
      Position most = new Position(b.maxE() + MARGIN, b.maxN() + MARGIN, high + MARGIN);
      out.add(new HalfSpace(least, new Position(-1, 0, 0)));
      out.add(new HalfSpace(least, new Position(0, -1, 0)));
      out.add(new HalfSpace(most, new Position(1, 0, 0)));
      out.add(new HalfSpace(most, new Position(0, 1, 0)));
      if (b.hasLevels()) {
        out.add(new HalfSpace(least, new Position(0, 0, -1)));
        out.add(new HalfSpace(most, new Position(0, 0, 1)));
      }
    }
    return out;
  }
}
