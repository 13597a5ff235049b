package wellspan.core.schema;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.GZIPInputStream;

/**
 * The tables of one IFC schema version. Names are looked up in upper case, as they stand in files.
 */
public final class Schema {
  private static final Map<String, Schema> LOADED = new ConcurrentHashMap<>();
  private static final Set<String> SIMPLE =
      Set.of("STRING", "REAL", "INTEGER", "NUMBER", "BOOLEAN", "LOGICAL", "BINARY");

  /**
   * A defined type.
   *
   * @param maxLength of strings, 0 if unlimited
   */
  public record DefinedType(String name, TypeRef base, int maxLength, boolean exactLength) {}

  private final String id;
  private final Map<String, Entity> entities = new HashMap<>();
  private final List<Entity> byNumber = new ArrayList<>();
  private final Map<String, DefinedType> types = new HashMap<>();
  private final Map<String, Set<String>> enumerations = new HashMap<>();
  private final Map<String, List<String>> selects = new HashMap<>();
  private final Map<String, String> upper = new HashMap<>();
  private final Map<String, BitSet> allowed = new ConcurrentHashMap<>();
  private final Map<String, Set<String>> flatSelects = new ConcurrentHashMap<>();

  private Schema(String id) {
    this.id = id;
  }

  /** Finds the tables for an identifier of FILE_SCHEMA. */
  public static Optional<Schema> forFile(String fileSchema) {
    return switch (fileSchema.toUpperCase(Locale.ROOT)) {
      case "IFC2X3", "IFC2X3_TC1", "IFC2X_FINAL" -> Optional.of(table("IFC2X3"));
      case "IFC4", "IFC4_ADD1", "IFC4_ADD2", "IFC4_ADD2_TC1" -> Optional.of(table("IFC4"));
      case "IFC4X3_ADD2", "IFC4X3", "IFC4X3_ADD1", "IFC4X3_TC1" -> Optional.of(table("IFC4X3"));
      default -> Optional.empty();
    };
  }

  private static Schema table(String name) {
    return LOADED.computeIfAbsent(name, Schema::load);
  }

  /** Name of the table: IFC2X3, IFC4 or IFC4X3. */
  public String id() {
    return id;
  }

  /** All classes, in the order of the table. */
  public List<Entity> entities() {
    return List.copyOf(byNumber);
  }

  public Optional<Entity> entity(String name) {
    Entity asItStands = entities.get(name);
    return Optional.ofNullable(asItStands != null ? asItStands : entities.get(upper(name)));
  }

  /** A name in upper case, as it stands in files; names of the schema without making it anew. */
  public String upper(String name) {
    String known = upper.get(name);
    return known != null ? known : name.toUpperCase(Locale.ROOT);
  }

  public Entity entity(int number) {
    return byNumber.get(number);
  }

  public Optional<DefinedType> type(String upperName) {
    return Optional.ofNullable(types.get(upperName));
  }

  /** Literals of an enumeration, empty optional if there is none of this name. */
  public Optional<Set<String>> enumeration(String upperName) {
    return Optional.ofNullable(enumerations.get(upperName));
  }

  public boolean isSelect(String upperName) {
    return selects.containsKey(upperName);
  }

  /** All entities and defined types that a select allows, through nested selects, in upper case. */
  public Set<String> selectMembers(String upperName) {
    return flatSelects.computeIfAbsent(
        upperName,
        n -> {
          Set<String> out = new HashSet<>();
          List<String> open = new ArrayList<>(List.of(n));
          while (!open.isEmpty()) {
            for (String m : selects.get(open.removeLast())) {
              if (selects.containsKey(m)) {
                open.add(m);
              } else {
                out.add(m);
              }
            }
          }
          return out;
        });
  }

  /** Whether an entity is another or one of its subtypes. */
  public boolean isA(Entity entity, String upperName) {
    return allowed(upperName).get(entity.number());
  }

  /** Whether a name is that of an entity, in upper case. */
  public boolean isEntity(String upperName) {
    return entities.containsKey(upperName);
  }

