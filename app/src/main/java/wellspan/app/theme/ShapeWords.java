package wellspan.app.theme;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import wellspan.core.align.Chainages;
import wellspan.core.geom.Box;
import wellspan.core.shape.Measure;
import wellspan.core.shape.Shape;

/** The measures of a shape as they are told. */
public final class ShapeWords {
  private static final double SQUARE_METRES_TO = 1000;

  private ShapeWords() {}

  /** The one by which its size is known. */
  public static String size(Shape shape) {
    if (has(shape, Measure.TRIANGLES)) {
      return count(shape, Measure.TRIANGLES) + " triangles";
    }
    if (has(shape, Measure.LENGTH)) {
      return metres(shape, 1) + " m";
    }
    return has(shape, Measure.COLUMNS) ? pixels(shape) : count(shape, Measure.POINTS) + " points";
  }

  /** All that are worth a line, with the style class of a line before a tab where it has one. */
  public static List<String> lines(Shape shape) {
    List<String> out = new ArrayList<>();
    if (has(shape, Measure.TRIANGLES) && shape.isEmpty()) {
      return List.of("error\t0 triangles:", "error\tnothing will arrive");
    }
    boolean faces = has(shape, Measure.TRIANGLES);
    if (faces) {
      out.add(count(shape, Measure.TRIANGLES) + " triangles");
    }
    if (has(shape, Measure.START_CHAINAGE)) {
      out.add("figure\t" + Chainages.format(of(shape, Measure.START_CHAINAGE)));
      out.add("figure\t… " + Chainages.format(of(shape, Measure.END_CHAINAGE)));
      out.add(count(shape, Measure.ELEMENTS) + " plan elements");
      out.add(
          has(shape, Measure.PROFILE_PIECES)
              ? count(shape, Measure.PROFILE_PIECES) + " profile pieces"
              : "no profile");
    } else if (!faces && has(shape, Measure.LENGTH)) {
      out.add(metres(shape, 3) + " m in plan");
    }
    if (has(shape, Measure.POINTS)) {
      out.add(count(shape, Measure.POINTS) + " points");
      Box b = shape.bounds();
      if (b.hasLevels()) {
        out.add("levels " + Figures.number(b.minH(), 2) + " … " + Figures.number(b.maxH(), 2));
      }
    }
    if (has(shape, Measure.COLUMNS)) {
      double width = of(shape, Measure.GROUND_WIDTH);
      out.add(pixels(shape));
      out.add("of " + Figures.distance(width / of(shape, Measure.COLUMNS)));
      out.add(Figures.distance(width) + " wide");
    }
    if (faces) {
      double area = of(shape, Measure.PLAN_AREA);
      out.add(
          area < SQUARE_METRES_TO
              ? Figures.number(area, 2) + " m² in plan"
              : Figures.number(area / 10_000, 2) + " ha in plan");
    }
    return out;
  }

  private static boolean has(Shape shape, Measure m) {
    return shape.measure(m).isPresent();
  }

  private static double of(Shape shape, Measure m) {
    OptionalDouble value = shape.measure(m);
    return value.orElse(Double.NaN);
  }

  private static String count(Shape shape, Measure m) {
    return Figures.number(of(shape, m), 0);
  }

  private static String metres(Shape shape, int decimals) {
    return Figures.number(of(shape, Measure.LENGTH), decimals);
  }

  private static String pixels(Shape shape) {
    return (long) of(shape, Measure.COLUMNS) + " × " + (long) of(shape, Measure.ROWS) + " pixels";
  }
}
