package wellspan.app.shape;

import wellspan.app.session.Session;
import wellspan.app.theme.CardColumn;

/** Beside the stage: the item's steps, flaws, what can be made, comparisons. */
public final class ShapeView extends CardColumn {
  public ShapeView(Session session) {
    super("shape");
    MakeCard make = new MakeCard(session, this::bringToTheTop);
    StepsCard steps = new StepsCard(session, make::change);
    FlawsCard flaws = new FlawsCard(session, make::change);
    CompareCard compare = new CompareCard(session);
    cards.getChildren().addAll(steps, compare, flaws, make);
    session
        .buildProperty()
        .addListener(
            (o, a, b) -> {
              steps.refresh();
              flaws.refresh();
              make.refresh();
              compare.refresh();
            });
    // an edit that is taken back leads to the build that is shown already
    session.historyProperty().addListener((o, a, b) -> steps.refresh());
    session
        .selectedProperty()
        .addListener(
            (o, a, b) -> {
              steps.refresh();
              compare.refresh();
            });
    session
        .forms()
        .askedProperty()
        .addListener(
            (o, a, asked) ->
                asked.ifPresent(
                    operation -> {
                      make.ask(operation);
                      steps.ask(operation);
                    }));
    session
        .shape()
        .making()
        .refusedProperty()
        .addListener((o, a, refused) -> refused.ifPresent(make::again));
    session.shape().flawsProperty().addListener((o, a, b) -> flaws.refresh());
    session.shape().comparisonProperty().addListener((o, a, b) -> compare.refresh());
    session
        .shape()
        .outlineProperty()
        .addListener(
            (o, a, b) -> {
              make.refresh();
              steps.refresh();
              compare.refresh();
            });
    session.place().pickProperty().addListener((o, a, b) -> make.refresh());
  }
}
