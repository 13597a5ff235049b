package wellspan.cli;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;

/**
 * Findings as lines of text. What is said of many items in the same words is one line with their
 * number; errors are told one by one, and JSON has all.
 */
final class FindingLines {
  /** As many items of one sentence are told one by one. */
  private static final int FEW = 5;

  private static final int NAMED = 3;

  private FindingLines() {}

  /**
   * @param alone number of a finding that is told by itself, else -1
   */
  private record Said(Severity severity, String sentence, int alone) {}

  static List<String> of(List<Finding> findings) {
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
    List<String> out = new ArrayList<>();
    groups.forEach(
        (said, all) -> {
          if (all.size() <= FEW) {
            all.forEach(f -> out.add(line(f.severity(), f.message())));
          } else {
            List<String> names = all.stream().limit(NAMED).map(Finding::item).toList();
            out.add(
                line(
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

  private static String line(Severity severity, String message) {
    return "  " + severity.word() + "  " + message;
  }
}
