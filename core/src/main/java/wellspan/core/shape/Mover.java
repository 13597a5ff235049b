package wellspan.core.shape;

import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.geom.Similarity;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;

/**
 * Where everything goes when a shape is moved.
 *
 * @param <E> why a place may have no other
 */
public interface Mover<E extends Exception> {
  /** Points in threes, into a new array. */
  double[] points(double[] xyz) throws E;

  Alignment alignment(Alignment a) throws E;

  /** The place of a picture, which stays a parallelogram. */
  PicturePlace picture(Pixels pixels, PicturePlace place) throws E;

  /** The similarity that all of it is, if it is one: what is given by measures follows no other. */
  Optional<Similarity> similarity();
}
