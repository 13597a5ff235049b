package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Mesh;
import wellspan.core.solid.Loft;

/**
 * Reads solids of one profile that is carried along a curve, mitred where the curve has corners:
 * tubes, and areas whose x axis keeps as near to a reference direction as the curve allows.
 */
final class CarriedReader {
  private final CurveReader curves;
  private final ProfileReader profiles;

  CarriedReader(CurveReader curves, ProfileReader profiles) {
    this.curves = curves;
    this.profiles = profiles;
  }

  /**
   * An area along a curve. At each of its points the area stands square to the curve, its x axis
   * along the part of the reference that is square to it too; at a corner it lies in the plane that
   * halves it and is stretched across by 1 / cos of half the turn.
   */
  Mesh area(Instance s) {
    double[] line = withoutRepeats(new Directrix(curves).of(s, SolidReader.part(s, "Directrix")));
    boolean ring = isRing(line);
    int n = line.length / 3 - (ring ? 1 : 0);
    if (n < 2) {
      throw new Unread(s, "is carried along a curve without length");
    }
    double[] reference = reference(s);
    List<Mesh> out = new ArrayList<>();
    for (List<double[]> area : profiles.areas(SolidReader.part(s, "SweptArea"))) {
      List<List<double[]>> sections = new ArrayList<>();
      for (int i = 0; i < n; i++) {
        double[] in = direction(line, i > 0 ? i - 1 : ring ? n - 1 : 0);
        double[] ahead = direction(line, i < n - 1 || ring ? i : n - 2);
        double[] at = {line[3 * i], line[3 * i + 1], line[3 * i + 2]};
        sections.add(standing(area, at, in, ahead, reference, s));
      }
      out.add(Loft.body(sections, ring));
    }
    return SolidReader.together(out);
  }

  /** What the x axis of the profile keeps to. */
  private static double[] reference(Instance s) {
    if (!s.isA("IFCSURFACECURVESWEPTAREASOLID")) {
      return Placement.direction(s.ref("FixedReference"), s);
    }
    Instance surface = SolidReader.part(s, "ReferenceSurface");
    if (!surface.isA("IFCPLANE")) {
      throw new Unread(
          s, "follows a " + surface.entity().name() + ", of which only planes are read");
    }
    double[] m = Placement.axis(surface.ref("Position")).m();
    return new double[] {m[2], m[6], m[10]};
  }

  private static List<double[]> standing(
      List<double[]> area, double[] at, double[] in, double[] out, double[] reference, Instance s) {
    double[] middle = halving(in, out);
    double length = Math.sqrt(Direction.dot(middle, middle));
    if (length < 1e-3) {
      throw new Unread(s, "turns back on itself");
    }
    double[] along = Direction.unit(middle);
    double part = Direction.dot(reference, along);
    double[] square = new double[3];
    for (int k = 0; k < 3; k++) {
      square[k] = reference[k] - part * along[k];
    }
    if (Direction.dot(square, square) < 1e-12) {
      throw new Unread(s, "runs along its own reference direction");
    }
    double[] x = Direction.unit(square);
    double[] y = Direction.cross(along, x);
    double stretch = 2 / length - 1; // |in + out| is twice the cosine of half the turn
    double[] bend = {out[0] - in[0], out[1] - in[1], out[2] - in[2]};
    boolean bends = Direction.dot(bend, bend) > 1e-18;
    double[] across = bends ? Direction.unit(bend) : bend;
    List<double[]> loops = new ArrayList<>();
    for (double[] xy : area) {
      double[] xyz = new double[xy.length / 2 * 3];
      for (int i = 0; i < xy.length / 2; i++) {
        double[] v = new double[3];
        for (int k = 0; k < 3; k++) {
          v[k] = xy[2 * i] * x[k] + xy[2 * i + 1] * y[k];
        }
        double more = bends ? stretch * Direction.dot(v, across) : 0;
        for (int k = 0; k < 3; k++) {
          xyz[3 * i + k] = at[k] + v[k] + more * across[k];
        }
      }
      loops.add(xyz);
    }
    return loops;
  }

