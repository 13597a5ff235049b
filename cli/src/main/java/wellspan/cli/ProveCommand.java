package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference;
import wellspan.core.proof.Proof;
import wellspan.core.proof.ProofJson;
import wellspan.exchange.proving.FilesProven;

/** {@code prove SENT ARRIVED}: whether a file that came back is what was meant. */
@Command(
    name = "prove",
    description = {
      "Compares two files item by item as a proof does, whatever their formats.",
      "SENT is what was meant; exit 1 if ARRIVED is not whole."
    },
    mixinStandardHelpOptions = true)
final class ProveCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "SENT", description = "the file as it was meant")
  private Path sent;

  @Parameters(index = "1", paramLabel = "ARRIVED", description = "the file that is judged")
  private Path arrived;

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    Proof p = FilesProven.compare(sent, arrived, Progress.NONE).proof();
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(ProofJson.node(p).toPrettyString());
    } else {
      text(out, p);
    }
    return p.pass() ? Main.DONE : Main.ERRORS_FOUND;
  }

  private void text(PrintWriter out, Proof p) {
    out.printf(
        "%s: %s. %d of %d items arrived, largest deviation %s, %d properties equal.%n",
        arrived,
        p.pass() ? "whole" : "NOT WHOLE",
        p.arrived(),
        p.sent(),
        Double.isFinite(p.maxDeviation())
            ? String.format("%.5f mm", 1000 * p.maxDeviation())
            : "not comparable",
        p.propertiesEqual());
    for (Difference d : p.differences()) {
      out.println("  " + d.what().word() + "  " + d.message());
    }
    p.findings().stream()
        .filter(f -> !f.code().startsWith("proof."))
        .forEach(f -> out.println("  " + f.severity().word() + "  " + f.message()));
    if (!p.notCompared().isEmpty()) {
      out.println("  not compared: " + String.join("; ", p.notCompared()));
    }
  }
}
