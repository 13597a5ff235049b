package wellspan.core.receive;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.DoubleStream;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/**
 * Leaves out what lies where no work can be: figures of it would be endless, and the rest of its
 * file would go nowhere with it.
 */
public final class WithinReach {
  /** No coordinate of any system is as large, metres. */
  private static final double REACH = 1e9;

  private WithinReach() {}

  /** The same file, with an error for each item that is left out. In time of its points. */
  public static Received of(Received r) {
    List<Item> taken = new ArrayList<>(r.items().size());
    List<Finding> findings = new ArrayList<>(r.findings());
    boolean all = true;
    for (Item i : r.items()) {
      double farthest = farthest(i.bounds());
      if (farthest <= REACH) {
        taken.add(i);
        continue;
      }
      all = false;
      if (i.shape() instanceof Shape.Points p) {
        List<NamedPoint> near = p.points().stream().filter(WithinReach::isNear).toList();
        NamedPoint first = p.points().stream().filter(x -> !isNear(x)).findFirst().orElseThrow();
        int lost = p.points().size() - near.size();
        String what =
            "Point "
                + first.name()
                + " of "
                + i.name()
                + (lost == 1 ? "" : " and " + (lost - 1) + " more");
        findings.add(finding(i, what, lost == 1, farthest));
        if (!near.isEmpty()) {
          taken.add(i.with(new Shape.Points(near)));
        }
      } else {
        findings.add(finding(i, i.name(), true, farthest));
      }
    }
    return all ? r : r.withItems(taken, findings);
  }

  private static Finding finding(Item i, String what, boolean one, double farthest) {
    return Finding.error(
            RECEIVE,
            "item.reach",
            i.name(),
            String.format(
                Locale.ROOT,
                "%s left out: coordinates reach to %.3g m, where no work on earth can be. A coordinate or its unit is wrong; ask the sender.",
                what + (one ? " is" : " are"),
                farthest))
        .withFigure(Figure.of(farthest, 0, "m"));
  }

  private static boolean isNear(NamedPoint p) {
    return farthest(new Shape.Points(List.of(p)).bounds()) <= REACH;
  }

  private static double farthest(Box b) {
    return b.isEmpty()
        ? 0
        : DoubleStream.of(b.minE(), b.minN(), b.minH(), b.maxE(), b.maxN(), b.maxH())
            .filter(d -> !Double.isInfinite(d)) // there are no levels
            .map(Math::abs)
            .max()
            .orElse(0);
  }
}
