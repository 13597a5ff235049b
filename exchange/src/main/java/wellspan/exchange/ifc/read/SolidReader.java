package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.solid.Loft;
import wellspan.core.solid.SolidBoolean;

/** Reads solids that are swept, primitive, or made of others, as closed meshes. */
final class SolidReader {
  /**
   * What is round may be cut by others: it must not have more corners than that leaves room for.
   */
  private static final double FACES_BESIDE = 200;

  private static final double TURN = 2 * Math.PI;

  /** A round thing has so many at least. */
  private static final int CORNERS = 64;

  private final CurveReader curves;
  private final ProfileReader profiles;
  private final SectionedReader sectioned;
  private final CarriedReader carried;

  SolidReader(CurveReader curves) {
    this.curves = curves;
    profiles = new ProfileReader(curves);
    sectioned = new SectionedReader(curves, profiles);
    carried = new CarriedReader(curves, profiles);
  }

  /** Reads a body that is given by its faces. */
  interface Faces {
    Mesh mesh(Instance item);
  }

  /**
   * The solid in the coordinates of the shape; empty if it is none of these kinds.
   *
   * @param faces reads bodies given by faces, where they are cut
   * @throws Unread if it cannot be read whole
   */
  Optional<Mesh> solid(Instance s, Faces faces) {
    try {
      return switch (s.entity().name()) {
        case "IfcExtrudedAreaSolid" -> Optional.of(extruded(s, "SweptArea"));
        case "IfcExtrudedAreaSolidTapered" -> Optional.of(extruded(s, "EndSweptArea"));
        case "IfcRevolvedAreaSolid" -> Optional.of(revolved(s, "SweptArea"));
        case "IfcRevolvedAreaSolidTapered" -> Optional.of(revolved(s, "EndSweptArea"));
        case "IfcSweptDiskSolid", "IfcSweptDiskSolidPolygonal" -> Optional.of(carried.disk(s));
        case "IfcFixedReferenceSweptAreaSolid",
            "IfcDirectrixDerivedReferenceSweptAreaSolid",
            "IfcSurfaceCurveSweptAreaSolid" ->
            Optional.of(placed(carried.area(s), Placement.axis(s.ref("Position"))));
        case "IfcSectionedSolidHorizontal" -> Optional.of(sectioned.solid(s));
        case "IfcSectionedSpine" -> Optional.of(sectioned.spine(s));
        case "IfcSectionedSurface" -> Optional.of(sectioned.surface(s));
        case "IfcCsgSolid" ->
            solid(part(s, "TreeRootExpression"), faces)
                .or(() -> Optional.of(faces.mesh(part(s, "TreeRootExpression"))));
        case "IfcBooleanResult", "IfcBooleanClippingResult" -> Optional.of(cut(s, faces));
        case "IfcBlock",
            "IfcRectangularPyramid",
            "IfcRightCircularCylinder",
            "IfcRightCircularCone",
            "IfcSphere" ->
            Optional.of(primitive(s));
        default -> Optional.empty();
      };
    } catch (IllegalArgumentException e) {
      throw new Unread(s, "cannot be made: " + e.getMessage());
    }
  }

  /** What an attribute refers to. */
  static Instance part(Instance of, String attribute) {
    return of.ref(attribute).orElseThrow(() -> new Unread(of, "has no " + attribute));
  }

  private static Mesh placed(Mesh mesh, Placement p) {
    if (p.isIdentity()) {
      return mesh;
    }
    p.apply(mesh.xyz(), 0, mesh.xyz().length);
    return mesh;
  }

  /** Bodies as one mesh. */
  static Mesh together(List<Mesh> parts) {
    if (parts.size() == 1) {
      return parts.getFirst();
    }
    MeshBuilder all = new MeshBuilder();
    parts.forEach(all::mesh);
    return new Mesh(all.takeXyz(), all.takeTriangles());
  }

  /** A loop of x y pairs in space. */
  private static double[] raised(double[] xy, double dx, double dy, double z) {
    double[] out = new double[xy.length / 2 * 3];
    for (int i = 0; i < xy.length / 2; i++) {
      out[3 * i] = xy[2 * i] + dx;
      out[3 * i + 1] = xy[2 * i + 1] + dy;
      out[3 * i + 2] = z;
    }
    return out;
  }

