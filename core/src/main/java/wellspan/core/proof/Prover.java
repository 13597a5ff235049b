package wellspan.core.proof;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import wellspan.core.attribute.Description;
import wellspan.core.deliver.Content;
import wellspan.core.deliver.Coverage;
import wellspan.core.deliver.Losses;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference.What;
import wellspan.core.receive.Received;
import wellspan.core.shape.CarriedBody;
import wellspan.core.shape.Shape;

/** Compares what was sent with what a reader found in the written file. */
public final class Prover {
  private final Parcel parcel;
  private final Coverage coverage;
  private final Limits limits;
  private final List<Proof.ItemProof> items = new ArrayList<>();
  private final List<String> missing = new ArrayList<>();
  private final List<String> propertyMismatches = new ArrayList<>();
  private final List<Difference> differences = new ArrayList<>();
  private final HolderComparison holders;
  private final Set<String> levels; // GlobalIds
  private int propertiesEqual;

  private Prover(Parcel parcel) {
    this.parcel = parcel;
    coverage = Coverage.of(parcel.format().id());
    levels =
        parcel.levels().stream()
            .map(p -> p.description().globalId())
            .collect(Collectors.toUnmodifiableSet());
    holders = new HolderComparison(parcel.schema(), levels);
    limits =
        new Limits(
            Tolerance.ofDecimals(parcel.format().decimals(parcel.unit()), parcel.unit()),
            coverage.proves(Content.NO_LEVELS),
            coverage.proves(Content.POINT_CODES),
            true);
  }

  /**
   * @param arrived the file as read back, in shared coordinates
   */
  public static Proof compare(Parcel sent, Received arrived, Progress progress) {
    return new Prover(sent).run(arrived, progress);
  }

  private Proof run(Received arrived, Progress progress) {
    Map<String, Item> byId = new HashMap<>();
    List<Item> without = new ArrayList<>();
    for (Item e : arrived.items()) {
      String id = e.said().globalId();
      if (id.isEmpty() || byId.putIfAbsent(id, e) != null) {
        without.add(e); // of two with one id the second was not sent
      }
    }
    Set<String> found = new HashSet<>();
    int done = 0;
    for (Parcel.Piece piece : parcel.pieces()) {
      progress.advance(
          (double) done++ / parcel.pieces().size(), "Comparing " + piece.item().name());
      String id = piece.description().globalId();
      Item entry = byId.get(id);
      if (entry == null) {
        missing.add(piece.item().name());
        differences.add(
            Difference.of(
                What.MISSING,
                piece.item().name(),
                piece.item().name()
                    + " was sent but is not in the file under its GlobalId "
                    + id
                    + "."));
        continue;
      }
      found.add(id);
      compareWords(piece, entry);
      compareItems(piece, entry);
    }
    List<String> extra = new ArrayList<>();
    byId.forEach(
        (id, e) -> {
          if (!found.contains(id)) {
            extra.add(e.name());
          }
        });
    without.forEach(e -> extra.add(e.name()));
    for (String name : extra) {
      differences.add(Difference.of(What.EXTRA, name, name + " is in the file but was not sent."));
    }
    if (coverage.proves(Content.RELATIONS)) {
      differences.addAll(RelationComparison.compare(parcel, arrived));
    }
    if (coverage.proves(Content.STRUCTURE)) {
      holders.root(parcel, arrived.root());
      propertiesEqual += holders.into(differences, propertyMismatches);
    }
    compareFrames(arrived);
    compareUnits(arrived);
    List<Finding> findings =
        new ArrayList<>(differences.stream().map(Difference::finding).toList());
    List<Item> sent = parcel.pieces().stream().map(Parcel.Piece::item).toList();
    for (Finding f : arrived.findings()) {
      if (f.isError()) {
        findings.add(JumpsAsSent.judged(f, sent));
        if (f.code().startsWith("proof.")) { // found while reading back
          What what = What.valueOf(f.code().substring(6).toUpperCase(Locale.ROOT));
          differences.add(Difference.of(what, f.item(), f.message()));
        }
      } else if (f.stop() == DELIVER) { // said by who reads back, not by the reader
        findings.add(f);
      }
    }
    progress.advance(1, "Tallying control points");
    ControlTally tally = tally(arrived);
    tally.findings(DELIVER).stream()
        .filter(Finding::isError)
        .map(f -> f.withSeverity(Severity.WARNING)) // arrived as sent, but what was sent is off
        .forEach(findings::add);
    holders.loss().ifPresent(findings::add);
    findings.addAll(Losses.of(parcel));
    boolean pass = findings.stream().noneMatch(Finding::isError);
    double max = items.stream().mapToDouble(Proof.ItemProof::maxDeviation).max().orElse(0);
    boolean identical = items.stream().allMatch(Proof.ItemProof::identical) && missing.isEmpty();
    return new Proof(
        pass,
        parcel.pieces().size(),
        found.size(),
        max,
        identical,
        propertiesEqual,
        List.copyOf(items),
        List.copyOf(missing),
        List.copyOf(extra),
        List.copyOf(propertyMismatches),
        tally.lines(),
        List.copyOf(differences),
        coverage.notProven(),
        List.copyOf(findings));
  }

