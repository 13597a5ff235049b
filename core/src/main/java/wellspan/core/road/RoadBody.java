package wellspan.core.road;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.align.Footpoint;
import wellspan.core.align.MovedAlignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Similarity;
import wellspan.core.shape.CarriedBody;

/**
 * A part of a road as the geometry of an item.
 *
 * @param road name of the road
 */
public record RoadBody(String road, Alignment axis, RoadPart part) implements CarriedBody {
  /** A corner that is farther off may have been looked for at the wrong place, metres. */
  private static final double FOUND = 0.01;

  @Override
  public Mesh mesh(double chord) {
    return part.body().mesh(chord);
  }

  @Override
  public Optional<Alignment> follows() {
    return Optional.of(axis);
  }

  @Override
  public OptionalDouble planLength() {
    return OptionalDouble.of(part.body().length());
  }

  @Override
  public List<PropertySet> facts() {
    CarriedSection b = part.body();
    return RoadFacts.of(road, axis, part, b.isSolid() ? b.exactVolume() : 0);
  }

  @Override
  public double volume() {
    return part.body().exactVolume();
  }

  @Override
  public double[] givenCorners() {
    return part.body().givenCorners();
  }

  /** Corners are looked up where a perpendicular from them meets the axis. */
  @Override
  public Corners corners() {
    double[] last = {from()};
    return p -> {
      double near = Footpoint.follow(axis, p.east(), p.north(), last[0], from(), to());
      double off = part.body().offCorner(near, p);
      if (off > FOUND) {
        double found =
            Footpoint.of(axis, p.east(), p.north()).map(Footpoint::distance).orElse(near);
        near = part.body().offCorner(found, p) < off ? found : near;
        off = part.body().offCorner(near, p);
      }
      last[0] = near;
      return off;
    };
  }

  @Override
  public Optional<RoadBody> moved(Similarity how) {
    Alignment there = MovedAlignment.by(how, axis);
    return Optional.of(new RoadBody(road, there, part.with(part.body().moved(how, there))));
  }

  /** Distance along the axis at which it begins, metres. */
  public double from() {
    return part.body().from();
  }

  /** Distance along the axis at which it ends, metres. */
  public double to() {
    return part.body().to();
  }

  @Override
  public boolean reaches(double from, double to) {
    return from < to() && to > from();
  }

  @Override
  public Optional<RoadBody> between(double from, double to) {
    return part.body().between(from, to).map(b -> new RoadBody(road, axis, part.with(b)));
  }
}
