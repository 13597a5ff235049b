package wellspan.core.step;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CancellationException;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Plane;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.overlay.EarthBodies;
import wellspan.core.overlay.Volumes;
import wellspan.core.pad.Pad;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.ContourLines;
import wellspan.core.terrain.ContourStyle;
import wellspan.core.triangulate.Constraint;
import wellspan.core.triangulate.LevelConflict;
import wellspan.core.triangulate.Triangulated;
import wellspan.core.triangulate.Triangulator;

/** Carries out recipes. */
public final class Maker {
  /** Levels at one place that differ by less are no conflict, metres. */
  public static final double LEVEL_TOLERANCE = 0.01;

  private Maker() {}

  /**
   * What a recipe made.
   *
   * @param items nothing, if it failed
   * @param told what happened, a sentence with figures
   */
  public record Made(List<Item> items, String told, List<Finding> findings) {}

  /**
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Made make(Recipe recipe, Inputs inputs, Progress progress) {
    progress.step(0, recipe.title());
    try {
      return switch (recipe) {
        case Recipe.Triangulation t -> triangulate(t, inputs, progress);
        case Recipe.Copy c -> {
          Shape.Faces s = surface(inputs, c.surface());
          yield new Made(
              List.of(Item.of(c.name(), Kind.TERRAIN, s)),
              "Copied from " + inputs.item(c.surface()).name() + ".",
              List.of());
        }
        case Recipe.Earth e -> earth(e, inputs, progress);
        case Recipe.GradedPad p -> pad(p, inputs, progress);
        case Recipe.Contours c -> contours(c, inputs, progress);
        case Recipe.TexturedGround t -> TextureMaker.make(t, inputs, progress);
      };
    } catch (CancellationException e) {
      throw e; // nobody wants it any more; that is no failure
    } catch (IllegalArgumentException | IllegalStateException e) {
      return new Made(
          List.of(),
          e.getMessage(),
          List.of(
              Finding.error(
                  Stop.SHAPE,
                  "step.failed",
                  recipe.name(),
                  recipe.name() + " could not be made: " + e.getMessage())));
    }
  }

  static Shape.Faces surface(Inputs inputs, ItemId id) {
    Item item = inputs.item(id);
    if (item.kind().is(Kind.TERRAIN) && item.shape() instanceof Shape.Faces s) {
      return s;
    }
    throw new IllegalArgumentException(id + " is no surface. Choose a terrain surface.");
  }

  private static Made triangulate(Recipe.Triangulation recipe, Inputs inputs, Progress progress) {
    List<double[]> parts = new ArrayList<>();
    for (ItemId id : recipe.points()) {
      parts.add(points(inputs.item(id)));
    }
    List<Constraint> lines = new ArrayList<>();
    constraints(recipe.breaklines(), Constraint.Kind.BREAKLINE, inputs, lines);
    constraints(recipe.boundaries(), Constraint.Kind.BOUNDARY, inputs, lines);
    constraints(recipe.holes(), Constraint.Kind.HOLE, inputs, lines);
    Triangulated t =
        new Triangulator(recipe.duplicates(), recipe.crossings(), LEVEL_TOLERANCE)
            .run(join(parts), lines, progress);
    List<Finding> findings = new ArrayList<>();
    for (LevelConflict c : t.conflicts()) {
      findings.add(conflict(recipe, c));
    }
    t.lost()
        .forEach(
            p ->
                findings.add(
                    Finding.error(
                            Stop.SHAPE,
                            "terrain.breakline-lost",
                            recipe.name(),
                            recipe.name()
                                + ": a breakline is no edge of the surface here. Clean the lines around this place.")
                        .at(p)));
    t.withoutLevels().stream()
        .distinct()
        .forEach(
            name ->
                findings.add(
                    Finding.warning(
                        Stop.SHAPE,
                        "terrain.flat-line",
                        recipe.name(),
                        recipe.name()
                            + ": lines of "
                            + name
                            + " have no levels and were left out.")));
    return new Made(
        List.of(Item.surface(recipe.name(), t.mesh())),
        String.format(
            Locale.ROOT,
            "%d vertices, %d triangles, %d lines kept as edges, %d points at one place with another.",
            t.mesh().vertexCount(),
            t.mesh().triangleCount(),
            lines.size() - t.withoutLevels().size(),
            t.duplicates()),
        findings);
  }

  private static Finding conflict(Recipe.Triangulation recipe, LevelConflict c) {
    String figure = String.format(Locale.ROOT, "%.3f m", c.difference());
    return switch (c.kind()) {
      case CROSSING ->
          conflict(
              recipe,
              c,
              "terrain.crossing",
              "lines that cross here differ by " + figure,
              recipe.crossings().word());
      case DUPLICATE ->
          conflict(
              recipe,
              c,
              "terrain.duplicate-level",
              "points at one place differ by " + figure,
              recipe.duplicates().word());
      case ON_LINE ->
          conflict(
              recipe,
              c,
              "terrain.point-on-line",
              "a point lies on a line and differs from it by " + figure,
              "point's");
    };
  }

  private static Finding conflict(
      Recipe.Triangulation recipe, LevelConflict c, String code, String what, String taken) {
    String message =
        String.format(
            Locale.ROOT,
            "%s: %s (%.3f and %.3f m). The %s level was taken; choose another rule, or mend the source.",
            recipe.name(),
            what,
            c.lowest(),
            c.highest(),
            taken);
    return Finding.warning(Stop.SHAPE, code, recipe.name(), message)
        .at(c.place())
        .withFigure(String.format(Locale.ROOT, "%.3f m", c.difference()));
  }

  private static double[] points(Item item) {
    boolean body = item.triangles().isPresent() && !item.kind().surface();
    List<double[]> parts = item.shape().vertices();
    if (body || parts.isEmpty()) {
      throw new IllegalArgumentException(
          item.name() + " holds no ground points. Choose points, lines or a surface.");
    }
    return parts.size() == 1 ? parts.getFirst() : join(parts);
  }

  private static double[] join(List<double[]> parts) {
    double[] out = new double[parts.stream().mapToInt(p -> p.length).sum()];
    int at = 0;
    for (double[] p : parts) {
      System.arraycopy(p, 0, out, at, p.length);
      at += p.length;
    }
    return out;
  }

  private static void constraints(
      List<ItemId> ids, Constraint.Kind kind, Inputs inputs, List<Constraint> to) {
    for (ItemId id : ids) {
      if (!(inputs.item(id).shape() instanceof Shape.Lines l)) {
        throw new IllegalArgumentException(id + " holds no lines. Choose strings.");
      }
      String name = inputs.item(id).name();
      for (Polyline p : l.lines()) {
        if (kind.closed() && !p.isClosed(0.01)) {
          throw new IllegalArgumentException(
              name + " holds a line that is not closed, so it bounds nothing.");
        }
        to.add(new Constraint(name, kind.closed() ? p.open() : p, kind));
      }
    }
  }

  private static Made earth(Recipe.Earth e, Inputs inputs, Progress progress) {
    Shape.Faces existing = surface(inputs, e.existing());
    Shape.Faces proposed = surface(inputs, e.proposed());
    EarthBodies b = EarthBodies.between(existing.mesh(), proposed.mesh(), progress);
    List<Item> items = new ArrayList<>();
    if (b.cut().triangleCount() > 0) {
      items.add(Item.of(e.name() + " cut", Kind.CUT, new Shape.Faces(b.cut())));
    }
    if (b.fill().triangleCount() > 0) {
      items.add(Item.of(e.name() + " fill", Kind.FILL, new Shape.Faces(b.fill())));
    }
    if (items.isEmpty()) {
      throw new IllegalArgumentException(
          "the two surfaces do not lie over each other, or are the same.");
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT, "Cut %.1f m³, fill %.1f m³.", b.cut().volume(), b.fill().volume()),
        List.of());
  }

  private static Made contours(Recipe.Contours r, Inputs inputs, Progress progress) {
    ContourLines c =
        ContourLines.of(
            surface(inputs, r.surface()).mesh(),
            new ContourStyle(r.interval(), r.base(), r.majorEvery()),
            progress);
    List<Polyline> majors = c.lines(true), others = c.lines(false);
    List<Item> items = new ArrayList<>();
    if (!majors.isEmpty()) {
      items.add(Item.string(r.name() + " major", majors));
    }
    if (!others.isEmpty()) {
      items.add(Item.string(r.name(), others));
    }
    if (items.isEmpty()) {
      throw new IllegalArgumentException(
          "no contour crosses the surface. Choose a smaller interval or another base.");
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%d lines at %d levels, %d of them major.",
            majors.size() + others.size(),
            c.lines().size(),
            c.majors().size()),
        List.of());
  }

  private static Made pad(Recipe.GradedPad r, Inputs inputs, Progress progress) {
    Geometry outline = Outlines.area(r.outline(), inputs);
    Coordinate middle = outline.getCentroid().getCoordinate();
    Plane top =
        Plane.falling(new Position(middle.x, middle.y, r.level()), r.fall() / 100, r.bearing());
    Pad pad = Pad.of(outline, top, r.cut(), r.fill(), surface(inputs, r.ground()).mesh(), progress);
    Volumes v = pad.volumes();
    List<Finding> findings =
        pad.gapAt()
            .map(
                at ->
                    List.of(
                        Finding.warning(
                                Stop.SHAPE,
                                "terrain.slope-open",
                                r.name(),
                                r.name()
                                    + (Double.isInfinite(pad.gap())
                                        ? ": there is no ground here for the pad or its slopes to end on."
                                        : String.format(
                                            Locale.ROOT,
                                            ": a side slope ends %.3f m off the ground here. Choose steeper slopes, another level, or a larger ground.",
                                            pad.gap())))
                            .at(at)))
            .orElse(List.of());
    return new Made(
        List.of(Item.surface(r.name(), pad.mesh())),
        String.format(
            Locale.ROOT,
            "%.1f m² with %.1f m² of side slopes; cut %.1f m³, fill %.1f m³.",
            pad.area(),
            pad.mesh().planArea() - pad.area(),
            v.cut(),
            v.fill()),
        findings);
  }
}
