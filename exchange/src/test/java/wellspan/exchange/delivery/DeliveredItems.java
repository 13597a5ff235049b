package wellspan.exchange.delivery;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.shape.NamedPoint;

/** One item of each kind to deliver, with everything that a kind can hold. */
final class DeliveredItems {
  private DeliveredItems() {}

  static Item ground() {
    int n = 12;
    double[] xyz = new double[3 * n * n];
    List<Integer> tri = new ArrayList<>();
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        int k = j * n + i;
        xyz[3 * k] = 412_100.123 + 7.77 * i;
        xyz[3 * k + 1] = 6_534_600.456 + 7.77 * j;
        xyz[3 * k + 2] = 20 + Math.sin(i) + Math.cos(j);
        if (i + 1 < n && j + 1 < n) {
          tri.addAll(List.of(k, k + 1, k + n + 1, k, k + n + 1, k + n));
        }
      }
    }
    return Item.surface(
        "Ground", new Mesh(xyz, tri.stream().mapToInt(Integer::intValue).toArray()));
  }

  /** Every kind of element, in both turns, and every kind of vertical curve. */
  static Item road() {
    List<PlanElement> plan = new ArrayList<>();
    PlanPoint at = new PlanPoint(412_050.5, 6_534_550.25, 0.7);
    double sign = 1;
    plan.add(new PlanElement.Line(at, 60));
    for (SpiralLaw law :
        List.of(
            SpiralLaw.CLOTHOID,
            SpiralLaw.BLOSS,
            SpiralLaw.COSINE,
            SpiralLaw.SINE,
            SpiralLaw.BIQUADRATIC,
            SpiralLaw.VIENNESE)) {
      at = plan.getLast().end();
      plan.add(new PlanElement.Spiral(at, 50, 0, sign / 180, law));
      plan.add(new PlanElement.Arc(plan.getLast().end(), 70, sign * 180));
      plan.add(new PlanElement.Spiral(plan.getLast().end(), 30, sign / 180, sign / 120, law));
      plan.add(new PlanElement.Spiral(plan.getLast().end(), 40, sign / 120, 0, law));
      sign = -sign;
    }
    Pvi.Rounding none = new Pvi.Rounding.None();
    Profile profile =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 30, none),
                new Pvi(150, 36, new Pvi.Rounding.Parabola(40, 40)),
                new Pvi(350, 30, new Pvi.Rounding.Parabola(30, 60)),
                new Pvi(550, 35, new Pvi.Rounding.Circle(2000)),
                new Pvi(700, 33, none),
                new Pvi(1200, 31, none)));
    return Item.alignment(
        "Road",
        new Alignment(
            "Road",
            plan,
            new Chainages(500, List.of(new Chainages.Equation(200, 700, 1000, true))),
            Optional.of(profile)));
  }

  static Item planOnly() {
    return Item.alignment(
        "Path",
        new Alignment(
            "Path",
            List.of(new PlanElement.Arc(new PlanPoint(412_000, 6_534_500, 2), 1200, -200)),
            new Chainages(0, List.of()),
            Optional.empty()));
  }

  static Item points() {
    return Item.points(
        "Control",
        List.of(
            new NamedPoint("BN-1", new Position(412_100.123, 6_534_600.456, 21.5), "peg"),
            new NamedPoint("BN-1", new Position(412_200, 6_534_700, 22), ""),
            new NamedPoint("flat", new Position(412_300, 6_534_700, Double.NaN), "bolt")));
  }

  static Item string() {
    return Item.string(
        "Bank top",
        List.of(
            new Polyline(
                new double[] {
                  412_010, 6_534_510, 3, 412_020.5, 6_534_512.25, 3.5, 412_090, 6_534_530, 2
                }),
            new Polyline(
                new double[] {412_100, 6_534_530, Double.NaN, 412_110, 6_534_540, Double.NaN})));
  }

  static Item block() {
    double e = 412_150, n = 6_534_650, h = 12;
    return Item.body(
        "Block",
        new Mesh(
            new double[] {e, n, h, e + 2, n, h, e, n + 2, h, e, n, h + 2},
            new int[] {0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3}),
        Band.STRUCTURES);
  }
}
