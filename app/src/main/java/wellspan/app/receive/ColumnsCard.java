package wellspan.app.receive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import wellspan.app.session.ReceiveDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.receive.ColumnRole;
import wellspan.core.receive.ReadingRule;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.points.read.PointListPreview;

/**
 * How a point list is to be read: its first lines as they stand, and for each column some of its
 * values and what they are. The choice holds for later revisions too.
 */
final class ColumnsCard extends VBox {
  private static final int LINES = 4;
  private static final int SAMPLES = 3;
  private static final List<String> SEPARATORS =
      List.of("commas", "semicolons", "tabulators", "spaces");

  private final Session session;
  private final ReceiveDesk.Question question;
  private final ComboBox<String> separator = new ComboBox<>();
  private final ComboBox<String> unit = new ComboBox<>();
  private final TextField head = new TextField();
  private final VBox lines = new VBox(1);
  private final VBox columns = new VBox(5);
  private final Label wrong = Parts.wrapped("", "error");
  private final List<ComboBox<ColumnRole>> roles = new ArrayList<>();
  private PointListPreview preview;

  ColumnsCard(Session session, ReceiveDesk.Question question) {
    super(7);
    this.session = session;
    this.question = question;
    preview = question.preview();
    setId("columns");
    getStyleClass().add("card");
    separator.getItems().setAll(SEPARATORS);
    separator.setAccessibleText("Separator of the columns");
    separator.setId("columns-separator");
    unit.getItems().setAll("metres");
    for (LinearUnit u : LinearUnit.values()) {
      if (u != LinearUnit.METRE) {
        unit.getItems().add(u.title());
      }
    }
    unit.setAccessibleText("Unit of the numbers");
    unit.setId("columns-unit");
    head.getStyleClass().add("field");
    head.setPrefColumnCount(3);
    head.setAccessibleText("Lines before the first point");
    head.setId("columns-head");
    getChildren()
        .addAll(
            Parts.label("What do the columns hold?", "title"),
            Parts.wrapped(
                question.why().isEmpty()
                    ? question.file().getFileName()
                        + (question.source().isEmpty()
                            ? " does not say it for certain."
                            : ", as it is read now.")
                        + " What you choose holds for later revisions too."
                    : question.why(),
                question.why().isEmpty() ? "muted" : "error"),
            lines,
            Parts.row(Parts.label("Separated by", "muted"), separator),
            Parts.row(Parts.label("Lines before the points", "muted"), head),
            Parts.row(Parts.label("Unit", "muted"), unit),
            Parts.line(),
            columns,
            wrong,
            buttons());
    wrong.managedProperty().bind(wrong.visibleProperty());
    show();
    separator.valueProperty().addListener((o, a, b) -> chooseSeparator());
    head.textProperty().addListener((o, a, b) -> check());
  }

  private HBox buttons() {
    javafx.scene.control.Button read = Parts.button("Read it this way", "primary", this::answer);
    read.setId("columns-read");
    javafx.scene.control.Button leave =
        Parts.button(
            question.source().isEmpty() ? "Leave it out" : "Leave as it is",
            "small",
            () -> session.receiving().dismiss());
    leave.setId("columns-leave");
    HBox h = new HBox(8, read, Parts.space(), leave);
    h.setAlignment(Pos.CENTER_LEFT);
    return h;
  }

  private void show() {
    int at = ReadingRule.Columns.SEPARATORS.indexOf(preview.separator());
    separator.getSelectionModel().select(at);
    head.setText(Integer.toString(preview.headLines()));
    unit.getSelectionModel()
        .select(
            preview
                .unit()
                .filter(u -> u != LinearUnit.METRE)
                .map(LinearUnit::title)
                .orElse("metres"));
    roles.clear();
    for (ColumnRole r : preview.roles()) {
      roles.add(role(r));
    }
    check();
  }

