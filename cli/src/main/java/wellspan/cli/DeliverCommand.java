package wellspan.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.receipt.ReceiptJson;
import wellspan.exchange.delivery.DeliveredFile;
import wellspan.exchange.delivery.DeliveryRun;
import wellspan.exchange.intake.SourceIntake;

/** {@code deliver JOB [DELIVERY...]}: runs deliveries and proves them. */
@Command(
    name = "deliver",
    description =
        "Runs deliveries and proves them; exit 1 if a proof fails, or if what was sent was not received whole.",
    mixinStandardHelpOptions = true)
final class DeliverCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "JOB", description = "folder of the job")
  private Path folder;

  @Parameters(
      index = "1..*",
      paramLabel = "DELIVERY",
      description = "names of deliveries; all if none is named")
  private List<String> names = new ArrayList<>();

  @Option(
      names = "--to",
      paramLabel = "DIR",
      description = "folder for the files instead of the job's out/")
  private Path to;

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    JobStore store = new JobStore(folder);
    Job job = store.openWhole();
    List<Delivery> chosen = names.isEmpty() ? job.deliveries() : new ArrayList<>();
    for (String name : names) {
      chosen.add(
          job.delivery(name)
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "The job has no delivery \""
                              + name
                              + "\"; it has "
                              + String.join(
                                  ", ", job.deliveries().stream().map(Delivery::name).toList())
                              + ".")));
    }
    Build build = SourceIntake.build(store, job, Progress.NONE);
    PrintWriter out = spec.commandLine().getOut();
    ArrayNode all = JsonNodeFactory.instance.arrayNode();
    boolean pass = true;
    for (Delivery d : chosen) {
      DeliveryRun.Outcome o =
          DeliveryRun.run(
              build,
              d,
              to == null ? DeliveredFile.folder(store, store.out()) : to,
              DeliveredFile.folder(store, store.receipts()),
              Clock.systemUTC(),
              Progress.NONE);
      pass &= o.receipt().proof().whole();
      if (json) {
        all.add(ReceiptJson.node(o.receipt()));
      } else {
        text(out, o);
      }
    }
    if (json) {
      out.println(all.toPrettyString());
    }
    return pass ? Main.DONE : Main.ERRORS_FOUND;
  }

  static void text(PrintWriter out, DeliveryRun.Outcome o) {
    Proof p = o.receipt().proof();
    out.printf(
        "%s: %s. %d of %d items arrived, largest deviation %.5f mm, triangles %s, %d properties equal. %s%n",
        o.receipt().delivery(),
        p.pass() ? p.whole() ? "proven" : "proven, but not whole" : "NOT PROVEN",
        p.arrived(),
        p.sent(),
        1000 * p.maxDeviation(),
        p.triangles(),
        p.propertiesEqual(),
        String.join(" ", o.files().stream().map(Path::toString).toList()));
    FindingLines.of(p.findings()).forEach(out::println);
  }
}
