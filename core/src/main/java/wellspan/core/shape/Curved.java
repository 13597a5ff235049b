package wellspan.core.shape;

import java.util.OptionalDouble;
import wellspan.core.geom.Mesh;

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
}
