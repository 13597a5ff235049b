package wellspan.core.job;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.item.Item;
import wellspan.core.place.Control;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/** Takes the points of a source as the job's control points. */
public final class ControlIntake {
  private ControlIntake() {}

  /**
   * All named points of a source become control points; ones of the same name are replaced, the
   * tolerance stays.
   *
   * @param read the source in shared coordinates
   * @throws IllegalArgumentException with a sentence, if the source holds no points
   */
  public static Job take(Job job, String source, Received read) {
    List<Control.Point> points = new ArrayList<>();
    for (Item i : read.items()) {
      if (i.shape() instanceof Shape.Points g) {
        g.points().forEach(p -> points.add(new Control.Point(p.name(), p.position())));
      }
    }
    if (points.isEmpty()) {
      throw new IllegalArgumentException(
          source + " holds no named points. Receive a list of control points first.");
    }
    Control control = new Control(job.control().points(), job.control().tolerance(), source);
    for (Control.Point p : points) {
      control = control.with(p);
    }
    return job.withControl(control);
  }
}
