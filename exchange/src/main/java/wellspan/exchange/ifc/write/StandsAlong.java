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
import wellspan.core.shape.Shape;

/**
 * Objects that were set up along an alignment stand by their distance along it in IFC4.3, with the
 * same place in coordinates for receivers that follow no line.
 */
final class StandsAlong {
  private final StepWriter step;
  private final LocalCoordinates local;
  private final AlignmentLines curves;
  private final double unit;

  /** Keys of alignments by those of the objects that stand along them. */
  private final Map<String, String> along = new HashMap<>();

  /** Alignments that go as such, in shared coordinates, by their keys. */
  private final Map<String, Alignment> alignments = new HashMap<>();

  /**
   * A place along an alignment.
   *
   * @param line in shared coordinates
   * @param distance from its start, metres
   * @param right offset to the right, metres
   */
  private record Spot(Alignment line, double distance, double right) {}

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

  StandsAlong(StepWriter step, Parcel parcel, LocalCoordinates local, AlignmentLines curves) {
    this.step = step;
    this.local = local;
    this.curves = curves;
    unit = local.unit();
    for (Parcel.Piece p : parcel.pieces()) {
      if (p.item().shape() instanceof Shape.Axis a
          && p.description().entityClass().entity().equals("IfcAlignment")) {
        alignments.put(p.key(), a.alignment());
      }
    }
    for (Relation r : CarriedRelations.of(parcel)) {
      if (r.type() == RelationType.FOLLOWS) {
        along.putIfAbsent(r.from().value(), r.to().value());
      }
    }
  }

  /** Whether something is an object that stands along an alignment of this file. */
  boolean has(Parcel.Piece piece) {
    return spot(piece).isPresent();
  }

  /**
   * Where an object stands; empty for what is no object along an alignment of this file.
   *
   * @param level of its foot, in the file's unit
   */
  Optional<Stand> of(Parcel.Piece piece, double level) throws IOException {
    Optional<Spot> spot = spot(piece);
    return spot.isPresent() ? Optional.of(stand(spot.get(), level)) : Optional.empty();
  }

  private Optional<Spot> spot(Parcel.Piece piece) {
    Alignment line = alignments.get(along.getOrDefault(piece.key(), ""));
    if (line == null) {
      return Optional.empty();
    }
    for (PropertySet s : piece.item().said().propertySets()) {
      if (s.values().get("Chainage") instanceof PropertyValue.Length(double chainage)
          && s.values().get("Offset") instanceof PropertyValue.Length(double offset)) {
        List<Double> at = line.chainages().distances(chainage, line.length());
        if (at.size() == 1) {
          return Optional.of(new Spot(line, at.getFirst(), offset));
        }
      }
    }
    return Optional.empty();
  }

  private Stand stand(Spot spot, double level) throws IOException {
    Alignment line = local.of(spot.line);
    double right = spot.right;
    double distance = spot.distance;
    int curve = curves.inPlan(spot.line);
    double scale = line.length() / spot.line.length();
    AlignmentPoint p = line.at(distance * scale);
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
            ref(curve));
    int linear = step.add("IfcAxis2PlacementLinear", ref(expression), UNSET, UNSET);
    int point = step.add("IfcCartesianPoint", reals(origin));
    int up = step.add("IfcDirection", reals(0, 0, 1));
    int on = step.add("IfcDirection", reals(c, s, 0));
    int cartesian = step.add("IfcAxis2Placement3D", ref(point), ref(up), ref(on));
    int placement = step.add("IfcLinearPlacement", UNSET, ref(linear), ref(cartesian));
    return new Stand(placement, origin, p.direction());
  }
}
