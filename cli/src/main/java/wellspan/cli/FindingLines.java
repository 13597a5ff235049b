package wellspan.cli;

import java.util.List;
import wellspan.core.finding.Finding;
import wellspan.core.finding.FindingLine;

/** Findings as lines of text, the same said of many items in one; JSON has all. */
final class FindingLines {
  private FindingLines() {}

  static List<String> of(List<Finding> findings) {
    return FindingLine.of(findings).stream()
        .map(l -> "  " + l.severity().word() + "  " + l.message())
        .toList();
  }
}
