package wellspan.core.align;

/**
 * One piece of a profile over the plan length. Distances are horizontal, from the alignment's
 * start, metres; grades are ratios, positive uphill.
 */
public sealed interface ProfileSegment {
  double startDistance();

  double length();

  double startLevel();

  double startGrade();

  double endGrade();

  /** Level at a distance from the segment's start, 0 … length. */
  double levelAt(double x);

  double gradeAt(double x);

  default double endDistance() {
    return startDistance() + length();
  }

  default double endLevel() {
    return levelAt(length());
  }

  /** Constant grade. */
  record Grade(double startDistance, double length, double startLevel, double startGrade)
      implements ProfileSegment {
    @Override
    public double endGrade() {
      return startGrade;
    }

    @Override
    public double levelAt(double x) {
      return startLevel + startGrade * x;
    }

    @Override
    public double gradeAt(double x) {
      return startGrade;
    }
  }

  /** Parabola: the grade changes evenly over the horizontal length. */
  record Parabola(
      double startDistance, double length, double startLevel, double startGrade, double endGrade)
      implements ProfileSegment {
    @Override
    public double levelAt(double x) {
      return startLevel + startGrade * x + (endGrade - startGrade) * x * x / (2 * length);
    }

    @Override
    public double gradeAt(double x) {
      return startGrade + (endGrade - startGrade) * x / length;
    }
  }

  /**
   * Circular arc in the vertical plane.
   *
   * @param radius positive in a sag, negative on a crest, metres
   */
  record Circle(
      double startDistance,
      double length,
      double startLevel,
      double startGrade,
      double endGrade,
      double radius)
      implements ProfileSegment {
    @Override
    public double levelAt(double x) {
      double a = Math.atan(startGrade);
      double sine = Math.sin(a) + x / radius;
      return startLevel + radius * (Math.cos(a) - Math.sqrt(1 - sine * sine));
    }

    @Override
    public double gradeAt(double x) {
      double sine = Math.sin(Math.atan(startGrade)) + x / radius;
      return sine / Math.sqrt(1 - sine * sine);
    }
  }
}
