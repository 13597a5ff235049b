package wellspan.exchange.grid.read;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;
import wellspan.core.progress.Progress;
import wellspan.exchange.file.FileBytes;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.tiff.TiffTags;

/**
 * Looks whether the strips or tiles of a picture that are packed with deflate come to an end: the
 * library waits for ever for the rest of one that does not. Costs the time of unpacking them once.
 */
final class DeflatedParts {
  private static final Set<Integer> DEFLATE = Set.of(8, 32946);

  private DeflatedParts() {}

  /**
   * @throws ReadException if one of them is cut off or damaged
   */
  static void check(Path file, TiffTags tags, Progress progress) throws IOException {
    if (!DEFLATE.contains((int) tags.number(TiffTags.COMPRESSION, 1))) {
      return;
    }
    boolean tiled = tags.numbers(TiffTags.TILE_OFFSETS).length > 0;
    double[] offsets = tags.numbers(tiled ? TiffTags.TILE_OFFSETS : TiffTags.STRIP_OFFSETS);
    double[] counts = tags.numbers(tiled ? TiffTags.TILE_COUNTS : TiffTags.STRIP_COUNTS);
    byte[] unpacked = new byte[1 << 16];
    try (FileBytes bytes = new FileBytes(file)) {
      for (int i = 0; i < offsets.length; i++) {
        progress.checkCancelled();
        if (i >= counts.length
            || offsets[i] + counts[i] > bytes.size()
            || !ends(bytes.bytes((long) offsets[i], (long) counts[i]), unpacked)) {
          throw new ReadException(
              file, "the grid's pixels are damaged or end too early. Ask for it again.");
        }
      }
    }
  }

  private static boolean ends(byte[] packed, byte[] unpacked) {
    Inflater inflater = new Inflater();
    try {
      inflater.setInput(packed);
      while (!inflater.finished()) {
        if (inflater.inflate(unpacked) == 0
            && (inflater.needsInput() || inflater.needsDictionary())) {
          return false;
        }
      }
      return true;
    } catch (DataFormatException e) {
      return false;
    } finally {
      inflater.end();
    }
  }
}
