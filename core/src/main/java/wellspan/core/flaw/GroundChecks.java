package wellspan.core.flaw;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.PlanVertices;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.progress.Progress;
import wellspan.core.triangulate.Triangulator;

/**
 * Looks for flaws in ground: in groups of points and in surfaces. Every flaw is a finding with its
 * place and figure as long as there are few of a kind; many are told together.
 */
public final class GroundChecks {
  /** Groups of fewer points are no ground: setting-out or control points. */
  private static final int LEAST_POINTS = 50;

  /** More flaws of one kind than this are told as one finding. */
  private static final int MOST = 12;

  /** Height below which a triangle is told to be a sliver, metres. */
  public static final double SLIVER = 0.001;

  private GroundChecks() {}

  /** Looks at an item that lies alone. */
  public static List<Finding> of(Item item, Progress progress) {
    return of(item, CoveredPlaces.NONE, progress);
  }

  /**
   * @param covers that lie in the ground
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static List<Finding> of(Item item, CoveredPlaces covers, Progress progress) {
    List<Finding> out = new ArrayList<>();
    if (item.shape().points().size() >= LEAST_POINTS) {
      loose(item.name(), item.shape().vertices().getFirst(), progress, out);
    }
    Mesh mesh = item.triangles().orElse(null);
    if (item.kind().is(Kind.TERRAIN) && mesh != null && mesh.triangleCount() > 0) {
      vertices(item.name(), mesh, progress.part(0, 0.5), out);
      surface(item.name(), mesh, covers, progress.part(0.5, 1), out);
    }
    return out;
  }

  private static void loose(String name, double[] xyz, Progress progress, List<Finding> out) {
    FalseLevels f = FalseLevels.find(xyz, progress.part(0, 0.4));
    boolean[] left = falseLevels(name, xyz, f, out);
    spikes(name, xyz, Spikes.find(xyz, left, Double.NaN, progress.part(0.4, 0.9)), out);
    duplicates(name, xyz, left, out);
  }

  private static void vertices(String name, Mesh m, Progress progress, List<Finding> out) {
    FalseLevels f = FalseLevels.find(m, progress.part(0, 0.4));
    boolean[] left = falseLevels(name, m.xyz(), f, out);
    spikes(name, m.xyz(), Spikes.find(m, left, Double.NaN, progress.part(0.4, 0.9)), out);
  }

  /** Tells them, and which points no longer count. */
  private static boolean[] falseLevels(
      String name, double[] xyz, FalseLevels f, List<Finding> out) {
    int n = xyz.length / 3;
    f.values()
        .forEach(
            (value, count) ->
                out.add(
                    Finding.error(
                            Stop.SHAPE,
                            "terrain.false-level",
                            name,
                            String.format(
                                Locale.ROOT,
                                "%s: %d of %d points %s at %.3f m, far from what is around them: a stand-in for no level. Drop them with \u201cDrop levels that are none\u201d.",
                                name,
                                count,
                                n,
                                count == 1 ? "lies" : "lie",
                                value))
                        .at(allAt(xyz, f.points(), value))
                        .withFigure(Figure.count(count, count == 1 ? "point" : "points"))));
    boolean[] left = new boolean[n];
    f.points().forEach(i -> left[i] = true);
    return left;
  }

  private static void spikes(String name, double[] xyz, Spikes s, List<Finding> out) {
    if (s.points().size() <= MOST) {
      for (int k = 0; k < s.points().size(); k++) {
        out.add(spike(name, xyz, s, k, ""));
      }
    } else {
      int tallest = tallest(s);
      List<Position> all = new ArrayList<>(s.points().stream().map(i -> place(xyz, i)).toList());
      all.addFirst(all.remove(tallest)); // where it is looked at
      out.add(spike(name, xyz, s, tallest, all.size() + " spikes, the tallest: ").at(all));
    }
  }

  private static List<Position> allAt(double[] xyz, List<Integer> points, double value) {
    return points.stream()
        .filter(i -> Math.abs(xyz[3 * i + 2] - value) < FalseLevels.SAME)
        .map(i -> place(xyz, i))
        .toList();
  }

