package wellspan.app.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import javafx.application.HostServices;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import wellspan.app.deliver.DeliverView;
import wellspan.app.deliver.ProofCard;
import wellspan.app.describe.DescribeView;
import wellspan.app.describe.RuleSurface;
import wellspan.app.place.PlaceOverlay;
import wellspan.app.place.PlaceView;
import wellspan.app.place.ReadingCard;
import wellspan.app.receive.ReceiveView;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.OtherJobs;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.shape.SectionEditor;
import wellspan.app.shape.ShapeView;
import wellspan.app.stage.StageView;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.finding.Stop;
import wellspan.exchange.intake.Intake;

/**
 * The whole window: route on top, strata left, stage in the middle with the stop's card, docket and
 * reading line below.
 */
public final class ShellView extends StackPane implements WindowActions {
  private static final double CARD_WIDTH = 330;

  private final Session session;
  private final HostServices services;
  private final OtherJobs others;
  private final RouteView route;
  private final StrataView strata;
  private final DocketView docket;
  private final StageView stage;
  private final DeliverView manifest;
  private final FindingsView findings;
  private final ShortcutsView shortcuts;
  private final StackPane card = new StackPane();
  private final BorderPane middle = new BorderPane();
  private final ReceiveView receive;
  private final PlaceView place;
  private final ReadingCard position;
  private final DescribeView describe;
  private final RuleSurface rules;
  private final SectionEditor typical;
  private final ProofCard proof;
  private final Node shape;
  private final Node draw;
  private final FindView find;
  private final VBox bottom;
  private Theme theme = Theme.LIGHT;
  private boolean proofOnStage;

