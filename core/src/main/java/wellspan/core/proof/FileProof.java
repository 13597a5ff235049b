package wellspan.core.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.deliver.Content;
import wellspan.core.deliver.Coverage;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference.What;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/**
 * Compares two files item by item, whatever their formats: what one of them cannot hold is not
 * compared and said.
 */
public final class FileProof {
  private final Received sent;
  private final Received arrived;
  private final Coverage here;
  private final Coverage there;
  private final Limits limits;
  private final List<Proof.ItemProof> items = new ArrayList<>();
  private final List<ItemPair> paired = new ArrayList<>();
  private final List<Difference> differences = new ArrayList<>();
  private final List<String> propertyMismatches = new ArrayList<>();
  private final HolderComparison holders = new HolderComparison(IfcSchema.IFC4X3, Set.of());
  private int propertiesEqual;

  private FileProof(Received sent, Received arrived) {
    this.sent = sent;
    this.arrived = arrived;
    here = Coverage.of(sent.format());
    there = Coverage.of(arrived.format());
    double tolerance =
        Math.max(
            Tolerance.of(sent.format(), sent.bounds()),
            Tolerance.of(arrived.format(), arrived.bounds()));
    limits =
        new Limits(
            tolerance, both(Content.NO_LEVELS), both(Content.POINT_CODES), both(Content.NAMES));
  }

  /** Where things stand is decided anew for each schema, so no two files need agree in it. */
  private boolean both(Content c) {
    return c != Content.STRUCTURE && here.proves(c) && there.proves(c);
  }

  /**
   * @param sent what was meant, in shared coordinates
   * @param arrived what is judged, in the same system and shared coordinates
   */
  public static Result compare(Received sent, Received arrived, Progress progress) {
    FileProof p = new FileProof(sent, arrived);
    Proof proof = p.run(progress);
    return new Result(proof, List.copyOf(p.paired), p.limits.tolerance());
  }

  /**
   * What was found.
   *
   * @param pairs the items that were compared with each other
   * @param tolerance up to which two places are the same in both formats, metres
   */
  public record Result(Proof proof, List<ItemPair> pairs, double tolerance) {}

  private Proof run(Progress progress) {
    List<Item> meant = sent.items().stream().filter(this::isMeant).toList();
    List<Item> came = withoutOwnOutlines(meant);
    Pairing pairs = Pairing.of(meant, came);
    List<String> missing = new ArrayList<>();
    for (int i = 0; i < meant.size(); i++) {
      Item s = meant.get(i);
      progress.advance((double) i / meant.size(), "Comparing " + s.name());
      Optional<Item> a = pairs.arrived().get(i);
      if (a.isEmpty()) {
        missing.add(s.name());
        differences.add(
            Difference.of(
                What.MISSING, s.name(), s.name() + " (" + s.kind() + ") did not arrive."));
      } else {
        paired.add(new ItemPair(s, a.get()));
        words(s, a.get());
        geometry(s, a.get());
      }
    }
    List<String> extra = new ArrayList<>();
    for (Item e : pairs.extra()) {
      extra.add(e.name());
      differences.add(
          Difference.of(
              What.EXTRA, e.name(), e.name() + " (" + e.kind() + ") arrived but was not sent."));
    }
    if (both(Content.RELATIONS)) {
      differences.addAll(
          RelationComparison.loose(sent, arrived, paired, here.title().equals(there.title())));
      paired.forEach(p -> holders.loosely(p.sent().name(), p.sent().said(), p.arrived().said()));
      holders.loosely(sent.root(), arrived.root());
    }
    asAWhole();
    propertiesEqual += holders.into(differences, propertyMismatches);
    List<Finding> findings =
        new ArrayList<>(differences.stream().map(Difference::finding).toList());
    findings.addAll(JumpsAsSent.errors(arrived, meant));
    sent.findings().stream()
        .filter(Finding::isError)
        .map(f -> f.withSeverity(Severity.WARNING)) // a doubt about what was meant
        .forEach(findings::add);
    boolean pass = findings.stream().noneMatch(Finding::isError);
    double max = items.stream().mapToDouble(Proof.ItemProof::maxDeviation).max().orElse(0);
    return new Proof(
        pass,
        meant.size(),
        meant.size() - missing.size(),
        max,
        items.stream().allMatch(Proof.ItemProof::identical) && missing.isEmpty(),
        propertiesEqual,
        List.copyOf(items),
        missing,
        extra,
        List.copyOf(propertyMismatches),
        List.of(),
        List.copyOf(differences),
        notCompared(),
        findings);
  }

  private static boolean holdsAnything(Item e) {
    return !e.bounds().isEmpty() && e.triangles().map(m -> m.triangleCount() > 0).orElse(true);
  }

