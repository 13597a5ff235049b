package wellspan.exchange.dxf.read;

import java.util.List;
import java.util.Optional;
import wellspan.core.geom.Affine;

/** What single entities draw; those made of several are in {@link PolylineShapes}. */
final class EntityShapes {
  private EntityShapes() {}

  /**
   * @return empty if the entity is of a kind that is not read, or draws nothing
   */
  static Optional<Drawn> of(Entity e) {
    return switch (e.type()) {
      case "3DFACE" -> Optional.of(face(e));
      case "LINE" -> Optional.of(line(e));
      case "LWPOLYLINE" -> lightPolyline(e);
      case "CIRCLE" -> Optional.of(circle(e, 0, 2 * Math.PI, true));
      case "ARC" -> {
        double from = Math.toRadians(e.number(50, 0));
        double sweep = Math.toRadians(e.number(51, 360)) - from;
        yield Optional.of(circle(e, from, positive(sweep), false));
      }
      case "ELLIPSE" -> Optional.of(ellipse(e));
      case "SPLINE" -> spline(e);
      case "POINT" -> Optional.of(new Drawn.Point(e.layer(), e.point(10)));
      case "TEXT" -> Optional.of(text(e));
      case "MTEXT" ->
          Optional.of(
              new Drawn.Text(
                  e.layer(),
                  e.point(10),
                  DrawnText.paragraph(e.texts(3) + e.text(1)),
                  e.number(40, 0)));
      case "MESH" -> MeshShape.of(e);
      default -> Optional.empty();
    };
  }

  /** Whether an entity says where it is; a point without a level lies at zero. */
  static boolean isWhole(Entity e) {
    return switch (e.type()) {
      case "3DFACE" -> placed(e, 10) && placed(e, 11) && placed(e, 12);
      case "LINE" -> placed(e, 10) && placed(e, 11);
      case "CIRCLE", "ARC" -> placed(e, 10) && e.number(40, 0) > 0;
      case "ELLIPSE" -> placed(e, 10) && placed(e, 11);
      case "POINT", "TEXT", "MTEXT", "INSERT" -> placed(e, 10);
      default -> true;
    };
  }

  private static boolean placed(Entity e, int code) {
    return e.has(code) && e.has(code + 10);
  }

  /** Whether a single face has no area. */
  static boolean isWithoutArea(Drawn.Faces f) {
    int[] t = f.triangles();
    for (int i = 0; i < t.length; i += 3) {
      if (!same(f.xyz(), t[i], t[i + 1])
          && !same(f.xyz(), t[i + 1], t[i + 2])
          && !same(f.xyz(), t[i + 2], t[i])) {
        return false;
      }
    }
    return true;
  }

  /** True for kinds that are understood, even where one of them draws nothing. */
  static boolean reads(String type) {
    return switch (type) {
      case "3DFACE",
          "LINE",
          "LWPOLYLINE",
          "CIRCLE",
          "ARC",
          "ELLIPSE",
          "SPLINE",
          "POINT",
          "TEXT",
          "MTEXT",
          "MESH",
          "POLYLINE",
          "INSERT",
          "ATTDEF" ->
          true;
      default -> false;
    };
  }

  private static double positive(double sweep) {
    double s = sweep % (2 * Math.PI);
    return s <= 0 ? s + 2 * Math.PI : s;
  }

  private static Drawn face(Entity e) {
    double[] xyz = new double[12];
    for (int k = 0; k < 4; k++) {
      // a triangle may leave out its fourth corner
      double[] p = k < 3 || e.has(13) ? e.point(10 + k) : e.point(12);
      System.arraycopy(p, 0, xyz, 3 * k, 3);
    }
    return new Drawn.Faces(e.layer(), xyz, quad(xyz, 0, 1, 2, 3), false);
  }

  /** Two triangles of a face with four corners, one where two neighbouring ones are the same. */
  static int[] quad(double[] xyz, int a, int b, int c, int d) {
    if (same(xyz, c, d) || same(xyz, d, a)) {
      return new int[] {a, b, c};
    }
    if (same(xyz, a, b)) {
      return new int[] {a, c, d};
    }
    return same(xyz, b, c) ? new int[] {a, b, d} : new int[] {a, b, c, a, c, d};
  }

