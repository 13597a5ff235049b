package wellspan.core.place;

import java.util.List;
import java.util.Locale;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.unit.LinearUnit;

/**
 * How the coordinates of a source, as its reader gives them in metres of the unit it declares,
 * become shared ones: first the axes are swapped if they were exchanged, then the unit is put
 * right, then the place.
 *
 * @param swapped whether eastings and northings were exchanged in the source
 * @param unitFactor by which all three coordinates are multiplied; 1 if the declared unit is right
 */
public record SourcePlacement(boolean swapped, double unitFactor, Where where) {
  public static final SourcePlacement SHARED =
      new SourcePlacement(false, 1, new Where.AlreadyShared());

  /**
   * @throws IllegalArgumentException if the factor is not above 0
   */
  public SourcePlacement {
    if (!(unitFactor > 0) || Double.isInfinite(unitFactor)) {
      throw new IllegalArgumentException("The unit factor must be a number above 0.");
    }
  }

  /** What the source's coordinates refer to. */
  public sealed interface Where {
    /** They are shared coordinates of the job already. */
    record AlreadyShared() implements Where {}

    /**
     * They are of another reference system and are transformed.
     *
     * @param crs authority and code, or the name of an own system
     * @param definition text of an own system, otherwise empty
     */
    record InSystem(String crs, String definition) implements Where {}

    /**
     * They are local ones with a known zero.
     *
     * @param basePoint shared position of the source's zero
     * @param rotationDegrees angle from grid north clockwise to the source's y axis
     * @param scale source plan length over grid plan length
     */
    record Local(Position basePoint, double rotationDegrees, double scale) implements Where {
      public Similarity toShared() {
        return new Similarity(
                basePoint, new Position(0, 0, 0), Math.toRadians(rotationDegrees), scale)
            .inverse();
      }
    }

    /**
     * They are local ones, placed by point pairs. Pairs are in source coordinates after swap and
     * unit.
     */
    record Fitted(List<PointPair> pairs, boolean scaleFree) implements Where {
      public Fitted {
        pairs = List.copyOf(pairs);
      }
    }
  }

  public SourcePlacement withWhere(Where w) {
    return new SourcePlacement(swapped, unitFactor, w);
  }

  public SourcePlacement withSwapped(boolean s) {
    return new SourcePlacement(s, unitFactor, where);
  }

  public SourcePlacement withUnitFactor(double f) {
    return new SourcePlacement(swapped, f, where);
  }

  /** What it says, in a few words. */
  public String summary() {
    String place =
        switch (where) {
          case Where.AlreadyShared s -> "shared coordinates";
          case Where.InSystem s -> "transformed from " + s.crs();
          case Where.Local l ->
              String.format(
                  Locale.ROOT,
                  "local, zero at E %.3f N %.3f, turned %.4f°",
                  l.basePoint().east(),
                  l.basePoint().north(),
                  l.rotationDegrees());
          case Where.Fitted f -> {
            long used = f.pairs().stream().filter(PointPair::used).count();
            yield "fitted by "
                + (used == 1 ? "1 point pair" : used + " point pairs")
                + (f.scaleFree() ? "" : ", scale 1");
          }
        };
    return place
        + (unitFactor == 1
            ? ""
            : ", read as "
                + LinearUnit.nearest(unitFactor).map(LinearUnit::title).orElse("× " + unitFactor))
        + (swapped ? ", axes exchanged" : "");
  }
}
