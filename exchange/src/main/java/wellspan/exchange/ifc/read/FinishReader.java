package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Finish;

/** Finds the materials of objects and the colours of their geometry. */
final class FinishReader {
  private static final int DEPTH = 8;

  private final Map<Integer, String> materials = new HashMap<>();
  private final Map<Integer, Integer> colours = new HashMap<>();

  FinishReader(IfcModel model) {
    for (Instance rel : model.all("IFCRELASSOCIATESMATERIAL")) {
      rel.ref("RelatingMaterial")
          .filter(m -> m.isA("IFCMATERIAL"))
          .ifPresent(
              m -> rel.refs("RelatedObjects").forEach(o -> materials.put(o.id(), m.text("Name"))));
    }
    for (Instance styled : model.all("IFCSTYLEDITEM")) {
      Optional<Integer> rgb = colour(styled.refs("Styles"), 0);
      styled.ref("Item").ifPresent(item -> rgb.ifPresent(c -> colours.putIfAbsent(item.id(), c)));
    }
  }

  /** Colour of an object's shape, 0xRRGGBB; empty if none is given. */
  Optional<Integer> colour(Instance object) {
    return object
        .ref("Representation")
        .map(d -> d.refs("Representations"))
        .orElse(List.of())
        .stream()
        .flatMap(r -> r.refs("Items").stream())
        .map(i -> colour(i, 0))
        .filter(java.util.Objects::nonNull)
        .findFirst();
  }

  /** Of an item itself, else of what it maps; null if none is given. */
  private Integer colour(Instance item, int depth) {
    Integer own = colours.get(item.id());
    if (own != null || depth > DEPTH || !item.isA("IFCMAPPEDITEM")) {
      return own;
    }
    return item.ref("MappingSource").flatMap(m -> m.ref("MappedRepresentation")).stream()
        .flatMap(r -> r.refs("Items").stream())
        .map(i -> colour(i, depth + 1))
        .filter(java.util.Objects::nonNull)
        .findFirst()
        .orElse(null);
  }

  /** Empty if neither material nor colour is given. */
  Optional<Finish> of(Instance object) {
    String material = materials.getOrDefault(object.id(), "");
    Optional<Integer> rgb = colour(object);
    return material.isEmpty() && rgb.isEmpty()
        ? Optional.empty()
        : Optional.of(new Finish(material, rgb.orElseGet(() -> Finish.colour(material))));
  }

  private static Optional<Integer> colour(List<Instance> styles, int depth) {
    if (depth > DEPTH) {
      return Optional.empty();
    }
    for (Instance s : styles) {
      Optional<Integer> found =
          s.isA("IFCSURFACESTYLESHADING")
              ? s.ref("SurfaceColour").map(FinishReader::rgb)
              : colour(s.refs("Styles"), depth + 1);
      if (found.isPresent()) {
        return found;
      }
    }
    return Optional.empty();
  }

  private static int rgb(Instance c) {
    return channel(c, "Red") << 16 | channel(c, "Green") << 8 | channel(c, "Blue");
  }

  private static int channel(Instance c, String name) {
    return (int) Math.clamp(Math.round(255 * c.number(name, 0)), 0L, 255L);
  }
}
