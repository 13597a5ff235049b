package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.Build;
import wellspan.core.geom.Position;
import wellspan.core.job.ControlIntake;
import wellspan.core.job.Job;
import wellspan.core.job.JobLock;
import wellspan.core.job.JobStore;
import wellspan.core.job.Source;
import wellspan.core.place.HelmertFit;
import wellspan.core.place.Hypotheses;
import wellspan.core.place.PairMatching;
import wellspan.core.place.PointPair;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.intake.SourceIntake;

/** {@code place JOB SOURCE}: how a source lies, what its numbers could mean, and changing it. */
@Command(
    name = "place",
    description =
        "Shows how a source of the job lies and what its numbers could mean, or places it; the job is saved.",
    mixinStandardHelpOptions = true)
final class PlaceCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "JOB", description = "folder of the job")
  private Path folder;

  @Parameters(index = "1", paramLabel = "SOURCE", description = "name of the source")
  private String name;

  @Option(names = "--shared", description = "its coordinates are shared ones")
  private boolean shared;

  @Option(names = "--in", paramLabel = "EPSG:n", description = "it is transformed from a system")
  private String system;

  @Option(
      names = "--local",
      paramLabel = "E,N,H,DEG",
      split = ",",
      description = "its zero and the angle from grid north to its y axis")
  private List<Double> local;

  @Option(names = "--fit", description = "it is fitted by points that have control points' names")
  private boolean fit;

  @Option(names = "--scale-free", description = "with --fit: the scale is fitted too")
  private boolean scaleFree;

  @Option(names = "--unit", paramLabel = "mm", description = "its numbers are in this unit")
  private String unit;

  @Option(names = "--swap", description = "its eastings and northings are exchanged")
  private boolean swap;

  @Option(names = "--as-control", description = "its points become the job's control points")
  private boolean asControl;

  @Override
  public Integer call() throws IOException {
    if (!changes()) {
      return run();
    }
    try (JobLock _ = JobLock.take(folder, "wellspan place", Clock.systemUTC())) {
      return run();
    }
  }

  /** Whether the call asks for a change, and not only for a look. */
  private boolean changes() {
    return shared || system != null || local != null || fit || unit != null || swap || asControl;
  }

  private int run() throws IOException {
    JobStore store = new JobStore(folder);
    Build build = SourceIntake.build(store, store.openWhole(), Progress.NONE);
    Source source =
        build
            .job()
            .source(name)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "The job has no source \""
                            + name
                            + "\"; it has "
                            + String.join(
                                ", ", build.job().sources().stream().map(Source::name).toList())
                            + "."));
    SourcePlacement now = source.placement();
    SourcePlacement next = wanted(build, now);
    Job job = build.job().withSource(source.withPlacement(next));
    Build placed = build.next(job, build.raw(), Progress.NONE);
    if (asControl) {
      job = ControlIntake.take(job, name, placed.received().get(name));
    }
    if (!job.equals(build.job())) {
      store.save(job);
    }
    return print(placed, next);
  }

  private SourcePlacement wanted(Build build, SourcePlacement now) {
    SourcePlacement next = swap ? now.withSwapped(true) : now;
    if (unit != null) {
      next =
          next.withUnitFactor(
              LinearUnit.named(unit)
                  .orElseThrow(
                      () ->
                          new IllegalArgumentException(
                              "--unit " + unit + " is not one of m, mm, cm, ft, ftUS."))
                  .metres());
    }
    if (shared) {
      next = SourcePlacement.SHARED;
    } else if (system != null) {
      SystemOption.Named s = SystemOption.of(system);
      next = next.withWhere(new SourcePlacement.Where.InSystem(s.crs().id(), s.definition()));
    } else if (local != null) {
      if (local.size() != 4) {
        throw new IllegalArgumentException("--local needs four numbers: E,N,H,DEG.");
      }
      Position zero = new Position(local.get(0), local.get(1), local.get(2));
      next = next.withWhere(new SourcePlacement.Where.Local(zero, local.get(3), 1));
    } else if (fit) {
      List<PointPair> pairs =
          PairMatching.byName(build.raw().get(name), next, build.job().control());
      next = next.withWhere(new SourcePlacement.Where.Fitted(pairs, scaleFree));
    }
    return next;
  }

  private int print(Build placed, SourcePlacement p) {
    PrintWriter out = spec.commandLine().getOut();
    out.println(name + ": " + p.summary());
    if (p.where() instanceof SourcePlacement.Where.Fitted f) {
      try {
        HelmertFit result = HelmertFit.solve(f.pairs(), f.scaleFree());
        for (HelmertFit.Residual r : result.residuals()) {
          out.printf(
              "  %-12s plan %6.1f mm  height %6.1f mm%s%n",
              r.pair().name(), 1000 * r.plan(), 1000 * r.height(), r.gross() ? "  GROSS" : "");
        }
        out.printf(
            "  turned %.5f°  scale %.8f  plan ± %.2f mm%n",
            -Math.toDegrees(result.similarity().rotation()),
            result.similarity().scale(),
            1000 * result.planDeviation());
      } catch (HelmertFit.NoFitException e) {
        throw new IllegalArgumentException(e.getMessage(), e);
      }
    } else {
      Received raw = placed.raw().get(name);
      for (Hypotheses.Hypothesis h :
          Hypotheses.of(raw.bounds(), raw.crs(), placed.job().frame(), placed.reference(name))) {
        if (h.fits()) {
          out.println("  its numbers could be: " + h.title());
        }
      }
    }
    boolean failed =
        placed.findings().stream()
                .filter(f -> f.item().equals(name) && f.isError() && f.code().startsWith("place."))
                .peek(f -> out.println("  error  " + f.message()))
                .count()
            > 0;
    return failed ? Main.ERRORS_FOUND : Main.DONE;
  }
}
