package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.AttributeTable;
import wellspan.core.build.Build;
import wellspan.core.job.JobLock;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.exchange.intake.SourceIntake;
import wellspan.exchange.table.read.TableReader;

/** {@code attribute JOB TABLE}: says something of items, by their names or identities. */
@Command(
    name = "attribute",
    description =
        "Takes attributes of items from a table: a column name, id or GlobalId tells the item, every other column is an attribute, such as Status or Set.Property. Saves the job.",
    mixinStandardHelpOptions = true)
final class AttributeCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "JOB", description = "folder of the job")
  private Path folder;

  @Parameters(index = "1", paramLabel = "TABLE", description = ".csv or .xlsx")
  private Path table;

  @Override
  public Integer call() throws IOException {
    PrintWriter err = spec.commandLine().getErr();
    try (JobLock _ = JobLock.take(folder, "wellspan attribute", Clock.systemUTC())) {
      JobStore store = new JobStore(folder);
      Build build = SourceIntake.build(store, store.openWhole(), Progress.NONE);
      AttributeTable said;
      try {
        said = AttributeTable.of(build, TableReader.read(table));
      } catch (IllegalArgumentException e) {
        throw new IllegalArgumentException(table + ": " + e.getMessage() + ".", e);
      }
      said.notFound().forEach(n -> err.println("error  there is no item " + n + "."));
      store.save(said.on(build.job()));
      spec.commandLine().getOut().println(said.values().size() + " items have new attributes.");
      return said.notFound().isEmpty() ? Main.DONE : Main.ERRORS_FOUND;
    }
  }
}
