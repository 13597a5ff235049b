package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.Classified;
import wellspan.core.deliver.Parcel;
import wellspan.core.schema.IfcSchema;

/** Writes classifications and their codes, each of them once, and ties them to objects. */
final class ClassificationRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final Map<Classified, List<Integer>> objects = new LinkedHashMap<>();
  private final Map<String, Integer> systems = new HashMap<>();
  private final Map<List<String>, Integer> above = new HashMap<>();

  ClassificationRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    this.parcel = parcel;
  }

  /** Notes the codes of an object. */
  void of(int object, List<Classified> codes) {
    codes.forEach(c -> objects.computeIfAbsent(c, k -> new ArrayList<>()).add(object));
  }

  /** Ties every code to its objects. */
  void write() throws IOException {
    for (Map.Entry<Classified, List<Integer>> e : objects.entrySet()) {
      Classified c = e.getKey();
      boolean systemOnly = c.code().isEmpty() && c.title().isEmpty() && !isOld();
      int code = systemOnly ? system(c.system()) : reference(c.code(), c.title(), source(c));
      step.root(
          "IfcRelAssociatesClassification",
          parcel.ids().of("classification " + c, "objects"),
          UNSET,
          UNSET,
          refs(e.getValue()),
          ref(code));
    }
  }

  private boolean isOld() {
    return parcel.schema() == IfcSchema.IFC2X3;
  }

  /**
   * What a code stands under: the code above it, or the classification; IFC2x3 knows the latter.
   */
  private StepValue source(Classified c) throws IOException {
    if (c.system().isEmpty()) {
      return UNSET;
    }
    int at = system(c.system());
    if (!isOld()) {
      List<String> path = new ArrayList<>(List.of(c.system()));
      for (String parent : c.parents().reversed()) {
        path.add(parent);
        Integer known = above.get(path);
        if (known == null) {
          known = reference(parent, "", ref(at));
          above.put(List.copyOf(path), known);
        }
        at = known;
      }
    }
    return ref(at);
  }

  private int reference(String code, String title, StepValue source) throws IOException {
    StepValue id = code.isEmpty() ? UNSET : text(code);
    StepValue name = title.isEmpty() ? UNSET : text(title);
    return isOld()
        ? step.add("IfcClassificationReference", UNSET, id, name, source)
        : step.add("IfcClassificationReference", UNSET, id, name, source, UNSET, UNSET);
  }

  private int system(String name) throws IOException {
    Integer known = systems.get(name);
    if (known != null) {
      return known;
    }
    int written =
        isOld() // source and edition may not be left out there
            ? step.add("IfcClassification", text(name), text("not given"), UNSET, text(name))
            : step.add("IfcClassification", UNSET, UNSET, UNSET, text(name), UNSET, UNSET, UNSET);
    systems.put(name, written);
    return written;
  }
}
