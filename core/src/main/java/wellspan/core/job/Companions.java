package wellspan.core.job;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Files that belong to another one and lie beside it under its name. */
final class Companions {
  /** Endings of companions by the ending of the file they belong to. */
  private static final Map<String, Set<String>> OF =
      Map.of(
          "shp", Set.of("dbf", "shx", "prj", "cpg"),
          "gltf", Set.of("bin"),
          "asc", Set.of("prj"),
          "png", Set.of("pgw", "pngw", "wld", "prj"),
          "jpg", Set.of("jgw", "jpgw", "wld", "prj"),
          "jpeg", Set.of("jgw", "jpgw", "jpegw", "wld", "prj"),
          "tif", Set.of("tfw", "tifw", "wld", "prj"),
          "tiff", Set.of("tfw", "tifw", "tiffw", "wld", "prj"));

  private Companions() {}

  static List<Path> of(Path file) throws IOException {
    Set<String> wanted = OF.getOrDefault(ending(file), Set.of());
    Path folder = file.toAbsolutePath().getParent();
    if (wanted.isEmpty() || folder == null) {
      return List.of();
    }
    String stem = stem(file);
    try (Stream<Path> beside = Files.list(folder)) {
      return beside
          .filter(p -> stem(p).equals(stem) && wanted.contains(ending(p)))
          .filter(Files::isRegularFile)
          .sorted()
          .toList();
    }
  }

  private static String ending(Path p) {
    String n = String.valueOf(p.getFileName());
    return n.substring(n.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
  }

  private static String stem(Path p) {
    String n = String.valueOf(p.getFileName());
    return n.substring(0, Math.max(0, n.lastIndexOf('.')));
  }
}
