package wellspan.exchange.gpkg.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.io.WKBWriter;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.Intake;

class GeoPackageReaderTest {
  private static final GeometryFactory FACTORY = new GeometryFactory();

  @TempDir Path dir;

  private Path database(String name) {
    return dir.resolve(name);
  }

  /** A package with the tables that say what is in it. */
  private static Connection open(Path file) throws SQLException {
    Connection db = DriverManager.getConnection("jdbc:sqlite:" + file);
    try (Statement s = db.createStatement()) {
      s.execute(
          "CREATE TABLE gpkg_spatial_ref_sys (srs_id INTEGER, organization TEXT, organization_coordsys_id INTEGER)");
      s.execute(
          "CREATE TABLE gpkg_geometry_columns (table_name TEXT, column_name TEXT, srs_id INTEGER)");
      s.execute(
          "INSERT INTO gpkg_spatial_ref_sys VALUES (1, 'EPSG', 25832), (2, 'epsg', 25833), (0, 'NONE', 0)");
    }
    return db;
  }

  private static void table(Connection db, String name, int system, byte[]... rows)
      throws SQLException {
    try (Statement s = db.createStatement()) {
      s.execute("CREATE TABLE \"" + name + "\" (fid INTEGER, shape BLOB, navn TEXT)");
      s.execute(
          "INSERT INTO gpkg_geometry_columns VALUES ('" + name + "', 'shape', " + system + ")");
    }
    try (PreparedStatement p =
        db.prepareStatement("INSERT INTO \"" + name + "\" VALUES (?, ?, ?)")) {
      for (int i = 0; i < rows.length; i++) {
        p.setInt(1, i);
        p.setBytes(2, rows[i]);
        p.setString(3, i == 0 ? null : " Ås " + i + " ");
        p.execute();
      }
    }
  }

  private static byte[] blob(Geometry g, int envelope) {
    byte[] wkb = new WKBWriter(3).write(g);
    int[] sizes = {0, 32, 48, 48, 64};
    ByteBuffer b =
        ByteBuffer.allocate(8 + sizes[envelope] + wkb.length).order(ByteOrder.LITTLE_ENDIAN);
    b.put((byte) 'G').put((byte) 'P').put((byte) 0).put((byte) (1 | envelope << 1)).putInt(1);
    b.position(8 + sizes[envelope]);
    return b.put(wkb).array();
  }

  private static Geometry point(double e, double n, double h) {
    return FACTORY.createPoint(new Coordinate(e, n, h));
  }

  @Test
  void everyKindOfEnvelopeIsSkipped() throws Exception {
    Path f = database("a.gpkg");
    try (Connection db = open(f)) {
      table(
          db,
          "odd \"name\"".replace("\"", ""),
          1,
          blob(point(1, 2, 3), 0),
          blob(point(4, 5, 6), 1),
          blob(point(7, 8, 9), 2),
          blob(point(10, 11, 12), 4),
          null);
    }
    Received r = Intake.read(f, Progress.NONE);
    Shape.Points g = (Shape.Points) r.items().getFirst().shape();
    assertThat(g.coordinates()).containsExactly(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12);
    assertThat(g.points())
        .extracting(NamedPoint::name)
        .containsExactly("1", "Ås 1", "Ås 2", "Ås 3");
    assertThat(r.findings()).extracting(Finding::code).containsExactly("shape.empty");
  }

  @Test
  void tablesOfAnotherSystemAreLeftOutAndNamed() throws Exception {
    Path f = database("b.gpkg");
    try (Connection db = open(f)) {
      table(db, "a", 1, blob(point(1, 2, 3), 0));
      table(db, "b", 2, blob(point(1, 2, 3), 0));
      table(db, "c", 0, blob(point(1, 2, 3), 0));
    }
    Received r = Intake.read(f, Progress.NONE);
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(r.items()).extracting(Item::name).containsExactly("a", "c");
    assertThat(r.findings())
        .singleElement()
        .satisfies(x -> assertThat(x.message()).contains("EPSG:25833").contains("left out"));
  }

  @Test
  void damagedGeometryAndOtherDatabasesAreSentences() throws Exception {
    Path f = database("c.gpkg");
    try (Connection db = open(f)) {
      table(db, "a", 1, blob(point(1, 2, 3), 0), new byte[] {'G', 'P', 0, 1, 0, 0, 0, 0, 9, 9});
    }
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("row 2 of a");
    Path other = database("d.gpkg");
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + other);
        Statement s = db.createStatement()) {
      s.execute("CREATE TABLE things (a INTEGER)");
    }
    assertThatThrownBy(() -> Intake.read(other, Progress.NONE))
        .hasMessageContaining("no GeoPackage");
  }

  @Test
  void readingDoesNotChangeTheFile() throws Exception {
    Path f = database("e.gpkg");
    try (Connection db = open(f)) {
      table(db, "a", 1, blob(point(1, 2, 3), 0));
    }
    byte[] before = Files.readAllBytes(f);
    Intake.read(f, Progress.NONE);
    assertThat(Files.readAllBytes(f)).isEqualTo(before);
    try (var files = Files.list(dir)) {
      assertThat(files).containsExactly(f);
    }
  }
}
