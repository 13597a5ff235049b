package wellspan.core.place;

import static wellspan.core.finding.Stop.PLACE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.MovedAlignment;
import wellspan.core.attribute.Connection;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.CrsTextException;
import wellspan.core.crs.DatumAccuracy;
import wellspan.core.crs.OwnSystem;
import wellspan.core.crs.Transformation;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.item.Item;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.picture.Texture;
import wellspan.core.receive.Received;
import wellspan.core.shape.Mover;

/** Brings what a reader found into the shared coordinates of a job. */
public final class Placer {
  /** An alignment may depart from its exact transformation by this much without a word, metres. */
  private static final double QUIET = 5e-4;

  private final List<Finding> findings = new ArrayList<>();
  private final String source;
  private final Optional<Position> middle;
  private Optional<Crs> declared = Optional.empty();

  /**
   * @param middle of what is placed, as received
   */
  private Placer(String source, Optional<Position> middle) {
    this.source = source;
    this.middle = middle;
  }

  /**
   * What the source holds, in shared coordinates, with findings on how it got there. If it cannot
   * be placed it stays where it is and an error finding says why.
   *
   * @param source name of the source, for findings
   */
  public static Received place(String source, Received raw, SourcePlacement how, Frame job) {
    if (how.equals(SourcePlacement.SHARED)) {
      return raw;
    }
    Placer p =
        new Placer(
            source, raw.bounds().isEmpty() ? Optional.empty() : Optional.of(raw.bounds().centre()));
    List<Item> placed = raw.items();
    try {
      List<PointMap> maps = p.maps(how, job);
      List<Item> moved = new ArrayList<>();
      for (Item item : raw.items()) {
        Item here = item;
        for (PointMap m : maps) {
          here = p.move(here, m);
        }
        moved.add(here);
      }
      placed = moved;
      p.checkArea(moved, job);
    } catch (Transformation.OutsideAreaException
        | HelmertFit.NoFitException
        | CrsTextException
        | IllegalArgumentException e) {
      p.findings.add(
          Finding.error(
              PLACE,
              "place.failed",
              source,
              source + " is not placed: " + e.getMessage() + " It is shown as received."));
    }
    List<Finding> all = new ArrayList<>(raw.findings());
    if (how.unitFactor() != 1) { // the placement says the unit
      all.removeIf(f -> f.code().equals("units.missing"));
    }
    all.addAll(p.findings);
    return raw.withItems(placed, all);
  }

  /**
   * The same with eastings and northings in metres, if they are in the unit of a system that counts
   * in another one. Levels stay as they are, since a system in plan says nothing of them.
   */
  public static Received planInMetres(Received raw, Crs system) {
    if (!system.projected() || system.metresPerUnit() == 1) {
      return raw;
    }
    Placer p = new Placer("", Optional.empty());
    List<Item> items = new ArrayList<>();
    try {
      for (Item item : raw.items()) {
        items.add(p.move(item, new PointMap.PlanUnit(system.metresPerUnit())));
      }
    } catch (Transformation.OutsideAreaException e) {
      throw new IllegalStateException("a change of unit is defined everywhere", e);
    }
    List<Finding> findings = new ArrayList<>(raw.findings());
    if (raw.bounds().hasLevels()) {
      findings.add(
          Finding.warning(
              Stop.RECEIVE,
              "units.levels",
              "",
              "The system "
                  + system.id()
                  + " counts in "
                  + system.unit()
                  + ": eastings and northings were brought to metres. It says nothing of the levels; they are taken in metres. Ask for their unit."));
    }
    return raw.withItems(items, findings).withUnit(system.unit());
  }

  /** One position of a source in shared coordinates. */
  public static Position place(Position raw, SourcePlacement how, Frame job)
      throws Transformation.OutsideAreaException, HelmertFit.NoFitException, CrsTextException {
    Position p = raw;
    for (PointMap m : new Placer("", Optional.of(raw)).maps(how, job)) {
      p = m.apply(p);
    }
    return p;
  }

  /** The system named, from the catalogue or from its text. */
  static Crs system(String crs, String definition) throws CrsTextException {
    if (!definition.isEmpty()) {
      return OwnSystem.of(crs, definition);
    }
    Optional<Crs> known = CrsCatalogue.shipped().find(crs);
    return known.orElseThrow(
        () ->
            new IllegalArgumentException(crs + " " + CrsCatalogue.shipped().whyMissing(crs) + "."));
  }

