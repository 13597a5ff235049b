package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Chords;
import wellspan.core.operation.Outline;

/**
 * Outlines of the profiles that are given by their measures, about the middle of their bounding box
 * as ISO 16739-1 places them. Fillets and edge radii are drawn. A sloping flange has its stated
 * thickness where the standards of rolled sections measure it: at a quarter of the width of flanges
 * to both sides of a web (DIN 1025-1), at the middle of those to one side (DIN 1026-1), of legs and
 * of webs.
 */
final class ParametricProfiles {
  private final CurveReader curves;

  ParametricProfiles(CurveReader curves) {
    this.curves = curves;
  }

  /**
   * The outer loop, then a hole where there is one.
   *
   * @throws Unread if the profile is of another kind, or its measures make no outline
   */
  List<double[]> loops(Instance p) {
    return switch (p.entity().name()) {
      case "IfcRectangleProfileDef" -> List.of(rectangle(p.number("XDim"), p.number("YDim"), 0));
      case "IfcRoundedRectangleProfileDef" ->
          List.of(rectangle(p.number("XDim"), p.number("YDim"), p.number("RoundingRadius")));
      case "IfcRectangleHollowProfileDef" -> {
        double t = 2 * p.number("WallThickness");
        yield List.of(
            rectangle(p.number("XDim"), p.number("YDim"), p.number("OuterFilletRadius", 0)),
            rectangle(
                p.number("XDim") - t, p.number("YDim") - t, p.number("InnerFilletRadius", 0)));
      }
      case "IfcCircleProfileDef" -> List.of(ellipse(p.number("Radius"), p.number("Radius")));
      case "IfcCircleHollowProfileDef" -> {
        double inner = p.number("Radius") - p.number("WallThickness");
        if (!(inner > 0)) {
          throw new Unread(p, "has a wall as thick as its radius");
        }
        yield List.of(ellipse(p.number("Radius"), p.number("Radius")), ellipse(inner, inner));
      }
      case "IfcEllipseProfileDef" -> List.of(ellipse(p.number("SemiAxis1"), p.number("SemiAxis2")));
      case "IfcTrapeziumProfileDef" -> List.of(trapezium(p));
      case "IfcIShapeProfileDef" -> List.of(iShape(p));
      case "IfcAsymmetricIShapeProfileDef" -> List.of(asymmetricI(p));
      case "IfcLShapeProfileDef" -> List.of(lShape(p));
      case "IfcTShapeProfileDef" -> List.of(tShape(p));
      case "IfcUShapeProfileDef" -> List.of(uShape(p));
      case "IfcCShapeProfileDef" -> List.of(cShape(p));
      case "IfcZShapeProfileDef" -> List.of(zShape(p));
      default -> throw Unread.kind(p);
    };
  }

  /** Rise per run of a face that slopes, 0 without a slope. */
  private double slope(Instance p, String attribute) {
    return Math.tan(p.number(attribute, 0) * curves.angle());
  }

  /** Corners in order, each with the radius by which it is rounded. */
  private final class Outline {
    private final List<double[]> corners = new ArrayList<>();

    Outline corner(double x, double y, double radius) {
      corners.add(new double[] {x, y, radius});
      return this;
    }

    Outline corner(double x, double y) {
      return corner(x, y, 0);
    }

    double[] loop() {
      List<double[]> out = new ArrayList<>();
      int n = corners.size();
      for (int i = 0; i < n; i++) {
        double[] c = corners.get(i);
        if (c[2] == 0) {
          out.add(c);
        } else {
          round(corners.get((i + n - 1) % n), c, corners.get((i + 1) % n), out);
        }
      }
      double[] xy = new double[2 * out.size()];
      for (int i = 0; i < out.size(); i++) {
        xy[2 * i] = out.get(i)[0];
        xy[2 * i + 1] = out.get(i)[1];
      }
      return xy;
    }

