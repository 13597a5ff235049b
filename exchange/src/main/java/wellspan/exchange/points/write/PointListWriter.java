package wellspan.exchange.points.write;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import wellspan.core.deliver.Parcel;
import wellspan.core.geom.Position;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/**
 * Writes the points of a parcel as a comma-separated list in the parcel's frame and unit. The list
 * cannot say where it lies, so position files belong beside it.
 */
public final class PointListWriter {
  private PointListWriter() {}

  public static void write(Parcel parcel, Path file) throws IOException {
    double unit = parcel.unit().metres();
    int decimals = parcel.format().decimals(parcel.unit());
    try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8);
        CSVPrinter rows = new CSVPrinter(out, CSVFormat.DEFAULT)) {
      rows.printRecord("id", "easting", "northing", "height", "code");
      for (Parcel.Piece piece : parcel.pieces()) {
        if (piece.item().shape() instanceof Shape.Points group) {
          for (NamedPoint p : group.points()) {
            Position q = parcel.frame().toLocal(p.position());
            rows.printRecord(
                p.name(),
                figure(q.east() / unit, decimals),
                figure(q.north() / unit, decimals),
                Double.isFinite(q.level()) ? figure(q.level() / unit, decimals) : "",
                p.code());
          }
        }
      }
    }
  }

  private static String figure(double d, int decimals) {
    return String.format(Locale.ROOT, "%." + decimals + "f", d == 0 ? 0.0 : d);
  }
}