  private Mesh extruded(Instance s, String end) {
    double[] d = Placement.direction(s.ref("ExtrudedDirection"), s);
    double depth = s.number("Depth");
    if (Math.abs(d[2]) < 1e-9) {
      throw new Unread(s, "is drawn out along its own profile");
    }
    List<List<double[]>> from = profiles.areas(part(s, "SweptArea"));
    List<List<double[]>> to = profiles.areas(part(s, end));
    List<Mesh> out = new ArrayList<>();
    for (int k = 0; k < from.size(); k++) {
      List<double[]> begin = from.get(k);
      List<double[]> last = to.get(Math.min(k, to.size() - 1));
      List<List<double[]>> sections = new ArrayList<>();
      sections.add(begin.stream().map(l -> raised(l, 0, 0, 0)).toList());
      for (double t : TwistedFaces.between(0, 1, begin, last, curves.tolerance())) {
        sections.add(
            SectionedReader.between(s, begin, last, t).stream()
                .map(l -> raised(l, t * depth * d[0], t * depth * d[1], t * depth * d[2]))
                .toList());
      }
      sections.add(
          last.stream().map(l -> raised(l, depth * d[0], depth * d[1], depth * d[2])).toList());
      out.add(Loft.body(sections, false));
    }
    return placed(together(out), Placement.axis(s.ref("Position")));
  }

  private Mesh revolved(Instance s, String last) {
    Instance axis = part(s, "Axis");
    double[] o = Placement.point(axis.ref("Location"));
    double[] a = Placement.direction(axis.ref("Axis"), axis);
    double angle = s.number("Angle") * curves.angle();
    if (!(Math.abs(angle) <= TURN * (1 + 1e-9))) {
      throw new Unread(s, "turns by more than once round; the unit of its angle is wrong");
    }
    boolean ring = Math.abs(Math.abs(angle) - TURN) < 1e-9;
    List<Mesh> out = new ArrayList<>();
    List<List<double[]>> begins = profiles.areas(part(s, "SweptArea"));
    List<List<double[]>> ends = profiles.areas(part(s, last));
    if (begins.size() != ends.size()) {
      throw new Unread(s, "ends in another number of areas than it begins with");
    }
    for (int area = 0; area < begins.size(); area++) {
      List<double[]> from = begins.get(area);
      List<double[]> to = ends.get(area);
      double radius =
          Stream.of(from, to)
              .flatMap(List::stream)
              .mapToDouble(l -> reach(raised(l, 0, 0, 0), o, a))
              .max()
              .orElse(0);
      double step = 2 * Math.acos(1 - Math.min(1, curves.tolerance() / Math.max(radius, 1e-12)));
      double pieces = Math.ceil(Math.abs(angle) / Math.min(step, TURN / CORNERS));
      Unread.notTooMany(s, pieces * from.stream().mapToInt(l -> l.length / 2).sum());
      int n = (int) pieces;
      List<List<double[]>> sections = new ArrayList<>();
      for (int i = 0; i < (ring ? n : n + 1); i++) {
        double by = angle * i / n;
        List<double[]> section = new ArrayList<>();
        for (double[] l : SectionedReader.between(s, from, to, (double) i / n)) {
          section.add(turned(raised(l, 0, 0, 0), o, a, by, radius));
        }
        sections.add(section);
      }
      out.add(Loft.body(sections, ring));
    }
    return placed(together(out), Placement.axis(s.ref("Position")));
  }

  private static double[] off(double[] loop, int i, double[] o, double[] a) {
    double[] v = {loop[i] - o[0], loop[i + 1] - o[1], loop[i + 2] - o[2]};
    double along = Direction.dot(v, a);
    return new double[] {v[0] - along * a[0], v[1] - along * a[1], v[2] - along * a[2]};
  }

  private static double reach(double[] loop, double[] o, double[] a) {
    double most = 0;
    for (int i = 0; i < loop.length; i += 3) {
      double[] r = off(loop, i, o, a);
      most = Math.max(most, Math.sqrt(Direction.dot(r, r)));
    }
    return most;
  }

  /** Turned about an axis; corners on the axis stay exactly where they are. */
  private static double[] turned(double[] loop, double[] o, double[] a, double by, double radius) {
    double[] out = loop.clone();
    for (int i = 0; i < loop.length; i += 3) {
      double[] r = off(loop, i, o, a);
      if (Math.sqrt(Direction.dot(r, r)) <= 1e-9 * radius) {
        continue;
      }
      double[] side = Direction.cross(a, r);
      for (int k = 0; k < 3; k++) {
        out[i + k] = loop[i + k] - r[k] + Math.cos(by) * r[k] + Math.sin(by) * side[k];
      }
    }
    return out;
  }

  private Mesh primitive(Instance s) {
    Placement p = Placement.axis(s.ref("Position"));
    double x = s.number("XLength");
    double y = s.number("YLength");
    return switch (s.entity().name()) {
      case "IfcBlock" -> {
        double[] base = {0, 0, x, 0, x, y, 0, y};
        yield placed(prism(base, base, s.number("ZLength")), p);
      }
      case "IfcRectangularPyramid" -> {
        double[] top = {x / 2, y / 2, x / 2, y / 2, x / 2, y / 2, x / 2, y / 2};
        yield placed(prism(new double[] {0, 0, x, 0, x, y, 0, y}, top, s.number("Height")), p);
      }
      case "IfcRightCircularCylinder" -> {
        double[] base = circle(s.number("Radius"), corners(s, s.number("Radius")));
        yield placed(prism(base, base, s.number("Height")), p);
      }
      case "IfcRightCircularCone" -> {
        double[] base = circle(s.number("BottomRadius"), corners(s, s.number("BottomRadius")));
        yield placed(prism(base, new double[base.length], s.number("Height")), p);
      }
      default -> placed(sphere(s), p);
    };
  }

