package wellspan.core.typical;

/**
 * A course under the paved strips.
 *
 * @param thickness metres
 * @param wider how far it reaches beyond the paved edge on each side, metres
 */
public record Course(String name, String material, double thickness, double wider) {

  /**
   * @throws IllegalArgumentException with a sentence, if it cannot be
   */
  public Course {
    if (name.isBlank()) {
      throw new IllegalArgumentException("A course needs a name, for example Base course.");
    }
    if (!(thickness > 0 && thickness <= 10)) {
      throw new IllegalArgumentException(
          name + " needs a thickness above 0, in metres; it was " + thickness + ".");
    }
    if (!(wider >= 0 && wider <= 100)) {
      throw new IllegalArgumentException(
          name + " reaches 0 to 100 m beyond the paved edge; it was " + wider + ".");
    }
  }
}
