package wellspan.core.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.CrsTextException;
import wellspan.core.crs.Transformation;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.unit.LinearUnit;

/** What a source's coordinates could mean, and where it would lie under each meaning. */
public final class Hypotheses {
  /** Work of one job does not spread farther than this, metres. */
  private static final double NEAR = 5_000;

  private static final int OTHER_SYSTEMS = 3;

  /**
   * One meaning.
   *
   * @param title what it assumes, in a few words
   * @param extent where the source would lie, shared coordinates; empty if it cannot be placed so
   * @param gap plan distance to the job's other content, metres; NaN if there is none to compare
   * @param fits whether it lies near the job's other content or, without any, in the area of use
   */
  public record Hypothesis(
      String title, SourcePlacement placement, Box extent, double gap, boolean fits) {}

  private final Box raw;
  private final Frame frame;
  private final Box reference;
  private final Optional<Crs> crs;

  private Hypotheses(Box raw, Frame frame, Box reference) {
    this.raw = raw;
    this.frame = frame;
    this.reference = reference;
    crs = frame.system().filter(Crs::projected);
  }

  /**
   * All meanings, fitting ones first, nearest first.
   *
   * @param raw extent of the source as received, metres of its declared unit
   * @param declared the system that the source declares, may be empty
   * @param reference extent of the job's other content, may be empty
   */
  public static List<Hypothesis> of(Box raw, String declared, Frame frame, Box reference) {
    if (raw.isEmpty()) {
      return List.of();
    }
    return new Hypotheses(raw, frame, reference).all(declared);
  }

  /** One meaning judged. */
  public static Hypothesis judge(
      String title, Box raw, SourcePlacement placement, Frame frame, Box reference) {
    return new Hypotheses(raw, frame, reference).judged(title, placement);
  }

  private List<Hypothesis> all(String declared) {
    List<Hypothesis> out = new ArrayList<>();
    SourcePlacement shared = SourcePlacement.SHARED;
    out.add(judged("shared coordinates as they stand", shared));
    if (!declared.isEmpty()
        && !declared.equalsIgnoreCase(frame.crs())
        && CrsCatalogue.shipped().find(declared).isPresent()) {
      out.add(
          judged(
              "transformed from " + declared + ", as declared",
              shared.withWhere(new SourcePlacement.Where.InSystem(declared, ""))));
    }
    out.add(judged("eastings and northings exchanged", shared.withSwapped(true)));
    SourcePlacement.Where local =
        new SourcePlacement.Where.Local(frame.basePoint(), frame.rotationDegrees(), frame.scale());
    for (LinearUnit u :
        List.of(
            LinearUnit.MILLIMETRE,
            LinearUnit.FOOT,
            LinearUnit.US_SURVEY_FOOT,
            LinearUnit.KILOMETRE)) {
      SourcePlacement scaled = shared.withUnitFactor(u.metres());
      out.add(judged("numbers are " + u.title() + ", not metre", scaled));
      if (u == LinearUnit.MILLIMETRE) {
        out.add(judged("numbers are millimetre, exchanged axes", scaled.withSwapped(true)));
        out.add(
            judged("millimetre, local to the base point and site north", scaled.withWhere(local)));
      }
    }
    out.add(
        judged("numbers are metre, not foot", shared.withUnitFactor(1 / LinearUnit.FOOT.metres())));
    out.add(judged("local to the base point and site north", shared.withWhere(local)));
    if (frame.rotationDegrees() != 0) {
      out.add(
          judged(
              "local to the base point, axes along the grid",
              shared.withWhere(new SourcePlacement.Where.Local(frame.basePoint(), 0, 1))));
    }
    otherSystems().forEach(out::add);
    out.sort(
        Comparator.comparing((Hypothesis h) -> !h.fits())
            .thenComparingDouble(h -> Double.isNaN(h.gap()) ? 0 : h.gap()));
    return List.copyOf(out);
  }

