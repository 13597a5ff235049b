package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import wellspan.core.align.Chainages;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/**
 * Reads what the referents of an alignment say of its chainages. What stands first along it tells
 * where they begin; the others must agree with it.
 *
 * @param distance of a referent from the alignment's start, metres; empty if it does not say
 */
record StationReader(
    PropertyReader properties,
    Function<Instance, OptionalDouble> distance,
    List<Finding> findings) {
  /** A referent that lies nearer to the start stands at it, metres. */
  private static final double AT_START = 1e-6;

  /**
   * What a referent says.
   *
   * @param along distance from the start, metres
   * @param back the label that ends there, if another one begins
   * @param increasing whether labels grow behind it; empty if it does not say
   */
  private record Mark(
      double along, double station, OptionalDouble back, Optional<Boolean> increasing) {
    boolean isStart() {
      return back.isEmpty() && Math.abs(along) <= AT_START;
    }

    /** The label at the start of the alignment, as this one has it. */
    double start() {
      return back.orElse(station) - along;
    }

    Chainages.Equation equation() {
      return new Chainages.Equation(along, back.orElse(station), station, increasing.orElse(true));
    }
  }

  Chainages read(List<Instance> referents, String name) {
    List<Mark> marks = new ArrayList<>();
    List<Instance> mute = new ArrayList<>();
    List<Instance> astray = new ArrayList<>();
    for (Instance r : referents) {
      Map<String, PropertyValue> said = said(r);
      OptionalDouble along = distance.apply(r);
      if (!(said.get("Station") instanceof PropertyValue.Length(double station))) {
        if (r.literal("PredefinedType").equals("STATION")) {
          mute.add(r);
        }
      } else if (along.isEmpty()) {
        astray.add(r);
      } else {
        marks.add(mark(along.getAsDouble(), station, said));
      }
    }
    leftOut(mute, name, "does not say the chainage that it marks (Pset_Stationing.Station)");
    leftOut(astray, name, "says a chainage, but not where along the line that is");
    marks.sort(Comparator.comparingDouble(Mark::along));
    Optional<Mark> first = marks.stream().filter(Mark::isStart).findFirst();
    double start =
        first.map(Mark::station).orElseGet(() -> marks.isEmpty() ? 0 : marks.getFirst().start());
    List<Chainages.Equation> equations = new ArrayList<>();
    first.filter(m -> !m.increasing().orElse(true)).map(Mark::equation).ifPresent(equations::add);
    marks.stream().filter(m -> m.back().isPresent()).map(Mark::equation).forEach(equations::add);
    Chainages out = new Chainages(start, equations);
    marks.stream().filter(m -> m.back().isEmpty()).forEach(m -> compare(m, out, name));
    return out;
  }

  private Map<String, PropertyValue> said(Instance referent) {
    return properties.of(referent).stream()
        .filter(s -> s.name().equals("Pset_Stationing"))
        .findFirst()
        .map(PropertySet::values)
        .orElse(Map.of());
  }

  private static Mark mark(double along, double station, Map<String, PropertyValue> said) {
    return new Mark(
        along,
        station,
        said.get("IncomingStation") instanceof PropertyValue.Length(double back)
            ? OptionalDouble.of(back)
            : OptionalDouble.empty(),
        said.get("HasIncreasingStation") instanceof PropertyValue.Flag(boolean up)
            ? Optional.of(up)
            : Optional.empty());
  }

  private void leftOut(List<Instance> referents, String name, String why) {
    if (!referents.isEmpty()) {
      Instance first = referents.getFirst();
      findings.add(
          Finding.error(
                  RECEIVE,
                  "alignment.station",
                  name,
                  String.format(
                      Locale.ROOT,
                      "%s: the referent %s (#%d)%s %s; it does not count. Ask the sender for it.",
                      name,
                      IfcReader.nameOf(first),
                      first.id(),
                      referents.size() > 1 ? " and " + (referents.size() - 1) + " more" : "",
                      why))
              .withFigure(Figure.count(referents.size())));
    }
  }

  private void compare(Mark m, Chainages chainages, String name) {
    double off = Math.abs(chainages.at(m.along()) - m.station());
    if (off > AlignmentJumps.JUMP) {
      findings.add(
          Finding.error(
              RECEIVE,
              "alignment.station",
              name,
              String.format(
                  Locale.ROOT,
                  "%s: the referent at %.3f m says the chainage %s, which is %.3f m from what its start gives.",
                  name,
                  m.along(),
                  Chainages.format(m.station()),
                  off)));
    }
  }
}
