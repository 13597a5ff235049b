package wellspan.cli;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import wellspan.core.unit.Angles;

/**
 * A place as people write it: with decimal commas, or as degrees, minutes and seconds with the
 * sides of the world, latitude first or last.
 *
 * @param x easting or longitude (degrees)
 * @param y northing or latitude (degrees)
 * @param rest what stands after them
 */
record WrittenPlace(double x, double y, String rest) {
  private static final Pattern BETWEEN = Pattern.compile("[\\s;]+|,\\s+");
  private static final Pattern DECIMAL = Pattern.compile("[-+]?\\d+([.,]\\d+)?");
  private static final Pattern LATITUDE = Pattern.compile(".*[NSns]");
  private static final Pattern LONGITUDE = Pattern.compile(".*[EWOewo]");

  /** Empty if the line does not hold two numbers or angles, and one more word at most. */
  static Optional<WrittenPlace> of(String line) {
    String[] words = BETWEEN.split(line.strip());
    if (words.length < 2 || words.length > 3) {
      return Optional.empty();
    }
    OptionalDouble first = value(words[0]);
    OptionalDouble second = value(words[1]);
    if (first.isEmpty() || second.isEmpty()) {
      return Optional.empty();
    }
    boolean latitudeFirst =
        LATITUDE.matcher(words[0]).matches() && LONGITUDE.matcher(words[1]).matches();
    double x = latitudeFirst ? second.getAsDouble() : first.getAsDouble();
    double y = latitudeFirst ? first.getAsDouble() : second.getAsDouble();
    return Optional.of(new WrittenPlace(x, y, words.length == 3 ? words[2] : ""));
  }

  private static OptionalDouble value(String word) {
    return DECIMAL.matcher(word).matches()
        ? OptionalDouble.of(Double.parseDouble(word.replace(',', '.')))
        : Angles.degrees(word);
  }
}
