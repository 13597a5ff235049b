package wellspan.core.deliver;

import static wellspan.core.deliver.Content.*;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * What the proof does with each kind of content of a format: the list that receipts repeat and that
 * every comparison asks.
 *
 * @param title of the format
 * @param treatments of every kind of content
 */
public record Coverage(String title, Map<Content, Treatment> treatments) {

  /** What becomes of a kind of content. */
  public enum Treatment {
    /** Carried and compared. */
    PROVEN,
    /** Carried, or carried in part, and not compared. */
    NOT_COMPARED,
    /** The format has no room for it. */
    LOST
  }

  private static final Coverage MESHES =
      of(
          "mesh",
          EnumSet.of(POSITIONS, TRIANGLES, NAMES),
          EnumSet.of(MATERIALS, COLOURS, PROPERTIES));
  private static final Coverage FEATURES =
      of("features", EnumSet.of(POSITIONS, LAYERS, SYSTEM), EnumSet.of(NAMES, PROPERTIES));
  private static final Coverage OTHER =
      of("other", EnumSet.of(POSITIONS, TRIANGLES, NAMES), EnumSet.allOf(Content.class));

  /**
   * A list for a format.
   *
   * @param title of the format
   * @param proven carried and compared
   * @param notCompared carried, or carried in part, and not compared; what is in neither is lost
   */
  public static Coverage of(String title, Set<Content> proven, Set<Content> notCompared) {
    Map<Content, Treatment> all = new EnumMap<>(Content.class);
    for (Content c : Content.values()) {
      all.put(
          c,
          proven.contains(c)
              ? Treatment.PROVEN
              : notCompared.contains(c) ? Treatment.NOT_COMPARED : Treatment.LOST);
    }
    return new Coverage(title, Map.copyOf(all));
  }

  /** The same under another title, and one more kind of content compared. */
  public Coverage with(String title, Content more) {
    Map<Content, Treatment> all = new EnumMap<>(treatments);
    all.put(more, Treatment.PROVEN);
    return new Coverage(title, Map.copyOf(all));
  }

  /**
   * The list for a format by its title as readers give it, such as {@code IFC4} or {@code DXF
   * R2000}.
   */
  public static Coverage of(String format) {
    String f = format.toUpperCase(Locale.ROOT);
    for (DeliveryFormat d : DeliveryFormat.all()) {
      if (d.isTitled(f)) {
        return d.coverage();
      }
    }
    if (f.startsWith("GLTF") || f.startsWith("GLB") || f.startsWith("OBJ")) {
      return MESHES;
    }
    boolean features =
        List.of("SHAPEFILE", "GEOJSON", "GEOPACKAGE", "KML").stream().anyMatch(f::contains);
    return features ? FEATURES : OTHER;
  }

  /** Whether the proof compares this kind of content. */
  public boolean proves(Content c) {
    return treatments.get(c) == Treatment.PROVEN;
  }

  /** What is not proven in such a file, in words: carried but not compared, and lost. */
  public List<String> notProven() {
    return java.util.Arrays.stream(Content.values())
        .filter(c -> !proves(c))
        .map(
            c ->
                c.title()
                    + (treatments.get(c) == Treatment.LOST
                        ? " (" + title + " cannot hold this)"
                        : ""))
        .toList();
  }
}
