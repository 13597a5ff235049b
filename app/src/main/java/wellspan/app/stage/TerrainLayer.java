package wellspan.app.stage;

import java.util.function.Function;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;

/**
 * Draws meshes out of painted tiles; where one is not ready yet a coarser one stands in.
 *
 * @param part of the picture, pixels
 * @param pieces gives a tile, or null where it is not painted
 * @param coarser the same for one that stands in
 */
record TerrainLayer(
    GraphicsContext g,
    PlanWindow window,
    Rectangle2D part,
    Function<TileCache.Key, TileCache.Piece> pieces,
    Function<TileCache.Key, TileCache.Piece> coarser,
    Function<Mesh, Box> boxes) {
  /** What only touches a part does not reach into it, pixels. */
  private static final double TOUCH = 0.5;

  private static final Rectangle2D WHOLE =
      new Rectangle2D(0, 0, TilePainter.SIZE, TilePainter.SIZE);

  /** Where a piece lies in the picture, whole pixels. */
  static Rectangle2D place(PlanWindow window, TileCache.Key key) {
    double size = TilePainter.SIZE * TileCache.resolution(key.zoom());
    double x = Math.round(window.x(key.column() * size));
    double y = Math.round(window.y((key.row() + 1) * size));
    return new Rectangle2D(
        x,
        y,
        Math.round(window.x((key.column() + 1) * size)) - x,
        Math.round(window.y(key.row() * size)) - y);
  }

  void draw(Mesh mesh, SurfaceLook look) {
    if (mesh.triangleCount() == 0) {
      return;
    }
    Box box = boxes.apply(mesh);
    int zoom = (int) Math.floor(Math.log(window.metresPerPixel()) / Math.log(2) + 0.3);
    double size = TilePainter.SIZE * TileCache.resolution(zoom);
    double minE = Math.max(box.minE(), window.eastAt(part.getMinX() + TOUCH));
    double maxE = Math.min(box.maxE(), window.eastAt(part.getMaxX() - TOUCH));
    double minN = Math.max(box.minN(), window.northAt(part.getMaxY() - TOUCH));
    double maxN = Math.min(box.maxN(), window.northAt(part.getMinY() + TOUCH));
    for (long row = (long) Math.floor(minN / size); row <= (long) Math.floor(maxN / size); row++) {
      for (long column = (long) Math.floor(minE / size);
          column <= (long) Math.floor(maxE / size);
          column++) {
        tile(new TileCache.Key(mesh, look, zoom, column, row));
      }
    }
  }

  private void tile(TileCache.Key key) {
    Rectangle2D at = place(window, key);
    TileCache.Piece painted = pieces.apply(key);
    if (painted != null) {
      draw(painted, WHOLE, at);
      return;
    }
    for (int up = 1; up <= 6; up++) { // a part of a coarser tile stands in
      long span = 1L << up;
      TileCache.Key parent =
          new TileCache.Key(
              key.mesh(),
              key.look(),
              key.zoom() + up,
              Math.floorDiv(key.column(), span),
              Math.floorDiv(key.row(), span));
      TileCache.Piece coarse = coarser.apply(parent);
      if (coarse != null) {
        double size = (double) TilePainter.SIZE / span;
        double x = Math.floorMod(key.column(), span) * size;
        double y = (span - 1 - Math.floorMod(key.row(), span)) * size;
        draw(coarse, new Rectangle2D(x, y, size, size), at);
        return;
      }
    }
  }

  /** Draws what there is in a part of a piece. */
  private void draw(TileCache.Piece piece, Rectangle2D from, Rectangle2D to) {
    Rectangle2D used = piece.used();
    double left = Math.max(from.getMinX(), used.getMinX());
    double top = Math.max(from.getMinY(), used.getMinY());
    double width = Math.min(from.getMaxX(), used.getMaxX()) - left;
    double height = Math.min(from.getMaxY(), used.getMaxY()) - top;
    if (width <= 0 || height <= 0) {
      return;
    }
    double across = to.getWidth() / from.getWidth();
    double down = to.getHeight() / from.getHeight();
    g.drawImage(
        piece.image(),
        left,
        top,
        width,
        height,
        to.getMinX() + (left - from.getMinX()) * across,
        to.getMinY() + (top - from.getMinY()) * down,
        width * across,
        height * down);
  }
}
