package wellspan.app.stage;

import java.util.function.Function;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;

/** Draws meshes out of painted tiles; where one is not ready yet a coarser one stands in. */
record TerrainLayer(
    GraphicsContext g, TileCache tiles, PlanWindow window, Function<Mesh, Box> boxes) {

  void draw(Mesh mesh, SurfaceLook look) {
    if (mesh.triangleCount() == 0) {
      return;
    }
    Box box = boxes.apply(mesh);
    int zoom = (int) Math.floor(Math.log(window.metresPerPixel()) / Math.log(2) + 0.3);
    double size = TilePainter.SIZE * TileCache.resolution(zoom);
    double minE = Math.max(box.minE(), window.eastAt(0));
    double maxE = Math.min(box.maxE(), window.eastAt(window.width()));
    double minN = Math.max(box.minN(), window.northAt(window.height()));
    double maxN = Math.min(box.maxN(), window.northAt(0));
    for (long row = (long) Math.floor(minN / size); row <= (long) Math.floor(maxN / size); row++) {
      for (long column = (long) Math.floor(minE / size);
          column <= (long) Math.floor(maxE / size);
          column++) {
        tile(new TileCache.Key(mesh, look, zoom, column, row));
      }
    }
  }

  private void tile(TileCache.Key key) {
    double size = TilePainter.SIZE * TileCache.resolution(key.zoom());
    double x0 = Math.round(window.x(key.column() * size));
    double y0 = Math.round(window.y((key.row() + 1) * size));
    double w = Math.round(window.x((key.column() + 1) * size)) - x0;
    double h = Math.round(window.y(key.row() * size)) - y0;
    Image image = tiles.get(key);
    if (image != null) {
      g.drawImage(image, x0, y0, w, h);
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
      Image coarse = tiles.peek(parent);
      if (coarse != null) {
        double part = (double) TilePainter.SIZE / span;
        double sx = Math.floorMod(key.column(), span) * part;
        double sy = (span - 1 - Math.floorMod(key.row(), span)) * part;
        g.drawImage(coarse, sx, sy, part, part, x0, y0, w, h);
        return;
      }
    }
  }
}
