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
  private boolean measuring;

  MassDesk(Session session) {
    this.session = session;
  }

  /**
   * Starts measuring, unless it is under way already or the job is being changed.
   *
   * @param every length of a stretch, metres
   * @param done is told of the result on the window's thread
   */
  public void measure(
      Alignment along, Mesh existing, Mesh proposed, double every, Consumer<MassHaul> done) {
    if (measuring || session.work().changingProperty().get()) {
      return;
    }
    measuring = true;
    session
        .work()
        .startBeside(
            "Measuring what is cut and filled",
            p -> MassHaul.of(along, existing, proposed, every, REACH, 1, p),
            haul -> {
              measuring = false;
              done.accept(haul);
            },
            why -> {
              measuring = false;
              session.complain(why);
            });
  }
}
