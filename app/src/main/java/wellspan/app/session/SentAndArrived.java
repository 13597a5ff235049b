package wellspan.app.session;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wellspan.core.deliver.Parcel;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference;
import wellspan.core.proof.DistanceToMesh;
import wellspan.core.proof.ItemPair;
import wellspan.core.proof.Proof;
import wellspan.exchange.delivery.DeliveryRun;
import wellspan.exchange.proving.FilesProven;

/**
 * What was sent and what arrived, laid on top of each other on the stage.
 *
 * @param tolerance up to which a place counts as the same, metres
 */
public record SentAndArrived(List<Item> sent, List<Arrived> arrived, double tolerance) {

  /**
   * An item as it arrived.
   *
   * @param distances how far each vertex of its mesh lies from what was sent, metres; infinite
   *     where nothing was sent, empty for what has no mesh
   * @param same whether its geometry is that of what was sent
   */
  public record Arrived(Item item, double[] distances, boolean same) {}

  /** Everything that is drawn. */
  public Stream<Item> items() {
    return Stream.concat(sent.stream(), arrived.stream().map(Arrived::item));
  }

  static SentAndArrived of(DeliveryRun.Outcome run) {
    Map<String, List<Proof.ItemProof>> figures = new HashMap<>();
    run.receipt()
        .proof()
        .items()
        .forEach(i -> figures.computeIfAbsent(i.name(), n -> new ArrayList<>(1)).add(i));
    List<Arrived> arrived = new ArrayList<>();
    for (Item i : run.arrived().items()) {
      Optional<Proof.ItemProof> f = take(figures.getOrDefault(i.name(), List.of()), i);
      arrived.add(
          new Arrived(
              i,
              f.map(Proof.ItemProof::deviations).orElse(new double[0]),
              f.map(Proof.ItemProof::identical).orElse(false)));
    }
    return new SentAndArrived(
        run.sent().pieces().stream().map(Parcel.Piece::item).toList(), arrived, Proof.TOLERANCE);
  }

  /** Things of several kinds, and the parts of one in several files, share their name. */
  private static Optional<Proof.ItemProof> take(List<Proof.ItemProof> of, Item arrived) {
    for (Proof.ItemProof p : of) {
      if (p.kind().equals(arrived.kind().title())) {
        of.remove(p);
        return Optional.of(p);
      }
    }
    return of.isEmpty() ? Optional.empty() : Optional.of(of.removeFirst());
  }

  static SentAndArrived of(FilesProven proven, Progress progress) {
    IdentityHashMap<Item, Item> meant = new IdentityHashMap<>();
    for (ItemPair p : proven.pairs()) {
      meant.put(p.arrived(), p.sent());
    }
    Set<String> moved = new HashSet<>();
    for (Difference d : proven.proof().differences()) {
      switch (d.what()) {
        case GEOMETRY, LEVEL, TRIANGLES, EXTRA -> moved.add(d.item());
        default -> {} // nothing that a picture shows
      }
    }
    List<Arrived> out = new ArrayList<>();
    List<Item> all = proven.arrived().items();
    for (Item i : all) {
      progress.advance((double) out.size() / all.size(), "Measuring " + i.name());
      Optional<Item> partner = Optional.ofNullable(meant.get(i));
      boolean same = !moved.contains(partner.map(Item::name).orElse(i.name()));
      out.add(new Arrived(i, distances(partner, i), same));
    }
    return new SentAndArrived(proven.sent().items(), out, proven.tolerance());
  }

  private static double[] distances(Optional<Item> sent, Item arrived) {
    Optional<Mesh> mesh = arrived.triangles();
    if (mesh.isEmpty()) {
      return new double[0];
    }
    Mesh nothing = new Mesh(new double[0], new int[0]);
    return DistanceToMesh.ofVertices(sent.flatMap(Item::triangles).orElse(nothing), mesh.get());
  }
}
