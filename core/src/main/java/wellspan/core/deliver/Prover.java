package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.describe.Description;
import wellspan.core.describe.Finish;
import wellspan.core.describe.PropertySet;
import wellspan.core.describe.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/** Compares what was sent with what a reader found in the written file. */
public final class Prover {
  private final Parcel parcel;
  private final List<Proof.ItemProof> items = new ArrayList<>();
  private final List<String> missing = new ArrayList<>();
  private final List<String> propertyMismatches = new ArrayList<>();
  private final List<Finding> findings = new ArrayList<>();
  private int propertiesEqual;

  private Prover(Parcel parcel) {
    this.parcel = parcel;
  }

  /**
   * @param arrived the file as read back, in shared coordinates
   */
  public static Proof compare(Parcel sent, Received arrived, Progress progress) {
    return new Prover(sent).run(arrived, progress);
  }

  private Proof run(Received arrived, Progress progress) {
    Map<String, Received.Entry> byId = new HashMap<>();
    for (Received.Entry e : arrived.entries()) {
      e.description().ifPresent(d -> byId.put(d.globalId(), e));
    }
    Set<String> found = new HashSet<>();
    int done = 0;
    for (Parcel.Piece piece : parcel.pieces()) {
      progress.step((double) done++ / parcel.pieces().size(), "Comparing " + piece.item().name());
      String id = piece.description().globalId();
      Received.Entry entry = byId.get(id);
      if (entry == null) {
        missing.add(piece.item().name());
        fail(
            "proof.missing",
            piece.item(),
            piece.item().name()
                + " was sent but is not in the file under its GlobalId "
                + id
                + ".");
        continue;
      }
      found.add(id);
      compareDescriptions(piece, entry.description().orElseThrow());
      compareItems(piece.item(), entry.item());
    }
    List<String> extra =
        arrived.entries().stream()
            .filter(e -> e.description().map(d -> !found.contains(d.globalId())).orElse(true))
            .map(e -> e.item().name())
            .toList();
    for (String name : extra) {
      findings.add(
          Finding.error(DELIVER, "proof.extra", name, name + " is in the file but was not sent."));
    }
    compareFrames(arrived);
    arrived.findings().stream().filter(Finding::isError).forEach(findings::add);
    progress.step(1, "Tallying control points");
    ControlTally tally = tally(arrived);
    tally.findings(DELIVER).stream()
        .filter(Finding::isError)
        .map(f -> f.withSeverity(Severity.WARNING)) // arrived as sent, but what was sent is off
        .forEach(findings::add);
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
        extra,
        List.copyOf(propertyMismatches),
        tally.lines(),
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
    List<Received.Entry> others =
        arrived.entries().stream()
            .filter(e -> e.description().filter(d -> own.contains(d.globalId())).isEmpty())
            .toList();
    ControlTally of =
        ControlTally.of(control, where, arrived.withEntries(others, arrived.findings()));
    return of.lines().isEmpty() ? ControlTally.of(control, where, arrived) : of;
  }

  private void fail(String code, Item item, String message) {
    findings.add(Finding.error(DELIVER, code, item.name(), message));
  }

  private void compareItems(Item sent, Item arrived) {
    Optional<Mesh> here = sent.triangles();
    Optional<Mesh> there = arrived.triangles();
    if (here.isPresent() && there.isPresent()) {
      take(MeshComparison.compare(sent, here.get(), there.get()));
      if (parcel.format().carriesPictures()) {
        findings.addAll(TextureComparison.compare(sent, arrived));
      }
    } else if (sent instanceof Item.AlignmentLine s && arrived instanceof Item.AlignmentLine a) {
      take(AlignmentComparison.compare(s, a));
    } else if (sent instanceof Item.AlignmentLine s && arrived instanceof Item.StringLine l) {
      take(LineComparison.compare(s, List.of(LineComparison.chords(s.alignment())), l));
    } else if (sent instanceof Item.StringLine s && arrived instanceof Item.StringLine l) {
      take(LineComparison.compare(s, s.lines(), l));
    } else if (sent instanceof Item.PointGroup s && arrived instanceof Item.PointGroup p) {
      take(PointComparison.compare(s, p));
    } else {
      fail(
          "proof.kind",
          sent,
          sent.name() + " was sent as " + sent.kind() + " and arrived as " + arrived.kind() + ".");
    }
  }

