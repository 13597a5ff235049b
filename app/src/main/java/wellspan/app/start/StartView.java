package wellspan.app.start;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.stage.DirectoryChooser;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.job.JobException;

/** The first screen: recent jobs with their pictures, and a new one with a name and a folder. */
final class StartView extends BorderPane {
  private static final double LEFT = 380;

  private final JobWindows windows;
  private final Label fault = Parts.wrapped("", "error");
  private final TextField name = new TextField();
  private final Label where = Parts.wrapped("", "muted");
  private final TilePane recent = new TilePane(16, 16);
  private Path folder = Path.of(System.getProperty("user.home", "."));

  StartView(JobWindows windows) {
    this.windows = windows;
    setId("start");
    getStyleClass().add("start");
    setLeft(left());
    setCenter(right());
    setOnDragOver(StartView::accept);
    setOnDragDropped(this::drop);
    showRecent();
  }

  private Node left() {
    name.setId("job-name");
    name.textProperty().addListener((o, a, b) -> showWhere());
    Button choose = Parts.button("In another folder …", "plain", this::chooseFolder);
    Button start = Parts.button("Start the job", "primary", this::start);
    start.setId("start-job");
    start.setMaxWidth(Double.MAX_VALUE);
    name.setOnAction(e -> start());
    fault.managedProperty().bind(fault.textProperty().isNotEmpty());
    Label label = Parts.label("Name, for example Harbour road, phase 2");
    label.setLabelFor(name);
    VBox fresh =
        new VBox(8, Parts.label("New job", "title"), label, name, where, choose, start, fault);
    fresh.getStyleClass().add("card");
    Button open = Parts.button("Open a job’s folder …", "plain", this::chooseJob);
    Button demo = Parts.button("Look at the demo job", "plain", () -> attempt(windows::openDemo));
    demo.setId("open-demo");
    for (Button b : List.of(open, demo, choose)) {
      b.setMaxWidth(Double.MAX_VALUE);
    }
    showWhere();
    VBox v =
        new VBox(
            14,
            Parts.label("Wellspan", "brand"),
            Parts.wrapped(
                "Receive designs, put them in place, deliver them, and prove that what arrived is what was sent."),
            fresh,
            open,
            demo,
            Parts.wrapped("A job’s folder can also be dropped on this window.", "muted"));
    v.setPadding(new Insets(36, 20, 24, 36));
    v.setPrefWidth(LEFT);
    v.setMinWidth(LEFT);
    return v;
  }

  private Node right() {
    recent.setId("recent-jobs");
    recent.setPrefTileWidth(JobPicture.WIDTH + 4);
    recent.setTileAlignment(Pos.TOP_LEFT);
    ScrollPane scroll = new ScrollPane(recent);
    scroll.setFitToWidth(true);
    scroll.getStyleClass().add("card-scroll");
    VBox v = new VBox(14, Parts.label("Recent jobs", "title"), scroll);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    v.setPadding(new Insets(40, 36, 24, 20));
    return v;
  }

  private Path target() {
    String typed = name.getText().strip();
    return typed.isEmpty() ? folder : folder.resolve(typed);
  }

  private void showWhere() {
    try {
      where.setText("Folder: " + target());
    } catch (InvalidPathException e) {
      where.setText("");
    }
  }

  private void chooseFolder() {
    DirectoryChooser chooser = new DirectoryChooser();
    chooser.setTitle("Where the new job’s folder is to stand");
    File chosen = chooser.showDialog(getScene().getWindow());
    if (chosen != null) {
      folder = chosen.toPath();
      showWhere();
    }
  }

  private void chooseJob() {
    DirectoryChooser chooser = new DirectoryChooser();
    chooser.setTitle("A folder with a job");
    File chosen = chooser.showDialog(getScene().getWindow());
    if (chosen != null) {
      open(chosen.toPath());
    }
  }

