package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import wellspan.core.attribute.MaterialSet;
import wellspan.core.attribute.MaterialSet.Form;
import wellspan.core.attribute.MaterialSet.Part;
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

  private final Map<Integer, Optional<MaterialSet>> sets = new ConcurrentHashMap<>();

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
    List<Instance> all = assigned(object, type);
    return all.size() == 1
        ? parts(all.getFirst())
        : all.stream().flatMap(m -> parts(m).stream()).toList();
  }

  private List<Instance> assigned(Instance object, Optional<Instance> type) {
    List<Instance> own = materials.get(object.id());
    return own == null ? type.map(t -> materials.get(t.id())).orElse(List.of()) : own;
  }

  private static Optional<MaterialSet> set(Instance m, double metres, int depth) {
    return switch (m.entity().name()) {
      case "IfcMaterialLayerSetUsage" ->
          m.ref("ForLayerSet").filter(x -> depth < DEEP).flatMap(x -> set(x, metres, depth + 1));
      case "IfcMaterialProfileSetUsage", "IfcMaterialProfileSetUsageTapering" ->
          m.ref("ForProfileSet").filter(x -> depth < DEEP).flatMap(x -> set(x, metres, depth + 1));
      case "IfcMaterialList" ->
          Optional.of(
              new MaterialSet(
                  Form.LIST,
                  "",
                  m.refs("Materials").stream()
                      .map(x -> new Part("", x.text("Name"), "", OptionalDouble.empty(), false))
                      .toList()));
      case "IfcMaterialLayerSet" ->
          set(Form.LAYERS, m.text("LayerSetName"), m.refs("MaterialLayers"), metres);
      case "IfcMaterialConstituentSet" ->
          set(Form.CONSTITUENTS, m.text("Name"), m.refs("MaterialConstituents"), metres);
      case "IfcMaterialProfileSet" ->
          set(Form.PROFILES, m.text("Name"), m.refs("MaterialProfiles"), metres);
      case "IfcMaterialLayer", "IfcMaterialLayerWithOffsets" ->
          set(Form.LAYERS, "", List.of(m), metres);
      case "IfcMaterialConstituent" -> set(Form.CONSTITUENTS, "", List.of(m), metres);
      case "IfcMaterialProfile", "IfcMaterialProfileWithOffsets" ->
          set(Form.PROFILES, "", List.of(m), metres);
      default -> Optional.empty();
    };
  }

  private static Optional<MaterialSet> set(
      Form form, String name, List<Instance> parts, double metres) {
    return parts.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new MaterialSet(
                form, name, parts.stream().map(p -> element(form, p, metres)).toList()));
  }

  private static Part element(Form form, Instance p, double metres) {
    double measure =
        switch (form) {
          case LAYERS -> p.number("LayerThickness") * metres;
          case CONSTITUENTS -> p.number("Fraction");
          case LIST, PROFILES -> Double.NaN;
        };
    return new Part(
        p.text("Name"),
        p.ref("Material").map(m -> m.text("Name")).orElse(""),
        p.text("Category"),
        Double.isNaN(measure) ? OptionalDouble.empty() : OptionalDouble.of(measure),
        p.literal("IsVentilated").equals("T"));
  }

  /**
   * Several materials, or one in a layer or part; empty where a single one says all.
   *
   * @param metres in the file's unit of lengths
   */
  Optional<MaterialSet> setOf(Instance object, Optional<Instance> type, double metres) {
    List<Instance> all = assigned(object, type);
    return all.size() == 1
        ? sets.computeIfAbsent(all.getFirst().id(), k -> set(all.getFirst(), metres, 0))
        : all.isEmpty() ? Optional.empty() : Optional.of(list(all));
  }

  /** Several materials or sets that an object is given one beside the other. */
  private MaterialSet list(List<Instance> all) {
    return new MaterialSet(
        Form.LIST,
        "",
        all.stream()
            .flatMap(m -> parts(m).stream())
            .map(m -> new Part("", m.name(), "", OptionalDouble.empty(), false))
            .toList());
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
