package wellspan.core.shape;

import wellspan.core.geom.Position;

/**
 * A closed body whose outline is carried along a line: it can be told to receivers by outlines and
 * line, and what they make of it can be held against its true faces.
 */
public interface CarriedBody extends Curved {
  /** What its true faces enclose, cubic metres. */
  double volume();

  /** Corners that every copy has: of the outlines it is given by; x, y, z in threes. */
  double[] givenCorners();

  /** Looks up corners of a copy, best in their order along the line. */
  Corners corners();

  /** Keeps the last place along the line; for one thread. */
  @FunctionalInterface
  interface Corners {
    /** How far a position lies from where a corner of the body should be there, metres. */
    double off(Position p);
  }
}
