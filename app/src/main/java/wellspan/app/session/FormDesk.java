package wellspan.app.session;

import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import wellspan.core.finding.Stop;
import wellspan.core.operation.Operation;

/** The operation whose form is asked for. Used on the window's thread. */
public final class FormDesk {
  private final Session session;
  private final ReadOnlyObjectWrapper<Optional<Class<? extends Operation>>> asked =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  FormDesk(Session session) {
    this.session = session;
  }

  /** Goes where operations are filled in, and asks for the form of one. */
  public void ask(Class<? extends Operation> operation) {
    session.stopProperty().set(Stop.SHAPE);
    asked.set(Optional.of(operation));
    asked.set(Optional.empty()); // asked once
  }

  /** Present for as long as the asking lasts. */
  public ReadOnlyObjectProperty<Optional<Class<? extends Operation>>> askedProperty() {
    return asked.getReadOnlyProperty();
  }
}
