package wellspan.app.session;

import java.util.List;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.extract.Extract;
import wellspan.core.receipt.PastRun;

/** How an item stands to a delivery; never by colour alone. */
public enum CellState {
  PROVEN("✓", "proven", "proven"),
  CHANGED("◐", "changed since", "warning"),
  PENDING("…", "being compared with what was sent", "muted"),
  FAILED("✕", "did not arrive whole", "error"),
  INCLUDED("○", "included", "accent"),
  HELD_BACK("·", "held back", "muted"),
  BEYOND("–", "outside its chainages", "muted"),
  CANNOT("–", "not in this format", "muted");

  private final String sign;
  private final String words;
  private final String style;

  CellState(String sign, String words, String style) {
    this.sign = sign;
    this.words = words;
    this.style = style;
  }

  public String sign() {
    return sign;
  }

  public String words() {
    return words;
  }

  /** Style class of the sign. */
  public String style() {
    return style;
  }

  public static CellState of(Session session, Delivery d, Build.BuiltItem item) {
    if (!d.carries(item.item())) {
      return CANNOT;
    }
    if (d.range().map(r -> !Extract.reaches(item.item(), r)).orElse(false)) {
      return BEYOND;
    }
    if (!session.build().sends(d, item)) {
      return HELD_BACK;
    }
    PastRun run = session.deliveries().latestProperty().get().get(d.name());
    if (run == null) {
      return INCLUDED;
    }
    if (!run.pass()) {
      // after a failed proof only a run of this session still knows which items were whole
      return session.deliveries().wasWhole(d, item.item()) ? INCLUDED : FAILED;
    }
    String sent = run.contents().get(item.id().value());
    return sent == null
        ? CHANGED
        : session
            .deliveries()
            .fingerprint(item.id(), d)
            .map(now -> sent.equals(now) ? PROVEN : CHANGED)
            .orElse(PENDING);
  }

  /** Whether there is anything to choose: it could go along. */
  public boolean isChoice() {
    return this != CANNOT && this != BEYOND;
  }

  /** How several items stand: as the one that wants looking at most. */
  public static CellState of(Session session, Delivery d, List<Build.BuiltItem> items) {
    CellState out = CANNOT;
    PastRun run = session.deliveries().latestProperty().get().get(d.name());
    CellState most = run == null ? INCLUDED : run.pass() ? PENDING : FAILED;
    for (Build.BuiltItem i : items) {
      CellState s = of(session, d, i);
      out = s.weight() > out.weight() ? s : out;
      if (out == most) {
        break; // after such a proof, or none, no other wants looking at more
      }
    }
    return out;
  }

  private int weight() {
    return switch (this) {
      case FAILED -> 7;
      case PENDING -> 6;
      case CHANGED -> 5;
      case INCLUDED -> 4;
      case PROVEN -> 3;
      case HELD_BACK -> 2;
      case BEYOND -> 1;
      case CANNOT -> 0;
    };
  }
}
