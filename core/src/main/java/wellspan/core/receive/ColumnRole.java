package wellspan.core.receive;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a column of a point list holds. */
public enum ColumnRole {
  NAME("name"),
  EAST("easting"),
  NORTH("northing"),
  HEIGHT("height"),
  CODE("code"),
  LATITUDE("latitude"),
  LONGITUDE("longitude"),
  /** Something that is not read. */
  NONE("not read");

  private final String word;

  ColumnRole(String word) {
    this.word = word;
  }

  /** For people and files. */
  public String word() {
    return word;
  }

  /**
   * By its word or the beginning of it; {@code n} is the northing, {@code -} a column that is not
   * read.
   */
  public static Optional<ColumnRole> named(String text) {
    String t = text.strip().toLowerCase(Locale.ROOT);
    return switch (t) {
      case "", "-" -> Optional.of(NONE);
      case "n" -> Optional.of(NORTH);
      case "l" -> Optional.empty(); // latitude or longitude
      default -> Arrays.stream(values()).filter(r -> r.word.startsWith(t)).findFirst();
    };
  }
}
