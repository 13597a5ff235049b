package wellspan.exchange.bcf.write;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import wellspan.core.build.Build;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.job.Job;

/** Makes topics of the findings of a job, each with a view of the item or the place it is about. */
public final class FindingTopics {
  /** Round a place so much is shown, metres. */
  private static final double ROUND_PLACE = 40;

  private static final double LEAST = 5;

  private FindingTopics() {}

  /** What the first delivery's model of a job is called, which its topics are about. */
  public static String model(Job job) {
    return job.deliveries().isEmpty() ? job.name() : job.deliveries().getFirst().fileName();
  }

  /** GlobalId of the project in that model. */
  public static String project(Job job) {
    return new GlobalIds(job.id()).of("project", "product");
  }

  /** A topic for each finding of a job, in their order. */
  public static List<BcfTopic> of(Build build, List<Finding> findings) throws IOException {
    IdentityHashMap<Item, String> ids = new IdentityHashMap<>();
    List<Item> items = new ArrayList<>();
    for (Build.BuiltItem i : build.items().values()) {
      if (build.isVisible(i.id())) {
        ids.put(i.item(), build.globalId(i));
        items.add(i.item());
      }
    }
    FromAbove above =
        new FromAbove(items, i -> ids.getOrDefault(i, ""), Optional.of(build.job().frame()));
    Map<String, Integer> times = new HashMap<>();
    Map<Seen, byte[]> pictures = new HashMap<>();
    List<BcfTopic> out = new ArrayList<>();
    for (Finding f : findings) {
      Set<String> marked =
          f.subject().map(build.items()::get).map(i -> Set.of(build.globalId(i))).orElse(Set.of());
      Optional<Position> place = f.place();
      String key = f.code() + "\u0000" + f.item() + "\u0000" + f.message();
      int n = times.merge(key, 1, Integer::sum);
      BcfTopic.Viewpoint view = above.view(marked, place, place.isPresent() ? ROUND_PLACE : LEAST);
      Seen seen = new Seen(marked, place, view);
      byte[] picture = pictures.get(seen);
      if (picture == null) {
        picture = above.picture(marked, place, view);
        pictures.put(seen, picture);
      }
      out.add(
          new BcfTopic(
              "Finding",
              UUID.nameUUIDFromBytes((key + "\u0000" + n).getBytes(StandardCharsets.UTF_8)),
              title(f),
              f.severity().word() + " " + f.code() + "\n" + f.message(),
              List.copyOf(marked),
              view,
              picture));
    }
    return out;
  }

  /** What a picture shows: findings of one item without a place have one in common. */
  private record Seen(Set<String> marked, Optional<Position> place, BcfTopic.Viewpoint viewpoint) {}

  /** The first sentence. */
  private static String title(Finding f) {
    int end = f.message().indexOf(". ");
    return end < 0 ? f.message() : f.message().substring(0, end + 1);
  }
}