  private static boolean same(double[] xyz, int a, int b) {
    return xyz[3 * a] == xyz[3 * b]
        && xyz[3 * a + 1] == xyz[3 * b + 1]
        && xyz[3 * a + 2] == xyz[3 * b + 2];
  }

  private static Drawn line(Entity e) {
    double[] a = e.point(10);
    double[] b = e.point(11);
    return new Drawn.Path(e.layer(), new double[] {a[0], a[1], a[2], b[0], b[1], b[2]});
  }

  private static Optional<Drawn> lightPolyline(Entity e) {
    double[] xyz = new double[3 * e.count()];
    double[] bulges = new double[e.count()];
    double level = e.number(38, 0);
    int n = 0;
    for (int i = 0; i < e.count(); i++) {
      switch (e.code(i)) {
        case 10 -> {
          xyz[3 * n] = e.value(i);
          xyz[3 * n + 2] = level;
          n++;
        }
        case 20 -> {
          if (n > 0) {
            xyz[3 * n - 2] = e.value(i);
          }
        }
        case 42 -> {
          if (n > 0) {
            bulges[n - 1] = e.value(i);
          }
        }
        default -> {}
      }
    }
    return path(
        e.layer(), OwnPlane.facing(e.extrusion()), xyz, bulges, n, (e.whole(70, 0) & 1) != 0);
  }

  /** A path through the first corners of an array, closed if it is so; empty for a single point. */
  static Optional<Drawn> path(
      String layer, Affine plane, double[] xyz, double[] bulges, int corners, boolean closed) {
    if (corners < 2) {
      return Optional.empty();
    }
    int n = corners + (closed ? 1 : 0);
    double[] all = java.util.Arrays.copyOf(xyz, 3 * n);
    if (closed) {
      System.arraycopy(xyz, 0, all, 3 * corners, 3);
    }
    return Optional.of(
        new Drawn.RoundPath(layer, plane, all, java.util.Arrays.copyOf(bulges, n - 1)));
  }

  private static Drawn circle(Entity e, double from, double sweep, boolean whole) {
    Affine plane = OwnPlane.facing(e.extrusion());
    double r = e.number(40, 0);
    double[] centre = plane.apply(e.point(10));
    return new Drawn.Ellipse(
        e.layer(),
        centre,
        plane.apply(new double[] {r, 0, 0}),
        plane.apply(new double[] {0, r, 0}),
        from,
        sweep,
        whole);
  }

  private static Drawn ellipse(Entity e) {
    double[] major = e.point(11);
    double ratio = e.number(40, 1);
    double[] z = e.extrusion();
    double length = Math.sqrt(z[0] * z[0] + z[1] * z[1] + z[2] * z[2]);
    double[] minor = OwnPlane.cross(z, major);
    for (int k = 0; k < 3; k++) {
      minor[k] *= ratio / length;
    }
    double from = e.number(41, 0);
    return new Drawn.Ellipse(
        e.layer(),
        e.point(10),
        major,
        minor,
        from,
        positive(e.number(42, 2 * Math.PI) - from),
        false);
  }

  private static Optional<Drawn> spline(Entity e) {
    List<double[]> control = e.points(10);
    if (control.isEmpty()) { // only fitted points are given: straight from one to the next
      List<double[]> fitted = e.points(11);
      return fitted.size() < 2
          ? Optional.empty()
          : Optional.of(new Drawn.Path(e.layer(), flat(fitted)));
    }
    return Optional.of(
        new Drawn.Spline(e.layer(), e.whole(71, 3), e.all(40), e.all(41), flat(control)));
  }

  static double[] flat(List<double[]> points) {
    double[] out = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      System.arraycopy(points.get(i), 0, out, 3 * i, 3);
    }
    return out;
  }

  private static Drawn text(Entity e) {
    boolean aligned = (e.whole(72, 0) != 0 || e.whole(73, 0) != 0) && e.has(11);
    double[] at = OwnPlane.facing(e.extrusion()).apply(e.point(aligned ? 11 : 10));
    return new Drawn.Text(e.layer(), at, DrawnText.line(e.text(1)), e.number(40, 0));
  }
}
