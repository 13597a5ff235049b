package wellspan.exchange.points;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wellspan.core.unit.LinearUnit;

/**
 * Which column of a point list holds what.
 *
 * @param at index of each role's column
 * @param unit that the header names in brackets, as in {@code x [mm]}
 * @param headed whether the first line names the columns
 */
record PointColumns(Map<Role, Integer> at, Optional<LinearUnit> unit, boolean headed) {

  /** What a column holds. */
  enum Role {
    NAME(
        "point",
        "name",
        "id",
        "number",
        "no",
        "nr",
        "pt",
        "punkt",
        "punktnummer",
        "punktnr",
        "numéro",
        "numero",
        "nom",
        "navn",
        "pkt",
        "station"),
    EAST(
        "e",
        "east",
        "easting",
        "x",
        "rechtswert",
        "rw",
        "ostwert",
        "ost",
        "øst",
        "est",
        "este",
        "oost",
        "rechts",
        "y øst",
        "eastings"),
    NORTH(
        "n",
        "north",
        "northing",
        "y",
        "hochwert",
        "hw",
        "nordwert",
        "nord",
        "norte",
        "noord",
        "hoch",
        "northings"),
    HEIGHT(
        "h",
        "height",
        "level",
        "elevation",
        "z",
        "höhe",
        "hoehe",
        "høyde",
        "hoyde",
        "altitude",
        "quota",
        "cota",
        "hoogte",
        "elev",
        "rl"),
    CODE("code", "description", "desc", "kode", "bemerkung", "remark", "art", "type"),
    LATITUDE("latitude", "lat", "breite", "bredde", "latitud", "b"),
    LONGITUDE("longitude", "lon", "long", "lng", "länge", "lengde", "longitud", "l");

    private final List<String> names;

    Role(String... names) {
      this.names = List.of(names);
    }
  }

  private static final Pattern UNIT = Pattern.compile("^(.*?)[\\s_]*[\\[(/]\\s*(\\w+)\\s*[\\])]?$");

  boolean geographic() {
    return at.containsKey(Role.LATITUDE) && at.containsKey(Role.LONGITUDE);
  }

  boolean complete() {
    return geographic() || at.containsKey(Role.EAST) && at.containsKey(Role.NORTH);
  }

  Optional<String> value(Role role, List<String> row) {
    Integer i = at.get(role);
    return i == null || i >= row.size() || row.get(i).isBlank()
        ? Optional.empty()
        : Optional.of(row.get(i).strip());
  }

  /** By the words of a header line; roles that none of its words means are missing. */
  static PointColumns named(List<String> header) {
    Map<Role, Integer> at = new EnumMap<>(Role.class);
    Optional<LinearUnit> unit = Optional.empty();
    for (int i = 0; i < header.size(); i++) {
      String h = header.get(i).strip().toLowerCase(Locale.ROOT);
      Matcher m = UNIT.matcher(h);
      if (m.matches() && LinearUnit.named(m.group(2)).isPresent()) {
        unit = LinearUnit.named(m.group(2));
        h = m.group(1).strip();
      }
      for (Role r : Role.values()) {
        if (r.names.contains(h)) {
          at.putIfAbsent(r, i);
        }
      }
    }
    return new PointColumns(at, unit, true);
  }

  /** For lists without a header: name, easting, northing, height, code; or three plain numbers. */
  static PointColumns byPosition(List<String> row) {
    Map<Role, Integer> at = new EnumMap<>(Role.class);
    int first = row.size() == 3 ? 0 : 1;
    if (first == 1) {
      at.put(Role.NAME, 0);
    }
    at.put(Role.EAST, first);
    at.put(Role.NORTH, first + 1);
    at.put(Role.HEIGHT, first + 2);
    at.put(Role.CODE, first + 3);
    return new PointColumns(at, Optional.empty(), false);
  }
}
