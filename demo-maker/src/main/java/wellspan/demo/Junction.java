package wellspan.demo;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;

/**
 * Where Yard Link leaves Quay Road, and where Quay Road ends on the quay: edges in space as the
 * design office draws them. Edges run so that the kerb lies on their right.
 */
final class Junction {
  /** Where Yard Link leaves, from the start of Quay Road, metres. */
  static final double AT = 812;

  /** Distance along Yard Link at which its own sections begin, metres. */
  static final double LINK_FROM = 12;

  /** From the middle of Yard Link to where the returns leave Quay Road's edge, metres. */
  private static final double HALF = 11;

  private static final double HEAD_RADIUS = 10;
  private static final int STEPS = 12;

  private Junction() {}

  /** A line by its name; easting, northing and level of each point. */
  record Edge(String name, List<double[]> points) {}

  static List<Edge> edges(Alignment quay, Alignment link) {
    double[] left = point(link, LINK_FROM, -RoadSections.LINK);
    double[] right = point(link, LINK_FROM, RoadSections.LINK);
    List<double[]> before = curve(left, corner(quay, link, -1), edge(quay, AT - HALF));
    List<double[]> behind = curve(edge(quay, AT + HALF), corner(quay, link, 1), right);
    List<double[]> area = new ArrayList<>(before.reversed());
    area.add(point(link, LINK_FROM, 0));
    area.addAll(behind.reversed());
    for (double d = AT + HALF - 2; d > AT - HALF; d -= 2) {
      area.add(edge(quay, d));
    }
    area.add(area.getFirst());
    List<double[]> head = head(quay);
    List<double[]> round = new ArrayList<>(head);
    round.add(point(quay, quay.length(), 0));
    round.add(round.getFirst());
    return List.of(
        new Edge("Junction return west", before),
        new Edge("Junction return east", behind),
        new Edge("Junction area", area),
        new Edge("Turning head edge", head),
        new Edge("Turning head area", round));
  }

  /** On the paved surface: it falls from the middle to both sides. */
  private static double[] point(Alignment a, double distance, double offset) {
    AlignmentPoint p = a.at(distance);
    return new double[] {
      p.east() + offset * Math.sin(p.direction()),
      p.north() - offset * Math.cos(p.direction()),
      p.level() - RoadSections.CROSSFALL * Math.abs(offset)
    };
  }

  /** The left edge of Quay Road. */
  private static double[] edge(Alignment quay, double distance) {
    return point(quay, distance, -RoadSections.width(distance));
  }

  /** Where the edges of both roads would meet. */
  private static double[] corner(Alignment quay, Alignment link, int side) {
    return point(link, RoadSections.width(AT), side * RoadSections.LINK);
  }

  /** From one edge to the other, tangent to both, levels even. */
  private static List<double[]> curve(double[] from, double[] over, double[] to) {
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      double t = (double) i / STEPS;
      double u = 1 - t;
      out.add(
          new double[] {
            u * u * from[0] + 2 * u * t * over[0] + t * t * to[0],
            u * u * from[1] + 2 * u * t * over[1] + t * t * to[1],
            from[2] + t * (to[2] - from[2])
          });
    }
    return out;
  }

  /** A circle from the right edge around to the left one, as high as these. */
  private static List<double[]> head(Alignment quay) {
    double w = RoadSections.width(quay.length());
    AlignmentPoint end = quay.at(quay.length());
    double ahead = Math.sqrt(HEAD_RADIUS * HEAD_RADIUS - w * w);
    double c = Math.cos(end.direction());
    double s = Math.sin(end.direction());
    double level = point(quay, quay.length(), w)[2];
    double open = Math.atan2(w, ahead);
    List<double[]> out = new ArrayList<>();
    int steps = 3 * STEPS;
    for (int i = 0; i <= steps; i++) {
      double turn = -Math.PI + open + (2 * Math.PI - 2 * open) * i / steps;
      double x = ahead + HEAD_RADIUS * Math.cos(turn);
      double y = HEAD_RADIUS * Math.sin(turn);
      out.add(new double[] {end.east() + x * c - y * s, end.north() + x * s + y * c, level});
    }
    return out;
  }
}
