package wellspan.core.finding;

import java.util.Optional;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;

/**
 * One thing a check found.
 *
 * @param code stable lower-case words such as {@code terrain.empty}
 * @param item name of the item or file concerned, empty if it concerns the whole job
 * @param subject identity of the item concerned, where it is one of the job's
 * @param place where it is, in shared coordinates, if it has a place
 * @param figure the measured value, if there is one
 * @param message a sentence that says what is wrong and what to do
 */
public record Finding(
    Severity severity,
    Stop stop,
    String code,
    String item,
    Optional<ItemId> subject,
    Optional<Position> place,
    Optional<Figure> figure,
    String message) {

  public static Finding error(Stop stop, String code, String item, String message) {
    return new Finding(
        Severity.ERROR,
        stop,
        code,
        item,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        message);
  }

  public static Finding warning(Stop stop, String code, String item, String message) {
    return new Finding(
        Severity.WARNING,
        stop,
        code,
        item,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        message);
  }

  public static Finding note(Stop stop, String code, String item, String message) {
    return new Finding(
        Severity.NOTE,
        stop,
        code,
        item,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        message);
  }

  public Finding at(Position where) {
    return new Finding(severity, stop, code, item, subject, Optional.of(where), figure, message);
  }

  public Finding withFigure(Figure value) {
    return new Finding(severity, stop, code, item, subject, place, Optional.of(value), message);
  }

  public Finding withSeverity(Severity s) {
    return new Finding(s, stop, code, item, subject, place, figure, message);
  }

  /** The same about an item of the job. */
  public Finding about(ItemId id) {
    return new Finding(severity, stop, code, item, Optional.of(id), place, figure, message);
  }

  public boolean isError() {
    return severity == Severity.ERROR;
  }
}
