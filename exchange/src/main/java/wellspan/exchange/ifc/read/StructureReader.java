package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.SpatialPart;
import wellspan.exchange.file.UniqueNames;

/**
 * Finds where in the structure of the model products stand: in the road, building or storey that
 * contains them or what they are parts of.
 */
final class StructureReader {
  private final Map<Integer, Instance> containers = new HashMap<>();
  private final Map<Integer, Instance> wholes = new HashMap<>();
  private final Map<Integer, List<SpatialPart>> paths = new HashMap<>();
  private final Map<Integer, UniqueNames> namesIn = new HashMap<>();
  private final Function<Instance, EntityClass> classes;

  /**
   * @param classes the class of an object, with what its type says
   */
  StructureReader(IfcModel model, Function<Instance, EntityClass> classes) {
    this.classes = classes;
    for (Instance rel : model.all("IFCRELCONTAINEDINSPATIALSTRUCTURE")) {
      rel.ref("RelatingStructure")
          .ifPresent(
              s -> {
                for (int e : rel.ids("RelatedElements")) {
                  containers.put(e, s);
                }
              });
    }
    for (Instance rel : model.all("IFCRELAGGREGATES")) {
      rel.ref("RelatingObject")
          .ifPresent(
              w -> {
                for (int p : rel.ids("RelatedObjects")) {
                  wholes.put(p, w);
                }
              });
    }
  }

  /** The levels below the site, outermost first; none for what stands in the site itself. */
  List<SpatialPart> of(Instance product) {
    Instance own = containers.get(product.id());
    if (own != null) {
      return path(own);
    }
    Set<Integer> seen = new HashSet<>();
    Instance at = product;
    while (at != null && seen.add(at.id())) { // a circle is no structure
      Instance container = containers.get(at.id());
      if (container != null) {
        return path(container);
      }
      at = wholes.get(at.id());
      if (at != null && isLevel(at)) {
        return path(at);
      }
    }
    return List.of();
  }

  private List<SpatialPart> path(Instance level) {
    List<SpatialPart> known = paths.get(level.id());
    if (known != null) {
      return known;
    }
    List<Instance> up = new ArrayList<>();
    Set<Integer> seen = new HashSet<>();
    Optional<Instance> at = Optional.of(level);
    while (at.isPresent() && isLevel(at.get()) && seen.add(at.get().id())) {
      up.add(at.get());
      at = Optional.ofNullable(wholes.get(at.get().id()));
    }
    Collections.reverse(up);
    List<SpatialPart> out = new ArrayList<>();
    for (Instance l : up) {
      if (!paths.containsKey(l.id())) {
        int above = wholes.containsKey(l.id()) ? wholes.get(l.id()).id() : 0;
        String name =
            namesIn.computeIfAbsent(above, k -> new UniqueNames()).of("level", IfcReader.nameOf(l));
        List<SpatialPart> path = new ArrayList<>(out);
        path.add(new SpatialPart(classes.apply(l), name));
        paths.put(l.id(), List.copyOf(path));
      }
      out = paths.get(l.id());
    }
    return List.copyOf(out);
  }

  /** Levels below the site; the site is where every file begins. */
  private static boolean isLevel(Instance i) {
    return (i.isA("IFCSPATIALSTRUCTUREELEMENT") || i.isA("IFCSPATIALELEMENT")) && !i.isA("IFCSITE");
  }
}
