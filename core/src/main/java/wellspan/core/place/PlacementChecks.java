package wellspan.core.place;

import static wellspan.core.finding.Stop.PLACE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.receive.Received;

/** Checks whether a source lies where the job's other content says the work is. */
public final class PlacementChecks {
  private PlacementChecks() {}

  /**
   * @param raw the source as received
   * @param reference extent of the job's other content, may be empty
   */
  public static List<Finding> check(
      String source, Received raw, SourcePlacement placement, Frame frame, Box reference) {
    List<Finding> out = new ArrayList<>();
    boolean asReceived = placement.where() instanceof SourcePlacement.Where.AlreadyShared;
    if (asReceived
        && !raw.crs().isEmpty()
        && !frame.crs().isEmpty()
        && !raw.crs().equalsIgnoreCase(frame.crs())) {
      out.add(
          Finding.warning(
              PLACE,
              "frame.crs.differs",
              source,
              source
                  + " declares "
                  + raw.crs()
                  + ", the job lies in "
                  + frame.crs()
                  + ". Its coordinates are taken as they are; at the stop Place they can be transformed."));
    }
    elsewhere(source, raw, placement, frame, reference).ifPresent(out::add);
    return out;
  }

  private static Optional<Finding> elsewhere(
      String source, Received raw, SourcePlacement placement, Frame frame, Box reference) {
    Box extent = raw.bounds();
    if (extent.isEmpty() || frame.system().isEmpty()) {
      return Optional.empty();
    }
    Hypotheses.Hypothesis now = Hypotheses.judge("", extent, placement, frame, reference);
    if (now.fits() || now.extent().isEmpty()) {
      return Optional.empty();
    }
    Optional<Hypotheses.Hypothesis> better =
        Hypotheses.of(extent, raw.crs(), frame, reference).stream()
            .filter(Hypotheses.Hypothesis::fits)
            .findFirst();
    if (better.isEmpty() && Double.isNaN(now.gap())) {
      return Optional.empty(); // the frame's own check says that the work is outside its area
    }
    String distance =
        Double.isNaN(now.gap())
            ? "outside the area of use of " + frame.crs()
            : String.format(Locale.ROOT, "%.1f km from the job's other content", now.gap() / 1000);
    Finding found =
        Finding.error(
                PLACE,
                "place.elsewhere",
                source,
                source
                    + " lies "
                    + distance
                    + ". "
                    + better
                        .map(h -> "It would lie in place if: " + h.title() + ".")
                        .orElse("No usual cause explains it; place it by point pairs."))
            .at(now.extent().centre());
    return Optional.of(
        Double.isNaN(now.gap()) ? found : found.withFigure(Figure.of(now.gap() / 1000, 1, "km")));
  }
}
