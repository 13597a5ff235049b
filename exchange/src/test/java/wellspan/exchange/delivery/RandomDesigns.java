package wellspan.exchange.delivery;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.Item;
import wellspan.core.road.CrossSection;
import wellspan.core.road.DesignArea;
import wellspan.core.road.RoadItem;
import wellspan.core.road.RoadPart;
import wellspan.core.road.RoadParts;
import wellspan.core.road.SectionPoint;

/** Designs as they might come: any alignment, any road along one. */
final class RandomDesigns {
  private static final SpiralLaw[] LAWS = {
    SpiralLaw.CLOTHOID,
    SpiralLaw.BLOSS,
    SpiralLaw.COSINE,
    SpiralLaw.SINE,
    SpiralLaw.BIQUADRATIC,
    SpiralLaw.VIENNESE,
    SpiralLaw.CUBIC_PARABOLA
  };

  private RandomDesigns() {}

  /** Elements that follow each other without a break, now and then with a reverse curve. */
  static Alignment alignment(Random random) {
    List<PlanElement> plan = new ArrayList<>();
    PlanPoint at =
        new PlanPoint(412_000 + 100 * random.nextDouble(), 6_534_500, 6 * random.nextDouble());
    plan.add(new PlanElement.Line(at, 5 + 80 * random.nextDouble()));
    for (int k = 0; k < 1 + random.nextInt(4); k++) {
      double radius = (40 + 400 * random.nextDouble()) * (random.nextBoolean() ? 1 : -1);
      SpiralLaw law = LAWS[random.nextInt(LAWS.length)];
      boolean transitions = random.nextInt(4) > 0;
      double length = 10 + 40 * random.nextDouble();
      if (transitions) {
        plan.add(new PlanElement.Spiral(plan.getLast().end(), length, 0, 1 / radius, law));
      }
      plan.add(new PlanElement.Arc(plan.getLast().end(), 10 + 60 * random.nextDouble(), radius));
      if (transitions) {
        plan.add(new PlanElement.Spiral(plan.getLast().end(), length, 1 / radius, 0, law));
      }
      if (random.nextBoolean()) {
        plan.add(new PlanElement.Line(plan.getLast().end(), 1 + 50 * random.nextDouble()));
      }
    }
    double whole = plan.stream().mapToDouble(PlanElement::length).sum();
    List<Pvi> pvis = new ArrayList<>();
    pvis.add(new Pvi(0, 20, new Pvi.Rounding.None()));
    int n = 1 + random.nextInt(3);
    for (int k = 1; k <= n; k++) {
      double d = whole * k / (n + 1);
      double curve = 0.3 * whole / (n + 1);
      pvis.add(
          new Pvi(
              d,
              20 + 0.05 * d * (random.nextDouble() - 0.5),
              switch (random.nextInt(3)) {
                case 0 -> new Pvi.Rounding.None();
                case 1 -> new Pvi.Rounding.Parabola(curve, curve);
                default -> new Pvi.Rounding.Parabola(curve, 0.6 * curve);
              }));
    }
    pvis.add(new Pvi(whole, 21, new Pvi.Rounding.None()));
    return new Alignment(
        "Any",
        plan,
        new Chainages(Math.rint(2000 * random.nextDouble()), List.of()),
        random.nextInt(4) > 0 ? Optional.of(Profile.through("p", pvis)) : Optional.empty());
  }

  /**
   * Parts of every form side by side: some begin late, end early, pause, step, fade to an edge, or
   * have other numbers of points from section to section.
   */
  static List<Item> road(Alignment axis, Random random) {
    int n = 2 + random.nextInt(6);
    double length = axis.length();
    int parts = 1 + random.nextInt(5);
    int step = random.nextInt(3) == 0 && n > 2 ? 1 + random.nextInt(n - 2) : -1;
    double skew = random.nextInt(3) == 0 ? 0.2 * (random.nextDouble() - 0.5) : 0;
    int[] from = new int[parts];
    int[] to = new int[parts];
    int[] pause = new int[parts];
    for (int p = 0; p < parts; p++) {
      from[p] = random.nextInt(3) == 0 ? random.nextInt(n - 1) : 0;
      to[p] = random.nextInt(3) == 0 ? from[p] + 1 + random.nextInt(n - 1 - from[p]) : n - 1;
      pause[p] = random.nextInt(4) == 0 ? from[p] + 2 : -1;
    }
    List<CrossSection> sections = new ArrayList<>();
    for (int s = 0; s < n; s++) {
      double d = s == n - 1 ? length : length * (s + 0.6 * random.nextDouble()) / n;
      for (int twice = 0; twice < (s == step ? 2 : 1); twice++) {
        List<DesignArea> areas = new ArrayList<>();
        for (int p = 0; p < parts; p++) {
          if (s >= from[p] && s <= to[p] && s != pause[p]) {
            areas.add(area(axis, d, p, random));
          }
        }
        sections.add(new CrossSection(d, skew, areas));
      }
    }
    List<Finding> findings = new ArrayList<>();
    List<Item> out = new ArrayList<>();
    for (RoadPart p : RoadParts.of(axis, sections, findings)) {
      RoadItem.of("Any", axis, p, p.name(), Stop.RECEIVE, findings).ifPresent(out::add);
    }
    return out;
  }

  private static DesignArea area(Alignment axis, double d, int p, Random random) {
    double z = axis.profile().map(v -> v.levelAt(d)).orElse(12.5) - 0.02 * p;
    double left = -4 + 2.0 * p;
    double right = left + 1.2 + 0.6 * random.nextDouble();
    double thick = random.nextInt(5) == 0 ? 0 : 0.05 + 0.3 * random.nextDouble();
    List<SectionPoint> points = new ArrayList<>();
    points.add(new SectionPoint(left, z, "L" + p));
    if (random.nextBoolean()) {
      points.add(new SectionPoint((left + right) / 2, z + 0.03, random.nextBoolean() ? "C" : ""));
    }
    points.add(new SectionPoint(right, z - 0.01, "R" + p));
    DesignArea.Form form =
        switch (p % 4) {
          case 1 -> DesignArea.Form.TOP;
          case 2 -> DesignArea.Form.LINE;
          default -> DesignArea.Form.AREA;
        };
    if (form == DesignArea.Form.AREA) {
      points.add(new SectionPoint(right, z - 0.01 - thick, ""));
      points.add(new SectionPoint(left, z - thick, ""));
    }
    List<PropertySet> sets =
        p % 2 == 0
            ? List.of()
            : List.of(new PropertySet("Client", Map.of("Mix", new PropertyValue.Label("AC " + p))));
    return new DesignArea(
        List.of("Binder", "Kerb", "Crown", "Verge", "Part five").get(p),
        List.of("", "left", "", "right", "both").get(p),
        p == 3 ? "" : "stone " + p,
        "",
        form,
        form == DesignArea.Form.TOP ? 0.12 : 0,
        points,
        sets);
  }
}