  private static Mesh prism(double[] base, double[] top, double height) {
    return Loft.body(
        List.of(List.of(raised(base, 0, 0, 0)), List.of(raised(top, 0, 0, height))), false);
  }

  /** Corners of a circle: as many as the tolerance asks for, a multiple of four. */
  private int corners(Instance s, double radius) {
    double step = 2 * Math.acos(1 - Math.min(1, curves.tolerance() / Math.max(radius, 1e-12)));
    double quarter = Math.ceil(Math.max(CORNERS, TURN / step) / 4);
    double faces = s.isA("IFCSPHERE") ? 8 * quarter * quarter : FACES_BESIDE * 4 * quarter;
    Unread.notTooMany(s, faces);
    return 4 * (int) quarter;
  }

  private static double[] circle(double radius, int corners) {
    double[] xy = new double[2 * corners];
    for (int i = 0; i < corners; i++) {
      xy[2 * i] = radius * Math.cos(TURN * i / corners);
      xy[2 * i + 1] = radius * Math.sin(TURN * i / corners);
    }
    return xy;
  }

  private Mesh sphere(Instance s) {
    double radius = s.number("Radius");
    List<List<double[]>> rings = new ArrayList<>();
    int corners = corners(s, radius);
    for (int i = 0; i <= corners / 2; i++) {
      double a = TURN * i / corners - Math.PI / 2;
      boolean pole = i == 0 || i == corners / 2;
      double[] ring = circle(pole ? 0 : radius * Math.cos(a), corners);
      rings.add(List.of(raised(ring, 0, 0, radius * Math.sin(a))));
    }
    return Loft.body(rings, false);
  }

  private Mesh cut(Instance s, Faces faces) {
    Mesh first = operand(part(s, "FirstOperand"), faces);
    Instance second = part(s, "SecondOperand");
    Mesh other =
        second.isA("IFCHALFSPACESOLID") ? halfSpace(second, first) : operand(second, faces);
    if (!first.isClosed() || !other.isClosed()) {
      throw new Unread(s, "combines bodies that are not closed");
    }
    return switch (s.literal("Operator")) {
      case "DIFFERENCE" -> SolidBoolean.difference(first, other);
      case "INTERSECTION" -> SolidBoolean.intersection(first, other);
      case "UNION" -> SolidBoolean.union(first, other);
      default -> throw new Unread(s, "does not say how its bodies are combined");
    };
  }

  private Mesh operand(Instance s, Faces faces) {
    return solid(s, faces).orElseGet(() -> faces.mesh(s));
  }

  /** The part of a half-space near a body, as a body. */
  private Mesh halfSpace(Instance h, Mesh near) {
    Instance plane = part(h, "BaseSurface");
    if (!plane.isA("IFCPLANE")) {
      throw new Unread(h, "is bounded by a " + plane.entity().name() + ", which is not read");
    }
    Placement p = Placement.axis(plane.ref("Position"));
    Box box = near.bounds();
    double reach =
        Math.abs(box.minE() - p.m()[3])
            + Math.abs(box.maxE() - p.m()[3])
            + Math.abs(box.minN() - p.m()[7])
            + Math.abs(box.maxN() - p.m()[7])
            + Math.abs(box.minH() - p.m()[11])
            + Math.abs(box.maxH() - p.m()[11])
            + 1;
    double[] square = {-reach, -reach, reach, -reach, reach, reach, -reach, reach};
    // agreement: the plane's normal points out of the material
    boolean agrees = !h.literal("AgreementFlag").equals("F");
    Mesh half = placed(prism(square, square, agrees ? -reach : reach), p);
    if (!h.isA("IFCPOLYGONALBOUNDEDHALFSPACE")) {
      return half;
    }
    Placement base = Placement.axis(h.ref("Position"));
    double[] ring = curves.ring(part(h, "PolygonalBoundary"));
    double high =
        2 * (reach + Math.abs(base.m()[3]) + Math.abs(base.m()[7]) + Math.abs(base.m()[11]));
    double[] low = ring.clone();
    double[] top = ring.clone();
    for (int i = 2; i < ring.length; i += 3) {
      low[i] = -high;
      top[i] = high;
    }
    return SolidBoolean.intersection(
        placed(Loft.body(List.of(List.of(low), List.of(top)), false), base), half);
  }
}
