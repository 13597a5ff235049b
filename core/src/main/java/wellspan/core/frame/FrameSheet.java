package wellspan.core.frame;

import java.util.List;
import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.GridNorth;
import wellspan.core.crs.Transformation;
import wellspan.core.crs.WellKnownTexts;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

/**
 * Everything another office needs to work in the same frame, with points to check its own set-up
 * by.
 *
 * @param control names and shared positions of the job's control points
 * @param checks three points in both systems: the base point and two of the work
 * @param north direction and scale of the grid at the base point, where they can be computed
 * @param wkt of the reference system, empty if there is none
 */
public record FrameSheet(
    String job,
    Frame frame,
    Optional<Crs> system,
    List<NamedPosition> control,
    List<CheckPoint> checks,
    Optional<GridNorth> north,
    String wkt) {

  public record NamedPosition(String name, Position shared) {}

  /** One point in shared and in local coordinates, metres. */
  public record CheckPoint(String name, Position shared, Position local) {}

  /**
   * @param work extent of the work; without one the check points lie around the base point
   */
  public static FrameSheet of(String job, Frame frame, List<NamedPosition> control, Box work) {
    Optional<Crs> system = frame.system();
    return new FrameSheet(
        job,
        frame,
        system,
        List.copyOf(control),
        checks(frame, work),
        system.filter(Crs::projected).flatMap(c -> north(c, frame.basePoint())),
        frame.definition().contains("[")
            ? frame.definition()
            : system.flatMap(WellKnownTexts::of).orElse(""));
  }

  private static List<CheckPoint> checks(Frame f, Box work) {
    Position b = f.basePoint();
    Position one;
    Position two;
    if (work.isEmpty()) {
      one = new Position(b.east() + 1000, b.north(), b.level() + 10);
      two = new Position(b.east(), b.north() + 1000, b.level() + 10);
    } else {
      double low = work.hasLevels() ? work.minH() : b.level();
      double high = work.hasLevels() ? work.maxH() : b.level();
      one = rounded(new Position(work.minE(), work.maxN(), low));
      two = rounded(new Position(work.maxE(), work.minN(), high));
    }
    return List.of(
        new CheckPoint("base point", b, f.toLocal(b)),
        new CheckPoint("check 1", one, f.toLocal(one)),
        new CheckPoint("check 2", two, f.toLocal(two)));
  }

  private static Position rounded(Position p) {
    return new Position(Math.rint(p.east()), Math.rint(p.north()), Math.rint(p.level()));
  }

  private static Optional<GridNorth> north(Crs crs, Position p) {
    try {
      return Optional.of(GridNorth.at(crs, p));
    } catch (Transformation.OutsideAreaException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
