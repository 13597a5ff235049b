package wellspan.core.item;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.Holder;
import wellspan.core.schema.IfcSchema;

/**
 * What an item is, in the trade's words: a row of {@code kinds.tsv}. Another kind is another row.
 *
 * @param id unique
 * @param title for people; several rows may share one
 * @param stratum where it lies
 * @param surface whether it is ground with one level at each place, and not a body
 * @param classes the class it is delivered as in each schema where nobody chose another
 * @param finish material and colour where nobody chose others
 * @param roadPart the part of a road it lies in, named as goes behind the road's name; empty where
 *     it may be in any
 * @param quantities the standard's set of what a solid measures; empty where it has none
 */
public record Kind(
    String id,
    String title,
    Band stratum,
    boolean surface,
    Map<IfcSchema, EntityClass> classes,
    Optional<Finish> finish,
    Optional<Holder> roadPart,
    Optional<SolidQuantities> quantities) {
  private static final Map<String, Kind> ALL = load();
  private static final Map<Band, Kind> BODIES = new EnumMap<>(Band.class);

  static {
    ALL.values().stream()
        .filter(k -> k.title.equals("body"))
        .forEach(k -> BODIES.putIfAbsent(k.stratum, k));
  }

  public static final Kind TERRAIN = of("terrain surface");
  public static final Kind COVER = of("cover");
  public static final Kind ALIGNMENT = of("alignment");
  public static final Kind STRING = of("string");
  public static final Kind POINTS = of("points");
  public static final Kind IMAGE = of("image");
  public static final Kind CUT = of("earth cut");
  public static final Kind FILL = of("earth fill");

  public Kind {
    classes = Map.copyOf(classes);
  }

  /** The kinds in the order of the table. */
  public static Collection<Kind> all() {
    return ALL.values();
  }

  /**
   * A row of the table.
   *
   * @throws IllegalArgumentException if there is none of this id
   */
  public static Kind of(String id) {
    Kind k = ALL.get(id);
    if (k == null) {
      throw new IllegalArgumentException("There is no kind \u201c" + id + "\u201d.");
    }
    return k;
  }

  /** A body or face set as received that lies in a stratum. */
  public static Kind body(Band stratum) {
    return BODIES.get(stratum);
  }

  public boolean is(Kind other) {
    return id.equals(other.id);
  }

  @Override
  public String toString() {
    return title;
  }

  private static Map<String, Kind> load() {
    Map<String, Kind> out = new LinkedHashMap<>();
    try (InputStream in = Kind.class.getResourceAsStream("kinds.tsv");
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (!line.startsWith("#")) {
          String[] c = line.split("\t", -1);
          out.put(c[0], row(c));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("The table of kinds is damaged. Install again.", e);
    }
    return out;
  }

  private static Kind row(String[] c) {
    Map<IfcSchema, EntityClass> classes = new LinkedHashMap<>();
    IfcSchema[] schemas = {IfcSchema.IFC4X3, IfcSchema.IFC4, IfcSchema.IFC2X3};
    for (int i = 0; i < schemas.length; i++) {
      String[] named = c[4 + i].split(" ");
      classes.put(
          schemas[i],
          new EntityClass(
              named[0],
              named.length > 1 && !named[1].equals(".") ? named[1] : "",
              named.length > 2 ? named[2].replace('_', ' ') : ""));
    }
    Optional<Finish> finish =
        c[8].isEmpty()
            ? Optional.empty()
            : Optional.of(new Finish(c[7], Integer.parseInt(c[8], 16)));
    String[] part = c[9].split(" ");
    Optional<Holder> roadPart =
        part.length < 2
            ? Optional.empty()
            : Optional.of(new Holder(new EntityClass("IfcRoadPart", part[0]), part[1]));
    String[] measured = c[10].split(" ");
    Optional<SolidQuantities> quantities =
        measured.length < 3
            ? Optional.empty()
            : Optional.of(new SolidQuantities(measured[0], measured[1], measured[2]));
    return new Kind(
        c[0],
        c[1],
        Band.valueOf(c[2]),
        c[3].equals("surface"),
        classes,
        finish,
        roadPart,
        quantities);
  }
}
