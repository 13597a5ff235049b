package wellspan.core.attribute;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import wellspan.core.schema.IfcSchema;

/**
 * Several materials that one thing is made of, or one with what is said of it there.
 *
 * @param name of the set, empty if it has none
 * @param parts in their order
 */
public record MaterialSet(Form form, String name, List<Part> parts) {

  /** How the materials make up the thing. */
  public enum Form {
    /** One beside the other, without more. */
    LIST,
    /** One upon the other, each of a thickness. */
    LAYERS,
    /** Each a part of its own. */
    CONSTITUENTS,
    /** Each with a cross section, which is not kept. */
    PROFILES
  }

  /**
   * One of them.
   *
   * @param name of the layer or constituent, empty if it has none
   * @param material its name, empty if it has none
   * @param category of the layer or constituent, empty if none is stated
   * @param measure thickness of a layer, metres; fraction of a constituent
   * @param ventilated whether a layer is an air gap that is ventilated
   */
  public record Part(
      String name, String material, String category, OptionalDouble measure, boolean ventilated) {}

  public MaterialSet {
    parts = List.copyOf(parts);
  }

  /** Constituents of which nothing but their materials is known. */
  public static MaterialSet of(List<String> materials) {
    return new MaterialSet(
        Form.CONSTITUENTS,
        "",
        materials.stream().map(m -> new Part(m, m, "", OptionalDouble.empty(), false)).toList());
  }

  /** The names of the materials, each once. */
  public String materials() {
    return parts.stream()
        .map(p -> p.material().isEmpty() ? p.name() : p.material())
        .filter(m -> !m.isEmpty())
        .distinct()
        .collect(Collectors.joining(", "));
  }

  /**
   * The set as a schema can hold it: IFC2x3 knows layers without names and lists, and cross
   * sections are not kept in any.
   */
  public MaterialSet fitting(IfcSchema schema) {
    boolean first = schema == IfcSchema.IFC2X3;
    return switch (form) {
      case LIST -> this;
      case LAYERS -> first ? bare(Form.LAYERS, name) : this;
      case CONSTITUENTS -> first ? bare(Form.LIST, "") : this;
      case PROFILES ->
          first ? bare(Form.LIST, "") : new MaterialSet(Form.CONSTITUENTS, name, parts);
    };
  }

  /** Of layers and lists without names and categories. */
  private MaterialSet bare(Form other, String called) {
    boolean layers = other == Form.LAYERS;
    return new MaterialSet(
        other,
        called,
        parts.stream()
            .map(
                p ->
                    new Part(
                        "",
                        p.material().isEmpty() ? p.name() : p.material(),
                        "",
                        layers ? p.measure() : OptionalDouble.empty(),
                        layers && p.ventilated()))
            .toList());
  }
}
