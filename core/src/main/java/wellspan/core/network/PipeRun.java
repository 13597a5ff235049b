package wellspan.core.network;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wellspan.core.geom.Position;

/**
 * Pipes from chamber to chamber in the sense of flow, as a long section shows them: where several
 * meet, the largest goes on, and of these the one that turns least.
 *
 * @param stretches in order, at least one; distances in metres in plan from the first chamber
 */
public record PipeRun(List<Stretch> stretches) {
  /**
   * A pipe of the run.
   *
   * @param start distance of the centre of its first chamber
   */
  public record Stretch(LaidPipe laid, double start) {
    public double end() {
      return start + laid.planLength();
    }

    /** Lowest inside point of the pipe at a distance along the run. */
    Position at(double distance) {
      double t = (distance - start) / laid.planLength();
      Position a = laid.from();
      Position b = laid.to();
      return new Position(
          a.east() + t * (b.east() - a.east()),
          a.north() + t * (b.north() - a.north()),
          a.level() + t * (b.level() - a.level()));
    }
  }

  public PipeRun {
    stretches = List.copyOf(stretches);
  }

  /**
   * The run through a pipe or chamber, from the farthest pipe upstream to where it flows out; loops
   * are followed once. In time of the number of pipes times those of the run.
   *
   * @param all pipes, of other networks too
   * @return empty where no pipe meets a chamber
   */
  public static Optional<PipeRun> through(NetworkPart part, Collection<NetworkPart.Run> all) {
    List<LaidPipe> pipes =
        all.stream()
            .filter(r -> r.network().equals(part.network()))
            .map(NetworkPart.Run::laid)
            .filter(l -> l.planLength() > 0)
            .toList();
    Optional<LaidPipe> seed =
        switch (part) {
          case NetworkPart.Run r -> Optional.of(r.laid()).filter(l -> l.planLength() > 0);
          case NetworkPart.Node n -> {
            String name = n.chamber().name();
            yield best(pipes.stream().filter(p -> p.start().name().equals(name)).toList(), null)
                .or(
                    () ->
                        best(
                            pipes.stream().filter(p -> p.end().name().equals(name)).toList(),
                            null));
          }
        };
    return seed.map(s -> along(s, pipes));
  }

  private static PipeRun along(LaidPipe seed, List<LaidPipe> pipes) {
    Deque<LaidPipe> run = new ArrayDeque<>(List.of(seed));
    Set<String> chambers = new HashSet<>(List.of(seed.start().name(), seed.end().name()));
    Optional<LaidPipe> next = Optional.of(seed);
    while (next.isPresent()) {
      LaidPipe last = next.get();
      next =
          best(
              pipes.stream()
                  .filter(p -> p.start().name().equals(last.end().name()))
                  .filter(p -> !chambers.contains(p.end().name()))
                  .toList(),
              last);
      next.ifPresent(p -> chambers.add(p.end().name()));
      next.ifPresent(run::addLast);
    }
    next = Optional.of(seed);
    while (next.isPresent()) {
      LaidPipe first = next.get();
      next =
          best(
              pipes.stream()
                  .filter(p -> p.end().name().equals(first.start().name()))
                  .filter(p -> !chambers.contains(p.start().name()))
                  .toList(),
              first);
      next.ifPresent(p -> chambers.add(p.start().name()));
      next.ifPresent(run::addFirst);
    }
    List<Stretch> out = new ArrayList<>();
    double at = 0;
    for (LaidPipe p : run) {
      Stretch s = new Stretch(p, at);
      out.add(s);
      at = s.end();
    }
    return new PipeRun(out);
  }

  /** The largest, and of these the one that turns least from another; any where there is none. */
  private static Optional<LaidPipe> best(List<LaidPipe> some, LaidPipe from) {
    Comparator<LaidPipe> byArea =
        Comparator.comparingDouble((LaidPipe p) -> -p.pipe().section().area());
    return some.stream().min(byArea.thenComparingDouble(p -> from == null ? 0 : turn(from, p)));
  }

  private static double turn(LaidPipe a, LaidPipe b) {
    return Math.abs(Math.IEEEremainder(a.direction() - b.direction(), 2 * Math.PI));
  }

  /** Length in plan from the first chamber to the last, metres. */
  public double length() {
    return stretches.getLast().end();
  }

  /** Chambers in order, one more than there are pipes. */
  public List<Chamber> chambers() {
    List<Chamber> out = new ArrayList<>();
    stretches.forEach(s -> out.add(s.laid().start()));
    out.add(stretches.getLast().laid().end());
    return out;
  }

  /** Lowest inside point of the pipe at a distance along the run, the nearest end beyond it. */
  public Position at(double distance) {
    double d = Math.clamp(distance, 0, length());
    Stretch here =
        stretches.stream().filter(s -> d <= s.end()).findFirst().orElse(stretches.getLast());
    return here.at(d);
  }
}
