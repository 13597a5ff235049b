package wellspan.core.job;

import java.util.ArrayList;
import java.util.List;

/** A received file over all its revisions, oldest first; there is at least one. */
public record Source(String name, List<Revision> revisions) {

  public Source {
    revisions = List.copyOf(revisions);
    if (revisions.isEmpty()) {
      throw new IllegalArgumentException("a source has at least one revision");
    }
  }

  public Revision current() {
    return revisions.getLast();
  }

  public Source withRevision(Revision next) {
    List<Revision> all = new ArrayList<>(revisions);
    all.add(next);
    return new Source(name, all);
  }
}
