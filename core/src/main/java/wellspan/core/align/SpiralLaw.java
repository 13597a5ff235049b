package wellspan.core.align;

/**
 * How a transition runs from its start (t = 0) to its end (t = 1). Most laws say how curvature
 * changes along it, as a fraction of the whole change; the others are curves over the tangent at
 * their flat end, see {@link TangentCurve}. Formulas as in ISO 16739-1:2024,
 * IfcAlignmentHorizontalSegmentTypeEnum, and as the names of LandXML are used in practice.
 */
public enum SpiralLaw {
  CLOTHOID {
    @Override
    double curvature(double t) {
      return t;
    }

    @Override
    double angle(double t) {
      return t * t / 2;
    }
  },
  BLOSS {
    @Override
    double curvature(double t) {
      return t * t * (3 - 2 * t);
    }

    @Override
    double angle(double t) {
      return t * t * t * (1 - t / 2);
    }
  },
  COSINE {
    @Override
    double curvature(double t) {
      return (1 - Math.cos(Math.PI * t)) / 2;
    }

    @Override
    double angle(double t) {
      return (t - Math.sin(Math.PI * t) / Math.PI) / 2;
    }
  },
  SINE {
    @Override
    double curvature(double t) {
      return t - Math.sin(2 * Math.PI * t) / (2 * Math.PI);
    }

    @Override
    double angle(double t) {
      return t * t / 2 + (Math.cos(2 * Math.PI * t) - 1) / (4 * Math.PI * Math.PI);
    }
  },
  /** Two parabolas of curvature, after Helmert and Schramm. */
  BIQUADRATIC {
    @Override
    double curvature(double t) {
      return t < 0.5 ? 2 * t * t : 1 - 2 * (1 - t) * (1 - t);
    }

    @Override
    double angle(double t) {
      return t < 0.5 ? 2 * t * t * t / 3 : t - 0.5 + 2.0 / 3 * (1 - t) * (1 - t) * (1 - t);
    }
  },
  /** The Vienna transition without its term of cant. */
  VIENNESE {
    @Override
    double curvature(double t) {
      return t * t * t * t * (35 + t * (-84 + t * (70 - 20 * t)));
    }

    @Override
    double angle(double t) {
      return t * t * t * t * t * (7 + t * (-14 + t * (10 - 2.5 * t)));
    }
  },
  /** y = x³/(6·R·X), X the length along the tangent. */
  CUBIC,
  /** y = x³/(6·R·L), L the length of the curve. */
  CUBIC_PARABOLA,
  /** y″ after two parabolas over the tangent. */
  BIQUADRATIC_PARABOLA,
  /** y″ after half a wave over the tangent. */
  SINE_HALF_WAVE,
  /** Curvature grows with the chord from the flat end: a stretch of a lemniscate. */
  RADIOID;

  /** Whether curvature is given along the curve; otherwise it is a curve over its tangent. */
  public boolean alongCurve() {
    return ordinal() < CUBIC.ordinal();
  }

  /** Whether the layouts of ISO 16739-1:2024 have a type for it. */
  public boolean hasLayoutType() {
    return alongCurve() || this == CUBIC_PARABOLA;
  }

  /** Where its formula changes, which sums over it must not step across; 1 where it does not. */
  double knee() {
    return this == BIQUADRATIC || this == BIQUADRATIC_PARABOLA ? 0.5 : 1;
  }

  /** Fraction of the curvature's change reached at t. */
  double curvature(double t) {
    throw new IllegalStateException(name() + " is given over its tangent");
  }

  /** Integral of {@link #curvature} from 0 to t. */
  double angle(double t) {
    throw new IllegalStateException(name() + " is given over its tangent");
  }
}
