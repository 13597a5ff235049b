package wellspan.core.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentChords;
import wellspan.core.align.AlignmentCut;
import wellspan.core.attribute.PropertySet;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.OnceAsked;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;

/**
 * Geometry in shared coordinates. Immutable; any thread may read it. What is worked out of one, as
 * its bounds, is kept with it and does not count when two are compared.
 */
public sealed interface Shape {
  /** Worked out once, in time of the number of points. */
  Box bounds();

  /** The triangles it is made of; empty for lines, points and pictures. */
  default Optional<Mesh> triangles() {
    return Optional.empty();
  }

  /**
   * The same with curved faces made anew for another chord tolerance; itself where there are none.
   *
   * @param chord metres
   */
  default Shape within(double chord) {
    return this;
  }

  /** Whether there is nothing that a file could hold: no triangle, no point. */
  default boolean isEmpty() {
    return false;
  }

  /** Number of points or vertices by which it is given; 0 where it is given by measures. */
  default int pointCount() {
    return 0;
  }

  /**
   * Coordinates of the points by which it is given, easting, northing and level in threes, one
   * array for each part; not to be written. Nothing where it is given by measures.
   */
  default List<double[]> vertices() {
    return List.of();
  }

  /**
   * Coordinates of the places at which one would take hold of it, in threes, one array for each
   * part; not to be written.
   */
  default List<double[]> marks() {
    return vertices();
  }

  /** The lines that it consists of, or that stand for it; empty for what is no line. */
  default List<Polyline> lines() {
    return List.of();
  }

  /** The lines in plan that enclose an area, each ending where it began. */
  default List<Polyline> rings() {
    return List.of();
  }

  /** The single points that it consists of. */
  default List<NamedPoint> points() {
    return List.of();
  }

  /** The alignment that it is, or along which it was carried. */
  default Optional<Alignment> follows() {
    return Optional.empty();
  }

  /** Whether anything of it lies between two distances along the alignment that it follows. */
  default boolean reaches(double from, double to) {
    return true;
  }

  /**
   * What of it lies between two distances along the alignment that it follows; empty where nothing
   * does, all of it where it follows none.
   *
   * @param chord tolerance of curved faces, metres
   */
  default Optional<Shape> between(double from, double to, double chord) {
    return Optional.of(this);
  }

  /** What is worked out of its measures and curves, under the names that it has in every job. */
  default List<PropertySet> facts() {
    return List.of();
  }

  /** A number by which it is known; empty where it has none of the sort. */
  OptionalDouble measure(Measure m);

  /**
   * The same at other places.
   *
   * @throws E if a place has no other
   */
  <E extends Exception> Shape moved(Mover<E> by) throws E;

  /** Whether both have the same points in the same order. */
  default boolean sameAs(Shape o) {
    List<double[]> a = vertices();
    List<double[]> b = o.vertices();
    return a.size() == b.size()
        && IntStream.range(0, a.size()).allMatch(i -> Arrays.equals(a.get(i), b.get(i)));
  }

