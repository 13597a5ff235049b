package wellspan.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.Build;
import wellspan.core.frame.FrameSheet;
import wellspan.core.frame.FrameSheetJson;
import wellspan.core.frame.FrameSheetPage;
import wellspan.core.job.AtomicFile;
import wellspan.core.job.JobStore;
import wellspan.core.packing.FrameSheets;
import wellspan.core.progress.Progress;
import wellspan.exchange.intake.SourceIntake;

/** {@code frame JOB}: the frame sheet of a job. */
@Command(
    name = "frame",
    description = "The job's frame with three check points, to hand to others.",
    mixinStandardHelpOptions = true)
final class FrameCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "JOB", description = "folder of the job")
  private Path folder;

  @Option(names = "--html", paramLabel = "FILE", description = "as a page in a file")
  private Path html;

  @Option(names = "--wkt", description = "only the reference system as well-known text")
  private boolean wkt;

  @Override
  public Integer call() throws IOException {
    JobStore store = new JobStore(folder);
    Build build = SourceIntake.build(store, store.openWhole(), Progress.NONE);
    FrameSheet sheet = FrameSheets.of(build);
    if (html != null) {
      AtomicFile.write(html, FrameSheetPage.html(sheet));
    } else if (wkt) {
      if (sheet.wkt().isEmpty()) {
        throw new IllegalArgumentException("The job's system has no well-known text.");
      }
      spec.commandLine().getOut().println(sheet.wkt());
    } else {
      spec.commandLine().getOut().println(FrameSheetJson.node(sheet).toPrettyString());
    }
    return Main.DONE;
  }
}
