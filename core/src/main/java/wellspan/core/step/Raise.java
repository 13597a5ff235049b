package wellspan.core.step;

import java.util.Locale;
import wellspan.core.align.MovedAlignment;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/**
 * Moves everything vertically.
 *
 * @param by metres, up is positive
 */
@Declared(
    id = "raise",
    title = "Raise or lower",
    about = "Moves everything vertically.",
    accepts = {Takes.POINTS, Takes.SURFACE, Takes.LINES, Takes.AXIS})
public record Raise(
    @Parameter(label = "by", unit = "m, down is negative", start = "0.100") double by)
    implements Step {
  @Override
  public String title() {
    return by < 0 ? "Lower" : "Raise";
  }

  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    String told = String.format(Locale.ROOT, "Moved by %+.3f m.", by);
    if (item.shape() instanceof Shape.Axis a) {
      if (a.alignment().profile().isEmpty()) {
        throw new IllegalArgumentException(
            item.name() + " has no profile, so it has no level that could be changed.");
      }
      Position zero = new Position(0, 0, 0);
      Similarity up = new Similarity(zero, new Position(0, 0, by), 0, 1);
      return new Done(new Shape.Axis(MovedAlignment.by(up, a.alignment())), told);
    }
    if (item.shape() instanceof Shape.Lines l) {
      return new Done(
          new Shape.Lines(l.lines().stream().map(p -> new Polyline(raised(p.xyz()))).toList()),
          told);
    }
    if (item.shape() instanceof Shape.Points p) {
      return new Done(new Shape.Points(p.points().stream().map(this::raised).toList()), told);
    }
    Shape.Faces s = (Shape.Faces) item.shape();
    Mesh m = s.mesh();
    return new Done(s.at(raised(m.xyz())), told);
  }

  private NamedPoint raised(NamedPoint p) {
    Position q = p.position();
    return new NamedPoint(p.name(), new Position(q.east(), q.north(), q.level() + by), p.code());
  }

  private double[] raised(double[] xyz) {
    double[] out = xyz.clone();
    for (int i = 2; i < out.length; i += 3) {
      out[i] += by;
    }
    return out;
  }
}
