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
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.MaterialSet;
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
  private final Map<MaterialSet, List<Integer>> sets = new LinkedHashMap<>();
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
   * @param set several materials, which tell more than the finish
   */
  void made(int object, Finish finish, Optional<MaterialSet> set) {
    if (set.isPresent()) {
      sets.computeIfAbsent(set.get(), k -> new ArrayList<>()).add(object);
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
    int shading = shading(colour, f.transparency());
    shadings.put(f, shading);
    return shading;
  }

  /** IFC2x3 says only of what is rendered how much is seen through it. */
  private int shading(int colour, double transparency) throws IOException {
    StepValue through = transparency == 0 ? UNSET : real(transparency);
    if (step.attributeCount("IfcSurfaceStyleShading") > 1) {
      return step.add("IfcSurfaceStyleShading", ref(colour), through);
    }
    return transparency == 0
        ? step.add("IfcSurfaceStyleShading", ref(colour))
        : step.add(
            "IfcSurfaceStyleRendering",
            ref(colour),
            through,
            UNSET,
            UNSET,
            UNSET,
            UNSET,
            UNSET,
            UNSET,
            literal("NOTDEFINED"));
  }

  /** Ties the materials to the objects made of them. */
  void materials() throws IOException {
    for (Map.Entry<String, List<Integer>> e : objects.entrySet()) {
      tie(e.getKey(), e.getValue(), material(e.getKey()));
    }
    Set<String> roles = new HashSet<>(objects.keySet());
    for (Map.Entry<MaterialSet, List<Integer>> e : sets.entrySet()) {
      List<String> names = e.getKey().parts().stream().map(MaterialSet.Part::material).toList();
      String role = String.join(" and ", names);
      for (int n = 2; !roles.add(role); n++) {
        role = String.join(" and ", names) + " " + n;
      }
      int set = new MaterialSetRecords(step, parcel, this::material).write(e.getKey());
      tie(role, e.getValue(), set);
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
}
