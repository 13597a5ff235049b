package wellspan.app.place;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.session.SourceDesk;
import wellspan.app.stage.PlanView;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.geom.Box;
import wellspan.core.job.Source;
import wellspan.core.place.Hypotheses;

/** What the numbers of a source could mean, each as a picture of where it would lie. */
final class MeaningsBox extends VBox {
  private static final int SHOWN = 7;

  private final SourceDesk desk;

  MeaningsBox(Session session, PlanView plan, Source source, List<Hypotheses.Hypothesis> all) {
    super(6);
    desk = session.place().sources();
    Box work = session.build().reference(source.name());
    Button look =
        Parts.button(
            "Show all",
            "small",
            () -> {
              Box box = session.build().bounds();
              for (Hypotheses.Hypothesis h : all) {
                box = h.fits() ? box.union(h.extent()) : box;
              }
              plan.fit(box);
            });
    getChildren().add(Parts.row(Parts.label("Here it would lie", "name"), look));
    for (int i = 0; i < Math.min(SHOWN, all.size()); i++) {
      getChildren().add(row(source, i + 1, all.get(i), work));
    }
  }

  private HBox row(Source source, int number, Hypotheses.Hypothesis h, Box work) {
    boolean now = h.placement().equals(source.placement());
    Button take =
        Parts.button(
            now ? "Taken" : "Take", "small", () -> desk.place(source.name(), h.placement()));
    take.setId("take-meaning-" + number);
    take.setDisable(now);
    VBox words =
        new VBox(
            2,
            Parts.wrapped(number + "  " + h.title(), h.fits() ? "" : "muted"),
            Parts.wrapped((h.fits() ? "✓ " : "") + where(h), h.fits() ? "proven" : "muted"));
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox row = new HBox(8, new MeaningPicture(work, h.extent()), words, take);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add(now ? "meaning-taken" : "meaning");
    row.setOnMouseEntered(e -> desk.shownProperty().set(Optional.of(h)));
    row.setOnMouseExited(e -> desk.shownProperty().set(Optional.empty()));
    return row;
  }

  private static String where(Hypotheses.Hypothesis h) {
    if (h.extent().isEmpty()) {
      return "outside every area";
    }
    if (Double.isNaN(h.gap())) {
      return h.fits() ? "in the system's area" : "outside the system's area";
    }
    return h.gap() == 0 ? "among the rest" : Figures.distance(h.gap()) + " from the rest";
  }
}
