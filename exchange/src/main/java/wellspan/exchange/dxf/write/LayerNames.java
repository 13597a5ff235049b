package wellspan.exchange.dxf.write;

import java.text.Normalizer;
import java.util.Locale;
import java.util.function.UnaryOperator;
import wellspan.core.deliver.DxfRelease;
import wellspan.exchange.file.UniqueNames;

/** Names that layers may have. They do not know case: two that differ by it only are one layer. */
public final class LayerNames {
  private static final int LONGEST_R12 = 27; // 31, less a number for the second of a name

  private LayerNames() {}

  /** Makes a layer's name of any text; two texts may get the same name. */
  public static UnaryOperator<String> of(DxfRelease release) {
    return switch (release) {
      case R12 -> LayerNames::plain;
      case R2000, R2018 -> LayerNames::free;
    };
  }

  /** Keeps names apart by an ending that is itself allowed. */
  public static UniqueNames unique(DxfRelease release) {
    return release == DxfRelease.R12
        ? UniqueNames.ignoringCase("_", "")
        : UniqueNames.ignoringCase(" (", ")");
  }

  private static String plain(String s) {
    String ascii =
        Normalizer.normalize(
                s.replace("ß", "ss").replace('ø', 'o').replace('Ø', 'O'), Normalizer.Form.NFD)
            .replaceAll("\\p{M}", "");
    String name = ascii.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9$_-]+", "_");
    return name.isEmpty() ? "_" : name.substring(0, Math.min(LONGEST_R12, name.length()));
  }

  /** Two percent signs begin a mark in texts and not every receiver knows how a third ends it. */
  private static String free(String s) {
    String name =
        s.replaceAll("[<>/\\\\\":;?*|=`,\\p{Cntrl}]", "_").replaceAll("%{2,}", "%").strip();
    return name.isEmpty() ? "_" : name.substring(0, Math.min(200, name.length())).strip();
  }
}
