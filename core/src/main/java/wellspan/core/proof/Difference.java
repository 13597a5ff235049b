package wellspan.core.proof;

import java.util.Locale;
import java.util.Optional;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Position;

/**
 * One thing in which what arrived is not what was sent.
 *
 * @param item name of the item as sent, empty for the file as a whole
 * @param figure how much, metres for lengths; NaN if there is no figure
 * @param message a sentence
 * @param place where, in shared coordinates, if it has a place
 */
public record Difference(
    What what, String item, double figure, String message, Optional<Position> place) {

  /** What differs. */
  public enum What {
    GEOMETRY,
    TRIANGLES,
    CLOSED,
    LEVEL,
    CLASS,
    TYPE,
    NAME,
    PROPERTY,
    QUANTITY,
    MATERIAL,
    COLOUR,
    LAYER,
    CLASSIFICATION,
    RELATION,
    STRUCTURE,
    UNIT,
    SYSTEM,
    PLACE,
    TEXTURE,
    ID,
    MISSING,
    EXTRA;

    /** The word that stands for it in results. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  static Difference of(What what, String item, String message) {
    return new Difference(what, item, Double.NaN, message, Optional.empty());
  }

  Difference at(Position where) {
    return new Difference(what, item, figure, message, Optional.of(where));
  }

  /** With how much it differs by, metres. */
  Difference by(double metres) {
    return new Difference(what, item, metres, message, place);
  }

  /** As an error of the proof. */
  Finding finding() {
    Finding f = Finding.error(Stop.DELIVER, "proof." + what.word(), item, message);
    Finding placed = place.isPresent() ? f.at(place.get()) : f;
    return Double.isFinite(figure) ? placed.withFigure(Figure.of(1000 * figure, 4, "mm")) : placed;
  }

  static String millimetres(double metres) {
    return String.format(Locale.ROOT, "%.4f mm", 1000 * metres);
  }
}
