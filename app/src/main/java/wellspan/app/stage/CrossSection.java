package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.cut.CrossCut;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
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
  private static final double BESIDE = 6;

  private static final double ALONE = 15;
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
      ItemId id, Item item, List<double[]> lines, boolean body, double thickness, long number) {}

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
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
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
      if (body) {
        for (double[] l : lines) {
          for (int k = 0; k < l.length; k += 2) {
            left = Math.min(left, l[k]);
            right = Math.max(right, l[k]);
          }
        }
      }
    }
    if (bodies.isEmpty()) {
      left = -ALONE;
      right = ALONE;
    } else {
      left -= BESIDE;
      right += BESIDE;
    }
    List<Cut> all = new ArrayList<>(surfaces);
    all.addAll(bodies);
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (Cut c : all) {
      for (double[] l : c.lines()) {
        for (int k = 0; k < l.length; k += 2) {
          if (l[k] >= left && l[k] <= right) {
            low = Math.min(low, l[k + 1]);
            high = Math.max(high, l[k + 1]);
          }
        }
      }
    }
    if (!(low <= high)) {
      double level = Double.isNaN(cut.at().level()) ? 0 : cut.at().level();
      low = level - 1;
      high = level + 1;
    }
    return new CrossSection(road, axis, cut.at(), all, low, high, left, right);
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
    double best = Double.NaN;
    for (Cut c : cuts) {
      if (!c.body()) {
        continue;
      }
      for (double[] l : c.lines()) {
        for (int i = 0; i + 3 < l.length; i += 2) {
          if (l[i] > offset != l[i + 2] > offset) {
            double t = (offset - l[i]) / (l[i + 2] - l[i]);
            double z = l[i + 1] + t * (l[i + 3] - l[i + 1]);
            best = Double.isNaN(best) || z > best ? z : best;
          }
        }
      }
    }
    return best;
  }
}
