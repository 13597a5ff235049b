package wellspan.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.proof.Difference.What;

/** Tells in what the frame of a file differs from the one that was sent. */
final class FrameDifference {
  private FrameDifference() {}

  static List<Difference> between(Frame sent, Frame arrived) {
    List<Difference> out = new ArrayList<>();
    if (!arrived.crs().equals(sent.crs())
        || !arrived.verticalDatum().equals(sent.verticalDatum())) {
      out.add(
          Difference.of(
              What.SYSTEM,
              "",
              "The reference system differs: sent "
                  + sent.crs()
                  + " "
                  + sent.verticalDatum()
                  + ", arrived "
                  + arrived.crs()
                  + " "
                  + arrived.verticalDatum()
                  + "."));
    }
    Position p = arrived.basePoint();
    Position q = sent.basePoint();
    double moved = Math.hypot(p.planDistanceTo(q), p.level() - q.level());
    double turned =
        Math.abs((arrived.rotationDegrees() - sent.rotationDegrees() + 540) % 360 - 180);
    if (!(moved < Proof.TOLERANCE)
        || !(turned < 1e-9)
        || !(Math.abs(arrived.scale() / sent.scale() - 1) < 1e-12)) {
      out.add(
          Difference.of(
                  What.PLACE,
                  "",
                  "The frame differs: sent " + text(sent) + "; arrived " + text(arrived) + ".")
              .by(moved));
    }
    return out;
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
        p.level(),
        f.rotationDegrees(),
        f.scale());
  }
}
