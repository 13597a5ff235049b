package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wellspan.core.attribute.Finish;
import wellspan.core.deliver.Parcel;
import wellspan.core.schema.IfcSchema;

/** Writes colours of geometry and the materials of objects, each of them once. */
final class FinishRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final Map<Finish, Integer> shadings = new LinkedHashMap<>();
  private final Map<Look, Integer> styles = new LinkedHashMap<>();
  private final Map<String, List<Integer>> objects = new TreeMap<>();

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

  /** Notes that an object is made of a finish's material. */
  void made(int object, Finish finish) {
    if (!finish.material().isEmpty()) {
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
      StepValue name = text(e.getKey());
      int material =
          step.attributeCount("IfcMaterial") == 1
              ? step.add("IfcMaterial", name)
              : step.add("IfcMaterial", name, UNSET, UNSET);
      step.root(
          "IfcRelAssociatesMaterial",
          parcel.ids().of("material " + e.getKey(), "objects"),
          UNSET,
          UNSET,
          refs(e.getValue()),
          ref(material));
    }
  }
}
