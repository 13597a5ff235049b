package wellspan.app.shell;

import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Background;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.CornerRadii;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.Text;
import wellspan.app.theme.ChosenTheme;
import wellspan.app.theme.Theme;

/**
 * The window before anything in it can be used: its frame, what is being opened, and the plan as it
 * was seen last. It needs no style sheet and no control, whose making takes longer than anything
 * here. Window's thread.
 */
public final class OpeningView extends Pane {
  private static final double TEXT = 13;

  private final Theme theme = ChosenTheme.get();
  private final Region route = panel(theme.panel(), new Insets(0, 0, 1, 0));
  private final Region strata = panel(theme.panel(), new Insets(0, 1, 0, 0));
  private final Region docket = panel(theme.panel(), new Insets(1, 0, 0, 0));
  private final Region reading = panel(theme.reading(), Insets.EMPTY);
  private final Text says;

  /** What was seen of the plan of a job, and where in the window it stood, pixels. */
  public record Look(String job, Image image, Rectangle2D place) {}

  /**
   * @param name of the job or of its folder
   */
  public OpeningView(String name, Optional<Look> last) {
    setId("opening");
    setBackground(Background.fill(theme.paper()));
    getChildren().addAll(route, strata, docket, reading);
    last.ifPresent(l -> getChildren().add(picture(l)));
    add(text("Wellspan", FontWeight.BOLD, 17, theme.ink()), 18, 31);
    add(text(name, FontWeight.NORMAL, TEXT, theme.muted()), 18, 50);
    says = text("Opening " + name + " \u2026", FontWeight.NORMAL, TEXT, theme.onReading());
    add(says, 18, 0);
  }

  private Region panel(Color fill, Insets edge) {
    Region r = new Region();
    r.setBackground(
        new Background(
            new BackgroundFill(theme.line(), CornerRadii.EMPTY, Insets.EMPTY),
            new BackgroundFill(fill, CornerRadii.EMPTY, edge)));
    return r;
  }

  private static Node picture(Look l) {
    ImageView v = new ImageView(l.image());
    v.setId("last-look");
    v.setFitWidth(l.place().getWidth());
    v.setFitHeight(l.place().getHeight());
    v.relocate(l.place().getMinX(), l.place().getMinY());
    return v;
  }

  private static Text text(String words, FontWeight weight, double size, Color fill) {
    Text t = new Text(words);
    t.setFont(Font.font("Manrope", weight, size));
    t.setFill(fill);
    return t;
  }

  private void add(Text t, double x, double baseline) {
    t.setX(x);
    t.setY(baseline);
    getChildren().add(t);
  }

  /** What says that the job is being opened. */
  public Node sentence() {
    return says;
  }

  @Override
  protected void layoutChildren() {
    double w = getWidth();
    double line = getHeight() - ReadingLine.HEIGHT;
    double bottom = line - DocketView.HEIGHT;
    route.resizeRelocate(0, 0, w, RouteView.HEIGHT);
    strata.resizeRelocate(0, RouteView.HEIGHT, StrataView.WIDTH, bottom - RouteView.HEIGHT);
    docket.resizeRelocate(0, bottom, w, DocketView.HEIGHT);
    reading.resizeRelocate(0, line, w, ReadingLine.HEIGHT);
    says.setY(line + ReadingLine.HEIGHT / 2 + TEXT / 3);
  }
}
