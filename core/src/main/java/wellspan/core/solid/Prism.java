package wellspan.core.solid;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Similarity;
import wellspan.core.shape.CarriedBody;
import wellspan.core.terrain.PointIndex;

/**
 * A level footprint raised vertically.
 *
 * @param foot its loops at the lower face, the outer one first, then holes; easting, northing and
 *     the one level in threes, shared coordinates, not closed by a repeated corner; never written
 * @param height of the upper face above the lower one, metres, greater than 0
 */
public record Prism(List<double[]> foot, double height) implements CarriedBody {
  public Prism {
    foot = List.copyOf(foot);
    if (foot.isEmpty() || !(height > 0)) {
      throw new IllegalArgumentException("A body needs a footprint and a height above 0.");
    }
  }

  /** Level of its lower face, metres. */
  public double base() {
    return foot.getFirst()[2];
  }

  /** Exact for every tolerance. */
  @Override
  public Mesh mesh(double chord) {
    return Loft.body(List.of(foot, foot.stream().map(this::raised).toList()), false);
  }

  private double[] raised(double[] loop) {
    double[] out = loop.clone();
    for (int i = 2; i < out.length; i += 3) {
      out[i] += height;
    }
    return out;
  }

  /** Area of the footprint without its holes times the height. */
  @Override
  public double volume() {
    double area = Math.abs(area(foot.getFirst()));
    for (double[] hole : foot.subList(1, foot.size())) {
      area -= Math.abs(area(hole));
    }
    return area * height;
  }

  /** Counted from its first corner, so that large coordinates cost no digits. */
  private static double area(double[] loop) {
    double sum = 0;
    int n = loop.length / 3;
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      sum +=
          (loop[3 * i] - loop[0]) * (loop[3 * j + 1] - loop[1])
              - (loop[3 * j] - loop[0]) * (loop[3 * i + 1] - loop[1]);
    }
    return sum / 2;
  }

  /** All of them. */
  @Override
  public double[] givenCorners() {
    double[] low = lowCorners();
    double[] out = new double[2 * low.length];
    System.arraycopy(low, 0, out, 0, low.length);
    System.arraycopy(raised(low), 0, out, low.length, low.length);
    return out;
  }

  private double[] lowCorners() {
    double[] out = new double[foot.stream().mapToInt(l -> l.length).sum()];
    int at = 0;
    for (double[] loop : foot) {
      System.arraycopy(loop, 0, out, at, loop.length);
      at += loop.length;
    }
    return out;
  }

  @Override
  public Corners corners() {
    double[] low = lowCorners();
    PointIndex index = new PointIndex(low);
    return p -> {
      int k = index.nearest(p.east(), p.north(), 1, i -> true)[0];
      double plan = Math.hypot(p.east() - low[3 * k], p.north() - low[3 * k + 1]);
      double up = p.level() - base();
      return Math.hypot(plan, Math.min(Math.abs(up), Math.abs(up - height)));
    };
  }

  @Override
  public Optional<Prism> moved(Similarity how) {
    List<double[]> there = new ArrayList<>();
    foot.forEach(loop -> there.add(how.apply(loop)));
    return Optional.of(new Prism(there, height));
  }
}
