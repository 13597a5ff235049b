package wellspan.app.session;

import java.util.function.Consumer;
import wellspan.core.align.Alignment;
import wellspan.core.earthwork.MassHaul;
import wellspan.core.geom.Mesh;

/** Measures what is cut and filled along an alignment. Used on the window's thread. */
public final class MassDesk {
  /** How far masses are measured to both sides, metres. */
  private static final double REACH = 80;

  private final Session session;

  MassDesk(Session session) {
    this.session = session;
  }

  /**
   * Starts measuring, unless something else is under way.
   *
   * @param every length of a stretch, metres
   * @param done is told of the result on the window's thread
   */
  public void measure(
      Alignment along, Mesh existing, Mesh proposed, double every, Consumer<MassHaul> done) {
    if (!session.work().runningProperty().get()) {
      session
          .work()
          .startBeside(
              "Measuring what is cut and filled",
              p -> MassHaul.of(along, existing, proposed, every, REACH, 1, p),
              done,
              session::complain);
    }
  }
}