  private static Position place(double[] xyz, int i) {
    return new Position(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
  }

  private static int tallest(Spikes s) {
    int best = 0;
    for (int k = 1; k < s.points().size(); k++) {
      best = Math.abs(s.heights().get(k)) > Math.abs(s.heights().get(best)) ? k : best;
    }
    return best;
  }

  private static Finding spike(String name, double[] xyz, Spikes s, int k, String lead) {
    double h = s.heights().get(k);
    return Finding.warning(
            Stop.SHAPE,
            "terrain.spike",
            name,
            String.format(
                Locale.ROOT,
                "%s: %sa point stands %.2f m %s its neighbours. Drop it with \u201cDrop spikes\u201d, or check the source.",
                name,
                lead,
                Math.abs(h),
                h > 0 ? "above" : "below"))
        .at(place(xyz, s.points().get(k)))
        .withFigure(Figure.signed(h, 2, "m"));
  }

  /** Points at one place; those with a false level are told already. */
  private static void duplicates(String name, double[] xyz, boolean[] left, List<Finding> out) {
    int n = xyz.length / 3;
    PlanVertices places =
        new PlanVertices(Triangulator.SAME_PLACE, wellspan.core.geom.Box.of(xyz), n);
    Map<Integer, double[]> again = new HashMap<>();
    List<Integer> order = new ArrayList<>();
    int extra = 0;
    for (int i = 0; i < n; i++) {
      if (left[i]) {
        continue;
      }
      int before = places.size();
      double z = xyz[3 * i + 2];
      int v = places.at(xyz[3 * i], xyz[3 * i + 1], z);
      if (v < before) {
        extra++;
        double[] range = again.get(v);
        if (range == null) {
          range = new double[] {places.level(v), places.level(v)};
          again.put(v, range);
          order.add(v);
        }
        range[0] = Math.min(range[0], z);
        range[1] = Math.max(range[1], z);
      }
    }
    if (order.size() > MOST) {
      int worst = order.getFirst();
      for (int v : order) {
        worst = height(again.get(v)) > height(again.get(worst)) ? v : worst;
      }
      int first = worst;
      List<Position> all = new ArrayList<>(List.of(at(places, worst)));
      order.stream().filter(v -> v != first).forEach(v -> all.add(at(places, v)));
      out.add(
          duplicate(
                  name,
                  places,
                  worst,
                  again.get(worst),
                  extra + " points at places that another one has, the worst: ")
              .at(all));
    } else {
      order.forEach(v -> out.add(duplicate(name, places, v, again.get(v), "")));
    }
  }

  private static double height(double[] range) {
    return range[1] - range[0];
  }

  private static Finding duplicate(
      String name, PlanVertices places, int v, double[] range, String lead) {
    Figure figure = Figure.of(height(range), 3, "m");
    return Finding.warning(
            Stop.SHAPE,
            "terrain.duplicate",
            name,
            String.format(
                Locale.ROOT,
                "%s: %stwo points lie at one place, %s apart in level. Merge them with \u201cMerge points at one place\u201d.",
                name,
                lead,
                figure.text()))
        .at(at(places, v))
        .withFigure(figure);
  }

  private static Position at(PlanVertices places, int v) {
    return new Position(places.east(v), places.north(v), places.level(v));
  }

  private static void surface(
      String name, Mesh m, CoveredPlaces covers, Progress progress, List<Finding> out) {
    SurfaceFlaws f = SurfaceFlaws.of(m, SLIVER, progress);
    triangles(name, m, f.slivers(), "terrain.sliver", "lower than a millimetre", out);
    triangles(name, m, f.inverted(), "terrain.inverted", "upside down", out);
    triangles(name, m, f.repeated(), "terrain.repeated", "there more than once", out);
    triangles(name, m, f.overlapping(), "terrain.overlap", "over or under others", out);
    if (!f.irregularEdges().isEmpty()) {
      out.add(
          Finding.warning(
                  Stop.SHAPE,
                  "terrain.edge",
                  name,
                  name
                      + ": edges with more than two triangles, or with two that are turned against each other: "
                      + f.irregularEdges().size()
                      + ". Drop flawed triangles.")
              .at(f.irregularEdges().stream().map(e -> m.vertex(e[0])).toList())
              .withFigure(Figure.count(f.irregularEdges().size())));
    }
    List<Position> holes =
        f.holes().stream()
            .map(Hole::outline)
            .filter(h -> !covers.fill(m, h))
            .map(h -> m.vertex(h[0]))
            .toList();
    places(
        holes,
        () ->
            Finding.note(
                    Stop.SHAPE,
                    "terrain.hole",
                    name,
                    name
                        + ": a hole lies inside the surface. If it is not meant, close it with \u201cFill holes\u201d.")
                .withFigure(Figure.count(1, "hole")),
        () ->
            Finding.note(
                    Stop.SHAPE,
                    "terrain.hole",
                    name,
                    name
                        + ": "
                        + holes.size()
                        + " holes lie inside the surface. If they are not meant, close them with \u201cFill holes\u201d.")
                .withFigure(Figure.count(holes.size(), "holes")),
        out);
    List<Position> islands =
        f.islands().stream().map(i -> m.vertex(m.triangles()[3 * i.getFirst()])).toList();
    places(
        islands,
        () ->
            Finding.note(
                    Stop.SHAPE,
                    "terrain.island",
                    name,
                    name
                        + ": a part does not hang together with the largest one. If it is not meant, use \u201cDrop loose parts\u201d.")
                .withFigure(Figure.count(1, "loose part")),
        () ->
            Finding.note(
                    Stop.SHAPE,
                    "terrain.island",
                    name,
                    name
                        + ": "
                        + islands.size()
                        + " parts do not hang together with the largest one. If they are not meant, use \u201cDrop loose parts\u201d.")
                .withFigure(Figure.count(islands.size(), "parts")),
        out);
  }

  /** A finding for each place, or one with all of them where they are many. */
  private static void places(
      List<Position> at, Supplier<Finding> each, Supplier<Finding> together, List<Finding> out) {
    if (at.size() <= MOST) {
      at.forEach(p -> out.add(each.get().at(p)));
    } else {
      out.add(together.get().at(at));
    }
  }

  private static void triangles(
      String name, Mesh m, List<Integer> some, String code, String what, List<Finding> out) {
    places(
        some.stream().map(t -> m.vertex(m.triangles()[3 * t])).toList(),
        () ->
            Finding.warning(
                    Stop.SHAPE,
                    code,
                    name,
                    name
                        + ": a triangle is "
                        + what
                        + ". Drop it with \u201cDrop flawed triangles\u201d.")
                .withFigure(Figure.count(1, "triangle")),
        () ->
            Finding.warning(
                    Stop.SHAPE,
                    code,
                    name,
                    String.format(
                        Locale.ROOT,
                        "%s: %d triangles are %s (%.2f %%). Drop them with \u201cDrop flawed triangles\u201d.",
                        name,
                        some.size(),
                        what,
                        100.0 * some.size() / m.triangleCount()))
                .withFigure(Figure.count(some.size())),
        out);
  }
}
