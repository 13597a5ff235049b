package wellspan.exchange.ifc.read;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import wellspan.core.progress.Progress;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;
import wellspan.exchange.file.ReadException;

/** The instances of a file under the tables of its schema. */
final class IfcModel {
  private static final int KEPT = 4096;

  private final StepFile step;
  private final Schema schema;
  private final String fileSchema;
  private final Set<Integer> missing = new TreeSet<>();
  private final Map<Integer, Instance> recent =
      new LinkedHashMap<>(KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Integer, Instance> eldest) {
          return size() > KEPT;
        }
      };

  private IfcModel(StepFile step, Schema schema, String fileSchema) {
    this.step = step;
    this.schema = schema;
    this.fileSchema = fileSchema;
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
    Instance known = recent.get(id);
    if (known != null) {
      return Optional.of(known);
    }
    int slot = step.slotOf(id);
    if (slot < 0) {
      missing.add(id);
      return Optional.empty();
    }
    return schema
        .entity(step.typeAt(slot))
        .map(
            e -> {
              Instance made = new Instance(this, id, e, step.parameters(slot));
              recent.put(id, made);
              return made;
            });
  }

  /** All instances of an entity and its subtypes in the order of the file. */
  List<Instance> all(String upperName) {
    Map<String, Boolean> fits = new TreeMap<>();
    List<Instance> out = new ArrayList<>();
    for (int i = 0; i < step.size(); i++) {
      String type = step.typeAt(i);
      if (fits.computeIfAbsent(
          type, t -> schema.entity(t).map(e -> schema.isA(e, upperName)).orElse(false))) {
        find(step.idAt(i)).ifPresent(out::add);
      }
    }
    return out;
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

  /** Numbers of instances that were asked for and do not exist. */
  Set<Integer> missing() {
    return missing;
  }
}
