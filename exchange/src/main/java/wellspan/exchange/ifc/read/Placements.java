package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;

/**
 * Where products stand, through all that their placement is relative to. What stands along a line
 * is placed by its coordinates where it gives them, and by its distance else; where both are given
 * and disagree, that is said.
 */
final class Placements {
  private static final int DEEPEST = 1000;

  /** Coordinates and distance that differ by more mean two places, metres. */
  private static final double SAME = 0.01;

  private final Optional<CurveReader> curves;
  private final List<Finding> findings;
  private final Map<Integer, Placement> known = new HashMap<>();
  private final Map<Integer, LineByDistance> lines = new HashMap<>();

  /** Made when something stands on a grid. */
  private GridPlaces grids;

  /**
   * @param findings takes what is wrong with places
   */
  Placements(CurveReader curves, List<Finding> findings) {
    this.curves = Optional.of(curves);
    this.findings = findings;
  }

  private Placements() {
    curves = Optional.empty();
    findings = List.of();
  }

  /** For what stands on no line, such as a site. */
  static Placements withoutLines() {
    return new Placements();
  }

  /**
   * @throws Unread if it has a shape and no placement, or one that cannot be followed
   */
  Placement of(Instance product) {
    Optional<Instance> p = product.ref("ObjectPlacement");
    if (p.isPresent()) {
      return of(p.get(), new HashSet<>());
    }
    if (!(product.get("ObjectPlacement") instanceof Value.Unset)
        || product.ref("Representation").isPresent()) {
      throw new Unread(product, "has a shape and no placement");
    }
    return Placement.IDENTITY;
  }

  private Placement of(Instance p, Set<Integer> open) {
    Placement done = known.get(p.id());
    if (done != null) {
      return done;
    }
    if (!open.add(p.id())) {
      throw new Unread(p, "is placed relative to itself");
    }
    if (open.size() > DEEPEST) {
      throw new Unread(p, "stands in a chain of more than " + DEEPEST + " placements");
    }
    Optional<Instance> parent = p.ref("PlacementRelTo");
    Placement base = parent.isEmpty() ? Placement.IDENTITY : of(parent.get(), open);
    Placement own;
    if (p.isA("IFCLOCALPLACEMENT")) {
      own = Placement.axis(required(p, "RelativePlacement"));
    } else if (p.isA("IFCLINEARPLACEMENT")) {
      own = linear(p);
    } else if (p.isA("IFCGRIDPLACEMENT") && curves.isPresent()) {
      Placement grid = onGrid(p, open);
      if (parent.isPresent() && away(base, grid) > SAME) {
        throw new Unread(p, "stands on a grid and relative to something else, which is not read");
      }
      base = grid;
      own = grids(p).of(p);
    } else {
      throw Unread.kind(p);
    }
    Placement result = base.after(own);
    known.put(p.id(), result);
    return result;
  }

  /** Where the grid that something stands on stands itself. */
  private Placement onGrid(Instance p, Set<Integer> open) {
    Optional<Instance> at = grids(p).grid(p).ref("ObjectPlacement");
    return at.isEmpty() ? Placement.IDENTITY : of(at.get(), open);
  }

  private GridPlaces grids(Instance p) {
    if (grids == null) {
      grids = new GridPlaces(p.model(), curves.orElseThrow());
    }
    return grids;
  }

  private Placement linear(Instance p) {
    Optional<Instance> cartesian = p.ref("CartesianPosition");
    if (cartesian.isEmpty()) {
      return along(p, false);
    }
    Placement given = Placement.axis(cartesian);
    if (curves.isPresent() && p.ref("RelativePlacement").isPresent()) {
      try {
        // senders differ in whether what stands on a slope leans with it
        compare(p, Math.min(away(given, along(p, false)), away(given, along(p, true))));
      } catch (Unread e) {
        // its coordinates say where it is; what the line would say besides cannot be read
        return given;
      }
    }
    return given;
  }

  /** How far two placements are apart, metres. */
  private double away(Placement a, Placement b) {
    double square = 0;
    for (int i = 3; i < 12; i += 4) {
      square += Math.pow(a.m()[i] - b.m()[i], 2);
    }
    return Math.sqrt(square) / curves.orElseThrow().metre();
  }

  private void compare(Instance p, double away) {
    if (away > SAME) {
      findings.add(
          Finding.error(
              Stop.RECEIVE,
              "ifc.placement.two",
              "",
              String.format(
                  Locale.ROOT,
                  "#%d says two places %.3f m apart: by its coordinates, which are taken, and by its distance along a line. Ask the sender which is right.",
                  p.id(),
                  away)));
    }
  }

  /**
   * By the distance along a curve, with the curve's direction unless it is told to stand upright.
   *
   * @param up whether it is taken as upright though it is not told so
   */
  private Placement along(Instance p, boolean up) {
    Instance place = required(p, "RelativePlacement").orElseThrow();
    Instance at = place.ref("Location").orElseThrow(() -> new Unread(place, "has no location"));
    if (!at.isA("IFCPOINTBYDISTANCEEXPRESSION")) {
      throw new Unread(place, "does not say how far along a line it is");
    }
    if (isByParameter(at)) {
      throw new Unread(at, "is placed by a parameter, which is not read");
    }
    if (place.ref("RefDirection").isPresent()) {
      throw new Unread(place, "turns what stands along a line, which is not read");
    }
    boolean upright = up;
    if (place.ref("Axis").isPresent()) {
      if (Placement.direction(place.ref("Axis"), place)[2] < 1 - 1e-9) {
        throw new Unread(place, "tilts what stands along a line, which is not read");
      }
      upright = true;
    }
    Instance curve =
        at.ref("BasisCurve").orElseThrow(() -> new Unread(at, "has no line to stand along"));
    LineByDistance line = lines.computeIfAbsent(curve.id(), id -> line(p, curve));
    double distance = at.number("DistanceAlong");
    double slack = 1e-6 * Math.max(1, line.length());
    if (!(distance >= -slack && distance <= line.length() + SAME * curves.get().metre())) {
      throw new Unread(at, "lies beyond the end of its line");
    }
    double[] offset = {
      at.number("OffsetLateral", 0),
      at.number("OffsetVertical", 0),
      at.number("OffsetLongitudinal", 0)
    };
    return line.placement(distance, offset, upright);
  }

  /** Whether a place on a line is told by the line's parameter instead of a length. */
  static boolean isByParameter(Instance at) {
    return at.get("DistanceAlong") instanceof Value.Typed(String type, Value _)
        && type.equalsIgnoreCase("IFCPARAMETERVALUE");
  }

  private LineByDistance line(Instance p, Instance curve) {
    CurveReader reader =
        curves.orElseThrow(() -> new Unread(p, "stands along a line, which is not read here"));
    return LineByDistance.of(curve, reader);
  }

  private static Optional<Instance> required(Instance p, String attribute) {
    Optional<Instance> found = p.ref(attribute);
    if (found.isEmpty()) {
      throw new Unread(p, "has no " + attribute);
    }
    return found;
  }
}
