package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import wellspan.core.job.AtomicFile;

/**
 * A file under a name of its own until it is proven. Files that come in several, which find each
 * other by their names, lie in a folder of their own until then.
 *
 * @param main where the main file is written
 * @param endings of the files beside it, without dot
 */
record FreshFiles(Path main, List<String> endings) {

  static FreshFiles of(Path target, List<String> endings) throws IOException {
    if (endings.isEmpty()) {
      return new FreshFiles(AtomicFile.fresh(target), endings);
    }
    Path room = Files.createTempDirectory(target.getParent(), ".fresh");
    return new FreshFiles(room.resolve(target.getFileName()), endings);
  }

  /** The files that were written beside the main one, each with the name it is to have. */
  Map<Path, Path> companions(Path kept) {
    Map<Path, Path> out = new LinkedHashMap<>();
    String fresh = stem(main);
    String name = String.valueOf(kept.getFileName());
    String ending = name.endsWith(".unproven") ? ".unproven" : "";
    String last = stem(kept.resolveSibling(name.substring(0, name.length() - ending.length())));
    for (String e : endings) {
      Path from = main.resolveSibling(fresh + e);
      if (Files.exists(from)) {
        out.put(from, kept.resolveSibling(last + e + ending));
      }
    }
    return out;
  }

  private static String stem(Path file) {
    String name = String.valueOf(file.getFileName());
    return name.substring(0, name.lastIndexOf('.') + 1);
  }

  /** Lets all of them take their places. */
  void keep(Path kept) throws IOException {
    for (Map.Entry<Path, Path> c : companions(kept).entrySet()) {
      AtomicFile.move(c.getKey(), c.getValue());
    }
    AtomicFile.move(main, kept);
  }

  void discard() throws IOException {
    Files.deleteIfExists(main);
    if (!endings.isEmpty()) {
      Path room = main.getParent();
      try (Stream<Path> rest = Files.list(room)) {
        for (Path p : rest.toList()) {
          Files.delete(p);
        }
      }
      Files.delete(room);
    }
  }
}
