package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Cant;
import wellspan.core.align.Chainages;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/**
 * Reads the cant layout of an alignment. It becomes a set of the alignment's properties; where the
 * file has such a set besides, both must say the same.
 */
final class CantReader {
  private static final double SAME = 1e-6;

  private final double length;
  private final double along;
  private final List<Finding> findings;

  /**
   * @param length metres in the file's unit
   * @param along metres along the shared alignment in the file's unit
   */
  CantReader(double length, double along, List<Finding> findings) {
    this.length = length;
    this.along = along;
    this.findings = findings;
  }

  /**
   * The sets of an alignment with what its cant layout says.
   *
   * @param layout of the cant
   * @param segments of the layout
   * @param said sets that the file gives it
   */
  List<PropertySet> sets(
      String name,
      Instance layout,
      List<Instance> segments,
      List<PropertySet> said,
      Chainages chainages) {
    Optional<Cant> read = cant(name, layout, segments);
    if (read.isEmpty()) {
      return said;
    }
    Optional<Cant> other = Cant.of(said, chainages);
    if (other.isEmpty()) {
      List<PropertySet> out = new ArrayList<>(said);
      out.add(read.get().set());
      return out;
    }
    double off = difference(read.get(), other.get());
    if (!(off <= SAME)) {
      findings.add(
          Finding.error(
                  RECEIVE,
                  "alignment.cant",
                  name,
                  String.format(
                      Locale.ROOT,
                      "%s: its cant layout and its set %s differ by up to %.4f mm.",
                      name,
                      Cant.SET,
                      1000 * off))
              .withFigure(Figure.of(1000 * off, 4, "mm")));
    }
    return said;
  }

  private static double difference(Cant a, Cant b) {
    if (a.stations().size() != b.stations().size()) {
      return Double.POSITIVE_INFINITY;
    }
    double off = Math.abs(a.railHeadDistance() - b.railHeadDistance());
    for (int i = 0; i < a.stations().size(); i++) {
      Cant.Station p = a.stations().get(i);
      Cant.Station q = b.stations().get(i);
      off = Math.max(off, Math.abs(p.distance() - q.distance()));
      off = Math.max(off, Math.abs(p.left() - q.left()));
      off = Math.max(off, Math.abs(p.right() - q.right()));
    }
    return off;
  }

  private Optional<Cant> cant(String name, Instance layout, List<Instance> segments) {
    List<Cant.Station> stations = new ArrayList<>();
    double end = Double.NaN;
    double endLeft = 0;
    double endRight = 0;
    for (Instance s : segments) {
      double run = s.number("HorizontalLength", 0);
      if (run == 0) {
        continue; // the closing segment
      }
      double from = s.number("StartDistAlong") * along;
      double left = s.number("StartCantLeft") * length;
      double right = s.number("StartCantRight") * length;
      if (Double.isFinite(end)
          && Math.max(
                  Math.abs(from - end),
                  Math.max(Math.abs(left - endLeft), Math.abs(right - endRight)))
              > 1e-3) {
        findings.add(
            Finding.warning(
                RECEIVE,
                "alignment.cant.jump",
                name,
                String.format(
                    Locale.ROOT,
                    "%s: its cant jumps at %.3f m along the line; what follows counts.",
                    name,
                    from)));
      }
      stations.add(new Cant.Station(from, left, right, law(s.literal("PredefinedType"))));
      end = from + run * along;
      endLeft = s.number("EndCantLeft", s.number("StartCantLeft")) * length;
      endRight = s.number("EndCantRight", s.number("StartCantRight")) * length;
    }
    double rails = layout.number("RailHeadDistance", 0) * length;
    if (stations.isEmpty() || !(rails > 0)) {
      return Optional.empty();
    }
    stations.add(new Cant.Station(end, endLeft, endRight, Cant.Law.CONSTANT));
    return Optional.of(new Cant(rails, stations));
  }

  private static Cant.Law law(String type) {
    return switch (type) {
      case "CONSTANTCANT" -> Cant.Law.CONSTANT;
      case "BLOSSCURVE" -> Cant.Law.BLOSS;
      case "COSINECURVE" -> Cant.Law.COSINE;
      case "SINECURVE" -> Cant.Law.SINE;
      case "HELMERTCURVE" -> Cant.Law.BIQUADRATIC;
      case "VIENNESEBEND" -> Cant.Law.VIENNESE;
      default -> Cant.Law.LINEAR; // the schema has no other one
    };
  }
}
