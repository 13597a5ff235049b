package wellspan.app.stage;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.nio.IntBuffer;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import wellspan.core.geom.Mesh;
import wellspan.core.terrain.TriangleIndex;

/**
 * Painted pieces of surfaces. A piece that is not there yet is painted beside the window, newest
 * wish first, and a coarser one stands in for it. Used on the window's thread only.
 */
final class TileCache {
  private static final int KEPT = 400;
  private static final int WISHES = 64;
  private static final int PAINTERS = 3;

  /** While more pieces come the picture is drawn this often at most, nanoseconds. */
  private static final long SELDOM = 150_000_000L;

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
  private final Map<Mesh, TriangleIndex> indexes = new HashMap<>();
  private final Set<Key> asked = new HashSet<>();
  private final Deque<Key> wishes = new ArrayDeque<>();
  private final Runnable changed;
  private int painting;
  private long told;
  private List<Key> arrived = new ArrayList<>();
  private boolean lacking;
  private int inView;
  private int inViewBefore;

  /**
   * @param changed called on the window's thread when a new piece is there
   */
  TileCache(Runnable changed) {
    this.changed = changed;
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
      wishes.push(key);
      while (wishes.size() > WISHES) {
        asked.remove(wishes.removeLast());
        lacking = true;
      }
      next();
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
    return painting > 0 || !wishes.isEmpty();
  }

  void forgetMeshesBut(Set<Mesh> alive) {
    indexes.keySet().retainAll(alive);
    tiles.keySet().removeIf(k -> !alive.contains(k.mesh()));
  }

  /** Several pieces at once, but only one while the index of its surface is still to be made. */
  private void next() {
    while (painting < PAINTERS
        && !wishes.isEmpty()
        && (painting == 0 || indexes.containsKey(wishes.peek().mesh()))) {
      paint(wishes.pop());
    }
  }

  private void paint(Key key) {
    painting++;
    TriangleIndex known = indexes.get(key.mesh());
    Thread.ofPlatform()
        .daemon()
        .name("tiles")
        .start(
            () -> {
              Painted painted = painted(key, known);
              Platform.runLater(() -> done(key, painted));
            });
  }

  /** A piece with the index that it was painted by, which is missing if that was at fault. */
  private record Painted(BufferedImage image, Rectangle2D used, Optional<TriangleIndex> index) {}

  private static Painted painted(Key key, TriangleIndex known) {
    try {
      TriangleIndex index = known == null ? new TriangleIndex(key.mesh()) : known;
      double size = TilePainter.SIZE * resolution(key.zoom());
      BufferedImage image =
          TilePainter.paint(
              index,
              key.look(),
              key.column() * size,
              (key.row() + 1) * size,
              resolution(key.zoom()));
      return new Painted(image, TilePainter.used(image), Optional.of(index));
    } catch (RuntimeException | Error e) { // one piece stays empty, the others are painted
      System.getLogger("wellspan").log(System.Logger.Level.ERROR, "a piece was not painted", e);
      return new Painted(
          new BufferedImage(TilePainter.SIZE, TilePainter.SIZE, BufferedImage.TYPE_INT_ARGB_PRE),
          Rectangle2D.EMPTY,
          Optional.ofNullable(known));
    }
  }

  private void done(Key key, Painted painted) {
    painting--;
    arrived.add(key);
    asked.remove(key);
    painted.index().ifPresent(index -> indexes.put(key.mesh(), index));
    BufferedImage image = painted.image();
    int[] argb = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    tiles.put(
        key,
        new Piece(
            new WritableImage(
                new PixelBuffer<>(
                    TilePainter.SIZE,
                    TilePainter.SIZE,
                    IntBuffer.wrap(argb),
                    PixelFormat.getIntArgbPreInstance())),
            painted.used()));
    next();
    long now = System.nanoTime();
    if (!isBusy() || now - told > SELDOM) { // the picture is drawn as a whole
      told = now;
      changed.run();
    }
  }

  /** Level of a surface under a place, NaN beside it or while the surface is not indexed yet. */
  double level(Mesh mesh, double e, double n) {
    TriangleIndex index = indexes.get(mesh);
    return index == null ? Double.NaN : index.levelAt(e, n);
  }
}
