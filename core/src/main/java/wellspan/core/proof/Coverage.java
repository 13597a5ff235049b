package wellspan.core.proof;

import static wellspan.core.proof.Content.*;

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

  private static final Set<Content> GEOMETRY = EnumSet.of(POSITIONS, TRIANGLES, NAMES);

  private static final Coverage IFC2X3 =
      of(
          "IFC2x3",
          EnumSet.of(
              POSITIONS,
              TRIANGLES,
              CLOSED,
              NO_LEVELS,
              NAMES,
              POINT_CODES,
              CLASSES,
              IDS,
              PROPERTIES,
              MATERIALS,
              COLOURS,
              LAYERS,
              UNIT,
              SYSTEM,
              PLACE),
          EnumSet.of(MATERIAL_AREAS, DESIGN_LOOKS));
  private static final Coverage IFC4 = with(IFC2X3, "IFC4", TEXTURES);
  private static final Coverage IFC4X3 = with(IFC4, "IFC4.3", ELEMENTS);
  private static final Coverage LANDXML =
      of(
          "LandXML",
          EnumSet.of(
              POSITIONS,
              TRIANGLES,
              NO_LEVELS,
              ELEMENTS,
              NAMES,
              POINT_CODES,
              PROPERTIES,
              UNIT,
              SYSTEM,
              PLACE,
              BOUNDARIES,
              INVISIBLE),
          EnumSet.noneOf(Content.class));
  private static final Coverage DXF =
      of(
          "DXF",
          EnumSet.of(POSITIONS, TRIANGLES, NAMES, COLOURS, LAYERS, UNIT, PLACE),
          EnumSet.of(TEXT_HEIGHTS, DESIGN_LOOKS));
  private static final Coverage POINT_LIST =
      of(
          "point list",
          EnumSet.of(POSITIONS, NAMES, POINT_CODES, NO_LEVELS, PLACE),
          EnumSet.of(UNIT));
  private static final Coverage MESHES =
      of(
          "mesh",
          EnumSet.of(POSITIONS, TRIANGLES, NAMES),
          EnumSet.of(MATERIALS, COLOURS, PROPERTIES));
  private static final Coverage FEATURES =
      of("features", EnumSet.of(POSITIONS, LAYERS, SYSTEM), EnumSet.of(NAMES, PROPERTIES));
  private static final Coverage OTHER = of("other", GEOMETRY, EnumSet.allOf(Content.class));

  private static Coverage of(String title, Set<Content> proven, Set<Content> notCompared) {
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

  private static Coverage with(Coverage base, String title, Content more) {
    Map<Content, Treatment> all = new EnumMap<>(base.treatments);
    all.put(more, Treatment.PROVEN);
    return new Coverage(title, Map.copyOf(all));
  }

  /**
   * The list for a format by its title as readers give it, such as {@code IFC4} or {@code DXF
   * R2000}.
   */
  public static Coverage of(String format) {
    String f = format.toUpperCase(Locale.ROOT);
    if (f.startsWith("IFC2X3")) {
      return IFC2X3;
    }
    if (f.startsWith("IFC4X3") || f.startsWith("IFC4.3")) {
      return IFC4X3;
    }
    if (f.startsWith("IFC4")) {
      return IFC4;
    }
    if (f.startsWith("LANDXML")) {
      return LANDXML;
    }
    if (f.startsWith("DXF")) {
      return DXF;
    }
    if (f.contains("POINT LIST")) {
      return POINT_LIST;
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
