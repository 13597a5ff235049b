package wellspan.core.network;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.locationtech.jts.algorithm.CGAlgorithms3D;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;

/** What is wrong with a network that can be built: pipes that rise, come too near, run in loops. */
final class NetworkChecks {
  private static final double FLATTEST = 0.003;
  private static final double STEEPEST = 0.10;
  private static final double LEAST_COVER = 0.8;
  private static final double ROUNDING = 1e-3;

  private final Network network;
  private final Map<String, Chamber> chambers;
  private final List<LaidPipe> pipes;
  private final Map<String, List<LaidPipe>> into;
  private final Map<String, List<LaidPipe>> outOf;
  private final List<Finding> findings;

  private NetworkChecks(
      Network network,
      Map<String, Chamber> chambers,
      List<LaidPipe> pipes,
      List<Finding> findings) {
    this.network = network;
    this.chambers = chambers;
    this.pipes = pipes;
    this.findings = findings;
    into = pipes.stream().collect(Collectors.groupingBy(p -> p.end().name()));
    outOf = pipes.stream().collect(Collectors.groupingBy(p -> p.start().name()));
  }

  static void check(
      Network n, Map<String, Chamber> chambers, List<LaidPipe> pipes, List<Finding> findings) {
    NetworkChecks c = new NetworkChecks(n, chambers, pipes, findings);
    c.names();
    c.pipes.forEach(c::slope);
    c.pipes.forEach(c::cover);
    c.chambers.values().forEach(c::levels);
    c.shrinking();
    if (n.type().equals("storm") || n.type().equals("sanitary")) {
      c.loops();
    }
    c.clearances();
  }

  private void warn(String code, String item, Position at, Figure figure, String sentence) {
    findings.add(Finding.warning(RECEIVE, code, item, sentence).at(at).withFigure(figure));
  }

  private void names() {
    Set<String> seen = new HashSet<>();
    List<String> all = new ArrayList<>();
    network.chambers().forEach(c -> all.add(c.name()));
    network.pipes().forEach(p -> all.add("\u0000" + p.name()));
    for (String name : all) {
      if (!seen.add(name)) {
        String shown = name.replace("\u0000", "");
        findings.add(
            Finding.warning(
                RECEIVE,
                "network.name",
                shown,
                network.name()
                    + " has several "
                    + (name.startsWith("\u0000") ? "pipes" : "chambers")
                    + " named "
                    + shown
                    + "; what refers to that name means the first."));
      }
    }
  }

  private void slope(LaidPipe p) {
    double s = p.slope();
    Figure percent = Figure.of(100 * s, 2, "%");
    String name = p.pipe().name();
    if (s < 0) {
      warn(
          "network.rises",
          name,
          p.from(),
          percent,
          String.format(
              Locale.ROOT,
              "The pipe %s rises from %s to %s by %.3f m, against its flow.",
              name,
              p.pipe().start(),
              p.pipe().end(),
              p.to().level() - p.from().level()));
    } else if (!network.type().equals("water") && (s < FLATTEST || s > STEEPEST)) {
      warn(
          "network.slope",
          name,
          p.from(),
          percent,
          String.format(
              Locale.ROOT, "The pipe %s falls by %.2f %%; usual are 0.3 to 10 %%.", name, 100 * s));
    }
  }

  /** Chambers say where the ground is: their rims. */
  private void cover(LaidPipe p) {
    double top = p.pipe().section().height() + (p.pipe().wall() > 0 ? p.pipe().wall() : 0);
    double least = Double.POSITIVE_INFINITY;
    Position at = p.from();
    double[] rims = {p.start().rim(), p.end().rim()};
    Position[] ends = {p.from(), p.to()};
    for (int i = 0; i < 2; i++) {
      double cover = rims[i] - ends[i].level() - top;
      if (cover < least) {
        least = cover;
        at = ends[i];
      }
    }
    if (p.pipe().section().open() || least >= LEAST_COVER || !Double.isFinite(least)) {
      return;
    }
    warn(
        least < 0 ? "network.above" : "network.cover",
        p.pipe().name(),
        at,
        Figure.of(least, 2, "m"),
        String.format(
            Locale.ROOT,
            least < 0
                ? "The pipe %s comes %.2f m above the rim of its chamber."
                : "The pipe %s has %.2f m of cover below the rim of its chamber; usual are 0.8 m.",
            p.pipe().name(),
            Math.abs(least)));
  }

