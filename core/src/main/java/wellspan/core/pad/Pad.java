package wellspan.core.pad;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.UnaryUnionNG;
import org.locationtech.jts.triangulate.polygon.ConstrainedDelaunayTriangulator;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Plane;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.overlay.Overlay;
import wellspan.core.overlay.Volumes;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.SliverFlip;
import wellspan.core.terrain.TriangleIndex;
import wellspan.core.triangulate.Constraint;
import wellspan.core.triangulate.LevelRule;
import wellspan.core.triangulate.Triangulator;

/**
 * A level or graded area with side slopes that run out on the ground.
 *
 * @param mesh the area and its slopes; its outline lies on the ground
 * @param area of the pad itself in plan, square metres
 * @param volumes of earth between the ground and the whole
 * @param gap largest distance in level between the slopes' outline and the ground, metres; infinite
 *     where there is no ground
 * @param gapAt where it is, if the slopes do not run out everywhere
 */
public record Pad(Mesh mesh, double area, Volumes volumes, double gap, Optional<Position> gapAt) {

  /** How far slopes run at most, metres. */
  public static final double FARTHEST = 512;

  private static final double FIRST_REACH = 8;

  /** A slope that ends higher or lower than this over the ground has not run out, metres. */
  private static final double RUN_OUT = 0.01;

  private static final double TOUCH = 1e-4;

  /** Half the width of a hole that is none, metres. */
  private static final double CRACK = 1e-3;

  /**
   * @param outline of the pad in plan, one area, shared coordinates
   * @param top plane of the pad
   * @param cut metres out for each metre up where the ground lies higher
   * @param fill metres out for each metre down where it lies lower
   * @throws IllegalArgumentException with a sentence
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Pad of(
      Geometry outline, Plane top, double cut, double fill, Mesh ground, Progress progress) {
    if (!(cut > 0) || !(fill > 0)) {
      throw new IllegalArgumentException(
          "Side slopes need a run greater than zero for each metre of height.");
    }
    if (!(outline instanceof Polygon) && outline.getNumGeometries() != 1) {
      throw new IllegalArgumentException(
          "A pad has one outline; this one has " + outline.getNumGeometries() + " parts.");
    }
    Polygon shared = (Polygon) outline.getGeometryN(0);
    Coordinate zero = shared.getCentroid().getCoordinate();
    zero = new Coordinate(Math.rint(zero.x), Math.rint(zero.y));
    Geometry moved = AffineTransformation.translationInstance(-zero.x, -zero.y).transform(shared);
    Polygon area = (Polygon) SlopeFacets.overlay(moved, moved, OverlayNG.UNION).getGeometryN(0);
    Maker maker = new Maker(area, top.from(zero.x, zero.y), local(ground, zero));
    double reach = FIRST_REACH;
    Maker.Tied tied = maker.tie(cut, fill, reach, progress.part(0, 0.2));
    while (tied.openAt(reach) && reach < FARTHEST) {
      reach *= 2;
      tied = maker.tie(cut, fill, reach, progress.part(0.2, 0.6));
    }
    return maker.finish(tied, zero, ground, progress.part(0.6, 1));
  }

  private static Mesh local(Mesh m, Coordinate zero) {
    return new Mesh(moved(m.xyz(), -zero.x, -zero.y), m.triangles());
  }

  private static double[] moved(double[] xyz, double e, double n) {
    double[] out = xyz.clone();
    for (int i = 0; i < out.length; i += 3) {
      out[i] += e;
      out[i + 1] += n;
    }
    return out;
  }

  /** Everything from a local zero. */
  private record Maker(Polygon area, Plane top, Mesh ground) {

    /**
     * Facets cut where they meet the ground.
     *
     * @param slopes parts of facets that are built
     * @param whole the pad and its slopes in plan
     */
    record Tied(List<SlopeFacets.Facet> slopes, Geometry whole, Polygon pad) {

      /** Whether a slope ends only because it was not followed farther. */
      boolean openAt(double reach) {
        // the planes of a fan end a little nearer than its edges do
        double end = reach * Math.cos(SlopeFacets.FAN / 2) - 0.01;
        for (Coordinate c : whole.getCoordinates()) {
          if (pad.getFactory().createPoint(c).distance(pad) > end) {
            return true;
          }
        }
        return false;
      }
    }

