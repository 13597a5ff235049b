package wellspan.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.Build;
import wellspan.core.build.OperationResults;
import wellspan.core.finding.Finding;
import wellspan.core.flaw.GroundChecks;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobLock;
import wellspan.core.job.JobStore;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;
import wellspan.core.replay.OperationJson;
import wellspan.core.replay.RecipeRun;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;
import wellspan.exchange.intake.SourceIntake;

/** {@code shape JOB [ITEM]}: the steps of items with their figures, and changing them. */
@Command(
    name = "shape",
    description =
        "Shows how the items of a job are made and shaped, with figures before and after; or changes that, and saves the job.")
final class ShapeCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", arity = "0..1", paramLabel = "JOB", description = "folder of the job")
  private Path folder;

  @Option(
      names = {"-h", "--help"},
      arity = "0..1",
      fallbackValue = "",
      paramLabel = "OPERATION",
      description = "this page with all operations, or what one of them does and needs")
  private String help;

  @Parameters(
      index = "1",
      arity = "0..1",
      paramLabel = "ITEM",
      description = "identity of an item, such as survey/points/Shore; without it all are listed")
  private String item;

  @Option(
      names = "--make",
      paramLabel = "JSON",
      description = "a recipe, as it stands under \"recipes\" in job.json")
  private List<String> make = new ArrayList<>();

  @Option(names = "--unmake", paramLabel = "NAME", description = "takes a recipe away")
  private List<String> unmake = new ArrayList<>();

  @Option(
      names = "--add",
      paramLabel = "JSON",
      description = "a step for ITEM, such as {\"step\":\"trim\",\"longest\":40,\"flattest\":0}")
  private List<String> add = new ArrayList<>();

  @Option(names = "--remove", paramLabel = "N", description = "takes the n-th step away")
  private List<Integer> remove = new ArrayList<>();

  @Option(names = "--off", paramLabel = "N", description = "switches the n-th step off")
  private List<Integer> off = new ArrayList<>();

  @Option(names = "--on", paramLabel = "N", description = "switches the n-th step on")
  private List<Integer> on = new ArrayList<>();

  @Option(
      names = "--flaws",
      description = "lists the flaws of the ground as it is before its steps")
  private boolean flaws;

  @Override
  public Integer call() throws IOException {
    PrintWriter out = spec.commandLine().getOut();
    if (help != null && help.isEmpty()) {
      spec.commandLine().usage(out);
      OperationHelp.all(out);
      return Main.DONE;
    }
    if (help != null) {
      OperationHelp.of(help, out);
      return Main.DONE;
    }
    if (folder == null) {
      throw new IllegalArgumentException("Name the folder of the job: wellspan shape JOB [ITEM].");
    }
    if (!changes()) {
      return run();
    }
    try (JobLock _ = JobLock.take(folder, "wellspan shape", Clock.systemUTC())) {
      return run();
    }
  }

  /** Whether the call asks for a change, and not only for a look. */
  private boolean changes() {
    return Stream.of(make, unmake, add, remove, off, on).anyMatch(l -> !l.isEmpty());
  }

  private int run() throws IOException {
    JobStore store = new JobStore(folder);
    Build build = SourceIntake.build(store, store.openWhole(), Progress.NONE);
    Job job = changed(build.job());
    boolean edited = !job.equals(build.job());
    if (edited) {
      build = build.next(job, build.raw(), Progress.NONE);
    }
    boolean failed = print(build);
    if (edited && cannotBeDone(build)) {
      spec.commandLine()
          .getErr()
          .println("What was asked for cannot be done as it stands above; the job is as it was.");
      return Main.ERRORS_FOUND;
    }
    if (edited) {
      store.save(job);
    }
    return failed ? Main.ERRORS_FOUND : Main.DONE;
  }

  /** Whether something that this call asks for makes nothing, or does nothing to its item. */
  private boolean cannotBeDone(Build build) {
    boolean unmade =
        make.stream()
            .map(text -> OperationJson.recipe(json(text)).name())
            .map(name -> build.results().made().get(name))
            .anyMatch(m -> m != null && m.result().items().isEmpty() && hasErrors(m.result()));
    if (unmade || add.isEmpty()) {
      return unmade;
    }
    List<StepOutcome> all = build.results().shaped().get(new ItemId(item)).outcomes();
    return all.subList(Math.max(0, all.size() - add.size()), all.size()).stream()
        .flatMap(o -> o.findings().stream())
        .anyMatch(f -> f.code().equals(RecipeRun.FAILED));
  }

  private static boolean hasErrors(Recipe.Made made) {
    return made.findings().stream().anyMatch(Finding::isError);
  }

  private Job changed(Job job) {
    Job next = job;
    for (String name : unmake) {
      if (job.recipe(name).isEmpty()) {
        throw new IllegalArgumentException("The job makes nothing with the name \"" + name + "\".");
      }
      next = next.withoutRecipe(name);
    }
    for (String text : make) {
      next = next.withRecipe(OperationJson.recipe(json(text)));
    }
    boolean steps = !add.isEmpty() || !remove.isEmpty() || !off.isEmpty() || !on.isEmpty();
    if (steps && item == null) {
      throw new IllegalArgumentException("Name the ITEM whose steps are to change.");
    }
    if (steps) {
      ItemId id = new ItemId(item);
      next = next.withSteps(id, steps(next.stepsOf(id)));
    }
    return next;
  }

  private List<RecordedStep> steps(List<RecordedStep> now) {
    List<RecordedStep> out = new ArrayList<>(now);
    off.forEach(n -> out.set(index(n, out), out.get(index(n, out)).switched(false)));
    on.forEach(n -> out.set(index(n, out), out.get(index(n, out)).switched(true)));
    remove.stream()
        .map(n -> index(n, out))
        .sorted(java.util.Comparator.reverseOrder())
        .forEach(i -> out.remove((int) i));
    add.forEach(text -> out.add(OperationJson.step(json(text))));
    return out;
  }

  private static int index(int number, List<RecordedStep> steps) {
    if (number < 1 || number > steps.size()) {
      throw new IllegalArgumentException(
          "There is no step " + number + "; the item has " + steps.size() + ".");
    }
    return number - 1;
  }

  private static JsonNode json(String text) {
    try {
      return new ObjectMapper().readTree(text);
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException("this is not JSON: " + text, e);
    }
  }

  /** Whether a step or recipe that is shown failed. */
  private boolean print(Build build) {
    PrintWriter out = spec.commandLine().getOut();
    if (item != null && !build.items().containsKey(new ItemId(item))) {
      throw new IllegalArgumentException(
          "The job has no item \""
              + item
              + "\"; it has "
              + String.join(", ", build.items().keySet().stream().map(ItemId::value).toList())
              + ".");
    }
    boolean failed = false;
    for (OperationResults.MadeItems m : build.results().made().values()) {
      if (item == null || build.results().maker(new ItemId(item)).filter(m::equals).isPresent()) {
        out.println(m.recipe().title() + ": " + m.result().told());
        out.println("  " + m.before().words() + " → " + m.after().words());
        failed |= findings(m.result().findings());
      }
    }
    for (ItemId id : build.items().keySet()) {
      OperationResults.PreparedItem s = build.results().shaped().get(id);
      if (item != null && !id.value().equals(item) || s == null && (item != null || changes())) {
        continue;
      }
      out.println(id);
      if (s == null) { // what a step or recipe can be for
        continue;
      }
      int n = 1;
      for (StepOutcome o : s.outcomes()) {
        out.println("  " + n++ + ". " + o.step().step().title() + ": " + o.told());
        out.println("     " + o.before().words() + " → " + o.after().words());
        failed |= findings(o.findings());
      }
    }
    if (flaws) {
      build
          .items()
          .forEach(
              (id, b) -> {
                if (item == null || id.value().equals(item)) {
                  OperationResults.PreparedItem s = build.results().shaped().get(id);
                  findings(GroundChecks.of(s == null ? b.item() : s.before(), Progress.NONE));
                }
              });
    }
    return failed;
  }

  private boolean findings(List<Finding> some) {
    PrintWriter out = spec.commandLine().getOut();
    some.forEach(f -> out.printf("     %s  %s  %s%n", f.severity().word(), f.code(), f.message()));
    return some.stream().anyMatch(Finding::isError);
  }
}
