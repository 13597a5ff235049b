package wellspan.core.bridge;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.Footpoint;
import wellspan.core.geom.Mesh;
import wellspan.core.solid.Loft;
import wellspan.core.terrain.TriangleIndex;

/**
 * What bears a deck: abutments at its ends, piers of columns under cross beams, bearings between.
 * All bodies are closed.
 */
public final class Bridge {
  private static final int SIDES = 24;

  /** How far the outermost column stands from the end of its cross beam, metres. */
  private static final double OVERHANG = 1;

  /** What a body is for. */
  public enum Part {
    ABUTMENT,
    CROSS_BEAM,
    COLUMN,
    BEARING
  }

  /**
   * A body.
   *
   * @param name such as {@code pier 2 column 1}
   * @param distance along the axis at which its line crosses it, metres
   */
  public record Body(Part part, String name, double distance, Mesh mesh) {}

  private final Alignment axis;
  private final BridgeMeasures m;
  private final TriangleIndex ground;
  private final List<Body> bodies = new ArrayList<>();

  private Bridge(Alignment axis, BridgeMeasures m, TriangleIndex ground) {
    this.axis = axis;
    this.m = m;
    this.ground = ground;
  }

  /**
   * @param from of the deck, distance along the alignment, metres
   * @param to of the deck, metres
   * @param piers distances of the piers
   * @param skew of all pier lines, clockwise from the square to the alignment, radians; one for
   *     each of abutment, piers, abutment
   * @throws IllegalArgumentException with a sentence, if there is no ground below, or it reaches
   *     the deck
   */
  public static List<Body> of(
      Alignment axis,
      double from,
      double to,
      List<Double> piers,
      double[] skew,
      BridgeMeasures m,
      Mesh ground) {
    Bridge b = new Bridge(axis, m, new TriangleIndex(ground));
    double half = m.abutment() / 2;
    b.abutment("abutment 1", PierLine.of(axis, from + half, skew[0]));
    for (int i = 0; i < piers.size(); i++) {
      b.pier("pier " + (i + 1), PierLine.of(axis, piers.get(i), skew[i + 1]));
    }
    b.abutment("abutment 2", PierLine.of(axis, to - half, skew[skew.length - 1]));
    return b.bodies;
  }

  private double left(PierLine l) {
    return -m.left() * l.stretch();
  }

  private double right(PierLine l) {
    return m.right() * l.stretch();
  }

  /** Level of the deck's lower side over a place. */
  private double underside(double[] p, PierLine l) {
    double d = Footpoint.of(axis, p[0], p[1]).map(Footpoint::distance).orElse(l.distance());
    double level = axis.profile().map(x -> x.levelAt(d)).orElse(Double.NaN);
    if (!Double.isFinite(level)) {
      throw new IllegalArgumentException(
          axis.name() + " has no level at " + chainage(d) + ". Choose chainages in its profile.");
    }
    return level - m.depth() - m.thickness();
  }

  private String chainage(double d) {
    return Chainages.format(axis.chainages().at(d));
  }

  private double ground(double[] p, String what, PierLine l) {
    double level = ground.levelAt(p[0], p[1]);
    if (!Double.isFinite(level)) {
      throw new IllegalArgumentException(
          "there is no ground under "
              + what
              + " at "
              + chainage(l.distance())
              + ". Choose a larger ground.");
    }
    return level;
  }

  private void abutment(String name, PierLine l) {
    double lowest = Double.POSITIVE_INFINITY;
    for (double across : new double[] {left(l), 0, right(l)}) {
      lowest = Math.min(lowest, ground(l.at(across), name, l));
    }
    double[] low = new double[2];
    double[] high = new double[2];
    for (int end = 0; end < 2; end++) {
      high[end] = underside(l.at(end == 0 ? left(l) : right(l)), l) - m.bearing();
      low[end] = Math.min(lowest - m.footing(), high[end] - 1);
    }
    add(Part.ABUTMENT, name, l, prism(l, left(l), right(l), low, high, m.abutment()));
    bearings(name, l, columns(l));
  }