    Tied tie(double cut, double fill, double reach, Progress progress) {
      List<SlopeFacets.Facet> slopes = new ArrayList<>();
      slopes(1 / cut, reach, slopes, progress.part(0, 0.5));
      slopes(-1 / fill, reach, slopes, progress.part(0.5, 1));
      List<Geometry> all = new ArrayList<>();
      all.add(area);
      slopes.forEach(s -> all.add(s.area()));
      return new Tied(slopes, closed(UnaryUnionNG.union(all, SlopeFacets.GRID)), area);
    }

    /** Without the cracks between neighbours whose corners were moved to the grid. */
    private static Geometry closed(Geometry whole) {
      List<Polygon> parts = new ArrayList<>();
      for (int g = 0; g < whole.getNumGeometries(); g++) {
        Polygon p = (Polygon) whole.getGeometryN(g);
        List<LinearRing> holes = new ArrayList<>();
        for (int i = 0; i < p.getNumInteriorRing(); i++) {
          LinearRing hole = p.getInteriorRingN(i);
          if (p.getFactory().createPolygon(hole).getArea() > CRACK * hole.getLength()) {
            holes.add(hole);
          }
        }
        parts.add(
            p.getFactory().createPolygon(p.getExteriorRing(), holes.toArray(LinearRing[]::new)));
      }
      return whole.getFactory().createMultiPolygon(parts.toArray(Polygon[]::new));
    }

    private void slopes(double rise, double reach, List<SlopeFacets.Facet> to, Progress progress) {
      List<SlopeFacets.Facet> facets = SlopeFacets.around(area, top, rise, reach);
      Geometry built = built(facets, Math.signum(rise), progress);
      for (SlopeFacets.Facet f : facets) {
        Geometry part = SlopeFacets.overlay(f.area(), built, OverlayNG.INTERSECTION);
        if (part.getArea() > 0) {
          to.add(new SlopeFacets.Facet(part, f.plane()));
        }
      }
    }

    /** Where the ground lies beyond the facets, as far as that hangs together with the pad. */
    private Geometry built(List<SlopeFacets.Facet> facets, double sign, Progress progress) {
      List<Geometry> pieces = new ArrayList<>();
      Overlay.run(
          mesh(facets),
          ground,
          progress,
          (n, e, h, slope, earth, a) -> {
            List<Coordinate> ring = new ArrayList<>(n + 2);
            for (int i = 0; i < n; i++) {
              int j = (i + 1) % n;
              double d = sign * (earth[i] - slope[i]), next = sign * (earth[j] - slope[j]);
              if (d >= 0) {
                ring.add(new Coordinate(e[i], h[i]));
              }
              if (d > 0 && next < 0 || d < 0 && next > 0) {
                double s = d / (d - next);
                ring.add(new Coordinate(e[i] + s * (e[j] - e[i]), h[i] + s * (h[j] - h[i])));
              }
            }
            if (ring.size() >= 3) {
              ring.add(ring.getFirst());
              pieces.add(area.getFactory().createPolygon(ring.toArray(Coordinate[]::new)));
            }
          });
      if (pieces.isEmpty()) {
        return area.getFactory().createPolygon();
      }
      Geometry all = UnaryUnionNG.union(pieces, SlopeFacets.GRID);
      List<Geometry> kept = new ArrayList<>();
      for (int i = 0; i < all.getNumGeometries(); i++) {
        if (all.getGeometryN(i).getArea() > 0 && all.getGeometryN(i).distance(area) < TOUCH) {
          kept.add(all.getGeometryN(i));
        }
      }
      return kept.isEmpty()
          ? area.getFactory().createPolygon()
          : UnaryUnionNG.union(kept, SlopeFacets.GRID);
    }

