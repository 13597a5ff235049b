package wellspan.app.session;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import wellspan.core.geom.Position;
import wellspan.core.measure.Measured;

/** The places between which is measured, in plan or in 3D. Window's thread. */
public final class MeasureDesk {
  private final ReadOnlyObjectWrapper<List<Position>> places =
      new ReadOnlyObjectWrapper<>(List.of());

  MeasureDesk() {}

  public ReadOnlyObjectProperty<List<Position>> placesProperty() {
    return places.getReadOnlyProperty();
  }

  public void add(Position p) {
    List<Position> more = new ArrayList<>(places.get());
    more.add(p);
    places.set(List.copyOf(more));
  }

  public void clear() {
    places.set(List.of());
  }

  /** Figures, once there are two places. */
  public Optional<Measured> measured() {
    return places.get().size() < 2 ? Optional.empty() : Optional.of(Measured.of(places.get()));
  }
}
