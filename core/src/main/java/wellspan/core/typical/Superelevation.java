package wellspan.core.typical;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Item;

/**
 * Crossfalls of both sides along an alignment: listed, or as its source says how it is
 * superelevated. Then in the runout the side outside of the curve turns from its own fall to level,
 * in the runoff on to the full crossfall; the inner side goes along from where that is steeper than
 * its own fall.
 */
public final class Superelevation {
  /** What readers call the set that says it; further ones have a number behind. */
  private static final String SET = "Superelevation";

  private final List<Falls> rows;

  /**
   * At a distance from the alignment's start.
   *
   * @param left fall of the left side outwards, per cent
   * @param right fall of the right side outwards, per cent
   */
  public record Falls(double distance, double left, double right) {}

  private Superelevation(List<Falls> rows) {
    this.rows = rows;
  }

  /**
   * @param axis the alignment with what its source says of it
   * @param left fall of the left side where nothing else is said, per cent
   * @param right fall of the right side
   * @throws IllegalArgumentException with a sentence, if it says nothing, or not enough
   */
  public static Superelevation of(Item axis, Alignment a, double left, double right) {
    List<Falls> rows = new ArrayList<>();
    for (PropertySet s : axis.said().propertySets()) {
      if (s.name().equals(SET) || s.name().startsWith(SET + " (")) {
        curve(s, a, left, right, rows);
      }
    }
    if (rows.isEmpty()) {
      throw new IllegalArgumentException(
          axis.name()
              + " says nothing of a superelevation. Choose the falls of the typical section, or an alignment that says it.");
    }
    rows.sort(Comparator.comparingDouble(Falls::distance));
    return new Superelevation(List.copyOf(rows));
  }

  /**
   * As listed.
   *
   * @throws IllegalArgumentException with a sentence, if the alignment has no such chainage, or
   *     several
   */
  public static Superelevation of(CrossfallTable table, Alignment a) {
    List<Falls> rows = new ArrayList<>();
    for (CrossfallTable.Row r : table.rows()) {
      List<Double> at = a.chainages().distances(r.chainage(), a.length());
      if (at.size() != 1) {
        throw new IllegalArgumentException(
            a.name()
                + " has "
                + (at.isEmpty() ? "no" : at.size() + " places at")
                + " chainage "
                + Chainages.format(r.chainage())
                + ", where a crossfall is listed; it runs from "
                + Chainages.format(a.startChainage())
                + " to "
                + Chainages.format(a.endChainage())
                + ".");
      }
      rows.add(new Falls(at.getFirst(), r.left(), r.right()));
    }
    rows.sort(Comparator.comparingDouble(Falls::distance));
    Falls first = rows.getFirst();
    Falls last = rows.getLast();
    rows.addFirst(new Falls(Math.min(0, first.distance), first.left, first.right));
    rows.addLast(new Falls(Math.max(a.length(), last.distance), last.left, last.right));
    return new Superelevation(List.copyOf(rows));
  }

  private static void curve(
      PropertySet s, Alignment a, double left, double right, List<Falls> rows) {
    double begin = station(s, a, "BeginRunoutSta");
    double level = station(s, a, "BeginRunoffSta");
    double full = station(s, a, "FullSuperSta");
    double end = station(s, a, "RunoffSta");
    double flat = station(s, a, "StartofRunoutSta");
    double normal = station(s, a, "EndofRunoutSta");
    double e =
        s.values().get("FullSuperelev") instanceof PropertyValue.Measure m
            ? 100 * Math.abs(m.number())
            : Double.NaN;
    double[] all = {begin, level, full, end, flat, normal};
    boolean rising = Double.isFinite(e);
    for (int i = 0; i < all.length; i++) {
      rising &= Double.isFinite(all[i]) && (i == 0 || all[i] >= all[i - 1]);
    }
    if (!rising) {
      throw new IllegalArgumentException(
          "the superelevation of "
              + a.name()
              + " lacks a station or its full crossfall, or its stations are out of order, so it cannot be followed.");
    }
    boolean adverse =
        s.values().get("AdverseSE") instanceof PropertyValue.Label l
            && l.text().strip().equalsIgnoreCase("adverse");
    double turn = a.curvatureAt((full + end) / 2);
    if (turn == 0) {
      throw new IllegalArgumentException(
          a.name()
              + " is straight where its superelevation is full, so nothing says which side rises.");
    }
    boolean outerIsRight = turn > 0 != adverse;
    double inner = outerIsRight ? left : right;
    double outer = outerIsRight ? right : left;
    half(rows, begin, level, full, inner, outer, e, outerIsRight);
    half(rows, normal, flat, end, inner, outer, e, outerIsRight);
  }

  private static double station(PropertySet s, Alignment a, String name) {
    return s.values().get(name) instanceof PropertyValue.Length l
        ? l.metres() - a.chainages().start()
        : Double.NaN;
  }

  /** From the usual falls over level to the full crossfall, in whichever direction. */
  private static void half(
      List<Falls> rows,
      double from,
      double level,
      double full,
      double inner,
      double outer,
      double e,
      boolean outerIsRight) {
    rows.add(falls(from, inner, outer, outerIsRight));
    rows.add(falls(level, inner, 0, outerIsRight));
    if (inner > 0 && inner < e) {
      double reached = level + (full - level) * inner / e;
      rows.add(falls(reached, inner, -inner, outerIsRight));
    }
    rows.add(falls(full, Math.max(inner, e), -e, outerIsRight));
  }

  private static Falls falls(double at, double inner, double outer, boolean outerIsRight) {
    return outerIsRight ? new Falls(at, inner, outer) : new Falls(at, outer, inner);
  }

  /** Distances at which a side begins or ends to turn, between two others. */
  Set<Double> distances(double from, double to) {
    Set<Double> out = new TreeSet<>();
    rows.stream().map(Falls::distance).filter(d -> d > from && d < to).forEach(out::add);
    return out;
  }

  /**
   * The falls at a distance, even between two places; empty before the first and after the last.
   */
  Optional<Falls> at(double distance) {
    for (int i = 0; i + 1 < rows.size(); i++) {
      Falls p = rows.get(i);
      Falls q = rows.get(i + 1);
      if (distance >= p.distance && distance <= q.distance) {
        double run = q.distance - p.distance;
        double t = run < 1e-9 ? 0 : (distance - p.distance) / run;
        return Optional.of(
            new Falls(distance, p.left + t * (q.left - p.left), p.right + t * (q.right - p.right)));
      }
    }
    return Optional.empty();
  }
}
