package wellspan.core.finding;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;

/**
 * One thing a check found.
 *
 * @param code stable lower-case words such as {@code terrain.empty}
 * @param item name of the item or file concerned, empty if it concerns the whole job
 * @param subject identity of the item concerned, where it is one of the job's
 * @param place where it is, in shared coordinates, if it has a place
 * @param alsoAt where else it is, if it was found more than once
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
    List<Position> alsoAt,
    Optional<Figure> figure,
    String message) {

  public Finding {
    alsoAt = List.copyOf(alsoAt);
  }

  public static Finding error(Stop stop, String code, String item, String message) {
    return new Finding(
        Severity.ERROR,
        stop,
        code,
        item,
        Optional.empty(),
        Optional.empty(),
        List.of(),
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
        List.of(),
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
        List.of(),
        Optional.empty(),
        message);
  }

  public Finding at(Position where) {
    return at(List.of(where));
  }

  /** The same at all its places; the first one is where it is looked at. */
  public Finding at(List<Position> all) {
    return new Finding(
        severity,
        stop,
        code,
        item,
        subject,
        all.stream().findFirst(),
        all.stream().skip(1).toList(),
        figure,
        message);
  }

  /** Everywhere it is. */
  public List<Position> places() {
    return Stream.concat(place.stream(), alsoAt.stream()).toList();
  }

  public Finding withFigure(Figure value) {
    return new Finding(
        severity, stop, code, item, subject, place, alsoAt, Optional.of(value), message);
  }

  public Finding withSeverity(Severity s) {
    return new Finding(s, stop, code, item, subject, place, alsoAt, figure, message);
  }

  /** The same about an item of the job. */
  public Finding about(ItemId id) {
    return new Finding(severity, stop, code, item, Optional.of(id), place, alsoAt, figure, message);
  }

  public boolean isError() {
    return severity == Severity.ERROR;
  }
}
