package wellspan.exchange.shapefile.read;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.progress.Progress;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.feature.FeatureItems;
import wellspan.exchange.file.Beside;
import wellspan.exchange.file.FileBytes;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.position.read.PositionReader;

/**
 * Reads a shapefile: points, lines and areas with or without levels, and multipatches as triangles
 * (ESRI Shapefile Technical Description, 1998). The system comes from the {@code .prj} beside it,
 * names of points from the {@code .dbf}.
 */
public final class ShapefileReader {
  private static final int MAGIC = 9994;
  private static final int HEADER = 100;

  private final Path file;
  private final FileBytes bytes;
  private final FeatureItems items = new FeatureItems();
  private final String layer;
  private final DbfTable table;
  private int rings;
  private int empty;

  private ShapefileReader(Path file, FileBytes bytes, DbfTable table) {
    this.file = file;
    this.bytes = bytes;
    this.table = table;
    layer = FileStem.of(String.valueOf(file.getFileName()));
  }

  /** Whether a file begins like a shapefile. */
  public static boolean isShapefile(byte[] head) {
    return head.length >= HEADER && ByteBuffer.wrap(head).getInt() == MAGIC;
  }

  /**
   * @throws ReadException with a sentence, if it is damaged
   */
  public static Received read(Path file, Progress progress) throws IOException {
    DbfTable table = DbfTable.read(Beside.of(file, "dbf"), Beside.of(file, "cpg"));
    try (FileBytes bytes = new FileBytes(file)) {
      return new ShapefileReader(file, bytes, table).read(progress);
    }
  }

  private Received read(Progress progress) throws IOException {
    ByteBuffer head = bytes.at(0, HEADER, ByteOrder.LITTLE_ENDIAN);
    int type = head.getInt(32);
    long declared = 2L * Integer.toUnsignedLong(Integer.reverseBytes(head.getInt(24)));
    if (declared > bytes.size()) {
      throw new ReadException(
          file,
          "it says it has "
              + declared
              + " bytes and ends after "
              + bytes.size()
              + ". Ask for the file again.");
    }
    items.layer(layer);
    int record = 0;
    for (long at = HEADER; at + 8 <= declared; ) {
      if (record % 512 == 0) {
        progress.advance((double) at / declared, "Reading " + file.getFileName());
      }
      long length = 2L * bytes.at(at + 4, 4, ByteOrder.BIG_ENDIAN).getInt();
      ByteBuffer b = bytes.at(at + 8, length, ByteOrder.LITTLE_ENDIAN);
      try {
        shape(b, record);
      } catch (java.nio.BufferUnderflowException | IndexOutOfBoundsException e) {
        throw new ReadException(
            file, "record " + (record + 1) + " is shorter than its points. Ask for it again.", e);
      }
      at += 8 + length;
      record++;
    }
    return received(type, record);
  }

