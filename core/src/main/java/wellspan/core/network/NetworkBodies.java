package wellspan.core.network;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;

/**
 * Makes bodies of the pipes and chambers of networks. Pipes run straight between the centres of
 * their chambers at the levels of the inverts that name them, and end at the outer face of the
 * chamber's wall. What is not given and has to be assumed is said.
 */
public final class NetworkBodies {
  private static final double COVER = 0.10;
  private static final double BELOW_LOWEST_PIPE = 0.10;
  private static final double ASSUMED_NODE = 0.60;

  private final List<Finding> findings;
  private final List<NetworkBody> out = new ArrayList<>();
  private final Map<String, Chamber> anywhere = new HashMap<>();
  private final Map<Chamber, List<Connection.Port>> ports = new HashMap<>();
  private final List<String> assumedWalls = new ArrayList<>();
  private final List<String> assumedSizes = new ArrayList<>();
  private final List<String> assumedSumps = new ArrayList<>();

  private NetworkBodies(List<Finding> findings) {
    this.findings = findings;
  }

  /**
   * @param networks of one file; pipes may end at chambers of another one
   * @param findings takes what is wrong or assumed
   */
  public static List<NetworkBody> of(List<Network> networks, List<Finding> findings) {
    return new NetworkBodies(findings).bodies(networks);
  }

  private List<NetworkBody> bodies(List<Network> networks) {
    for (Network n : networks) {
      n.chambers().forEach(c -> anywhere.putIfAbsent(c.name(), c));
    }
    Map<Network, List<LaidPipe>> all = new LinkedHashMap<>();
    Map<Network, Map<String, Chamber>> chambers = new LinkedHashMap<>();
    for (Network n : networks) {
      Map<String, Chamber> own = new LinkedHashMap<>();
      n.chambers().forEach(c -> own.putIfAbsent(c.name(), c));
      List<LaidPipe> laid = new ArrayList<>();
      for (Pipe p : n.pipes()) {
        lay(n, own, p).ifPresent(laid::add);
      }
      all.put(n, laid);
      chambers.put(n, own);
      for (LaidPipe p : laid) {
        port(p.start(), new Connection.Port(link(n, p, "start"), p.from(), Connection.Flow.OUT));
        port(p.end(), new Connection.Port(link(n, p, "end"), p.to(), Connection.Flow.IN));
      }
    }
    for (Network n : networks) {
      n.chambers().forEach(c -> chamber(n, c));
      List<LaidPipe> laid = all.get(n);
      Map<String, Chamber> own = chambers.get(n);
      for (LaidPipe p : laid) {
        pipe(n, p);
      }
      NetworkChecks.check(n, own, laid, findings);
    }
    assumed("network.wall", assumedWalls, "no wall thickness; one by the size is assumed");
    assumed(
        "network.size", assumedSizes, "no measures in the file; a round shaft of 0.6 m is shown");
    assumed(
        "network.sump",
        assumedSumps,
        "no level of the floor; 0.1 m below the lowest pipe is taken");
    return out;
  }

  private static String link(Network n, LaidPipe p, String end) {
    return n.name() + "/" + p.pipe().name() + "/" + end;
  }

  private void port(Chamber c, Connection.Port p) {
    ports.computeIfAbsent(c, k -> new ArrayList<>()).add(p);
  }

  private void assumed(String code, List<String> names, String what) {
    if (!names.isEmpty()) {
      String said =
          names.size() == 1
              ? names.getFirst() + " has "
              : names.size()
                  + " parts of networks, the first of them "
                  + names.getFirst()
                  + ", have ";
      findings.add(
          Finding.note(RECEIVE, code, "", said + what + ".")
              .withFigure(Figure.count(names.size())));
    }
  }

  private void error(String code, String item, String sentence) {
    findings.add(Finding.error(RECEIVE, code, item, sentence));
  }