  /**
   * Numbers of the entities that may stand where an entity or a select is asked for: it, its
   * subtypes, what the select allows. Computed once for each name; not to be written.
   */
  public BitSet allowed(String upperName) {
    BitSet known = allowed.get(upperName);
    if (known != null) {
      return known;
    }
    return allowed.computeIfAbsent(
        upperName,
        name -> {
          Set<String> names = isSelect(name) ? selectMembers(name) : Set.of(name);
          BitSet out = new BitSet();
          for (Entity e : byNumber) {
            for (Entity up = e; up != null; up = entities.get(up.supertype())) {
              if (names.contains(up.name().toUpperCase(Locale.ROOT))) {
                out.set(e.number());
              }
            }
          }
          return out;
        });
  }

  /**
   * The simple type that a defined type comes down to (STRING, REAL …), empty for aggregates,
   * entities and others.
   */
  public Optional<String> simpleType(String upperName) {
    String n = upperName;
    while (n != null && !SIMPLE.contains(n)) {
      DefinedType t = types.get(n);
      n = t != null && t.base() instanceof TypeRef.Named(String base) ? base : null;
    }
    return Optional.ofNullable(n);
  }

  private static Schema load(String name) {
    Schema s = new Schema(name);
    try (InputStream in = Schema.class.getResourceAsStream(name + ".tsv.gz");
        BufferedReader lines =
            new BufferedReader(
                new InputStreamReader(new GZIPInputStream(in), StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        s.row(line.split("\t", -1));
      }
    } catch (IOException e) {
      throw new UncheckedIOException("The schema tables are damaged. Install again.", e);
    }
    return s;
  }

  private void row(String[] c) {
    String key = c.length > 1 ? c[1].toUpperCase(Locale.ROOT) : "";
    if (c.length > 1) {
      upper.put(c[1], key);
    }
    switch (c[0]) {
      case "E" -> {
        List<Attribute> attributes = new ArrayList<>();
        for (String a : c[5].isEmpty() ? new String[0] : c[5].split(" ")) {
          int colon = a.indexOf(':');
          String n = a.substring(0, colon);
          boolean optional = n.endsWith("?");
          boolean derived = n.endsWith("*");
          attributes.add(
              new Attribute(
                  (optional || derived ? n.substring(0, n.length() - 1) : n).intern(),
                  optional,
                  derived,
                  parse(a.substring(colon + 1))));
        }
        Entity e =
            new Entity(
                c[1],
                c[2].toUpperCase(Locale.ROOT),
                c[3].equals("1"),
                List.copyOf(attributes),
                byNumber.size());
        entities.put(key, e);
        byNumber.add(e);
      }
      case "T" -> {
        String max = c.length > 4 ? c[4] : "";
        boolean exact = max.endsWith("F");
        int length =
            max.isEmpty() ? 0 : Integer.parseInt(exact ? max.substring(0, max.length() - 1) : max);
        types.put(key, new DefinedType(c[1], parse(c[2]), length, exact));
      }
      case "N" -> enumerations.put(key, Set.of(c[2].split(" ")));
      case "S" -> selects.put(key, List.of(c[2].toUpperCase(Locale.ROOT).split(" ")));
      default -> {}
    }
  }

  private static TypeRef parse(String text) {
    int open = text.indexOf('[');
    if (open < 0) {
      return new TypeRef.Named(text.toUpperCase(Locale.ROOT));
    }
    int close = text.indexOf(']');
    String kind = text.substring(0, open).replace("~", "");
    String bounds = text.substring(open + 1, close);
    int low = 0;
    int high = Integer.MAX_VALUE;
    if (!bounds.isEmpty()) {
      String[] b = bounds.split(":");
      low = Integer.parseInt(b[0]);
      high = b[1].equals("?") ? Integer.MAX_VALUE : Integer.parseInt(b[1]);
    }
    return new TypeRef.Aggregate(kind, low, high, parse(text.substring(close + 1)));
  }
}
