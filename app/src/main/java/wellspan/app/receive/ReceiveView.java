package wellspan.app.receive;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.VBox;
import wellspan.app.session.OtherJobs;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.theme.CardColumn;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.app.theme.ShapeWords;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.job.Revision;
import wellspan.core.job.RevisionChange;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;

/**
 * The ledger: each received file with what is in it, its unit and system, its revisions and what
 * the last one changed.
 */
public final class ReceiveView extends CardColumn {
  private final Session session;

  /** More than that are told as a number; the strata list them. */
  private static final int MOST_OF_A_KIND = 12;

  /** More sources stand in a list, and one of them is looked at. */
  private static final int FEW = 3;

  private final WindowActions actions;
  private final NextCard next;
  private final SourceList list;
  private int sources;

  public ReceiveView(Session session, WindowActions actions) {
    super("receive");
    this.session = session;
    this.actions = actions;
    next = new NextCard(session);
    list = new SourceList(session, this::look);
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.lastChangeProperty().addListener((o, a, b) -> refresh());
    session
        .receiving()
        .questionProperty()
        .addListener(
            (o, a, b) -> {
              refresh();
              setVvalue(0); // where the question stands
            });
    refresh();
  }

  /** Lets files be dropped on a node. */
  public static void accept(DragEvent e) {
    if (e.getDragboard().hasFiles()) {
      e.acceptTransferModes(TransferMode.COPY);
      e.consume();
    }
  }

  /** Receives what was dropped; the folder of a job opens. */
  public static void drop(Session session, OtherJobs others, DragEvent e) {
    List<Path> dropped = e.getDragboard().getFiles().stream().map(File::toPath).toList();
    e.setDropCompleted(true);
    e.consume();
    if (dropped.size() == 1 && Files.exists(dropped.getFirst().resolve("job.json"))) {
      try {
        others.open(dropped.getFirst());
      } catch (IOException cannot) {
        session.complain(cannot.getMessage());
      }
      return;
    }
    session.receiving().receive(dropped);
  }

  private void refresh() {
    Button receive = Parts.button("Receive files", "primary", actions::chooseFiles);
    receive.setId("receive-files");
    receive.setMaxWidth(Double.MAX_VALUE);
    VBox head =
        card(
            Parts.label("Received", "title"),
            Parts.wrapped(
                session.job().sources().isEmpty()
                    ? "Nothing yet. Choose designs, drawings, grids, clouds or point lists, or drop them anywhere on the window. They are copied into the job and never changed."
                    : "A file with the name of a source, apart from a mark like RevB, becomes its next revision.",
                "muted"),
            receive);
    cards.getChildren().setAll(head);
    session
        .receiving()
        .questionProperty()
        .get()
        .ifPresent(q -> cards.getChildren().add(new ColumnsCard(session, q)));
    if (!session.job().sources().isEmpty()) {
      cards.getChildren().add(next);
    }
    session.lastChangeProperty().get().ifPresent(c -> cards.getChildren().add(change(c)));
    List<Source> all = session.job().sources().reversed(); // what has just come stands first
    if (all.size() > sources) {
      list.forget();
    }
    sources = all.size();
    if (all.size() <= FEW) {
      all.forEach(s -> cards.getChildren().add(source(s)));
    } else {
      Source looked = list.show(all);
      cards.getChildren().addAll(list, source(looked));
    }
  }

  /** Shows another source of the list, below it. */
  private void look(Source s) {
    int at = cards.getChildren().indexOf(list) + 1;
    if (at > 0) {
      cards.getChildren().set(at, source(s));
    }
  }

  private static VBox card(javafx.scene.Node... nodes) {
    VBox v = new VBox(nodes);
    v.getStyleClass().add("card");
    return v;
  }

  private VBox source(Source s) {
    Revision r = s.current();
    VBox v = card(Parts.row(Parts.label(r.fileName(), "name"), Parts.label(r.label(), "muted")));
    Received in = session.build().received().get(s.name());
    if (in == null) {
      v.getChildren().add(Parts.label("Not read yet.", "muted"));
      return v;
    }
    v.getChildren()
        .addAll(
            Parts.row("Format", in.format()),
            Parts.row("Size", Figures.bytes(r.bytes())),
            Parts.row(
                "Unit",
                in.unit().isEmpty() ? "not declared" : in.unit(),
                in.unit().isEmpty() ? "warning" : ""),
            Parts.row("System", in.crs().isEmpty() ? "not declared" : in.crs()),
            Parts.row("SHA-256", r.sha256().substring(0, 12) + " …"),
            Parts.line());
    Map<String, List<Item>> kinds =
        in.items().stream()
            .collect(
                Collectors.groupingBy(
                    i -> i.kind().title(), java.util.LinkedHashMap::new, Collectors.toList()));
    kinds.forEach(
        (kind, items) -> {
          boolean many = items.size() > MOST_OF_A_KIND;
          if (many) {
            v.getChildren().add(Parts.row(kind, Figures.count(items.size())));
          } else {
            items.forEach(i -> v.getChildren().add(Parts.row(i.name(), what(i))));
          }
        });
    if (in.format().equals("point list")) {
      Button columns = Parts.button("Columns …", "small", () -> session.receiving().reconsider(s));
      columns.setId("columns-open");
      columns.setAccessibleText("Columns of " + s.name());
      v.getChildren().add(columns);
    }
    if (in.format().startsWith("LAS") || in.format().startsWith("LAZ")) {
      v.getChildren().addAll(Parts.line(), new CloudPartRow(session, s, in.counts()));
    }
    if (!in.layers().isEmpty()) {
      v.getChildren().addAll(Parts.line(), new LayerList(session, s, in.layers()));
    }
    long errors = in.findings().stream().filter(Finding::isError).count();
    if (errors > 0) {
      v.getChildren()
          .add(
              Parts.label(
                  errors == 1
                      ? "✕ 1 error, see the findings"
                      : "✕ " + errors + " errors, see the findings",
                  "error"));
    }
    if (s.revisions().size() > 1) {
      v.getChildren()
          .add(
              Parts.label(
                  "before: "
                      + String.join(
                          ", ",
                          s.revisions().reversed().stream()
                              .skip(1)
                              .map(x -> x.label() + " (" + x.fileName() + ")")
                              .toList()),
                  "muted"));
    }
    return v;
  }

  private static String what(Item item) {
    return ShapeWords.size(item.shape());
  }

  private static VBox change(RevisionChange c) {
    VBox v = card(Parts.label("What the new revision changes", "title"));
    v.setId("revision-change");
    c.added().forEach(n -> v.getChildren().add(Parts.wrapped("+ " + n + " is new", "proven")));
    c.gone()
        .forEach(
            n -> v.getChildren().add(Parts.wrapped("− " + n + " is no longer there", "error")));
    c.changed().forEach(n -> v.getChildren().add(Parts.wrapped("◐ " + n, "warning")));
    v.getChildren().add(Parts.row("Items the same", Integer.toString(c.same())));
    v.getChildren()
        .add(
            Parts.row(
                "Largest level difference",
                String.format(Locale.ROOT, "%+.3f m", c.largestLevelDifference())
                    .replace("-", "\u2212")));
    return v;
  }
}
