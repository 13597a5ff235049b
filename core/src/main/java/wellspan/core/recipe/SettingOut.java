package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import wellspan.core.align.Chainages;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.NumberList;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.sweep.LineOfWork;

/**
 * Points to be set out along a line, named by chainage and offset.
 *
 * @param along the line
 * @param every distance between them, metres
 * @param ends whether the ends of lines, arcs and transitions have points too
 * @param offsets metres to the right, with spaces or semicolons between; left ones are negative
 * @param fall per cent to both sides; positive falls outwards
 * @param from first chainage, metres; before the line's start for all of it
 * @param to last chainage, metres; beyond the line's end for all of it
 * @param ground whose levels count instead of the line's own
 */
@Declared(
    id = "setting out",
    title = "Setting-out points",
    about = "Makes points at chainages and offsets of a line, for a list to set out from.",
    also = "stakeout staking pegs offsets chainages")
public record SettingOut(
    @Parameter(label = "name", start = "\"Setting out\"") String name,
    @Parameter(
            label = "along",
            takes = {Takes.AXIS, Takes.LINES})
        ItemId along,
    @Parameter(label = "every", unit = "m", start = "20", least = 0.01) double every,
    @Parameter(label = "at element ends too", usual = "true") boolean ends,
    @Parameter(
            label = "offsets",
            unit = "m, right is positive, such as -3.5 0 3.5",
            usual = "\"0\"",
            start = "\"-3.5 0 3.5\"")
        String offsets,
    @Parameter(
            label = "falls outwards",
            unit = "%",
            usual = "0",
            start = "0",
            least = -100,
            most = 100)
        double fall,
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to,
    @Parameter(label = "levels of", usual = "\"\"", takes = Takes.SURFACE) ItemId ground)
    implements AlongLine {
  private static final int MOST = 200_000;

  /** Places nearer to each other along the line are one, metres. */
  private static final double SAME = 1e-3;

  @Override
  public Made make(Inputs inputs, Progress progress) {
    double[] beside = beside();
    LineOfWork line = LineOfWork.of(inputs, along, new ItemId(""), from, to);
    LineOfWork over = LineOfWork.of(inputs, along, ground, from, to);
    List<Double> at = distances(line);
    if ((long) at.size() * beside.length > MOST) {
      throw new IllegalArgumentException(
          at.size() * (long) beside.length
              + " points would be too many; at most "
              + MOST
              + " are made. Take a larger distance.");
    }
    List<NamedPoint> points = new ArrayList<>();
    for (double d : at) {
      progress.advance((double) points.size() / at.size() / beside.length, "Setting out");
      Position axis = line.place(d, 0);
      for (double o : beside) {
        Position p = line.place(d, o);
        double level =
            ground.value().isEmpty()
                ? axis.level() - Math.abs(o) * fall / 100
                : over.groundAt(p.east(), p.north());
        points.add(
            new NamedPoint(
                name(line.chainage(d), o), new Position(p.east(), p.north(), level), "SO"));
      }
    }
    return new Made(
        Item.points(name, points),
        points.size() + " points at " + at.size() + " chainages of " + line.name() + ".");
  }

  private static String name(double chainage, double offset) {
    String at = Chainages.format(chainage);
    return offset == 0
        ? at
        : at + String.format(Locale.ROOT, " %s%.3f", offset < 0 ? "L" : "R", Math.abs(offset));
  }

  /** Whole multiples of the distance by their chainage, both ends, and element ends. */
  private List<Double> distances(LineOfWork line) {
    TreeSet<Double> all = new TreeSet<>(List.of(line.from(), line.to()));
    if ((line.to() - line.from()) / every > MOST) {
      throw new IllegalArgumentException(
          "Every " + every + " m would be more than " + MOST + " points. Take a larger distance.");
    }
    double first = line.chainage(line.from());
    double lead = Math.ceil(first / every - 1e-9) * every - first;
    for (double d = line.from() + lead; d < line.to(); d += every) {
      all.add(d);
    }
    if (ends && line.shape() instanceof Shape.Axis a) {
      all.addAll(a.alignment().elementEnds());
    }
    List<Double> out = new ArrayList<>();
    for (double d : all.subSet(line.from(), true, line.to(), true)) {
      if (out.isEmpty() || d - out.getLast() > SAME) {
        out.add(d);
      }
    }
    return out;
  }

  private double[] beside() {
    double[] out = NumberList.of(offsets, "offset", "-3.5 0 3.5");
    for (double o : out) {
      if (Math.abs(o) > 1000) {
        throw new IllegalArgumentException(
            o + " m beside the line is too far to set out from it; at most 1000 m are.");
      }
    }
    return out.length == 0 ? new double[1] : out;
  }
}
