package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.flag;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import wellspan.core.attribute.MaterialSet;
import wellspan.core.attribute.MaterialSet.Part;
import wellspan.core.deliver.Parcel;

/**
 * Writes sets of materials as they were received.
 *
 * @param materials the record of a material by its name
 */
record MaterialSetRecords(StepWriter step, Parcel parcel, Named materials) {

  /** Finds or writes a material. */
  interface Named {
    int of(String name) throws IOException;
  }

  /**
   * @param set as the schema can hold it
   */
  int write(MaterialSet set) throws IOException {
    List<Integer> parts = new ArrayList<>();
    for (Part p : set.parts()) {
      parts.add(
          switch (set.form()) {
            case LIST -> materials.of(p.material());
            case LAYERS -> layer(p);
            case CONSTITUENTS ->
                step.add(
                    "IfcMaterialConstituent",
                    words(p.name()),
                    UNSET,
                    ref(materials.of(p.material())),
                    p.measure().isPresent() ? real(p.measure().getAsDouble()) : UNSET,
                    words(p.category()));
            case PROFILES -> throw new IllegalStateException("fitted before");
          });
    }
    return switch (set.form()) {
      case LIST -> step.add("IfcMaterialList", refs(parts));
      case LAYERS ->
          step.attributeCount("IfcMaterialLayerSet") == 2
              ? step.add("IfcMaterialLayerSet", refs(parts), words(set.name()))
              : step.add("IfcMaterialLayerSet", refs(parts), words(set.name()), UNSET);
      case CONSTITUENTS ->
          step.add("IfcMaterialConstituentSet", words(set.name()), UNSET, refs(parts));
      case PROFILES -> throw new IllegalStateException("fitted before");
    };
  }

  private int layer(Part p) throws IOException {
    StepValue material = p.material().isEmpty() ? UNSET : ref(materials.of(p.material()));
    StepValue thickness = real(p.measure().orElse(0) / parcel.unit().metres());
    StepValue ventilated = p.ventilated() ? flag(true) : UNSET;
    return step.attributeCount("IfcMaterialLayer") == 3
        ? step.add("IfcMaterialLayer", material, thickness, ventilated)
        : step.add(
            "IfcMaterialLayer",
            material,
            thickness,
            ventilated,
            words(p.name()),
            UNSET,
            words(p.category()),
            UNSET);
  }

  private static StepValue words(String s) {
    return s.isEmpty() ? UNSET : text(s);
  }
}
