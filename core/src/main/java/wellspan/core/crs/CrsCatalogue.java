package wellspan.core.crs;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import wellspan.core.unit.LinearUnit;

/**
 * The coordinate reference systems that ship with the application: the EPSG dataset's projected and
 * geographic ones.
 */
public final class CrsCatalogue {
  /**
   * Ellipsoids that the projection library does not know by their names, with their EPSG
   * parameters.
   */
  private static final Map<String, String> ELLIPSOIDS =
      Map.of(
          "+ellps=clrk80ign", "+a=6378249.2 +rf=293.4660212936269",
          "+ellps=GSK2011", "+a=6378136.5 +rf=298.2564151");

  private static final class Holder {
    static final CrsCatalogue SHIPPED = load();
  }

  private final Map<String, Crs> byCode;

  private CrsCatalogue(Map<String, Crs> byCode) {
    this.byCode = byCode;
  }

  /** The catalogue that ships; read once, on first use. */
  public static CrsCatalogue shipped() {
    return Holder.SHIPPED;
  }

  public Collection<Crs> all() {
    return byCode.values();
  }

  /** Finds by code, written {@code 25832} or {@code EPSG:25832} in any case. */
  public Optional<Crs> find(String code) {
    String c = code.strip().toUpperCase(Locale.ROOT);
    return Optional.ofNullable(byCode.get(c.startsWith("EPSG:") ? c.substring(5).strip() : c));
  }

  /**
   * Why a code is not in the catalogue, as a part of a sentence: withdrawn, with what takes its
   * place, or not known.
   */
  public String whyMissing(String code) {
    String digits = code.strip().toUpperCase(Locale.ROOT).replaceFirst("^EPSG:", "").strip();
    return Optional.ofNullable(Withdrawn.BY_CODE.get(digits))
        .orElse("is not in the catalogue of coordinate reference systems");
  }

  /** Sentences about codes that the dataset has withdrawn. */
  private static final class Withdrawn {
    static final Map<String, String> BY_CODE = new HashMap<>();

    static {
      for (String[] c : table("withdrawn.tsv")) {
        List<String> successors =
            c.length < 3
                ? List.of()
                : Arrays.stream(c[2].split(" ")).map(s -> "EPSG:" + s).toList();
        BY_CODE.put(
            c[0],
            "("
                + c[1]
                + ") was withdrawn by the EPSG dataset"
                + (successors.isEmpty()
                    ? " without a successor"
                    : "; "
                        + String.join(" or ", successors)
                        + (successors.size() == 1 ? " takes its place" : " take its place")));
      }
    }
  }

  /** The rows of a small table that ships, without its comments. */
  static List<String[]> table(String name) {
    try (InputStream in = CrsCatalogue.class.getResourceAsStream(name);
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      return lines.lines().filter(l -> !l.startsWith("#")).map(l -> l.split("\t")).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(
          "The catalogue of coordinate reference systems is damaged. Install again.", e);
    }
  }

  /**
   * Finds systems whose code, name or area of use hold every word of the query. Exact codes come
   * first, then favourites, then names that hold all words, then the rest; shorter names first.
   */
  public List<Crs> search(String query, Collection<String> favourites, int limit) {
    String[] words = query.strip().toLowerCase(Locale.ROOT).split("[\\s/,]+");
    record Hit(Crs crs, int rank) {}
    List<Hit> hits = new ArrayList<>();
    for (Crs crs : byCode.values()) {
      String name = crs.name().toLowerCase(Locale.ROOT);
      String text =
          name
              + " epsg:"
              + crs.code()
              + " "
              + crs.area().name().toLowerCase(Locale.ROOT)
              + " "
              + crs.datum().toLowerCase(Locale.ROOT);
      boolean all = true;
      boolean inName = true;
      for (String w : words) {
        all &= text.contains(w);
        inName &= name.contains(w);
      }
      if (all) {
        boolean exact =
            words.length == 1
                && (words[0].equals(crs.code()) || words[0].equals("epsg:" + crs.code()));
        int rank = exact ? 0 : favourites.contains(crs.id()) ? 1 : inName ? 2 : 3;
        hits.add(new Hit(crs, rank));
      }
    }
    hits.sort(
        Comparator.comparingInt(Hit::rank)
            .thenComparingInt(h -> h.crs.name().length())
            .thenComparingInt(h -> Integer.parseInt(h.crs.code())));
    return hits.stream().limit(limit).map(Hit::crs).toList();
  }

  /** Projected systems whose area of use holds a place, smallest area first. */
  public List<Crs> validAt(double longitude, double latitude) {
    return validAround(longitude, latitude, 0);
  }

  /**
   * The same with areas of use widened on each side, since a neighbouring zone is often used too.
   *
   * @param margin degrees
   */
  public List<Crs> validAround(double longitude, double latitude, double margin) {
    return byCode.values().stream()
        .filter(c -> c.projected() && c.area().covers(longitude, latitude, margin))
        .sorted(Comparator.comparingDouble(c -> c.area().size()))
        .toList();
  }

  private static CrsCatalogue load() {
    Map<String, Crs> found = new LinkedHashMap<>();
    try (InputStream in = CrsCatalogue.class.getResourceAsStream("crs.tsv.gz");
        BufferedReader lines =
            new BufferedReader(
                new InputStreamReader(new GZIPInputStream(in), StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (line.startsWith("#")) {
          continue;
        }
        String[] c = line.split("\t", -1);
        found.put(
            c[0],
            new Crs(
                c[0],
                c[1].equals("P"),
                c[2],
                c[3],
                exact(Double.parseDouble(c[4])),
                c[5],
                new AreaOfUse(
                    c[6],
                    Double.parseDouble(c[7]),
                    Double.parseDouble(c[8]),
                    Double.parseDouble(c[9]),
                    Double.parseDouble(c[10])),
                alongAxes(known(c[11]), c[12]),
                c[12],
                c[13],
                new DatumShift(number(c[14]), c[15], number(c[16]))));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(
          "The catalogue of coordinate reference systems is damaged. Install again.", e);
    }
    Map<String, Crs> whole = new LinkedHashMap<>();
    found.forEach((code, crs) -> whole.put(code, GreenwichTwin.shifted(crs, found.values())));
    return new CrsCatalogue(whole);
  }

  private static double number(String text) {
    return text.isEmpty() ? Double.NaN : Double.parseDouble(text);
  }

  /** The dataset rounds factors of units; the units known here are exact. */
  private static double exact(double metres) {
    for (LinearUnit u : LinearUnit.values()) {
      if (Math.abs(metres / u.metres() - 1) < 1e-12) {
        return u.metres();
      }
    }
    return metres;
  }

  /** Some texts leave out the axes that the dataset names. */
  private static String alongAxes(String projText, String axes) {
    return axes.equals("Southing Westing") && !projText.contains("+axis=")
        ? projText + " +axis=swu"
        : projText;
  }

  private static String known(String projText) {
    String text = projText;
    for (Map.Entry<String, String> e : ELLIPSOIDS.entrySet()) {
      text = text.replace(e.getKey(), e.getValue());
    }
    return text;
  }
}