  /** Boundaries that only repeat where a surface ends need not arrive where they cannot. */
  private boolean isMeant(Item e) {
    Optional<Boundaries> b = both(Content.BOUNDARIES) ? Optional.empty() : Boundaries.of(e);
    return holdsAnything(e) && !b.map(x -> repeats(x, sent)).orElse(false);
  }

  /** Whether boundaries are those of their surface's own open edges. */
  private static boolean repeats(Boundaries b, Received file) {
    return surface(b, file).map(m -> b.against(m).fault().isEmpty()).orElse(false);
  }

  private static Optional<Mesh> surface(Boundaries b, Received file) {
    return file.items().stream()
        .filter(i -> i.kind().is(Kind.TERRAIN) && i.name().equals(b.surface()))
        .findFirst()
        .flatMap(Item::triangles);
  }

  /** Boundaries that only repeat where an arrived surface ends are no items of their own. */
  private List<Item> withoutOwnOutlines(List<Item> meant) {
    List<Item> out = new ArrayList<>();
    Set<String> lines = new HashSet<>();
    meant.stream().filter(m -> m.shape() instanceof Shape.Lines).forEach(m -> lines.add(m.name()));
    for (Item e : arrived.items()) {
      if (!holdsAnything(e)) {
        continue;
      }
      Optional<Boundaries> boundary = Boundaries.of(e);
      if (boundary.isEmpty() || lines.contains(e.name())) {
        out.add(e);
        continue;
      }
      Optional<String> fault =
          surface(boundary.get(), arrived)
              .map(m -> boundary.get().against(m).fault())
              .orElse(Optional.of("its surface is not there"));
      fault.ifPresent(
          f ->
              differences.add(
                  Difference.of(
                      What.GEOMETRY,
                      boundary.get().surface(),
                      boundary.get().surface() + ": " + f + ".")));
    }
    return out;
  }

  private void words(Item s, Item a) {
    Description meant = s.said();
    Description came = a.said();
    String name = s.name();
    Said said = new Said(name);
    if (both(Content.IDS) && !meant.globalId().equals(came.globalId())) {
      differences.add(
          Difference.of(
              What.ID,
              name,
              name
                  + " was sent under the GlobalId "
                  + meant.globalId()
                  + " and arrived under "
                  + came.globalId()
                  + "."));
    }
    if (both(Content.NAMES) && !alike(name, a.name())) {
      differences.add(
          Difference.of(What.NAME, name, name + " arrived under the name " + a.name() + "."));
    }
    if (both(Content.CLASSES) && comparable(meant.entityClass(), came.entityClass())) {
      said.classes(meant, came);
      if (meant.entityClass().entity().equals(came.entityClass().entity())) {
        said.attributes(meant.attributes(), came.attributes());
      }
    }
    if (both(Content.CLOSED)) {
      said.closed(meant, came);
    }
    if (both(Content.CLASSIFICATION)) {
      said.classification(meant, came, both(Content.PARENT_CODES));
    }
    if (both(Content.MATERIALS)) {
      said.materials(meant, came, sent.format().equals(arrived.format()));
    }
    if (both(Content.COLOURS) && here.proves(Content.IDS)) {
      said.colours(meant, came);
    }
    // where another format needs a layer, one for what had none is no difference
    boolean layerMeant = here.equals(there) || here.proves(Content.IDS) && !s.layer().isEmpty();
    if (both(Content.LAYERS) && layerMeant) {
      said.layers(s.layer(), a.layer());
    }
    if (propertiesCompared()) {
      said.properties(meant, came, true, !there.proves(Content.IDS) && here.proves(Content.IDS));
    }
    differences.addAll(said.differences());
    propertyMismatches.addAll(said.mismatches());
    propertiesEqual += said.equal();
  }

  private boolean propertiesCompared() {
    return both(Content.PROPERTIES) && here.proves(Content.IDS) == there.proves(Content.IDS)
        || sent.format().equals(arrived.format());
  }

  /** Names as drawings clean them, and numbers behind equal names, are no difference. */
  private static boolean alike(String sent, String arrived) {
    return plain(sent).equals(plain(arrived));
  }

  private static String plain(String name) {
    return name.replaceFirst("( \\(\\d+\\)|_\\d+)$", "")
        .toUpperCase(Locale.ROOT)
        .replaceAll("[^\\p{L}\\p{N}]+", "_")
        .strip();
  }

  /** Whether the arrived schema has the class at all. */
  private boolean comparable(EntityClass meant, EntityClass came) {
    return here.title().equals(there.title())
        || Schema.forFile(arrived.format())
            .flatMap(t -> t.entity(meant.entity()))
            .filter(e -> !meant.entity().equals("IfcBuildingElementProxy"))
            .isPresent();
  }

