package wellspan.core.step;

import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.MovedAlignment;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Measure;
import wellspan.core.shape.Mover;

/**
 * Moves everything vertically.
 *
 * @param by metres, up is positive
 */
@Declared(
    id = "raise",
    title = "Raise or lower",
    about = "Moves everything vertically.",
    also = "shift lower level offset",
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
    if (item.shape().follows().isPresent()
        && item.shape().measure(Measure.PROFILE_PIECES).isEmpty()
        && item.shape().triangles().isEmpty()) {
      throw new IllegalArgumentException(
          item.name() + " has no profile, so it has no level that could be changed.");
    }
    return new Done(
        item.shape().moved(new Up(by)), String.format(Locale.ROOT, "Moved by %+.3f m.", by));
  }

  /** Levels alone change. */
  private record Up(double by) implements Mover<RuntimeException> {
    @Override
    public double[] points(double[] xyz) {
      double[] out = xyz.clone();
      for (int i = 2; i < out.length; i += 3) {
        out[i] += by;
      }
      return out;
    }

    @Override
    public Alignment alignment(Alignment a) {
      return MovedAlignment.by(shift(), a);
    }

    @Override
    public PicturePlace picture(Pixels pixels, PicturePlace place) {
      return place;
    }

    @Override
    public Optional<Similarity> similarity() {
      return Optional.of(shift());
    }

    private Similarity shift() {
      return new Similarity(new Position(0, 0, 0), new Position(0, 0, by), 0, 1);
    }
  }
}