  private void levels(Chamber c) {
    for (Chamber.Invert i : c.inverts()) {
      if (i.level() < c.sump() - ROUNDING || i.level() > c.rim() + ROUNDING) {
        warn(
            "network.outside",
            c.name(),
            new Position(c.east(), c.north(), i.level()),
            Figure.of(i.level(), 3, "m"),
            String.format(
                Locale.ROOT,
                "The pipe %s meets the chamber %s at %.3f, %s.",
                i.pipe(),
                c.name(),
                i.level(),
                i.level() < c.sump() ? "below its floor" : "above its rim"));
      }
    }
    double lowestIn =
        into.getOrDefault(c.name(), List.of()).stream()
            .mapToDouble(p -> p.to().level())
            .min()
            .orElse(Double.POSITIVE_INFINITY);
    double highestOut =
        outOf.getOrDefault(c.name(), List.of()).stream()
            .mapToDouble(p -> p.from().level())
            .max()
            .orElse(Double.NEGATIVE_INFINITY);
    if (Double.isFinite(lowestIn) && highestOut > lowestIn + ROUNDING) {
      warn(
          "network.step",
          c.name(),
          new Position(c.east(), c.north(), highestOut),
          Figure.of(highestOut - lowestIn, 3, "m"),
          String.format(
              Locale.ROOT,
              "In the chamber %s water has to rise by %.3f m to leave.",
              c.name(),
              highestOut - lowestIn));
    }
  }

  private void shrinking() {
    for (LaidPipe in : pipes) {
      for (LaidPipe out : outOf.getOrDefault(in.end().name(), List.of())) {
        if (out.pipe().section().area() < in.pipe().section().area() * (1 - 1e-6)) {
          warn(
              "network.shrinks",
              out.pipe().name(),
              out.from(),
              Figure.of(out.pipe().section().height(), 3, "m"),
              "The pipe "
                  + out.pipe().name()
                  + " is smaller than "
                  + in.pipe().name()
                  + ", which flows into it.");
        }
      }
    }
  }

  private void loops() {
    Map<String, List<String>> next = new HashMap<>();
    for (LaidPipe p : pipes) {
      next.computeIfAbsent(p.start().name(), k -> new ArrayList<>()).add(p.end().name());
    }
    Set<String> done = new HashSet<>();
    for (String from : next.keySet()) {
      if (!done.contains(from)) {
        loop(from, next, done);
      }
    }
  }

  /** Follows the flow with an own stack: a network may be longer than the thread's. */
  private void loop(String from, Map<String, List<String>> next, Set<String> done) {
    List<String> path = new ArrayList<>();
    List<Integer> taken = new ArrayList<>();
    Set<String> on = new HashSet<>();
    path.add(from);
    taken.add(0);
    on.add(from);
    while (!path.isEmpty()) {
      String at = path.getLast();
      List<String> ways = next.getOrDefault(at, List.of());
      int i = taken.getLast();
      if (i == ways.size()) {
        done.add(at);
        on.remove(at);
        path.removeLast();
        taken.removeLast();
        continue;
      }
      taken.set(taken.size() - 1, i + 1);
      String to = ways.get(i);
      if (on.contains(to)) {
        Chamber c = chambers.get(to);
        Finding f =
            Finding.warning(
                RECEIVE,
                "network.loop",
                to,
                network.name() + " flows in a loop through " + to + ".");
        findings.add(c == null ? f : f.at(new Position(c.east(), c.north(), c.sump())));
      } else if (!done.contains(to)) {
        path.add(to);
        taken.add(0);
        on.add(to);
      }
    }
  }

  /**
   * Each pair once, in the order of the pipes; only pairs whose boxes meet in plan are measured.
   */
  private void clearances() {
    STRtree boxes = new STRtree();
    for (int i = 0; i < pipes.size(); i++) {
      boxes.insert(box(pipes.get(i)), i);
    }
    for (int i = 0; i < pipes.size(); i++) {
      int first = i;
      LaidPipe a = pipes.get(i);
      List<?> near = boxes.query(box(a));
      near.stream()
          .map(Integer.class::cast)
          .filter(j -> j > first)
          .sorted()
          .map(pipes::get)
          .filter(b -> !sharesChamber(a, b))
          .forEach(b -> clearance(a, b));
    }
  }

  /** Of the pipe with its wall, in plan. */
  private static Envelope box(LaidPipe p) {
    Envelope box = new Envelope(p.from().east(), p.to().east(), p.from().north(), p.to().north());
    box.expandBy(radius(p));
    return box;
  }

  private void clearance(LaidPipe a, LaidPipe b) {
    double d =
        CGAlgorithms3D.distanceSegmentSegment(axis(a, 0), axis(a, 1), axis(b, 0), axis(b, 1))
            - radius(a)
            - radius(b);
    if (d < 0) {
      warn(
          "network.near",
          a.pipe().name(),
          a.from(),
          Figure.of(-d, 3, "m"),
          String.format(
              Locale.ROOT,
              "The pipes %s and %s run into each other by %.3f m.",
              a.pipe().name(),
              b.pipe().name(),
              -d));
    }
  }

  private static boolean sharesChamber(LaidPipe a, LaidPipe b) {
    Set<String> ends = new HashSet<>(List.of(a.start().name(), a.end().name()));
    return ends.contains(b.start().name()) || ends.contains(b.end().name());
  }

  private static double radius(LaidPipe p) {
    return Math.min(p.pipe().section().height(), p.pipe().section().width()) / 2
        + (p.pipe().wall() > 0 ? p.pipe().wall() : 0);
  }

  private static Coordinate axis(LaidPipe p, int end) {
    Position at = end == 0 ? p.from() : p.to();
    return new Coordinate(at.east(), at.north(), at.level() + p.pipe().section().height() / 2);
  }
}
