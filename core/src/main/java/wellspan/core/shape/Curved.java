package wellspan.core.shape;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Similarity;

/**
 * Geometry given by measures and curves, of which triangles are made for a stated tolerance.
 * Implementations are immutable; several threads may ask them at once.
 */
public interface Curved {
  /** Chord tolerance where nobody asks for another, metres. */
  double USUAL_CHORD = 0.010;

  /**
   * Triangles whose chords stay within a distance of the true curves. Made anew at each call, in
   * time of their number.
   *
   * @param chord largest distance between a chord and its curve, metres, greater than 0
   */
  Mesh mesh(double chord);

  /** Length in plan by which it is known, metres: of a pipe between the centres of its chambers. */
  default OptionalDouble planLength() {
    return OptionalDouble.empty();
  }

  /** The alignment along which it was carried. */
  default Optional<Alignment> follows() {
    return Optional.empty();
  }

  /**
   * Whether anything of it lies between two distances along the alignment that it follows; true
   * where it follows none.
   */
  default boolean reaches(double from, double to) {
    return true;
  }

  /**
   * What of it lies between two distances along the alignment that it follows; empty where nothing
   * does, all of it where it follows none.
   */
  default Optional<? extends Curved> between(double from, double to) {
    return Optional.of(this);
  }

  /** What is worked out of it, as everybody does who has the same measures and curves. */
  default List<PropertySet> facts() {
    return List.of();
  }

  /** The same at another place; empty where its measures cannot follow. */
  default Optional<? extends Curved> moved(Similarity how) {
    return Optional.empty();
  }
}
