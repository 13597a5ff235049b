package wellspan.core.crs;

import java.util.HashMap;
import java.util.Map;

/** The numbers of a PROJ text by their names, counted from Greenwich. */
record ProjectionParameters(String text, Map<String, Double> numbers) {

  static ProjectionParameters of(Crs crs) {
    String text = PrimeMeridian.toGreenwich(crs.projText());
    Map<String, Double> numbers = new HashMap<>();
    for (String word : text.split("\\s+")) {
      int at = word.indexOf('=');
      if (at > 0) {
        try {
          numbers.put(word.substring(1, at), Double.parseDouble(word.substring(at + 1)));
        } catch (NumberFormatException e) {
          // a name, not a number
        }
      }
    }
    return new ProjectionParameters(text, numbers);
  }

  boolean is(String projection) {
    return text.contains("+proj=" + projection + " ");
  }

  boolean says(String word) {
    return text.contains("+" + word);
  }

  double number(String name, double otherwise) {
    return numbers.getOrDefault(name, otherwise);
  }

  /** The scale at the centre, under either of its names. */
  double scale() {
    return number("k", number("k_0", 1));
  }
}
