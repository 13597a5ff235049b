package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.finding.Finding;
import wellspan.core.finding.FindingJson;
import wellspan.core.flaw.CoveredPlaces;
import wellspan.core.flaw.GroundChecks;
import wellspan.core.item.Item;
import wellspan.core.job.Build;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.exchange.intake.SourceIntake;

/** {@code check JOB}: the findings of a job. */
@Command(
    name = "check",
    description = "Lists the findings of a job; exit 1 if any is an error.",
    mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "JOB", description = "folder of the job")
  private Path job;

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    JobStore store = new JobStore(job);
    Build build = SourceIntake.build(store, store.open(), Progress.NONE);
    List<Finding> findings = new ArrayList<>(build.findings());
    List<Item> items = build.items().values().stream().map(Build.BuiltItem::item).toList();
    CoveredPlaces covers = CoveredPlaces.of(items);
    items.forEach(i -> findings.addAll(GroundChecks.of(i, covers, Progress.NONE)));
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(FindingJson.array(findings).toPrettyString());
    } else if (findings.isEmpty()) {
      out.println("Nothing found.");
    } else {
      findings.forEach(
          f ->
              out.println(
                  f.severity().word()
                      + "  "
                      + f.stop().title()
                      + "  "
                      + f.code()
                      + "  "
                      + f.message()));
    }
    return findings.stream().anyMatch(Finding::isError) ? Main.ERRORS_FOUND : Main.DONE;
  }
}
