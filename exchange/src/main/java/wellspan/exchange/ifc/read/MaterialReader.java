package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import wellspan.core.model.ModelObject.Material;

/**
 * What objects are made of: single materials, lists, and sets of layers, constituents, profiles.
 * Made once for a file; any thread may ask it.
 */
final class MaterialReader {
  private static final int DEEP = 32;

  private final Map<Integer, List<Instance>> materials = new HashMap<>();

  /** What a material, list or set comes down to, by its number. */
  private final Map<Integer, List<Material>> known = new ConcurrentHashMap<>();

  MaterialReader(IfcModel model) {
    for (Instance rel : model.all("IFCRELASSOCIATESMATERIAL")) {
      rel.ref("RelatingMaterial")
          .ifPresent(
              m ->
                  Arrays.stream(rel.ids("RelatedObjects"))
                      .forEach(o -> materials.computeIfAbsent(o, k -> new ArrayList<>(2)).add(m)));
    }
  }

  /** Own materials, or those of the type where there are none. */
  List<Material> of(Instance object, Optional<Instance> type) {
    List<Instance> own = materials.get(object.id());
    if (own == null) {
      own = type.map(t -> materials.get(t.id())).orElse(null);
    }
    if (own == null) {
      return List.of();
    }
    return own.size() == 1
        ? parts(own.getFirst())
        : own.stream().flatMap(m -> parts(m).stream()).toList();
  }

  private List<Material> parts(Instance m) {
    List<Material> before = known.get(m.id());
    if (before != null) {
      return before;
    }
    List<Material> out = new ArrayList<>();
    material(m, out, 0);
    known.put(m.id(), List.copyOf(out));
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