  private void chamber(Network n, Chamber c) {
    if (c.form() instanceof Chamber.Form.None) {
      return; // pipes meet, nothing is built
    }
    if (!Double.isFinite(c.east()) || !Double.isFinite(c.north())) {
      error(
          "network.place",
          c.name(),
          "The chamber " + c.name() + " of " + n.name() + " has no place and is left out.");
      return;
    }
    boolean node =
        c.form() instanceof Chamber.Form.Inlet || c.form() instanceof Chamber.Form.Outlet;
    Chamber.Form form = node ? new Chamber.Form.Round(ASSUMED_NODE) : c.form();
    double size =
        form instanceof Chamber.Form.Round r
            ? r.diameter()
            : form instanceof Chamber.Form.Rectangular b ? Math.min(b.length(), b.width()) : 0;
    if (!(size > 0)) {
      error(
          "network.size.none",
          c.name(),
          "The chamber " + c.name() + " of " + n.name() + " has no size and is left out.");
      return;
    }
    double wall = c.wall();
    if (!(wall > 0)) {
      wall = assumedWall(size);
      (node ? assumedSizes : assumedWalls).add(c.name());
    }
    double floor = c.sump();
    if (!Double.isFinite(floor)) {
      Optional<Double> lowest = c.lowestInvert();
      if (lowest.isEmpty()) {
        error(
            "network.level",
            c.name(),
            "The chamber "
                + c.name()
                + " of "
                + n.name()
                + " has neither a level of its floor nor a pipe with a level, and is left out.");
        return;
      }
      floor = lowest.get() - BELOW_LOWEST_PIPE;
      if (!node) {
        assumedSumps.add(c.name());
      }
    }
    double rim = c.rim();
    if (!Double.isFinite(rim) && node) {
      rim = floor + 1;
    }
    if (!Double.isFinite(rim) || rim - COVER <= floor) {
      error(
          "network.level",
          c.name(),
          "The chamber "
              + c.name()
              + " of "
              + n.name()
              + (Double.isFinite(rim)
                  ? String.format(
                      Locale.ROOT, " has its rim at %.3f, not above its floor at %.3f,", rim, floor)
                  : " has no level of its rim")
              + " and is left out.");
      return;
    }
    ChamberBody body = new ChamberBody(c.east(), c.north(), form, rim, floor, wall, wall, COVER);
    NetworkPart part = new NetworkPart.Node(n.name(), n.type(), c, body);
    String kind =
        c.form() instanceof Chamber.Form.Inlet
            ? "gully"
            : c.form() instanceof Chamber.Form.Outlet ? "outfall" : "chamber";
    out.add(
        new NetworkBody(
            c.name(),
            kind,
            c.material(),
            new Connection(n.name(), n.type(), ports.getOrDefault(c, List.of())),
            part,
            PropertySet.merged(part.facts(), c.sets())));
  }

  private Optional<LaidPipe> lay(Network n, Map<String, Chamber> own, Pipe p) {
    Chamber start = own.getOrDefault(p.start(), anywhere.get(p.start()));
    Chamber end = own.getOrDefault(p.end(), anywhere.get(p.end()));
    if (start == null || end == null) {
      error(
          "network.chamber",
          p.name(),
          "The pipe "
              + p.name()
              + " of "
              + n.name()
              + " names "
              + (start == null ? p.start() : p.end())
              + " as a chamber, which does not exist; the pipe is left out. Ask for the whole network.");
      return Optional.empty();
    }
    if (!(p.section().height() > 0) || !(p.section().width() > 0)) {
      error(
          "network.size.none",
          p.name(),
          "The pipe " + p.name() + " of " + n.name() + " has no size and is left out.");
      return Optional.empty();
    }
    double run = Math.hypot(end.east() - start.east(), end.north() - start.north());
    if (!(run > 1e-6)) {
      error(
          "network.length",
          p.name(),
          "The pipe "
              + p.name()
              + " of "
              + n.name()
              + " starts and ends at one place and is left out.");
      return Optional.empty();
    }
    double from = invert(start, p.name(), "out");
    double to = invert(end, p.name(), "in");
    if (Double.isNaN(from) && Double.isNaN(to)) {
      from = start.sump();
      to = end.sump();
      if (Double.isNaN(from) || Double.isNaN(to)) {
        error(
            "network.invert",
            p.name(),
            "The pipe "
                + p.name()
                + " of "
                + n.name()
                + " has no level at either end and is left out. Ask for its inverts.");
        return Optional.empty();
      }
      doubt(n, p, "at both ends; the floors of its chambers are taken");
    } else if (Double.isNaN(from) || Double.isNaN(to)) {
      boolean first = Double.isNaN(from);
      double other = first ? to : from;
      Chamber at = first ? start : end;
      double level =
          Double.isFinite(p.slope()) ? other + (first ? 1 : -1) * p.slope() * run : at.sump();
      if (Double.isNaN(level)) {
        error(
            "network.invert",
            p.name(),
            "The pipe "
                + p.name()
                + " of "
                + n.name()
                + " has no level at "
                + at.name()
                + " and is left out. Ask for its inverts.");
        return Optional.empty();
      }
      doubt(
          n,
          p,
          "at "
              + at.name()
              + "; it is taken from "
              + (Double.isFinite(p.slope()) ? "its slope" : "the chamber's floor"));
      from = first ? level : from;
      to = first ? to : level;
    }
    return Optional.of(
        new LaidPipe(
            p,
            start,
            end,
            new Position(start.east(), start.north(), from),
            new Position(end.east(), end.north(), to)));
  }

