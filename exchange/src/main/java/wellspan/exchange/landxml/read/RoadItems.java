package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.road.CrossSection;
import wellspan.core.road.DesignArea;
import wellspan.core.road.RoadItem;
import wellspan.core.road.RoadPart;
import wellspan.core.road.RoadParts;
import wellspan.core.road.SectionPoint;
import wellspan.exchange.file.UniqueNames;

/** Makes courses, kerbs and slopes of the cross sections of an alignment, in metres. */
final class RoadItems {
  /** A slope above this is a percentage: no crossfall is that steep. */
  private static final double PERCENT = 1.5;

  private final double metres;
  private final double up;
  private final UniqueNames names;
  private final List<Finding> findings;
  private final AngleUnit angles;
  private final Set<String> slopesTold = new HashSet<>();

  /**
   * @param metres in the file's unit
   * @param up metres in the file's unit of levels
   * @param angles the file's unit of angles
   */
  RoadItems(double metres, double up, AngleUnit angles, UniqueNames names, List<Finding> findings) {
    this.metres = metres;
    this.up = up;
    this.angles = angles;
    this.names = names;
    this.findings = findings;
  }

  List<Item> of(String road, Alignment axis, AlignmentSection.Raw raw) {
    for (String part : raw.leftOut()) {
      findings.add(
          Finding.error(RECEIVE, "landxml.left-out", road, road + ": left out is " + part));
    }
    List<Item> out = new ArrayList<>();
    if (raw.sections().isEmpty()) {
      return out;
    }
    double[] distances = distances(road, axis, raw);
    List<CrossSection> sections = new ArrayList<>();
    boolean skewed = false;
    for (int i = 0; i < distances.length; i++) {
      CrossSectSection.Raw s = raw.sections().get(i);
      List<DesignArea> areas = new ArrayList<>();
      for (CrossSectSection.RawDesign d : s.designs()) {
        areas.add(area(road, axis, distances[i], s, d));
      }
      skewed |= s.skew() != 0;
      sections.add(new CrossSection(distances[i], skew(s), areas));
    }
    if (raw.sections().stream().anyMatch(s -> angles.isBeyond(s.skew(), Math.PI / 2))) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "section.skew.unit",
              road,
              road
                  + ": an angleSkew is more than a quarter turn in radians, which the file counts in for want of an angularUnit; degrees are taken."));
    }
    if (skewed) {
      findings.add(
          Finding.note(
              RECEIVE,
              "section.skew",
              road,
              road
                  + " has cross sections at an angle; angleSkew is taken clockwise from the square to the alignment."));
    }
    for (RoadPart p : RoadParts.of(axis, sections, findings)) {
      String name = names.of(p.kind(), p.name());
      RoadItem.of(road, axis, p, name, RECEIVE, findings).ifPresent(out::add);
    }
    grounds(axis, raw, distances, out);
    return out;
  }

  /** How far a section is turned clockwise from the square to the alignment, radians. */
  private double skew(CrossSectSection.Raw s) {
    return angles.isBeyond(s.skew(), Math.PI / 2)
        ? Math.toRadians(s.skew())
        : angles.radians(s.skew());
  }

  /** Chainages of sections count along the line, unless the labels fit more of them. */
  private double[] distances(String road, Alignment axis, AlignmentSection.Raw raw) {
    int n = raw.sections().size();
    double length = axis.length();
    double[] along = new double[n];
    double[] labelled = new double[n];
    int alongFit = 0;
    int labelsFit = 0;
    for (int i = 0; i < n; i++) {
      double station = raw.sections().get(i).station();
      along[i] = (station - raw.start()) * metres;
      alongFit += along[i] > -1e-3 && along[i] < length + 1e-3 ? 1 : 0;
      List<Double> at = axis.chainages().distances(station * metres, length);
      labelsFit += at.isEmpty() ? 0 : 1;
      labelled[i] = at.isEmpty() ? along[i] : at.getFirst();
    }
    if (alongFit >= labelsFit || axis.chainages().equations().isEmpty()) {
      return along;
    }
    findings.add(
        Finding.note(
            RECEIVE,
            "section.chainages",
            road,
            road
                + ": the chainages of its cross sections are taken as displayed ones, since as distances along the line more of them would lie beyond its end."));
    return labelled;
  }

  private DesignArea area(
      String road,
      Alignment axis,
      double distance,
      CrossSectSection.Raw s,
      CrossSectSection.RawDesign d) {
    List<SectionPoint> points = new ArrayList<>();
    double offset = 0;
    double level = axis.profile().map(p -> p.levelAt(distance)).orElse(Double.NaN);
    boolean slopes = false;
    double side = countsToTheLeft(d) ? -1 : 1;
    for (CrossSectSection.RawPoint p : d.points()) {
      if (p.slope()) {
        double slope = Math.abs(p.numbers()[0]) > PERCENT ? p.numbers()[0] / 100 : p.numbers()[0];
        double along = side * p.numbers()[1] * metres;
        offset += along;
        level += slope * Math.abs(along);
        slopes = true;
      } else {
        offset = p.numbers()[0] * metres;
        level = p.numbers()[1] * up;
      }
      points.add(new SectionPoint(offset, level, p.code()));
    }
    if (slopes) {
      bySlopes(road, axis, s, d);
    }
    double thickness = Double.isNaN(d.thickness()) ? 0 : d.thickness() * metres;
    return new DesignArea(
        d.name(),
        d.side(),
        d.material(),
        d.description(),
        form(d, points, thickness),
        thickness,
        points,
        d.sets());
  }

  /** A distance has no sign of its own: that of a surface on the left runs to the left. */
  private static boolean countsToTheLeft(CrossSectSection.RawDesign d) {
    return d.side().equalsIgnoreCase("left")
        && d.points().stream().allMatch(p -> p.slope() && p.numbers()[1] >= 0);
  }

  /** Says once for each surface how its slopes and distances are taken. */
  private void bySlopes(
      String road, Alignment axis, CrossSectSection.Raw s, CrossSectSection.RawDesign d) {
    if (!slopesTold.add(road + "\n" + d.name() + "\n" + d.side())) {
      return;
    }
    findings.add(
        Finding.note(
            RECEIVE,
            "section.slopes",
            road,
            road
                + ", line "
                + s.line()
                + ": points of "
                + d.name()
                + " are given by slope and distance; they are taken as horizontal distances from the axis on"
                + (countsToTheLeft(d) ? ", to the left" : "")
                + ", slopes above 1.5 as per cent."
                + (axis.profile().isEmpty()
                    ? " The alignment has no profile whose level they could start from."
                    : "")));
  }

  private static DesignArea.Form form(
      CrossSectSection.RawDesign d, List<SectionPoint> points, double thickness) {
    String said = d.closed().toLowerCase(Locale.ROOT);
    if (said.equals("true") || said.equals("1")) {
      return DesignArea.Form.AREA;
    }
    if (said.isEmpty() && comesBack(points)) {
      return DesignArea.Form.AREA;
    }
    return thickness > 0 ? DesignArea.Form.TOP : DesignArea.Form.LINE;
  }

  /** Whether points run to one side and back again, as an outline does and a surface does not. */
  private static boolean comesBack(List<SectionPoint> points) {
    boolean right = false;
    boolean left = false;
    for (int i = 0; i + 1 < points.size(); i++) {
      double step = points.get(i + 1).offset() - points.get(i).offset();
      right |= step > 1e-6;
      left |= step < -1e-6;
    }
    return right && left;
  }

  /** Ground sections as lines across the alignment, one item for each surface. */
  private void grounds(
      Alignment axis, AlignmentSection.Raw raw, double[] distances, List<Item> out) {
    Map<String, List<Polyline>> lines = new LinkedHashMap<>();
    int shortOnes = 0;
    for (int i = 0; i < distances.length; i++) {
      CrossSectSection.Raw s = raw.sections().get(i);
      if (distances[i] < -1e-3 || distances[i] > axis.length() + 1e-3) {
        continue; // named with the section
      }
      AlignmentPoint p = axis.at(distances[i]);
      double right = p.direction() - Math.PI / 2 - skew(s);
      for (GroundStretches g : s.grounds()) {
        for (double[] pairs : g.stretches()) {
          if (pairs.length < 6) {
            shortOnes++;
            continue;
          }
          double[] xyz = new double[pairs.length];
          for (int k = 0; k < pairs.length; k += 3) { // the list is read northing first
            double offset = pairs[k + 1] * metres;
            xyz[k] = p.east() + offset * Math.cos(right);
            xyz[k + 1] = p.north() + offset * Math.sin(right);
            xyz[k + 2] = pairs[k] * up;
          }
          lines.computeIfAbsent(g.name(), n -> new ArrayList<>()).add(new Polyline(xyz));
        }
      }
    }
    if (shortOnes > 0) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "line.short",
                  raw.name(),
                  raw.name()
                      + ": "
                      + shortOnes
                      + " ground sections have fewer than two points and were left out.")
              .withFigure(Figure.count(shortOnes, "lines")));
    }
    lines.forEach((name, l) -> out.add(Item.string(names.of("string", name), l).on(raw.name())));
  }
}