  private void geometry(Item s, Item a) {
    Item item = s;
    Optional<Mesh> meant = item.triangles();
    Optional<Mesh> came = a.triangles();
    if (meant.isPresent() && came.isPresent()) {
      meshes(item, meant.get(), came.get());
      if (both(Content.FACE_COLOURS)) {
        differences.addAll(FaceColours.compare(item, a, item.said()));
      }
      if (both(Content.TEXTURES)) {
        differences.addAll(TextureComparison.compare(item, a, limits.tolerance()));
      }
    } else if (item.shape() instanceof Shape.Axis x && a.shape() instanceof Shape.Axis y) {
      take(AlignmentComparison.compare(item, x.alignment(), y.alignment(), limits.tolerance()));
    } else if (item.shape() instanceof Shape.Axis x && a.shape() instanceof Shape.Lines y) {
      take(ChordsOfAlignment.compare(item, x, y.lines(), limits.tolerance()));
    } else if (item.shape() instanceof Shape.Lines x && a.shape() instanceof Shape.Lines y) {
      take(LineComparison.loose(item, x.lines(), y.lines(), limits));
    } else if (item.shape() instanceof Shape.Points x && a.shape() instanceof Shape.Points y) {
      take(PointComparison.byName(item, x, y, limits));
    } else if (!item.kind().equals(a.kind())) {
      differences.add(
          Difference.of(
              What.GEOMETRY,
              item.name(),
              item.name() + " was sent as " + item.kind() + " and arrived as " + a.kind() + "."));
    }
  }

  private void meshes(Item item, Mesh meant, Mesh came) {
    ItemComparison loose = LooseMeshComparison.compare(item, meant, came, limits.tolerance());
    take(loose);
    if (loose.differences().isEmpty() && both(Content.IDS)) {
      ItemComparison strict = MeshComparison.compare(item, meant, came, limits.tolerance());
      if (!strict.differences().isEmpty()) {
        differences.add(
            Difference.of(
                What.TRIANGLES,
                item.name(),
                item.name() + ": its triangles or their corners stand in another order."));
      }
    }
    if (!both(Content.CLOSED) && MeshWeld.isWatertight(meant) && !MeshWeld.isWatertight(came)) {
      differences.add(
          Difference.of(
              What.CLOSED, item.name(), item.name() + " was closed and arrived with gaps."));
    }
  }

  private void take(ItemComparison result) {
    items.add(result.figures());
    differences.addAll(result.differences());
  }

  /** What is wrong with the file as a whole: its system, its unit, its place. */
  private void asAWhole() {
    boolean degrees =
        CrsCatalogue.shipped().find(arrived.crs()).map(c -> !c.projected()).orElse(false);
    boolean declares = !sent.crs().isEmpty() && there.proves(Content.SYSTEM);
    if (declares && !arrived.crs().equals(sent.crs()) && !degrees) {
      differences.add(
          Difference.of(
              What.SYSTEM,
              "",
              "The system was "
                  + sent.crs()
                  + "; the file that arrived says "
                  + (arrived.crs().isEmpty() ? "none" : arrived.crs())
                  + "."));
    }
    boolean moved = differences.stream().anyMatch(d -> d.what() == What.GEOMETRY);
    Box a = sent.bounds();
    Box b = arrived.bounds();
    if (!moved || a.isEmpty() || b.isEmpty()) {
      return;
    }
    double ratio = (b.maxE() - b.minE()) / (a.maxE() - a.minE());
    for (LinearUnit x : LinearUnit.values()) {
      for (LinearUnit y : LinearUnit.values()) {
        double units = x.metres() / y.metres();
        if (x != y && Math.abs(ratio / units - 1) < 1e-7 && Math.abs(ratio - 1) > 1e-7) {
          differences.add(
              Difference.of(
                  What.UNIT,
                  "",
                  String.format(
                      Locale.ROOT,
                      "Everything arrived %.6g times as large, as %s taken for %s would be.",
                      ratio,
                      y.title(),
                      x.title())));
          return;
        }
      }
    }
    double de = b.minE() - a.minE();
    double dn = b.minN() - a.minN();
    if (Math.hypot(de, dn) > limits.tolerance()
        && Math.hypot(de - (b.maxE() - a.maxE()), dn - (b.maxN() - a.maxN()))
            <= 4 * limits.tolerance()) {
      differences.add(
          Difference.of(
                  What.PLACE,
                  "",
                  String.format(
                      Locale.ROOT,
                      "Everything arrived %.4f m to the east and %.4f m to the north.",
                      de,
                      dn))
              .by(Math.hypot(de, dn)));
    }
  }

  private List<String> notCompared() {
    List<String> out = new ArrayList<>();
    for (Content c : Content.values()) {
      boolean properties = c == Content.PROPERTIES && propertiesCompared();
      if (!both(c) && !properties) {
        Coverage lacking = here.proves(c) ? there : here;
        boolean lost = lacking.treatments().get(c) == Coverage.Treatment.LOST;
        out.add(c.title() + (lost ? " (" + lacking.title() + " cannot hold this)" : ""));
      }
    }
    out.sort(Comparator.naturalOrder());
    return out;
  }
}
