package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;

/** Makes alignments, with profile and chainages, out of what was read. */
final class AlignmentAssembly {
  /** A gap of this much is no rounding any more: something is missing, metres. */
  private static final double JUMP = 0.1;

  private final double unit;
  private final double levels;
  private final PlanElements plan;
  private final List<Finding> findings;

  /**
   * @param unit metres in the file's unit
   * @param levels metres in the file's unit of levels
   */
  AlignmentAssembly(double unit, double levels, NamedPoints points, List<Finding> findings) {
    this.unit = unit;
    this.levels = levels;
    this.findings = findings;
    plan = new PlanElements(unit, points, findings);
  }

  /** The alignment, or nothing and an error finding. */
  Optional<Alignment> assemble(AlignmentSection.Raw raw) {
    try {
      List<PlanElement> elements = new ArrayList<>();
      for (AlignmentSection.RawElement e : raw.elements()) {
        plan.make(raw.name(), e).ifPresent(elements::add);
      }
      if (!raw.elements().isEmpty() && !raw.intersections().isEmpty()) {
        findings.add(
            Finding.note(
                RECEIVE,
                "alignment.twice",
                raw.name(),
                raw.name()
                    + " is given by its elements and by the points where its tangents meet; the elements are taken."));
      } else {
        elements.addAll(new TangentPolygon(unit, plan).elements(raw.name(), raw.intersections()));
      }
      if (elements.isEmpty()) {
        throw new PlanElements.Refused(
            raw.line(),
            "it has no elements, so nothing will arrive. Ask for the file with its plan geometry.");
      }
      Alignment line = new Alignment(raw.name(), elements, chainages(raw), Optional.empty());
      double gap = line.largestGap();
      if (gap > PlanElements.VISIBLE) {
        String said =
            String.format(
                Locale.ROOT, "%s: elements leave gaps of up to %.1f mm.", raw.name(), 1000 * gap);
        Severity severity = gap > JUMP ? Severity.ERROR : Severity.WARNING;
        findings.add(
            Finding.warning(RECEIVE, "alignment.gap", raw.name(), said)
                .withSeverity(severity)
                .withFigure(Figure.of(gap, 4, "m")));
      }
      Optional<Profile> profile = profile(raw);
      return Optional.of(
          new Alignment(
              raw.name(),
              elements,
              line.chainages(),
              profile.isPresent() ? profile : levelsOfPoints(raw)));
    } catch (PlanElements.Refused | IllegalArgumentException e) {
      findings.add(
          Finding.error(
              RECEIVE,
              "alignment.unread",
              raw.name(),
              "The alignment " + raw.name() + " is left out: " + e.getMessage()));
      return Optional.empty();
    }
  }

  /** The levels of a line that is given by points in space only, as a profile of grades. */
  private Optional<Profile> levelsOfPoints(AlignmentSection.Raw raw) throws PlanElements.Refused {
    List<Pvi> out = new ArrayList<>();
    double reached = 0;
    double[] last = null;
    for (AlignmentSection.RawElement e : raw.elements()) {
      if (!e.kind().equals("IrregularLine") && !e.kind().equals("Chain")) {
        return Optional.empty();
      }
      double[] xyz = plan.points(e);
      for (int i = 0; i < xyz.length; i += 3) {
        if (Double.isNaN(xyz[i + 2])) {
          return Optional.empty();
        }
        double step = last == null ? 0 : Math.hypot(xyz[i] - last[0], xyz[i + 1] - last[1]);
        reached += step;
        if (last == null || step > 0) {
          out.add(new Pvi(reached, xyz[i + 2] * levels, new Pvi.Rounding.None()));
        }
        last = new double[] {xyz[i], xyz[i + 1]};
      }
    }
    return out.size() < 2
        ? Optional.empty()
        : Optional.of(Profile.through(raw.name() + " levels", out));
  }

  private Chainages chainages(AlignmentSection.Raw raw) {
    List<Chainages.Equation> out = new ArrayList<>();
    double start = raw.start() * unit;
    for (AlignmentSection.RawEquation q : raw.equations()) {
      double label = q.back() * unit;
      double distance =
          Double.isNaN(q.internal())
              ? out.isEmpty()
                  ? label - start
                  : out.getLast().distance() + label - out.getLast().ahead()
              : q.internal() * unit - start;
      double back = Double.isNaN(q.back()) ? new Chainages(start, out).at(distance) : label;
      out.add(new Chainages.Equation(distance, back, q.ahead() * unit, q.increasing()));
    }
    out.sort(java.util.Comparator.comparingDouble(Chainages.Equation::distance));
    return new Chainages(start, out);
  }

  private Optional<Profile> profile(AlignmentSection.Raw raw) {
    List<AlignmentSection.RawProfile> all =
        raw.profiles().stream().filter(p -> !p.points().isEmpty()).toList();
    if (all.isEmpty()) {
      return Optional.empty();
    }
    if (all.size() > 1) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "alignment.profiles",
              raw.name(),
              raw.name()
                  + " has "
                  + all.size()
                  + " design profiles; "
                  + all.getFirst().name()
                  + " is taken, the others are left out."));
    }
    List<Pvi> points = new ArrayList<>();
    for (AlignmentSection.RawPvi p : all.getFirst().points()) {
      Pvi.Rounding rounding =
          switch (p.kind()) {
            case "ParaCurve" ->
                new Pvi.Rounding.Parabola(p.length() * unit / 2, p.length() * unit / 2);
            case "UnsymParaCurve" ->
                new Pvi.Rounding.Parabola(p.lengthIn() * unit, p.lengthOut() * unit);
            case "CircCurve" -> new Pvi.Rounding.Circle(Math.abs(p.radius()) * unit);
            default -> new Pvi.Rounding.None();
          };
      points.add(new Pvi((p.station() - raw.start()) * unit, p.level() * levels, rounding));
    }
    try {
      return Optional.of(Profile.through(all.getFirst().name(), points));
    } catch (IllegalArgumentException e) {
      findings.add(
          Finding.error(
              RECEIVE,
              "profile.unread",
              raw.name(),
              "The profile of "
                  + raw.name()
                  + " is left out: "
                  + e.getMessage()
                  + ". Ask for a corrected file."));
      return Optional.empty();
    }
  }
}
