package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Instant;
import picocli.CommandLine;
import wellspan.core.job.AtomicFile;
import wellspan.core.model.Model;
import wellspan.core.progress.Progress;
import wellspan.core.requirement.RequirementCheck;
import wellspan.core.requirement.RequirementJson;
import wellspan.core.requirement.RequirementPage;
import wellspan.core.requirement.RequirementReport;
import wellspan.core.requirement.Requirements;
import wellspan.exchange.bcf.TopicFile;
import wellspan.exchange.bcf.write.BcfVersion;
import wellspan.exchange.bcf.write.RequirementTopics;
import wellspan.exchange.ids.read.IdsReader;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.read.ModelReader;

/** {@code check FILE --ids FILE}: a model against requirements. */
record ModelCheck(CommandLine line, Path file, Path ids) {

  int run(boolean json, Path html, Path bcf, BcfVersion version) throws IOException {
    Requirements wanted = opened(ids, () -> IdsReader.read(ids));
    Model model = opened(file, () -> ModelReader.read(file, Progress.NONE));
    RequirementReport report = RequirementCheck.run(wanted, model, Progress.NONE);
    model.findings().forEach(f -> line.getErr().println(f.severity().word() + "  " + f.message()));
    if (html != null) {
      AtomicFile.write(html.toAbsolutePath(), RequirementPage.html(report, model.file()));
    }
    if (bcf != null) {
      TopicFile.write(
          bcf,
          version,
          model.file(),
          model.project(),
          RequirementTopics.of(report, IfcReader.read(file, Progress.NONE)),
          Instant.now());
    }
    if (json) {
      line.getOut().println(RequirementJson.node(report).toPrettyString());
    } else {
      tell(report);
    }
    return report.pass() ? Main.DONE : Main.ERRORS_FOUND;
  }

  /** Reads a file. */
  private interface Reading<T> {
    T read() throws IOException;
  }

  private static <T> T opened(Path file, Reading<T> reading) throws IOException {
    try {
      return reading.read();
    } catch (NoSuchFileException e) {
      throw new IOException(file + ": there is no such file.", e);
    }
  }

  private void tell(RequirementReport report) {
    PrintWriter out = line.getOut();
    for (RequirementReport.Result r : report.results()) {
      out.println(
          (r.skipped() ? "not run" : r.pass() ? "passed " : "FAILED ")
              + "  "
              + r.specification().name()
              + (r.skipped()
                  ? "  it is for another schema"
                  : "  " + r.passed() + " of " + r.applicable() + " objects"));
      if (!r.note().isEmpty()) {
        out.println("    " + r.note());
      }
      for (RequirementReport.Failure f : r.failures()) {
        out.println(
            "    "
                + f.object().entity()
                + "  "
                + f.object().name()
                + "  "
                + f.object().globalId()
                + "  "
                + f.reason());
      }
    }
    out.println(
        report.pass()
            ? "Every specification is fulfilled."
            : "Not every specification is fulfilled.");
  }
}
