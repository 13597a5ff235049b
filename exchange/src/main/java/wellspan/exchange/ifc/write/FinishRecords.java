package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.many;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;
import static wellspan.exchange.ifc.write.StepValue.whole;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wellspan.core.attribute.Finish;
import wellspan.core.deliver.Parcel;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.FaceFinishes;

/** Writes colours of geometry and the materials of objects, each of them once. */
final class FinishRecords {
  /** Of faces without any finish: a grey that says nothing. */
  private static final int UNDRESSED = 0xA7A29A;

  private final StepWriter step;
  private final Parcel parcel;
  private final Map<Finish, Integer> shadings = new LinkedHashMap<>();
  private final Map<Look, Integer> styles = new LinkedHashMap<>();
  private final Map<String, List<Integer>> objects = new TreeMap<>();
  private final Map<List<String>, List<Integer>> sets = new LinkedHashMap<>();
  private final Map<String, Integer> materials = new HashMap<>();

  FinishRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    this.parcel = parcel;
  }

  /** How a geometry looks: by its colour, a picture, or both. */
  private record Look(Optional<Finish> finish, Optional<Integer> picture) {}

  /**
   * Gives a geometry its colour and the picture over it.
   *
   * @param picture the surface texture
   */
  void dress(int geometry, Optional<Finish> finish, Optional<Integer> picture) throws IOException {
    if (finish.isEmpty() && picture.isEmpty()) {
      return;
    }
    Look look = new Look(finish, picture);
    Integer style = styles.get(look);
    if (style == null) {
      style = style(look);
      styles.put(look, style);
    }
    step.add("IfcStyledItem", ref(geometry), refs(List.of(style)), UNSET);
  }

  /**
   * Gives the faces of a geometry colours of their own: by a map of colours, or in IFC2x3, which
   * has none, by a style for each face that departs from the whole.
   *
   * @param faces records of the faces; nothing but in IFC2x3
   * @param own of the whole, for faces without one
   */
  void dressFaces(int geometry, int[] faces, FaceFinishes each, Optional<Finish> own)
      throws IOException {
    if (parcel.schema() == IfcSchema.IFC2X3) {
      for (int t = 0; t < faces.length; t++) {
        Optional<Finish> other = each.finish(t).filter(f -> !Optional.of(f).equals(own));
        if (other.isPresent()) {
          dress(faces[t], other, Optional.empty());
        }
      }
      return;
    }
    int[] colours = each.colours(own.map(Finish::rgb).orElse(UNDRESSED));
    Map<Integer, Integer> numbers = new LinkedHashMap<>();
    List<StepValue> index = new ArrayList<>(colours.length);
    for (int colour : colours) {
      index.add(whole(numbers.computeIfAbsent(colour, k -> numbers.size() + 1)));
    }
    List<StepValue> list = new ArrayList<>();
    numbers.keySet().forEach(c -> list.add(reals(part(c, 16), part(c, 8), part(c, 0))));
    int palette = step.add("IfcColourRgbList", many(list));
    step.add("IfcIndexedColourMap", ref(geometry), UNSET, ref(palette), many(index));
  }

  private static double part(int rgb, int shift) {
    return (rgb >> shift & 0xFF) / 255.0;
  }

  /**
   * Notes what an object is made of.
   *
   * @param each of its faces, where they have several materials
   */
  void made(int object, Finish finish, Optional<FaceFinishes> each) {
    List<String> several = each.map(FaceFinishes::materials).orElse(List.of());
    if (several.size() > 1) {
      sets.computeIfAbsent(several, k -> new ArrayList<>()).add(object);
    } else if (!finish.material().isEmpty()) {
      objects.computeIfAbsent(finish.material(), k -> new ArrayList<>()).add(object);
    }
  }

  private int style(Look look) throws IOException {
    List<Integer> parts = new ArrayList<>();
    if (look.finish().isPresent()) {
      parts.add(shading(look.finish().get()));
    }
    if (look.picture().isPresent()) {
      parts.add(step.add("IfcSurfaceStyleWithTextures", refs(List.of(look.picture().get()))));
    }
    StepValue name =
        look.finish()
            .map(Finish::material)
            .filter(m -> !m.isEmpty())
            .map(StepValue::text)
            .orElse(UNSET);
    int style = step.add("IfcSurfaceStyle", name, literal("BOTH"), refs(parts));
    return parcel.schema() == IfcSchema.IFC2X3
        ? step.add("IfcPresentationStyleAssignment", refs(List.of(style)))
        : style;
  }

  private int shading(Finish f) throws IOException {
    Integer known = shadings.get(f);
    if (known != null) {
      return known;
    }
    int colour =
        step.add(
            "IfcColourRgb",
            UNSET,
            real((f.rgb() >> 16 & 0xFF) / 255.0),
            real((f.rgb() >> 8 & 0xFF) / 255.0),
            real((f.rgb() & 0xFF) / 255.0));
    int shading =
        step.attributeCount("IfcSurfaceStyleShading") == 1
            ? step.add("IfcSurfaceStyleShading", ref(colour))
            : step.add("IfcSurfaceStyleShading", ref(colour), UNSET);
    shadings.put(f, shading);
    return shading;
  }

  /** Ties the materials to the objects made of them. */
  void materials() throws IOException {
    for (Map.Entry<String, List<Integer>> e : objects.entrySet()) {
      tie(e.getKey(), e.getValue(), material(e.getKey()));
    }
    for (Map.Entry<List<String>, List<Integer>> e : sets.entrySet()) {
      tie(String.join(" and ", e.getKey()), e.getValue(), set(e.getKey()));
    }
  }

  private void tie(String words, List<Integer> made, int material) throws IOException {
    step.root(
        "IfcRelAssociatesMaterial",
        parcel.ids().of("material " + words, "objects"),
        UNSET,
        UNSET,
        refs(made),
        ref(material));
  }

  private int material(String name) throws IOException {
    Integer known = materials.get(name);
    if (known == null) {
      known =
          step.attributeCount("IfcMaterial") == 1
              ? step.add("IfcMaterial", text(name))
              : step.add("IfcMaterial", text(name), UNSET, UNSET);
      materials.put(name, known);
    }
    return known;
  }

  /** Constituents by name, or in IFC2x3, which has none, a list. */
  private int set(List<String> names) throws IOException {
    List<Integer> parts = new ArrayList<>();
    for (String n : names) {
      parts.add(
          parcel.schema() == IfcSchema.IFC2X3
              ? material(n)
              : step.add("IfcMaterialConstituent", text(n), UNSET, ref(material(n)), UNSET, UNSET));
    }
    return parcel.schema() == IfcSchema.IFC2X3
        ? step.add("IfcMaterialList", refs(parts))
        : step.add("IfcMaterialConstituentSet", UNSET, UNSET, refs(parts));
  }
}