  /** Where columns and bearings stand on the line. */
  private double[] columns(PierLine l) {
    double[] out = new double[m.columns()];
    double a = left(l) + OVERHANG;
    double b = right(l) - OVERHANG;
    for (int i = 0; i < out.length; i++) {
      out[i] = out.length == 1 ? (a + b) / 2 : a + (b - a) * i / (out.length - 1);
    }
    return out;
  }

  private void pier(String name, PierLine l) {
    double[] top = new double[2];
    double[] bottom = new double[2];
    for (int end = 0; end < 2; end++) {
      top[end] = underside(l.at(end == 0 ? left(l) : right(l)), l) - m.bearing();
      bottom[end] = top[end] - m.beamDepth();
    }
    add(
        Part.CROSS_BEAM,
        name + " cross beam",
        l,
        prism(l, left(l), right(l), bottom, top, m.beamWidth()));
    double[] at = columns(l);
    for (int i = 0; i < at.length; i++) {
      double[] p = l.at(at[i]);
      double t = (at[i] - left(l)) / (right(l) - left(l));
      double under = bottom[0] + t * (bottom[1] - bottom[0]);
      double foot = ground(p, name, l) - m.footing();
      if (foot + m.footing() > under) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT,
                "the ground at %s of %s lies %.2f m above the cross beam. Raise the profile, or move the pier.",
                name,
                chainage(l.distance()),
                foot + m.footing() - under));
      }
      add(Part.COLUMN, name + " column " + (i + 1), l, column(p, foot, under));
    }
    bearings(name, l, at);
  }

  private void bearings(String name, PierLine l, double[] at) {
    if (m.bearing() <= 0) {
      return;
    }
    for (int i = 0; i < at.length; i++) {
      double size = 0.25;
      double[] high = new double[2];
      double[] low = new double[2];
      for (int end = 0; end < 2; end++) {
        double across = at[i] + (end == 0 ? -size : size);
        double t = (across - left(l)) / (right(l) - left(l));
        high[end] = (1 - t) * underside(l.at(left(l)), l) + t * underside(l.at(right(l)), l);
        low[end] = high[end] - m.bearing();
      }
      add(
          Part.BEARING,
          name + " bearing " + (i + 1),
          l,
          prism(l, at[i] - size, at[i] + size, low, high, 2 * size));
    }
  }

  private void add(Part part, String name, PierLine l, Mesh mesh) {
    bodies.add(new Body(part, name, l.distance(), mesh));
  }

  /** A block along a pier line, its lower and upper side straight from end to end. */
  private static Mesh prism(
      PierLine l, double from, double to, double[] low, double[] high, double width) {
    List<List<double[]>> ends = new ArrayList<>();
    for (int end = 0; end < 2; end++) {
      double[] p = l.at(end == 0 ? from : to);
      double e = -l.along()[1] * width / 2; // square to the line
      double n = l.along()[0] * width / 2;
      ends.add(
          List.of(
              new double[] {
                p[0] - e, p[1] - n, low[end], p[0] + e, p[1] + n, low[end], p[0] + e, p[1] + n,
                high[end], p[0] - e, p[1] - n, high[end]
              }));
    }
    return Loft.body(ends, false);
  }

  private Mesh column(double[] p, double low, double high) {
    List<List<double[]>> rings = new ArrayList<>();
    for (double z : new double[] {low, high}) {
      double[] xyz = new double[3 * SIDES];
      for (int i = 0; i < SIDES; i++) {
        double a = 2 * Math.PI * i / SIDES;
        xyz[3 * i] = p[0] + m.diameter() / 2 * Math.cos(a);
        xyz[3 * i + 1] = p[1] + m.diameter() / 2 * Math.sin(a);
        xyz[3 * i + 2] = z;
      }
      rings.add(List.of(xyz));
    }
    return Loft.body(rings, false);
  }
}
