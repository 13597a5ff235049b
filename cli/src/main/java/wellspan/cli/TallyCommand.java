package wellspan.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
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
import wellspan.core.build.Build;
import wellspan.core.job.JobStore;
import wellspan.core.place.ControlTally;
import wellspan.core.progress.Progress;
import wellspan.core.proof.ProofJson;
import wellspan.exchange.intake.Intake;
import wellspan.exchange.intake.SourceIntake;

/** {@code tally JOB [FILE...]}: control points as known against what was found. */
@Command(
    name = "tally",
    description =
        "Compares the job's control points with its sources, or with files; exit 1 if one is out of tolerance.",
    mixinStandardHelpOptions = true)
final class TallyCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "JOB", description = "folder of the job")
  private Path folder;

  @Parameters(
      index = "1..*",
      paramLabel = "FILE",
      description = "files in shared coordinates instead of the job's sources")
  private List<Path> files = new ArrayList<>();

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    JobStore store = new JobStore(folder);
    Build build = SourceIntake.build(store, store.openWhole(), Progress.NONE);
    if (build.job().control().points().isEmpty()) {
      throw new IllegalArgumentException(
          "The job has no control points. Take them from a source at the stop Place.");
    }
    List<ControlTally> tallies = build.tallies();
    if (!files.isEmpty()) {
      tallies = new ArrayList<>();
      for (Path f : files) {
        tallies.add(
            ControlTally.of(
                build.job().control(), f.getFileName().toString(), Intake.read(f, Progress.NONE)));
      }
    }
    print(tallies);
    boolean good = tallies.stream().allMatch(ControlTally::isWithin);
    return good ? Main.DONE : Main.ERRORS_FOUND;
  }

  private void print(List<ControlTally> tallies) {
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      ArrayNode all = JsonNodeFactory.instance.arrayNode();
      for (ControlTally t : tallies) {
        ObjectNode n = all.addObject().put("where", t.where()).put("tolerance", t.tolerance());
        ArrayNode lines = n.put("within", t.isWithin()).putArray("controlTally");
        t.lines().forEach(l -> lines.add(ProofJson.line(l)));
        ArrayNode missing = n.putArray("notFound");
        t.notFound().forEach(missing::add);
      }
      out.println(all.toPrettyString());
      return;
    }
    for (ControlTally t : tallies) {
      out.printf("%s (±%.0f mm, found minus known, mm)%n", t.where(), 1000 * t.tolerance());
      for (ControlTally.Line l : t.lines()) {
        out.printf(
            "  %-12s ΔE %+8.1f  ΔN %+8.1f  ΔH %8s  in space %8.1f  %s%s%n",
            l.name(),
            1000 * l.east(),
            1000 * l.north(),
            Double.isNaN(l.height()) ? "–" : String.format("%+.1f", 1000 * l.height()),
            1000 * l.space(),
            l.by().title(),
            l.within(t.tolerance()) ? "" : "  OUT");
      }
      if (!t.notFound().isEmpty()) {
        out.println("  not found: " + String.join(", ", t.notFound()));
      }
    }
  }
}
