package wellspan.app.deliver;

import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.Proof;
import wellspan.core.deliver.Receipt;
import wellspan.core.finding.Finding;
import wellspan.core.frame.SinglePrecision;

/** The delivery in hand: its button, and after a run the figures of the proof. */
public final class ProofCard extends ScrollPane {
  private final Session session;
  private final WindowActions actions;
  private final Runnable showProof;
  private final VBox box = new VBox();
  private boolean proofShown;

  /**
   * @param showProof called when sent and arrived are to be laid on top of each other, or no longer
   */
  public ProofCard(
      Session session, WindowActions actions, java.util.function.Consumer<Boolean> showProof) {
    this.session = session;
    this.actions = actions;
    this.showProof = () -> showProof.accept(proofShown);
    setId("proof");
    setContent(box);
    setFitToWidth(true);
    getStyleClass().add("card-scroll");
    box.getStyleClass().add("card");
    session.runsProperty().addListener((o, a, b) -> refresh());
    session.deliveryProperty().addListener((o, a, b) -> refresh());
    session.buildProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    Optional<Delivery> chosen = session.job().delivery(session.deliveryProperty().get());
    box.getChildren().clear();
    if (chosen.isEmpty()) {
      box.getChildren().add(Parts.wrapped("Choose a delivery in the manifest.", "muted"));
      return;
    }
    Delivery d = chosen.get();
    box.getChildren()
        .addAll(
            Parts.label(d.name(), "title"),
            Parts.wrapped(
                d.schema() + " for " + d.receiver() + ", lengths in " + d.unit().title() + "s",
                "muted"));
    Optional<Session.Run> run = Optional.ofNullable(session.runsProperty().get().get(d.name()));
    run.ifPresentOrElse(
        this::figures,
        () -> {
          var open = Parts.label("Not delivered in this session", "verdict", "verdict-open");
          open.setMaxWidth(Double.MAX_VALUE);
          box.getChildren().add(open);
          box.getChildren()
              .add(
                  Parts.wrapped(
                      "The file is written, read back by a reader that shares nothing with the writer, and compared with what was sent.",
                      "muted"));
        });
    double far =
        session.build().bounds().isEmpty()
            ? 0
            : session.build().bounds().farthestPlanDistance(session.job().frame().basePoint());
    box.getChildren()
        .addAll(
            Parts.line(),
            Parts.label("At the receiver", "name"),
            Parts.wrapped(
                "Triangles are kept as designed. A receiver in single precision is off by up to "
                    + Figures.distance(SinglePrecision.step(far) / 2)
                    + " at the far end.",
                "muted"));
    Button go =
        Parts.button(
            run.isPresent() ? "Deliver and prove again" : "Deliver and prove",
            "primary",
            session::deliver);
    go.setId("deliver");
    go.setMaxWidth(Double.MAX_VALUE);
    go.disableProperty().bind(session.work().runningProperty());
    box.getChildren().add(go);
  }

  private void figures(Session.Run run) {
    Receipt r = run.outcome().receipt();
    Proof p = r.proof();
    String time =
        DateTimeFormatter.ofPattern("HH:mm").withZone(ZoneId.systemDefault()).format(r.at());
    var verdict =
        Parts.label(
            p.pass() ? "✓ Proven " + time : "✕ Not proven " + time,
            "verdict",
            p.pass() ? "verdict-pass" : "verdict-fail");
    verdict.setId("verdict");
    verdict.setMaxWidth(Double.MAX_VALUE);
    box.getChildren()
        .addAll(
            verdict,
            Parts.row("Arrived", p.arrived() + " of " + p.sent()),
            Parts.row(
                "Deviation",
                Double.isFinite(p.maxDeviation())
                    ? Figures.number(1000 * p.maxDeviation(), 5) + " mm"
                    : "not comparable"),
            Parts.row("Triangles", p.trianglesIdentical() ? "identical" : "differ"),
            Parts.row("Properties", p.propertiesEqual() + " equal"),
            Parts.row("File", Figures.bytes(r.files().getFirst().bytes())),
            Parts.row("Took", Figures.number(r.seconds(), 1) + " s"));
    for (Proof.ItemProof i : p.items()) {
      box.getChildren().add(Parts.row(i.name(), i.what(), i.identical() ? "proven" : "error"));
    }
    p.findings().stream()
        .filter(Finding::isError)
        .limit(4)
        .forEach(f -> box.getChildren().add(Parts.wrapped(f.message(), "error")));
    ToggleButton overlay =
        new ToggleButton(proofShown ? "Show the manifest" : "Show sent and arrived");
    overlay.setId("show-proof");
    overlay.getStyleClass().setAll("button", "plain");
    overlay.setSelected(proofShown);
    overlay.setMaxWidth(Double.MAX_VALUE);
    overlay.setOnAction(
        e -> {
          proofShown = overlay.isSelected();
          showProof.run();
          refresh();
        });
    Path receipts = session.store().receipts();
    Button receipt =
        Parts.button("Open the receipts", "plain", () -> actions.openOutside(receipts));
    receipt.setMaxWidth(Double.MAX_VALUE);
    box.getChildren().addAll(overlay, receipt);
  }
}
