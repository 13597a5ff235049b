package wellspan.cli;

import java.io.PrintWriter;
import java.util.LinkedHashMap;
import java.util.Map;
import wellspan.core.finding.Finding;
import wellspan.core.rulebook.Ruled;

/**
 * What a rulebook asks for and items do not have: one line for each trouble, however many items.
 */
final class RuleReport {
  private final Map<String, Trouble> troubles = new LinkedHashMap<>();

  /** The first item of a trouble, and how many have it. */
  private record Trouble(Finding first, int items) {}

  void add(String item, Ruled ruled) {
    for (Finding f : ruled.findings(item)) {
      String what = f.code() + f.message().substring(item.length());
      troubles.merge(
          what, new Trouble(f, 1), (a, b) -> new Trouble(a.first(), a.items() + b.items()));
    }
  }

  void print(PrintWriter err) {
    for (Trouble t : troubles.values()) {
      String more = t.items() == 1 ? "" : " The same in " + (t.items() - 1) + " more.";
      err.println(t.first().severity().word() + "  " + t.first().message() + more);
    }
  }
}
