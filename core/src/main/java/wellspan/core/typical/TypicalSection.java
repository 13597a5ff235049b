package wellspan.core.typical;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A section of a road that is carried along an alignment.
 *
 * @param name for people
 * @param left strips from the axis to the left
 * @param right strips from the axis to the right
 * @param courses from the top down
 */
public record TypicalSection(
    String name, List<Strip> left, List<Strip> right, List<Course> courses) {

  /** One to begin with: two lanes, kerbs, a footway on the right, a verge on the left. */
  public static final TypicalSection FIRST =
      new TypicalSection(
          "Two lanes with a footway",
          List.of(
              new Strip(StripUse.LANE, 3.25, 2.5, 0, 0, ""),
              new Strip(StripUse.KERB, 0.15, 0, 0.1, 0.22, "concrete"),
              new Strip(StripUse.VERGE, 1.5, 4, 0, 0.15, "topsoil")),
          List.of(
              new Strip(StripUse.LANE, 3.25, 2.5, 0, 0, ""),
              new Strip(StripUse.KERB, 0.15, 0, 0.1, 0.22, "concrete"),
              new Strip(StripUse.FOOTWAY, 2, -2, 0, 0.1, "concrete paving"),
              new Strip(StripUse.VERGE, 0.5, 4, 0, 0.15, "topsoil")),
          List.of(
              new Course("Surface course", "asphalt", 0.04, 0),
              new Course("Binder course", "asphalt", 0.08, 0),
              new Course("Base course", "crushed stone", 0.2, 0.3)));

  /**
   * @throws IllegalArgumentException with a sentence, if nothing could be made of it
   */
  public TypicalSection {
    left = List.copyOf(left);
    right = List.copyOf(right);
    courses = List.copyOf(courses);
    if (left.isEmpty() && right.isEmpty()) {
      throw new IllegalArgumentException("A typical section needs a strip on at least one side.");
    }
    if (!courses.isEmpty() && paved(left) == 0 && paved(right) == 0) {
      throw new IllegalArgumentException(
          "Courses lie under lanes and paved shoulders; the section has neither beside its axis.");
    }
  }

  /** How many strips from the axis on are paved. */
  static int paved(List<Strip> side) {
    int n = 0;
    while (n < side.size() && side.get(n).use().paved()) {
      n++;
    }
    return n;
  }

  /** The same with the right side on both. */
  public TypicalSection mirrored() {
    return new TypicalSection(name, right, right, courses);
  }

  /** Strips of a side; {@code -1} is the left one. */
  public List<Strip> side(int side) {
    return side < 0 ? left : right;
  }

  /** The same with other strips on a side; {@code -1} is the left one. */
  public TypicalSection with(int side, List<Strip> strips) {
    return new TypicalSection(name, side < 0 ? strips : left, side < 0 ? right : strips, courses);
  }

  public TypicalSection withCourses(List<Course> others) {
    return new TypicalSection(name, left, right, others);
  }

  public TypicalSection named(String other) {
    return new TypicalSection(other, left, right, courses);
  }

  /** Distance of the paved edge from the axis on a side, metres. */
  public double pavedWidth(int side) {
    double w = 0;
    for (Strip s : side(side).subList(0, paved(side(side)))) {
      w += s.width();
    }
    return w;
  }

  /** Fall of the strip beside the axis, or of the other side's where there is none, per cent. */
  public double fall(int side) {
    return side(side).isEmpty() ? side(-side).getFirst().fall() : side(side).getFirst().fall();
  }

  /**
   * The same with other falls of its lanes, and of its shoulders by a rule.
   *
   * @param left of the lanes on the left, per cent outwards
   * @param right of those on the right
   * @param most largest difference between a shoulder's fall and its lane's
   */
  public TypicalSection falling(double left, double right, ShoulderRule shoulders, double most) {
    return with(-1, falling(this.left, left, shoulders, most))
        .with(1, falling(this.right, right, shoulders, most));
  }

  private static List<Strip> falling(
      List<Strip> strips, double fall, ShoulderRule shoulders, double most) {
    int paved = paved(strips);
    List<Strip> out = new ArrayList<>(strips);
    for (int i = 0; i < paved; i++) {
      Strip s = strips.get(i);
      out.set(
          i,
          s.withFall(s.use() == StripUse.SHOULDER ? shoulders.fall(s.fall(), fall, most) : fall));
    }
    return out;
  }

  /** Thickness of all courses, metres. */
  public double thickness() {
    return courses.stream().mapToDouble(Course::thickness).sum();
  }

  /**
   * The same with the outermost paved strip of a side so wide that its edge lies at an offset.
   *
   * @param edge distance from the axis, metres
   * @throws IllegalArgumentException with a sentence, if the strips within are wider already
   */
  public TypicalSection widened(int side, double edge) {
    List<Strip> strips = new ArrayList<>(side(side));
    int last = paved(strips) - 1;
    if (last < 0) {
      throw new IllegalArgumentException(
          "The section has no paved strip on the " + (side < 0 ? "left" : "right") + " to widen.");
    }
    double width = strips.get(last).width() + edge - pavedWidth(side);
    if (!(width > 0.01)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "the edge on the %s lies %.3f m from the axis, nearer than the strips within it.",
              side < 0 ? "left" : "right",
              edge));
    }
    strips.set(last, strips.get(last).withWidth(width));
    return with(side, strips);
  }
}
