package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.job.JobLock;
import wellspan.core.job.JobStore;
import wellspan.core.rulebook.CodeSystem;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.RuleTable;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookComparison;
import wellspan.core.rulebook.RulebookJson;
import wellspan.exchange.rulebook.RulebookFile;
import wellspan.exchange.table.read.CodeList;

/** {@code rulebook FILE|JOB}: looks at a rulebook, works on it, takes it into a job. */
@Command(
    name = "rulebook",
    description =
        "Shows the rules of a rulebook; copies, compares or changes it, and takes it into a job.",
    mixinStandardHelpOptions = true)
final class RulebookCommand implements Callable<Integer> {
  private static final String SHIPPED = "shipped";

  @Spec private CommandSpec spec;

  @Parameters(
      paramLabel = "FILE|JOB|shipped",
      description = "a rulebook, the folder of a job that has one, or the shipped rulebook")
  private Path what;

  @Option(names = "--compare", paramLabel = "FILE", description = "in what another one differs")
  private Path other;

  @Option(
      names = "--take",
      paramLabel = "TABLE",
      description = "property rules of a table (.csv, .xlsx) in the place of its own")
  private Path take;

  @Option(
      names = "--codes",
      paramLabel = "SYSTEM=FILE",
      description = "codes of a classification (.csv, .xlsx, .json: code, title, parent)")
  private Map<String, Path> codes = new LinkedHashMap<>();

  @Option(names = "--copy-as", paramLabel = "NAME", description = "as a rulebook of another name")
  private String copy;

  @Option(
      names = "--table",
      paramLabel = "OUT.csv|OUT.xlsx",
      description = "the property rules as a table to work on")
  private Path table;

  @Option(names = "--to", paramLabel = "OUT.json", description = "writes the rulebook")
  private Path to;

  @Option(names = "--into", paramLabel = "JOB", description = "takes it into a job")
  private Path into;

  @Option(names = "--json", description = "the rulebook as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    PrintWriter out = spec.commandLine().getOut();
    PrintWriter err = spec.commandLine().getErr();
    Rulebook book = read(what);
    if (other != null) {
      List<String> differences = RulebookComparison.of(book, read(other));
      differences.forEach(d -> out.println(d + "."));
      if (differences.isEmpty()) {
        out.println("They decide the same.");
      }
      return differences.isEmpty() ? Main.DONE : Main.ERRORS_FOUND;
    }
    book = changed(book, err);
    if (table != null) {
      RulebookFile.writeRules(book, table);
      err.println(book.properties().size() + " rules in " + table + ".");
    }
    if (to != null) {
      RulebookFile.write(book, to);
      err.println("Written to " + to + ".");
    }
    if (into != null) {
      try (JobLock _ = JobLock.take(into, "wellspan rulebook", Clock.systemUTC())) {
        JobStore store = new JobStore(into);
        store.save(store.openWhole().withRulebook(book));
      }
      err.println(book.name() + " is the rulebook of " + into + ".");
    }
    if (json) {
      out.print(RulebookJson.write(book));
    } else if (table == null && to == null && into == null) {
      print(book, out);
    }
    return Main.DONE;
  }

  private static Rulebook read(Path what) throws IOException {
    if (what.toString().equals(SHIPPED) && !Files.exists(what)) {
      return RulebookJson.shipped();
    }
    return Files.isDirectory(what)
        ? new JobStore(what).openWhole().rulebook()
        : RulebookFile.read(what);
  }

  private Rulebook changed(Rulebook from, PrintWriter err) throws IOException {
    Rulebook book = from;
    if (take != null) {
      List<PropertyRule> rules = RulebookFile.readRules(take).rules();
      RuleTable.Change change = RuleTable.change(book.properties(), rules);
      change.added().forEach(r -> err.println("new      " + r));
      change.changed().forEach(r -> err.println("changed  " + r));
      change.removed().forEach(r -> err.println("gone     " + r));
      book = book.withProperties(rules);
    }
    for (Map.Entry<String, Path> c : codes.entrySet()) {
      CodeSystem system =
          book.system(c.getKey())
              .orElseGet(
                  () -> new CodeSystem(c.getKey(), List.of(), List.of(), false, List.of(), false));
      book = book.with(system.withCodes(CodeList.read(c.getValue())));
    }
    return copy == null ? book : book.copiedAs(copy);
  }

  private static void print(Rulebook book, PrintWriter out) {
    out.println(
        (book.name().isEmpty() ? "No rulebook" : book.name())
            + (book.version().isEmpty() ? "" : ", version " + book.version())
            + (book.copiedFrom().isEmpty() ? "" : ", copied from " + book.copiedFrom()));
    book.classes()
        .forEach(
            c ->
                out.println(
                    "class     "
                        + c.name()
                        + (c.heldBack() ? ": held back" : "")
                        + (c.off() ? " (off)" : "")));
    book.properties()
        .forEach(
            p ->
                out.println(
                    "property  " + p.target() + " from " + p.from() + (p.off() ? " (off)" : "")));
    book.classification()
        .forEach(
            c ->
                out.println(
                    "codes     "
                        + c.system()
                        + ": "
                        + c.codes().size()
                        + " codes, "
                        + c.rules().size()
                        + " rules"
                        + (c.off() ? " (off)" : "")));
    book.withoutSets().forEach(s -> out.println("left out  " + s));
  }
}