  private void start() {
    attempt(
        () -> {
          String typed = name.getText().strip();
          if (typed.isEmpty()) {
            throw new JobException("Give the job a name, for example “Harbour road, phase 2”.");
          }
          if (typed.matches(".*[/\\\\:*?\"<>|].*") || typed.startsWith(".")) {
            throw new JobException(
                "The name becomes a folder: leave out / \\ : * ? \" < > | and a dot in front.");
          }
          windows.start(target(), typed);
        });
  }

  private void open(Path chosen) {
    attempt(
        () -> {
          if (!Files.exists(chosen.resolve("job.json"))) {
            throw new JobException(
                chosen + " holds no job. Choose the folder with a job.json, or start a new job.");
          }
          windows.open(chosen);
        });
  }

  private interface Action {
    void run() throws IOException;
  }

  private void attempt(Action action) {
    try {
      fault.setText("");
      action.run();
    } catch (IOException | InvalidPathException e) {
      fault.setText(e.getMessage());
    }
  }

  /** The job files are read beside the window, so that it stands at once. */
  private void showRecent() {
    List<Path> folders = RecentJobs.all();
    if (folders.isEmpty()) {
      recent
          .getChildren()
          .setAll(
              Parts.wrapped(
                  "Jobs that were open here will stand here, each with its picture.", "muted"));
      return;
    }
    recent.getChildren().clear();
    Thread.ofVirtual()
        .start(
            () ->
                folders.forEach(
                    f -> {
                      JobSummary s = JobSummary.of(f);
                      Platform.runLater(() -> recent.getChildren().add(card(s)));
                    }));
  }

  private Node card(JobSummary s) {
    StackPane picture = new StackPane();
    picture.getStyleClass().add("job-picture");
    picture.setMinSize(JobPicture.WIDTH, JobPicture.HEIGHT);
    picture.setMaxSize(JobPicture.WIDTH, JobPicture.HEIGHT);
    JobPicture.of(s.folder())
        .ifPresentOrElse(
            i -> {
              ImageView view = new ImageView(i);
              view.setFitWidth(JobPicture.WIDTH);
              view.setPreserveRatio(true);
              picture.getChildren().add(view);
              picture.setClip(new Rectangle(JobPicture.WIDTH, JobPicture.HEIGHT));
            },
            () -> picture.getChildren().add(Parts.label("no picture yet", "muted")));
    Label title = Parts.label(s.name(), "name");
    Label place = Parts.label(s.place(), "muted");
    place.setMaxWidth(JobPicture.WIDTH - 50); // beside the cross
    Label date = Parts.label(s.date(), "figure");
    date.setMinWidth(Region.USE_PREF_SIZE);
    HBox first = new HBox(8, title, Parts.space(), date);
    VBox words = new VBox(2, first, place);
    words.setPadding(new Insets(8, 10, 10, 10));
    Button card = new Button();
    card.setGraphic(new VBox(picture, words));
    card.getStyleClass().setAll("button", "job-card");
    card.setAccessibleText("Open " + s.name() + ", " + s.place() + ", saved " + s.date());
    card.setOnAction(e -> open(s.folder()));
    Hint.say(card, s.folder().toString());
    Button forget =
        Parts.icon(
            Feather.X,
            "Take " + s.name() + " from this list; its folder stays",
            () -> {
              RecentJobs.forget(s.folder());
              showRecent();
            });
    StackPane whole = new StackPane(card, forget);
    StackPane.setAlignment(forget, Pos.BOTTOM_RIGHT);
    whole.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    return whole;
  }

  private static void accept(DragEvent e) {
    if (e.getDragboard().hasFiles()) {
      e.acceptTransferModes(TransferMode.COPY);
      e.consume();
    }
  }

  private void drop(DragEvent e) {
    Path dropped = e.getDragboard().getFiles().getFirst().toPath();
    e.setDropCompleted(true);
    e.consume();
    open(Files.isDirectory(dropped) ? dropped : dropped.toAbsolutePath().getParent());
  }
}
