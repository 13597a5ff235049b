package wellspan.exchange.points.read;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wellspan.core.receive.ColumnRole;
import wellspan.core.receive.ReadingRule;
import wellspan.core.unit.LinearUnit;

/**
 * Which column of a point list holds what.
 *
 * @param at index of each role's column
 * @param unit that the header names in brackets, as in {@code x [mm]}
 * @param headed whether the first line names the columns
 */
record PointColumns(Map<ColumnRole, Integer> at, Optional<LinearUnit> unit, boolean headed) {
  /** Words of headers, in the trade's words of several languages. */
  private static final Map<ColumnRole, Set<String>> WORDS =
      Map.of(
          ColumnRole.NAME,
          Set.of(
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
          ColumnRole.EAST,
          Set.of(
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
          ColumnRole.NORTH,
          Set.of(
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
          ColumnRole.HEIGHT,
          Set.of(
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
          ColumnRole.CODE,
          Set.of("code", "description", "desc", "kode", "bemerkung", "remark", "art", "type"),
          ColumnRole.LATITUDE,
          Set.of("latitude", "lat", "breite", "bredde", "latitud", "b"),
          ColumnRole.LONGITUDE,
          Set.of("longitude", "lon", "long", "lng", "länge", "lengde", "longitud", "l"));

  private static final Pattern UNIT = Pattern.compile("^(.*?)[\\s_]*[\\[(/]\\s*(\\w+)\\s*[\\])]?$");

  boolean geographic() {
    return at.containsKey(ColumnRole.LATITUDE) && at.containsKey(ColumnRole.LONGITUDE);
  }

  boolean complete() {
    return geographic() || at.containsKey(ColumnRole.EAST) && at.containsKey(ColumnRole.NORTH);
  }

  Optional<String> value(ColumnRole role, List<String> row) {
    Integer i = at.get(role);
    return i == null || i >= row.size() || row.get(i).isBlank()
        ? Optional.empty()
        : Optional.of(row.get(i).strip());
  }

  /** As somebody chose them. */
  static PointColumns of(ReadingRule.Columns rule) {
    Map<ColumnRole, Integer> at = new EnumMap<>(ColumnRole.class);
    for (int i = 0; i < rule.roles().size(); i++) {
      if (rule.roles().get(i) != ColumnRole.NONE) {
        at.put(rule.roles().get(i), i);
      }
    }
    return new PointColumns(at, rule.unit(), rule.headLines() > 0);
  }

  /** What each of a row's columns holds. */
  List<ColumnRole> roles(int width) {
    List<ColumnRole> out = new ArrayList<>(Collections.nCopies(width, ColumnRole.NONE));
    at.forEach(
        (role, i) -> {
          if (i < width) {
            out.set(i, role);
          }
        });
    return out;
  }

  /** By the words of a header line; roles that none of its words means are missing. */
  static PointColumns named(List<String> header) {
    Map<ColumnRole, Integer> at = new EnumMap<>(ColumnRole.class);
    Optional<LinearUnit> unit = Optional.empty();
    for (int i = 0; i < header.size(); i++) {
      String h = header.get(i).strip().toLowerCase(Locale.ROOT);
      Matcher m = UNIT.matcher(h);
      if (m.matches() && LinearUnit.named(m.group(2)).isPresent()) {
        unit = LinearUnit.named(m.group(2));
        h = m.group(1).strip();
      }
      for (Map.Entry<ColumnRole, Set<String>> e : WORDS.entrySet()) {
        if (e.getValue().contains(h)) {
          at.putIfAbsent(e.getKey(), i);
        }
      }
    }
    return new PointColumns(at, unit, true);
  }

  /** For lists without a header: name, easting, northing, height, code; or three plain numbers. */
  static PointColumns byPosition(List<String> row) {
    Map<ColumnRole, Integer> at = new EnumMap<>(ColumnRole.class);
    int first = row.size() == 3 ? 0 : 1;
    if (first == 1) {
      at.put(ColumnRole.NAME, 0);
    }
    at.put(ColumnRole.EAST, first);
    at.put(ColumnRole.NORTH, first + 1);
    at.put(ColumnRole.HEIGHT, first + 2);
    at.put(ColumnRole.CODE, first + 3);
    return new PointColumns(at, Optional.empty(), false);
  }
}
