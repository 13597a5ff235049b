package wellspan.core.deliver;

import java.util.Locale;
import java.util.Optional;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;

/** Tells in what the frame of a file differs from the one that was sent. */
final class FrameDifference {
  private FrameDifference() {}

  static Optional<String> between(Frame sent, Frame arrived) {
    Position p = arrived.basePoint();
    Position q = sent.basePoint();
    double moved = Math.hypot(p.planDistanceTo(q), p.height() - q.height());
    double turned =
        Math.abs((arrived.rotationDegrees() - sent.rotationDegrees() + 540) % 360 - 180);
    if (arrived.crs().equals(sent.crs())
        && arrived.verticalDatum().equals(sent.verticalDatum())
        && moved < Proof.TOLERANCE
        && turned < 1e-9
        && Math.abs(arrived.scale() / sent.scale() - 1) < 1e-12) {
      return Optional.empty();
    }
    return Optional.of("sent " + text(sent) + "; arrived " + text(arrived) + ".");
  }

  private static String text(Frame f) {
    Position p = f.basePoint();
    return String.format(
        Locale.ROOT,
        "%s %s, base point %.4f %.4f %.4f, rotation %.6f°, scale %.9f",
        f.crs(),
        f.verticalDatum(),
        p.east(),
        p.north(),
        p.height(),
        f.rotationDegrees(),
        f.scale());
  }
}