    private static Mesh mesh(List<SlopeFacets.Facet> facets) {
      List<double[]> corners = new ArrayList<>();
      for (SlopeFacets.Facet f : facets) {
        Geometry t = ConstrainedDelaunayTriangulator.triangulate(f.area());
        for (int i = 0; i < t.getNumGeometries(); i++) {
          Coordinate[] c = t.getGeometryN(i).getCoordinates();
          for (int k = 0; k < 3; k++) {
            corners.add(new double[] {c[k].x, c[k].y, f.plane().levelAt(c[k].x, c[k].y)});
          }
        }
      }
      double[] xyz = new double[3 * corners.size()];
      int[] triangles = new int[corners.size()];
      for (int i = 0; i < triangles.length; i++) {
        System.arraycopy(corners.get(i), 0, xyz, 3 * i, 3);
        triangles[i] = i;
      }
      return new Mesh(xyz, triangles);
    }

    Pad finish(Tied tied, Coordinate zero, Mesh shared, Progress progress) {
      List<Constraint> lines = new ArrayList<>();
      rings(area, c -> top.levelAt(c.x, c.y), Constraint.Kind.BREAKLINE, lines);
      for (SlopeFacets.Facet f : tied.slopes) {
        rings(f.area(), c -> f.plane().levelAt(c.x, c.y), Constraint.Kind.BREAKLINE, lines);
      }
      rings(tied.whole, c -> level(tied, c), Constraint.Kind.BOUNDARY, lines);
      Mesh drawn =
          new Triangulator(LevelRule.FIRST, LevelRule.FIRST, RUN_OUT)
              .run(new double[0], lines, progress)
              .mesh()
              .compact();
      Mesh local = SliverFlip.flip(drawn, 2 * Triangulator.SAME_PLACE);
      double gap = 0;
      Position gapAt = null;
      TriangleIndex earth = new TriangleIndex(ground);
      for (Coordinate c : tied.whole.getCoordinates()) {
        double z = level(tied, c);
        double below = earth.levelAt(c.x, c.y);
        double d = Double.isNaN(below) ? Double.POSITIVE_INFINITY : Math.abs(z - below);
        if (d > Math.max(gap, RUN_OUT)) {
          gap = d;
          gapAt = new Position(c.x + zero.x, c.y + zero.y, z);
        }
      }
      Mesh whole = new Mesh(moved(local.xyz(), zero.x, zero.y), local.triangles());
      Volumes volumes = Volumes.between(shared, whole, progress);
      if (volumes.area() == 0) {
        throw new IllegalArgumentException("The pad lies beside the ground.");
      }
      return new Pad(whole, area.getArea(), volumes, gap, Optional.ofNullable(gapAt));
    }

    private double level(Tied tied, Coordinate c) {
      Geometry at = area.getFactory().createPoint(c);
      if (at.distance(area) < TOUCH) {
        return top.levelAt(c.x, c.y);
      }
      double nearest = Double.POSITIVE_INFINITY;
      double level = Double.NaN;
      for (SlopeFacets.Facet f : tied.slopes) {
        double d = f.area().distance(at);
        if (d < nearest) {
          nearest = d;
          level = f.plane().levelAt(c.x, c.y);
        }
      }
      return level;
    }

    private interface Levels {
      double at(Coordinate c);
    }

    private static void rings(
        Geometry areas, Levels levels, Constraint.Kind kind, List<Constraint> to) {
      for (int g = 0; g < areas.getNumGeometries(); g++) {
        Polygon p = (Polygon) areas.getGeometryN(g);
        ring(p.getExteriorRing(), levels, kind, to);
        for (int i = 0; i < p.getNumInteriorRing(); i++) {
          ring(
              p.getInteriorRingN(i),
              levels,
              kind == Constraint.Kind.BOUNDARY ? Constraint.Kind.HOLE : kind,
              to);
        }
      }
    }

    private static void ring(
        LinearRing ring, Levels levels, Constraint.Kind kind, List<Constraint> to) {
      Coordinate[] c = ring.getCoordinates();
      int n = kind.closed() ? c.length - 1 : c.length;
      double[] xyz = new double[3 * n];
      for (int i = 0; i < n; i++) {
        xyz[3 * i] = c[i].x;
        xyz[3 * i + 1] = c[i].y;
        xyz[3 * i + 2] = levels.at(c[i]);
      }
      to.add(new Constraint("pad", new Polyline(xyz), kind));
    }
  }
}
