package wellspan.app.stage;

import java.awt.image.BufferedImage;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import javafx.geometry.Rectangle2D;
import wellspan.core.geom.Mesh;
import wellspan.core.terrain.TriangleIndex;

/**
 * A few threads that paint pieces of surfaces, the newest wish first. They go from one wish to the
 * next by themselves: a window that is busy with its picture holds none of them up. May be used
 * from any thread.
 */
final class TilePainters {
  private static final int WISHES = 64;
  private static final int PAINTERS = 3;

  private final Deque<TileCache.Key> wishes = new ArrayDeque<>(); // guarded by this
  private int painting; // guarded by this
  private final Map<Mesh, TriangleIndex> indexes = new ConcurrentHashMap<>();
  private final Queue<Painted> finished = new ConcurrentLinkedQueue<>();
  private final Runnable came;

  /** A piece as it was painted. */
  record Painted(TileCache.Key key, BufferedImage image, Rectangle2D used) {}

  /**
   * @param came told by a painter that there is a finished piece
   */
  TilePainters(Runnable came) {
    this.came = came;
  }

  /**
   * Wishes for a piece.
   *
   * @return the oldest wish where there are too many, which is given up
   */
  synchronized Optional<TileCache.Key> wish(TileCache.Key key) {
    wishes.push(key);
    Optional<TileCache.Key> givenUp =
        wishes.size() > WISHES ? Optional.of(wishes.removeLast()) : Optional.empty();
    if (painting < PAINTERS) {
      painting++;
      Thread.ofPlatform().daemon().name("tiles").start(this::work);
    }
    return givenUp;
  }

  /** The next wish; empty where this painter is not needed any more. */
  private synchronized Optional<TileCache.Key> next() {
    TileCache.Key key = wishes.poll();
    if (key == null) {
      painting--;
    }
    return Optional.ofNullable(key);
  }

  private void work() {
    for (Optional<TileCache.Key> key = next(); key.isPresent(); key = next()) {
      finished.add(paint(key.get()));
      came.run();
    }
    came.run(); // the last one ends the work
  }

  private Painted paint(TileCache.Key key) {
    try {
      // painters of one surface wait for each other here, until it is indexed
      TriangleIndex index = indexes.computeIfAbsent(key.mesh(), TriangleIndex::new);
      double resolution = TileCache.resolution(key.zoom());
      double size = TilePainter.SIZE * resolution;
      BufferedImage image =
          TilePainter.paint(
              index, key.look(), key.column() * size, (key.row() + 1) * size, resolution);
      return new Painted(key, image, TilePainter.used(image));
    } catch (RuntimeException | Error e) { // one piece stays empty, the others are painted
      System.getLogger("wellspan").log(System.Logger.Level.ERROR, "a piece was not painted", e);
      return new Painted(
          key,
          new BufferedImage(TilePainter.SIZE, TilePainter.SIZE, BufferedImage.TYPE_INT_ARGB_PRE),
          Rectangle2D.EMPTY);
    }
  }

  /** The pieces that were finished since this was asked last. */
  List<Painted> takeFinished() {
    List<Painted> out = new ArrayList<>();
    for (Painted p = finished.poll(); p != null; p = finished.poll()) {
      out.add(p);
    }
    return out;
  }

  /** Whether there will be more pieces to take. */
  synchronized boolean isBusy() {
    return painting > 0 || !finished.isEmpty();
  }

  void forgetMeshesBut(Collection<Mesh> alive) {
    indexes.keySet().retainAll(alive);
  }

  /** Where the triangles of a surface are; empty while nothing of it was painted. */
  Optional<TriangleIndex> index(Mesh mesh) {
    return Optional.ofNullable(indexes.get(mesh));
  }
}
