package wellspan.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
import wellspan.core.attribute.Classified;
import wellspan.core.model.Model;
import wellspan.core.model.ModelObject;
import wellspan.core.model.ModelProperty;
import wellspan.core.model.ModelSet;
import wellspan.core.model.ModelValue;
import wellspan.core.progress.Progress;
import wellspan.core.requirement.Constraint;
import wellspan.core.requirement.Facet;
import wellspan.core.requirement.Requirement;
import wellspan.core.requirement.RequirementCheck;
import wellspan.core.requirement.RequirementReport;
import wellspan.core.requirement.Requirements;
import wellspan.core.requirement.Specification;
import wellspan.core.requirement.XsdPattern;

/**
 * Fifty specifications on 100 000 objects, every second of them about all objects; beside it all
 * properties of the objects looked at once.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx3g", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 2, time = 5)
@Measurement(iterations = 5, time = 5)
public class RequirementBenchmark {
  private static final int OBJECTS = 100_000;
  private static final int SPECIFICATIONS = 50;
  private static final List<String> CLASSES = List.of("IfcCourse", "IfcKerb", "IfcPipeSegment");

  private Model model;
  private Requirements wanted;

  /** The model and what is asked of it. */
  @Setup(Level.Trial)
  public void make() {
    List<ModelObject> objects = new ArrayList<>();
    for (int i = 0; i < OBJECTS; i++) {
      objects.add(object(i));
    }
    model = new Model("a.ifc", "IFC4X3_ADD2", "", objects, List.of());
    List<Specification> all = new ArrayList<>();
    for (int i = 0; i < SPECIFICATIONS; i++) {
      all.add(specification(i));
    }
    wanted = new Requirements("Fifty", all);
  }

  private static ModelObject object(int i) {
    List<ModelSet> sets = new ArrayList<>();
    for (int s = 0; s < 3; s++) {
      Map<String, ModelProperty> properties = new LinkedHashMap<>();
      for (int p = 0; p < 6; p++) {
        ModelValue v =
            p % 2 == 0
                ? new ModelValue.Text("IfcLabel", "V" + (i + p) % 17)
                : new ModelValue.Num("IfcLengthMeasure", (i + p) % 100 / 100.0);
        properties.put("P" + p, new ModelProperty("P" + p, ModelProperty.Kind.SINGLE, List.of(v)));
      }
      sets.add(new ModelSet("Client_" + s, false, properties));
    }
    return new ModelObject(
        i + 1,
        String.format("%022d", i),
        "Thing " + i,
        CLASSES.get(i % CLASSES.size()),
        ModelObject.Role.PRODUCT,
        "",
        false,
        Map.of("Name", new ModelValue.Text("IfcLabel", "Thing " + i)),
        sets,
        List.of(new Classified("Works", "3." + i % 9, "", List.of())),
        List.of(new ModelObject.Material("asphalt", List.of("asphalt"))),
        "",
        Optional.empty(),
        List.of(),
        List.of());
  }

  private static Constraint is(String text) {
    return new Constraint.Simple(text);
  }

  private static Constraint reads(String pattern) {
    return new Constraint.Restriction(
        List.of(),
        List.of(XsdPattern.of(pattern)),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  private static Specification specification(int i) {
    Facet about =
        i % 2 == 0
            ? new Facet.Entity(
                is(CLASSES.get(i % CLASSES.size()).toUpperCase(Locale.ROOT)), Optional.empty())
            : new Facet.Property("", is("Client_0"), is("P0"), Optional.empty());
    Facet asked =
        switch (i % 4) {
          case 0 ->
              new Facet.Property(
                  "IFCLABEL", reads("Client_\\d"), is("P" + i % 6 / 2 * 2), Optional.empty());
          case 1 -> new Facet.Attribute(is("Name"), Optional.of(reads("Thing \\d+")));
          case 2 ->
              new Facet.Classification(Optional.of(reads("3\\..*")), Optional.of(is("Works")));
          default -> new Facet.Material(Optional.of(is("asphalt")));
        };
    return new Specification(
        "S" + i,
        "",
        "",
        "",
        Set.of("IFC4X3_ADD2"),
        Specification.Occurs.REQUIRED,
        List.of(about),
        List.of(new Requirement(asked, Requirement.Cardinality.REQUIRED, "")));
  }

  /** The check. */
  @Benchmark
  public RequirementReport check() {
    return RequirementCheck.run(wanted, model, Progress.NONE);
  }

  /** Every property of every object looked at once, for comparison. */
  @Benchmark
  public long bare() {
    long n = 0;
    for (ModelObject o : model.objects()) {
      for (ModelSet s : o.sets()) {
        for (ModelProperty p : s.properties().values()) {
          n += p.values().getFirst().isGiven() ? 1 : 0;
        }
      }
    }
    return n;
  }
}
