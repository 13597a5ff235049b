package wellspan.exchange.cloud.read;

import com.github.mreutegg.laszip4j.CloseablePointIterable;
import com.github.mreutegg.laszip4j.LASHeader;
import com.github.mreutegg.laszip4j.LASPoint;
import com.github.mreutegg.laszip4j.LASReader;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CancellationException;
import wellspan.core.crs.CrsTextException;
import wellspan.core.crs.OwnSystem;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.progress.Progress;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.exchange.file.FileBytes;
import wellspan.exchange.file.ReadException;

/**
 * Reads points of a cloud, one group for each class. Of more points than can be worked with every
 * n-th is taken, and that is said.
 */
public final class LasReader {
  /** Points that are kept at most; of more every n-th is taken. */
  static final int MOST = 5_000_000;

  private static final int SMALLEST_HEADER = 227;
  private static final int COMPRESSED = 0x80;

  private LasReader() {}

  /** Whether a file begins like a cloud. */
  public static boolean isLas(byte[] head) {
    return head.length > 4 && head[0] == 'L' && head[1] == 'A' && head[2] == 'S' && head[3] == 'F';
  }

  /**
   * @param part which points are taken
   * @throws ReadException with a sentence, if it is damaged or holds more of the wanted points than
   *     can be worked with
   */
  public static Received read(Path file, ReadingRule.CloudPart part, Progress progress)
      throws IOException {
    Head head = head(file);
    long step = part.every();
    if (part.classes().isEmpty() && part.cell() == 0) { // otherwise nobody knows how many it is
      step = Math.max(step, (head.points + MOST - 1) / MOST);
    }
    CloudClasses classes = new CloudClasses(file, part, step);
    long n = 0;
    int withheld = 0;
    LASReader reader = new LASReader(file.toFile());
    LASHeader h = reader.getHeader();
    try (CloseablePointIterable points = reader.getCloseablePoints()) {
      for (LASPoint p : points) {
        if (n % 65_536 == 0) {
          progress.advance((double) n / Math.max(1, head.points), "Reading " + file.getFileName());
        }
        n++;
        if (p.isWithheld()) {
          withheld++;
          continue;
        }
        classes.add(
            p.getClassification(),
            h.getXOffset() + p.getX() * h.getXScaleFactor(),
            h.getYOffset() + p.getY() * h.getYScaleFactor(),
            h.getZOffset() + p.getZ() * h.getZScaleFactor());
      }
    } catch (CancellationException e) {
      throw e;
    } catch (RuntimeException e) { // the library tells damaged data in many ways
      throw new ReadException(
          file, "point " + n + " of " + head.points + " cannot be read: the file is damaged.", e);
    }
    if (n != head.points) {
      throw new ReadException(
          file,
          "it says it holds "
              + head.points
              + " points and ends after "
              + n
              + ". Ask for it again.");
    }
    if (classes.kept() == 0) {
      throw new ReadException(
          file,
          "it holds no points of the wanted classes, only "
              + String.join(", ", classes.counts().keySet())
              + ". Choose one of these.");
    }
    return received(file, head, part, classes, step, withheld);
  }

  /**
   * What the head of the file says.
   *
   * @param crs empty if it does not say
   */
  private record Head(String version, boolean compressed, long points, String crs) {}

  private static Head head(Path file) throws IOException {
    try (FileBytes bytes = new FileBytes(file)) {
      ByteBuffer b = bytes.at(0, SMALLEST_HEADER, ByteOrder.LITTLE_ENDIAN);
      int major = b.get(24), minor = b.get(25);
      if (major != 1 || minor < 0 || minor > 4) {
        throw new ReadException(
            file, "LAS " + major + "." + minor + " is not known; 1.0 to 1.4 can be read.");
      }
      int size = Short.toUnsignedInt(b.getShort(94));
      long start = Integer.toUnsignedLong(b.getInt(96));
      long records = Integer.toUnsignedLong(b.getInt(100));
      int format = Byte.toUnsignedInt(b.get(104));
      int length = Short.toUnsignedInt(b.getShort(105));
      long points = Integer.toUnsignedLong(b.getInt(107));
      if (minor == 4 && size >= 375) {
        points = bytes.at(247, 8, ByteOrder.LITTLE_ENDIAN).getLong();
      }
      boolean compressed = (format & COMPRESSED) != 0;
      boolean fits =
          compressed
              ? points <= bytes.size() * 64
              : points <= (bytes.size() - start) / Math.max(1, length);
      if (points < 0 || start > bytes.size() || !fits) {
        throw new ReadException(
            file,
            "it says it holds "
                + points
                + " points, more than it has room for: it was cut off or is damaged. Ask for it again.");
      }
      if (points == 0) {
        throw new ReadException(file, "it holds no points. Ask for it again.");
      }
      return new Head("1." + minor, compressed, points, crs(bytes, size, start, records));
    }
  }

