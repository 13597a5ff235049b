package wellspan.core.shape;

import java.util.OptionalDouble;

/** The measures of each sort of shape. */
final class ShapeMeasures {
  private ShapeMeasures() {}

  static OptionalDouble of(Geometry shape, Measure m) {
    return switch (shape) {
      case Shape.Faces f -> faces(f, m);
      case Shape.Lines l -> lines(l, m);
      case Shape.Points p -> points(p, m);
      case Shape.Axis a -> axis(a, m);
      case Shape.Picture p -> picture(p, m);
    };
  }

  private static OptionalDouble faces(Shape.Faces f, Measure m) {
    return switch (m) {
      case TRIANGLES -> OptionalDouble.of(f.mesh().triangleCount());
      case POINTS -> OptionalDouble.of(f.mesh().vertexCount());
      case PLAN_AREA -> OptionalDouble.of(f.planArea());
      case SURFACE_AREA -> OptionalDouble.of(f.mesh().surfaceArea());
      case LENGTH -> f.curved().map(Curved::planLength).orElse(OptionalDouble.empty());
      default -> OptionalDouble.empty();
    };
  }

  private static OptionalDouble lines(Shape.Lines l, Measure m) {
    return switch (m) {
      case POINTS -> OptionalDouble.of(l.pointCount());
      case LENGTH -> OptionalDouble.of(l.planLength());
      default -> OptionalDouble.empty();
    };
  }

  private static OptionalDouble points(Shape.Points p, Measure m) {
    return m == Measure.POINTS ? OptionalDouble.of(p.points().size()) : OptionalDouble.empty();
  }

  private static OptionalDouble axis(Shape.Axis a, Measure m) {
    return switch (m) {
      case LENGTH -> OptionalDouble.of(a.alignment().length());
      case START_CHAINAGE -> OptionalDouble.of(a.alignment().startChainage());
      case END_CHAINAGE -> OptionalDouble.of(a.alignment().endChainage());
      case ELEMENTS -> OptionalDouble.of(a.alignment().elements().size());
      case PROFILE_PIECES ->
          a.alignment().profile().stream().mapToDouble(p -> p.segments().size()).findFirst();
      default -> OptionalDouble.empty();
    };
  }

  private static OptionalDouble picture(Shape.Picture p, Measure m) {
    return switch (m) {
      case COLUMNS -> OptionalDouble.of(p.pixels().width());
      case ROWS -> OptionalDouble.of(p.pixels().height());
      case GROUND_WIDTH -> OptionalDouble.of(p.place().width());
      default -> OptionalDouble.empty();
    };
  }
}
