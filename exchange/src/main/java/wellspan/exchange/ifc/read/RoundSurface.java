package wellspan.exchange.ifc.read;

import java.util.Optional;

/** Cylinders, spheres and tori. */
record RoundSurface(Placement at, Form form, double major, double radius) implements CurvedSurface {
  enum Form {
    CYLINDER,
    SPHERE,
    TORUS
  }

  static RoundSurface of(Instance s) {
    Placement at = Placement.axis(s.ref("Position"));
    return switch (s.entity().name()) {
      case "IfcCylindricalSurface" -> new RoundSurface(at, Form.CYLINDER, 0, s.number("Radius"));
      case "IfcSphericalSurface" -> new RoundSurface(at, Form.SPHERE, 0, s.number("Radius"));
      default -> new RoundSurface(at, Form.TORUS, s.number("MajorRadius"), s.number("MinorRadius"));
    };
  }

  @Override
  public double[] at(double u, double v) {
    double out = form == Form.CYLINDER ? radius : major + radius * Math.cos(v);
    double up = form == Form.CYLINDER ? v : radius * Math.sin(v);
    double[] p = {out * Math.cos(u), out * Math.sin(u), up};
    at.apply(p, 0, 3);
    return p;
  }

  @Override
  public double periodU() {
    return 2 * Math.PI;
  }

  @Override
  public double periodV() {
    return form == Form.TORUS ? 2 * Math.PI : 0;
  }

  @Override
  public double[] parameters(double[] place) {
    double[] p = at.local(place);
    double out = Math.hypot(p[0], p[1]);
    double u = out < 1e-9 * radius ? Double.NaN : Math.atan2(p[1], p[0]);
    return new double[] {u, form == Form.CYLINDER ? p[2] : Math.atan2(p[2], out - major)};
  }

  @Override
  public Optional<Double> pole(boolean upper) {
    return form == Form.SPHERE ? Optional.of(upper ? Math.PI / 2 : -Math.PI / 2) : Optional.empty();
  }
}