  /** From the records before the points: well-known text, or keys as in GeoTIFF. */
  private static String crs(FileBytes bytes, long from, long end, long records) throws IOException {
    long at = from;
    for (long i = 0; i < records && at + 54 <= end; i++) {
      ByteBuffer r = bytes.at(at, 54, ByteOrder.LITTLE_ENDIAN);
      int id = Short.toUnsignedInt(r.getShort(18));
      int length = Short.toUnsignedInt(r.getShort(20));
      if (at + 54 + length > end) {
        return "";
      }
      byte[] content = bytes.bytes(at + 54, length);
      ByteBuffer data = ByteBuffer.wrap(content).order(ByteOrder.LITTLE_ENDIAN);
      if (id == 2112) {
        String text = new String(content, StandardCharsets.UTF_8).replace("\0", "").strip();
        return named(text);
      }
      if (id == 34735) {
        for (int k = 8; k + 8 <= length; k += 8) {
          int key = Short.toUnsignedInt(data.getShort(k));
          int code = Short.toUnsignedInt(data.getShort(k + 6));
          if (key == 3072 && code > 0 && code < 32767) {
            return "EPSG:" + code;
          }
        }
      }
      at += 54 + length;
    }
    return "";
  }

  private static String named(String text) {
    try {
      return OwnSystem.identify(text).map(c -> c.id()).orElseGet(() -> own(text));
    } catch (RuntimeException e) {
      return "";
    }
  }

  private static String own(String text) {
    try {
      return OwnSystem.of("", text).id();
    } catch (CrsTextException e) {
      return "";
    }
  }

  private static Received received(
      Path file,
      Head head,
      ReadingRule.CloudPart part,
      CloudClasses classes,
      long step,
      int withheld) {
    String stem = FileStem.of(String.valueOf(file.getFileName()));
    List<Finding> findings = new ArrayList<>();
    if (step > part.every()) {
      findings.add(
          Finding.warning(
                  Stop.RECEIVE,
                  "cloud.thinned",
                  stem,
                  String.format(
                      Locale.ROOT,
                      "The cloud holds %,d points; every %d-th was taken. Choose classes or squares to take others.",
                      head.points,
                      step))
              .withFigure(Figure.oneIn(step)));
    } else if (classes.kept() + withheld < head.points) {
      findings.add(
          Finding.note(
                  Stop.RECEIVE,
                  "cloud.part",
                  stem,
                  String.format(
                      Locale.ROOT,
                      "%,d of %,d points were taken, as the source's reading rule says.",
                      classes.kept(),
                      head.points))
              .withFigure(Figure.count(classes.kept(), "points")));
    }
    if (withheld > 0) {
      findings.add(
          Finding.note(
                  Stop.RECEIVE,
                  "cloud.withheld",
                  stem,
                  withheld + " points are marked as withheld and were left out.")
              .withFigure(Figure.count(withheld, "points")));
    }
    List<PlaceStatement> places = List.of();
    if (head.crs.isEmpty()) {
      findings.add(
          Finding.note(
              Stop.RECEIVE, "place.system.missing", stem, "The cloud does not say its system."));
    } else {
      places =
          List.of(
              PlaceStatement.ofFrame(
                  50,
                  "the header of the cloud",
                  "the system " + head.crs,
                  Frame.UNPLACED.withCrs(head.crs)));
    }
    return new Received(
        (head.compressed ? "LAZ " : "LAS ") + head.version,
        head.crs,
        "",
        classes.items(stem),
        classes.counts(),
        findings,
        places);
  }
}
