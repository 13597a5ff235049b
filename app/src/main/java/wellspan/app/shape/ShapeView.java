package wellspan.app.shape;

import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;

/** Beside the stage: the item's steps, flaws, what can be made, comparisons. */
public final class ShapeView extends ScrollPane {
  public ShapeView(Session session) {
    setId("shape");
    setFitToWidth(true);
    setHbarPolicy(ScrollBarPolicy.NEVER);
    getStyleClass().add("card-scroll");
    StepsCard steps = new StepsCard(session);
    FlawsCard flaws = new FlawsCard(session);
    MakeCard make = new MakeCard(session);
    CompareCard compare = new CompareCard(session);
    setContent(new VBox(12, steps, compare, flaws, make));
    session
        .buildProperty()
        .addListener(
            (o, a, b) -> {
              steps.refresh();
              flaws.refresh();
              make.refresh();
              compare.refresh();
            });
    session
        .selectedProperty()
        .addListener(
            (o, a, b) -> {
              steps.refresh();
              compare.refresh();
            });
    session.shape().flawsProperty().addListener((o, a, b) -> flaws.refresh());
    session.shape().comparisonProperty().addListener((o, a, b) -> compare.refresh());
    session
        .shape()
        .outlineProperty()
        .addListener(
            (o, a, b) -> {
              make.refresh();
              steps.refresh();
            });
    session.place().pickProperty().addListener((o, a, b) -> make.refresh());
  }
}
