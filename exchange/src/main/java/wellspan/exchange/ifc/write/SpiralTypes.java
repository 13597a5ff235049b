package wellspan.exchange.ifc.write;

import wellspan.core.align.PlanElement;

/** The types of IfcAlignmentHorizontalSegmentTypeEnum that spirals are written as. */
final class SpiralTypes {
  private SpiralTypes() {}

  static String of(PlanElement.Spiral s) {
    return switch (s.law()) {
      case CLOTHOID -> "CLOTHOID";
      case BLOSS -> "BLOSSCURVE";
      case COSINE -> "COSINECURVE";
      case SINE -> "SINECURVE";
      case BIQUADRATIC -> "HELMERTCURVE";
      case VIENNESE -> "VIENNESEBEND";
      case CUBIC_PARABOLA -> "CUBIC";
      case CUBIC, BIQUADRATIC_PARABOLA, SINE_HALF_WAVE, RADIOID ->
          throw new SchemaViolation(
              "A transition of the kind " + s.law() + " cannot stand in a layout of IFC4.3.");
    };
  }
}
