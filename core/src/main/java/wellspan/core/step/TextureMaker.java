package wellspan.core.step;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.attribute.Attributes;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.overlay.LevelDifference;
import wellspan.core.picture.Texture;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.PlanClip;
import wellspan.core.reshape.Simplification;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.ElevationGrid;
import wellspan.core.terrain.TriangleIndex;

/** Lays pictures over ground. */
final class TextureMaker {
  /** Nodes of a new grid at most. */
  private static final int MOST_NODES = 4_000_000;

  private TextureMaker() {}

  static Maker.Made make(Recipe.TexturedGround r, Inputs inputs, Progress progress) {
    if (!(inputs.item(r.image()).shape() instanceof Shape.Picture image)) {
      throw new IllegalArgumentException(r.image() + " is no picture. Receive one and choose it.");
    }
    if (!(r.spacing() >= 0) || !(r.error() >= 0)) {
      throw new IllegalArgumentException("Spacing and error cannot be less than zero.");
    }
    Mesh whole = Maker.surface(inputs, r.surface()).mesh();
    Mesh under =
        PlanClip.inside(
            whole, Outlines.area(new Step.Outline.Of(r.image(), 0), inputs), progress.part(0, 0.3));
    if (under.triangleCount() == 0) {
      throw new IllegalArgumentException("the picture lies beside the ground.");
    }
    Mesh mesh = r.spacing() > 0 ? spaced(under, r.spacing()) : under;
    if (r.error() > 0) {
      mesh = Simplification.of(mesh, r.error(), progress.part(0.3, 0.6)).mesh();
    }
    if (mesh.triangleCount() == 0) {
      throw new IllegalArgumentException(
          "at this spacing no triangle is left. Choose a smaller one.");
    }
    double off = LevelDifference.between(under, mesh, progress.part(0.6, 0.8)).largest();
    progress.step(0.8, "Resampling the picture");
    Texture texture = new Texture(image.pixels(), image.place()).over(mesh.bounds(), r.pixel());
    List<Finding> findings = new ArrayList<>();
    double left = 100 * (1 - under.planArea() / whole.planArea());
    if (left > 0.01) {
      findings.add(
          Finding.note(
                  Stop.SHAPE,
                  "terrain.texture-part",
                  r.name(),
                  String.format(
                      Locale.ROOT,
                      "%s: the picture does not reach over %.1f %% of the ground; that part was left out.",
                      r.name(),
                      left))
              .withFigure(String.format(Locale.ROOT, "%.1f %%", left)));
    }
    return new Maker.Made(
        List.of(
            Item.surface(r.name(), mesh).with(Attributes.NONE.withTexture(Optional.of(texture)))),
        String.format(
            Locale.ROOT,
            "%d triangles, levels up to %.3f m off; picture of %d × %d pixels.",
            mesh.triangleCount(),
            off,
            texture.pixels().width(),
            texture.pixels().height()),
        findings);
  }

  /** Levels of a surface at the nodes of a grid over it; nodes beside it stay empty. */
  private static Mesh spaced(Mesh under, double spacing) {
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