  private void shape(ByteBuffer b, int record) throws IOException {
    int type = b.getInt();
    String name = table.name(record);
    items.feature(name, table.attributes(record));
    switch (type) {
      case 0 -> empty++;
      case 1, 11, 21 -> {
        double x = b.getDouble(), y = b.getDouble();
        items.point(
            layer,
            name,
            finite(x, record),
            finite(y, record),
            type == 11 ? level(b.getDouble()) : Double.NaN);
      }
      case 8, 18, 28 -> {
        b.position(b.position() + 32);
        int n = count(b, 16, record);
        double[] xyz = points(b, n, type == 18, record);
        for (int i = 0; i < n; i++) {
          items.point(layer, name, xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
        }
      }
      case 3, 13, 23, 5, 15, 25 -> parts(b, type == 13 || type == 15, record);
      case 31 -> patch(b, record);
      default ->
          throw new ReadException(
              file, "record " + (record + 1) + " is of the type " + type + ", which is not known.");
    }
  }

  /** A count of things of a size, that must fit into what is left. */
  private int count(ByteBuffer b, int each, int record) throws ReadException {
    int n = b.getInt();
    if (n < 0 || (long) n * each > b.remaining()) {
      throw new ReadException(
          file,
          "record " + (record + 1) + " says it holds " + n + " points, more than it has room for.");
    }
    return n;
  }

  private double finite(double v, int record) throws ReadException {
    if (!Double.isFinite(v)) {
      throw new ReadException(
          file, "record " + (record + 1) + " holds a coordinate that is no number.");
    }
    return v;
  }

  /** Levels below −10³⁸ stand for none. */
  private static double level(double z) {
    return z < -1e38 || !Double.isFinite(z) ? Double.NaN : z;
  }

  private double[] points(ByteBuffer b, int n, boolean levels, int record) throws ReadException {
    double[] xyz = new double[3 * n];
    for (int i = 0; i < n; i++) {
      xyz[3 * i] = finite(b.getDouble(), record);
      xyz[3 * i + 1] = finite(b.getDouble(), record);
      xyz[3 * i + 2] = Double.NaN;
    }
    if (levels) {
      b.position(b.position() + 16);
      for (int i = 0; i < n; i++) {
        xyz[3 * i + 2] = level(b.getDouble());
      }
    }
    return xyz;
  }

  private void parts(ByteBuffer b, boolean levels, int record) throws ReadException {
    b.position(b.position() + 32);
    int parts = count(b, 4, record);
    int n = b.getInt();
    int[] first = starts(b, parts, n, record);
    double[] xyz = points(b, n, levels, record);
    for (int p = 0; p < parts; p++) {
      items.line(layer, java.util.Arrays.copyOfRange(xyz, 3 * first[p], 3 * first[p + 1]));
    }
  }

  private int[] starts(ByteBuffer b, int parts, int points, int record) throws ReadException {
    int[] first = new int[parts + 1];
    for (int p = 0; p < parts; p++) {
      first[p] = b.getInt();
    }
    first[parts] = points;
    boolean fit = points >= 0 && (long) points * 16 <= b.remaining();
    for (int p = 0; p < parts && fit; p++) {
      fit = first[p] >= 0 && first[p] <= first[p + 1];
    }
    if (!fit) {
      throw new ReadException(
          file, "record " + (record + 1) + " has parts that do not fit its points.");
    }
    return first;
  }

  /** Strips, fans and single triangles become faces; rings stay lines. */
  private void patch(ByteBuffer b, int record) throws ReadException {
    b.position(b.position() + 32);
    int parts = count(b, 8, record);
    int n = b.getInt();
    int[] first = starts(b, parts, n, record);
    int[] types = new int[parts];
    for (int p = 0; p < parts; p++) {
      types[p] = b.getInt();
    }
    double[] xyz = points(b, n, true, record);
    for (int p = 0; p < parts; p++) {
      int from = first[p], to = first[p + 1];
      switch (types[p]) {
        case 0 -> {
          for (int i = from; i + 2 < to; i++) {
            boolean odd = (i - from) % 2 == 1;
            face(xyz, i, odd ? i + 2 : i + 1, odd ? i + 1 : i + 2);
          }
        }
        case 1 -> {
          for (int i = from + 1; i + 1 < to; i++) {
            face(xyz, from, i, i + 1);
          }
        }
        default -> {
          if (to - from == 4 && types[p] != 3) { // a closed ring of three corners is a triangle
            face(xyz, from, from + 1, from + 2);
          } else {
            rings++;
            items.line(layer, java.util.Arrays.copyOfRange(xyz, 3 * from, 3 * to));
          }
        }
      }
    }
  }

  private void face(double[] xyz, int a, int b, int c) {
    items.triangle(layer, corner(xyz, a), corner(xyz, b), corner(xyz, c));
  }

  private static double[] corner(double[] xyz, int i) {
    return java.util.Arrays.copyOfRange(xyz, 3 * i, 3 * i + 3);
  }

  private Received received(int type, int records) throws IOException {
    List<Finding> findings = new ArrayList<>();
    List<PlaceStatement> places = new ArrayList<>();
    Path prj = Beside.of(file, "prj");
    if (Files.exists(prj)) {
      Received p = PositionReader.read(prj);
      places.addAll(p.places());
      findings.addAll(p.findings());
    } else {
      findings.add(
          Finding.note(
              Stop.RECEIVE,
              "place.system.missing",
              layer,
              "There is no .prj file beside the shapefile, so it does not say its system."));
    }
    if (!table.doubt().isEmpty()) {
      findings.add(
          Finding.error(
              Stop.RECEIVE,
              "shape.fields",
              layer,
              "The table of fields beside the shapefile is damaged: "
                  + table.doubt()
                  + ". Ask for the .dbf again."));
    } else if (table.size() > 0 && table.size() != records) {
      findings.add(
          Finding.error(
              Stop.RECEIVE,
              "shape.fields",
              layer,
              "The shapefile has "
                  + records
                  + " records and its table of fields has "
                  + table.size()
                  + " rows; which row belongs to which record is in doubt. Ask for both files again."));
    }
    if (empty > 0) {
      findings.add(
          Finding.note(Stop.RECEIVE, "shape.empty", layer, empty + " records hold no geometry.")
              .withFigure(Figure.count(empty)));
    }
    if (rings > 0) {
      findings.add(
          Finding.note(
                  Stop.RECEIVE,
                  "shape.rings",
                  layer,
                  rings + " faces of more than three corners are read as their outlines.")
              .withFigure(Figure.count(rings)));
    }
    if (records == 0) {
      findings.add(
          Finding.error(
              Stop.RECEIVE,
              "file.empty",
              layer,
              "The shapefile holds no records. Ask for it again."));
    }
    String crs =
        places.stream().flatMap(s -> s.frame().stream()).map(f -> f.crs()).findFirst().orElse("");
    return new Received(
        "shapefile" + (type > 10 && type < 20 || type == 31 ? " with levels" : ""),
        crs,
        "",
        items.items(),
        items.layers(),
        items.counts(),
        findings,
        places);
  }
}
