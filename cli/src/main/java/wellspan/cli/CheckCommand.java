package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.Build;
import wellspan.core.check.Check;
import wellspan.core.check.JobFindings;
import wellspan.core.check.Mending;
import wellspan.core.finding.Finding;
import wellspan.core.finding.FindingJson;
import wellspan.core.item.ItemId;
import wellspan.core.job.JobLock;
import wellspan.core.job.JobStore;
import wellspan.core.operation.Step;
import wellspan.core.progress.Progress;
import wellspan.exchange.bcf.TopicFile;
import wellspan.exchange.bcf.write.BcfVersion;
import wellspan.exchange.intake.SourceIntake;

/** {@code check JOB}: the findings of a job; {@code check FILE --ids}: requirements on a model. */
@Command(
    name = "check",
    description =
        "Lists the findings of a job; exit 1 if any is an error. With --ids: checks a model against requirements; exit 1 if a specification fails.",
    mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "JOB|FILE", description = "folder of the job, or an IFC file")
  private Path job;

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Option(
      names = "--mend",
      paramLabel = "CODE",
      description = "adds the step that mends the findings of a code, such as terrain.spike")
  private String mend;

  @Option(
      names = "--ids",
      paramLabel = "FILE.ids",
      description = "requirements that the model is checked against")
  private Path ids;

  @Option(names = "--html", paramLabel = "OUT", description = "the report as a page")
  private Path html;

  @Option(
      names = "--bcf",
      paramLabel = "OUT",
      description =
          "as BCF: a topic for each specification that fails, or for each finding of a job")
  private Path bcf;

  @Option(
      names = "--bcf-version",
      paramLabel = "3.0|2.1",
      description = "version of BCF (${DEFAULT-VALUE} if not given)")
  private String bcfVersion = "3.0";

  @Override
  public Integer call() throws IOException {
    if (ids != null) {
      if (mend != null) {
        throw new IllegalArgumentException("--mend is for jobs and --ids for models; give one.");
      }
      return new ModelCheck(spec.commandLine(), job, ids)
          .run(json, html, bcf, BcfVersion.named(bcfVersion));
    }
    if (html != null) {
      throw new IllegalArgumentException("--html goes with --ids FILE.ids.");
    }
    if (!java.nio.file.Files.isDirectory(job)) {
      throw new IllegalArgumentException(
          job + " is no folder of a job. To check a model give its requirements: --ids FILE.ids.");
    }
    if (mend == null) {
      JobStore store = new JobStore(job);
      return tell(SourceIntake.build(store, store.openWhole(), Progress.NONE));
    }
    try (JobLock _ = JobLock.take(job, "wellspan check --mend", Clock.systemUTC())) {
      return mended(new JobStore(job));
    }
  }

  private int mended(JobStore store) throws IOException {
    Check check =
        Check.of(mend)
            .filter(Check::canMend)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "Nothing mends \""
                            + mend
                            + "\" by itself; there are mends for "
                            + String.join(
                                ", ",
                                Check.all().stream()
                                    .filter(Check::canMend)
                                    .map(Check::code)
                                    .toList())
                            + "."));
    Build build = SourceIntake.build(store, store.openWhole(), Progress.NONE);
    Map<ItemId, Step> steps =
        JobFindings.mends(build, JobFindings.of(build, Progress.NONE), check.code());
    if (steps.isEmpty()) {
      throw new IllegalArgumentException(
          "There is no finding " + check.code() + " in this job that a step could mend.");
    }
    Mending mending = Mending.of(build, steps, Progress.NONE);
    PrintWriter err = spec.commandLine().getErr();
    steps.forEach(
        (id, step) ->
            err.println(
                id
                    + "  "
                    + step.title()
                    + ": "
                    + Optional.ofNullable(mending.told().get(id))
                        .orElseGet(() -> "not done. " + mending.refused().get(id))));
    if (!mending.done().isEmpty()) {
      store.save(mending.then().job());
    }
    return tell(mending.then());
  }

  private int tell(Build build) throws IOException {
    List<Finding> findings = JobFindings.of(build, Progress.NONE);
    if (bcf != null) {
      TopicFile.write(
          bcf, BcfVersion.named(bcfVersion), build, findings, Clock.systemUTC().instant());
    }
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
