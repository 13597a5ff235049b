package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.attribute.RelationType;
import wellspan.core.deliver.CarriedRelations;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Relation;

/**
 * Objects that were set up along an alignment stand by their distance along it in IFC4.3, with the
 * same place in coordinates for receivers that follow no line.
 */
final class StandsAlong {
  private final StepWriter step;
  private final double unit;

  /** Keys of alignments by those of the objects that stand along them. */
  private final Map<String, String> along = new HashMap<>();

  private final Map<String, Line> lines = new HashMap<>();

  /**
   * An alignment that was written.
   *
   * @param shared in shared coordinates
   * @param local in those of the file, metres
   * @param curve its line in plan
   */
  private record Line(Alignment shared, Alignment local, int curve) {}

  /**
   * Where something stands.
   *
   * @param placement in the file
   * @param origin in the file's unit
   * @param direction of its x axis, radians from the file's
   */
  record Stand(int placement, double[] origin, double direction) {

    /** A shape as it is seen from there. */
    LikeShapes.Placed seen(LikeShapes.Placed p) {
      double[][] turn = new double[3][3];
      double[] at = new double[3];
      double c = Math.cos(direction);
      double s = Math.sin(direction);
      double x = p.at()[0] - origin[0];
      double y = p.at()[1] - origin[1];
      at[0] = x * c + y * s;
      at[1] = -x * s + y * c;
      at[2] = p.at()[2] - origin[2];
      for (int k = 0; k < 3; k++) {
        turn[0][k] = p.turn()[0][k] * c + p.turn()[1][k] * s;
        turn[1][k] = -p.turn()[0][k] * s + p.turn()[1][k] * c;
        turn[2][k] = p.turn()[2][k];
      }
      return new LikeShapes.Placed(p.group(), turn, at);
    }
  }

  StandsAlong(StepWriter step, Parcel parcel) {
    this.step = step;
    unit = parcel.unit().metres();
    for (Relation r : CarriedRelations.of(parcel)) {
      if (r.type() == RelationType.FOLLOWS) {
        along.putIfAbsent(r.from().value(), r.to().value());
      }
    }
  }

  /**
   * @param curve the alignment's line in plan
   */
  void wrote(String key, Alignment shared, Alignment local, int curve) {
    lines.put(key, new Line(shared, local, curve));
  }

  /**
   * Where an object stands; empty for what is no object along an alignment that is written before
   * it.
   *
   * @param level of its foot, in the file's unit
   */
  Optional<Stand> of(Parcel.Piece piece, double level) throws IOException {
    Line line = lines.get(along.getOrDefault(piece.key(), ""));
    if (line == null) {
      return Optional.empty();
    }
    for (PropertySet s : piece.item().said().propertySets()) {
      if (s.values().get("Chainage") instanceof PropertyValue.Length(double chainage)
          && s.values().get("Offset") instanceof PropertyValue.Length(double offset)) {
        List<Double> at = line.shared.chainages().distances(chainage, line.shared.length());
        if (at.size() == 1) {
          return Optional.of(stand(line, at.getFirst(), offset, level));
        }
      }
    }
    return Optional.empty();
  }

  private Stand stand(Line line, double distance, double right, double level) throws IOException {
    double scale = line.local.length() / line.shared.length();
    AlignmentPoint p = line.local.at(distance * scale);
    double c = Math.cos(p.direction());
    double s = Math.sin(p.direction());
    double[] origin = {
      (p.east() + right * scale * s) / unit, (p.north() - right * scale * c) / unit, level
    };
    int expression =
        step.add(
            "IfcPointByDistanceExpression",
            StepValue.typed("IfcLengthMeasure", real(distance * scale / unit)),
            real(-right * scale / unit),
            real(level),
            UNSET,
            ref(line.curve));
    int linear = step.add("IfcAxis2PlacementLinear", ref(expression), UNSET, UNSET);
    int point = step.add("IfcCartesianPoint", reals(origin));
    int up = step.add("IfcDirection", reals(0, 0, 1));
    int on = step.add("IfcDirection", reals(c, s, 0));
    int cartesian = step.add("IfcAxis2Placement3D", ref(point), ref(up), ref(on));
    int placement = step.add("IfcLinearPlacement", UNSET, ref(linear), ref(cartesian));
    return new Stand(placement, origin, p.direction());
  }
}