  /**
   * Control points against what arrived; the list they were taken from says nothing, unless nothing
   * else holds one of them.
   */
  private ControlTally tally(Received arrived) {
    String where = "The written file";
    Control control = parcel.control();
    Set<String> own = new HashSet<>();
    for (Parcel.Piece p : parcel.pieces()) {
      if (!control.takenFrom().isEmpty() && p.key().startsWith(control.takenFrom() + "/")) {
        own.add(p.description().globalId());
      }
    }
    List<Item> others =
        arrived.items().stream().filter(e -> !own.contains(e.said().globalId())).toList();
    ControlTally of =
        ControlTally.of(control, where, arrived.withItems(others, arrived.findings()));
    return of.lines().isEmpty() ? ControlTally.of(control, where, arrived) : of;
  }

  private void compareItems(Parcel.Piece piece, Item arrived) {
    Item sent = piece.item();
    Optional<Mesh> here = sent.triangles();
    Optional<Mesh> there = arrived.triangles();
    if (here.isPresent() && there.isPresent()) {
      Optional<CarriedBody> carried = parcel.format().carried(sent, parcel.frame());
      take(
          carried.isPresent()
              ? CarriedBodyComparison.compare(sent, carried.get(), there.get())
              : parcel.format().leavesTriangles(sent)
                  ? MeasuredBodyComparison.compare(
                      sent, here.get(), there.get(), limits.tolerance())
                  : MeshComparison.compare(sent, here.get(), there.get(), limits.tolerance()));
      if (coverage.proves(Content.INVISIBLE)) {
        invisible(sent, arrived);
      }
      if (coverage.proves(Content.FACE_COLOURS)) {
        differences.addAll(FaceColours.compare(sent, arrived, piece.description()));
      }
      if (parcel.format().carriesPictures()) {
        differences.addAll(TextureComparison.compare(sent, arrived, limits.tolerance()));
      }
    } else if (sent.shape() instanceof Shape.Axis s && arrived.shape() instanceof Shape.Axis a) {
      take(AlignmentComparison.compare(sent, s.alignment(), a.alignment(), limits.tolerance()));
    } else if (sent.shape() instanceof Shape.Axis s && arrived.shape() instanceof Shape.Lines l) {
      take(ChordsOfAlignment.compare(sent, s, l.lines(), limits.tolerance()));
    } else if (sent.shape() instanceof Shape.Lines s && arrived.shape() instanceof Shape.Lines l) {
      take(LineComparison.compare(sent, s.lines(), l.lines(), limits));
    } else if (sent.shape() instanceof Shape.Points s
        && arrived.shape() instanceof Shape.Points p) {
      take(PointComparison.compare(sent, s, p, limits));
    } else {
      differences.add(
          Difference.of(
              What.GEOMETRY,
              sent.name(),
              sent.name()
                  + " was sent as "
                  + sent.kind()
                  + " and arrived as "
                  + arrived.kind()
                  + "."));
    }
  }

