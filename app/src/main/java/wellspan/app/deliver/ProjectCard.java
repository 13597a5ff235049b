package wellspan.app.deliver;

import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.FigureField;
import wellspan.app.theme.Parts;
import wellspan.core.deliver.ProjectInfo;

/** What models say of the project: who made them, of what phase, of which work. */
final class ProjectCard extends VBox {
  private static final double FIELD = 168;

  private final Session session;

  ProjectCard(Session session) {
    super(6);
    this.session = session;
    setId("project");
    show();
  }

  private void show() {
    getChildren()
        .setAll(
            Parts.label("Project", "name"),
            Parts.wrapped("Stands in every model that is delivered.", "muted"));
    ProjectInfo now = session.job().project();
    for (ProjectInfo.Entry e : ProjectInfo.entries()) {
      FigureField f =
          new FigureField(
              "project-" + e.id(),
              e.label() + ", for example " + e.example(),
              FIELD,
              text ->
                  session.edit(
                      "Project: " + e.label(), j -> j.withProject(e.with().of(j.project(), text))));
      f.setPromptText(e.example());
      f.show(e.of().apply(now));
      Label label = Parts.label(e.label(), "muted");
      label.setLabelFor(f);
      getChildren().add(Parts.row(label, f));
    }
  }
}
