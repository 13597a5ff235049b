package wellspan.core.extract;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Geometry;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentSamples;
import wellspan.core.align.ThinnedLine;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Shape;

/**
 * What is taken out of received items.
 *
 * @param names items of exactly these names; all where empty
 * @param kinds items of these kinds by title; all where empty
 * @param range of chainages, for alignments and what follows them
 * @param clip outline in shared coordinates
 * @param thin tolerances by which lines are thinned
 * @param chord tolerance of curved faces, metres
 */
public record Extract(
    Set<String> names,
    Set<String> kinds,
    Optional<ChainageRange> range,
    Optional<Geometry> clip,
    Optional<Thin> thin,
    double chord) {

  /** How finely true curves are sampled before they are thinned, against the tolerance. */
  private static final double SAMPLING = 0.02;

  /**
   * @param plan metres
   * @param level metres
   */
  public record Thin(double plan, double level) {
    /**
     * @throws IllegalArgumentException if a tolerance is not greater than zero
     */
    public Thin {
      if (!(plan > 0 && level > 0)) {
        throw new IllegalArgumentException(
            "Lines are thinned to two tolerances greater than 0, in plan and in level, in metres.");
      }
    }
  }

  /**
   * @throws IllegalArgumentException if the chord tolerance is not greater than zero
   */
  public Extract {
    if (!(chord > 0)) {
      throw new IllegalArgumentException("The chord tolerance is greater than 0 millimetres.");
    }
    names = new LinkedHashSet<>(names);
    kinds = new LinkedHashSet<>(kinds);
  }

  /** Whether everything stays as it is. */
  public boolean isWhole() {
    return names.isEmpty()
        && kinds.isEmpty()
        && range.isEmpty()
        && clip.isEmpty()
        && thin.isEmpty();
  }

  /** Names and kinds that none of the items has, as asked for. */
  public List<String> notFound(List<Item> items) {
    List<String> out = new ArrayList<>();
    names.stream().filter(n -> items.stream().noneMatch(i -> i.name().equals(n))).forEach(out::add);
    kinds.stream().filter(k -> items.stream().noneMatch(i -> isOf(i, k))).forEach(out::add);
    return out;
  }

  private boolean isMeant(Item i) {
    return (names.isEmpty() || names.contains(i.name()))
        && (kinds.isEmpty() || kinds.stream().anyMatch(k -> isOf(i, k)));
  }

  /** Says which items a range of chainages cannot cut, since they follow no alignment. */
  public static Optional<Finding> whole(List<Item> items) {
    List<Item> whole = items.stream().filter(i -> i.shape().follows().isEmpty()).toList();
    if (whole.isEmpty()) {
      return Optional.empty();
    }
    String name = whole.getFirst().name();
    return Optional.of(
        Finding.note(
                Stop.DELIVER,
                "extract.whole",
                name,
                whole.size() == 1
                    ? name
                        + " follows no alignment and goes whole, wherever it lies. Hold it back if it is not wanted."
                    : whole.size()
                        + " items, the first of them "
                        + name
                        + ", follow no alignment and go whole, wherever they lie. Hold back what is not wanted.")
            .withFigure(Figure.count(whole.size(), "items")));
  }

  private static boolean isOf(Item i, String kind) {
    return i.kind().title().equals(kind.strip().toLowerCase(Locale.ROOT));
  }

  /**
   * @param findings takes what is said of the parts
   * @throws IllegalArgumentException if chainages stand in several places, with a sentence
   */
  public List<Item> of(List<Item> items, List<Finding> findings) {
    List<Item> meant = items.stream().filter(this::isMeant).toList();
    if (range.isPresent()) {
      whole(meant).ifPresent(findings::add);
    }
    List<Item> out = new ArrayList<>();
    for (Item i : meant) {
      Optional<Item> part = range.isPresent() ? inRange(i, range.get(), chord) : Optional.of(i);
      if (part.isEmpty()) {
        continue;
      }
      Item fine = part.get().with(part.get().shape().within(chord));
      List<Item> clipped =
          clip.isPresent() ? Clipped.of(fine, clip.get(), findings) : List.of(fine);
      for (Item c : clipped) {
        out.add(thin.isPresent() ? thinned(c, thin.get(), findings) : c);
      }
    }
    return out;
  }

  /**
   * What of an item lies in a range of chainages; items that follow no alignment stay whole.
   *
   * @param chord tolerance of curved faces, metres
   */
  public static Optional<Item> inRange(Item i, ChainageRange range, double chord) {
    Shape shape = i.shape();
    if (shape.follows().isEmpty()) {
      return Optional.of(i);
    }
    return range
        .on(shape.follows().get())
        .flatMap(s -> shape.between(s.from(), s.to(), chord))
        .map(part -> i.with(part).saying(i.said().withSets(facts(part, i))));
  }

  /** The sets of an item with what is worked out of a part in the place of what they said. */
  private static List<PropertySet> facts(Shape part, Item whole) {
    List<PropertySet> fresh = part.facts();
    List<PropertySet> out = new ArrayList<>();
    for (PropertySet s : whole.said().propertySets()) {
      out.add(fresh.stream().filter(f -> f.name().equals(s.name())).findFirst().orElse(s));
    }
    return out;
  }

  /**
   * Whether anything of an item lies in a range; without cutting it. Where an alignment has a
   * number twice it is taken to, and cutting it says what is wrong.
   */
  public static boolean reaches(Item i, ChainageRange range) {
    try {
      Shape shape = i.shape();
      return shape.follows().isEmpty()
          || range
              .on(shape.follows().get())
              .map(s -> shape.reaches(s.from(), s.to()))
              .orElse(false);
    } catch (IllegalArgumentException e) {
      return true;
    }
  }

  /**
   * Why a range does not tell which part of an item is meant; empty where it does, and of what
   * follows no alignment.
   */
  public static Optional<String> unclear(Item i, ChainageRange range) {
    try {
      i.shape().follows().ifPresent(range::on);
      return Optional.empty();
    } catch (IllegalArgumentException e) {
      return Optional.of(e.getMessage());
    }
  }

  private Item thinned(Item i, Thin t, List<Finding> findings) {
    List<Polyline> lines;
    double sampling = 0;
    if (i.shape() instanceof Shape.Axis a) {
      sampling = SAMPLING * Math.min(t.plan(), t.level());
      Alignment line = a.alignment();
      lines = List.of(AlignmentSamples.within(line, sampling));
    } else if (i.shape() instanceof Shape.Lines l) {
      lines = l.lines();
    } else {
      return i;
    }
    List<Polyline> out = new ArrayList<>();
    int before = 0;
    int after = 0;
    double plan = 0;
    double level = 0;
    for (Polyline p : lines) {
      ThinnedLine thin = ThinnedLine.of(p, t.plan() - sampling, t.level() - sampling);
      out.add(thin.line());
      before += p.pointCount();
      after += thin.line().pointCount();
      plan = Math.max(plan, thin.plan() + sampling);
      level = Math.max(level, thin.level() + sampling);
    }
    findings.add(
        Finding.note(
                Stop.DELIVER,
                "extract.thinned",
                i.name(),
                String.format(
                    Locale.ROOT,
                    "%s: %s %d vertices stay, at most %.4f m off in plan and %.4f m in level.",
                    i.name(),
                    i.shape() instanceof Shape.Axis
                        ? "of its true curve"
                        : "of " + before + " vertices",
                    after,
                    plan,
                    level))
            .withFigure(Figure.count(after, "vertices")));
    Item line = i.with(new Shape.Lines(out));
    return i.shape() instanceof Shape.Axis
        ? new Item(line.name(), Kind.STRING, line.shape(), line.attributes())
        : line;
  }

  /** What was asked for, in words. */
  public String words() {
    return java.util.stream.Stream.concat(names.stream(), kinds.stream())
        .collect(Collectors.joining(", "));
  }
}
