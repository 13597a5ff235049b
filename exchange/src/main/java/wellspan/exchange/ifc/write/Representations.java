package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Writes representations of shapes and puts them on the layers of their pieces. */
final class Representations {
  private final StepWriter step;
  private final Map<String, List<Integer>> layers = new TreeMap<>();
  private String layer = "";

  Representations(StepWriter step) {
    this.step = step;
  }

  /** What follows is on this layer; on none if the name is empty. */
  void on(String name) {
    layer = name;
  }

  int add(int context, String identifier, String type, List<Integer> items) throws IOException {
    int written =
        step.add("IfcShapeRepresentation", ref(context), text(identifier), text(type), refs(items));
    if (!layer.isEmpty()) {
      layers.computeIfAbsent(layer, k -> new ArrayList<>()).add(written);
    }
    return written;
  }

  /** Writes the layers with all that was put on them. */
  void layers() throws IOException {
    for (Map.Entry<String, List<Integer>> e : layers.entrySet()) {
      step.add(
          "IfcPresentationLayerAssignment", text(e.getKey()), UNSET, refs(e.getValue()), UNSET);
    }
  }
}
