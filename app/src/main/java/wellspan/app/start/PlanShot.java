package wellspan.app.start;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.transform.Scale;
import javax.imageio.ImageIO;
import wellspan.core.job.AtomicFile;

/** A picture of what is shown, taken on the window's thread and kept by any. */
record PlanShot(WritableImage image) {

  /**
   * @param scale pixels of the picture for one of the window
   */
  static PlanShot of(Node plan, double scale) {
    SnapshotParameters p = new SnapshotParameters();
    p.setTransform(new Scale(scale, scale));
    return new PlanShot(plan.snapshot(p, null));
  }

  /** Writes a PNG file; its folder is made where there is none. */
  void keep(Path file) throws IOException {
    int width = (int) image.getWidth();
    int height = (int) image.getHeight();
    int[] argb = new int[width * height];
    image
        .getPixelReader()
        .getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), argb, 0, width);
    BufferedImage out = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    out.setRGB(0, 0, width, height, argb, 0, width);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(out, "png", bytes);
    Files.createDirectories(file.getParent());
    AtomicFile.write(file, bytes.toByteArray());
  }
}
