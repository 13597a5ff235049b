package wellspan.app.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import javafx.application.HostServices;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
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
import wellspan.app.theme.ChosenTheme;
import wellspan.app.theme.OnDemand;
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
  private final OnDemand<DeliverView> manifest;
  private final FindingsView findings;
  private final OnDemand<ShortcutsView> shortcuts;
  private final StackPane card = new StackPane();
  private final BorderPane middle = new BorderPane();
  private final StackPane centre;
  private final OnDemand<ReadingCard> position;
  private final OnDemand<RuleSurface> rules;
  private final OnDemand<SectionEditor> typical;
  private final OnDemand<FindView> find;
  private final Map<Stop, OnDemand<Node>> panels = new EnumMap<>(Stop.class);
  private final VBox bottom;
  private Theme theme = Theme.LIGHT;

  /** Held here for as long as the window lives. */
  private final ChangeListener<Theme> themed =
      (o, was, is) -> {
        if (getScene() != null) {
          setTheme(is);
        }
      };

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
    centre = new StackPane(stage);
    manifest = new OnDemand<>(() -> instead(new DeliverView(session)));
    rules = new OnDemand<>(() -> instead(new RuleSurface(session)));
    position = new OnDemand<>(this::position);
    typical = new OnDemand<>(this::typical);
    findings = new FindingsView(session, this::toggleFindings);
    shortcuts = new OnDemand<>(() -> above(new ShortcutsView(this::showShortcuts)));
    find =
        new OnDemand<>(
            () -> above(new FindView(new FindEverything(session, this, stage, strata::search))));
    panels.put(Stop.RECEIVE, new OnDemand<>(() -> new ReceiveView(session, this)));
    panels.put(Stop.PLACE, new OnDemand<>(this::place));
    panels.put(Stop.SHAPE, new OnDemand<>(() -> new ShapeView(session)));
    panels.put(Stop.DESCRIBE, new OnDemand<>(() -> new DescribeView(session)));
    panels.put(Stop.DRAW, new OnDemand<>(ShellView::draw));
    panels.put(Stop.DELIVER, new OnDemand<>(() -> new ProofCard(session, this, this::showProof)));
    card.setPrefWidth(CARD_WIDTH);
    card.setMinWidth(CARD_WIDTH);
    card.setPadding(new Insets(12, 12, 12, 12));
    session
        .place()
        .probeProperty()
        .addListener(
            (o, a, b) -> {
              position.made().ifPresent(ReadingCard::refresh);
              showPosition();
            });
    session.sections().openProperty().addListener((o, was, is) -> typical.setVisible(is));
    centre.setMinSize(0, 0);
    middle.setCenter(centre);
    middle.setRight(card);
    bottom = new VBox(docket, new ReadingLine(session));
    BorderPane frame = new BorderPane(middle, route, null, bottom, strata);
    StackPane.setAlignment(findings, Pos.CENTER_RIGHT);
    StackPane.setMargin(findings, new Insets(RouteView.HEIGHT, 0, ReadingLine.HEIGHT, 0));
    findings.setVisible(false);
    getChildren().addAll(frame, new TaskList(session.work()), findings);
    session.stopProperty().addListener((o, a, b) -> showStop());
    ChosenTheme.property().addListener(new WeakChangeListener<>(themed));
    session.rules().cardProperty().addListener((o, a, b) -> showStop());
    session.rules().schemas().picturedProperty().addListener((o, a, b) -> showStop());
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        new WindowKeys(session, this, stage, strata, docket, findings, shortcuts)::key);
    setOnDragOver(ReceiveView::accept);
    setOnDragDropped(e -> ReceiveView.drop(session, others, e));
    showStop();
  }

  /** What stands in the place of the stage. */
  private <N extends Node> N instead(N surface) {
    centre.getChildren().add(1, surface);
    return surface;
  }

  private ReadingCard position() {
    ReadingCard reading = new ReadingCard(session);
    reading.setMaxSize(300, Region.USE_PREF_SIZE);
    StackPane.setAlignment(reading, Pos.BOTTOM_LEFT);
    StackPane.setMargin(reading, new Insets(0, 0, 44, 16));
    centre.getChildren().add(reading);
    return reading;
  }

  private SectionEditor typical() {
    SectionEditor editor = new SectionEditor(session);
    editor.setTheme(theme);
    centre.getChildren().add(editor);
    return editor;
  }

  /** What lies over the whole window. */
  private <N extends Node> N above(N veil) {
    getChildren().add(veil);
    return veil;
  }

  private PlaceView place() {
    stage.setOverlay(new PlaceOverlay(session, stage.plan()));
    return new PlaceView(session, stage.plan(), this);
  }

  private static Node draw() {
    VBox v =
        new VBox(
            Parts.label("Draw", "title"),
            Parts.wrapped(
                "Comparison with a drawing standard and drawing set-ups will stand here. Nothing is needed at this stop for a BIM delivery.",
                "muted"));
    v.getStyleClass().add("card");
    v.setMaxHeight(Double.NEGATIVE_INFINITY);
    StackPane.setAlignment(v, Pos.TOP_CENTER);
    return v;
  }

  private void showStop() {
    Stop s = session.stopProperty().get();
    card.getChildren().setAll(panels.get(s).get());
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
    typical.made().ifPresent(e -> e.setTheme(t));
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
    ChosenTheme.choose(theme == Theme.LIGHT ? Theme.DARK : Theme.LIGHT);
  }

  @Override
  public void showFind() {
    find.get().open();
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
