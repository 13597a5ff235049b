package wellspan.core.attribute;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/**
 * What an item is made of and how it looks.
 *
 * @param material in the trade's words, may be empty
 * @param rgb colour, 0xRRGGBB
 * @param transparency 0 for what nothing is seen through, 1 for what is not seen itself
 */
public record Finish(String material, int rgb, double transparency) {
  private static final int UNKNOWN = 0xA7A29A;

  /** Colours of materials by a word in their names, the more special word first. */
  private static final Map<String, Integer> COLOURS = new LinkedHashMap<>();

  static {
    COLOURS.put("asphalt", 0x4B4C50);
    COLOURS.put("bitum", 0x4B4C50);
    COLOURS.put("concrete", 0xBDB9B0);
    COLOURS.put("paving", 0xA6806C);
    COLOURS.put("gravel", 0xA79E8C);
    COLOURS.put("crushed", 0x9A9284);
    COLOURS.put("topsoil", 0x7C6248);
    COLOURS.put("grass", 0x7E9B5C);
    COLOURS.put("turf", 0x7E9B5C);
    COLOURS.put("plant", 0x6A8A52);
    COLOURS.put("sand", 0xD6C596);
    COLOURS.put("rock", 0x807A72);
    COLOURS.put("stone", 0x938D84);
    COLOURS.put("clay", 0xA07A5C);
    COLOURS.put("soil", 0x8C7152);
    COLOURS.put("earth", 0x8C7152);
    COLOURS.put("water", 0x6D9FB8);
    COLOURS.put("timber", 0x9C7A4F);
  }

  /** One that nothing is seen through. */
  public Finish(String material, int rgb) {
    this(material, rgb, 0);
  }

  /** The colour of a material by its name. */
  public static int colour(String material) {
    String name = material.toLowerCase(Locale.ROOT);
    for (Map.Entry<String, Integer> e : COLOURS.entrySet()) {
      if (name.contains(e.getKey())) {
        return e.getValue();
      }
    }
    return UNKNOWN;
  }
}
