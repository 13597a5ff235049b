package wellspan.core.operation;

/** Numbers in one text, with spaces or semicolons between; chainages also as {@code 0+120.5}. */
public final class NumberList {
  private NumberList() {}

  /**
   * @param what one of them is, for sentences: “offset”
   * @param example of such a list
   * @return nothing for an empty text
   * @throws IllegalArgumentException with a sentence, if a part is no finite number
   */
  public static double[] of(String text, String what, String example) {
    if (text.isBlank()) {
      return new double[0];
    }
    String[] parts = text.strip().split("[;\\s]+");
    double[] out = new double[parts.length];
    for (int i = 0; i < parts.length; i++) {
      try {
        out[i] = Double.parseDouble(parts[i].replaceAll("(?<=\\d)\\+(?=\\d)", ""));
      } catch (NumberFormatException e) {
        out[i] = Double.NaN;
      }
      if (!Double.isFinite(out[i])) {
        throw new IllegalArgumentException(
            "\u201c"
                + parts[i]
                + "\u201d is no "
                + what
                + ". Give metres with spaces between, such as "
                + example
                + ".");
      }
    }
    return out;
  }
}
