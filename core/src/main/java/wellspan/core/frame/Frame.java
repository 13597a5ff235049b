package wellspan.core.frame;

import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.CrsTextException;
import wellspan.core.crs.OwnSystem;
import wellspan.core.crs.WellKnownTexts;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.unit.LinearUnit;

/**
 * Where a job lies. Shared coordinates are those of the CRS in metres (E, N, H); local coordinates
 * (x, y, z) have their zero at the base point, their y axis along site north and plan lengths of
 * {@code scale} times those on the grid.
 *
 * @param crs authority and code such as {@code EPSG:25832}, or the name of a system of the job's
 *     own; empty while not known
 * @param definition WKT or PROJ text of a system of the job's own, empty for catalogue systems
 * @param verticalDatum name of the height system as a label, may be empty
 * @param ellipsoidOffset ellipsoidal height minus level, metres, as a constant for the site; NaN
 *     while not known
 * @param basePoint the shared position that becomes the local zero
 * @param rotationDegrees angle from grid north clockwise to site north
 * @param scale local plan length over grid plan length: 1 on the grid, 1/combined factor on the
 *     ground; levels are never scaled
 * @param unit in which local coordinates are shown and new deliveries are written
 * @param lock why the frame is locked, empty while it is open
 */
public record Frame(
    String crs,
    String definition,
    String verticalDatum,
    double ellipsoidOffset,
    Position basePoint,
    double rotationDegrees,
    double scale,
    LinearUnit unit,
    String lock) {

  public static final Frame UNPLACED = of("", "", new Position(0, 0, 0), 0);

  /**
   * @throws IllegalArgumentException if the base point, rotation or scale is not a finite number
   */
  public Frame {
    if (!Double.isFinite(basePoint.east() + basePoint.north() + basePoint.level())
        || !Double.isFinite(rotationDegrees)) {
      throw new IllegalArgumentException("Base point and rotation must be finite numbers.");
    }
    if (!(scale > 0.1 && scale < 10)) {
      throw new IllegalArgumentException(
          "The horizontal scale must be a number near 1; it was " + scale + ".");
    }
  }

  /** An open frame on the grid, in metres, in a system of the catalogue. */
  public static Frame of(
      String crs, String verticalDatum, Position basePoint, double rotationDegrees) {
    return new Frame(
        crs, "", verticalDatum, Double.NaN, basePoint, rotationDegrees, 1, LinearUnit.METRE, "");
  }

  /** Whether local coordinates are the shared ones. */
  public boolean isShared() {
    return basePoint.equals(new Position(0, 0, 0)) && rotationDegrees == 0 && scale == 1;
  }

  /** WKT 1 of its system, where there is one: its own, or the catalogue's. */
  public Optional<String> wellKnownText() {
    return definition.contains("[")
        ? Optional.of(definition)
        : system().filter(c -> !c.isOwn()).flatMap(WellKnownTexts::of);
  }

  public boolean isLocked() {
    return !lock.isEmpty();
  }

  /** The reference system, empty while none is chosen or if it is not known. */
  public Optional<Crs> system() {
    if (crs.isEmpty()) {
      return Optional.empty();
    }
    if (definition.isEmpty()) {
      return CrsCatalogue.shipped().find(crs);
    }
    try {
      return Optional.of(OwnSystem.of(crs, definition));
    } catch (CrsTextException e) {
      return Optional.empty();
    }
  }

  /** The map from shared to local coordinates, both in metres. */
  public Similarity local() {
    return new Similarity(basePoint, new Position(0, 0, 0), Math.toRadians(rotationDegrees), scale);
  }

  /** Shared to local coordinates: a shift to the base point, a turn by the rotation, the scale. */
  public Position toLocal(Position shared) {
    return local().apply(shared);
  }

  /** Local to shared coordinates, the inverse of {@link #toLocal}. */
  public Position toShared(Position local) {
    return local().inverse().apply(local);
  }

  /**
   * What of the frame reaches a delivered file: no lock, no unit of its own, no offset to the
   * ellipsoid.
   */
  public Frame asDelivered() {
    return withLock("").withUnit(LinearUnit.METRE).withHeights(verticalDatum, Double.NaN);
  }

  /** Another system; its definition is empty for one of the catalogue. */
  public Frame withCrs(String code, String text) {
    return new Frame(
        code, text, verticalDatum, ellipsoidOffset, basePoint, rotationDegrees, scale, unit, lock);
  }

  public Frame withCrs(String code) {
    return withCrs(code, "");
  }

  public Frame withHeights(String label, double offset) {
    return new Frame(crs, definition, label, offset, basePoint, rotationDegrees, scale, unit, lock);
  }

  public Frame withVerticalDatum(String label) {
    return withHeights(label, ellipsoidOffset);
  }

  public Frame withBasePoint(Position point) {
    return new Frame(
        crs, definition, verticalDatum, ellipsoidOffset, point, rotationDegrees, scale, unit, lock);
  }

  public Frame withRotation(double degrees) {
    return new Frame(
        crs, definition, verticalDatum, ellipsoidOffset, basePoint, degrees, scale, unit, lock);
  }

  public Frame withScale(double factor) {
    return new Frame(
        crs,
        definition,
        verticalDatum,
        ellipsoidOffset,
        basePoint,
        rotationDegrees,
        factor,
        unit,
        lock);
  }

  public Frame withUnit(LinearUnit u) {
    return new Frame(
        crs,
        definition,
        verticalDatum,
        ellipsoidOffset,
        basePoint,
        rotationDegrees,
        scale,
        u,
        lock);
  }

  public Frame withLock(String reason) {
    return new Frame(
        crs,
        definition,
        verticalDatum,
        ellipsoidOffset,
        basePoint,
        rotationDegrees,
        scale,
        unit,
        reason);
  }
}
