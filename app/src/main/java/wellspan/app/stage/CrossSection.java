package wellspan.app.stage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.cut.CrossCut;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/**
 * What a cross section shows.
 *
 * @param at place on the alignment
 * @param cuts from the ground up
 * @param low lowest level, metres
 * @param high highest level, metres
 * @param left smallest offset of a body, metres
 * @param right largest offset of a body, metres
 */
record CrossSection(
    String road,
    Alignment alignment,
    AlignmentPoint at,
    List<Cut> cuts,
    double low,
    double high,
    double left,
    double right) {
  /** How far surfaces are cut beyond the bodies, metres. */
  private static final double BESIDE = 3;

  /** How far above and below the road the picture reaches, metres. */
  private static final double ABOVE = 0.4;

  /** What a cross section is about; what lies beside and below is drawn as far as it reaches. */
  private static final Set<Band> ROAD = EnumSet.of(Band.PAVEMENT, Band.EDGES, Band.EARTHWORKS);

  /** How far above and below the road ground is looked for, metres; farther off it is told. */
  static final double GROUND_WITHIN = 3;

  private static final double ALONE = 15;

  /** What is narrower says nothing of how a carriageway falls, metres. */
  private static final double NARROW = 0.5;

  private static final double MOST = 120;

  /**
   * An item where it is cut.
   *
   * @param lines offset and level in turn; those of a body are closed
   * @param body whether it has an inside
   * @param thickness metres, 0 where nobody says
   * @param number of a course from the top down, 0 where nobody says
   */
  record Cut(
      ItemId id, Item item, List<double[]> lines, boolean body, double thickness, long number) {
    /** Smallest distance from the axis on a side, not less than 0. */
    double nearest(int side) {
      return Math.max(0, offsets(side).min().orElse(0));
    }

    /** Largest distance from the axis on a side; below 0 where all of it lies on the other. */
    double farthest(int side) {
      return offsets(side).max().orElse(0);
    }

    private DoubleStream offsets(int side) {
      return lines.stream()
          .flatMapToDouble(l -> IntStream.range(0, l.length / 2).mapToDouble(i -> side * l[2 * i]));
    }

    /** Its highest level at an offset, NaN where it is not or has no inside. */
    double top(double offset) {
      double best = Double.NaN;
      for (double[] l : body ? lines : List.<double[]>of()) {
        for (int i = 0; i + 3 < l.length; i += 2) {
          if (l[i] > offset != l[i + 2] > offset) {
            double t = (offset - l[i]) / (l[i + 2] - l[i]);
            best = higher(best, l[i + 1] + t * (l[i + 3] - l[i + 1]));
          }
        }
      }
      return best;
    }
  }

  /**
   * The alignment that a section is cut across: the chosen one, that of the chosen, or the first.
   */
  static Optional<ItemId> axis(Build build, Optional<ItemId> chosen) {
    Optional<Item> item = chosen.map(build.items()::get).map(Build.BuiltItem::item);
    if (item.filter(i -> i.shape() instanceof Shape.Axis).isPresent()) {
      return chosen;
    }
    String road = item.map(Item::layer).orElse("");
    List<Build.BuiltItem> all =
        build.items().values().stream()
            .filter(i -> i.item().shape() instanceof Shape.Axis)
            .toList();
    return all.stream()
        .filter(i -> i.item().name().equals(road))
        .findFirst()
        .or(() -> all.stream().findFirst())
        .map(Build.BuiltItem::id);
  }

  static CrossSection of(Build build, String road, Alignment axis, double distance) {
    CrossCut cut = new CrossCut(axis, distance, MOST);
    List<Cut> bodies = new ArrayList<>();
    List<Cut> surfaces = new ArrayList<>();
    for (Build.BuiltItem i : build.items().values()) {
      Optional<Mesh> mesh = i.item().triangles();
      if (mesh.isEmpty() || !build.isVisible(i.id()) || !isNear(i.item().bounds(), cut.at())) {
        continue;
      }
      List<double[]> lines = cut.of(mesh.get());
      if (lines.isEmpty()) {
        continue;
      }
      boolean body = lines.stream().allMatch(CrossSection::isRing);
      Cut c = new Cut(i.id(), i.item(), lines, body, thickness(i.item()), number(i.item()));
      (body ? bodies : surfaces).add(c);
    }
    List<Cut> all = new ArrayList<>(surfaces);
    all.addAll(bodies);
    List<Cut> built =
        bodies.stream().filter(c -> ROAD.contains(c.item().kind().stratum())).toList();
    List<Cut> shown = !built.isEmpty() ? built : !bodies.isEmpty() ? bodies : surfaces;
    double[] e = extent(shown);
    if (!(e[0] <= e[1])) {
      double level = Double.isNaN(cut.at().level()) ? 0 : cut.at().level();
      e = new double[] {-ALONE, ALONE, level - 1, level + 1};
    }
    boolean open = bodies.isEmpty();
    double left = open ? Math.max(e[0], -ALONE) : e[0] - BESIDE;
    double right = open ? Math.min(e[1], ALONE) : e[1] + BESIDE;
    double[] ground = open ? new double[] {e[2], e[3]} : levels(surfaces, left, right);
    double low = Math.min(e[2], Math.max(ground[0], e[2] - GROUND_WITHIN)) - ABOVE;
    double high = Math.max(e[3], Math.min(ground[1], e[3] + GROUND_WITHIN)) + ABOVE;
    return new CrossSection(road, axis, cut.at(), all, low, high, left, right);
  }

  /** Smallest and largest offset, lowest and highest level. */
  private static double[] extent(List<Cut> cuts) {
    double inf = Double.POSITIVE_INFINITY;
    double[] e = {inf, -inf, inf, -inf};
    for (Cut c : cuts) {
      for (double[] l : c.lines()) {
        for (int k = 0; k < l.length; k += 2) {
          e[0] = Math.min(e[0], l[k]);
          e[1] = Math.max(e[1], l[k]);
          e[2] = Math.min(e[2], l[k + 1]);
          e[3] = Math.max(e[3], l[k + 1]);
        }
      }
    }
    return e;
  }

  /** Lowest and highest level of lines between two offsets; +∞ and −∞ where there are none. */
  static double[] levels(List<Cut> cuts, double left, double right) {
    double[] out = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    for (Cut c : cuts) {
      for (double[] l : c.lines()) {
        for (int i = 0; i + 3 < l.length; i += 2) {
          double from = Math.min(l[i], l[i + 2]);
          double to = Math.max(l[i], l[i + 2]);
          for (double offset : new double[] {Math.max(from, left), Math.min(to, right)}) {
            if (from <= right && to >= left) {
              double t = to > from ? (offset - l[i]) / (l[i + 2] - l[i]) : 0;
              double level = l[i + 1] + t * (l[i + 3] - l[i + 1]);
              out[0] = Math.min(out[0], level);
              out[1] = Math.max(out[1], level);
            }
          }
        }
      }
    }
    return out;
  }

  /** A surface that lies outside the picture; metres above it, negative below. */
  record Outside(String name, double metres) {}

  /** The surfaces that are cut here and lie above or below what is shown. */
  List<Outside> outside() {
    List<Outside> out = new ArrayList<>();
    for (Cut c : cuts) {
      double[] reach = levels(c.body() ? List.of() : List.of(c), left, right);
      if (reach[0] <= reach[1] && (reach[1] < low || reach[0] > high)) {
        double away = reach[1] < low ? reach[1] - low : reach[0] - high;
        out.add(new Outside(c.item().name(), away));
      }
    }
    return out;
  }

  private static boolean isNear(Box b, AlignmentPoint at) {
    return b.minE() - MOST < at.east()
        && b.maxE() + MOST > at.east()
        && b.minN() - MOST < at.north()
        && b.maxN() + MOST > at.north();
  }

  private static boolean isRing(double[] line) {
    return line.length > 6 && line[0] == line[line.length - 2] && line[1] == line[line.length - 1];
  }

  private static double thickness(Item item) {
    for (PropertySet s : item.said().propertySets()) {
      if (s.values().get("Thickness") instanceof PropertyValue.Length l) {
        return l.metres();
      }
    }
    return 0;
  }

  private static long number(Item item) {
    for (PropertySet s : item.said().propertySets()) {
      if (s.values().get("Number") instanceof PropertyValue.Count n) {
        return n.number();
      }
    }
    return 0;
  }

  /** The body at a place, the smallest where several lie there. */
  Optional<Cut> bodyAt(double offset, double level) {
    return cuts.stream()
        .filter(c -> c.body() && c.lines().stream().anyMatch(l -> holds(l, offset, level)))
        .reduce((a, b) -> b);
  }

  private static boolean holds(double[] ring, double x, double y) {
    boolean in = false;
    for (int i = 0; i + 3 < ring.length; i += 2) {
      double y1 = ring[i + 1];
      double y2 = ring[i + 3];
      if (y1 > y != y2 > y && x < ring[i] + (y - y1) / (y2 - y1) * (ring[i + 2] - ring[i])) {
        in = !in;
      }
    }
    return in;
  }

  /** Level of the topmost body at an offset, NaN where there is none. */
  double top(double offset) {
    return cuts.stream().mapToDouble(c -> c.top(offset)).reduce(Double.NaN, CrossSection::higher);
  }

  private static double higher(double a, double b) {
    return Double.isNaN(a) || b > a ? b : a;
  }

  /**
   * How the carriageway falls on one side.
   *
   * @param percent of what is topmost there, falling outwards negative
   * @param offset of its middle
   * @param level of its top, metres
   */
  record Crossfall(double percent, double offset, double level) {}

  /**
   * Of the pavement that lies nearest to the axis on a side, on top of what lies under it; empty
   * where there is none: slopes and ground have no crossfall.
   *
   * @param side −1 for left, 1 for right
   */
  Optional<Crossfall> crossfall(int side) {
    Comparator<Cut> byPlace = Comparator.comparingDouble(c -> c.nearest(side));
    return cuts.stream()
        .filter(c -> c.body() && c.item().kind().stratum() == Band.PAVEMENT)
        .filter(c -> c.farthest(side) - c.nearest(side) > NARROW)
        .min(
            byPlace.thenComparing(
                c -> -c.top(side * (0.1 * c.farthest(side) + 0.9 * c.nearest(side)))))
        .flatMap(c -> fall(c, side));
  }

  private static Optional<Crossfall> fall(Cut c, int side) {
    double width = c.farthest(side) - c.nearest(side);
    double near = side * (c.nearest(side) + 0.1 * width);
    double far = side * (c.nearest(side) + 0.9 * width);
    double z1 = c.top(near);
    double z2 = c.top(far);
    return Double.isFinite(z1) && Double.isFinite(z2)
        ? Optional.of(
            new Crossfall(
                100 * (z2 - z1) / Math.abs(far - near), (near + far) / 2, Math.max(z1, z2)))
        : Optional.empty();
  }
}
