package wellspan.core.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

/**
 * What a change of the frame does to local coordinates, and so to everything delivered in the
 * earlier frame.
 *
 * @param largestLocalMove of a corner of the work in local coordinates, metres
 * @param turnedDegrees change of site north, clockwise
 * @param meaningChanges whether shared coordinates mean other places on earth afterwards
 */
public record FrameChange(double largestLocalMove, double turnedDegrees, boolean meaningChanges) {

  /**
   * @param work extent of the work in shared coordinates; the base point stands for it if it is
   *     empty
   */
  public static FrameChange between(Frame before, Frame after, Box work) {
    double largest = 0;
    for (Position p : corners(work, before.basePoint())) {
      largest = Math.max(largest, before.toLocal(p).distanceTo(after.toLocal(p)));
    }
    double turned = (after.rotationDegrees() - before.rotationDegrees() + 540) % 360 - 180;
    boolean meaning =
        !before.crs().isEmpty()
            && (!before.crs().equals(after.crs())
                || !before.definition().equals(after.definition()));
    return new FrameChange(largest, turned, meaning);
  }

  private static List<Position> corners(Box work, Position otherwise) {
    if (work.isEmpty()) {
      return List.of(otherwise);
    }
    double h = work.hasLevels() ? work.minH() : 0;
    return List.of(
        new Position(work.minE(), work.minN(), h),
        new Position(work.maxE(), work.minN(), h),
        new Position(work.minE(), work.maxN(), h),
        new Position(work.maxE(), work.maxN(), h));
  }

  public boolean movesNothing() {
    return largestLocalMove < 1e-9 && !meaningChanges;
  }

  /**
   * Sentences for people.
   *
   * @param delivered names of deliveries that were made in the earlier frame
   */
  public List<String> sentences(List<String> delivered) {
    List<String> out = new ArrayList<>();
    if (meaningChanges) {
      out.add("Shared coordinates keep their numbers and mean other places on earth afterwards.");
    }
    if (largestLocalMove >= 1e-9) {
      out.add(
          largestLocalMove >= 1
              ? String.format(
                  Locale.ROOT, "Local coordinates move by up to %.3f m.", largestLocalMove)
              : String.format(
                  Locale.ROOT,
                  "Local coordinates move by up to %.1f mm.",
                  1000 * largestLocalMove));
    }
    if (!movesNothing() && !delivered.isEmpty()) {
      out.add(
          (delivered.size() == 1 ? "One delivery was" : delivered.size() + " deliveries were")
              + " made in the frame as it is now and must be made again: "
              + String.join(", ", delivered)
              + ".");
    }
    return out;
  }
}
