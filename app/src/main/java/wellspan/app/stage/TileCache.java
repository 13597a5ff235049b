package wellspan.app.stage;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.LongSupplier;
import javafx.geometry.Rectangle2D;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import wellspan.core.geom.Mesh;

/**
 * Painted pieces of surfaces. A piece that is not there yet is painted beside the window, newest
 * wish first, and a coarser one stands in for it. Used on the window's thread only.
 */
final class TileCache {
  private static final int KEPT = 400;

  /**
   * Which piece.
   *
   * @param zoom power of two of the resolution in metres
   */
  record Key(Mesh mesh, SurfaceLook look, int zoom, long column, long row) {}

  /**
   * A painted piece.
   *
   * @param used the part of the image in which there is anything; most of what a road's pieces
   *     cover is not road
   */
  record Piece(Image image, Rectangle2D used) {}

  private final Map<Key, Piece> tiles =
      new LinkedHashMap<>(KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Piece> eldest) {
          return size() > Math.max(KEPT, 2 * Math.max(inView, inViewBefore));
        }
      };
  private final Set<Key> asked = new HashSet<>();
  private final Soon collecting = new Soon(this::collect);
  private final TilePainters painters = new TilePainters(collecting::ask);
  private final Runnable changed;
  private final LongSupplier seldom;
  private long told;
  private List<Key> arrived = new ArrayList<>();
  private boolean lacking;
  private int inView;
  private int inViewBefore;

  /**
   * @param changed called on the window's thread when new pieces are there
   * @param seldom while more pieces come it is called this often at most, nanoseconds
   */
  TileCache(Runnable changed, LongSupplier seldom) {
    this.changed = changed;
    this.seldom = seldom;
  }

  static double resolution(int zoom) {
    return Math.scalb(1.0, zoom);
  }

  /**
   * Says that a picture is drawn from the start. What one picture needs is never thrown away for
   * itself, however many pieces it has.
   */
  void startPicture() {
    inViewBefore = inView;
    inView = 0;
    arrived = new ArrayList<>();
    lacking = false;
  }

  /** The piece, or null while it is being painted. */
  Piece get(Key key) {
    inView++;
    Piece there = tiles.get(key);
    if (there == null && asked.add(key)) {
      painters
          .wish(key)
          .ifPresent(
              givenUp -> {
                asked.remove(givenUp);
                lacking = true;
              });
    }
    return there;
  }

  /** The piece if it is painted already. */
  Piece peek(Key key) {
    return tiles.get(key);
  }

  /** The pieces that have come since the picture was drawn, or since this was asked. */
  List<Key> takeArrived() {
    List<Key> out = arrived;
    arrived = new ArrayList<>();
    return out;
  }

  /** Whether a picture has wanted more than could wait, and is to be drawn from the start again. */
  boolean isLacking() {
    return lacking && !isBusy();
  }

  boolean isBusy() {
    return painters.isBusy();
  }

  void forgetMeshesBut(Set<Mesh> alive) {
    painters.forgetMeshesBut(alive);
    tiles.keySet().removeIf(k -> !alive.contains(k.mesh()));
  }

  private void collect() {
    for (TilePainters.Painted p : painters.takeFinished()) {
      arrived.add(p.key());
      asked.remove(p.key());
      tiles.put(p.key(), new Piece(image(p.image()), p.used()));
    }
    long now = System.nanoTime();
    boolean any = !arrived.isEmpty() || lacking;
    if (any && (!isBusy() || now - told > seldom.getAsLong())) { // the picture is drawn as a whole
      told = now;
      changed.run();
    }
  }

  private static Image image(BufferedImage painted) {
    int[] argb = ((DataBufferInt) painted.getRaster().getDataBuffer()).getData();
    return new WritableImage(
        new PixelBuffer<>(
            TilePainter.SIZE,
            TilePainter.SIZE,
            IntBuffer.wrap(argb),
            PixelFormat.getIntArgbPreInstance()));
  }

  /** Level of a surface under a place, NaN beside it or while the surface is not indexed yet. */
  double level(Mesh mesh, double e, double n) {
    return painters.index(mesh).map(i -> i.levelAt(e, n)).orElse(Double.NaN);
  }
}
