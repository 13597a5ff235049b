package wellspan.app.session;

import java.util.Optional;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.Proof;
import wellspan.core.job.Build;
import wellspan.core.job.Job;

/** How an item stands to a delivery; never by colour alone. */
public enum CellState {
  PROVEN("✓", "proven", "proven"),
  CHANGED("◐", "changed since", "warning"),
  FAILED("✕", "did not arrive whole", "error"),
  INCLUDED("○", "included", "accent"),
  HELD_BACK("·", "held back", "muted"),
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
    if (!Delivery.carries(item.item())) {
      return CANNOT;
    }
    if (d.heldBack().contains(item.id())) {
      return HELD_BACK;
    }
    Session.Run run = session.runsProperty().get().get(d.name());
    if (run == null) {
      return INCLUDED;
    }
    Optional<Proof.ItemProof> proof =
        run.outcome().receipt().proof().items().stream()
            .filter(p -> p.name().equals(item.item().name()) && p.kind().equals(item.item().kind()))
            .findFirst();
    if (!run.outcome().receipt().proof().pass()) {
      return proof.map(Proof.ItemProof::identical).orElse(false) ? INCLUDED : FAILED;
    }
    Job sent = run.job();
    boolean same =
        sent.frame().withLock("").equals(session.job().frame().withLock(""))
            && sent.source(item.source())
                .map(s -> s.current().equals(item.revision()))
                .orElse(false)
            && sent.settingsOf(item.id())
                .entityClass()
                .equals(session.job().settingsOf(item.id()).entityClass());
    return proof.isEmpty() || !same ? CHANGED : PROVEN;
  }
}
