package wellspan.cli;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Option;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.BasePoints;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.place.Placer;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.Received;

/** Where the written file lies: its system, its base point, its zero. */
final class PlacingOptions {
  @Option(
      names = "--crs",
      paramLabel = "EPSG:n",
      description = "system of the coordinates; what the files declare if not given")
  private String crs;

  @Option(
      names = "--base",
      paramLabel = "E,N,H",
      split = ",",
      description = "base point; one near the work if not given")
  private List<Double> base;

  @Option(
      names = "--rotate",
      paramLabel = "DEG",
      description = "site north clockwise from grid north")
  private double rotate;

  @Option(names = "--heights", paramLabel = "NAME", description = "name of the height system")
  private String heights = "";

  @Option(
      names = "--scale",
      paramLabel = "FACTOR",
      description = "horizontal scale, local over grid")
  private double scale = 1;

  @Option(
      names = "--zero",
      paramLabel = "base|shared",
      description =
          "where the written file's zero lies: the base point, or shared coordinates; LandXML keeps shared ones if nothing is said")
  private String zero;

  /**
   * The system of the written file: the one asked for, else the first that a file declares. There
   * is none where no file declares one, which leaves a local model.
   */
  Optional<SystemOption.Named> system(Collection<Received> read) {
    List<String> declared =
        read.stream().map(Received::crs).filter(c -> !c.isEmpty()).distinct().toList();
    if (crs == null && declared.isEmpty()) {
      return Optional.empty();
    }
    String code =
        crs != null
            ? crs
            : declared.stream()
                .filter(c -> CrsCatalogue.shipped().find(c).filter(Crs::projected).isPresent())
                .findFirst()
                .orElse(declared.getFirst());
    SystemOption.Named system = SystemOption.of(code);
    if (!system.crs().projected()) {
      throw new IllegalArgumentException(
          system.crs().id()
              + " counts in degrees; a projected system is needed. Name one with --crs EPSG:n.");
    }
    return Optional.of(system);
  }

  /** What a file holds in the system of the written one, and what there is to say of that. */
  record Placed(List<Item> items, List<Finding> findings) {}

  /** A file in the system of the written one: one that declares another is transformed. */
  static Placed placed(String file, Received r, Optional<SystemOption.Named> asked) {
    if (asked.isEmpty()) {
      return new Placed(r.items(), List.of());
    }
    SystemOption.Named system = asked.get();
    Optional<Crs> own = CrsCatalogue.shipped().find(r.crs());
    if (r.crs().isEmpty() || own.filter(system.crs()::equals).isPresent()) {
      return new Placed(r.items(), List.of());
    }
    if (own.isEmpty()) {
      Finding doubt =
          Finding.error(
              Stop.PLACE,
              "place.system.unknown",
              file,
              file
                  + " declares "
                  + r.crs()
                  + ", which "
                  + CrsCatalogue.shipped().whyMissing(r.crs())
                  + "; its numbers are taken as "
                  + system.crs().id()
                  + " as they stand.");
      return new Placed(r.items(), List.of(doubt));
    }
    Received out =
        Placer.place(
            file,
            r,
            SourcePlacement.SHARED.withWhere(new SourcePlacement.Where.InSystem(r.crs(), "")),
            Frame.UNPLACED.withCrs(system.crs().id(), system.definition()));
    List<Finding> fresh = new ArrayList<>(out.findings());
    fresh.removeAll(r.findings());
    fresh.stream()
        .filter(f -> f.code().equals("place.failed"))
        .findFirst()
        .ifPresent(
            f -> {
              throw new IllegalArgumentException(
                  f.message().replace(" It is shown as received.", "") + " Nothing was written.");
            });
    fresh.add(
        Finding.note(
            Stop.PLACE,
            "place.transformed",
            file,
            file + " declares " + r.crs() + " and was transformed to " + system.crs().id() + "."));
    return new Placed(out.items(), fresh);
  }

  /** The frame by the options. */
  Frame frame(Optional<SystemOption.Named> system, Box box) {
    Position local = BasePoints.propose(box);
    if (base != null) {
      if (base.size() != 3) {
        throw new IllegalArgumentException("--base needs three numbers: E,N,H.");
      }
      local = new Position(base.get(0), base.get(1), base.get(2));
    }
    Frame frame = Frame.of("", heights, local, rotate).withScale(scale);
    return system.map(s -> frame.withCrs(s.crs().id(), s.definition())).orElse(frame);
  }

  /** Says also early what is wrong with the scale. */
  LocalZero zero(DeliveryFormat format) {
    Frame.UNPLACED.withScale(scale);
    if (zero == null) {
      return format.keepsShared() ? new LocalZero.Shared() : new LocalZero.BasePoint();
    }
    return switch (zero) {
      case "base" -> new LocalZero.BasePoint();
      case "shared" -> new LocalZero.Shared();
      default ->
          throw new IllegalArgumentException("--zero " + zero + " is not one of base, shared.");
    };
  }
}
