package wellspan.exchange.ifc.read;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.UniqueNames;

/** Reads IFC2X3, IFC4 and IFC4X3_ADD2 models: meshes, alignments, property sets, georeference. */
public final class IfcReader {
  /** Of what stands along a line, which several products may stand on. */
  private static final String TWO_PLACES = "ifc.placement.two";

  private final IfcModel model;
  private final ModelTables tables;
  private final List<Finding> findings = new ArrayList<>();
  private final List<Item> items = new ArrayList<>();
  private final UniqueNames names = new UniqueNames();
  private final List<String> doubts = new ArrayList<>();
  private final Soundness soundness;
  private final PropertyReader properties;
  private final ProductReader products;
  private final Set<Integer> grouped = new HashSet<>();
  private final List<NamedPoint> loosePoints = new ArrayList<>();
  private final HolderReader holders;
  private final PortReader ports;
  private final RelationReader relations;
  private final StructureReader structure;
  private final List<Instance> shapeless = new ArrayList<>();
  private GroupReader groups;
  private final Identities identities = new Identities(findings);

  private IfcReader(IfcModel model, Path file) {
    this.model = model;
    soundness = new Soundness(model);
    Units units = Units.of(model);
    Definitions definitions = new Definitions(model, soundness, findings);
    properties = new PropertyReader(definitions, model, units, soundness, findings);
    tables =
        new ModelTables(
            model,
            units,
            definitions,
            new FinishReader(model, new MaterialReader(model)),
            new TextureReader(model, file),
            Georeference.of(model, units, properties, soundness, doubts),
            new Openings(model),
            new Layers(model),
            new ClassificationReader(model));
    products = new ProductReader(tables, soundness, properties, findings);
    holders = new HolderReader(definitions, properties, units, soundness, findings);
    ports = new PortReader(model, holders, products::origin);
    relations = new RelationReader(model, ports);
    structure = new StructureReader(model, holders);
  }

  /**
   * @throws wellspan.exchange.file.ReadException with file and line, if the text is broken or the
   *     schema not known
   */
  public static Received read(Path file, Progress progress) throws IOException {
    IfcModel model = IfcModel.open(file, progress.part(0, 0.6));
    try {
      return new IfcReader(model, file).read(progress.part(0.6, 1));
    } catch (StepSyntaxException e) {
      throw model.fault(e);
    }
  }

  private Received read(Progress progress) {
    groups = new GroupReader(model, holders, pointGroups());
    int[] all = Arrays.stream(model.ids("IFCPRODUCT")).filter(this::isRead).toArray();
    AlignmentReader alignments =
        new AlignmentReader(model, tables.units(), tables.geo(), properties, soundness, findings);
    Set<Finding> said = new HashSet<>(findings);
    for (ProductChunk chunk : ProductChunk.of(all, tables, progress)) {
      for (ReadProduct read : chunk.read()) {
        if (read.product().isA("IFCALIGNMENT")) {
          alignment(read.product(), alignments);
        } else {
          product(read, said);
        }
      }
      if (chunk.fault().isPresent()) {
        throw chunk.fault().get();
      }
      products.absorb(chunk.reader());
    }
    if (!loosePoints.isEmpty()) {
      items.add(Item.points(names.of("points", "Points"), loosePoints));
    }
    relations.to(items);
    tables.textures().unread(products.unread());
    shapeless.stream()
        .filter(p -> !structure.holds(p))
        .forEach(
            p -> products.unread().merge(p.entity().name() + " without a shape", 1, Integer::sum));
    groups.unread(products.unread());
    ports.unread(products.unread());
    UnreadEntities.count(model, products.unread());
    properties.report();
    structure.report(model, findings);
    new FileReport(tables, soundness, products, doubts, !items.isEmpty()).to(findings);
    return new Received(
            model.fileSchema(),
            tables.geo().frame().map(f -> f.crs()).orElse(""),
            tables.units().title(),
            items,
            model.counts(),
            findings,
            tables.geo().places())
        .with(tables.textures().beside())
        .of(RootReader.of(model, holders, structure));
  }

