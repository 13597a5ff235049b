package wellspan.app.stage;

import java.util.Map;
import java.util.WeakHashMap;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.transform.Affine;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;

/** Pictures of the ground for the screen, and drawn in plan where they lie. */
final class PictureLayer {
  /**
   * Rows and columns that are drawn at most; screens show no more, and graphics cards refuse more.
   */
  private static final int LARGEST = 4096;

  private final Map<Pixels, Image> images = new WeakHashMap<>();

  /** The pixels as the toolkit wants them; thinned where there are too many to be seen. */
  Image image(Pixels p) {
    return images.computeIfAbsent(p, PictureLayer::made);
  }

  void draw(GraphicsContext g, PlanWindow window, Pixels pixels, PicturePlace p) {
    Image image = image(pixels);
    double x = window.x(p.east(0, 0)), y = window.y(p.north(0, 0));
    double w = image.getWidth(), h = image.getHeight();
    g.save();
    g.transform(
        new Affine(
            (window.x(p.east(1, 0)) - x) / w,
            (window.x(p.east(0, 1)) - x) / h,
            x,
            (window.y(p.north(1, 0)) - y) / w,
            (window.y(p.north(0, 1)) - y) / h,
            y));
    g.drawImage(image, 0, 0);
    g.restore();
  }

  private static Image made(Pixels p) {
    int step = 1;
    while (p.width() / step > LARGEST || p.height() / step > LARGEST) {
      step++;
    }
    int w = p.width() / step, h = p.height() / step;
    int[] argb = p.argb();
    if (step > 1) {
      argb = new int[w * h];
      for (int y = 0; y < h; y++) {
        for (int x = 0; x < w; x++) {
          argb[y * w + x] = p.argb()[y * step * p.width() + x * step];
        }
      }
    }
    WritableImage image = new WritableImage(w, h);
    image.getPixelWriter().setPixels(0, 0, w, h, PixelFormat.getIntArgbInstance(), argb, 0, w);
    return image;
  }
}
