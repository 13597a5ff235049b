package wellspan.core.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import wellspan.core.attribute.Finish;
import wellspan.core.geom.Mesh;

/**
 * Finishes of single triangles, where one thing has more than one. Immutable; one int for each
 * triangle.
 *
 * @param finishes each of them once, in the order in which triangles name them
 * @param of number of each triangle's finish, −1 for that of the thing; not to be written
 */
public record FaceFinishes(List<Finish> finishes, int[] of) {
  /** Of a triangle that has none of its own. */
  public static final int OWN = -1;

  public FaceFinishes {
    finishes = List.copyOf(finishes);
    for (int f : of) {
      if (f < OWN || f >= finishes.size()) {
        throw new IllegalArgumentException("Finish " + f + " of " + finishes.size());
      }
    }
  }

  /**
   * Those of a mesh; empty where all triangles have the same.
   *
   * @param each finish of each triangle, null for none of its own
   */
  public static Optional<FaceFinishes> of(Finish[] each) {
    Map<Finish, Integer> numbers = new LinkedHashMap<>();
    int[] of = new int[each.length];
    boolean alike = true;
    for (int t = 0; t < each.length; t++) {
      Finish f = each[t];
      of[t] = f == null ? OWN : numbers.computeIfAbsent(f, k -> numbers.size());
      alike &= of[t] == of[0];
    }
    return alike
        ? Optional.empty()
        : Optional.of(new FaceFinishes(List.copyOf(numbers.keySet()), of));
  }

  /** Those of a shape's faces, if it has faces of several finishes. */
  public static Optional<FaceFinishes> of(Shape shape) {
    return shape instanceof Shape.Faces f ? f.finishes() : Optional.empty();
  }

  /** Finish of a triangle; empty if it has none of its own. */
  public Optional<Finish> finish(int triangle) {
    return of[triangle] == OWN ? Optional.empty() : Optional.of(finishes.get(of[triangle]));
  }

  /** Names of the materials, each once; those without a name left out. */
  public List<String> materials() {
    return finishes.stream().map(Finish::material).filter(m -> !m.isEmpty()).distinct().toList();
  }

  /**
   * What the thing as a whole is made of: all materials together, in the colour of most of its
   * surface.
   *
   * @param mesh whose triangles these are the finishes of
   */
  public Finish whole(Mesh mesh) {
    double[] area = new double[finishes.size()];
    for (int t = 0; t < of.length; t++) {
      if (of[t] != OWN) {
        area[of[t]] += mesh.area(t);
      }
    }
    int most = 0;
    for (int i = 1; i < area.length; i++) {
      most = area[i] > area[most] ? i : most;
    }
    return new Finish(
        materials().stream().collect(Collectors.joining(", ")), finishes.get(most).rgb());
  }

  /** Those of the triangles that are kept; empty where they all have the same. */
  public Optional<FaceFinishes> only(IntPredicate kept) {
    List<Finish> each = new ArrayList<>();
    for (int t = 0; t < of.length; t++) {
      if (kept.test(t)) {
        each.add(finish(t).orElse(null));
      }
    }
    return of(each.toArray(Finish[]::new));
  }

  /**
   * A part of a mesh with one finish.
   *
   * @param finish empty for that of the thing
   */
  public record Part(Optional<Finish> finish, Mesh mesh) {}

  /** The mesh in parts of one finish each, over vertices of their own. */
  public List<Part> parts(Mesh mesh) {
    List<Part> out = new ArrayList<>();
    for (int f = OWN; f < finishes.size(); f++) {
      int number = f;
      Mesh part = mesh.only(t -> of[t] == number);
      if (part.triangleCount() > 0) {
        Optional<Finish> finish = f == OWN ? Optional.empty() : Optional.of(finishes.get(f));
        out.add(new Part(finish, part.compact()));
      }
    }
    return out;
  }

  /**
   * Colours of all triangles, 0xRRGGBB.
   *
   * @param own of those without a finish of their own
   */
  public int[] colours(int own) {
    return Arrays.stream(of).map(f -> f == OWN ? own : finishes.get(f).rgb()).toArray();
  }
}