  private void invisible(Item sent, Item arrived) {
    int[] here = sent.shape() instanceof Shape.Faces s ? s.invisible() : new int[0];
    int[] there = arrived.shape() instanceof Shape.Faces s ? s.invisible() : new int[0];
    if (!java.util.Arrays.equals(here, there)) {
      differences.add(
          Difference.of(
              What.TRIANGLES,
              sent.name(),
              sent.name()
                  + ": "
                  + here.length / 3
                  + " faces marked invisible were sent; "
                  + there.length / 3
                  + " arrived, or others."));
    }
  }

  private void take(ItemComparison result) {
    items.add(result.figures());
    differences.addAll(result.differences());
  }

  private void compareWords(Parcel.Piece piece, Item entry) {
    Description sent = piece.description();
    Description arrived = entry.said();
    Said said = new Said(piece.item().name());
    if (coverage.proves(Content.IDS)) { // elsewhere the name is what paired them
      name(piece.item().name(), entry.name());
    }
    if (coverage.proves(Content.CLASSES)) {
      said.classes(sent, arrived);
      said.attributes(sent.attributes(), arrived.attributes());
    }
    if (coverage.proves(Content.CLOSED)) {
      said.closed(sent, arrived);
    }
    if (coverage.proves(Content.CLASSIFICATION)) {
      said.classification(sent, arrived, coverage.proves(Content.PARENT_CODES));
    }
    if (coverage.proves(Content.STRUCTURE)) {
      said.structure(sent, arrived, levels);
      holders.of(piece.item().name(), sent, arrived);
    }
    if (coverage.proves(Content.RELATIONS)) {
      differences.addAll(
          new PortComparison(holders, parcel.schema()).of(piece.item(), entry, limits.tolerance()));
    }
    if (coverage.proves(Content.MATERIALS)) {
      said.materials(sent, arrived, coverage.proves(Content.IDS));
    }
    if (coverage.proves(Content.COLOURS) && coverage.proves(Content.IDS)) {
      said.colours(sent, arrived);
    }
    if (coverage.proves(Content.LAYERS) && coverage.proves(Content.IDS)) {
      said.layers(piece.item().layer(), entry.layer());
    }
    if (coverage.proves(Content.PROPERTIES)) {
      said.properties(sent, arrived, false, !coverage.proves(Content.IDS));
    }
    differences.addAll(said.differences());
    propertyMismatches.addAll(said.mismatches());
    propertiesEqual += said.equal();
  }

  /** Readers keep equal names apart by a number behind. */
  private void name(String sent, String arrived) {
    boolean same =
        arrived.equals(sent)
            || arrived.startsWith(sent) && arrived.substring(sent.length()).matches(" \\(\\d+\\)");
    if (!same && !sent.isEmpty()) {
      differences.add(
          Difference.of(What.NAME, sent, sent + " arrived under the name " + arrived + "."));
    }
  }

  private void compareFrames(Received arrived) {
    if (arrived.frame().isEmpty()) {
      differences.add(
          Difference.of(
              What.PLACE, "", "The file does not say where it lies: no map conversion was found."));
      return;
    }
    differences.addAll(FrameDifference.between(parcel.frame(), arrived.frame().get()));
  }

  private void compareUnits(Received arrived) {
    boolean says = coverage.proves(Content.UNIT) && parcel.format().saysUnit();
    if (says && !arrived.unit().equals(parcel.unit().title())) {
      differences.add(
          Difference.of(
              What.UNIT,
              "",
              "The file was written in "
                  + parcel.unit().title()
                  + " and says "
                  + (arrived.unit().isEmpty() ? "no unit" : arrived.unit())
                  + "."));
    }
  }
}