  /**
   * Triangles over shared vertices.
   *
   * @param invisible vertex numbers, in threes, of faces that the designer marked as invisible;
   *     they are kept but are no part of the surface
   * @param curved what they were made of for a tolerance; empty where they are as designed
   * @param finishes of single triangles; empty where the thing has one finish or none
   * @param box what was worked out of it
   */
  record Faces(
      Mesh mesh,
      int[] invisible,
      Optional<Curved> curved,
      Optional<FaceFinishes> finishes,
      OnceAsked<Box> box)
      implements Shape {
    private static final int[] NONE = {};

    public Faces {
      if (finishes.isPresent() && finishes.get().of().length != mesh.triangleCount()) {
        throw new IllegalArgumentException("Every triangle needs a finish, or none.");
      }
    }

    private Faces(
        Mesh mesh, int[] invisible, Optional<Curved> curved, Optional<FaceFinishes> finishes) {
      this(mesh, invisible, curved, finishes, new OnceAsked<>());
    }

    /** As designed. */
    public Faces(Mesh mesh, int[] invisible) {
      this(mesh, invisible, Optional.empty(), Optional.empty());
    }

    /** As designed, all of them visible. */
    public Faces(Mesh mesh, Optional<FaceFinishes> finishes) {
      this(mesh, NONE, Optional.empty(), finishes);
    }

    /** All of them visible. */
    public Faces(Mesh mesh) {
      this(mesh, NONE);
    }

    /** Made of curves for a chord tolerance in metres. */
    public static Faces of(Curved curved, double chord) {
      return new Faces(curved.mesh(chord), NONE, Optional.of(curved), Optional.empty());
    }

    /** The same triangles with their vertices at other places. */
    public Faces at(double[] xyz) {
      return new Faces(new Mesh(xyz, mesh.triangles()), invisible, Optional.empty(), finishes);
    }

    /** The same triangles at other places, and what they were made of. */
    public Faces at(double[] xyz, Optional<? extends Curved> curved) {
      return new Faces(
          new Mesh(xyz, mesh.triangles()), invisible, curved.map(c -> (Curved) c), finishes);
    }

    @Override
    public Shape within(double chord) {
      return curved.map(c -> (Shape) of(c, chord)).orElse(this);
    }

    @Override
    public Box bounds() {
      return box.get(mesh::bounds);
    }

    @Override
    public Optional<Mesh> triangles() {
      return Optional.of(mesh);
    }

    @Override
    public boolean isEmpty() {
      return mesh.triangleCount() == 0;
    }

    @Override
    public int pointCount() {
      return mesh.vertexCount();
    }

    @Override
    public List<double[]> vertices() {
      return List.of(mesh.xyz());
    }

    /**
     * The area in plan, square metres: a closed body covers it twice, seen from above and from
     * below.
     */
    public double planArea() {
      return mesh.isClosed() ? mesh.planArea() / 2 : mesh.planArea();
    }

    public int invisibleCount() {
      return invisible.length / 3;
    }

    @Override
    public Optional<Alignment> follows() {
      return curved.flatMap(Curved::follows);
    }

    @Override
    public boolean reaches(double from, double to) {
      return curved.isEmpty() || curved.get().reaches(from, to);
    }

    @Override
    public Optional<Shape> between(double from, double to, double chord) {
      return curved.isEmpty()
          ? Optional.of(this)
          : curved.get().between(from, to).map(c -> of(c, chord));
    }

    @Override
    public List<PropertySet> facts() {
      return curved.map(Curved::facts).orElse(List.of());
    }

    @Override
    public OptionalDouble measure(Measure m) {
      return switch (m) {
        case TRIANGLES -> OptionalDouble.of(mesh.triangleCount());
        case POINTS -> OptionalDouble.of(mesh.vertexCount());
        case PLAN_AREA -> OptionalDouble.of(planArea());
        case SURFACE_AREA -> OptionalDouble.of(mesh.surfaceArea());
        case LENGTH -> curved.map(Curved::planLength).orElse(OptionalDouble.empty());
        default -> OptionalDouble.empty();
      };
    }

    @Override
    public <E extends Exception> Shape moved(Mover<E> by) throws E {
      return at(by.points(mesh.xyz()), curved.flatMap(c -> by.similarity().flatMap(c::moved)));
    }
  }

  /**
   * Lines in space without labels or elements: a string, breaklines, the lines of a drawing's
   * layer.
   *
   * @param lines one or more
   * @param box what was worked out of it
   */
  record Lines(List<Polyline> lines, OnceAsked<Box> box) implements Shape {
    /** Ends that are no farther apart meet, metres. */
    private static final double SHUT = 0.01;

    public Lines(List<Polyline> lines) {
      this(lines, new OnceAsked<>());
    }

    public Lines {
      lines = List.copyOf(lines);
      if (lines.isEmpty()) {
        throw new IllegalArgumentException("A string needs a line.");
      }
    }

    /** Points of all lines together. */
    @Override
    public int pointCount() {
      return lines.stream().mapToInt(Polyline::pointCount).sum();
    }

    @Override
    public List<double[]> vertices() {
      return lines.stream().map(Polyline::xyz).toList();
    }

    /** Whether each line keeps to one level, and there are several levels. */
    public boolean isContours() {
      double first = lines.getFirst().point(0).level();
      return lines.stream().anyMatch(l -> l.point(0).level() != first)
          && lines.stream().allMatch(Lines::isLevel);
    }

    private static boolean isLevel(Polyline line) {
      double[] xyz = line.xyz();
      for (int i = 2; i < xyz.length; i += 3) {
        if (xyz[i] != xyz[2]) { // NaN, no level, equals nothing
          return false;
        }
      }
      return true;
    }

    /** Length of all lines in plan, metres. */
    public double planLength() {
      return lines.stream().mapToDouble(Polyline::planLength).sum();
    }

    @Override
    public Box bounds() {
      return box.get(() -> lines.stream().map(Polyline::bounds).reduce(Box.EMPTY, Box::union));
    }

    @Override
    public List<Polyline> rings() {
      return lines.stream().filter(l -> l.isClosed(SHUT)).toList();
    }

    @Override
    public OptionalDouble measure(Measure m) {
      return switch (m) {
        case POINTS -> OptionalDouble.of(pointCount());
        case LENGTH -> OptionalDouble.of(planLength());
        default -> OptionalDouble.empty();
      };
    }

    @Override
    public <E extends Exception> Shape moved(Mover<E> by) throws E {
      List<Polyline> to = new ArrayList<>();
      for (Polyline l : lines) {
        to.add(new Polyline(by.points(l.xyz())));
      }
      return new Lines(to);
    }
  }

  /**
   * Named single points, such as control points.
   *
   * @param box what was worked out of it
   */
  record Points(List<NamedPoint> points, OnceAsked<Box> box) implements Shape {
    public Points(List<NamedPoint> points) {
      this(points, new OnceAsked<>());
    }