  private void doubt(Network n, Pipe p, String what) {
    error(
        "network.invert.assumed",
        p.name(),
        "The pipe " + p.name() + " of " + n.name() + " has no level " + what + ". Check it.");
  }

  /** Level of the invert that names a pipe, the one of a flow direction before others. */
  private static double invert(Chamber c, String pipe, String direction) {
    double found = Double.NaN;
    for (Chamber.Invert i : c.inverts()) {
      if (i.pipe().equals(pipe)) {
        if (i.direction().equals(direction)) {
          return i.level();
        }
        found = Double.isNaN(found) ? i.level() : found;
      }
    }
    return found;
  }

  private void pipe(Network n, LaidPipe l) {
    Pipe p = l.pipe();
    double wall = p.wall();
    if (!(wall > 0)) {
      wall = Math.max(0.005, 0.1 * Math.min(p.section().height(), p.section().width()));
      assumedWalls.add(p.name());
    }
    double run = l.planLength();
    double first = outer(l.start(), l.direction());
    double last = outer(l.end(), l.direction());
    if (first + last >= run) { // the chambers touch: shown from centre to centre
      first = 0;
      last = 0;
    }
    PipeBody body =
        new PipeBody(
            p.section(),
            wall,
            between(l.from(), l.to(), first / run),
            between(l.from(), l.to(), 1 - last / run),
            run);
    NetworkPart part = new NetworkPart.Run(n.name(), n.type(), l, body);
    String kind = p.section().open() ? "channel" : "pipe";
    out.add(
        new NetworkBody(
            p.name(),
            kind,
            p.material(),
            new Connection(
                n.name(),
                n.type(),
                List.of(
                    new Connection.Port(link(n, l, "start"), body.from(), Connection.Flow.IN),
                    new Connection.Port(link(n, l, "end"), body.to(), Connection.Flow.OUT))),
            part,
            PropertySet.merged(part.facts(), p.sets())));
  }

  private static Position between(Position a, Position b, double t) {
    return new Position(
        a.east() + t * (b.east() - a.east()),
        a.north() + t * (b.north() - a.north()),
        a.level() + t * (b.level() - a.level()));
  }

  /** Thickness of a chamber's wall by its clear size, metres. */
  private static double assumedWall(double size) {
    return size > 1.2 ? 0.15 : 0.12;
  }

  /** From the centre of a chamber to the outer face of its wall in a direction, metres. */
  private static double outer(Chamber c, double direction) {
    return switch (c.form()) {
      case Chamber.Form.Round r ->
          r.diameter() / 2 + (c.wall() > 0 ? c.wall() : assumedWall(r.diameter()));
      case Chamber.Form.Rectangular b -> {
        double w = c.wall() > 0 ? c.wall() : assumedWall(Math.min(b.length(), b.width()));
        double a = direction - b.direction();
        double along = Math.abs(Math.cos(a));
        double across = Math.abs(Math.sin(a));
        yield Math.min(
            along > 1e-12 ? (b.length() / 2 + w) / along : Double.POSITIVE_INFINITY,
            across > 1e-12 ? (b.width() / 2 + w) / across : Double.POSITIVE_INFINITY);
      }
      case Chamber.Form.Inlet i -> ASSUMED_NODE / 2 + assumedWall(ASSUMED_NODE);
      case Chamber.Form.Outlet o -> ASSUMED_NODE / 2 + assumedWall(ASSUMED_NODE);
      case Chamber.Form.None none -> 0;
    };
  }
}