  /**
   * @param others opens other jobs
   */
  public ShellView(Session session, HostServices services, OtherJobs others) {
    this.session = session;
    this.services = services;
    this.others = others;
    route = new RouteView(session, this);
    strata = new StrataView(session);
    docket = new DocketView(session);
    stage = new StageView(session);
    manifest = new DeliverView(session);
    findings = new FindingsView(session, this::toggleFindings);
    shortcuts = new ShortcutsView(this::showShortcuts);
    receive = new ReceiveView(session, this);
    position = new ReadingCard(session);
    place = new PlaceView(session, stage.plan(), this);
    stage.setOverlay(new PlaceOverlay(session, stage.plan()));
    describe = new DescribeView(session);
    rules = new RuleSurface(session);
    proof = new ProofCard(session, this, this::showProof);
    shape = new ShapeView(session);
    draw =
        quiet(
            "Draw",
            "Comparison with a drawing standard and drawing set-ups will stand here. Nothing is needed at this stop for a BIM delivery.");
    card.setPrefWidth(CARD_WIDTH);
    card.setMinWidth(CARD_WIDTH);
    card.setPadding(new Insets(12, 12, 12, 12));
    position.setMaxSize(300, Region.USE_PREF_SIZE);
    StackPane.setAlignment(position, Pos.BOTTOM_LEFT);
    StackPane.setMargin(position, new Insets(0, 0, 44, 16));
    typical = new SectionEditor(session);
    StackPane centre = new StackPane(stage, manifest, rules, position, typical);
    session
        .place()
        .probeProperty()
        .addListener(
            (o, a, b) -> {
              position.refresh();
              showPosition();
            });
    centre.setMinSize(0, 0);
    middle.setCenter(centre);
    middle.setRight(card);
    bottom = new VBox(docket, new ReadingLine(session));
    BorderPane frame = new BorderPane(middle, route, null, bottom, strata);
    StackPane.setAlignment(findings, Pos.CENTER_RIGHT);
    StackPane.setMargin(findings, new Insets(RouteView.HEIGHT, 0, ReadingLine.HEIGHT, 0));
    findings.setVisible(false);
    shortcuts.setVisible(false);
    find = new FindView(new FindEverything(session, this, stage, strata::search));
    getChildren().addAll(frame, new TaskList(session.work()), findings, shortcuts, find);
    session.stopProperty().addListener((o, a, b) -> showStop());
    session.rules().cardProperty().addListener((o, a, b) -> showStop());
    session.rules().schemas().picturedProperty().addListener((o, a, b) -> showStop());
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        new WindowKeys(session, this, stage, strata, docket, findings, shortcuts)::key);
    setOnDragOver(ReceiveView::accept);
    setOnDragDropped(e -> ReceiveView.drop(session, others, e));
    showStop();
  }

  private static Node quiet(String stop, String sentence) {
    VBox v = new VBox(Parts.label(stop, "title"), Parts.wrapped(sentence, "muted"));
    v.getStyleClass().add("card");
    v.setMaxHeight(Double.NEGATIVE_INFINITY);
    StackPane.setAlignment(v, Pos.TOP_CENTER);
    return v;
  }

  private void showStop() {
    Stop s = session.stopProperty().get();
    Node panel =
        switch (s) {
          case RECEIVE -> receive;
          case PLACE -> place;
          case SHAPE -> shape;
          case DESCRIBE -> describe;
          case DRAW -> draw;
          case DELIVER -> proof;
        };
    card.getChildren().setAll(panel);
    boolean onManifest = s == Stop.DELIVER && !proofOnStage;
    boolean onRules = s == Stop.DESCRIBE && !session.rules().schemas().picturedProperty().get();
    boolean besides =
        s != Stop.DESCRIBE || session.rules().cardProperty().get() != DescribeCard.NONE;
    card.setVisible(besides);
    card.setManaged(besides);
    manifest.setVisible(onManifest);
    rules.setVisible(onRules);
    stage.setVisible(!onManifest && !onRules);
    stage.plan().setProofShown(s == Stop.DELIVER && proofOnStage);
    if (s != Stop.SHAPE) {
      session.sections().openProperty().set(false);
    }
    showPosition();
    if (s != Stop.PLACE && s != Stop.SHAPE) {
      session.place().pickProperty().set(Pick.NONE);
    }
  }

  /** At the stop Place the position stands among the cards; elsewhere it lies on the picture. */
  private void showPosition() {
    position.setVisible(
        session.place().probeProperty().get().isPresent()
            && session.stopProperty().get() != Stop.PLACE
            && stage.isVisible());
  }

  private void showProof(boolean shown) {
    proofOnStage = shown;
    if (shown) {
      stage.show(StageView.Picture.PLAN);
    }
    showStop();
  }

  public StageView stage() {
    return stage;
  }

  public void setTheme(Theme t) {
    theme = t;
    t.apply(getScene());
    route.setTheme(t);
    stage.setTheme(t);
    typical.setTheme(t);
  }

  @Override
  public void chooseFiles() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Receive files");
    chooser
        .getExtensionFilters()
        .addAll(
            new FileChooser.ExtensionFilter("Designs and points", patterns(Intake.endings())),
            new FileChooser.ExtensionFilter("All files", "*"));
    List<File> files = chooser.showOpenMultipleDialog(getScene().getWindow());
    if (files != null) {
      session.receiving().receive(files.stream().map(File::toPath).toList());
    }
  }

  /** As some systems tell small letters from capitals, names in either. */
  private static List<String> patterns(List<String> endings) {
    return endings.stream()
        .flatMap(e -> Stream.of("*" + e, "*" + e.toUpperCase(Locale.ROOT)))
        .toList();
  }

  @Override
  public void chooseReturned(String delivery) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("A file that came back from the receiver");
    File file = chooser.showOpenDialog(getScene().getWindow());
    if (file != null) {
      session.deliveries().compare(delivery, file.toPath());
    }
  }

  @Override
  public void openAnotherJob() {
    others.showStart();
  }

  @Override
  public void toggleFindings() {
    findings.setVisible(!findings.isVisible());
    if (findings.isVisible()) {
      findings.requestFocus();
    }
  }

  @Override
  public void toggleTheme() {
    setTheme(theme == Theme.LIGHT ? Theme.DARK : Theme.LIGHT);
  }

  @Override
  public void showFind() {
    find.open();
  }

  @Override
  public void showShortcuts() {
    shortcuts.setVisible(!shortcuts.isVisible());
  }

  @Override
  public void openOutside(Path path) {
    services.showDocument(path.toUri().toString());
  }
}
