package wellspan.core.geom;

/**
 * A turn, a plan scale and a shift: {@code target = to + k·R(θ)·(source − from)} in plan and {@code
 * H + (to.height − from.height)} in level. Levels are never scaled. The two reference points keep
 * large coordinates out of the products.
 *
 * @param from a point of the source system
 * @param to the same point in the target system
 * @param rotation θ, counter-clockwise, radians
 * @param scale k, plan length in the target over plan length in the source
 */
public record Similarity(Position from, Position to, double rotation, double scale) {
  private static final Position ZERO = new Position(0, 0, 0);
  public static final Similarity IDENTITY = new Similarity(ZERO, ZERO, 0, 1);

  /**
   * @throws IllegalArgumentException if a number is not finite or the scale is not positive
   */
  public Similarity {
    double all =
        from.east() + from.north() + from.level() + to.east() + to.north() + to.level() + rotation;
    if (!Double.isFinite(all) || !(scale > 0) || Double.isInfinite(scale)) {
      throw new IllegalArgumentException(
          "A similarity needs finite points, a finite rotation and a scale above 0.");
    }
  }

  public Position apply(Position p) {
    double dx = p.east() - from.east();
    double dy = p.north() - from.north();
    double c = scale * Math.cos(rotation);
    double s = scale * Math.sin(rotation);
    return new Position(
        to.east() + dx * c - dy * s,
        to.north() + dx * s + dy * c,
        p.level() - from.level() + to.level());
  }

  /** Points in threes, into a new array. */
  public double[] apply(double[] xyz) {
    double c = scale * Math.cos(rotation);
    double s = scale * Math.sin(rotation);
    double up = to.level() - from.level();
    double[] out = new double[xyz.length];
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      double dx = xyz[i] - from.east();
      double dy = xyz[i + 1] - from.north();
      out[i] = to.east() + dx * c - dy * s;
      out[i + 1] = to.north() + dx * s + dy * c;
      out[i + 2] = xyz[i + 2] + up;
    }
    return out;
  }

  public Similarity inverse() {
    return new Similarity(to, from, -rotation, 1 / scale);
  }
}
