package wellspan.core.road;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.align.MovedAlignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Similarity;
import wellspan.core.shape.Curved;

/**
 * A part of a road as the geometry of an item.
 *
 * @param road name of the road
 */
public record RoadBody(String road, Alignment axis, RoadPart part) implements Curved {
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

  /** Its geometry alone. */
  public SectionedBody sectioned() {
    return new SectionedBody(axis, part.body());
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