    public Points {
      points = points instanceof PointTable t ? t : List.copyOf(points);
    }

    @Override
    public boolean isEmpty() {
      return points.isEmpty();
    }

    @Override
    public int pointCount() {
      return points.size();
    }

    @Override
    public List<double[]> vertices() {
      return List.of(coordinates());
    }

    /** Easting, northing and level of all points, in threes; not to be written. */
    public double[] coordinates() {
      if (points instanceof PointTable t) {
        return t.coordinates();
      }
      double[] xyz = new double[3 * points.size()];
      for (int i = 0; i < points.size(); i++) {
        Position p = points.get(i).position();
        xyz[3 * i] = p.east();
        xyz[3 * i + 1] = p.north();
        xyz[3 * i + 2] = p.level();
      }
      return xyz;
    }

    @Override
    public Box bounds() {
      return box.get(() -> Box.of(coordinates()));
    }

    @Override
    public OptionalDouble measure(Measure m) {
      return m == Measure.POINTS ? OptionalDouble.of(points.size()) : OptionalDouble.empty();
    }

    @Override
    public <E extends Exception> Shape moved(Mover<E> by) throws E {
      double[] to = by.points(coordinates());
      List<NamedPoint> out = new ArrayList<>();
      for (int i = 0; i < points.size(); i++) {
        NamedPoint p = points.get(i);
        Position at = new Position(to[3 * i], to[3 * i + 1], to[3 * i + 2]);
        out.add(new NamedPoint(p.name(), at, p.code()));
      }
      return new Points(out);
    }
  }

  /**
   * An alignment: elements in plan, perhaps with a profile.
   *
   * @param chord how far lines that stand for it may lie from it, metres
   * @param box what was worked out of it
   * @param chords the line that stands for it, once somebody asked
   */
  record Axis(Alignment alignment, double chord, OnceAsked<Box> box, OnceAsked<Polyline> chords)
      implements Shape {
    public Axis(Alignment alignment, double chord) {
      this(alignment, chord, new OnceAsked<>(), new OnceAsked<>());
    }

    /** Within the usual tolerance. */
    public Axis(Alignment alignment) {
      this(alignment, Curved.USUAL_CHORD);
    }

    /** The line that stands for it where a format has no alignments. */
    public Polyline line() {
      return chords.get(() -> AlignmentChords.of(alignment, chord));
    }

    @Override
    public Shape within(double tolerance) {
      return new Axis(alignment, tolerance);
    }

    @Override
    public Box bounds() {
      return box.get(alignment::bounds);
    }

    /** The ends of its elements. */
    @Override
    public List<double[]> marks() {
      return List.of(
          alignment.elementEnds().stream()
              .map(alignment::at)
              .flatMapToDouble(p -> DoubleStream.of(p.east(), p.north(), p.level()))
              .toArray());
    }

    @Override
    public List<Polyline> lines() {
      return List.of(line());
    }

    @Override
    public Optional<Alignment> follows() {
      return Optional.of(alignment);
    }

    @Override
    public Optional<Shape> between(double from, double to, double tolerance) {
      return Optional.of(new Axis(AlignmentCut.between(alignment, from, to)));
    }

    @Override
    public OptionalDouble measure(Measure m) {
      return switch (m) {
        case LENGTH -> OptionalDouble.of(alignment.length());
        case START_CHAINAGE -> OptionalDouble.of(alignment.startChainage());
        case END_CHAINAGE -> OptionalDouble.of(alignment.endChainage());
        case ELEMENTS -> OptionalDouble.of(alignment.elements().size());
        case PROFILE_PIECES ->
            alignment.profile().stream().mapToDouble(p -> p.segments().size()).findFirst();
        default -> OptionalDouble.empty();
      };
    }

    @Override
    public <E extends Exception> Shape moved(Mover<E> by) throws E {
      return new Axis(by.alignment(alignment), chord);
    }
  }

  /** A picture of the ground. */
  record Picture(Pixels pixels, PicturePlace place) implements Shape {
    @Override
    public Box bounds() {
      return place.bounds();
    }

    /** Its four corners. */
    @Override
    public List<Polyline> rings() {
      return List.of(place.outline());
    }

    @Override
    public OptionalDouble measure(Measure m) {
      return switch (m) {
        case COLUMNS -> OptionalDouble.of(pixels.width());
        case ROWS -> OptionalDouble.of(pixels.height());
        case GROUND_WIDTH -> OptionalDouble.of(place.width());
        default -> OptionalDouble.empty();
      };
    }

    @Override
    public <E extends Exception> Shape moved(Mover<E> by) throws E {
      return new Picture(pixels, by.picture(pixels, place));
    }

    /** Whether both show the same pixels at the same place. */
    @Override
    public boolean sameAs(Shape o) {
      return o instanceof Picture p
          && Arrays.equals(pixels.argb(), p.pixels.argb())
          && Arrays.equals(place.corners(), p.place.corners());
    }
  }
}