  private ComboBox<ColumnRole> role(ColumnRole now) {
    ComboBox<ColumnRole> box = new ComboBox<>();
    box.getItems().setAll(ColumnRole.values());
    box.setConverter(
        new javafx.util.StringConverter<>() {
          @Override
          public String toString(ColumnRole r) {
            return r == null ? "" : r.word();
          }

          @Override
          public ColumnRole fromString(String s) {
            return ColumnRole.named(s).orElse(ColumnRole.NONE);
          }
        });
    box.setValue(now);
    box.setId("columns-role-" + (roles.size() + 1));
    box.setAccessibleText("Column " + (roles.size() + 1));
    box.setMinWidth(118);
    box.valueProperty().addListener((o, a, b) -> check());
    return box;
  }

  private void chooseSeparator() {
    String chosen =
        ReadingRule.Columns.SEPARATORS.get(separator.getSelectionModel().getSelectedIndex());
    if (!chosen.equals(preview.separator())) {
      try {
        preview = PointListPreview.found(question.file(), chosen);
        show();
      } catch (java.io.IOException e) {
        complain(e.getMessage());
      }
    }
  }

  private int headLines() {
    try {
      return Integer.parseInt(head.getText().strip());
    } catch (NumberFormatException e) {
      return -1;
    }
  }

  /** Shows the first lines, the columns' values, and what does not fit yet. */
  private void check() {
    int before = Math.max(0, headLines());
    lines.getChildren().clear();
    for (int i = 0; i < Math.min(LINES, preview.rows().size()); i++) {
      Label l =
          Parts.label(
              String.join("  ", preview.rows().get(i)), i < before ? "muted" : "", "figure");
      l.setMaxWidth(Double.MAX_VALUE);
      lines.getChildren().add(l);
    }
    columns.getChildren().clear();
    List<List<String>> points =
        preview.rows().subList(Math.min(before, preview.rows().size()), preview.rows().size());
    String misfit = "";
    for (int i = 0; i < roles.size(); i++) {
      int column = i;
      ColumnRole role = roles.get(i).getValue();
      List<String> values =
          points.stream().map(r -> column < r.size() ? r.get(column) : "").toList();
      Optional<String> bad =
          values.stream().filter(v -> !PointListPreview.fits(role, v)).findFirst();
      Label sample =
          Parts.label(values.stream().limit(SAMPLES).collect(Collectors.joining(" · ")), "figure");
      if (bad.isPresent()) {
        sample.getStyleClass().add("error");
        misfit =
            misfit.isEmpty()
                ? "\"" + bad.get() + "\" in column " + (i + 1) + " is no " + role.word() + "."
                : misfit;
      } else if (role == ColumnRole.NONE) {
        sample.getStyleClass().add("muted");
      }
      sample.setMaxWidth(Double.MAX_VALUE);
      HBox.setHgrow(sample, Priority.ALWAYS);
      HBox row = new HBox(8, sample, roles.get(i));
      row.setAlignment(Pos.CENTER_LEFT);
      columns.getChildren().add(row);
    }
    if (misfit.isEmpty()) {
      try {
        rule();
      } catch (IllegalArgumentException e) {
        misfit = e.getMessage();
      }
    }
    complain(misfit);
  }

  private void complain(String sentence) {
    wrong.setText(sentence);
    wrong.setVisible(!sentence.isEmpty());
  }

  private ReadingRule.Columns rule() {
    int before = headLines();
    if (before < 0) {
      throw new IllegalArgumentException(
          "\"" + head.getText() + "\" is no number of lines. Write 0 if the points begin at once.");
    }
    return new ReadingRule.Columns(
        preview.separator(),
        before,
        roles.stream().map(ComboBox::getValue).toList(),
        LinearUnit.named(unit.getValue()));
  }

  private void answer() {
    try {
      session.receiving().answer(rule());
    } catch (IllegalArgumentException e) {
      complain(e.getMessage());
    }
  }
}
