package wellspan.core.flaw;

import java.util.Collection;
import java.util.HashSet;
import java.util.Set;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Shape;

/**
 * Where covers lie: a hole of the ground that a cover fills is none. Covers are cut exactly out of
 * the ground, so they share its vertices.
 */
public final class CoveredPlaces {
  public static final CoveredPlaces NONE = new CoveredPlaces(Set.of());

  private record Place(double east, double north) {}

  private final Set<Place> places;

  private CoveredPlaces(Set<Place> places) {
    this.places = places;
  }

  /** The covers among some items. */
  public static CoveredPlaces of(Collection<Item> items) {
    Set<Place> out = new HashSet<>();
    for (Item i : items) {
      if (i.kind().is(Kind.COVER) && i.shape() instanceof Shape.Faces c) {
        for (int v : c.mesh().triangles()) {
          out.add(place(c.mesh(), v));
        }
      }
    }
    return new CoveredPlaces(out);
  }

  /** Whether every vertex of a hole's outline is one of a cover. */
  boolean fill(Mesh ground, int[] hole) {
    for (int v : hole) {
      if (!places.contains(place(ground, v))) {
        return false;
      }
    }
    return !places.isEmpty();
  }

  private static Place place(Mesh m, int v) {
    return new Place(m.east(v), m.north(v));
  }
}
