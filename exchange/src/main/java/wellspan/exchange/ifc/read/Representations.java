package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Which representations show what of a product. */
final class Representations {
  /** Representations of a body, the one that shows it best first. */
  private static final List<String> BODY_ORDER =
      List.of("Body", "Tessellation", "Facetation", "Surface", "", "Body-Fallback");

  private static final Set<String> BODY = Set.copyOf(BODY_ORDER);

  private static final Set<String> LINES = Set.of("Axis", "Annotation", "FootPrint");

  private Representations() {}

  /**
   * The items of the representations that show a product.
   *
   * @param body of those that show its body; otherwise of those that show lines and points
   */
  static List<Instance> items(Instance p, boolean body) {
    List<Instance> out = new ArrayList<>();
    for (Instance r : of(p)) {
      String id = r.text("RepresentationIdentifier");
      boolean bodily = BODY.contains(id) && !isOfLines(r);
      if (body ? bodily : !bodily && (LINES.contains(id) || id.isEmpty() || isOfLines(r))) {
        out.addAll(r.refs("Items"));
      }
    }
    return out;
  }

  static List<Instance> of(Instance p) {
    return p.ref("Representation").map(d -> d.refs("Representations")).orElse(List.of());
  }

  /** Whether all that a representation shows is lines, points and texts; none is looked at. */
  private static boolean isOfLines(Instance representation) {
    IfcModel model = representation.model();
    boolean any = false;
    for (int item : representation.ids("Items")) {
      boolean several = model.isA(item, "IFCGEOMETRICSET");
      int[] parts = several ? elements(model, item) : new int[] {item};
      for (int i : parts) {
        if (!(model.isA(i, "IFCCURVE")
            || model.isA(i, "IFCPOINT")
            || model.isA(i, "IFCTEXTLITERAL"))) {
          return false;
        }
        any = true;
      }
    }
    return any;
  }

  private static int[] elements(IfcModel model, int set) {
    return model.find(set).map(s -> s.ids("Elements")).orElse(new int[0]);
  }

  /** The representation that shows the body best: the body itself, else what stands in for it. */
  static List<Instance> bodies(Instance p) {
    return bodies(of(p));
  }

  /** The same of those of a product. */
  static List<Instance> bodies(List<Instance> all) {
    for (String wanted : BODY_ORDER) {
      List<Instance> found = new ArrayList<>(1);
      for (Instance r : all) {
        if (r.text("RepresentationIdentifier").equals(wanted) && !isOfLines(r)) {
          found.add(r);
        }
      }
      if (!found.isEmpty()) {
        return found;
      }
    }
    return List.of();
  }

  /** Whether a representation of this identifier is known, and is a body or lines. */
  static boolean isKnown(String identifier) {
    return BODY.contains(identifier) || LINES.contains(identifier);
  }
}