  /** Not what is read in a group already, nor parts of alignments and what marks places on them. */
  private boolean isRead(int product) {
    return model.isA(product, "IFCALIGNMENT")
        || !grouped.contains(product)
            && !model.isA(product, "IFCLINEARELEMENT")
            && (!model.isA(product, "IFCPOSITIONINGELEMENT") || model.isA(product, "IFCGRID"));
  }

  private void alignment(Instance p, AlignmentReader alignments) {
    identities.take(p);
    String name = names.of("alignment", nameOf(p));
    alignments
        .read(p, name)
        .ifPresent(
            a -> {
              relations.became(p, items.size());
              Item read = products.entry(p, Item.alignment(name, a), Optional.empty());
              List<PropertySet> sets = alignments.sets(p, a, read.said().propertySets());
              items.add(standing(p, read.saying(read.said().withSets(sets))));
            });
  }

  /** With what it stands in, is a member of, and is joined to. */
  private Item standing(Instance p, Item item) {
    List<Holder> of = groups.of(p);
    Description said = item.said().within(structure.of(p)).heldBy(of, holders.typeOf(p));
    Optional<Connection> joined = ports.of(p, GroupReader.network(of));
    Item out = item.saying(said);
    return joined.isEmpty() ? out : out.with(out.attributes().withConnection(joined));
  }

  /**
   * Takes what a product became.
   *
   * @param said of what several products share, which is said once
   */
  private void product(ReadProduct read, Set<Finding> said) {
    Instance p = read.product();
    if (read.sound()) {
      identities.take(p);
    }
    if (read.sound() && p.isA("IFCELEMENT") && p.id("Representation").isEmpty()) {
      shapeless.add(p);
    }
    read.findings().stream().filter(f -> !isOfSeveral(f) || said.add(f)).forEach(findings::add);
    loosePoints.addAll(read.points());
    read.item()
        .ifPresent(
            i -> {
              relations.became(p, items.size());
              items.add(standing(p, i.named(names.of(among(i), i.name()))));
            });
  }

  private static boolean isOfSeveral(Finding f) {
    return PropertyReader.isOfDefinition(f) || f.code().equals(TWO_PLACES);
  }

  /** Among what its name is the only one. */
  private static String among(Item i) {
    return i.shape() instanceof Shape.Lines
        ? "string"
        : i.kind().is(Kind.TERRAIN) ? "surface" : "body";
  }

  /**
   * Groups whose members are all single points are one item each.
   *
   * @return their numbers
   */
  private Set<Integer> pointGroups() {
    Set<Integer> taken = new HashSet<>();
    for (Instance rel : model.all("IFCRELASSIGNSTOGROUP")) {
      List<Instance> members = rel.refs("RelatedObjects");
      Optional<Instance> group = rel.ref("RelatingGroup");
      List<NamedPoint> points = new ArrayList<>();
      for (Instance m : members) {
        products.point(m).ifPresent(points::add);
      }
      if (group.isEmpty() || points.isEmpty() || points.size() < members.size()) {
        continue;
      }
      members.forEach(m -> grouped.add(m.id()));
      members.forEach(identities::take);
      Instance g = group.get();
      identities.take(g);
      taken.add(g.id());
      Instance first = members.getFirst();
      items.add(
          Item.points(names.of("points", nameOf(g)), points)
              .on(tables.layers().of(first))
              .saying(
                  new Description(
                          tables.definitions().classOf(first), g.text("GlobalId"), properties.of(g))
                      .withClassification(tables.classification().of(g, Optional.empty()))
                      .within(structure.of(first))));
    }
    return taken;
  }

  static String nameOf(Instance p) {
    String name = p.text("Name");
    return name.isEmpty() ? p.entity().name().substring(3) + " #" + p.id() : name;
  }
}
