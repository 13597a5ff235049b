package wellspan.core.network;

import java.util.List;
import java.util.Optional;
import wellspan.core.attribute.PropertySet;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

/**
 * A chamber, or another node of a network.
 *
 * @param name unique in its network, but for faults
 * @param form what it looks like
 * @param east of its centre, metres
 * @param north of its centre
 * @param rim level of its upper edge, NaN where it is not given
 * @param sump level of its floor, NaN where it is not given
 * @param wall thickness of its wall, metres; NaN where it is not given
 * @param inverts where pipes meet it
 * @param material empty where it is not said
 * @param sets what else is said of it
 */
public record Chamber(
    String name,
    Form form,
    double east,
    double north,
    double rim,
    double sump,
    double wall,
    List<Invert> inverts,
    String material,
    List<PropertySet> sets) {

  /** What a node of a network looks like; inner measures in metres. */
  public sealed interface Form {
    /** The same turned counter-clockwise, radians. */
    default Form turned(double by) {
      return this;
    }

    /** Round. */
    record Round(double diameter) implements Form {}

    /**
     * A box.
     *
     * @param direction of its length, from the easting axis counter-clockwise, radians
     */
    record Rectangular(double length, double width, double direction) implements Form {
      @Override
      public Form turned(double by) {
        return new Rectangular(length, width, direction + by);
      }
    }

    /** An inlet without measures. */
    record Inlet() implements Form {}

    /** An outlet without measures. */
    record Outlet() implements Form {}

    /** Pipes meet without a chamber. */
    record None() implements Form {}
  }

  /**
   * Where a pipe meets a chamber.
   *
   * @param pipe name of the pipe
   * @param level lowest inside point of the pipe there, metres
   * @param direction {@code in}, {@code out}, {@code both} or empty
   */
  public record Invert(String pipe, double level, String direction) {}

  public Chamber {
    inverts = List.copyOf(inverts);
    sets = List.copyOf(sets);
  }

  /** The same at another place; a similarity without a scale. */
  Chamber moved(Similarity how) {
    Position at = how.apply(new Position(east, north, 0));
    double up = how.to().level() - how.from().level();
    return new Chamber(
        name,
        form.turned(how.rotation()),
        at.east(),
        at.north(),
        rim + up,
        sump + up,
        wall,
        inverts.stream().map(i -> new Invert(i.pipe(), i.level() + up, i.direction())).toList(),
        material,
        sets);
  }

  /** Lowest level of a pipe that meets it. */
  public Optional<Double> lowestInvert() {
    return inverts.stream().map(Invert::level).filter(Double::isFinite).min(Double::compare);
  }
}
