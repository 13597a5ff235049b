package wellspan.exchange.ifc.read;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.finding.Finding;
import wellspan.core.model.Model;
import wellspan.core.model.ModelObject;
import wellspan.core.model.ModelSet;
import wellspan.core.model.ModelValue;
import wellspan.core.progress.Progress;
import wellspan.core.schema.Attribute;

/**
 * Reads what an IFC file says of its objects, whether they have a shape or not. Geometry is not
 * looked at.
 */
public final class ModelReader {
  private final IfcModel model;
  private final Soundness soundness;
  private final List<Finding> findings = new ArrayList<>();
  private final ModelValues values;
  private final ModelSets sets;
  private final ModelRelations relations;
  private final ClassificationReader classification;
  private final MaterialReader materials;
  private final FinishReader finishes;
  private final Layers layers;

  private ModelReader(IfcModel model) {
    this.model = model;
    soundness = new Soundness(model);
    values = new ModelValues(model, Units.of(model));
    sets = new ModelSets(model, values, soundness, findings);
    relations = new ModelRelations(model);
    classification = new ClassificationReader(model);
    materials = new MaterialReader(model);
    finishes = new FinishReader(model, materials);
    layers = new Layers(model);
  }

  /**
   * @throws wellspan.exchange.file.ReadException with file and line, if the text is broken or the
   *     schema not known
   */
  public static Model read(Path file, Progress progress) throws IOException {
    IfcModel model = IfcModel.open(file, progress.part(0, 0.6));
    try {
      return new ModelReader(model).whole(file, progress.part(0.6, 1));
    } catch (StepSyntaxException e) {
      throw model.fault(e);
    }
  }

  private Model whole(Path file, Progress progress) {
    List<ModelObject> out = new ArrayList<>();
    List<Instance> all = model.all("IFCOBJECTDEFINITION");
    String project = "";
    int done = 0;
    for (Instance i : all) {
      progress.advance((double) done++ / all.size(), "Reading " + i.entity().name());
      Optional<String> fault = soundness.ofItself(i);
      if (fault.isPresent()) {
        findings.add(
            Finding.error(
                wellspan.core.finding.Stop.RECEIVE,
                "ifc.left-out",
                i.text("Name"),
                "#" + i.id() + " is left out: " + fault.get() + "."));
        continue;
      }
      if (project.isEmpty() && i.isA("IFCPROJECT")) {
        project = i.text("GlobalId");
      }
      out.add(object(i));
    }
    findings.addAll(model.leftOutValues());
    return new Model(
        String.valueOf(file.getFileName()), model.fileSchema(), project, out, findings);
  }

  private ModelObject object(Instance i) {
    Optional<Instance> type = relations.typeOf(i);
    ModelObject.Role role =
        i.isA("IFCTYPEOBJECT")
            ? ModelObject.Role.TYPE
            : i.isA("IFCSPATIALELEMENT") || i.isA("IFCSPATIALSTRUCTUREELEMENT")
                ? ModelObject.Role.SPATIAL
                : i.isA("IFCPRODUCT") ? ModelObject.Role.PRODUCT : ModelObject.Role.OTHER;
    Meant meant = predefined(i, type);
    List<ModelSet> all = sets.of(i, type);
    Map<String, ModelValue> attributes = new LinkedHashMap<>();
    for (Attribute a : i.entity().attributes()) {
      values.attribute(i, a).ifPresent(v -> attributes.put(a.name(), v));
    }
    return new ModelObject(
        i.id(),
        i.text("GlobalId"),
        i.text("Name"),
        i.entity().name(),
        role,
        meant.word,
        meant.own,
        attributes,
        all,
        classification.of(i, type),
        materials.of(i, type),
        layers.of(i),
        finishes.colour(i, type),
        relations.groups(i),
        relations.partOf(i));
  }

  /**
   * What is meant by an object's type.
   *
   * @param own whether it is the sender's own word
   */
  private record Meant(String word, boolean own) {}

  /** The type object goes before the occurrence; user-defined means an own word. */
  private static Meant predefined(Instance i, Optional<Instance> type) {
    if (type.isPresent()) {
      String t = type.get().literal("PredefinedType");
      if (!t.isEmpty() && !t.equals("NOTDEFINED")) {
        String word =
            type.get().text("ElementType").isEmpty()
                ? type.get().text("ProcessType")
                : type.get().text("ElementType");
        return t.equals("USERDEFINED") && !word.isEmpty()
            ? new Meant(word, true)
            : new Meant(t, false);
      }
    }
    String t = i.literal("PredefinedType");
    String own = i.isA("IFCTYPEOBJECT") ? i.text("ElementType") : i.text("ObjectType");
    return t.equals("USERDEFINED") && !own.isEmpty() ? new Meant(own, true) : new Meant(t, false);
  }
}
