package wellspan.core.align;

/**
 * A point of vertical intersection of a profile.
 *
 * @param distance horizontal, from the alignment's start, metres
 */
public record Pvi(double distance, double level, Rounding rounding) {

  /** How the corner is rounded. */
  public sealed interface Rounding {
    /** No curve: the grade breaks. */
    record None() implements Rounding {}

    /**
     * Parabola over lengths before and after the point; equal lengths give the symmetric parabola.
     */
    record Parabola(double before, double after) implements Rounding {}

    /** Circular arc of a radius, metres, taken positive. */
    record Circle(double radius) implements Rounding {}
  }
}