    /** The arc that touches both sides of a corner. */
    private void round(double[] before, double[] at, double[] after, List<double[]> out) {
      double ux = before[0] - at[0];
      double uy = before[1] - at[1];
      double vx = after[0] - at[0];
      double vy = after[1] - at[1];
      double u = Math.hypot(ux, uy);
      double v = Math.hypot(vx, vy);
      double half = Math.acos(Math.clamp((ux * vx + uy * vy) / (u * v), -1.0, 1.0)) / 2;
      double run = at[2] / Math.tan(half);
      double[] from = {at[0] + run * ux / u, at[1] + run * uy / u, 0};
      double[] to = {at[0] + run * vx / v, at[1] + run * vy / v, 0};
      double turn = (Math.PI - 2 * half) / 4;
      boolean left = ux * vy - uy * vx < 0;
      double finer = at[2] * (1 - Math.cos(Math.PI / 64));
      double[] arc =
          Chords.bulge(
              from,
              to,
              left ? Math.tan(turn) : -Math.tan(turn),
              Math.min(curves.tolerance(), finer));
      out.add(from);
      for (int i = 0; i < arc.length; i += 3) {
        out.add(new double[] {arc[i], arc[i + 1]});
      }
    }
  }

  private double[] rectangle(double x, double y, double radius) {
    return new Outline()
        .corner(-x / 2, -y / 2, radius)
        .corner(x / 2, -y / 2, radius)
        .corner(x / 2, y / 2, radius)
        .corner(-x / 2, y / 2, radius)
        .loop();
  }

  private double[] ellipse(double a, double b) {
    double[] xyz =
        curves.chords(
            new double[3], new double[] {a, 0, 0}, new double[] {0, b, 0}, 0, 2 * Math.PI);
    double[] xy = new double[xyz.length / 3 * 2 - 2];
    for (int i = 0; i < xy.length / 2; i++) {
      xy[2 * i] = xyz[3 * i];
      xy[2 * i + 1] = xyz[3 * i + 1];
    }
    return xy;
  }

  private double[] trapezium(Instance p) {
    double b = p.number("BottomXDim") / 2;
    double y = p.number("YDim") / 2;
    double left = -b + p.number("TopXOffset");
    return new Outline()
        .corner(-b, -y)
        .corner(b, -y)
        .corner(left + p.number("TopXDim"), y)
        .corner(left, y)
        .loop();
  }

  private double[] iShape(Instance p) {
    double x = p.number("OverallWidth") / 2;
    double y = p.number("OverallDepth") / 2;
    double w = p.number("WebThickness") / 2;
    double f = p.number("FlangeThickness");
    double r = p.number("FilletRadius", 0);
    double e = p.number("FlangeEdgeRadius", 0);
    Flange both = new Flange(x, f, e, r, slope(p, "FlangeSlope"));
    return i(both, both, y, w);
  }

  /**
   * A flange to both sides of a web.
   *
   * @param half of its width
   * @param thickness at the middle of each side
   * @param edge radius at the tip, {@code fillet} at the web
   * @param slope rise per run of its inner face
   */
  private record Flange(double half, double thickness, double edge, double fillet, double slope) {
    double thicknessAt(double x) {
      return thickness + slope * (half / 2 - x);
    }
  }

  private double[] asymmetricI(Instance p) {
    double thickness = p.number("BottomFlangeThickness", p.number("FlangeThickness"));
    Flange bottom =
        new Flange(
            p.number("BottomFlangeWidth", p.number("OverallWidth")) / 2,
            thickness,
            p.number("BottomFlangeEdgeRadius", 0),
            p.number("BottomFlangeFilletRadius", p.number("FilletRadius", 0)),
            slope(p, "BottomFlangeSlope"));
    Flange top =
        new Flange(
            p.number("TopFlangeWidth") / 2,
            p.number("TopFlangeThickness", thickness),
            p.number("TopFlangeEdgeRadius", 0),
            p.number("TopFlangeFilletRadius", 0),
            slope(p, "TopFlangeSlope"));
    return i(bottom, top, p.number("OverallDepth") / 2, p.number("WebThickness") / 2);
  }

  private double[] i(Flange b, Flange t, double y, double w) {
    return new Outline()
        .corner(-b.half, -y)
        .corner(b.half, -y)
        .corner(b.half, -y + b.thicknessAt(b.half), b.edge)
        .corner(w, -y + b.thicknessAt(w), b.fillet)
        .corner(w, y - t.thicknessAt(w), t.fillet)
        .corner(t.half, y - t.thicknessAt(t.half), t.edge)
        .corner(t.half, y)
        .corner(-t.half, y)
        .corner(-t.half, y - t.thicknessAt(t.half), t.edge)
        .corner(-w, y - t.thicknessAt(w), t.fillet)
        .corner(-w, -y + b.thicknessAt(w), b.fillet)
        .corner(-b.half, -y + b.thicknessAt(b.half), b.edge)
        .loop();
  }

