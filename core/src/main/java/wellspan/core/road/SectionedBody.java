package wellspan.core.road;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.align.Footpoint;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.shape.CarriedBody;

/**
 * A body whose outline is carried along an alignment, upright and square to it.
 *
 * @param section its outlines
 */
public record SectionedBody(Alignment axis, CarriedSection section) implements CarriedBody {
  /** A corner that is farther off may have been looked for at the wrong place, metres. */
  private static final double FOUND = 0.01;

  /**
   * One outline all along, over the profile.
   *
   * @param offset of each corner, positive to the right, metres
   * @param above the profile, of each corner, metres
   * @param from distance from the alignment's start, metres
   * @param to distance from the alignment's start, metres
   * @return empty where the alignment has no level at an end
   */
  public static Optional<SectionedBody> constant(
      Alignment axis, double[] offset, double[] above, double from, double to) {
    double first = axis.at(from).level();
    double last = axis.at(to).level();
    if (!Double.isFinite(first) || !Double.isFinite(last)) {
      return Optional.empty();
    }
    List<String> codes = java.util.Collections.nCopies(offset.length, "");
    SectionRing ring = new SectionRing(from, 0, offset, above, codes, true);
    SectionRing end = new SectionRing(to, 0, offset, above, codes, true);
    RoadStations stations = new RoadStations(new RoadLine(axis));
    CarriedSection section =
        new CarriedSection(stations, List.of(List.of(ring.above(-first), end.above(-last))));
    return Optional.of(new SectionedBody(axis, section));
  }

  /** The outlines that tell it whole; empty where outlines along a line do not. */
  public Optional<List<CarriedSection.Outline>> outlines() {
    return section.sweep();
  }

  @Override
  public Mesh mesh(double chord) {
    return section.mesh(chord);
  }

  @Override
  public Optional<Alignment> follows() {
    return Optional.of(axis);
  }

  @Override
  public OptionalDouble planLength() {
    return OptionalDouble.of(section.length());
  }

  @Override
  public double volume() {
    return section.exactVolume();
  }

  @Override
  public double[] givenCorners() {
    return section.givenCorners();
  }

  /** Corners are looked up where a perpendicular from them meets the axis. */
  @Override
  public Corners corners() {
    double[] last = {section.from()};
    return p -> {
      last[0] = place(p, last[0]);
      return section.offCorner(last[0], p);
    };
  }

  private double place(Position p, double before) {
    double near = Footpoint.follow(axis, p.east(), p.north(), before, section.from(), section.to());
    double off = section.offCorner(near, p);
    if (off > FOUND) {
      double found = Footpoint.of(axis, p.east(), p.north()).map(Footpoint::distance).orElse(near);
      return section.offCorner(found, p) < off ? found : near;
    }
    return near;
  }
}
