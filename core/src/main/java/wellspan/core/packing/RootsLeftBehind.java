package wellspan.core.packing;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;

/**
 * Projects and first sites of received models: what goes out of a job stands in the project and the
 * site of the job, so what they say of themselves stays here.
 */
public final class RootsLeftBehind {
  private RootsLeftBehind() {}

  /** A note for each model of which something is sent. In time of the number of items. */
  public static List<Finding> of(Build build, Delivery delivery) {
    if (delivery.format().schema().isEmpty()) {
      return List.of(); // nothing of a structure goes, which is told for all that holds others
    }
    Set<String> sent = new HashSet<>();
    build.items().values().stream()
        .filter(i -> build.sends(delivery, i))
        .forEach(i -> sent.add(i.source()));
    List<Finding> out = new ArrayList<>();
    build
        .received()
        .forEach(
            (source, r) -> {
              if (sent.contains(source)) {
                r.root().flatMap(root -> said(source, root)).ifPresent(out::add);
              }
            });
    return out;
  }

  private static Optional<Finding> said(String source, ModelRoot root) {
    List<String> telling =
        Stream.concat(Stream.of(root.project()), root.site().stream())
            .filter(h -> !h.propertySets().isEmpty() || !h.attributes().isEmpty())
            .map(Holder::toString)
            .toList();
    return telling.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Finding.note(
                DELIVER,
                "deliver.root",
                "",
                source
                    + ": what "
                    + String.join(" and ", telling)
                    + " says of itself stays here, since everything goes into the project and the site of this job."));
  }
}
