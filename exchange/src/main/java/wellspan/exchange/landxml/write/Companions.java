package wellspan.exchange.landxml.write;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Item;
import wellspan.core.network.Chamber;
import wellspan.core.network.NetworkPart;
import wellspan.core.network.Pipe;
import wellspan.core.road.RoadBody;
import wellspan.core.road.RoadPart;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.UniqueNames;

/**
 * What a file needs besides the pieces of a parcel: the alignments of cross sections and the
 * chambers of pipes that are not sent themselves. They are no items of the delivery.
 */
public final class Companions {
  private static final double SAME = 1e-6;

  /**
   * The alignment that cross sections are written with.
   *
   * @param name in the file
   * @param key of the piece that it is; empty where it goes for the sections only
   * @param axis of the sections, shared coordinates
   * @param from distance along that axis at which the written alignment begins, metres
   */
  record Host(String name, String key, Alignment axis, double from) {
    boolean isCompanion() {
      return key.isEmpty();
    }
  }

  private final Map<Alignment, List<Parcel.Piece>> parts = new LinkedHashMap<>();
  private final Map<Alignment, Host> hosts = new LinkedHashMap<>();
  private final Map<Chamber, String> sent = new HashMap<>();
  private final Map<Chamber, String> beside = new LinkedHashMap<>();
  private final Map<Pipe, String> pipes = new HashMap<>();

  private Companions() {}

  /**
   * @param names of the pieces in the file, by their keys
   */
  public static Companions of(Parcel parcel, Map<String, String> names) {
    Companions out = new Companions();
    Set<String> used = new HashSet<>(names.values());
    Set<Chamber> needed = new LinkedHashSet<>();
    for (Parcel.Piece p : parcel.pieces()) {
      Optional<Curved> made = LandXmlFormat.made(p.item());
      if (made.isEmpty()) {
        continue;
      }
      switch (made.get()) {
        case RoadBody b -> out.parts.computeIfAbsent(b.axis(), a -> new ArrayList<>()).add(p);
        case NetworkPart.Node n -> out.sent.put(n.chamber(), names.get(p.key()));
        case NetworkPart.Run r -> {
          needed.add(r.laid().start());
          needed.add(r.laid().end());
          out.pipes.put(r.laid().pipe(), names.get(p.key()));
        }
        default -> throw new IllegalStateException(p.item().name());
      }
    }
    out.parts.forEach(
        (axis, these) -> out.hosts.put(axis, out.host(parcel, names, used, axis, these)));
    needed.stream()
        .filter(c -> !out.sent.containsKey(c))
        .forEach(c -> out.beside.put(c, free(c.name(), used)));
    return out;
  }

  private Host host(
      Parcel parcel,
      Map<String, String> names,
      Set<String> used,
      Alignment axis,
      List<Parcel.Piece> these) {
    for (Parcel.Piece p : parcel.pieces()) {
      boolean free = hosts.values().stream().noneMatch(h -> h.key().equals(p.key()));
      if (free && p.item().shape() instanceof Shape.Axis a) {
        OptionalDouble from = begins(a.alignment(), axis);
        if (from.isPresent() && holds(a.alignment(), from.getAsDouble(), these)) {
          return new Host(names.get(p.key()), p.key(), axis, from.getAsDouble());
        }
      }
    }
    return new Host(free(axis.name(), used), "", axis, 0);
  }

  /** Where along the axis an alignment begins that is a part of it. */
  private static OptionalDouble begins(Alignment part, Alignment axis) {
    if (part.equals(axis)) {
      return OptionalDouble.of(0);
    }
    for (double from : axis.chainages().distances(part.startChainage(), axis.length())) {
      boolean same = from + part.length() < axis.length() + SAME;
      for (int i = 0; i <= 8 && same; i++) {
        double d = part.length() * i / 8;
        same = isSame(part.at(d), axis.at(from + d));
      }
      if (same) {
        return OptionalDouble.of(from);
      }
    }
    return OptionalDouble.empty();
  }

  private static boolean isSame(AlignmentPoint a, AlignmentPoint b) {
    return Math.hypot(a.east() - b.east(), a.north() - b.north()) < SAME
        && (Double.isNaN(a.level()) && Double.isNaN(b.level())
            || Math.abs(a.level() - b.level()) < SAME);
  }

  private static boolean holds(Alignment host, double from, List<Parcel.Piece> parts) {
    return parts.stream()
        .map(p -> part(p).body())
        .allMatch(b -> b.from() > from - SAME && b.to() < from + host.length() + SAME);
  }

  private static String free(String wanted, Set<String> used) {
    String name = wanted;
    for (int n = 2; !used.add(name); n++) {
      name = wanted + " " + n;
    }
    return name;
  }

  /**
   * Names that parts of roads have in the cross sections: their own, which courses on both sides
   * may share, if a reader that keeps names apart comes to those of the pieces; else these.
   *
   * @param names of the pieces in the file, by their keys
   */
  Map<String, String> partNames(Parcel parcel, Map<String, String> names) {
    List<Host> order = new ArrayList<>();
    parcel.pieces().forEach(p -> order.addAll(hostsOf(p)));
    order.addAll(alone());
    UniqueNames apart = new UniqueNames();
    Map<String, String> own = new HashMap<>();
    boolean same = true;
    for (Host h : order) {
      List<Parcel.Piece> along = new ArrayList<>(parts.get(h.axis()));
      along.sort(Comparator.comparingDouble(p -> part(p).body().from()));
      for (Parcel.Piece p : along) {
        own.put(p.key(), part(p).name());
        same &= apart.of(part(p).kind(), part(p).name()).equals(names.get(p.key()));
      }
    }
    return same ? own : names;
  }

  private static RoadPart part(Parcel.Piece p) {
    return ((RoadBody) LandXmlFormat.made(p.item()).orElseThrow()).part();
  }

  /** The sections' alignments, each with the parts of roads along it. */
  Map<Alignment, List<Parcel.Piece>> parts() {
    return parts;
  }

  /** The axes whose sections stand on this piece: one, or none. */
  List<Host> hostsOf(Parcel.Piece piece) {
    return hosts.values().stream().filter(h -> h.key().equals(piece.key())).toList();
  }

  /** Alignments that go for the sections only. */
  List<Host> alone() {
    return hosts.values().stream().filter(Host::isCompanion).toList();
  }

  /** Chambers that go for pipes only, each with its name in the file. */
  Map<Chamber, String> beside() {
    return beside;
  }

  /** Name in the file of a chamber that is sent or goes for a pipe. */
  String nameOf(Chamber c) {
    return sent.getOrDefault(c, beside.get(c));
  }

  /** Name in the file of a pipe that is sent; empty for all others. */
  String nameOf(Pipe p) {
    return pipes.getOrDefault(p, "");
  }

  /** Whether an item of the file is there for others only. */
  public boolean has(Item arrived) {
    return switch (arrived.shape()) {
      case Shape.Axis a -> alone().stream().anyMatch(h -> h.name().equals(arrived.name()));
      case Shape.Faces f ->
          f.curved().filter(NetworkPart.Node.class::isInstance).isPresent()
              && beside.containsValue(arrived.name());
      default -> false;
    };
  }
}
