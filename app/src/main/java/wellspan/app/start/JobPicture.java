package wellspan.app.start;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.transform.Scale;
import javax.imageio.ImageIO;
import wellspan.core.job.AtomicFile;

/** The small picture by which a job is known again: its plan as it was left, in its cache. */
final class JobPicture {
  static final double WIDTH = 264;
  static final double HEIGHT = 148;

  private JobPicture() {}

  private static Path file(Path folder) {
    return folder.resolve("cache").resolve("picture.png");
  }

  static Optional<Image> of(Path folder) {
    Path f = file(folder);
    return Files.isRegularFile(f)
        ? Optional.of(new Image(f.toUri().toString(), 2 * WIDTH, 2 * HEIGHT, true, true, true))
        : Optional.empty();
  }

  /** Takes the picture of what is shown; a job without one is no worse for it. */
  static void take(Path folder, Node plan) throws IOException {
    double w = plan.getLayoutBounds().getWidth();
    double h = plan.getLayoutBounds().getHeight();
    if (w < 1 || h < 1) {
      return;
    }
    double scale = 2 * WIDTH / w;
    SnapshotParameters p = new SnapshotParameters();
    p.setTransform(new Scale(scale, scale));
    WritableImage shot = plan.snapshot(p, null);
    int width = (int) shot.getWidth();
    int height = (int) shot.getHeight();
    int[] argb = new int[width * height];
    shot.getPixelReader()
        .getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), argb, 0, width);
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    image.setRGB(0, 0, width, height, argb, 0, width);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "png", bytes);
    Files.createDirectories(file(folder).getParent());
    AtomicFile.write(file(folder), bytes.toByteArray());
  }
}
