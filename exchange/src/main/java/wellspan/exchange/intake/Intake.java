package wellspan.exchange.intake;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Locale;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.landxml.LandXmlReader;
import wellspan.exchange.points.PointListReader;
import wellspan.exchange.position.GeoTiffKeys;
import wellspan.exchange.position.PositionReader;

/** Opens a received file, whatever its name says: the format is found in its first bytes. */
public final class Intake {
  private static final int HEAD = 4096;

  private Intake() {}

  /**
   * @throws ReadException with a sentence that names the file and what to do
   * @throws java.util.concurrent.CancellationException if the progress was cancelled
   */
  public static Received read(Path file, Progress progress) throws IOException {
    if (Files.isDirectory(file)) {
      throw new ReadException(file, "this is a folder, not a file.");
    }
    try {
      if (PositionReader.knows(file)) {
        return PositionReader.read(file);
      }
      byte[] first = first(file);
      if (GeoTiffKeys.isTiff(first)) {
        return GeoTiffKeys.read(file);
      }
      String head = text(first);
      if (head.isBlank()) {
        throw new ReadException(file, "the file is empty. Ask for it again.");
      }
      if (head.contains("ISO-10303-21")) {
        return IfcReader.read(file, progress);
      }
      if (head.stripLeading().startsWith("<")) {
        return LandXmlReader.read(file, progress);
      }
      String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
      if (name.endsWith(".csv") || name.endsWith(".txt")) {
        return PointListReader.read(file, progress);
      }
    } catch (NoSuchFileException e) {
      throw new ReadException(file, "there is no such file.", e);
    } catch (AccessDeniedException e) {
      throw new ReadException(file, "the file may not be read. Check its permissions.", e);
    }
    throw new ReadException(
        file,
        "the format is not known. LandXML, IFC, point lists (CSV) and position files (.prj, world files, GeoTIFF) can be received.");
  }

  private static byte[] first(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return in.readNBytes(HEAD);
    }
  }

  private static String text(byte[] b) {
    boolean utf16 =
        b.length > 1
            && ((b[0] & 0xFF) == 0xFE && (b[1] & 0xFF) == 0xFF
                || (b[0] & 0xFF) == 0xFF && (b[1] & 0xFF) == 0xFE);
    String s = new String(b, utf16 ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
    return s.startsWith("\uFEFF") ? s.substring(1) : s;
  }
}
