package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.model.ModelObject.Material;
import wellspan.core.model.ModelObject.PartOf;

/** What relations say of objects: types, materials, groups, wholes. */
final class ModelRelations {
  private static final int DEEP = 32;

  private final Map<Integer, Instance> typeOf = new HashMap<>();
  private final Map<Integer, List<Instance>> materials = new HashMap<>();
  private final Map<Integer, List<String>> groups = new HashMap<>();
  private final Map<Integer, List<PartOf>> wholes = new HashMap<>();

  ModelRelations(IfcModel model) {
    for (Instance rel : model.all("IFCRELDEFINESBYTYPE")) {
      rel.ref("RelatingType")
          .ifPresent(t -> rel.refs("RelatedObjects").forEach(o -> typeOf.put(o.id(), t)));
    }
    for (Instance rel : model.all("IFCRELASSOCIATESMATERIAL")) {
      rel.ref("RelatingMaterial")
          .ifPresent(m -> rel.refs("RelatedObjects").forEach(o -> add(materials, o.id(), m)));
    }
    wholes(model, "IFCRELAGGREGATES", "RelatingObject", "RelatedObjects");
    wholes(model, "IFCRELNESTS", "RelatingObject", "RelatedObjects");
    wholes(model, "IFCRELCONTAINEDINSPATIALSTRUCTURE", "RelatingStructure", "RelatedElements");
    wholes(model, "IFCRELASSIGNSTOGROUP", "RelatingGroup", "RelatedObjects");
    wholes(model, "IFCRELVOIDSELEMENT", "RelatingBuildingElement", "RelatedOpeningElement");
    wholes(model, "IFCRELFILLSELEMENT", "RelatingOpeningElement", "RelatedBuildingElement");
    for (Instance rel : model.all("IFCRELASSIGNSTOGROUP")) {
      rel.ref("RelatingGroup")
          .ifPresent(
              g -> rel.refs("RelatedObjects").forEach(o -> add(groups, o.id(), g.text("Name"))));
    }
  }

  private static <T> void add(Map<Integer, List<T>> to, int id, T what) {
    to.computeIfAbsent(id, k -> new ArrayList<>(2)).add(what);
  }

  private void wholes(IfcModel model, String relation, String whole, String part) {
    for (Instance rel : model.all(relation)) {
      Optional<Instance> w = rel.ref(whole);
      if (w.isPresent()) {
        List<Instance> parts = rel.ref(part).map(List::of).orElseGet(() -> rel.refs(part));
        parts.forEach(p -> add(wholes, p.id(), new PartOf(relation, w.get().id())));
      }
    }
  }

  Optional<Instance> typeOf(Instance object) {
    return Optional.ofNullable(typeOf.get(object.id()));
  }

  List<String> groups(Instance object) {
    return groups.getOrDefault(object.id(), List.of());
  }

  List<PartOf> partOf(Instance object) {
    return wholes.getOrDefault(object.id(), List.of());
  }

  /** Own materials, or those of the type where there are none. */
  List<Material> materials(Instance object, Optional<Instance> type) {
    List<Instance> own = materials.get(object.id());
    if (own == null) {
      own = type.map(t -> materials.get(t.id())).orElse(null);
    }
    if (own == null) {
      return List.of();
    }
    List<Material> out = new ArrayList<>();
    own.forEach(m -> material(m, out, 0));
    return out;
  }

  private static void material(Instance m, List<Material> out, int depth) {
    if (depth > DEEP) {
      return;
    }
    switch (m.entity().name()) {
      case "IfcMaterial" ->
          out.add(new Material(m.text("Name"), words(m.text("Name"), m.text("Category"))));
      case "IfcMaterialList" -> m.refs("Materials").forEach(x -> material(x, out, depth + 1));
      case "IfcMaterialLayerSetUsage" ->
          m.ref("ForLayerSet").ifPresent(x -> material(x, out, depth + 1));
      case "IfcMaterialProfileSetUsage", "IfcMaterialProfileSetUsageTapering" ->
          m.ref("ForProfileSet").ifPresent(x -> material(x, out, depth + 1));
      case "IfcMaterialLayerSet" -> m.refs("MaterialLayers").forEach(x -> part(x, out));
      case "IfcMaterialConstituentSet" -> m.refs("MaterialConstituents").forEach(x -> part(x, out));
      case "IfcMaterialProfileSet" -> m.refs("MaterialProfiles").forEach(x -> part(x, out));
      case "IfcMaterialLayer",
          "IfcMaterialLayerWithOffsets",
          "IfcMaterialConstituent",
          "IfcMaterialProfile",
          "IfcMaterialProfileWithOffsets" ->
          part(m, out);
      default -> {}
    }
  }

  /** A layer, constituent or profile with its material. */
  private static void part(Instance p, List<Material> out) {
    Optional<Instance> material = p.ref("Material");
    out.add(
        new Material(
            material.map(m -> m.text("Name")).orElse(p.text("Name")),
            words(
                p.text("Name"),
                p.text("Category"),
                material.map(m -> m.text("Name")).orElse(""),
                material.map(m -> m.text("Category")).orElse(""))));
  }

  private static List<String> words(String... all) {
    Set<String> out = new LinkedHashSet<>();
    for (String w : all) {
      if (!w.isEmpty()) {
        out.add(w);
      }
    }
    return List.copyOf(out);
  }
}
