package wellspan.app.deliver;

import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;
import wellspan.app.session.CameBack;
import wellspan.app.session.Outlook;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;
import wellspan.core.finding.FindingLine;
import wellspan.core.finding.Severity;
import wellspan.core.finding.Stop;
import wellspan.core.frame.SinglePrecision;
import wellspan.core.proof.Proof;
import wellspan.core.receipt.PastRun;
import wellspan.core.receipt.Receipt;
import wellspan.exchange.delivery.DeliveryRun;

/** The delivery in hand: its button, and after a run the figures of the proof. */
public final class ProofCard extends ScrollPane {
  private static final int MOST_BEFORE = 3;
  private static final int MOST_LOSSES = 12;
  private static final int MOST_ITEMS = 40;

  private final Session session;
  private final WindowActions actions;
  private final Runnable showProof;
  private final VBox box = new VBox();
  private boolean proofShown;
  private boolean lossesShown;

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
    setHbarPolicy(ScrollBarPolicy.NEVER);
    box.getStyleClass().add("card");
    session.deliveries().runsProperty().addListener((o, a, b) -> refresh());
    session.deliveries().latestProperty().addListener((o, a, b) -> refresh());
    session.deliveries().returnedProperty().addListener((o, a, b) -> refresh());
    session.deliveries().inHandProperty().addListener((o, a, b) -> refresh());
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.findingsProperty().addListener((o, a, b) -> refresh());
    sceneProperty().addListener((o, a, b) -> refresh());
  }

  /** Nothing that is hidden is built. */
  private void refresh() {
    if (getScene() == null) {
      return;
    }
    Optional<Delivery> chosen = session.deliveries().inHand();
    box.getChildren().clear();
    if (chosen.isEmpty()) {
      setOnDragOver(null); // what is dropped here is received, as everywhere
      setOnDragDropped(null);
      box.getChildren().add(Parts.wrapped("Choose a delivery in the manifest.", "muted"));
      return;
    }
    Delivery d = chosen.get();
    FileThatCameBack.takeDrops(this, session, d.name());
    box.getChildren()
        .addAll(
            Parts.label(d.name(), "title"),
            Parts.wrapped("for " + d.receiver() + ", " + file(d), "muted"),
            new SetUp(session, d));
    Optional<DeliveryRun.Outcome> run =
        Optional.ofNullable(session.deliveries().runsProperty().get().get(d.name()));
    Button go =
        Parts.button(
            run.isPresent() ? "Deliver and prove again" : "Deliver and prove",
            "primary",
            session.deliveries()::run);
    go.setId("deliver");
    go.setMaxWidth(Double.MAX_VALUE);
    Outlook outlook = session.deliveries().outlook(d);
    List<Finding> before = outlook.before();
    boolean impossible = before.stream().anyMatch(f -> f.isError() && f.stop() == Stop.DELIVER);
    go.disableProperty()
        .bind(session.work().changingProperty().or(new SimpleBooleanProperty(impossible)));
    before(before);
    box.getChildren().add(go);
    losses(outlook.losses());
    CameBack back = session.deliveries().returnedProperty().get().get(d.name());
    if (back != null) {
      box.getChildren().addAll(overlay(), FileThatCameBack.compared(session, d.name(), back));
    } else {
      run.ifPresentOrElse(this::figures, () -> notRunYet(d));
      box.getChildren().addAll(Parts.line(), FileThatCameBack.invitation(actions, d.name()));
    }
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
                    + Figures.distance(SinglePrecision.resolution(far) / 2)
                    + " at the far end.",
                "muted"));
    if (d.format().schema().isPresent()) {
      box.getChildren().addAll(Parts.line(), new ProjectCard(session));
    }
  }

  private static String file(Delivery d) {
    return d.split().isPresent() ? "files " + d.fileName("…") : "file " + d.fileName();
  }

  /** What stands in the way, or should be known, with where it is mended. */
  private void before(List<Finding> before) {
    before.stream()
        .limit(MOST_BEFORE)
        .forEach(
            f -> {
              String style =
                  f.isError() ? "error" : f.severity() == Severity.WARNING ? "warning" : "muted";
              box.getChildren().add(Parts.wrapped(f.message(), style));
              if (f.stop() != Stop.DELIVER) {
                Button mend =
                    Parts.button(
                        f.code().equals("deliver.local")
                            ? "Choose a system"
                            : "Go to " + f.stop().title(),
                        "small",
                        () -> {
                          f.subject()
                              .ifPresent(id -> session.selectedProperty().set(Optional.of(id)));
                          session.stopProperty().set(f.stop());
                        });
                box.getChildren().add(mend);
              }
            });
    if (before.size() > MOST_BEFORE) {
      box.getChildren()
          .add(
              Parts.wrapped(
                  before.size() - MOST_BEFORE + " more errors stand in the findings.", "muted"));
    }
  }

  private void notRunYet(Delivery d) {
    box.getChildren()
        .addAll(
            earlier(d),
            Parts.wrapped(
                "The file is written, read back by a reader that shares nothing with the writer, and compared with what was sent.",
                "muted"));
  }

  /** What will be different from what is sent, before it is written. */
  private void losses(List<Finding> losses) {
    List<FindingLine> said = FindingLine.of(losses);
    if (said.isEmpty()) {
      return;
    }
    String count =
        said.size() == 1 ? "1 thing to know of it" : said.size() + " things to know of it";
    Button open =
        Parts.button(
            (lossesShown ? "▾ " : "▸ ") + count,
            "small",
            () -> {
              lossesShown = !lossesShown;
              refresh();
            });
    open.setId("losses");
    box.getChildren().add(open);
    if (lossesShown) {
      said.stream()
          .limit(MOST_LOSSES)
          .forEach(l -> box.getChildren().add(Parts.wrapped(l.message(), "muted")));
      if (said.size() > MOST_LOSSES) {
        box.getChildren()
            .add(
                Parts.wrapped(
                    "And " + (said.size() - MOST_LOSSES) + " more, which the receipt tells.",
                    "muted"));
      }
    }
  }

  /** What the receipts of earlier sessions say. */
  private javafx.scene.control.Label earlier(Delivery d) {
    PastRun past = session.deliveries().latestProperty().get().get(d.name());
    String words =
        past == null
            ? "Not delivered yet"
            : (past.pass() ? "✓ Proven " : "✕ Not proven ")
                + DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", java.util.Locale.ENGLISH)
                    .withZone(ZoneId.systemDefault())
                    .format(past.at())
                + ", "
                + past.arrived()
                + " of "
                + past.sent()
                + " items";
    var label = Parts.wrapped(words, "verdict", "verdict-open");
    label.setId("earlier");
    label.setMaxWidth(Double.MAX_VALUE);
    return label;
  }

  private void figures(DeliveryRun.Outcome run) {
    Receipt r = run.receipt();
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
            overlay(),
            Parts.row("Arrived", p.arrived() + " of " + p.sent()),
            Parts.row("Deviation", deviation(p.maxDeviation())),
            Parts.row("Triangles", p.triangles()),
            Parts.row("Properties", p.propertiesEqual() + " equal"),
            Parts.row("Control points", tally(p)),
            Parts.row(
                run.files().size() > 1 ? run.files().size() + " files" : "File",
                Figures.bytes(r.files().stream().mapToLong(Receipt.SentFile::bytes).sum())),
            Parts.row("Took", Figures.number(r.seconds(), 1) + " s"));
    p.items().stream()
        .sorted(Comparator.comparing(Proof.ItemProof::identical)) // what differs stands first
        .limit(MOST_ITEMS)
        .forEach(
            i ->
                box.getChildren()
                    .add(Parts.row(i.name(), i.what(), i.identical() ? "proven" : "error")));
    if (p.items().size() > MOST_ITEMS) {
      box.getChildren()
          .add(
              Parts.wrapped(
                  "and " + Figures.count(p.items().size() - MOST_ITEMS) + " more", "muted"));
    }
    if (!p.notCompared().isEmpty()) {
      box.getChildren()
          .add(Parts.wrapped("Not compared: " + String.join(", ", p.notCompared()) + ".", "muted"));
    }
    p.findings().stream()
        .filter(Finding::isError)
        .limit(4)
        .forEach(f -> box.getChildren().add(Parts.wrapped(f.message(), "error")));
    Path receipts = session.store().receipts();
    Button receipt =
        Parts.button("Open the receipts", "plain", () -> actions.openOutside(receipts));
    receipt.setMaxWidth(Double.MAX_VALUE);
    box.getChildren().add(receipt);
  }

  private ToggleButton overlay() {
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
    return overlay;
  }

  private static String tally(Proof p) {
    return p.controlTally().isEmpty()
        ? "none in the file"
        : p.controlTally().size()
            + " found, worst "
            + Figures.number(1000 * p.controlTally().getFirst().space(), 0)
            + " mm";
  }

  /** What should be nothing is shown to the last figure, what is not as people say it. */
  static String deviation(double metres) {
    if (!Double.isFinite(metres)) {
      return "not comparable";
    }
    return metres < 0.001 ? Figures.number(1000 * metres, 5) + " mm" : Figures.distance(metres);
  }
}
