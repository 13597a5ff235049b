package wellspan.core.receive;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A layer of a drawing.
 *
 * @param rgb its colour, 0xRRGGBB
 * @param shown false if it is switched off or frozen; what is on it is received all the same
 * @param contents number of entities on it by their kind in the format
 */
public record Layer(String name, int rgb, boolean shown, Map<String, Integer> contents) {
  public Layer {
    contents = Collections.unmodifiableMap(new LinkedHashMap<>(contents));
  }

  /** Entities of all kinds. */
  public int count() {
    return contents.values().stream().mapToInt(Integer::intValue).sum();
  }
}
