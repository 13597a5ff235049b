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
import java.util.TreeMap;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.Finish;
import wellspan.core.describe.IfcSchema;

/** Writes colours of geometry and the materials of objects, each of them once. */
final class FinishRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final Map<Finish, Integer> styles = new LinkedHashMap<>();
  private final Map<String, List<Integer>> objects = new TreeMap<>();

  FinishRecords(StepWriter step, Parcel parcel) {
    this.step = step;
    this.parcel = parcel;
  }

  /** Colours a geometry. */
  void colour(int geometry, Finish finish) throws IOException {
    Integer style = styles.get(finish);
    if (style == null) {
      style = style(finish);
      styles.put(finish, style);
    }
    step.add("IfcStyledItem", ref(geometry), refs(List.of(style)), UNSET);
  }

  /** Notes that an object is made of a finish's material. */
  void made(int object, Finish finish) {
    if (!finish.material().isEmpty()) {
      objects.computeIfAbsent(finish.material(), k -> new ArrayList<>()).add(object);
    }
  }

  private int style(Finish f) throws IOException {
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
    StepValue name = f.material().isEmpty() ? UNSET : text(f.material());
    int style = step.add("IfcSurfaceStyle", name, literal("BOTH"), refs(List.of(shading)));
    return parcel.schema() == IfcSchema.IFC2X3
        ? step.add("IfcPresentationStyleAssignment", refs(List.of(style)))
        : style;
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