  private void take(ItemComparison result) {
    items.add(result.figures());
    findings.addAll(result.findings());
  }

  private void compareDescriptions(Parcel.Piece piece, Description arrived) {
    if (!(parcel.format() instanceof DeliveryFormat.Ifc)) {
      return; // no other format carries classes and properties; that is told as a loss
    }
    Item item = piece.item();
    Description sent = piece.description();
    if (!sent.entityClass().equals(arrived.entityClass())) {
      fail(
          "proof.class",
          item,
          item.name()
              + " was sent as "
              + sent.entityClass()
              + " and arrived as "
              + arrived.entityClass()
              + ".");
    }
    if (!sent.finish().equals(arrived.finish())) {
      fail(
          "proof.finish",
          item,
          item.name()
              + " was sent "
              + words(sent.finish())
              + " and arrived "
              + words(arrived.finish())
              + ".");
    }
    Map<String, PropertyValue> there = flat(arrived.propertySets());
    Map<String, PropertyValue> here = flat(sent.propertySets());
    here.forEach(
        (name, value) -> {
          PropertyValue other = there.get(name);
          if (other == null) {
            mismatch(item, name + " did not arrive");
          } else if (!same(value, other)) {
            mismatch(
                item, name + " was sent as " + value.show() + " and arrived as " + other.show());
          } else {
            propertiesEqual++;
          }
        });
    there.keySet().stream()
        .filter(name -> !here.containsKey(name))
        .forEach(name -> mismatch(item, name + " arrived but was not sent"));
  }

  private static String words(Optional<Finish> finish) {
    return finish
        .map(
            f ->
                String.format(
                    Locale.ROOT,
                    "%s the colour #%06X",
                    f.material().isEmpty() ? "in" : "as " + f.material() + " in",
                    f.rgb()))
        .orElse("without material and colour");
  }

  private void mismatch(Item item, String what) {
    propertyMismatches.add(item.name() + ": " + what);
    fail("proof.property", item, item.name() + ": " + what + ".");
  }

  private static Map<String, PropertyValue> flat(List<PropertySet> sets) {
    Map<String, PropertyValue> out = new HashMap<>();
    sets.forEach(s -> s.values().forEach((k, v) -> out.put(s.name() + "." + k, v)));
    return out;
  }

  private static boolean same(PropertyValue a, PropertyValue b) {
    return switch (a) {
      case PropertyValue.Length(double x) when b instanceof PropertyValue.Length(double y) ->
          close(x, y);
      case PropertyValue.Area(double x) when b instanceof PropertyValue.Area(double y) ->
          close(x, y);
      case PropertyValue.Real(double x) when b instanceof PropertyValue.Real(double y) ->
          close(x, y);
      default -> a.equals(b);
    };
  }

  private static boolean close(double x, double y) {
    return Math.abs(x - y) <= 1e-9 * Math.max(1, Math.abs(x));
  }

  private void compareFrames(Received arrived) {
    Frame sent = parcel.frame();
    if (arrived.frame().isEmpty()) {
      findings.add(
          Finding.error(
              DELIVER,
              "proof.frame",
              "",
              "The file does not say where it lies: no map conversion was found."));
      return;
    }
    FrameDifference.between(sent, arrived.frame().get())
        .ifPresent(
            what ->
                findings.add(
                    Finding.error(DELIVER, "proof.frame", "", "The frame differs: " + what)));
  }
}
