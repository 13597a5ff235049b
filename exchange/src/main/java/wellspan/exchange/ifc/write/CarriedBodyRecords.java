package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.attribute.Finish;
import wellspan.core.geom.Position;
import wellspan.core.network.PipeBody;
import wellspan.core.road.CarriedSection;
import wellspan.core.road.SectionedBody;
import wellspan.core.shape.CarriedBody;
import wellspan.core.solid.Prism;

/**
 * Writes bodies by outline and line: parts of roads, and sections swept along an alignment, as
 * outlines along the alignment's curve, their x axis to the left of it and their zero on the
 * profile; round pipes as hollow circles drawn out along their axis; footprints raised by their
 * height.
 */
final class CarriedBodyRecords {
  private final StepWriter step;
  private final LocalCoordinates local;
  private final AlignmentLines lines;
  private final FinishRecords finishes;
  private final Representations representations;

  CarriedBodyRecords(
      StepWriter step,
      LocalCoordinates local,
      AlignmentLines lines,
      FinishRecords finishes,
      Representations representations) {
    this.step = step;
    this.local = local;
    this.lines = lines;
    this.finishes = finishes;
    this.representations = representations;
  }

  /**
   * @return the product definition shape
   */
  int shape(ProjectRecords project, CarriedBody body, Optional<Finish> finish) throws IOException {
    int solid;
    String type;
    switch (body) {
      case SectionedBody s -> {
        solid = sections(s);
        type = "AdvancedSweptSolid";
      }
      case PipeBody p -> {
        solid = pipe(p);
        type = "SweptSolid";
      }
      case Prism p -> {
        solid = prism(p);
        type = "SweptSolid";
      }
      default -> throw new IllegalStateException(body.getClass().getName());
    }
    finishes.dress(solid, finish, Optional.empty());
    int representation = representations.add(project.bodyContext(), "Body", type, List.of(solid));
    return step.add("IfcProductDefinitionShape", UNSET, UNSET, refs(List.of(representation)));
  }

  private int sections(SectionedBody shared) throws IOException {
    double unit = local.unit();
    double scale = local.of(shared.axis()).length() / shared.axis().length();
    int curve = lines.along(shared.axis());
    double zero = shared.axis().profile().isPresent() ? 0 : local.level(0);
    List<Integer> profiles = new ArrayList<>();
    List<Integer> places = new ArrayList<>();
    for (CarriedSection.Outline o : shared.outlines().orElseThrow()) {
      profiles.add(outline(o, scale / unit, 1 / unit, zero));
      int at =
          step.add(
              "IfcPointByDistanceExpression",
              StepValue.typed("IfcLengthMeasure", real(o.distance() * scale / unit)),
              UNSET,
              UNSET,
              UNSET,
              ref(curve));
      places.add(step.add("IfcAxis2PlacementLinear", ref(at), UNSET, UNSET));
    }
    return step.add("IfcSectionedSolidHorizontal", ref(curve), refs(profiles), refs(places));
  }

  /** Counter-clockwise, x to the left. */
  private int outline(CarriedSection.Outline o, double across, double up, double zero)
      throws IOException {
    int n = o.offset().length;
    double area = 0;
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      area += o.offset()[j] * o.level()[i] - o.offset()[i] * o.level()[j];
    }
    List<Integer> points = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      int k = area > 0 ? i : n - 1 - i;
      points.add(
          step.add("IfcCartesianPoint", reals(-o.offset()[k] * across, o.level()[k] * up + zero)));
    }
    points.add(points.getFirst());
    int line = step.add("IfcPolyline", refs(points));
    return step.add("IfcArbitraryClosedProfileDef", literal("AREA"), UNSET, ref(line));
  }

  private int prism(Prism p) throws IOException {
    List<Integer> loops = new ArrayList<>();
    for (double[] loop : p.foot()) {
      List<Integer> points = new ArrayList<>();
      for (int i = 0; i < loop.length; i += 3) {
        double[] at = local.of(new Position(loop[i], loop[i + 1], loop[i + 2]));
        points.add(step.add("IfcCartesianPoint", reals(at[0], at[1])));
      }
      points.add(points.getFirst());
      loops.add(step.add("IfcPolyline", refs(points)));
    }
    int profile =
        loops.size() == 1
            ? step.add(
                "IfcArbitraryClosedProfileDef", literal("AREA"), UNSET, ref(loops.getFirst()))
            : step.add(
                "IfcArbitraryProfileDefWithVoids",
                literal("AREA"),
                UNSET,
                ref(loops.getFirst()),
                refs(loops.subList(1, loops.size())));
    int origin = step.add("IfcCartesianPoint", reals(0, 0, local.level(p.base())));
    int position = step.add("IfcAxis2Placement3D", ref(origin), UNSET, UNSET);
    int up = step.add("IfcDirection", reals(0, 0, 1));
    double height = p.height() / local.unit();
    return step.add("IfcExtrudedAreaSolid", ref(profile), ref(position), ref(up), real(height));
  }

  private int pipe(PipeBody p) throws IOException {
    double unit = local.unit();
    double inside = p.section().height() / 2;
    double[] from = local.of(p.from());
    double[] to = local.of(p.to());
    double[] d = {to[0] - from[0], to[1] - from[1], to[2] - from[2]};
    double run = Math.hypot(d[0], d[1]);
    double length = Math.hypot(run, d[2]);
    double[] up = {-d[2] * d[0] / (run * length), -d[2] * d[1] / (run * length), run / length};
    double lift = inside / unit;
    Position centre =
        new Position(from[0] + lift * up[0], from[1] + lift * up[1], from[2] + lift * up[2]);
    int profile =
        step.add(
            "IfcCircleHollowProfileDef",
            literal("AREA"),
            UNSET,
            UNSET,
            real((inside + p.wall()) / unit),
            real(p.wall() / unit));
    int origin =
        step.add("IfcCartesianPoint", reals(centre.east(), centre.north(), centre.level()));
    int axis = step.add("IfcDirection", reals(d[0] / length, d[1] / length, d[2] / length));
    int across = step.add("IfcDirection", reals(up[0], up[1], up[2]));
    int position = step.add("IfcAxis2Placement3D", ref(origin), ref(axis), ref(across));
    int on = step.add("IfcDirection", reals(0, 0, 1));
    return step.add("IfcExtrudedAreaSolid", ref(profile), ref(position), ref(on), real(length));
  }
}
