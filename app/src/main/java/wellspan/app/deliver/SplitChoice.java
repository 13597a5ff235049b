package wellspan.app.deliver;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.ChoiceBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.FigureEntry;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.deliver.Delivery;
import wellspan.core.extract.Split;

/** Whether a delivery is one file, or dealt to several that fit together. */
final class SplitChoice extends VBox {
  private static final List<String> WORDS =
      List.of("one file", "a file per stratum", "a file per road", "a file per length");

  /** What is offered first, metres. */
  private static final double USUAL_LENGTH = 500;

  private final Session session;
  private final Delivery delivery;

  SplitChoice(Session session, Delivery delivery) {
    super(6);
    this.session = session;
    this.delivery = delivery;
    ChoiceBox<String> choice = new ChoiceBox<>();
    choice.setId("split");
    choice.setPrefWidth(SetUp.CHOICE);
    choice.getItems().addAll(WORDS);
    choice.setValue(
        WORDS.get(
            delivery
                .split()
                .map(
                    s ->
                        switch (s) {
                          case Split.ByStratum t -> 1;
                          case Split.ByRoad t -> 2;
                          case Split.ByChainage t -> 3;
                        })
                .orElse(0)));
    Choices.onChosen(choice, e -> take(WORDS.indexOf(choice.getValue())));
    getChildren().add(Parts.row(Parts.label("Files", "muted"), choice));
    if (delivery.split().orElse(null) instanceof Split.ByChainage c) {
      getChildren().add(length(c.length()));
    }
  }

  private void take(int choice) {
    deal(
        switch (choice) {
          case 1 -> Optional.of(new Split.ByStratum());
          case 2 -> Optional.of(new Split.ByRoad());
          case 3 -> Optional.of(new Split.ByChainage(USUAL_LENGTH));
          default -> Optional.empty();
        });
  }

  private void deal(Optional<Split> split) {
    session
        .deliveries()
        .change("Deal " + delivery.name() + " to files", delivery.name(), d -> d.dealt(split));
  }

  private FigureEntry length(double now) {
    return new FigureEntry(
            "take-split",
            "Cut there",
            List.of(
                new FigureEntry.Row(
                    "",
                    List.of(
                        new FigureEntry.Cell(
                            "split-length", "Every, m", "500", FigureEntry.Takes.NUMBER)))),
            this::length)
        .show("split-length", Figures.number(now, 3));
  }

  private void length(FigureEntry.Typed typed) {
    try {
      deal(Optional.of(new Split.ByChainage(typed.number("split-length"))));
    } catch (IllegalArgumentException e) {
      session.complain(e.getMessage());
    }
  }
}
