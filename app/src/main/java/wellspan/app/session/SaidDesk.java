package wellspan.app.session;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.packing.SaidProperties;
import wellspan.core.schema.IfcSchema;

/**
 * All that items would say in the schema that is looked at, gathered beside the window while it is
 * asked for. Used on the window's thread.
 */
public final class SaidDesk {
  private final Session session;
  private final ObjectProperty<IfcSchema> schema;
  private final BooleanProperty wanted = new SimpleBooleanProperty();
  private final ReadOnlyObjectWrapper<Optional<SaidProperties>> said =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private boolean gathering;

  SaidDesk(Session session, ObjectProperty<IfcSchema> schema) {
    this.session = session;
    this.schema = schema;
    wanted.addListener((o, was, is) -> gather());
    schema.addListener((o, was, is) -> gather());
    session.buildProperty().addListener((o, was, is) -> gather());
  }

  /** Whether all properties are asked for, not only those of rules. */
  public BooleanProperty wantedProperty() {
    return wanted;
  }

  /** Empty while they are not asked for, and until they are gathered. */
  public ReadOnlyObjectProperty<Optional<SaidProperties>> saidProperty() {
    return said.getReadOnlyProperty();
  }

  private void gather() {
    if (!wanted.get()) {
      said.set(Optional.empty());
      return;
    }
    if (gathering) {
      return; // its end looks again
    }
    gathering = true;
    Build build = session.build();
    IfcSchema in = schema.get();
    session
        .work()
        .startBeside(
            "Gathering what items say",
            p -> SaidProperties.of(build, Delivery.ofAll(in)),
            all -> gathered(all, build, in),
            this::failed);
  }

  @SuppressWarnings("ReferenceEquality") // a build is never changed
  private void gathered(SaidProperties all, Build build, IfcSchema in) {
    gathering = false;
    if (!wanted.get()) {
      return;
    }
    said.set(Optional.of(all));
    if (session.build() != build || schema.get() != in) {
      gather();
    }
  }

  private void failed(String why) {
    gathering = false;
    wanted.set(false);
    session.complain(why);
  }
}
