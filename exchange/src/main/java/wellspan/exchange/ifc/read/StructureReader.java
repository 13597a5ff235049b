package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import wellspan.core.attribute.Holder;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.exchange.file.UniqueNames;

/**
 * Finds where in the structure of the model products stand: in the road, building or storey that
 * contains them or what they are parts of, and below it in assemblies without a shape of their own.
 */
final class StructureReader {
  private final Map<Integer, Instance> containers = new HashMap<>();
  private final Map<Integer, Instance> wholes = new HashMap<>();

  /** What is in two others, by its number. */
  private final Map<Integer, List<Instance>> twice = new TreeMap<>();

  private final Map<Integer, List<Holder>> paths = new HashMap<>();
  private final Map<Integer, UniqueNames> namesIn = new HashMap<>();
  private final HolderReader holders;
  private final Optional<Instance> site;

  StructureReader(IfcModel model, HolderReader holders) {
    this.holders = holders;
    for (Instance rel : model.all("IFCRELCONTAINEDINSPATIALSTRUCTURE")) {
      rel.ref("RelatingStructure")
          .ifPresent(
              s -> {
                for (int e : rel.ids("RelatedElements")) {
                  put(containers, e, s);
                }
              });
    }
    wholes(model, "IFCRELAGGREGATES", "RelatingObject", "RelatedObjects");
    wholes(model, "IFCRELADHERESTOELEMENT", "RelatingElement", "RelatedSurfaceFeatures");
    for (Instance rel : model.all("IFCRELPROJECTSELEMENT")) {
      OptionalInt feature = rel.id("RelatedFeatureElement");
      rel.ref("RelatingElement").ifPresent(e -> feature.ifPresent(f -> wholes.putIfAbsent(f, e)));
    }
    List<Instance> sites = model.all("IFCSITE");
    site =
        sites.stream()
            .filter(s -> !wholes.containsKey(s.id()) || !wholes.get(s.id()).isA("IFCSITE"))
            .findFirst()
            .or(() -> sites.stream().findFirst());
  }

  /** The site that all of the structure hangs on; others are levels beside it. */
  Optional<Instance> site() {
    return site;
  }

  /** What is a part of something, or a feature of it, stands where that does. */
  private void wholes(IfcModel model, String relation, String one, String many) {
    for (Instance rel : model.all(relation)) {
      rel.ref(one)
          .ifPresent(
              w -> {
                for (int p : rel.ids(many)) {
                  put(wholes, p, w);
                }
              });
    }
  }

  /** What stands in two is in the first; that there is another one is told. */
  private void put(Map<Integer, Instance> in, int part, Instance whole) {
    Instance before = in.putIfAbsent(part, whole);
    if (before != null && before.id() != whole.id()) {
      twice.putIfAbsent(part, List.of(before, whole));
    }
  }

  /** Names what stands in two parts of the structure at once, and sites within the first one. */
  void report(IfcModel model, List<Finding> findings) {
    twice.forEach(
        (part, in) ->
            findings.add(
                Finding.warning(
                    RECEIVE,
                    "ifc.structure.twice",
                    "",
                    model.find(part).map(IfcReader::nameOf).orElse("#" + part)
                        + " (#"
                        + part
                        + ") stands in "
                        + IfcReader.nameOf(in.getFirst())
                        + " and in "
                        + IfcReader.nameOf(in.getLast())
                        + "; the first counts.")));
    List<Instance> within =
        model.all("IFCSITE").stream()
            .filter(s -> wholes.containsKey(s.id()) && isSite(wholes.get(s.id())))
            .toList();
    if (!within.isEmpty()) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "ifc.sites",
                  "",
                  IfcReader.nameOf(within.getFirst())
                      + (within.size() == 1
                          ? " is a site"
                          : " is the first of " + within.size() + " sites")
                      + " within the site "
                      + IfcReader.nameOf(site.orElseThrow())
                      + ". What stands there keeps its place and its site, which goes on beside the other one.")
              .withFigure(Figure.count(within.size())));
    }
  }

  /** What a product stands in below the site, outermost first; none for the site itself. */
  List<Holder> of(Instance product) {
    List<Instance> assemblies = new ArrayList<>();
    Optional<Instance> level = Optional.empty();
    Set<Integer> seen = new HashSet<>();
    Instance at = product; // which may be a level itself, with a shape
    while (at != null
        && (at.id() == product.id() || !isLevel(at))
        && seen.add(at.id())) { // not in circles
      if (level.isEmpty()) {
        level = Optional.ofNullable(containers.get(at.id()));
      }
      at = wholes.get(at.id());
      if (at != null && isAssembly(at)) {
        assemblies.add(at);
      }
    }
    Optional<Instance> above =
        Optional.ofNullable(at).filter(l -> isLevel(l) && l.id() != product.id());
    List<Holder> out = level.or(() -> above).map(this::path).orElse(List.of());
    for (Instance a : assemblies.reversed()) {
      out = below(out, a);
    }
    return out;
  }

  /** Paths of all levels of the model that have no shape of their own. */
  List<List<Holder>> levels(IfcModel model) {
    Set<Integer> taken = new HashSet<>();
    return Stream.of("IFCSPATIALSTRUCTUREELEMENT", "IFCSPATIALELEMENT")
        .flatMap(kind -> model.all(kind).stream())
        .filter(i -> isLevel(i) && i.ref("Representation").isEmpty() && taken.add(i.id()))
        .map(this::path)
        .toList();
  }

  /** Whether anything stands in a level or an assembly. */
  boolean holds(Instance i) {
    return paths.containsKey(i.id());
  }

  private List<Holder> path(Instance level) {
    List<Holder> known = paths.get(level.id());
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
    List<Holder> out = List.of();
    for (Instance l : up.reversed()) {
      out = below(out, l);
    }
    return out;
  }

  /** The path to a level or an assembly, which is the same for all that stand in it. */
  private List<Holder> below(List<Holder> above, Instance i) {
    return paths.computeIfAbsent(
        i.id(),
        id -> {
          Instance in = wholes.getOrDefault(id, containers.get(id));
          String name =
              namesIn
                  .computeIfAbsent(in == null ? 0 : in.id(), k -> new UniqueNames())
                  .of("level", IfcReader.nameOf(i));
          List<Holder> path = new ArrayList<>(above);
          path.add(holders.of(i, name));
          return List.copyOf(path);
        });
  }

  /** Levels below the site; the site is where every file begins. */
  private boolean isLevel(Instance i) {
    return (i.isA("IFCSPATIALSTRUCTUREELEMENT") || i.isA("IFCSPATIALELEMENT")) && !isSite(i);
  }

  /** Whether it is the site that all of the structure hangs on. */
  private boolean isSite(Instance i) {
    return site.filter(s -> s.id() == i.id()).isPresent();
  }

  /** What is there only to hold its parts together. */
  private static boolean isAssembly(Instance i) {
    return i.isA("IFCELEMENT") && i.ref("Representation").isEmpty();
  }
}
