package wellspan.exchange.gpkg.read;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.io.ParseException;
import org.locationtech.jts.io.WKBReader;
import org.sqlite.SQLiteConfig;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.progress.Progress;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.feature.AttributeValue;
import wellspan.exchange.feature.FeatureItems;
import wellspan.exchange.file.ReadException;

/**
 * Reads every feature table as a layer (OGC GeoPackage 1.3; geometry as ISO well-known binary
 * behind the package's own header). The file is opened for reading only.
 */
public final class GeoPackageReader {
  private static final byte[] MAGIC = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
  private static final Set<String> NAMING = Set.of("name", "navn", "nom", "id_name", "title");

  private final Path file;
  private final FeatureItems items = new FeatureItems();
  private final List<Finding> findings = new ArrayList<>();
  private final String stem;
  private String crs = "";
  private int empty;

  /** A feature table. */
  private record Table(String name, String column, String crs) {}

  private GeoPackageReader(Path file) {
    this.file = file;
    stem = FileStem.of(String.valueOf(file.getFileName()));
  }

  /** Whether a file begins like a database of this kind. */
  public static boolean isDatabase(byte[] head) {
    return head.length >= MAGIC.length && Arrays.equals(Arrays.copyOf(head, MAGIC.length), MAGIC);
  }

  /**
   * @throws ReadException with a sentence, if it is damaged or holds no features
   */
  public static Received read(Path file, Progress progress) throws IOException {
    return new GeoPackageReader(file).read(progress);
  }

  private Received read(Progress progress) throws IOException {
    SQLiteConfig config = new SQLiteConfig();
    config.setReadOnly(true);
    try (Connection db = config.createConnection("jdbc:sqlite:" + file.toAbsolutePath())) {
      List<Table> tables = tables(db);
      if (tables.isEmpty()) {
        throw new ReadException(
            file, "the database holds no feature table, so it is no GeoPackage with features.");
      }
      for (int i = 0; i < tables.size(); i++) {
        table(
            db,
            tables.get(i),
            progress.part((double) i / tables.size(), (i + 1.0) / tables.size()));
      }
    } catch (SQLException e) {
      throw new ReadException(
          file, "the database is damaged or is no GeoPackage (" + said(e) + ").", e);
    }
    return received();
  }

  private static String said(SQLException e) {
    return String.valueOf(e.getMessage()).lines().findFirst().orElse("no reason given");
  }

  private static List<Table> tables(Connection db) throws SQLException {
    List<Table> out = new ArrayList<>();
    try (Statement s = db.createStatement();
        ResultSet r =
            s.executeQuery(
                "SELECT g.table_name, g.column_name, r.organization, r.organization_coordsys_id"
                    + " FROM gpkg_geometry_columns g LEFT JOIN gpkg_spatial_ref_sys r ON r.srs_id = g.srs_id"
                    + " ORDER BY g.table_name")) {
      while (r.next()) {
        String authority = r.getString(3);
        int code = r.getInt(4);
        boolean known = authority != null && !authority.equalsIgnoreCase("NONE") && code > 0;
        out.add(
            new Table(
                r.getString(1),
                r.getString(2),
                known ? authority.toUpperCase(Locale.ROOT) + ":" + code : ""));
      }
    }
    return out;
  }

  private static String quoted(String name) {
    return '"' + name.replace("\"", "\"\"") + '"';
  }

  private void table(Connection db, Table t, Progress progress) throws SQLException, IOException {
    if (!crs.isEmpty() && !t.crs.isEmpty() && !crs.equals(t.crs)) {
      findings.add(
          Finding.error(
              Stop.RECEIVE,
              "gpkg.systems",
              t.name,
              "The table "
                  + t.name
                  + " is in "
                  + t.crs
                  + ", others are in "
                  + crs
                  + "; it was left out. Ask for one file for each system."));
      return;
    }
    crs = crs.isEmpty() ? t.crs : crs;
    items.layer(t.name);
    try (Statement s = db.createStatement();
        ResultSet r = s.executeQuery("SELECT * FROM " + quoted(t.name))) {
      int geometry = column(r.getMetaData(), t.column);
      int name = naming(r.getMetaData());
      long n = 0;
      while (r.next()) {
        if (n++ % 1024 == 0) {
          progress.advance(0.5, "Reading " + t.name);
        }
        byte[] blob = r.getBytes(geometry);
        if (blob == null) {
          empty++;
          continue;
        }
        items.feature(
            name > 0 && r.getString(name) != null ? r.getString(name).strip() : "",
            attributes(r, geometry));
        String called = name > 0 && r.getString(name) != null ? r.getString(name) : "";
        items.add(t.name, called.strip(), geometry(blob, t.name, n));
      }
    }
  }

  private static Map<String, PropertyValue> attributes(ResultSet r, int geometry)
      throws SQLException {
    ResultSetMetaData m = r.getMetaData();
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    for (int i = 1; i <= m.getColumnCount(); i++) {
      if (i != geometry) {
        boolean truth = m.getColumnTypeName(i).toUpperCase(Locale.ROOT).startsWith("BOOL");
        Object v = r.getObject(i);
        out.put(
            m.getColumnName(i),
            v instanceof byte[] b
                ? AttributeValue.text(b.length + " bytes")
                : AttributeValue.of(
                    truth && v instanceof Number n ? (Object) (n.intValue() != 0) : v));
      }
    }
    return out;
  }

  private static int column(ResultSetMetaData m, String name) throws SQLException {
    for (int i = 1; i <= m.getColumnCount(); i++) {
      if (m.getColumnName(i).equalsIgnoreCase(name)) {
        return i;
      }
    }
    throw new SQLException("the column " + name + " is missing");
  }

  private static int naming(ResultSetMetaData m) throws SQLException {
    for (int i = 1; i <= m.getColumnCount(); i++) {
      if (NAMING.contains(m.getColumnName(i).toLowerCase(Locale.ROOT))) {
        return i;
      }
    }
    return 0;
  }

  private Geometry geometry(byte[] blob, String table, long row) throws ReadException {
    try {
      if (blob.length < 8 || blob[0] != 'G' || blob[1] != 'P') {
        throw new ParseException("no GeoPackage geometry");
      }
      int flags = blob[3];
      int envelope = new int[] {0, 32, 48, 48, 64, 0, 0, 0}[flags >> 1 & 7];
      int start = 8 + envelope;
      if (start >= blob.length) {
        throw new ParseException("it ends too early");
      }
      return new WKBReader().read(Arrays.copyOfRange(blob, start, blob.length));
    } catch (ParseException | RuntimeException e) {
      throw new ReadException(
          file, "row " + row + " of " + table + " holds a geometry that cannot be read.", e);
    }
  }

  private Received received() {
    if (empty > 0) {
      findings.add(
          Finding.note(Stop.RECEIVE, "shape.empty", stem, empty + " rows hold no geometry.")
              .withFigure(Figure.count(empty)));
    }
    if (items.items().isEmpty()) {
      findings.add(
          Finding.error(
              Stop.RECEIVE,
              "file.empty",
              stem,
              "The file holds no points and no lines. Ask for it again."));
    }
    List<PlaceStatement> places =
        crs.isEmpty()
            ? List.of()
            : List.of(
                PlaceStatement.ofFrame(
                    50, "GeoPackage", "the system " + crs, Frame.UNPLACED.withCrs(crs)));
    return new Received(
        "GeoPackage",
        crs,
        crs.equals("EPSG:4326") ? "degree" : "",
        items.items(),
        items.layers(),
        items.counts(),
        findings,
        places);
  }
}