  /** Systems valid at the job in which the source's numbers mean a place near the job. */
  private List<Hypothesis> otherSystems() {
    Optional<PlaceStatement.LonLat> at =
        reference.isEmpty()
            ? Optional.empty()
            : Contradictions.geographic(frame.withBasePoint(reference.centreAtZero()));
    if (at.isEmpty()) {
      return List.of();
    }
    List<Hypothesis> out = new ArrayList<>();
    // systems that mean the same place as the numbers themselves or as each other are one meaning
    List<Position> seen = new ArrayList<>(List.of(raw.centreAtZero()));
    String base = crs.map(Crs::base).orElse("");
    List<Crs> around =
        new ArrayList<>(
            CrsCatalogue.shipped().validAround(at.get().longitude(), at.get().latitude(), 6));
    around.sort(Comparator.comparing(c -> !c.base().equals(base))); // the job's own datum first
    for (Crs c : around) {
      if (c.id().equals(frame.crs()) || !near(c, at.get())) {
        continue;
      }
      Hypothesis h =
          judged(
              "coordinates of " + c.id() + " " + c.name(),
              SourcePlacement.SHARED.withWhere(new SourcePlacement.Where.InSystem(c.id(), "")));
      Position there = h.extent().centreAtZero();
      boolean another = seen.stream().noneMatch(o -> o.planDistanceTo(there) < 0.01);
      if (h.fits() && another) {
        seen.add(there);
        out.add(h);
      }
    }
    out.sort(Comparator.comparingDouble(Hypothesis::gap));
    return out.subList(0, Math.min(OTHER_SYSTEMS, out.size()));
  }

  private boolean near(Crs c, PlaceStatement.LonLat at) {
    try {
      double[] there = new Transformation(Crs.WGS84, c).apply(at.longitude(), at.latitude());
      Position centre = raw.centre();
      return Math.hypot(
              there[0] * c.metresPerUnit() - centre.east(),
              there[1] * c.metresPerUnit() - centre.north())
          < NEAR + Math.hypot(raw.width(), raw.depth());
    } catch (Transformation.OutsideAreaException | IllegalArgumentException e) {
      return false;
    }
  }

  private Hypothesis judged(String title, SourcePlacement placement) {
    Box there = placed(placement);
    if (there.isEmpty()) {
      return new Hypothesis(title, placement, there, Double.NaN, false);
    }
    if (reference.isEmpty()) {
      return new Hypothesis(title, placement, there, Double.NaN, inArea(there));
    }
    double gap =
        Math.hypot(
            Math.max(0, Math.max(there.minE() - reference.maxE(), reference.minE() - there.maxE())),
            Math.max(
                0, Math.max(there.minN() - reference.maxN(), reference.minN() - there.maxN())));
    double size = Math.hypot(there.width(), there.depth());
    double usual = Math.hypot(reference.width(), reference.depth());
    boolean sensible = size < 100 * (usual + 100) && (size > 0.001 * usual || size == 0);
    return new Hypothesis(title, placement, there, gap, gap < NEAR && sensible);
  }

  private boolean inArea(Box there) {
    if (crs.isEmpty()) {
      return false;
    }
    Frame centred = frame.withBasePoint(there.centreAtZero());
    return Contradictions.geographic(centred)
        .filter(l -> crs.get().covers(l.longitude(), l.latitude()))
        .isPresent();
  }

  private Box placed(SourcePlacement placement) {
    double h = raw.hasLevels() ? raw.minH() : Double.NaN;
    double top = raw.hasLevels() ? raw.maxH() : Double.NaN;
    Position[] corners = {
      new Position(raw.minE(), raw.minN(), h),
      new Position(raw.maxE(), raw.minN(), top),
      new Position(raw.maxE(), raw.maxN(), h),
      new Position(raw.minE(), raw.maxN(), top)
    };
    double[] xyz = new double[12];
    try {
      for (int i = 0; i < corners.length; i++) {
        Position p = Placer.place(corners[i], placement, frame);
        xyz[3 * i] = p.east();
        xyz[3 * i + 1] = p.north();
        xyz[3 * i + 2] = p.level();
      }
    } catch (Transformation.OutsideAreaException
        | HelmertFit.NoFitException
        | CrsTextException
        | IllegalArgumentException e) {
      return Box.EMPTY;
    }
    return Box.of(xyz);
  }
}
