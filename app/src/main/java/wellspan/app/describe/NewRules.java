package wellspan.app.describe;

import java.util.List;
import java.util.Map;
import wellspan.app.session.Session;
import wellspan.core.rulebook.ClassRule;
import wellspan.core.rulebook.CodeSystem;
import wellspan.core.rulebook.Condition;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.ValuePart;
import wellspan.core.schema.IfcSchema;

/** Rules that stand at once, for what is selected, and are then made what they are to be. */
record NewRules(Session session) {
  private List<Condition> ofLead() {
    return session
        .selectedItem()
        .map(i -> List.of(Condition.fact("kind", List.of(i.item().kind().title()))))
        .orElse(List.of());
  }

  void property() {
    session
        .rules()
        .add(PropertyRule.of(ofLead(), ValuePart.fact("name"), "Client", "Property", ""));
  }

  void ofClass() {
    IfcSchema s = session.rules().schemaProperty().get();
    String entity =
        session
            .selectedItem()
            .map(i -> session.build().classOf(i, s).entity())
            .orElse("IfcBuildingElementProxy");
    session
        .rules()
        .add(
            new ClassRule(
                session.selectedItem().map(i -> i.item().kind().title()).orElse("New"),
                ofLead(),
                Map.of(s.name(), new ClassRule.Named(entity, "")),
                false,
                false));
  }

  void codes() {
    String name = "Classification";
    for (int n = 2; session.rules().book().system(name).isPresent(); n++) {
      name = "Classification " + n;
    }
    session
        .rules()
        .add(
            new CodeSystem(
                name,
                List.of(),
                List.of(
                    new CodeSystem.CodeRule(
                        List.of(), List.of(ValuePart.attribute("Code")), false)),
                false,
                List.of(),
                false));
  }
}
