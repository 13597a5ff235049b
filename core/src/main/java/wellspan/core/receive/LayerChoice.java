package wellspan.core.receive;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;

/** Takes the picked layers of what was received and says what does not come with them. */
public final class LayerChoice {
  private LayerChoice() {}

  /**
   * What stands on the picked layers; all, if the file has no layers. The list of layers stays
   * whole, so that others can be picked.
   */
  public static Received of(Received r, ReadingRule.Layers picked) {
    if (r.layers().isEmpty()) {
      return r;
    }
    List<Item> taken = r.items().stream().filter(e -> picked.names().contains(e.layer())).toList();
    List<Finding> findings = new ArrayList<>(r.findings());
    missing(r, picked, findings);
    faceless(r, taken, findings);
    return r.withItems(taken, findings);
  }

  private static void missing(Received r, ReadingRule.Layers picked, List<Finding> findings) {
    Set<String> there = r.layers().stream().map(Layer::name).collect(Collectors.toSet());
    for (String name : picked.names()) {
      if (!there.contains(name)) {
        findings.add(
            Finding.error(
                RECEIVE,
                "layer.missing",
                name,
                "The picked layer "
                    + name
                    + " is not in the file, so nothing of it arrives. Pick another one, or ask for the file again."));
      }
    }
  }

  /** Who picks layers without faces gets no surface, and must know it before it is missed. */
  private static void faceless(Received r, List<Item> taken, List<Finding> findings) {
    if (taken.stream().anyMatch(LayerChoice::hasFaces)) {
      return;
    }
    List<String> others =
        r.items().stream().filter(LayerChoice::hasFaces).map(Item::layer).distinct().toList();
    findings.add(
        Finding.warning(
            RECEIVE,
            "layer.faceless",
            "",
            "The picked layers hold no faces, so no surface comes from them. "
                + (others.isEmpty()
                    ? "No layer of the file holds any."
                    : "Faces are on: " + String.join(", ", others) + ".")));
  }

  private static boolean hasFaces(Item e) {
    return e.triangles().isPresent();
  }
}
