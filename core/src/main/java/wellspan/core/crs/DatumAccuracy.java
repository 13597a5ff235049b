package wellspan.core.crs;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * How far a transformation may be off because of the datums of its two systems.
 *
 * @param sameDatum both systems are based on the same geographic system, so no datum shift is made
 * @param metres what the EPSG dataset states, of both shifts together (root of the squares); 0 for
 *     the same datum; NaN where it is not known
 * @param sentences what a user must know: unknown shifts, grid files that would do better
 */
public record DatumAccuracy(boolean sameDatum, double metres, List<String> sentences) {

  public DatumAccuracy {
    sentences = List.copyOf(sentences);
  }

  /** Between systems wherever both are used. */
  public static DatumAccuracy between(Crs from, Crs to) {
    return between(from, to, KnownShifts.everywhere(from), KnownShifts.everywhere(to));
  }

  /**
   * At one place: accuracies and grid files hold for areas.
   *
   * @param longitude degrees, as is the latitude
   */
  public static DatumAccuracy at(Crs from, Crs to, double longitude, double latitude) {
    return between(
        from,
        to,
        KnownShifts.at(from, longitude, latitude),
        KnownShifts.at(to, longitude, latitude));
  }

  private static DatumAccuracy between(Crs from, Crs to, DatumShift fromShift, DatumShift toShift) {
    boolean same =
        !from.base().isEmpty() && from.base().equals(to.base()) || from.isOwn() && from.equals(to);
    if (same) {
      return new DatumAccuracy(true, 0, List.of());
    }
    List<String> sentences = new ArrayList<>();
    for (Crs crs : List.of(from, to)) {
      DatumShift s = crs.equals(from) ? fromShift : toShift;
      if (!crs.hasDatumShift()) {
        sentences.add(
            "The way from "
                + crs.id()
                + " ("
                + crs.datum()
                + ") to WGS 84 is not known here; positions may be off by hundreds of metres."
                + (s.grid().isEmpty()
                    ? ""
                    : String.format(
                        Locale.ROOT,
                        " The grid file %s would reach %s and is not there.",
                        s.grid(),
                        metres(s.gridAccuracy()))));
      } else if (!s.grid().isEmpty()) {
        sentences.add(
            String.format(
                Locale.ROOT,
                "%s: the grid file %s would reach %s and is not there; without it %s is left.",
                crs.id(),
                s.grid(),
                metres(s.gridAccuracy()),
                Double.isNaN(s.accuracy())
                    ? "an unknown accuracy"
                    : "an accuracy of " + metres(s.accuracy())));
      } else if (Double.isNaN(s.accuracy())) {
        sentences.add(
            "The accuracy of the datum shift of " + crs.id() + " is not stated for this place.");
      } else if (s.accuracy() >= 0.5) {
        sentences.add(
            "The datum shift of " + crs.id() + " is good to " + metres(s.accuracy()) + ".");
      }
    }
    return new DatumAccuracy(
        false, Math.hypot(fromShift.accuracy(), toShift.accuracy()), sentences);
  }

  private static String metres(double m) {
    return m >= 1
        ? String.format(Locale.ROOT, "%.0f m", m)
        : String.format(Locale.ROOT, "%.2f m", m);
  }
}
