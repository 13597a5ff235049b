package wellspan.core.crs;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where the EPSG dataset says that a way from a datum holds, and how well: grid files and
 * translations, each with its area.
 */
final class KnownShifts {
  private static final Pattern TRANSLATION =
      Pattern.compile("\\+towgs84=([^,\\s]+),([^,\\s]+),([^,\\s]+)");
  private static final double SAME = 1e-3;

  /**
   * One of them.
   *
   * @param by name of a grid file, or the three numbers of a translation
   * @param accuracy metres
   */
  private record Known(String by, double accuracy, AreaOfUse area) {
    boolean isGrid() {
      return by.indexOf(',') < 0;
    }
  }

  private static final class Holder {
    static final Map<String, List<Known>> BY_BASE = load();
  }

  private KnownShifts() {}

  /** How well the way from a system's datum is known at a place, degrees. */
  static DatumShift at(Crs crs, double longitude, double latitude) {
    List<Known> here =
        Holder.BY_BASE.getOrDefault(crs.base(), List.of()).stream()
            .filter(k -> k.area().covers(longitude, latitude))
            .toList();
    return shift(crs, here);
  }

  /** The same for the whole area of use of a system. */
  static DatumShift everywhere(Crs crs) {
    AreaOfUse a = crs.area();
    List<Known> here =
        Holder.BY_BASE.getOrDefault(crs.base(), List.of()).stream()
            .filter(
                k ->
                    k.area().covers(a.west(), a.south(), 0.1)
                        && k.area().covers(a.east(), a.north(), 0.1))
            .toList();
    DatumShift there = shift(crs, here);
    return Double.isNaN(there.accuracy())
        ? new DatumShift(crs.shift().accuracy(), there.grid(), there.gridAccuracy())
        : there;
  }

  private static DatumShift shift(Crs crs, List<Known> here) {
    OptionalDouble own = own(crs, here);
    double accuracy =
        own.isPresent() ? own.getAsDouble() : isListed(crs) ? Double.NaN : crs.shift().accuracy();
    Optional<Known> grid =
        here.stream()
            .filter(Known::isGrid)
            .filter(k -> !(k.accuracy() >= accuracy))
            .min(
                Comparator.comparingDouble(Known::accuracy)
                    .thenComparing(Known::by, Comparator.reverseOrder()));
    return new DatumShift(
        accuracy, grid.map(Known::by).orElse(""), grid.map(Known::accuracy).orElse(Double.NaN));
  }

  /** Whether the dataset has the translation that the system's text uses, for some area. */
  private static boolean isListed(Crs crs) {
    return own(crs, Holder.BY_BASE.getOrDefault(crs.base(), List.of())).isPresent();
  }

  private static OptionalDouble own(Crs crs, List<Known> among) {
    Matcher m = TRANSLATION.matcher(crs.projText());
    if (!m.find()) {
      return OptionalDouble.empty();
    }
    return among.stream()
        .filter(k -> !k.isGrid() && same(k.by().split(","), m))
        .mapToDouble(Known::accuracy)
        .min();
  }

  private static boolean same(String[] numbers, Matcher text) {
    for (int i = 0; i < numbers.length; i++) {
      if (Math.abs(Double.parseDouble(numbers[i]) - Double.parseDouble(text.group(i + 1))) > SAME) {
        return false;
      }
    }
    return true;
  }

  private static Map<String, List<Known>> load() {
    Map<String, List<Known>> out = new HashMap<>();
    for (String[] c : CrsCatalogue.table("shifts.tsv")) {
      AreaOfUse area =
          new AreaOfUse(
              "",
              Double.parseDouble(c[3]),
              Double.parseDouble(c[4]),
              Double.parseDouble(c[5]),
              Double.parseDouble(c[6]));
      out.computeIfAbsent(c[0], k -> new ArrayList<>())
          .add(new Known(c[1], Double.parseDouble(c[2]), area));
    }
    return out;
  }
}
