package wellspan.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;
import wellspan.core.shape.CarriedBody;
import wellspan.core.terrain.PointIndex;

/**
 * Compares a body that a file holds as an outline carried along a line with the triangles that its
 * reader made of that, at places of its own choosing: each corner must be one of the outline there,
 * none of the given outlines may be missing, and the body must be closed, as long, and as large as
 * its true faces make it.
 */
final class CarriedBodyComparison {
  /** Directions are read off a line that was cut into chords, metres at a section's edge. */
  private static final double TOLERANCE = 1e-3;

  /** Chords that a reader cuts curves into lie within this of them, metres. */
  private static final double CHORD = 1e-3;

  /** Such chords take this share of a narrow pipe, and less of anything else. */
  private static final double SHARE = 0.015;

  private CarriedBodyComparison() {}

  static ItemComparison compare(Item item, CarriedBody sent, Mesh arrived) {
    double[] off = new double[arrived.vertexCount()];
    CarriedBody.Corners corners = sent.corners();
    double[] xyz = arrived.xyz();
    for (int i = 0; i < off.length; i++) {
      off[i] = corners.off(new Position(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]));
    }
    List<Difference> found = new ArrayList<>();
    int worst = MeshComparison.worst(off);
    double max = off.length == 0 ? Double.POSITIVE_INFINITY : off[worst];
    if (!(max <= TOLERANCE)) {
      Difference d =
          difference(
              item, "a corner of it lies %.2f mm from where its outline is carried.", 1000 * max);
      found.add(
          (off.length == 0
                  ? d
                  : d.at(new Position(xyz[3 * worst], xyz[3 * worst + 1], xyz[3 * worst + 2])))
              .by(max));
    }
    double volume = arrived.volume() - sent.volume();
    if (!arrived.isClosed()) {
      found.add(difference(item, "is no closed body as it arrived."));
    } else if (!(Math.abs(volume) <= SHARE * sent.volume())) {
      found.add(
          difference(
                  item,
                  "encloses %.4f m³ as sent and %.4f m³ as arrived.",
                  sent.volume(),
                  arrived.volume())
              .by(Math.abs(volume)));
    }
    int missing = missing(sent.givenCorners(), arrived);
    if (missing > 0) {
      found.add(difference(item, "%d corners of its outlines did not arrive.", missing));
    }
    double reach = reach(sent.mesh(CHORD).bounds(), arrived.bounds());
    if (!(reach <= TOLERANCE + 2 * CHORD)) {
      found.add(difference(item, "reaches %.2f mm less or more far.", 1000 * reach).by(reach));
    }
    return new ItemComparison(
        new Proof.ItemProof(
            item.name(),
            item.kind().title(),
            off.length + " corners along its line",
            max,
            found.isEmpty(),
            true,
            off),
        found);
  }

  private static int missing(double[] given, Mesh arrived) {
    double[] xyz = arrived.xyz();
    if (given.length == 0 || xyz.length == 0) {
      return given.length / 3;
    }
    PointIndex index = new PointIndex(xyz);
    int missing = 0;
    for (int i = 0; i < given.length; i += 3) {
      double level = given[i + 2];
      boolean[] there = {false};
      index.forEachIn(
          given[i] - TOLERANCE,
          given[i + 1] - TOLERANCE,
          given[i] + TOLERANCE,
          given[i + 1] + TOLERANCE,
          k -> there[0] |= Math.abs(xyz[3 * k + 2] - level) <= TOLERANCE);
      missing += there[0] ? 0 : 1;
    }
    return missing;
  }

  /** How far two boxes reach beyond each other, metres. */
  private static double reach(Box a, Box b) {
    double plan =
        Math.max(
            Math.max(Math.abs(a.minE() - b.minE()), Math.abs(a.maxE() - b.maxE())),
            Math.max(Math.abs(a.minN() - b.minN()), Math.abs(a.maxN() - b.maxN())));
    return Math.max(plan, Math.max(Math.abs(a.minH() - b.minH()), Math.abs(a.maxH() - b.maxH())));
  }

  private static Difference difference(Item item, String what, Object... figures) {
    return Difference.of(
        What.GEOMETRY, item.name(), item.name() + ": " + String.format(Locale.ROOT, what, figures));
  }
}
