package wellspan.core.crs;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.zip.GZIPInputStream;

/** WKT 1 of the catalogue's systems as it stands in .prj files; read on first use. */
public final class WellKnownTexts {
  private static final class Holder {
    static final WellKnownTexts SHIPPED = load();
  }

  private final Map<String, String> byCode = new HashMap<>();
  private final Map<String, String> codeByName = new HashMap<>();

  private WellKnownTexts() {}

  /** The text of a catalogue system; empty for systems of a job's own. */
  public static Optional<String> of(Crs crs) {
    return Optional.ofNullable(Holder.SHIPPED.byCode.get(crs.code()));
  }

  static Optional<Crs> byName(String name) {
    return Optional.ofNullable(Holder.SHIPPED.codeByName.get(plain(name)))
        .flatMap(CrsCatalogue.shipped()::find);
  }

  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", " ").strip();
  }

  private static WellKnownTexts load() {
    WellKnownTexts all = new WellKnownTexts();
    try (InputStream in = WellKnownTexts.class.getResourceAsStream("wkt.tsv.gz");
        BufferedReader lines =
            new BufferedReader(
                new InputStreamReader(new GZIPInputStream(in), StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        int tab = line.indexOf('\t');
        if (line.startsWith("#") || tab < 0 || tab + 1 == line.length()) {
          continue;
        }
        String code = line.substring(0, tab);
        String text = line.substring(tab + 1);
        all.byCode.put(code, text);
        int quote = text.indexOf('"');
        int end = text.indexOf('"', quote + 1);
        all.codeByName.putIfAbsent(plain(text.substring(quote + 1, end)), code);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(
          "The catalogue of coordinate reference systems is damaged. Install again.", e);
    }
    // names as in the catalogue itself, where a .prj name does not already stand for another code
    CrsCatalogue.shipped()
        .all()
        .forEach(c -> all.codeByName.putIfAbsent(plain(c.name()), c.code()));
    return all;
  }
}
