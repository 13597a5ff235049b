package wellspan.core.align;

/**
 * How curvature runs along a transition from its start (t = 0) to its end (t = 1), as a fraction of
 * the whole change. Formulas as in ISO 16739-1:2024, IfcAlignmentHorizontalSegmentTypeEnum.
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
  };

  /** Fraction of the curvature's change reached at t. */
  abstract double curvature(double t);

  /** Integral of {@link #curvature} from 0 to t. */
  abstract double angle(double t);
}