  private List<PointMap> maps(SourcePlacement how, Frame job)
      throws HelmertFit.NoFitException, CrsTextException {
    List<PointMap> out = new ArrayList<>();
    if (how.swapped()) {
      out.add(new PointMap.Swap());
    }
    if (how.unitFactor() != 1) {
      out.add(new PointMap.Unit(how.unitFactor()));
    }
    switch (how.where()) {
      case SourcePlacement.Where.AlreadyShared s -> {}
      case SourcePlacement.Where.InSystem s -> {
        Crs to =
            job.system()
                .orElseThrow(
                    () ->
                        new IllegalArgumentException(
                            "the job has no coordinate reference system to transform to."));
        Crs from = system(s.crs(), s.definition());
        report(accuracy(from, to, how));
        out.add(new PointMap.Reprojected(from, to));
        declared = Optional.of(from);
      }
      case SourcePlacement.Where.Local l -> out.add(new PointMap.Turned(l.toShared()));
      case SourcePlacement.Where.Fitted f -> {
        HelmertFit fit = HelmertFit.solve(f.pairs(), f.scaleFree());
        report(fit);
        out.add(new PointMap.Turned(fit.similarity()));
      }
    }
    return out;
  }

  /** Says if the work lies outside the area that the source's own system is made for. */
  private void checkArea(List<Item> placed, Frame job) {
    Box box = placed.stream().map(Item::bounds).reduce(Box.EMPTY, Box::union);
    if (declared.isEmpty() || box.isEmpty()) {
      return;
    }
    Crs crs = declared.get();
    Contradictions.geographic(job.withBasePoint(box.centreAtZero()))
        .filter(l -> !crs.covers(l.longitude(), l.latitude()))
        .ifPresent(
            l ->
                findings.add(
                    Finding.warning(
                            PLACE,
                            "place.area",
                            source,
                            source
                                + ": "
                                + crs.id()
                                + " is made for "
                                + crs.area().name()
                                + ", the work lies outside. Check that this system is meant.")
                        .at(box.centre())));
  }

  /** At the middle of what is placed. */
  private DatumAccuracy accuracy(Crs from, Crs to, SourcePlacement how) {
    if (middle.isEmpty()) {
      return DatumAccuracy.between(from, to);
    }
    double x = (how.swapped() ? middle.get().north() : middle.get().east()) * how.unitFactor();
    double y = (how.swapped() ? middle.get().east() : middle.get().north()) * how.unitFactor();
    return new Transformation(from, to).accuracyAt(x, y);
  }

  private void report(DatumAccuracy accuracy) {
    for (String sentence : accuracy.sentences()) {
      findings.add(
          Finding.warning(PLACE, "place.datum", source, source + ": " + sentence)
              .withFigure(Figure.of(accuracy.metres(), 1, "m")));
    }
  }

  private void report(HelmertFit fit) {
    for (HelmertFit.Residual r : fit.residuals()) {
      if (r.gross()) {
        findings.add(
            Finding.warning(
                    PLACE,
                    "place.fit.gross",
                    source,
                    String.format(
                        Locale.ROOT,
                        "%s: the pair %s is out of line with the others by %.1f mm in plan and %.1f mm in height. Check it, or switch it off.",
                        source,
                        r.pair().name(),
                        1000 * r.plan(),
                        1000 * Math.abs(r.height())))
                .at(r.pair().shared())
                .withFigure(Figure.of(1000 * r.plan(), 1, "mm")));
      }
    }
  }

  private Item move(Item item, PointMap m) throws Transformation.OutsideAreaException {
    Optional<Texture> texture = moved(item.name(), item.attributes().texture(), m);
    Optional<Connection> connection = moved(item.attributes().connection(), m);
    return item.with(item.shape().moved(new Moving(item.name(), m)))
        .with(item.attributes().withTexture(texture).withConnection(connection));
  }

  private static Optional<Connection> moved(Optional<Connection> connection, PointMap m)
      throws Transformation.OutsideAreaException {
    if (connection.isEmpty()) {
      return connection;
    }
    List<Connection.Port> ports = new ArrayList<>();
    for (Connection.Port p : connection.get().ports()) {
      ports.add(p.at(m.apply(p.at())));
    }
    return Optional.of(new Connection(connection.get().network(), connection.get().type(), ports));
  }

