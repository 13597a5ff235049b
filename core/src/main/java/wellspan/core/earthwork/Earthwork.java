package wellspan.core.earthwork;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.MovedAlignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Similarity;
import wellspan.core.overlay.EarthBodies;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.PlanClip;
import wellspan.core.shape.Curved;

/**
 * What was made for a road on the ground: its formation, or the earth that is cut or filled for it.
 * Its triangles are final; a stretch of it ends at the cross sections of its chainages.
 *
 * @param mesh the formation, or a closed body between two surfaces: each vertical meets it once
 * @param axis the alignment that it follows
 * @param from distance along the axis at which it begins, metres
 * @param to distance along the axis at which it ends, metres
 * @param reach no point of it lies farther to the side than this, metres
 */
public record Earthwork(Mesh mesh, Alignment axis, double from, double to, double reach)
    implements Curved {
  /** Name of the set of its facts. */
  public static final String SET = "Wellspan_Earthwork";

  /** Cross sections of a stretch stand at most so far apart, metres. */
  private static final double STEP = 2;

  /** How far a stretch reaches beyond the outermost point, metres: its long sides cut nothing. */
  private static final double SPARE = 1;

  /** Towards the inside of a bend cross sections end before they meet, share of the radius. */
  private static final double BEFORE_CENTRE = 0.999_999;

  /** Thinner slices are none, metres. */
  private static final double THIN = 1e-6;

  /** Widths of the grids on which corners are brought together where they must be, metres. */
  private static final double[] GRIDS = {0, 1e-5, 1e-4, 1e-3};

  /** Upright faces cover less than this share of their plan extent's square. */
  private static final double UPRIGHT = 1e-9;

  @Override
  public Mesh mesh(double chord) {
    return mesh;
  }

  @Override
  public Optional<Alignment> follows() {
    return Optional.of(axis);
  }

  @Override
  public OptionalDouble planLength() {
    return OptionalDouble.of(to - from);
  }

  @Override
  public boolean reaches(double first, double last) {
    return Math.min(last, to) - Math.max(first, from) > THIN;
  }

  /** In time of its triangles; with the earth's both sides laid over each other again. */
  @Override
  public Optional<Earthwork> between(double first, double last) {
    double low = Math.max(first, from);
    double high = Math.min(last, to);
    if (high - low <= THIN) {
      return Optional.empty();
    }
    if (low == from && high == to) {
      return Optional.of(this);
    }
    Geometry stretch = stretch(low, high);
    Mesh part = mesh.isClosed() ? body(stretch) : PlanClip.inside(mesh, stretch, Progress.NONE);
    return part.triangleCount() == 0
        ? Optional.empty()
        : Optional.of(new Earthwork(part, axis, low, high, reach));
  }

  /**
   * The body within a stretch: its two sides laid over each other there. Needles of it that come to
   * lie on each other leave no clean edges; then corners are first brought together in plan, by no
   * more than half a millimetre.
   */
  private Mesh body(Geometry stretch) {
    Mesh part = new Mesh(new double[0], new int[0]);
    for (double grid : GRIDS) {
      part =
          EarthBodies.between(
                  rounded(PlanClip.inside(side(true), stretch, Progress.NONE), grid),
                  rounded(PlanClip.inside(side(false), stretch, Progress.NONE), grid),
                  Progress.NONE)
              .cut();
      if (part.triangleCount() == 0 || part.isClosed()) {
        return part;
      }
    }
    return part;
  }

  private static Mesh rounded(Mesh m, double grid) {
    if (grid == 0) {
      return m;
    }
    double[] xyz = m.xyz().clone();
    for (int i = 0; i < xyz.length; i++) {
      xyz[i] = i % 3 == 2 ? xyz[i] : Math.rint(xyz[i] / grid) * grid;
    }
    return new Mesh(xyz, m.triangles());
  }

  /** The upper faces of a body, or its lower ones turned upwards. */
  private Mesh side(boolean upper) {
    int[] all = mesh.triangles();
    int[] out = new int[all.length];
    int n = 0;
    for (int t = 0; t < all.length; t += 3) {
      double e1 = mesh.east(all[t + 1]) - mesh.east(all[t]);
      double n1 = mesh.north(all[t + 1]) - mesh.north(all[t]);
      double e2 = mesh.east(all[t + 2]) - mesh.east(all[t]);
      double n2 = mesh.north(all[t + 2]) - mesh.north(all[t]);
      double twice = e1 * n2 - n1 * e2;
      double longest = Math.max(e1 * e1 + n1 * n1, e2 * e2 + n2 * n2);
      if (Math.abs(twice) > UPRIGHT * longest && twice > 0 == upper) {
        out[n++] = all[t];
        out[n++] = all[upper ? t + 1 : t + 2];
        out[n++] = all[upper ? t + 2 : t + 1];
      }
    }
    return new Mesh(mesh.xyz(), java.util.Arrays.copyOf(out, n));
  }

  /** The area in plan that cross sections sweep from one distance to another. */
  private Geometry stretch(double low, double high) {
    GeometryFactory factory = new GeometryFactory();
    int n = Math.max(1, (int) Math.ceil((high - low) / STEP));
    List<Geometry> pieces = new ArrayList<>();
    Coordinate[] before = section(low);
    for (int i = 1; i <= n; i++) {
      Coordinate[] now = section(low + (high - low) * i / n);
      // a hull, since cross sections meet on the inside of a tangent break
      pieces.add(
          factory
              .createMultiPointFromCoords(new Coordinate[] {before[0], before[1], now[1], now[0]})
              .convexHull());
      before = now;
    }
    return UnaryUnionOp.union(pieces);
  }

  /** Left and right end of the cross section at a distance. */
  private Coordinate[] section(double distance) {
    AlignmentPoint p = axis.at(distance);
    double bend = axis.curvatureAt(distance);
    double most = BEFORE_CENTRE / Math.abs(bend);
    double left = bend > 0 ? Math.min(reach + SPARE, most) : reach + SPARE;
    double right = bend < 0 ? Math.min(reach + SPARE, most) : reach + SPARE;
    double s = Math.sin(p.direction());
    double c = Math.cos(p.direction());
    return new Coordinate[] {
      new Coordinate(p.east() - left * s, p.north() + left * c),
      new Coordinate(p.east() + right * s, p.north() - right * c)
    };
  }

  @Override
  public List<PropertySet> facts() {
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("Along", new PropertyValue.Label(axis.name()));
    v.put("StartChainage", new PropertyValue.Length(axis.chainages().at(from)));
    v.put("EndChainage", new PropertyValue.Length(axis.chainages().at(to)));
    v.put("Length", new PropertyValue.Length(to - from));
    if (mesh.isClosed()) {
      v.put("Volume", new PropertyValue.Measure("IfcVolumeMeasure", mesh.volume()));
    }
    return List.of(new PropertySet(SET, v));
  }

  @Override
  public Optional<Earthwork> moved(Similarity how) {
    double k = how.scale();
    return Optional.of(
        new Earthwork(
            new Mesh(how.apply(mesh.xyz()), mesh.triangles()),
            MovedAlignment.by(how, axis),
            k * from,
            k * to,
            k * reach));
  }
}
