package wellspan.core.receive;

import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import wellspan.core.unit.LinearUnit;

/**
 * How the files of a source are read where they can be read in more than one way. It holds for
 * later revisions too. A rule that does not fit a file's format is not looked at.
 */
public sealed interface ReadingRule {
  /** As the reader finds it. */
  AsFound AS_FOUND = new AsFound();

  /** As the reader finds it. */
  record AsFound() implements ReadingRule {}

  /**
   * The columns of a point list.
   *
   * @param separator one of {@link #SEPARATORS}; a space stands for any run of spaces
   * @param headLines lines before the first point, not counting empty ones and remarks
   * @param roles what each column holds; columns beyond are not read
   * @param unit of the numbers; empty for metres, or for what the header says
   */
  record Columns(String separator, int headLines, List<ColumnRole> roles, Optional<LinearUnit> unit)
      implements ReadingRule {
    public static final List<String> SEPARATORS = List.of(",", ";", "\t", " ");

    /** The most lines that may stand before the points. */
    public static final int MOST_HEAD_LINES = 99;

    /**
     * @throws IllegalArgumentException with a sentence, if no places can come out of it
     */
    public Columns {
      roles = List.copyOf(roles);
      if (!SEPARATORS.contains(separator)) {
        throw new IllegalArgumentException(
            "Columns are separated by a comma, a semicolon, a tabulator or spaces.");
      }
      if (headLines < 0 || headLines > MOST_HEAD_LINES) {
        throw new IllegalArgumentException(
            "From 0 to " + MOST_HEAD_LINES + " lines can stand before the points.");
      }
      Set<ColumnRole> seen = new HashSet<>();
      for (ColumnRole r : roles) {
        if (r != ColumnRole.NONE && !seen.add(r)) {
          throw new IllegalArgumentException(
              "Two columns are taken as " + r.word() + ". Choose one of them.");
        }
      }
      boolean plane = seen.contains(ColumnRole.EAST) && seen.contains(ColumnRole.NORTH);
      boolean globe = seen.contains(ColumnRole.LATITUDE) && seen.contains(ColumnRole.LONGITUDE);
      if (plane == globe) {
        throw new IllegalArgumentException(
            plane
                ? "Choose easting and northing, or latitude and longitude, not both."
                : "Say which columns hold easting and northing, or latitude and longitude.");
      }
    }

    public boolean geographic() {
      return roles.contains(ColumnRole.LATITUDE);
    }
  }

  /**
   * Layers of a drawing, or of another file with named groups.
   *
   * @param names of the layers that are taken; the others stay in the file
   */
  record Layers(SortedSet<String> names) implements ReadingRule {
    /**
     * @throws IllegalArgumentException with a sentence, if none is named
     */
    public Layers {
      names = Collections.unmodifiableSortedSet(new TreeSet<>(names));
      if (names.isEmpty()) {
        throw new IllegalArgumentException("Pick at least one layer.");
      }
    }
  }

  /**
   * A part of a point cloud.
   *
   * @param classes numbers of the classes that are taken; empty for all
   * @param every takes each n-th point; 1 for all
   * @param cell takes one point of each square of this side in plan, the lowest of it, metres; 0
   *     for no squares
   */
  record CloudPart(SortedSet<Integer> classes, int every, double cell) implements ReadingRule {
    /**
     * @throws IllegalArgumentException with a sentence
     */
    public CloudPart {
      classes = Collections.unmodifiableSortedSet(new TreeSet<>(classes));
      if (!classes.isEmpty() && (classes.first() < 0 || classes.last() > 255)) {
        throw new IllegalArgumentException("Classes have numbers from 0 to 255.");
      }
      if (every < 1) {
        throw new IllegalArgumentException("Take every point (1), every second (2), and so on.");
      }
      if (!(cell >= 0 && cell <= 10_000)) {
        throw new IllegalArgumentException(
            "The side of a square lies between 0 (none) and 10 000 metres.");
      }
    }
  }
}
