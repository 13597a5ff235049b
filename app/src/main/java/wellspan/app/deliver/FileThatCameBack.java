package wellspan.app.deliver;

import java.io.File;
import java.util.List;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.VBox;
import wellspan.app.session.CameBack;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.theme.Parts;
import wellspan.core.geom.Position;
import wellspan.core.proof.Difference;
import wellspan.core.proof.Proof;

/**
 * A file that a receiver sent back: where it is dropped, and how it compares with what was sent.
 */
final class FileThatCameBack {
  private static final int SHOWN = 6;

  private FileThatCameBack() {}

  /** How a file is given back. */
  static VBox invitation(WindowActions actions, String delivery) {
    Label hint =
        Parts.wrapped(
            "A file that came back is compared with what was sent. Drop it on this card or on the head of its column.",
            "drop-here");
    hint.setMaxWidth(Double.MAX_VALUE);
    Button choose = Parts.button("Choose a file", "plain", () -> actions.chooseReturned(delivery));
    choose.setId("choose-returned");
    choose.setMaxWidth(Double.MAX_VALUE);
    return new VBox(4, Parts.label("From the receiver", "name"), hint, choose);
  }

  /** Makes a part of the window take a file that came back, instead of receiving it. */
  static void takeDrops(Node target, Session session, String delivery) {
    target.setOnDragOver(
        e -> {
          if (e.getDragboard().getFiles().size() == 1) {
            e.acceptTransferModes(TransferMode.COPY);
            e.consume();
          }
        });
    target.setOnDragDropped(
        (DragEvent e) -> {
          List<File> files = e.getDragboard().getFiles();
          if (files.size() == 1) {
            session.deliveries().compare(delivery, files.getFirst().toPath());
            e.setDropCompleted(true);
            e.consume();
          }
        });
  }

  /** The figures of the comparison. */
  static VBox compared(Session session, String delivery, CameBack back) {
    Proof p = back.proven().proof();
    Label verdict =
        Parts.label(
            p.pass() ? "✓ Whole" : "✕ Not what was sent",
            "verdict",
            p.pass() ? "verdict-pass" : "verdict-fail");
    verdict.setId("returned-verdict");
    verdict.setMaxWidth(Double.MAX_VALUE);
    VBox out =
        new VBox(
            4,
            Parts.label("From the receiver", "name"),
            Parts.wrapped(
                back.file().getFileName() + ", compared with " + back.sent().getFileName(),
                "muted"),
            verdict,
            Parts.row("Items", p.arrived() + " of " + p.sent()),
            Parts.row("Deviation", ProofCard.deviation(p.maxDeviation())),
            Parts.row("Triangles", p.triangles()),
            Parts.row("Properties", p.propertiesEqual() + " equal"));
    out.setId("came-back");
    List<Node> lines = out.getChildren();
    p.differences().stream().limit(SHOWN).forEach(d -> lines.add(difference(session, d)));
    if (p.differences().size() > SHOWN) {
      lines.add(
          Parts.wrapped("and " + (p.differences().size() - SHOWN) + " more differences", "muted"));
    }
    p.findings().stream()
        .filter(f -> !f.code().startsWith("proof."))
        .limit(SHOWN)
        .forEach(f -> lines.add(Parts.wrapped(f.message(), f.isError() ? "error" : "muted")));
    if (!p.notCompared().isEmpty()) {
      lines.add(
          Parts.wrapped("Not compared: " + String.join(", ", p.notCompared()) + ".", "muted"));
    }
    Button aside =
        Parts.button("Put it aside", "plain", () -> session.deliveries().forget(delivery));
    aside.setMaxWidth(Double.MAX_VALUE);
    lines.add(aside);
    return out;
  }

  private static Label difference(Session session, Difference d) {
    Label row = Parts.wrapped(d.message(), "error");
    d.place().ifPresent(p -> goThere(session, row, p));
    return row;
  }

  private static void goThere(Session session, Label row, Position place) {
    row.setUnderline(true);
    row.setCursor(Cursor.HAND);
    row.setOnMouseClicked(
        e -> {
          session.aim().at(place);
        });
  }
}
