package wellspan.core.network;

/**
 * The clear section of a pipe; inner measures in metres. Levels count from the invert, its lowest
 * inside point.
 */
public sealed interface PipeSection {
  /** Clear height, metres. */
  double height();

  /** Clear width, metres. */
  double width();

  /** Clear area, square metres. */
  double area();

  /** Clear perimeter, metres. */
  double perimeter();

  /** Whether it is open at its top. */
  default boolean open() {
    return false;
  }

  /**
   * Outline around the clear section, counter-clockwise seen along the pipe: offset to the right
   * and level above the invert in turn. Curves become chords with the area of the curve, where the
   * section has a closed form.
   *
   * @param beyond distance outside the clear section, the wall; 0 for the clear section itself
   * @param corners number of points, the same for every distance beyond
   */
  double[] outline(double beyond, int corners);

  /** A pipe of one diameter. */
  record Circle(double diameter) implements PipeSection {
    @Override
    public double height() {
      return diameter;
    }

    @Override
    public double width() {
      return diameter;
    }

    @Override
    public double area() {
      return Math.PI * diameter * diameter / 4;
    }

    @Override
    public double perimeter() {
      return Math.PI * diameter;
    }

    @Override
    public double[] outline(double beyond, int corners) {
      double r = (diameter / 2 + beyond) * Outlines.equalArea(corners);
      double[] out = new double[2 * corners];
      for (int i = 0; i < corners; i++) {
        double a = 2 * Math.PI * i / corners;
        out[2 * i] = r * Math.cos(a);
        out[2 * i + 1] = diameter / 2 + r * Math.sin(a);
      }
      return out;
    }
  }

  /** An ellipse. */
  record Ellipse(double height, double width) implements PipeSection {
    @Override
    public double area() {
      return Math.PI * height * width / 4;
    }

    /** By Ramanujan's second formula. */
    @Override
    public double perimeter() {
      double a = height / 2;
      double b = width / 2;
      double h = (a - b) * (a - b) / ((a + b) * (a + b));
      return Math.PI * (a + b) * (1 + 3 * h / (10 + Math.sqrt(4 - 3 * h)));
    }

    @Override
    public double[] outline(double beyond, int corners) {
      double f = Outlines.equalArea(corners);
      double[] out = new double[2 * corners];
      for (int i = 0; i < corners; i++) {
        double a = 2 * Math.PI * i / corners;
        double nx = height * Math.cos(a);
        double ny = width * Math.sin(a);
        double n = Math.hypot(nx, ny);
        out[2 * i] = f * (width / 2 * Math.cos(a) + beyond * nx / n);
        out[2 * i + 1] = height / 2 + f * (height / 2 * Math.sin(a) + beyond * ny / n);
      }
      return out;
    }
  }

  /**
   * An egg, its narrow end below: a crown of radius W/2, sides and a bottom that touch it. For H :
   * W = 3 : 2 it is the standard egg with sides of 3r and a bottom of r/2.
   */
  record Egg(double height, double width) implements PipeSection {
    @Override
    public double area() {
      return Outlines.area(outline(0, 720));
    }

    @Override
    public double perimeter() {
      return Outlines.perimeter(outline(0, 720));
    }

    @Override
    public double[] outline(double beyond, int corners) {
      return Outlines.egg(height, width, beyond, corners);
    }
  }

  /** A box. */
  record Box(double height, double width) implements PipeSection {
    @Override
    public double area() {
      return height * width;
    }

    @Override
    public double perimeter() {
      return 2 * (height + width);
    }

    @Override
    public double[] outline(double beyond, int corners) {
      double w = width / 2 + beyond;
      return new double[] {w, -beyond, w, height + beyond, -w, height + beyond, -w, -beyond};
    }
  }

  /** An open channel. */
  record Channel(double height, double widthTop, double widthBottom) implements PipeSection {
    @Override
    public double width() {
      return Math.max(widthTop, widthBottom);
    }

    @Override
    public double area() {
      return height * (widthTop + widthBottom) / 2;
    }

    /** Of the wetted sides and the bottom. */
    @Override
    public double perimeter() {
      return widthBottom + 2 * Math.hypot(height, (widthTop - widthBottom) / 2);
    }

    @Override
    public boolean open() {
      return true;
    }

    @Override
    public double[] outline(double beyond, int corners) {
      double t = widthTop / 2 + beyond;
      double b = widthBottom / 2 + beyond;
      return new double[] {b, -beyond, t, height, -t, height, -b, -beyond};
    }
  }
}