  /** A tube along a line: its rings stand in the planes that halve the corners. */
  Mesh disk(Instance s) {
    double[] line = withoutRepeats(new Directrix(curves).of(s, SolidReader.part(s, "Directrix")));
    boolean ring = isRing(line);
    double fillet = s.isA("IFCSWEPTDISKSOLIDPOLYGONAL") ? s.number("FilletRadius", 0) : 0;
    if (fillet > 0) {
      line = RoundedCorners.of(line, ring, fillet, curves, s);
    }
    int n = line.length / 3 - (ring ? 1 : 0);
    double[] first = direction(line, 0);
    double[] last = direction(line, (ring ? n : n - 1) - 1);
    List<Double> radii = new ArrayList<>(List.of(s.number("Radius")));
    if (Double.isFinite(s.number("InnerRadius"))) {
      radii.add(s.number("InnerRadius"));
    }
    double[] side =
        Direction.unit(
            Direction.cross(
                first, Math.abs(first[2]) < 0.9 ? new double[] {0, 0, 1} : new double[] {1, 0, 0}));
    double[] up = Direction.cross(first, side);
    double[] at = {line[0], line[1], line[2]};
    List<double[]> now = new ArrayList<>();
    for (double r : radii) {
      double[] loop =
          curves.chords(
              at,
              new double[] {r * side[0], r * side[1], r * side[2]},
              new double[] {r * up[0], r * up[1], r * up[2]},
              0,
              now.isEmpty() ? 2 * Math.PI : -2 * Math.PI); // the hole runs the other way
      now.add(java.util.Arrays.copyOf(loop, loop.length - 3));
    }
    Unread.notTooMany(s, (double) n * now.stream().mapToInt(l -> l.length / 3).sum());
    List<List<double[]>> sections = new ArrayList<>();
    sections.add(onPlane(now, first, at, ring ? halving(last, first) : first, s));
    for (int i = 1; i < n; i++) {
      double[] in = direction(line, i - 1);
      double[] out = i == n - 1 && !ring ? in : direction(line, i);
      double[] p = {line[3 * i], line[3 * i + 1], line[3 * i + 2]};
      sections.add(onPlane(sections.getLast(), in, p, halving(in, out), s));
    }
    return Loft.body(sections, ring);
  }

  private boolean isRing(double[] line) {
    int n = line.length / 3;
    return n > 3
        && Math.abs(line[0] - line[3 * n - 3]) < curves.tolerance()
        && Math.abs(line[1] - line[3 * n - 2]) < curves.tolerance()
        && Math.abs(line[2] - line[3 * n - 1]) < curves.tolerance();
  }

  private static double[] withoutRepeats(double[] xyz) {
    double[] out = new double[xyz.length];
    int n = 0;
    for (int i = 0; i < xyz.length; i += 3) {
      if (n == 0 || xyz[i] != out[n - 3] || xyz[i + 1] != out[n - 2] || xyz[i + 2] != out[n - 1]) {
        System.arraycopy(xyz, i, out, n, 3);
        n += 3;
      }
    }
    return java.util.Arrays.copyOf(out, n);
  }

  private static double[] direction(double[] line, int piece) {
    int i = 3 * piece;
    return Direction.unit(
        new double[] {line[i + 3] - line[i], line[i + 4] - line[i + 1], line[i + 5] - line[i + 2]});
  }

  private static double[] halving(double[] in, double[] out) {
    return new double[] {in[0] + out[0], in[1] + out[1], in[2] + out[2]};
  }

  /** The loops moved along a direction until they meet a plane. */
  private static List<double[]> onPlane(
      List<double[]> loops, double[] along, double[] through, double[] normal, Instance s) {
    double fall = Direction.dot(along, normal);
    if (fall < 1e-6) {
      throw new Unread(s, "turns back on itself");
    }
    List<double[]> out = new ArrayList<>();
    for (double[] loop : loops) {
      double[] moved = loop.clone();
      for (int i = 0; i < loop.length; i += 3) {
        double[] v = {through[0] - loop[i], through[1] - loop[i + 1], through[2] - loop[i + 2]};
        double t = Direction.dot(v, normal) / fall;
        for (int k = 0; k < 3; k++) {
          moved[i + k] = loop[i + k] + t * along[k];
        }
      }
      out.add(moved);
    }
    return out;
  }
}
