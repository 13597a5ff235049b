package wellspan.core.build;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.Box;
import wellspan.core.geom.Gathering;
import wellspan.core.geom.Position;
import wellspan.core.job.Job;
import wellspan.core.job.Source;
import wellspan.core.progress.Progress;

/**
 * Where the sources of a job lay when it was opened last, so that those in the middle can be read
 * first. It decides the order alone.
 *
 * @param byName shared coordinates
 */
public record SourceExtents(Map<String, Box> byName) {
  public SourceExtents {
    byName = Map.copyOf(byName);
  }

  /** As kept; nothing where nothing was. */
  public static SourceExtents kept(Job job, ResultCache cache) {
    return cache.find(key(job), SourceExtents.class).orElse(new SourceExtents(Map.of()));
  }

  /** Keeps where the sources of a build lie. */
  public static void keep(Build build, ResultCache cache) {
    Map<String, Box> all = new HashMap<>();
    build.received().forEach((name, r) -> all.put(name, r.bounds()));
    SourceExtents now = new SourceExtents(all);
    if (!now.equals(kept(build.job(), cache))) {
      cache.keep(
          key(build.job()),
          now,
          Long.MAX_VALUE,
          Progress.NONE); // worth it however quickly it was made
    }
  }

  private static String key(Job job) {
    return ResultCache.key("extents of the sources", job.id().toString());
  }

  /** Nearest to the middle of what lies together first; what is not known last, in its order. */
  public List<Source> nearestFirst(List<Source> sources) {
    List<Box> known =
        sources.stream()
            .map(s -> byName.getOrDefault(s.name(), Box.EMPTY))
            .filter(b -> !b.isEmpty())
            .toList();
    if (known.isEmpty()) {
      return sources;
    }
    Position middle = Gathering.of(known, Gathering.FAR).centre();
    List<Source> out = new ArrayList<>(sources);
    out.sort(
        Comparator.comparingDouble(
            s -> {
              Box b = byName.getOrDefault(s.name(), Box.EMPTY);
              return b.isEmpty() ? Double.MAX_VALUE : b.centre().planDistanceTo(middle);
            }));
    return out;
  }
}
