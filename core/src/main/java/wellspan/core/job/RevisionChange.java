package wellspan.core.job;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.SurfaceChange;

/**
 * What a new revision of a source changes.
 *
 * @param added names of items that are new
 * @param gone names of items that are no longer there
 * @param changed one sentence for each item that is there in both and differs
 * @param same number of items without any difference
 * @param largestLevelDifference of all surfaces, profiles and points, metres, new minus old
 */
public record RevisionChange(
    List<String> added,
    List<String> gone,
    List<String> changed,
    int same,
    double largestLevelDifference) {

  public static RevisionChange between(Received before, Received after) {
    Map<String, Item> old = byKey(before);
    Map<String, Item> now = byKey(after);
    List<String> added = new ArrayList<>();
    List<String> changed = new ArrayList<>();
    int same = 0;
    double largest = 0;
    for (Map.Entry<String, Item> e : now.entrySet()) {
      Item was = old.get(e.getKey());
      if (was == null) {
        added.add(e.getValue().name());
        continue;
      }
      Difference d = difference(was, e.getValue());
      if (d.sentence().isEmpty()) {
        same++;
      } else {
        changed.add(e.getValue().name() + ": " + d.sentence());
      }
      if (Math.abs(d.level()) > Math.abs(largest)) {
        largest = d.level();
      }
    }
    List<String> gone =
        old.entrySet().stream()
            .filter(e -> !now.containsKey(e.getKey()))
            .map(e -> e.getValue().name())
            .toList();
    return new RevisionChange(List.copyOf(added), gone, List.copyOf(changed), same, largest);
  }

  private record Difference(String sentence, double level) {}

  private static Map<String, Item> byKey(Received r) {
    Map<String, Item> out = new LinkedHashMap<>();
    r.items().forEach(i -> out.put(i.kind() + "/" + i.name(), i));
    return out;
  }

  private static Difference difference(Item was, Item is) {
    Shape before = was.shape();
    Shape now = is.shape();
    if (before.getClass() != now.getClass()) {
      return new Difference("other kind than before", 0);
    }
    if (now.triangles().isPresent()) {
      Mesh from = before.triangles().orElseThrow();
      Mesh to = now.triangles().orElseThrow();
      return is.kind().surface() ? surfaces(SurfaceChange.between(from, to)) : bodies(from, to);
    }
    if (now.follows().isPresent()) {
      return alignments(before.follows().orElseThrow(), now.follows().orElseThrow());
    }
    if (!before.points().isEmpty() || !now.points().isEmpty()) {
      return before.points().equals(now.points())
          ? new Difference("", 0)
          : points(PointChange.between(before.points(), now.points()));
    }
    if (before.sameAs(now)) {
      return new Difference("", 0);
    }
    return new Difference(
        now.pointCount() == 0
            ? "another picture or place than before"
            : before.pointCount()
                + " points before, "
                + now.pointCount()
                + " now, not all in the same places",
        0);
  }

  private static Difference points(PointChange c) {
    return new Difference(c.told(), c.largest());
  }

  /** A body has no one level at a place: its volume and its extent in height tell. */
  private static Difference bodies(Mesh was, Mesh is) {
    if (Arrays.equals(was.xyz(), is.xyz()) && Arrays.equals(was.triangles(), is.triangles())) {
      return new Difference("", 0);
    }
    String volume =
        was.isClosed() && is.isClosed()
            ? String.format(
                Locale.ROOT, "volume %.2f m\u00b3 before, %.2f now", was.volume(), is.volume())
            : was.triangleCount() + " triangles before, " + is.triangleCount() + " now";
    return new Difference(
        volume
            + String.format(
                Locale.ROOT,
                ", levels from %.3f to %.3f before, from %.3f to %.3f now",
                was.bounds().minH(),
                was.bounds().maxH(),
                is.bounds().minH(),
                is.bounds().maxH()),
        0);
  }

  private static Difference surfaces(SurfaceChange c) {
    if (c.isSame()) {
      return new Difference("", 0);
    }
    String triangles =
        c.trianglesBefore() == c.trianglesAfter()
            ? "as many triangles"
            : c.trianglesBefore() + " triangles before, " + c.trianglesAfter() + " now";
    String where =
        c.where()
            .map(p -> String.format(Locale.ROOT, " at E %.1f N %.1f", p.east(), p.north()))
            .orElse("");
    return new Difference(
        String.format(
            Locale.ROOT, "%s, levels differ by up to %+.3f m%s", triangles, c.largest(), where),
        c.largest());
  }

  private static Difference alignments(Alignment was, Alignment is) {
    List<String> parts = new ArrayList<>();
    if (Math.abs(was.length() - is.length()) > 1e-6
        || Math.abs(was.startChainage() - is.startChainage()) > 1e-6) {
      parts.add("chainage " + range(was) + " before, " + range(is) + " now");
    }
    double plan = 0;
    double level = 0;
    double from = Double.NaN;
    double to = Double.NaN;
    for (AlignmentPoint p : is.everyWithEnds(1)) {
      AlignmentPoint q = was.at(Math.min(p.distance(), was.length()));
      plan = Math.max(plan, Math.hypot(p.east() - q.east(), p.north() - q.north()));
      double d = p.level() - q.level();
      if (Math.abs(d) > 1e-6) {
        from = Double.isNaN(from) ? p.chainage() : from;
        to = p.chainage();
      }
      if (Math.abs(d) > Math.abs(level)) {
        level = d;
      }
    }
    if (plan > 1e-6) {
      parts.add(String.format(Locale.ROOT, "plan moved by up to %.3f m", plan));
    }
    if (!Double.isNaN(from)) {
      parts.add(
          String.format(
              Locale.ROOT,
              "profile moved by up to %+.3f m between %s and %s",
              level,
              Chainages.format(from),
              Chainages.format(to)));
    }
    if (was.profile().isPresent() != is.profile().isPresent()) {
      parts.add(is.profile().isPresent() ? "has a profile now" : "has no profile any more");
    }
    return new Difference(String.join("; ", parts), level);
  }

  private static String range(Alignment a) {
    return Chainages.format(a.startChainage()) + " to " + Chainages.format(a.endChainage());
  }
}
