package wellspan.app.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.image.Image;

/** The small picture by which a job is known again: its plan as it was left, in its cache. */
final class JobPicture {
  static final double WIDTH = 264;
  static final double HEIGHT = 148;

  private JobPicture() {}

  private static Path file(Path folder) {
    return folder.resolve("cache").resolve("picture.png");
  }

  /** As it was left, or as it was opened where nobody has left it in order. */
  static Optional<Image> of(Path folder) {
    return Stream.of(file(folder), OpeningPicture.picture(folder.resolve("cache")))
        .filter(Files::isRegularFile)
        .findFirst()
        .map(f -> new Image(f.toUri().toString(), 2 * WIDTH, 0, true, true, true));
  }

  /** Takes the picture of what is shown; a job without one is no worse for it. */
  static void take(Path folder, Node plan) throws IOException {
    double w = plan.getLayoutBounds().getWidth();
    double h = plan.getLayoutBounds().getHeight();
    if (w < 1 || h < 1) {
      return;
    }
    PlanShot.of(plan, 2 * WIDTH / w).keep(file(folder));
  }
}
