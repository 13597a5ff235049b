package wellspan.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
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
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.build.Build;
import wellspan.core.earthwork.MassHaul;
import wellspan.core.item.ItemId;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.SourceIntake;
import wellspan.exchange.table.write.TableFile;

/** {@code masses JOB ALIGNMENT EXISTING PROPOSED}: what is cut and filled, by chainage. */
@Command(
    name = "masses",
    description =
        "What is cut and filled along an alignment, by chainage, with the mass that is carried along; curves count.",
    mixinStandardHelpOptions = true)
final class MassesCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "JOB", description = "folder of the job")
  private Path folder;

  @Parameters(index = "1", paramLabel = "ALIGNMENT", description = "the alignment")
  private String along;

  @Parameters(index = "2", paramLabel = "EXISTING", description = "the existing surface")
  private String existing;

  @Parameters(index = "3", paramLabel = "PROPOSED", description = "the proposed surface")
  private String proposed;

  @Option(names = "--every", paramLabel = "M", description = "length of a stretch, metres")
  private double every = 20;

  @Option(names = "--reach", paramLabel = "M", description = "how far to both sides, metres")
  private double reach = 60;

  @Option(names = "--factor", paramLabel = "F", description = "m³ of fill that one m³ cut makes")
  private double factor = 1;

  @Option(
      names = "--table",
      paramLabel = "OUT.csv|OUT.xlsx",
      description = "as a table: a row for each stretch")
  private Path table;

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    JobStore store = new JobStore(folder);
    Build build = SourceIntake.build(store, store.openWhole(), Progress.NONE);
    Build.BuiltItem line = build.items().get(new ItemId(along));
    if (line == null || !(line.item().shape() instanceof Shape.Axis axis)) {
      throw new IllegalArgumentException("The job has no alignment \"" + along + "\".");
    }
    Alignment a = axis.alignment();
    MassHaul haul =
        MassHaul.of(
            a,
            CompareCommand.mesh(build, existing),
            CompareCommand.mesh(build, proposed),
            every,
            reach,
            factor,
            Progress.NONE);
    if (table != null) {
      List<List<Object>> rows = new ArrayList<>();
      haul.rows().forEach(r -> rows.add(List.of(r.from(), r.to(), r.cut(), r.fill(), r.mass())));
      TableFile.write(
          table, List.of("from chainage", "to chainage", "cut m3", "fill m3", "mass m3"), rows);
    }
    PrintWriter out = spec.commandLine().getOut();
    spec.commandLine()
        .getErr()
        .printf(
            "note  measured within %.0f m to both sides, where both surfaces lie; what is beyond is not counted.%n",
            haul.reach());
    if (json) {
      out.println(node(haul).toPrettyString());
    } else {
      haul.rows()
          .forEach(
              r ->
                  out.printf(
                      "%s \u2013 %s  cut %.1f m³  fill %.1f m³  mass %+.1f m³%n",
                      Chainages.format(r.from()),
                      Chainages.format(r.to()),
                      r.cut(),
                      r.fill(),
                      r.mass()));
      out.printf("all  cut %.1f m³  fill %.1f m³%n", haul.cut(), haul.fill());
    }
    return Main.DONE;
  }

  private static ArrayNode node(MassHaul haul) {
    ArrayNode out = JsonNodeFactory.instance.arrayNode();
    for (MassHaul.Row r : haul.rows()) {
      out.addObject()
          .put("from", r.from())
          .put("to", r.to())
          .put("cut", r.cut())
          .put("fill", r.fill())
          .put("mass", r.mass());
    }
    return out;
  }
}
