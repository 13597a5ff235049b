package wellspan.app.session;

import java.util.Collection;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.reading.Reading;

/** Where the hand points on the stage, and what the stage is asked to show. Window's thread. */
public final class Aim {
  private final ObjectProperty<Optional<Position>> pointer =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Position>> place =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Box>> extent =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final StageMotion motion = new StageMotion();
  private final BooleanProperty views = new SimpleBooleanProperty();

  private final Session session;
  private Reading.Levels levels = (id, e, n) -> Double.NaN;

  Aim(Session session) {
    this.session = session;
  }

  /** Says where levels of surfaces can be read; the plan knows them fastest. */
  public void setLevels(Reading.Levels source) {
    levels = source;
  }

  /** Everything that can be read at a place. */
  public Reading readingAt(Position p) {
    return Reading.at(session.build(), p, session.selectedProperty().get(), levels);
  }

  /** What the cursor points at, in shared coordinates. */
  public ObjectProperty<Optional<Position>> pointerProperty() {
    return pointer;
  }

  /** Asks the stage to show a place, also when it is the one it was asked for last. */
  public void at(Position p) {
    place.set(Optional.empty());
    place.set(Optional.of(p));
  }

  /** Asks the stage to show an extent as large as it can; nothing if it is empty. */
  public void at(Box box) {
    if (!box.isEmpty()) {
      extent.set(Optional.empty());
      extent.set(Optional.of(box));
    }
  }

  /** Asks the stage to show items as large as it can. */
  public void goTo(Collection<ItemId> items) {
    Box box = Box.EMPTY;
    for (ItemId id : items) {
      Build.BuiltItem i = session.build().items().get(id);
      box = i == null ? box : box.union(i.item().bounds());
    }
    at(box);
  }

  /** A place that the stage is asked to show. */
  public ReadOnlyObjectProperty<Optional<Position>> placeProperty() {
    return place.getReadOnlyProperty();
  }

  /** An extent that the stage is asked to show. */
  public ReadOnlyObjectProperty<Optional<Box>> extentProperty() {
    return extent.getReadOnlyProperty();
  }

  /** Whether the stage shows the views that were kept. */
  public BooleanProperty viewsProperty() {
    return views;
  }

  /** Told by the stage whenever it is moved by hand. */
  public StageMotion motion() {
    return motion;
  }
}
