package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;
import wellspan.core.triangulate.Constraint;
import wellspan.core.triangulate.LevelConflict;
import wellspan.core.triangulate.LevelRule;
import wellspan.core.triangulate.Triangulated;
import wellspan.core.triangulate.Triangulator;

/**
 * A terrain surface of points and lines.
 *
 * @param points groups of points, and surfaces whose vertices count as points
 * @param breaklines strings that become chains of edges
 * @param boundaries closed strings in which the surface ends
 * @param holes closed strings in which there is none
 * @param duplicates level of points at one place
 * @param crossings level where lines cross
 */
@Declared(
    id = "triangulation",
    title = "Triangulate",
    about = "Makes a terrain surface of points and lines.",
    also = "surface TIN terrain ground model mesh DTM breaklines")
public record Triangulation(
    @Parameter(label = "name", start = "\"Ground\"") String name,
    @Parameter(
            label = "points",
            usual = "[]",
            takes = {Takes.POINTS, Takes.SURFACE, Takes.LINES})
        List<ItemId> points,
    @Parameter(label = "breaklines", usual = "[]", takes = Takes.LINES) List<ItemId> breaklines,
    @Parameter(label = "boundaries", usual = "[]", takes = Takes.LINES) List<ItemId> boundaries,
    @Parameter(label = "holes", usual = "[]", takes = Takes.LINES) List<ItemId> holes,
    @Parameter(label = "level of points at one place", usual = "\"mean\"") LevelRule duplicates,
    @Parameter(label = "level where lines cross", usual = "\"mean\"") LevelRule crossings)
    implements Recipe {
  /** Levels at one place that differ by less are no conflict, metres. */
  public static final double LEVEL_TOLERANCE = 0.01;

  public Triangulation {
    points = List.copyOf(points);
    breaklines = List.copyOf(breaklines);
    boundaries = List.copyOf(boundaries);
    holes = List.copyOf(holes);
  }

  @Override
  public Made make(Inputs inputs, Progress progress) {
    List<double[]> parts = points.stream().map(id -> groundPoints(inputs.item(id))).toList();
    List<Constraint> lines = new ArrayList<>();
    constraints(breaklines, Constraint.Kind.BREAKLINE, inputs, lines);
    constraints(boundaries, Constraint.Kind.BOUNDARY, inputs, lines);
    constraints(holes, Constraint.Kind.HOLE, inputs, lines);
    Triangulated t =
        new Triangulator(duplicates, crossings, LEVEL_TOLERANCE).run(join(parts), lines, progress);
    return new Made(
        List.of(Item.surface(name, t.mesh())),
        String.format(
            Locale.ROOT,
            "%d vertices, %d triangles, %d lines kept as edges, %d points at one place with another.",
            t.mesh().vertexCount(),
            t.mesh().triangleCount(),
            lines.size() - t.withoutLevels().size(),
            t.duplicates()),
        findings(t));
  }

  private List<Finding> findings(Triangulated t) {
    List<Finding> out = new ArrayList<>();
    t.conflicts().forEach(c -> out.add(conflict(c)));
    t.lost()
        .forEach(
            p ->
                out.add(
                    Finding.error(
                            Stop.SHAPE,
                            "terrain.breakline-lost",
                            name,
                            name
                                + ": a breakline is no edge of the surface here. Clean the lines around this place.")
                        .at(p)));
    t.withoutLevels().stream()
        .distinct()
        .forEach(
            lines ->
                out.add(
                    Finding.warning(
                        Stop.SHAPE,
                        "terrain.flat-line",
                        name,
                        name + ": lines of " + lines + " have no levels and were left out.")));
    return out;
  }

  private Finding conflict(LevelConflict c) {
    String figure = String.format(Locale.ROOT, "%.3f m", c.difference());
    return switch (c.kind()) {
      case CROSSING ->
          conflict(
              c, "terrain.crossing", "lines that cross here differ by " + figure, crossings.word());
      case DUPLICATE ->
          conflict(
              c,
              "terrain.duplicate-level",
              "points at one place differ by " + figure,
              duplicates.word());
      case ON_LINE ->
          conflict(
              c,
              "terrain.point-on-line",
              "a point lies on a line and differs from it by " + figure,
              "point's");
    };
  }

  private Finding conflict(LevelConflict c, String code, String what, String taken) {
    String message =
        String.format(
            Locale.ROOT,
            "%s: %s (%.3f and %.3f m). The %s level was taken; choose another rule, or mend the source.",
            name,
            what,
            c.lowest(),
            c.highest(),
            taken);
    return Finding.warning(Stop.SHAPE, code, name, message)
        .at(c.place())
        .withFigure(Figure.of(c.difference(), 3, "m"));
  }

  private static double[] groundPoints(Item item) {
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
      String of = inputs.item(id).name();
      for (Polyline p : l.lines()) {
        if (kind.closed() && !p.isClosed(0.01)) {
          throw new IllegalArgumentException(
              of + " holds a line that is not closed, so it bounds nothing.");
        }
        to.add(new Constraint(of, kind.closed() ? p.open() : p, kind));
      }
    }
  }
}
