package wellspan.core.picture;

/**
 * The pixels of a picture, row by row from the upper left.
 *
 * @param argb one number for each pixel, 0xAARRGGBB; immutable by convention
 */
public record Pixels(int width, int height, int[] argb) {
  /**
   * @throws IllegalArgumentException if the number of pixels is another one
   */
  public Pixels {
    if (width < 1 || height < 1 || argb.length != width * height) {
      throw new IllegalArgumentException(
          "A picture of " + width + " × " + height + " has not " + argb.length + " pixels.");
    }
  }
}
