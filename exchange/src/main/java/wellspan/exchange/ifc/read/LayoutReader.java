package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.core.align.SpiralLaw;

/**
 * Reads the layouts of an alignment, by the design parameters of their segments, in the model's own
 * coordinates and unit.
 *
 * @param angle radians in the file's unit of angles
 */
record LayoutReader(double angle) {
  /**
   * @return empty if there is none
   * @throws Left if a segment is of a type that is not read
   */
  List<PlanElement> plan(List<Instance> segments) {
    List<PlanElement> out = new ArrayList<>();
    for (int i = 0; i < segments.size(); i++) {
      if (segments.get(i).number("SegmentLength", 0) != 0) { // else it closes the layout
        Optional<double[]> next =
            i + 1 < segments.size()
                ? Optional.of(Placement.point(segments.get(i + 1).ref("StartPoint")))
                : Optional.empty();
        out.add(element(segments.get(i), next));
      }
    }
    return out;
  }

  /**
   * @param next where the segment behind it starts
   */
  private PlanElement element(Instance s, Optional<double[]> next) {
    double length = s.number("SegmentLength", 0);
    double[] p = Placement.point(s.ref("StartPoint"));
    PlanPoint start = new PlanPoint(p[0], p[1], s.number("StartDirection") * angle);
    double k0 = curvature(s.number("StartRadiusOfCurvature", 0));
    double k1 = curvature(s.number("EndRadiusOfCurvature", 0));
    String type = s.literal("PredefinedType");
    return switch (type) {
      case "LINE" -> new PlanElement.Line(start, length);
      case "CIRCULARARC" -> {
        if (k0 == 0 && k1 == 0) {
          throw new Left("#" + s.id() + " is an arc without a radius");
        }
        yield new PlanElement.Arc(start, length, 1 / (k0 != 0 ? k0 : k1));
      }
      case "CLOTHOID" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.CLOTHOID);
      case "BLOSSCURVE" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.BLOSS);
      case "COSINECURVE" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.COSINE);
      case "SINECURVE" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.SINE);
      case "HELMERTCURVE" -> new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.BIQUADRATIC);
      case "CUBIC" -> cubic(start, length, k0, k1, next);
      case "VIENNESEBEND" -> {
        if (s.number("GravityCenterLineHeight", 0) != 0) {
          throw new Left(
              "it holds a segment of type VIENNESEBEND that depends on the cant, which is not read");
        }
        yield new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.VIENNESE);
      }
      default -> throw new Left("it holds a segment of type " + type + ", which is not read");
    };
  }

  /**
   * Senders differ in which length stands in its formula; the one that meets what follows counts.
   */
  private static PlanElement cubic(
      PlanPoint start, double length, double k0, double k1, Optional<double[]> next) {
    PlanElement byCurve = new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.CUBIC_PARABOLA);
    PlanElement byTangent = new PlanElement.Spiral(start, length, k0, k1, SpiralLaw.CUBIC);
    return next.isPresent() && away(byTangent, next.get()) < away(byCurve, next.get())
        ? byTangent
        : byCurve;
  }

  private static double away(PlanElement e, double[] p) {
    PlanPoint end = e.end();
    return Math.hypot(end.east() - p[0], end.north() - p[1]);
  }

  private static double curvature(double radius) {
    return radius == 0 ? 0 : 1 / radius;
  }

  /**
   * @return empty if there is none
   * @throws Left if a segment is of a type that is not read
   */
  Optional<Profile> profile(List<Instance> segments) {
    List<ProfileSegment> out = new ArrayList<>();
    for (Instance s : segments) {
      double length = s.number("HorizontalLength", 0);
      if (length == 0) {
        continue;
      }
      double start = s.number("StartDistAlong");
      double level = s.number("StartHeight");
      double g0 = s.number("StartGradient");
      double g1 = s.number("EndGradient");
      String type = s.literal("PredefinedType");
      out.add(
          switch (type) {
            case "CONSTANTGRADIENT" -> new ProfileSegment.Grade(start, length, level, g0);
            case "PARABOLICARC" -> new ProfileSegment.Parabola(start, length, level, g0, g1);
            case "CIRCULARARC" -> {
              double turned = Math.sin(Math.atan(g1)) - Math.sin(Math.atan(g0));
              yield new ProfileSegment.Circle(start, length, level, g0, g1, length / turned);
            }
            default ->
                throw new Left(
                    "its profile holds a segment of type " + type + ", which is not read");
          });
    }
    return out.isEmpty() ? Optional.empty() : Optional.of(new Profile("Profile", out));
  }
}