  /** A shape of a name by one step; what of it cannot follow is said. */
  private final class Moving implements Mover<Transformation.OutsideAreaException> {
    private final String name;
    private final PointMap step;

    Moving(String name, PointMap step) {
      this.name = name;
      this.step = step;
    }

    @Override
    public double[] points(double[] xyz) throws Transformation.OutsideAreaException {
      return step.apply(xyz);
    }

    @Override
    public Alignment alignment(Alignment a) throws Transformation.OutsideAreaException {
      return move(a, step);
    }

    @Override
    public PicturePlace picture(Pixels pixels, PicturePlace place)
        throws Transformation.OutsideAreaException {
      return moved(name, pixels, place, step);
    }

    @Override
    public Optional<Similarity> similarity() {
      return step.similarity();
    }
  }

  private Optional<Texture> moved(String name, Optional<Texture> texture, PointMap m)
      throws Transformation.OutsideAreaException {
    if (texture.isEmpty()) {
      return texture;
    }
    Pixels pixels = texture.get().pixels();
    return Optional.of(new Texture(pixels, moved(name, pixels, texture.get().place(), m)));
  }

  /** A picture stays a parallelogram; where that departs by more than a pixel it is said. */
  private PicturePlace moved(String name, Pixels pixels, PicturePlace place, PointMap m)
      throws Transformation.OutsideAreaException {
    PicturePlace to = new PicturePlace(m.apply(place.corners()));
    Position centre =
        m.apply(new Position(place.east(0.5, 0.5), place.north(0.5, 0.5), Double.NaN));
    double off = Math.hypot(to.east(0.5, 0.5) - centre.east(), to.north(0.5, 0.5) - centre.north());
    if (off > to.width() / pixels.width()) {
      findings.add(
          Finding.warning(
                  PLACE,
                  "place.image",
                  source,
                  String.format(
                      Locale.ROOT,
                      "%s is laid by its corners in the other system; its middle is off by %.1f m.",
                      name,
                      off))
              .at(centre)
              .withFigure(Figure.of(off, 1, "m")));
    }
    return to;
  }

  private Alignment move(Alignment a, PointMap m) throws Transformation.OutsideAreaException {
    return switch (m) {
      case PointMap.Swap s -> MovedAlignment.swapped(a);
      case PointMap.Unit u -> MovedAlignment.inUnit(u.factor(), a);
      case PointMap.PlanUnit u ->
          MovedAlignment.by(
              new Similarity(new Position(0, 0, 0), new Position(0, 0, 0), 0, u.factor()), a);
      case PointMap.Turned t -> MovedAlignment.by(t.how(), a);
      case PointMap.Reprojected r -> reprojected(a, r);
    };
  }

  /**
   * Lines, arcs and spirals do not stay such under a change of projection. The alignment keeps its
   * elements and is laid by the similarity that fits its transformed points best; how far that
   * departs is said.
   */
  private Alignment reprojected(Alignment a, PointMap.Reprojected r)
      throws Transformation.OutsideAreaException {
    List<PointPair> pairs = new ArrayList<>();
    for (AlignmentPoint p : a.everyWithEnds(Math.max(1, a.length() / 2000))) {
      Position from = new Position(p.east(), p.north(), Double.NaN);
      pairs.add(new PointPair("", from, r.apply(from), true));
    }
    HelmertFit fit;
    try {
      fit = HelmertFit.solve(pairs, true);
    } catch (HelmertFit.NoFitException e) {
      throw new IllegalArgumentException(e.getMessage(), e);
    }
    HelmertFit.Residual worst = fit.residuals().getFirst();
    for (HelmertFit.Residual each : fit.residuals()) {
      worst = each.plan() > worst.plan() ? each : worst;
    }
    Similarity s = fit.similarity();
    if (worst.plan() > QUIET) {
      findings.add(
          Finding.warning(
                  PLACE,
                  "place.alignment",
                  source,
                  String.format(
                      Locale.ROOT,
                      "%s keeps its lines, arcs and spirals in the other system and departs from the point-by-point transformation by up to %.1f mm.",
                      a.name(),
                      1000 * worst.plan()))
              .at(worst.pair().shared())
              .withFigure(Figure.of(1000 * worst.plan(), 1, "mm")));
    }
    return MovedAlignment.by(s, a);
  }
}
