package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.MaterialSet;
import wellspan.core.model.ModelObject.Material;

/**
 * Finds the materials of objects and the colours of their geometry: of whole items, of single faces
 * by a colour map or a style of their own, and of the material where the geometry has none. Made
 * once for a file; any thread may ask it.
 */
final class FinishReader {
  private static final int DEPTH = 8;

  private final MaterialReader materials;
  private final Map<Integer, Shade> colours = new HashMap<>();
  private final Map<Integer, Instance> maps = new HashMap<>();
  private final Map<String, Shade> ofMaterial = new HashMap<>();
  private boolean faces;

  /** Colour, 0xRRGGBB, and how much is seen through it, 0 to 1. */
  private record Shade(int rgb, double transparency) {}

  FinishReader(IfcModel model, MaterialReader materials) {
    this.materials = materials;
    for (Instance styled : model.all("IFCSTYLEDITEM")) {
      Optional<Shade> shade = colour(styled.refs("Styles"), 0);
      Optional<Instance> item = styled.ref("Item");
      if (item.isPresent() && shade.isPresent()) {
        colours.putIfAbsent(item.get().id(), shade.get());
        faces |= item.get().isA("IFCFACE");
      }
    }
    for (Instance map : model.all("IFCINDEXEDCOLOURMAP")) {
      map.ref("MappedTo").ifPresent(set -> maps.putIfAbsent(set.id(), map));
    }
    for (Instance of : model.all("IFCMATERIALDEFINITIONREPRESENTATION")) {
      Optional<Shade> shade =
          of.refs("Representations").stream()
              .flatMap(r -> r.refs("Items").stream())
              .map(styled -> colour(styled.refs("Styles"), 0))
              .flatMap(Optional::stream)
              .findFirst();
      Optional<Instance> material = of.ref("RepresentedMaterial");
      if (material.isPresent() && shade.isPresent()) {
        ofMaterial.putIfAbsent(material.get().text("Name"), shade.get());
      }
    }
  }

  /** Colour of an object's shape, 0xRRGGBB; empty if none is given. */
  Optional<Integer> colour(Instance object, Optional<Instance> type) {
    return shade(object, type).map(Shade::rgb);
  }

  private Optional<Shade> shade(Instance object, Optional<Instance> type) {
    for (Instance representation : Representations.of(object)) {
      for (Instance item : representation.refs("Items")) {
        Shade shade = colour(item, 0);
        if (shade != null) {
          return Optional.of(shade);
        }
      }
    }
    for (Material m : ofMaterial.isEmpty() ? List.<Material>of() : materials.of(object, type)) {
      Shade shade = ofMaterial.get(m.name());
      if (shade != null) {
        return Optional.of(shade);
      }
    }
    return Optional.empty();
  }

  /** Of an item itself, else of what it maps or of its faces; null if none is given. */
  private Shade colour(Instance item, int depth) {
    Shade own = colours.get(item.id());
    if (own != null || depth > DEPTH) {
      return own;
    }
    if (!item.isA("IFCMAPPEDITEM")) {
      int[] each = ofFaces(item);
      return each.length == 0 || each[0] < 0 ? null : new Shade(each[0], 0);
    }
    return item.ref("MappingSource").flatMap(m -> m.ref("MappedRepresentation")).stream()
        .flatMap(r -> r.refs("Items").stream())
        .map(i -> colour(i, depth + 1))
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(null);
  }

  /** Colour of an item itself; null if it has none. */
  Integer own(Instance item) {
    Shade own = colours.get(item.id());
    return own == null ? null : Integer.valueOf(own.rgb());
  }

  /** Whether any single face of the file has a style. */
  boolean hasFaces() {
    return faces;
  }

  /** Colours of the faces of a set by its map, 0xRRGGBB, −1 for none; nothing without a map. */
  int[] ofFaces(Instance set) {
    Instance map = maps.get(set.id());
    if (map == null
        || !(map.ref("Colours").map(c -> c.get("ColourList")).orElse(Value.UNSET)
            instanceof Value.Table(double[] rgb, int columns, Value.Tokens _))
        || columns != 3) {
      return new int[0];
    }
    double[] index = map.numbers("ColourIndex");
    int[] out = new int[index.length];
    for (int i = 0; i < out.length; i++) {
      int at = 3 * ((int) index[i] - 1);
      out[i] =
          at < 0 || at + 2 >= rgb.length
              ? -1
              : channel(rgb[at]) << 16 | channel(rgb[at + 1]) << 8 | channel(rgb[at + 2]);
    }
    return out;
  }

  /** Names of all materials of an object, empty if it has none. */
  String material(Instance object, Optional<Instance> type) {
    List<Material> all = materials.of(object, type);
    return all.size() == 1
        ? all.getFirst().name()
        : all.stream()
            .map(Material::name)
            .filter(m -> !m.isEmpty())
            .distinct()
            .collect(Collectors.joining(", "));
  }

  /**
   * Several materials of an object, which its faces do not tell apart.
   *
   * @param metres in the file's unit of lengths
   */
  Optional<MaterialSet> set(Instance object, Optional<Instance> type, double metres) {
    return materials.setOf(object, type, metres);
  }

  /** Empty if neither material nor colour is given. */
  Optional<Finish> of(Instance object, Optional<Instance> type) {
    String material = material(object, type);
    Optional<Shade> shade = shade(object, type);
    return material.isEmpty() && shade.isEmpty()
        ? Optional.empty()
        : Optional.of(
            shade
                .map(c -> new Finish(material, c.rgb(), c.transparency()))
                .orElseGet(() -> new Finish(material, Finish.colour(material))));
  }

  private static Optional<Shade> colour(List<Instance> styles, int depth) {
    if (depth > DEPTH) {
      return Optional.empty();
    }
    for (Instance s : styles) {
      Optional<Shade> found =
          s.isA("IFCSURFACESTYLESHADING")
              ? s.ref("SurfaceColour")
                  .map(c -> new Shade(rgb(c), Math.clamp(s.number("Transparency", 0), 0, 1)))
              : colour(s.refs("Styles"), depth + 1);
      if (found.isPresent()) {
        return found;
      }
    }
    return Optional.empty();
  }

  private static int rgb(Instance c) {
    return channel(c.number("Red", 0)) << 16
        | channel(c.number("Green", 0)) << 8
        | channel(c.number("Blue", 0));
  }

  private static int channel(double share) {
    return (int) Math.clamp(Math.round(255 * share), 0L, 255L);
  }
}
