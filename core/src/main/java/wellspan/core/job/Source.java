package wellspan.core.job;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.place.SourcePlacement;

/**
 * A received file over all its revisions, oldest first; there is at least one.
 *
 * @param placement how its coordinates become shared ones; it holds for later revisions too
 */
public record Source(String name, List<Revision> revisions, SourcePlacement placement) {

  public Source {
    revisions = List.copyOf(revisions);
    if (revisions.isEmpty()) {
      throw new IllegalArgumentException("a source has at least one revision");
    }
  }

  /** A source just received, taken to be in shared coordinates. */
  public static Source of(String name, Revision first) {
    return new Source(name, List.of(first), SourcePlacement.SHARED);
  }

  public Revision current() {
    return revisions.getLast();
  }

  public Source withRevision(Revision next) {
    List<Revision> all = new ArrayList<>(revisions);
    all.add(next);
    return new Source(name, all, placement);
  }

  public Source withPlacement(SourcePlacement p) {
    return new Source(name, revisions, p);
  }
}
