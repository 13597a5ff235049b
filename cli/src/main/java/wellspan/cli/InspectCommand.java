package wellspan.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.place.Contradictions;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.shape.Measure;
import wellspan.exchange.intake.Intake;

/** {@code inspect FILE...}: what a file holds. */
@Command(name = "inspect", description = "Says what files hold.", mixinStandardHelpOptions = true)
final class InspectCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private ReadingOptions reading;

  @Parameters(paramLabel = "FILE", arity = "1..*", description = "files to read")
  private List<Path> files;

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Option(
      names = "--every",
      paramLabel = "M",
      description = "adds the points of each alignment every M metres")
  private double every;

  @Override
  public Integer call() throws IOException {
    if (every < 0 || !Double.isFinite(every)) {
      throw new IllegalArgumentException("--every needs a distance above zero in metres.");
    }
    ReadingRule rule = reading.rule();
    PrintWriter out = spec.commandLine().getOut();
    ArrayNode all = JsonNodeFactory.instance.arrayNode();
    int code = Main.DONE;
    for (Path file : files) {
      Received r;
      try {
        r = Intake.read(file, rule, Progress.NONE);
      } catch (IOException | IllegalArgumentException e) {
        // the others are answered for all that
        String sentence = Main.sentence(e);
        spec.commandLine()
            .getErr()
            .println(sentence.startsWith(file.toString()) ? sentence : file + ": " + sentence);
        code = Main.UNUSABLE;
        continue;
      }
      if (r.hasErrors() && code == Main.DONE) {
        code = Main.ERRORS_FOUND;
      }
      if (json) {
        all.add(InspectionJson.node(file.toString(), r, every));
      } else {
        text(out, file, r);
      }
    }
    if (json) {
      out.println(all.toPrettyString());
    }
    return code;
  }

  private static void text(PrintWriter out, Path file, Received r) {
    out.println(
        file
            + ": "
            + r.format()
            + (r.unit().isEmpty() ? "" : ", " + r.unit())
            + (r.crs().isEmpty() ? "" : ", " + r.crs()));
    for (Item i : r.items()) {
      out.println("  " + i.kind() + "  " + i.name() + "  " + figures(i));
    }
    Box b = r.bounds();
    if (!b.isEmpty()) {
      out.printf("  E %.3f … %.3f  N %.3f … %.3f", b.minE(), b.maxE(), b.minN(), b.maxN());
      if (b.hasLevels()) {
        out.printf("  H %.3f … %.3f", b.minH(), b.maxH());
      }
      out.println();
    }
    r.places()
        .forEach(
            p -> out.printf("  place, level %d: %s says %s%n", p.level(), p.where(), p.says()));
    List<Finding> findings = new ArrayList<>(r.findings());
    findings.addAll(Contradictions.check(file.getFileName().toString(), r.places()));
    for (Finding f : findings) {
      out.println("  " + f.severity().word() + "  " + f.message());
    }
  }

  private static String figures(Item item) {
    List<String> out = new ArrayList<>();
    tell(item, Measure.TRIANGLES, "%.0f triangles", out);
    if (out.isEmpty()) {
      tell(item, Measure.LENGTH, "%.3f m", out);
    }
    tell(item, Measure.POINTS, "%.0f points", out);
    tell(item, Measure.ELEMENTS, "%.0f elements", out);
    tell(item, Measure.PROFILE_PIECES, "with profile", out);
    tell(item, Measure.COLUMNS, "%.0f pixels wide", out);
    tell(item, Measure.ROWS, "%.0f high", out);
    return String.join(", ", out);
  }

  private static void tell(Item item, Measure measure, String words, List<String> out) {
    item.shape()
        .measure(measure)
        .ifPresent(figure -> out.add(String.format(Locale.ROOT, words, figure)));
  }
}
