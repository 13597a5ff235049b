package wellspan.core.recipe;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.attribute.Attributes;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Outline;
import wellspan.core.operation.OutlineArea;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Takes;
import wellspan.core.overlay.LevelDifference;
import wellspan.core.picture.Texture;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.PlanClip;
import wellspan.core.reshape.Simplification;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.ElevationGrid;
import wellspan.core.terrain.TriangleIndex;

/**
 * Ground with a picture over it: cut to the picture, the picture cut to it and resampled.
 *
 * @param surface the ground
 * @param image the picture
 * @param pixel size of the resampled pixels, metres
 * @param spacing of a new grid of levels, metres; 0 keeps the triangles
 * @param error by which the triangles may be simplified at most, metres; 0 for none
 */
@Declared(
    id = "textured ground",
    title = "Textured ground",
    about = "Lays a picture over the ground, each cut to the other.",
    also = "orthophoto image drape texture aerial")
public record TexturedGround(
    @Parameter(label = "name", start = "\"Textured ground\"") String name,
    @Parameter(label = "ground", takes = Takes.SURFACE) ItemId surface,
    @Parameter(label = "picture", takes = Takes.PICTURE) ItemId image,
    @Parameter(label = "pixel size", unit = "m", least = 0) double pixel,
    @Parameter(label = "grid spacing", unit = "m; 0 keeps the triangles", start = "0", least = 0)
        double spacing,
    @Parameter(label = "largest level error", unit = "m; 0 for none", start = "0", least = 0)
        double error)
    implements Recipe {
  /** Nodes of a new grid at most. */
  private static final int MOST_NODES = 4_000_000;

  @Override
  public Made make(Inputs inputs, Progress progress) {
    if (!(inputs.item(image).shape() instanceof Shape.Picture picture)) {
      throw new IllegalArgumentException(image + " is no picture. Receive one and choose it.");
    }
    if (!(spacing >= 0) || !(error >= 0)) {
      throw new IllegalArgumentException("Spacing and error cannot be less than zero.");
    }
    Mesh whole = inputs.ground(surface);
    Mesh under =
        PlanClip.inside(
            whole, OutlineArea.of(new Outline.Of(image, 0), inputs), progress.part(0, 0.3));
    if (under.triangleCount() == 0) {
      throw new IllegalArgumentException("the picture lies beside the ground.");
    }
    Mesh mesh = spacing > 0 ? spaced(under) : under;
    if (error > 0) {
      mesh = Simplification.of(mesh, error, progress.part(0.3, 0.6)).mesh();
    }
    if (mesh.triangleCount() == 0) {
      throw new IllegalArgumentException(
          "at this spacing no triangle is left. Choose a smaller one.");
    }
    double off = LevelDifference.between(under, mesh, progress.part(0.6, 0.8)).largest();
    progress.advance(0.8, "Resampling the picture");
    Texture texture = new Texture(picture.pixels(), picture.place()).over(mesh.bounds(), pixel);
    double left = 100 * (1 - under.planArea() / whole.planArea());
    return new Made(
        List.of(Item.surface(name, mesh).with(Attributes.NONE.withTexture(Optional.of(texture)))),
        String.format(
            Locale.ROOT,
            "%d triangles, levels up to %.3f m off; picture of %d × %d pixels.",
            mesh.triangleCount(),
            off,
            texture.pixels().width(),
            texture.pixels().height()),
        left > 0.01 ? List.of(leftOut(left)) : List.of());
  }

  private Finding leftOut(double percent) {
    return Finding.note(
            Stop.SHAPE,
            "terrain.texture-part",
            name,
            String.format(
                Locale.ROOT,
                "%s: the picture does not reach over %.1f %% of the ground; that part was left out.",
                name,
                percent))
        .withFigure(Figure.of(percent, 1, "%"));
  }

  /** Levels of a surface at the nodes of a grid over it; nodes beside it stay empty. */
  private Mesh spaced(Mesh under) {
    Box b = under.bounds();
    double columns = Math.floor(b.width() / spacing) + 1;
    double rows = Math.floor(b.depth() / spacing) + 1;
    if (columns * rows > MOST_NODES) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "a spacing of %.3f m makes a grid of %.0f × %.0f. Choose a larger one.",
              spacing,
              columns,
              rows));
    }
    TriangleIndex index = new TriangleIndex(under);
    int w = (int) columns, h = (int) rows;
    double[] levels = new double[w * h];
    for (int i = 0; i < levels.length; i++) {
      int row = i / w;
      levels[i] = index.levelAt(b.minE() + i % w * spacing, b.maxN() - row * spacing);
    }
    return new ElevationGrid(b.minE(), b.maxN(), spacing, spacing, w, h, levels).mesh();
  }
}
