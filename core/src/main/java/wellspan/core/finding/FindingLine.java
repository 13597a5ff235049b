package wellspan.core.finding;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A sentence on one item or on many of which the same is said.
 *
 * @param message with the names of the first items and the number of the others, if they are many
 */
public record FindingLine(Severity severity, String message) {
  /** As many items of one sentence are told one by one. */
  private static final int FEW = 5;

  private static final int NAMED = 3;

  /**
   * @param alone number of a finding that is told by itself, else -1
   */
  private record Said(Severity severity, String sentence, int alone) {}

  /**
   * What is said of many items in the same words is one line; errors are told one by one. In the
   * order in which each is met first.
   */
  public static List<FindingLine> of(List<Finding> findings) {
    Map<Said, List<Finding>> groups = new LinkedHashMap<>();
    for (Finding f : findings) {
      String lead = f.item() + ": ";
      boolean together =
          f.severity() != Severity.ERROR && !f.item().isEmpty() && f.message().startsWith(lead);
      Said said =
          together
              ? new Said(f.severity(), f.message().substring(lead.length()), -1)
              : new Said(f.severity(), f.message(), groups.size());
      groups.computeIfAbsent(said, s -> new ArrayList<>()).add(f);
    }
    List<FindingLine> out = new ArrayList<>();
    groups.forEach(
        (said, all) -> {
          if (all.size() <= FEW) {
            all.forEach(f -> out.add(new FindingLine(f.severity(), f.message())));
          } else {
            List<String> names = all.stream().limit(NAMED).map(Finding::item).toList();
            out.add(
                new FindingLine(
                    said.severity(),
                    String.join(", ", names)
                        + " and "
                        + (all.size() - NAMED)
                        + " others: "
                        + said.sentence()));
          }
        });
    return out;
  }
}
