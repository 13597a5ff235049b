package wellspan.core.earthwork;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.TriangleIndex;

/**
 * What is cut and filled along an alignment, from an existing to a proposed surface.
 *
 * @param rows one after the other
 * @param reach how far it was looked to both sides, metres
 */
public record MassHaul(List<Row> rows, double reach) {
  /** Sections for the integral stand at most so far apart, metres. */
  private static final double STEP = 2;

  /**
   * A stretch.
   *
   * @param from chainage as displayed, metres
   * @param to chainage as displayed, metres
   * @param cut cubic metres in the ground
   * @param fill cubic metres in place
   * @param mass all that was cut less all that was filled from the start on, m³
   */
  public record Row(
      double fromDistance,
      double toDistance,
      double from,
      double to,
      double cut,
      double fill,
      double mass) {}

  public MassHaul {
    rows = List.copyOf(rows);
  }

  /** Areas of a section and their moments about the alignment. */
  private record Section(double cut, double cutMoment, double fill, double fillMoment) {}

  /**
   * Volumes by ∫(A + κM)ds over exact sections of both surfaces, A the area that is cut or filled
   * and M its moment about the alignment: in curves what lies outside counts more than what lies
   * inside. In time of the length and of the triangles near it.
   *
   * @param every length of a stretch, metres
   * @param reach how far it is looked to both sides, metres
   * @param factor cubic metres of fill that one cubic metre cut makes
   */
  public static MassHaul of(
      Alignment a,
      Mesh existing,
      Mesh proposed,
      double every,
      double reach,
      double factor,
      Progress progress) {
    if (!(every > 0) || !(reach > 0) || !(factor > 0)) {
      throw new IllegalArgumentException("lengths and factors of a mass haul are above zero");
    }
    TriangleIndex e = new TriangleIndex(existing);
    TriangleIndex p = new TriangleIndex(proposed);
    double length = a.length();
    List<Row> out = new ArrayList<>();
    double mass = 0;
    for (double from = 0; from < length - 1e-6; from += every) {
      progress.advance(from / length, "Measuring what is cut and filled");
      double to = Math.min(length, from + every);
      double[] v = volumes(a, e, p, from, to, reach);
      mass += v[0] * factor - v[1];
      out.add(new Row(from, to, a.chainages().at(from), a.chainages().at(to), v[0], v[1], mass));
    }
    return new MassHaul(out, reach);
  }

  private static double[] volumes(
      Alignment a, TriangleIndex e, TriangleIndex p, double from, double to, double reach) {
    double cut = 0;
    double fill = 0;
    List<Double> all = a.elementEnds(from, to);
    for (int i = 0; i + 1 < all.size(); i++) {
      double length = all.get(i + 1) - all.get(i);
      int n = Math.max(1, (int) Math.ceil(length / STEP));
      for (int k = 0; k < n; k++) {
        double s0 = all.get(i) + length * k / n;
        double s1 = all.get(i) + length * (k + 1) / n;
        double[] w = {1.0 / 6, 4.0 / 6, 1.0 / 6};
        double[] s = {s0, (s0 + s1) / 2, s1};
        // the end of a surface and of an element count as what lies before them
        double inside = (s1 - s0) * 1e-6;
        for (int g = 0; g < 3; g++) {
          double at = Math.clamp(s[g], s0 + inside, s1 - inside);
          Section c = section(a.at(at), e, p, reach);
          double k1 = a.curvatureAt(at);
          cut += w[g] * (s1 - s0) * (c.cut() + k1 * c.cutMoment());
          fill += w[g] * (s1 - s0) * (c.fill() + k1 * c.fillMoment());
        }
      }
    }
    return new double[] {cut, fill};
  }

  private static Section section(
      AlignmentPoint at, TriangleIndex existing, TriangleIndex proposed, double reach) {
    double dx = Math.sin(at.direction());
    double dy = -Math.cos(at.direction());
    GroundLine e = GroundLine.of(existing, at.east(), at.north(), dx, dy, -reach, reach);
    GroundLine p = GroundLine.of(proposed, at.east(), at.north(), dx, dy, -reach, reach);
    TreeSet<Double> breaks = new TreeSet<>();
    for (double s : e.at()) {
      breaks.add(s);
    }
    for (double s : p.at()) {
      breaks.add(s);
    }
    double[] sum = new double[4];
    List<Double> all = new ArrayList<>(breaks);
    for (int i = 0; i + 1 < all.size(); i++) {
      double s0 = all.get(i);
      double s1 = all.get(i + 1);
      if (s1 - s0 < 1e-9) {
        continue;
      }
      double side = (s1 - s0) * 1e-6;
      double d0 = e.levelAt(s0 + side) - p.levelAt(s0 + side);
      double d1 = e.levelAt(s1 - side) - p.levelAt(s1 - side);
      if (!Double.isFinite(d0) || !Double.isFinite(d1)) {
        continue;
      }
      if (d0 > 0 == d1 > 0) {
        add(sum, s0, s1, d0, d1);
      } else {
        double middle = s0 + (s1 - s0) * d0 / (d0 - d1);
        add(sum, s0, middle, d0, 0);
        add(sum, middle, s1, 0, d1);
      }
    }
    return new Section(sum[0], sum[1], sum[2], sum[3]);
  }

  /** A strip between two offsets; heights of one sign. */
  private static void add(double[] sum, double s0, double s1, double d0, double d1) {
    double w = s1 - s0;
    double area = w * (d0 + d1) / 2;
    double moment = w * (d0 * (2 * s0 + s1) + d1 * (s0 + 2 * s1)) / 6;
    int at = area >= 0 ? 0 : 2;
    sum[at] += Math.abs(area);
    sum[at + 1] += area >= 0 ? moment : -moment;
  }

  /** All that is cut, cubic metres. */
  public double cut() {
    return rows.stream().mapToDouble(Row::cut).sum();
  }

  /** All that is filled, cubic metres. */
  public double fill() {
    return rows.stream().mapToDouble(Row::fill).sum();
  }
}
