package wellspan.core.job;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.ReadingRule;

/**
 * A received file over all its revisions, oldest first; there is at least one.
 *
 * @param placement how its coordinates become shared ones; it holds for later revisions too
 * @param reading how its files are read; it holds for later revisions too
 */
public record Source(
    String name, List<Revision> revisions, SourcePlacement placement, ReadingRule reading) {

  public Source {
    revisions = List.copyOf(revisions);
    if (revisions.isEmpty()) {
      throw new IllegalArgumentException("a source has at least one revision");
    }
  }

  /** A source just received, taken to be in shared coordinates. */
  public static Source of(String name, Revision first) {
    return new Source(name, List.of(first), SourcePlacement.SHARED, ReadingRule.AS_FOUND);
  }

  public Revision current() {
    return revisions.getLast();
  }

  public Source withRevision(Revision next) {
    List<Revision> all = new ArrayList<>(revisions);
    all.add(next);
    return new Source(name, all, placement, reading);
  }

  public Source withPlacement(SourcePlacement p) {
    return new Source(name, revisions, p, reading);
  }

  public Source withReading(ReadingRule rule) {
    return new Source(name, revisions, placement, rule);
  }
}
