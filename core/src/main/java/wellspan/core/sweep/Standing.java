package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.geom.Mesh;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;

/**
 * Bodies that stand along an alignment, whole each of them.
 *
 * @param along what they stand along; empty for a string, which has no chainages
 * @param distances of the bodies from its start, metres
 * @param bodies one for each distance
 */
public record Standing(Optional<Alignment> along, List<Double> distances, List<Curved> bodies)
    implements Curved {
  /** Made of flat faces. */
  private record Flat(Mesh mesh) implements Curved {
    @Override
    public Mesh mesh(double chord) {
      return mesh;
    }
  }

  /** Distances that are no farther apart are the same, metres. */
  private static final double SAME = 1e-6;

  public Standing {
    distances = List.copyOf(distances);
    bodies = List.copyOf(bodies);
  }

  /** One body of flat faces. */
  public static Shape.Faces at(Alignment along, double distance, Mesh body) {
    return of(Optional.of(along), List.of(distance), List.of(body));
  }

  /** One body of flat faces. */
  public static Shape.Faces at(LineOfWork line, double distance, Mesh body) {
    return of(line.shape().follows(), List.of(distance), List.of(body));
  }

  /** Bodies of flat faces. */
  static Shape.Faces of(Optional<Alignment> along, List<Double> distances, List<Mesh> bodies) {
    List<Curved> flat = new ArrayList<>();
    bodies.forEach(b -> flat.add(new Flat(b)));
    return Shape.Faces.of(new Standing(along, distances, flat), USUAL_CHORD);
  }

  /** One body. */
  public static Shape.Faces at(LineOfWork line, double distance, Curved body) {
    return Shape.Faces.of(
        new Standing(line.shape().follows(), List.of(distance), List.of(body)), USUAL_CHORD);
  }

  @Override
  public Mesh mesh(double chord) {
    return joined(bodies.stream().map(b -> b.mesh(chord)).toList());
  }

  private static Mesh joined(List<Mesh> bodies) {
    if (bodies.size() == 1) {
      return bodies.getFirst();
    }
    double[] xyz = new double[3 * bodies.stream().mapToInt(Mesh::vertexCount).sum()];
    int[] t = new int[3 * bodies.stream().mapToInt(Mesh::triangleCount).sum()];
    int v = 0;
    int f = 0;
    for (Mesh m : bodies) {
      for (int c : m.triangles()) {
        t[f++] = c + v;
      }
      System.arraycopy(m.xyz(), 0, xyz, 3 * v, m.xyz().length);
      v += m.vertexCount();
    }
    return new Mesh(xyz, t);
  }

  @Override
  public OptionalDouble planLength() {
    return bodies.size() == 1 ? bodies.getFirst().planLength() : OptionalDouble.empty();
  }

  @Override
  public Optional<Alignment> follows() {
    return along;
  }

  @Override
  public boolean reaches(double from, double to) {
    return distances.stream().anyMatch(d -> isBetween(d, from, to));
  }

  /** What stands where one range ends and the next begins belongs to the next. */
  private boolean isBetween(double d, double from, double to) {
    boolean last = along.isEmpty() || to > along.get().length() - SAME;
    return d > from - SAME && (d < to - SAME || last);
  }

  @Override
  public Optional<Standing> between(double from, double to) {
    List<Double> kept = new ArrayList<>();
    List<Curved> of = new ArrayList<>();
    for (int i = 0; i < bodies.size(); i++) {
      if (isBetween(distances.get(i), from, to)) {
        kept.add(distances.get(i));
        of.add(bodies.get(i));
      }
    }
    return kept.isEmpty() ? Optional.empty() : Optional.of(new Standing(along, kept, of));
  }
}
