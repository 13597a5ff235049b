package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import wellspan.core.geom.Box;
import wellspan.core.geom.OnceAsked;

/**
 * A plan line of elements with its labels and, where there is one, its profile. A place on it is
 * found among its elements by halving.
 *
 * @param reached where each element ends, worked out when it is first asked for
 */
public record Alignment(
    String name,
    List<PlanElement> elements,
    Chainages chainages,
    Optional<Profile> profile,
    OnceAsked<Lengths> reached) {
  /** Places of a line that lie nearer to each other are one, metres along it. */
  public static final double SAME_END = 1e-3;

  /** The circumference of the earth in millimetres, which is the smallest unit of readers. */
  private static final double LONGEST = 4.1e10;

  /** A line is looked at in no more steps than this. */
  private static final double MOST_STEPS = 1e6;

  /**
   * @throws IllegalArgumentException if there is no element, or it goes farther than round the
   *     earth
   */
  public Alignment {
    elements = List.copyOf(elements);
    if (elements.isEmpty()) {
      throw new IllegalArgumentException("an alignment needs at least one element");
    }
    double whole = elements.stream().mapToDouble(PlanElement::length).sum();
    if (!(whole <= LONGEST)) {
      throw new IllegalArgumentException(
          String.format(
              java.util.Locale.ROOT,
              "it is %.3g long, farther than round the earth; a coordinate, a length or their unit is wrong",
              whole));
    }
  }

  /**
   * @throws IllegalArgumentException if there is no element
   */
  public Alignment(
      String name, List<PlanElement> elements, Chainages chainages, Optional<Profile> profile) {
    this(name, elements, chainages, profile, new OnceAsked<>());
  }

  private Lengths lengths() {
    return reached.get(() -> Lengths.of(elements));
  }

  /** Length in plan, metres. */
  public double length() {
    return lengths().whole();
  }

  public double startChainage() {
    return chainages.at(0);
  }

  public double endChainage() {
    return chainages.at(length());
  }

  /** The point at a distance from the start; distances outside are held to the ends. */
  public AlignmentPoint at(double distance) {
    Lengths lengths = lengths();
    int i = lengths.endingAtOrAfter(distance);
    PlanElement e = elements.get(i);
    return point(distance, e.at(Math.clamp(distance - lengths.start(i), 0, e.length())));
  }

  private AlignmentPoint point(double distance, PlanPoint p) {
    double level = profile.map(v -> v.levelAt(distance)).orElse(Double.NaN);
    return new AlignmentPoint(
        distance, chainages.at(distance), p.east(), p.north(), level, p.direction());
  }

  /**
   * Distances of all element ends in plan and in profile that lie on the alignment, rising, with
   * both ends. Lengths in files are rounded: what ends in plan and in profile within {@link
   * #SAME_END} ends at one place, that of the plan.
   */
  public List<Double> elementEnds() {
    double end = length();
    TreeSet<Double> ends = new TreeSet<>(List.of(0.0, end));
    double d = 0;
    for (PlanElement e : elements) {
      for (PlanElement piece : e instanceof PlanElement.Irregular i ? i.pieces() : List.of(e)) {
        d += piece.length();
        addBetween(ends, d);
      }
    }
    profile.ifPresent(
        p ->
            p.segments()
                .forEach(
                    s -> {
                      addBetween(ends, s.startDistance());
                      addBetween(ends, s.endDistance());
                    }));
    return List.copyOf(ends);
  }

  /** Distances of the element ends between two others, and these, rising, none twice. */
  public List<Double> elementEnds(double from, double to) {
    TreeSet<Double> ends = new TreeSet<>(List.of(from, to));
    elementEnds().forEach(d -> addBetween(ends, d));
    return List.copyOf(ends);
  }

  /** Adds what lies within the first and the last, and is none of those that are there. */
  private static void addBetween(TreeSet<Double> ends, double x) {
    Double before = ends.floor(x);
    Double after = ends.ceiling(x);
    if (before != null && after != null && x - before > SAME_END && after - x > SAME_END) {
      ends.add(x);
    }
  }

  /**
   * The same line by elements that every format knows: straight pieces of irregular lines on their
   * own, clothoids between opposite curvatures in two.
   */
  public List<PlanElement> simpleElements() {
    List<PlanElement> out = new ArrayList<>();
    for (PlanElement e : elements) {
      switch (e) {
        case PlanElement.Irregular i -> out.addAll(i.pieces());
        case PlanElement.Spiral s
            when s.law() == SpiralLaw.CLOTHOID && s.startCurvature() * s.endCurvature() < 0 -> {
          double first = s.length() * s.startCurvature() / (s.startCurvature() - s.endCurvature());
          out.add(new PlanElement.Spiral(s.start(), first, s.startCurvature(), 0, s.law()));
          out.add(
              new PlanElement.Spiral(
                  s.at(first), s.length() - first, 0, s.endCurvature(), s.law()));
        }
        default -> out.add(e);
      }
    }
    return out;
  }

  /** Points every {@code step} metres from the start, and the end. */
  public List<AlignmentPoint> every(double step) {
    List<AlignmentPoint> out = new ArrayList<>();
    double length = length();
    for (int i = 0; i * step < length - 1e-6; i++) {
      out.add(at(i * step));
    }
    out.add(at(length));
    return out;
  }

  /** Points every {@code step} metres and at every element end, without near doubles. */
  public List<AlignmentPoint> everyWithEnds(double step) {
    TreeSet<Double> all = new TreeSet<>(elementEnds());
    double length = length();
    for (int i = 0; i * step < length; i++) {
      all.add(i * step);
    }
    List<AlignmentPoint> out = new ArrayList<>();
    for (double d : all) {
      if (out.isEmpty() || d - out.getLast().distance() > 1e-6) {
        out.add(at(d));
      }
    }
    return out;
  }

  /** Curvature in plan at a distance from the start, positive where it turns left, 1/m. */
  public double curvatureAt(double distance) {
    Lengths lengths = lengths();
    int i = lengths.endingAfter(distance);
    return switch (elements.get(i)) {
      case PlanElement.Line l -> 0;
      case PlanElement.Arc a -> 1 / a.radius();
      case PlanElement.Irregular r -> 0;
      case PlanElement.Spiral s ->
          s.curvatureAt(Math.clamp(distance - lengths.start(i), 0, s.length()));
    };
  }

  /** Extent of the line, found at metre steps (longer ones beyond 1000 km) and element ends. */
  public Box bounds() {
    List<AlignmentPoint> points = everyWithEnds(Math.max(1, length() / MOST_STEPS));
    double[] xyz = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      xyz[3 * i] = points.get(i).east();
      xyz[3 * i + 1] = points.get(i).north();
      xyz[3 * i + 2] = points.get(i).level();
    }
    return Box.of(xyz);
  }

  /** Largest gap in plan between the end of one element and the start of the next, metres. */
  public double largestGap() {
    double gap = 0;
    for (int i = 0; i + 1 < elements.size(); i++) {
      PlanPoint a = elements.get(i).end();
      PlanPoint b = elements.get(i + 1).start();
      gap = Math.max(gap, Math.hypot(a.east() - b.east(), a.north() - b.north()));
    }
    return gap;
  }
}
