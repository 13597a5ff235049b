package wellspan.exchange.shapefile.write;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.shape.Shape;

/**
 * Writes lines as a shapefile (ESRI Shapefile Technical Description, 1998): {@code .shp}, {@code
 * .shx}, a table {@code .dbf}, the system as {@code .prj} and the code page {@code .cpg}, all
 * beside each other. Lines with levels are of type 13, lines without of type 3; a file holds one of
 * both.
 */
public final class ShapefileWriter {
  private static final int LINE = 3;
  private static final int LINE_WITH_LEVELS = 13;
  private static final int HEADER = 100;

  /** Below −10³⁸: no measure. */
  private static final double NO_DATA = -1e39;

  private final Parcel parcel;
  private final double unit;
  private final List<List<double[]>> records = new ArrayList<>();
  private final boolean levels;

  /** One line of text or of numbers in the table. */
  private record Field(String name, char type, int width, int decimals) {}

  private static final List<Field> FIELDS =
      List.of(
          new Field("NAME", 'C', 120, 0),
          new Field("KIND", 'C', 40, 0),
          new Field("LAYER", 'C', 80, 0),
          new Field("LENGTH", 'N', 18, 4));

  private ShapefileWriter(Parcel parcel) throws IOException {
    this.parcel = parcel;
    unit = parcel.unit().metres();
    int with = 0;
    int without = 0;
    for (Parcel.Piece p : parcel.pieces()) {
      List<double[]> parts = new ArrayList<>();
      for (Polyline l : lines(p.item().shape())) {
        double[] xyz = local(l);
        parts.add(xyz);
        for (int i = 2; i < xyz.length; i += 3) {
          if (Double.isFinite(xyz[i])) {
            with++;
          } else {
            without++;
          }
        }
      }
      records.add(parts);
    }
    if (with > 0 && without > 0) {
      throw new IOException(
          "Lines with and without levels cannot stand in one shapefile. Send them in two: name one of them with --only.");
    }
    levels = with > 0;
  }

  /**
   * @param file the {@code .shp}; the others are written beside it
   * @param names of the records, by the pieces' keys
   * @throws IOException with a sentence, if the parcel does not fit into one shapefile
   */
  public static void write(Parcel parcel, Map<String, String> names, Path file) throws IOException {
    new ShapefileWriter(parcel).write(names, file);
  }

  private static List<Polyline> lines(Shape s) {
    return switch (s) {
      case Shape.Lines l -> l.lines();
      case Shape.Axis a -> List.of(a.line());
      default -> List.of();
    };
  }

  private double[] local(Polyline l) {
    double[] out = new double[l.xyz().length];
    Frame frame = parcel.frame();
    for (int i = 0; i < l.pointCount(); i++) {
      Position p = frame.toLocal(l.point(i));
      out[3 * i] = p.east() / unit;
      out[3 * i + 1] = p.north() / unit;
      out[3 * i + 2] = p.level() / unit;
    }
    return out;
  }

  private void write(Map<String, String> names, Path file) throws IOException {
    ByteArrayOutputStream shapes = new ByteArrayOutputStream();
    ByteArrayOutputStream index = new ByteArrayOutputStream();
    int at = HEADER;
    for (int r = 0; r < records.size(); r++) {
      byte[] content = record(records.get(r));
      ByteBuffer head = ByteBuffer.allocate(8).putInt(r + 1).putInt(content.length / 2);
      shapes.write(head.array());
      shapes.write(content);
      ByteBuffer entry = ByteBuffer.allocate(8).putInt(at / 2).putInt(content.length / 2);
      index.write(entry.array());
      at += 8 + content.length;
    }
    double[] box = box(records.stream().flatMap(List::stream).toList());
    file(file, shapes.toByteArray(), box);
    file(beside(file, "shx"), index.toByteArray(), box);
    Files.write(beside(file, "dbf"), table(names));
    Files.writeString(beside(file, "cpg"), "UTF-8");
    Optional<String> wkt = parcel.frame().wellKnownText();
    if (wkt.isPresent()) {
      Files.writeString(beside(file, "prj"), wkt.get());
    }
  }

  private static Path beside(Path file, String ending) {
    String name = String.valueOf(file.getFileName());
    return file.resolveSibling(name.substring(0, name.lastIndexOf('.') + 1) + ending);
  }

