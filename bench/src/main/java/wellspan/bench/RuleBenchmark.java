package wellspan.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.rulebook.Condition;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.Ruled;
import wellspan.core.rulebook.Ruling;
import wellspan.core.rulebook.Subject;
import wellspan.core.rulebook.ValuePart;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/**
 * Thirty property rules on 20 000 items: what is worked out for the first time, and what a changed
 * rule costs when the facts are known. Beside it as many properties looked up without any rule.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx2g", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class RuleBenchmark {
  private static final int ITEMS = 20_000;
  private static final int RULES = 30;
  private static final String[] FACTS = {"name", "kind", "layer", "volume", "area", "lowest level"};

  private List<Item> items;
  private List<Subject> known;
  private Ruling ruling;

  /** The items and the rules. */
  @Setup(Level.Trial)
  public void make() {
    double[] xyz = {0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 0, 1, 1, 0, 1, 1, 1, 1};
    int[] t = {0, 2, 1, 3, 4, 5, 0, 1, 4, 0, 4, 3, 1, 2, 5, 1, 5, 4, 2, 0, 3, 2, 3, 5};
    items = new ArrayList<>();
    for (int i = 0; i < ITEMS; i++) {
      Map<String, PropertyValue> v = new LinkedHashMap<>();
      for (int k = 0; k < 10; k++) {
        v.put("P" + k, new PropertyValue.Label("value " + i % 7));
      }
      items.add(
          Item.of("Item " + i, Kind.of("kerb"), new Shape.Faces(new Mesh(xyz, t)))
              .on("LAYER-" + i % 20)
              .saying(Description.of(List.of(new PropertySet("Received", v)), Optional.empty())));
    }
    List<PropertyRule> rules = new ArrayList<>();
    for (int k = 0; k < RULES; k++) {
      ValuePart part =
          k % 2 == 0
              ? ValuePart.fact(FACTS[k / 2 % FACTS.length])
              : ValuePart.attribute("Received.P" + k % 10);
      rules.add(
          PropertyRule.of(
              List.of(Condition.like("layer", "LAYER-*")), part, "Client", "Q" + k, ""));
    }
    ruling = new Ruling(Rulebook.NONE.withProperties(rules), IfcSchema.IFC4X3);
    known = subjects();
    known.forEach(ruling::of);
  }

  private List<Subject> subjects() {
    return items.stream().map(i -> Subject.of(i, "a.ifc")).toList();
  }

  /** All facts worked out anew. */
  @Benchmark
  public long first() {
    return subjects().parallelStream().map(ruling::of).mapToLong(r -> r.cells().size()).sum();
  }

  /** Facts are known, as when a rule was changed. */
  @Benchmark
  public long again() {
    return known.parallelStream().map(ruling::of).mapToLong(RuleBenchmark::said).sum();
  }

  private static long said(Ruled r) {
    return r.sets().getFirst().values().size();
  }

  /** As many properties read from the items without rules, for comparison. */
  @Benchmark
  public long bare() {
    return items.parallelStream()
        .mapToLong(
            i -> {
              long n = 0;
              for (int k = 0; k < RULES; k++) {
                for (PropertySet s : i.said().propertySets()) {
                  n += s.values().get("P" + k % 10).show().length();
                }
              }
              return n;
            })
        .sum();
  }
}
