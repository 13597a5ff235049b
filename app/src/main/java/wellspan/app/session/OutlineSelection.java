package wellspan.app.session;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import wellspan.core.build.Build;
import wellspan.core.geom.Position;
import wellspan.core.search.ItemsWithin;

/** Selects what lies wholly within an outline that is drawn corner by corner. Window's thread. */
public final class OutlineSelection {
  private final Selection selection;
  private final ReadOnlyObjectWrapper<List<Position>> corners =
      new ReadOnlyObjectWrapper<>(List.of());

  OutlineSelection(Selection selection) {
    this.selection = selection;
  }

  /** The corners drawn so far. */
  public ReadOnlyObjectProperty<List<Position>> cornersProperty() {
    return corners.getReadOnlyProperty();
  }

  public void add(Position corner) {
    List<Position> more = new ArrayList<>(corners.get());
    more.add(corner);
    corners.set(List.copyOf(more));
  }

  public void clear() {
    corners.set(List.of());
  }

  /** Ends the outline and selects what lies in it; nothing changes without an area. */
  public void take(Collection<Build.BuiltItem> shown) {
    if (corners.get().size() > 2) {
      selection.choose(ItemsWithin.of(shown, corners.get()));
    }
    clear();
  }
}
