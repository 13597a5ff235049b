package wellspan.core.proof;

import java.util.List;
import java.util.Set;
import java.util.stream.DoubleStream;
import wellspan.core.align.Alignment;
import wellspan.core.align.ProfileSegment;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/**
 * A design whose elements leave gaps is wrong, and its delivery is right when it has the same ones:
 * what a reader says of them is then a warning, and no fault of the file.
 */
final class JumpsAsSent {
  /** Jumps that differ by less are the same, metres. */
  private static final double SAME = 1e-4;

  private static final Set<String> JUMPS = Set.of("alignment.jump", "alignment.gap");

  private JumpsAsSent() {}

  /** The finding of an arrived file; as a warning where what was sent has the same jump. */
  static Finding judged(Finding f, List<Item> sent) {
    boolean there =
        JUMPS.contains(f.code())
            && f.figure()
                .map(
                    jump ->
                        sent.stream()
                            .filter(i -> i.name().equals(f.item()))
                            .flatMapToDouble(JumpsAsSent::of)
                            .anyMatch(j -> Math.abs(j - jump.value()) <= SAME))
                .orElse(false);
    return there ? f.withSeverity(Severity.WARNING) : f;
  }

  /** The errors of an arrived file, judged so. */
  static List<Finding> errors(Received arrived, List<Item> sent) {
    return arrived.findings().stream().filter(Finding::isError).map(f -> judged(f, sent)).toList();
  }

  private static DoubleStream of(Item item) {
    if (!(item.shape() instanceof Shape.Axis axis)) {
      return DoubleStream.empty();
    }
    Alignment a = axis.alignment();
    return DoubleStream.concat(
        DoubleStream.of(a.largestGap()),
        a.profile().stream().flatMapToDouble(p -> jumps(p.segments())));
  }

  /** In level, or along the line where that is more. */
  private static DoubleStream jumps(List<ProfileSegment> parts) {
    DoubleStream.Builder out = DoubleStream.builder();
    for (int i = 1; i < parts.size(); i++) {
      ProfileSegment before = parts.get(i - 1);
      ProfileSegment next = parts.get(i);
      out.add(
          Math.max(
              Math.abs(before.endLevel() - next.startLevel()),
              Math.abs(before.endDistance() - next.startDistance())));
    }
    return out.build();
  }
}
