package wellspan.app.session;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.colouring.ColourBy;
import wellspan.core.colouring.Colouring;

/** By what the stage colours items. Window's thread. */
public final class ColourDesk {
  private final Session session;
  private final ObjectProperty<Optional<ColourBy>> by =
      new SimpleObjectProperty<>(Optional.empty());
  private Build madeOf;
  private Optional<Colouring> made = Optional.empty();

  ColourDesk(Session session) {
    this.session = session;
  }

  /** Empty where items have the colours of what they are made of. */
  public ObjectProperty<Optional<ColourBy>> byProperty() {
    return by;
  }

  /** The colours of the build as it is now; computed once for it. */
  @SuppressWarnings("ReferenceEquality") // a build is never changed
  public Optional<Colouring> colouring() {
    if (madeOf != session.build() || !made.map(Colouring::by).equals(by.get())) {
      madeOf = session.build();
      made = by.get().map(b -> Colouring.of(madeOf, b));
    }
    return made;
  }
}
