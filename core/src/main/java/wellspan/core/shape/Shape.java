package wellspan.core.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
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
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;

/**
 * Geometry in shared coordinates. Immutable; any thread may read it. What is worked out of one, as
 * its bounds, is kept with it and does not count when two are compared.
 */
public sealed interface Shape extends Geometry {
  /**
   * The same with curved faces made anew for another chord tolerance; itself where there are none.
   *
   * @param chord metres
   */
  default Shape within(double chord) {
    return this;
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
          && lines.stream().allMatch(Polyline::isLevel);
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
      return PointTable.coordinates(points);
    }

    @Override
    public Box bounds() {
      return box.get(() -> Box.of(coordinates()));
    }

    @Override
    public <E extends Exception> Shape moved(Mover<E> by) throws E {
      return new Points(PointTable.at(points, by.points(coordinates())));
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
