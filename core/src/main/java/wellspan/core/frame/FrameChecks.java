package wellspan.core.frame;

import static wellspan.core.finding.Stop.PLACE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.Transformation;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

/** Checks that the frame fits the work. */
public final class FrameChecks {
  /**
   * Beyond this distance from zero a single-precision step reaches 1 mm and some receivers refuse
   * files, metres.
   */
  public static final double FAR = 10_000;

  private FrameChecks() {}

  /**
   * @param work the extent of everything in the job, shared coordinates
   */
  public static List<Finding> check(Frame frame, Box work) {
    List<Finding> found = new ArrayList<>();
    Optional<Crs> crs = frame.system();
    if (frame.crs().isEmpty()) {
      found.add(
          Finding.warning(
              PLACE,
              "frame.crs.missing",
              "",
              "The job has no coordinate reference system. Choose one at the stop Place, so that receivers know where it lies."));
    } else if (crs.isEmpty()) {
      found.add(
          Finding.error(
              PLACE,
              "frame.crs.unknown",
              "",
              frame.crs()
                  + " "
                  + CrsCatalogue.shipped().whyMissing(frame.crs())
                  + ". Choose another system at the stop Place."));
    } else if (!crs.get().projected()) {
      found.add(
          Finding.error(
              PLACE,
              "frame.crs.geographic",
              "",
              frame.crs()
                  + " counts in degrees. A job needs a projected system; choose one at the stop Place."));
    } else if (!work.isEmpty()) {
      outsideArea(crs.get(), work).ifPresent(found::add);
    }
    if (!work.isEmpty()) {
      tooFar(frame, work).ifPresent(found::add);
    }
    return found;
  }

  private static Optional<Finding> outsideArea(Crs crs, Box work) {
    Position c = work.centre();
    double[] lonLat;
    try {
      lonLat =
          new Transformation(crs, Crs.WGS84)
              .geographic(c.east() / crs.metresPerUnit(), c.north() / crs.metresPerUnit());
    } catch (IllegalArgumentException e) {
      return Optional.of(
          Finding.warning(
              PLACE,
              "frame.crs.unchecked",
              "",
              e.getMessage() + " Whether the work lies in its area of use is not checked."));
    }
    if (crs.isOwn() || crs.covers(lonLat[0], lonLat[1])) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.error(
                PLACE,
                "frame.crs.outside",
                "",
                "The work does not lie in the area of use of "
                    + crs.id()
                    + " ("
                    + crs.area().name()
                    + "). Check the system, or whether eastings and northings are swapped.")
            .at(c));
  }

  private static Optional<Finding> tooFar(Frame frame, Box work) {
    double distance = work.farthestPlanDistance(frame.basePoint());
    if (distance <= FAR) {
      return Optional.empty();
    }
    Position p = BasePoints.propose(work);
    return Optional.of(
        Finding.warning(
                PLACE,
                "frame.far",
                "",
                String.format(
                    Locale.ROOT,
                    "The work reaches %.1f km from the base point; in single precision a receiver would see steps of %.1f mm. A base point at E %.0f, N %.0f, H %.0f is near the work.",
                    distance / 1000,
                    1000 * SinglePrecision.resolution(distance),
                    p.east(),
                    p.north(),
                    p.level()))
            .withFigure(Figure.of(distance / 1000, 1, "km"))
            .at(p));
  }
}