  private void file(Path to, byte[] content, double[] box) throws IOException {
    ByteBuffer head = ByteBuffer.allocate(HEADER);
    head.putInt(0, 9994);
    head.putInt(24, (HEADER + content.length) / 2);
    head.order(ByteOrder.LITTLE_ENDIAN);
    head.putInt(28, 1000);
    head.putInt(32, levels ? LINE_WITH_LEVELS : LINE);
    double[] order = {
      box[0], box[1], box[3], box[4], levels ? box[2] : 0, levels ? box[5] : 0, 0, 0
    };
    for (int i = 0; i < order.length; i++) {
      head.putDouble(36 + 8 * i, order[i]);
    }
    try (DataOutputStream out = new DataOutputStream(Files.newOutputStream(to))) {
      out.write(head.array());
      out.write(content);
    }
  }

  private byte[] record(List<double[]> parts) {
    int points = parts.stream().mapToInt(p -> p.length / 3).sum();
    int size = 44 + 4 * parts.size() + 16 * points + (levels ? 2 * (16 + 8 * points) : 0);
    ByteBuffer b = ByteBuffer.allocate(size).order(ByteOrder.LITTLE_ENDIAN);
    double[] box = box(parts);
    b.putInt(levels ? LINE_WITH_LEVELS : LINE);
    b.putDouble(box[0]).putDouble(box[1]).putDouble(box[3]).putDouble(box[4]);
    b.putInt(parts.size()).putInt(points);
    int first = 0;
    for (double[] p : parts) {
      b.putInt(first);
      first += p.length / 3;
    }
    for (double[] p : parts) {
      for (int i = 0; i < p.length; i += 3) {
        b.putDouble(p[i]).putDouble(p[i + 1]);
      }
    }
    if (levels) {
      b.putDouble(box[2]).putDouble(box[5]);
      for (double[] p : parts) {
        for (int i = 2; i < p.length; i += 3) {
          b.putDouble(p[i]);
        }
      }
      b.putDouble(NO_DATA).putDouble(NO_DATA);
      for (int i = 0; i < points; i++) {
        b.putDouble(NO_DATA);
      }
    }
    return b.array();
  }

  /** Smallest and largest coordinates, three and three. */
  private static double[] box(List<double[]> parts) {
    double inf = Double.POSITIVE_INFINITY;
    double[] b = {inf, inf, inf, -inf, -inf, -inf};
    for (double[] p : parts) {
      for (int i = 0; i < p.length; i++) {
        b[i % 3] = Math.min(b[i % 3], p[i]);
        b[3 + i % 3] = Math.max(b[3 + i % 3], p[i]);
      }
    }
    return b;
  }

  private byte[] table(Map<String, String> names) {
    int length = 1 + FIELDS.stream().mapToInt(Field::width).sum();
    int head = 32 + 32 * FIELDS.size() + 1;
    ByteBuffer b =
        ByteBuffer.allocate(head + length * records.size() + 1).order(ByteOrder.LITTLE_ENDIAN);
    b.put((byte) 3).put((byte) 126).put((byte) 1).put((byte) 1); // a date is asked for
    b.putInt(records.size()).putShort((short) head).putShort((short) length);
    b.position(32);
    for (Field f : FIELDS) {
      int at = b.position();
      b.put(f.name.getBytes(StandardCharsets.US_ASCII));
      b.position(at + 11);
      b.put((byte) f.type);
      b.position(at + 16);
      b.put((byte) f.width).put((byte) f.decimals);
      b.position(at + 32);
    }
    b.put((byte) 0x0D);
    for (int r = 0; r < records.size(); r++) {
      Parcel.Piece p = parcel.pieces().get(r);
      double metres = lines(p.item().shape()).stream().mapToDouble(Polyline::planLength).sum();
      b.put((byte) ' ');
      text(b, names.get(p.key()), FIELDS.get(0).width);
      text(b, p.item().kind().title(), FIELDS.get(1).width);
      text(b, p.item().layer(), FIELDS.get(2).width);
      String number = String.format(java.util.Locale.ROOT, "%18.4f", metres);
      text(b, number, FIELDS.get(3).width);
    }
    b.put((byte) 0x1A);
    return b.array();
  }

  /** A text in its field; one that is too long ends at a whole character. */
  private static void text(ByteBuffer b, String text, int width) {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    int n = Math.min(bytes.length, width);
    while (n > 0 && n < bytes.length && (bytes[n] & 0xC0) == 0x80) {
      n--;
    }
    b.put(bytes, 0, n);
    for (int i = n; i < width; i++) {
      b.put((byte) ' ');
    }
  }
}
