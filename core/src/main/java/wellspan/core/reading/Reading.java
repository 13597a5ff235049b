package wellspan.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Footpoint;
import wellspan.core.build.Build;
import wellspan.core.crs.Crs;
import wellspan.core.crs.Transformation;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.shape.Shape;

/**
 * Everything that can be said of one place.
 *
 * @param shared the place; its height is that of the topmost surface, NaN without one
 * @param local the same in local coordinates, metres
 * @param geographic on WGS 84, where the job's system allows it
 * @param along where it lies along and beside the chosen or the nearest alignment
 * @param levels of each visible surface there, highest first
 */
public record Reading(
    Position shared,
    Position local,
    Optional<PlaceStatement.LonLat> geographic,
    Optional<Along> along,
    List<Level> levels) {

  public record Along(String alignment, Footpoint foot) {}

  public record Level(String surface, double level) {}

  /** Gives the level of an item at a place, NaN where it has none. */
  public interface Levels {
    double at(ItemId id, double east, double north);
  }

  /**
   * @param chosen the alignment that chainages are read on; without one the nearest is taken
   */
  public static Reading at(Build build, Position place, Optional<ItemId> chosen, Levels surfaces) {
    List<Level> levels = new ArrayList<>();
    for (Build.BuiltItem i : build.items().values()) {
      if (build.isVisible(i.id())
          && i.item().triangles().isPresent()
          && !i.item().kind().is(Kind.COVER)) {
        double h = surfaces.at(i.id(), place.east(), place.north());
        if (Double.isFinite(h)) {
          levels.add(new Level(i.item().name(), h));
        }
      }
    }
    levels.sort(java.util.Comparator.comparingDouble(Level::level).reversed());
    double top =
        Double.isFinite(place.level())
            ? place.level()
            : levels.isEmpty() ? Double.NaN : levels.getFirst().level();
    Position shared = new Position(place.east(), place.north(), top);
    Frame f = build.job().frame();
    return new Reading(
        shared,
        f.toLocal(shared),
        geographic(f, shared),
        along(build, shared, chosen),
        List.copyOf(levels));
  }

  private static Optional<PlaceStatement.LonLat> geographic(Frame f, Position p) {
    Optional<Crs> crs = f.system().filter(Crs::projected);
    if (crs.isEmpty()) {
      return Optional.empty();
    }
    try {
      double unit = crs.get().metresPerUnit();
      double[] at =
          new Transformation(crs.get(), Crs.WGS84).apply(p.east() / unit, p.north() / unit);
      return Optional.of(new PlaceStatement.LonLat(at[0], at[1]));
    } catch (Transformation.OutsideAreaException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static Optional<Along> along(Build build, Position p, Optional<ItemId> chosen) {
    Optional<Along> best = Optional.empty();
    for (Build.BuiltItem i : build.items().values()) {
      if (!(i.item().shape() instanceof Shape.Axis line)) {
        continue;
      }
      Optional<Along> here =
          Footpoint.of(line.alignment(), p.east(), p.north())
              .map(f -> new Along(i.item().name(), f));
      if (chosen.filter(i.id()::equals).isPresent() && here.isPresent()) {
        return here;
      }
      if (here.isPresent()
          && (best.isEmpty()
              || Math.abs(here.get().foot().offset()) < Math.abs(best.get().foot().offset()))) {
        best = here;
      }
    }
    return best;
  }
}