  private double[] lShape(Instance p) {
    double y = p.number("Depth") / 2;
    double x = p.number("Width", p.number("Depth")) / 2;
    double t = p.number("Thickness");
    double e = p.number("EdgeRadius", 0);
    double s = slope(p, "LegSlope");
    // inner faces: v = -y + t - s u of the lying leg, u = -x + t - s v of the standing one
    double u = (-x + t - s * (-y + t)) / (1 - s * s);
    return new Outline()
        .corner(-x, -y)
        .corner(x, -y)
        .corner(x, -y + t - s * x, e)
        .corner(u, -y + t - s * u, p.number("FilletRadius", 0))
        .corner(-x + t - s * y, y, e)
        .corner(-x, y)
        .loop();
  }

  /** The web points down from the flange. */
  private double[] tShape(Instance p) {
    double y = p.number("Depth") / 2;
    double x = p.number("FlangeWidth") / 2;
    double w = p.number("WebThickness") / 2;
    double f = p.number("FlangeThickness");
    double r = p.number("FilletRadius", 0);
    double e = p.number("FlangeEdgeRadius", 0);
    double we = p.number("WebEdgeRadius", 0);
    Flange flange = new Flange(x, f, e, r, slope(p, "FlangeSlope"));
    double s = flange.slope;
    double web = slope(p, "WebSlope"); // faces of the web: u = w + web v
    double u = (w + web * (y - f - s * x / 2)) / (1 - web * s);
    double foot = w - web * y;
    return new Outline()
        .corner(-foot, -y, we)
        .corner(foot, -y, we)
        .corner(u, y - flange.thicknessAt(u), r)
        .corner(x, y - flange.thicknessAt(x), e)
        .corner(x, y)
        .corner(-x, y)
        .corner(-x, y - flange.thicknessAt(x), e)
        .corner(-u, y - flange.thicknessAt(u), r)
        .loop();
  }

  /** Open to the right. */
  private double[] uShape(Instance p) {
    double y = p.number("Depth") / 2;
    double x = p.number("FlangeWidth") / 2;
    double w = p.number("WebThickness");
    double f = p.number("FlangeThickness");
    double r = p.number("FilletRadius", 0);
    double e = p.number("EdgeRadius", 0);
    double s = slope(p, "FlangeSlope");
    double tip = f - s * x;
    double root = f + s * (x - w);
    return new Outline()
        .corner(-x, -y)
        .corner(x, -y)
        .corner(x, -y + tip, e)
        .corner(-x + w, -y + root, r)
        .corner(-x + w, y - root, r)
        .corner(x, y - tip, e)
        .corner(x, y)
        .corner(-x, y)
        .loop();
  }

  /** Open to the right, with lips. */
  private double[] cShape(Instance p) {
    double y = p.number("Depth") / 2;
    double x = p.number("Width") / 2;
    double t = p.number("WallThickness");
    double g = p.number("Girth");
    double inner = p.number("InternalFilletRadius", 0);
    double outer = inner == 0 ? 0 : inner + t;
    return new Outline()
        .corner(-x, -y, outer)
        .corner(x, -y, outer)
        .corner(x, -y + g)
        .corner(x - t, -y + g)
        .corner(x - t, -y + t, inner)
        .corner(-x + t, -y + t, inner)
        .corner(-x + t, y - t, inner)
        .corner(x - t, y - t, inner)
        .corner(x - t, y - g)
        .corner(x, y - g)
        .corner(x, y, outer)
        .corner(-x, y, outer)
        .loop();
  }

  /** The lower flange to the right, the upper one to the left, about the middle of the web. */
  private double[] zShape(Instance p) {
    double y = p.number("Depth") / 2;
    double w = p.number("WebThickness") / 2;
    double x = p.number("FlangeWidth") - w;
    double f = p.number("FlangeThickness");
    double r = p.number("FilletRadius", 0);
    double e = p.number("EdgeRadius", 0);
    return new Outline()
        .corner(-w, -y)
        .corner(x, -y)
        .corner(x, -y + f, e)
        .corner(w, -y + f, r)
        .corner(w, y)
        .corner(-x, y)
        .corner(-x, y - f, e)
        .corner(-w, y - f, r)
        .loop();
  }
}
