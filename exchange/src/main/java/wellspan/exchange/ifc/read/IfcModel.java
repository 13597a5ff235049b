package wellspan.exchange.ifc.read;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentSkipListSet;
import wellspan.core.finding.Finding;
import wellspan.core.progress.Progress;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;
import wellspan.exchange.file.ReadException;

/**
 * The instances of a file under the tables of its schema. Any thread may ask it: instances are
 * immutable, and one that two threads read at once is read twice.
 */
final class IfcModel {
  private static final int KEPT = 4096;

  private final StepFile step;
  private final Schema schema;
  private final String fileSchema;
  private final PlainValues plain;
  private final Set<Integer> missing = new ConcurrentSkipListSet<>();

  /** Instances read last, each at the place that its number leaves it. */
  private final Instance[] recent = new Instance[KEPT];

  /** By the number of the type in the file; empty where the schema has none of that name. */
  private final List<Optional<Entity>> entities = new ArrayList<>();

  private IfcModel(StepFile step, Schema schema, String fileSchema) {
    this.step = step;
    this.schema = schema;
    this.fileSchema = fileSchema;
    step.types().forEach(t -> entities.add(schema.entity(t)));
    plain = new PlainValues(schema, entities.stream().flatMap(Optional::stream).toList());
  }

  static IfcModel open(Path file, Progress progress) throws IOException {
    StepFile step = StepFile.open(file, progress);
    List<Value> declared;
    try {
      declared = step.headerOf("FILE_SCHEMA");
    } catch (StepSyntaxException e) {
      throw step.fault(e);
    }
    String name = "";
    if (!declared.isEmpty()
        && declared.getFirst() instanceof Value.Many(List<Value> names)
        && !names.isEmpty()
        && names.getFirst() instanceof Value.Text(String s)) {
      name = s;
    }
    String shown = name;
    Schema schema =
        Schema.forFile(name)
            .orElseThrow(
                () ->
                    new ReadException(
                        file,
                        shown.isEmpty()
                            ? "the file does not name its schema."
                            : "the schema "
                                + shown
                                + " is not known here; IFC2X3, IFC4 and IFC4X3_ADD2 are."));
    return new IfcModel(step, schema, name);
  }

  Schema schema() {
    return schema;
  }

  String fileSchema() {
    return fileSchema;
  }

  ReadException fault(StepSyntaxException e) {
    return step.fault(e);
  }

  Optional<Instance> find(int id) {
    int place = id & (KEPT - 1);
    Instance known = recent[place]; // once: another thread may put another one there
    if (known != null && known.id() == id) {
      return Optional.of(known);
    }
    int slot = slotOf(id);
    Optional<Entity> entity = slot < 0 ? Optional.empty() : entities.get(step.typeNumber(slot));
    if (entity.isEmpty()) {
      return Optional.empty();
    }
    Instance read =
        plain.allowed(
            new Instance(
                this, id, entity.get(), step.parameters(slot, entity.get().attributes().size())));
    recent[place] = read;
    return Optional.of(read);
  }

  /** What an instance is, without a look at what it says. */
  Optional<Entity> entityOf(int id) {
    int slot = slotOf(id);
    return slot < 0 ? Optional.empty() : entities.get(step.typeNumber(slot));
  }

  /** Whether an instance is of an entity or one of its subtypes, without a look at what it says. */
  boolean isA(int id, String upperName) {
    return entityOf(id).filter(e -> schema.isA(e, upperName)).isPresent();
  }

  /** Number of instances in the file. */
  int size() {
    return step.size();
  }

  /** Place of an instance among those of the file, −1 if it does not exist. */
  int slotOf(int id) {
    int slot = step.slotOf(id);
    if (slot < 0) {
      missing.add(id);
    }
    return slot;
  }

  /** Whether a number is given to several instances, of which nobody can tell which is meant. */
  boolean isRepeated(int id) {
    return step.isRepeated(id);
  }

  /** All instances of an entity and its subtypes in the order of the file. */
  List<Instance> all(String upperName) {
    int[] ids = ids(upperName);
    List<Instance> out = new ArrayList<>(ids.length);
    for (int id : ids) {
      find(id).ifPresent(out::add);
    }
    return out;
  }

  /** Their numbers; none of them is looked at. */
  int[] ids(String upperName) {
    BitSet fitting = new BitSet();
    for (int t = 0; t < entities.size(); t++) {
      if (entities.get(t).filter(e -> schema.isA(e, upperName)).isPresent()) {
        fitting.set(t);
      }
    }
    // the second of one number is found by nobody
    return Arrays.stream(step.slotsOf(fitting))
        .filter(slot -> step.slotOf(step.idAt(slot)) == slot)
        .map(step::idAt)
        .toArray();
  }

  /** Number of instances by entity name as in the standard; unknown ones as written. */
  Map<String, Integer> counts() {
    Map<String, Integer> out = new TreeMap<>();
    step.counts()
        .forEach(
            (type, n) ->
                out.merge(schema.entity(type).map(Entity::name).orElse(type), n, Integer::sum));
    return out;
  }

  /** Types in the file that the schema does not know. */
  List<String> unknownTypes() {
    return step.counts().keySet().stream()
        .filter(t -> schema.entity(t).isEmpty())
        .sorted()
        .toList();
  }

  /** Plain values that are left out of instances read so far. */
  List<Finding> leftOutValues() {
    return plain.findings();
  }

  /** Numbers of instances that were asked for and do not exist. */
  Set<Integer> missing() {
    return missing;
  }
}
