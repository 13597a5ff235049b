package wellspan.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.Build;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.job.JobStore;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Within;
import wellspan.core.overlay.LevelDifference;
import wellspan.core.overlay.Retriangulated;
import wellspan.core.overlay.Volumes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.SourceIntake;

/** {@code compare JOB FIRST [SECOND]}: how two surfaces differ, and the earth between them. */
@Command(
    name = "compare",
    description =
        "Level difference and volumes between two surfaces of a job, exact; with one surface, what a receiver makes of it that draws triangles of its own.",
    mixinStandardHelpOptions = true)
final class CompareCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "JOB", description = "folder of the job")
  private Path folder;

  @Parameters(index = "1", paramLabel = "FIRST", description = "the existing surface")
  private String first;

  @Parameters(
      index = "2",
      arity = "0..1",
      paramLabel = "SECOND",
      description = "the proposed surface; left out: the first one's points triangulated anew")
  private String second;

  @Option(names = "--swell", paramLabel = "F", description = "loose volume of 1 m³ cut")
  private double swell = 1;

  @Option(names = "--compaction", paramLabel = "F", description = "m³ in the ground for 1 m³ fill")
  private double compaction = 1;

  @Option(
      names = "--within",
      paramLabel = "ITEM",
      description = "a closed line or a cover that two surfaces are compared within")
  private String within;

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    Volumes.Factors factors = new Volumes.Factors(swell, compaction);
    JobStore store = new JobStore(folder);
    Build build = SourceIntake.build(store, store.openWhole(), Progress.NONE);
    Mesh a = mesh(build, first);
    if (second == null) {
      print(Retriangulated.of(a, Progress.NONE).difference(), Optional.empty(), factors);
    } else {
      Mesh b = mesh(build, second);
      if (within != null) {
        Outline area = new Outline.Of(new ItemId(within), 0);
        a = Within.of(a, area, id -> item(build, id), Progress.NONE);
      }
      print(
          LevelDifference.between(a, b, Progress.NONE),
          Optional.of(Volumes.between(a, b, Progress.NONE)),
          factors);
    }
    return Main.DONE;
  }

  private static Item item(Build build, ItemId id) {
    Build.BuiltItem found = build.items().get(id);
    if (found == null) {
      throw new IllegalArgumentException("The job has no item \"" + id + "\".");
    }
    return found.item();
  }

  /** A surface of a job by its identity. */
  static Mesh mesh(Build build, String id) {
    Build.BuiltItem found = build.items().get(new ItemId(id));
    if (found != null
        && found.item().kind().is(Kind.TERRAIN)
        && found.item().shape() instanceof Shape.Faces s) {
      return s.mesh();
    }
    throw new IllegalArgumentException(
        "The job has no surface \""
            + id
            + "\"; it has "
            + String.join(
                ", ",
                build.items().values().stream()
                    .filter(i -> i.item().kind().is(Kind.TERRAIN))
                    .map(i -> i.id().value())
                    .toList())
            + ".");
  }

  private void print(LevelDifference d, Optional<Volumes> volumes, Volumes.Factors factors) {
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(node(d, volumes, factors).toPrettyString());
      return;
    }
    out.printf(
        "same triangles   %d of %d (%.1f %%)%n",
        d.trianglesSame(), d.trianglesFirst(), d.sameShare());
    out.printf(
        "area             both %.1f m², first only %.1f m², second only %.1f m²%n",
        d.area(), d.areaFirstOnly(), d.areaSecondOnly());
    out.printf("level difference mean %+.4f m, RMS %.4f m%n", d.mean(), d.rms());
    d.lowestAt()
        .ifPresent(p -> out.printf("  lowest         %+.4f m at %s%n", d.lowest(), place(p)));
    d.highestAt()
        .ifPresent(p -> out.printf("  highest        %+.4f m at %s%n", d.highest(), place(p)));
    volumes.ifPresent(
        v -> {
          out.printf("cut              %.2f m³ over %.1f m²%n", v.cut(), v.cutArea());
          out.printf("fill             %.2f m³ over %.1f m²%n", v.fill(), v.fillArea());
          out.printf("cut, loose       %.2f m³%n", v.loose(factors));
          out.printf("surplus          %+.2f m³%n", v.surplus(factors));
        });
  }

  private static String place(Position p) {
    return String.format(java.util.Locale.ROOT, "E %.3f, N %.3f", p.east(), p.north());
  }

  private static ObjectNode node(
      LevelDifference d, Optional<Volumes> volumes, Volumes.Factors factors) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("trianglesSame", d.trianglesSame())
        .put("trianglesFirst", d.trianglesFirst())
        .put("trianglesSecond", d.trianglesSecond())
        .put("area", d.area())
        .put("mean", d.mean())
        .put("rms", d.rms())
        .put("lowest", d.lowest())
        .put("highest", d.highest());
    ArrayNode bands = n.putArray("areas");
    for (int i = 0; i < d.areas().size(); i++) {
      ObjectNode band = bands.addObject();
      if (i > 0) {
        band.put("from", LevelDifference.EDGES.get(i - 1));
      }
      if (i < LevelDifference.EDGES.size()) {
        band.put("to", LevelDifference.EDGES.get(i));
      }
      band.put("area", d.areas().get(i));
    }
    volumes.ifPresent(
        v ->
            n.put("cut", v.cut())
                .put("fill", v.fill())
                .put("cutLoose", v.loose(factors))
                .put("surplus", v.surplus(factors)));
    return n;
  }
}
