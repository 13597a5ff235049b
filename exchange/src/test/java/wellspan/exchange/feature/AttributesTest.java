package wellspan.exchange.feature;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.Intake;

/** What features say of themselves, and files that are known whatever stands at their beginning. */
class AttributesTest {
  @TempDir Path dir;

  private Received read(String name, String text) throws IOException {
    return Intake.read(Files.writeString(dir.resolve(name), text), Progress.NONE);
  }

  private static List<PropertySet> sets(Received r, int item) {
    return r.items().get(item).said().propertySets();
  }

  @Test
  void fieldsOfEachFeatureArriveWithTheirTypes() throws IOException {
    Received r =
        read(
            "a.geojson",
            """
            {"type":"FeatureCollection","features":[
             {"type":"Feature","id":7,"properties":{"name":"K1","width":1.25,"lanes":2,"lit":true,"note":null},
              "geometry":{"type":"LineString","coordinates":[[7,58],[7.1,58]]}},
             {"type":"Feature","properties":{"name":"K2","more":{"a":[1]}},
              "geometry":{"type":"MultiLineString","coordinates":[[[7,59],[7.1,59]],[[7,60],[7.1,60]]]}}]}
            """);
    assertThat(r.items()).extracting(Item::name).containsExactly("K1", "K2");
    assertThat(((Shape.Lines) r.items().get(1).shape()).lines()).hasSize(2);
    assertThat(sets(r, 0)).extracting(PropertySet::name).containsExactly("Attributes");
    assertThat(sets(r, 0).getFirst().values())
        .containsEntry("id", new PropertyValue.Count(7))
        .containsEntry("width", new PropertyValue.Real(1.25))
        .containsEntry("lanes", new PropertyValue.Count(2))
        .containsEntry("lit", new PropertyValue.Flag(true))
        .containsEntry("note", new PropertyValue.Empty());
    assertThat(sets(r, 1).getFirst().values())
        .containsEntry("more", new PropertyValue.Label("{\"a\":[1]}"));
  }

  @Test
  void theTableOfAShapefileIsReadWholeOrSaidToBeDamaged() throws IOException {
    Path shape = dir.resolve("s.shp");
    Files.write(shape, points(2));
    byte[] table = table();
    Files.write(dir.resolve("s.dbf"), table);
    Files.writeString(dir.resolve("s.cpg"), "UTF-8");
    Received r = Intake.read(shape, Progress.NONE);
    assertThat(sets(r, 0))
        .extracting(PropertySet::name)
        .containsExactly("Attributes 1 (Kø)", "Attributes 2");
    assertThat(sets(r, 0).getFirst().values())
        .containsEntry("NAME", new PropertyValue.Label("Kø"))
        .containsEntry("DEPTH", new PropertyValue.Real(1.5))
        .containsEntry("LIT", new PropertyValue.Flag(true))
        .containsEntry("BUILT", new PropertyValue.Words("IfcDate", "2024-02-29"));
    assertThat(sets(r, 0).get(1).values()).containsEntry("DEPTH", new PropertyValue.Empty());
    Files.write(dir.resolve("s.dbf"), java.util.Arrays.copyOf(table, table.length - 10));
    assertThat(Intake.read(shape, Progress.NONE).findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("1 of 2 rows"));
    Files.write(dir.resolve("s.dbf"), table);
    Files.write(shape, points(3));
    assertThat(Intake.read(shape, Progress.NONE).findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("3 records").contains("2 rows"));
  }

  private static byte[] points(int n) {
    int bytes = 100 + n * 28;
    ByteBuffer b = ByteBuffer.allocate(bytes);
    b.putInt(9994).putInt(24, bytes / 2);
    b.order(ByteOrder.LITTLE_ENDIAN).putInt(28, 1000).putInt(32, 1);
    for (int i = 0; i < n; i++) {
      int at = 100 + i * 28;
      b.order(ByteOrder.BIG_ENDIAN).putInt(at, i + 1).putInt(at + 4, 10);
      b.order(ByteOrder.LITTLE_ENDIAN)
          .putInt(at + 8, 1)
          .putDouble(at + 12, 400_000 + i)
          .putDouble(at + 20, 300_000);
    }
    return b.array();
  }

  private static byte[] table() {
    String[][] fields = {
      {"NAME", "C", "8"}, {"DEPTH", "N", "6"}, {"LIT", "L", "1"}, {"BUILT", "D", "8"}
    };
    int length = 24;
    int start = 32 + 32 * fields.length + 1;
    ByteBuffer b = ByteBuffer.allocate(start + 2 * length).order(ByteOrder.LITTLE_ENDIAN);
    b.put(0, (byte) 3).putInt(4, 2).putShort(8, (short) start).putShort(10, (short) length);
    for (int i = 0; i < fields.length; i++) {
      int at = 32 + 32 * i;
      b.put(at, fields[i][0].getBytes(StandardCharsets.US_ASCII));
      b.put(at + 11, (byte) fields[i][1].charAt(0));
      b.put(at + 16, Byte.parseByte(fields[i][2]));
    }
    b.put(start - 1, (byte) 0x0D);
    b.put(start, " Kø       1.50T20240229".getBytes(StandardCharsets.UTF_8), 0, 24);
    b.put(start + length, "               ?        ".getBytes(StandardCharsets.UTF_8), 0, 24);
    return b.array();
  }

  private static String kml(String inner) {
    return "<kml xmlns=\"http://www.opengis.net/kml/2.2\"><Document>" + inner + "</Document></kml>";
  }

  @Test
  void theRingsOfAnAreaHaveItsAltitudesAndNeighboursTheirOwn() throws IOException {
    Received r =
        read(
            "a.kml",
            kml(
                """
                <Schema id="s"><SimpleField name="lanes" type="int"/></Schema>
                <Placemark><name>A</name><description>By hand</description>
                <ExtendedData><Data name="owner"><value>Town</value></Data>
                <SchemaData schemaUrl="#s"><SimpleData name="lanes">2</SimpleData></SchemaData></ExtendedData>
                <MultiGeometry>
                <Polygon><altitudeMode>absolute</altitudeMode><outerBoundaryIs><LinearRing>
                <coordinates>7,58,11 7.1,58,12 7.1,58.1,13 7,58,11</coordinates></LinearRing></outerBoundaryIs></Polygon>
                <LineString><coordinates>7,58,5 7.1,58,6</coordinates></LineString>
                </MultiGeometry></Placemark>
                """));
    Shape.Lines lines = (Shape.Lines) r.items().getFirst().shape();
    assertThat(lines.lines().getFirst().point(1).level()).isEqualTo(12);
    assertThat(lines.lines().get(1).point(0).level()).isNaN();
    assertThat(sets(r, 0).getFirst().values())
        .containsEntry("owner", new PropertyValue.Label("Town"))
        .containsEntry("lanes", new PropertyValue.Count(2))
        .containsEntry("description", new PropertyValue.Label("By hand"));
  }

  @Test
  void oneOddCoordinateLosesItselfAndSaysSo() throws IOException {
    Received r =
        read(
            "b.kml",
            kml(
                "<Placemark><name>L</name><LineString><coordinates>7,58 7.1;58 7.2,58 7.3,58</coordinates></LineString></Placemark>"));
    assertThat(((Shape.Lines) r.items().getFirst().shape()).lines().getFirst().pointCount())
        .isEqualTo(3);
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("7.1;58").contains("left out"));
  }

  @Test
  void filesAreKnownByWhatIsInThem() throws IOException {
    String point =
        "<Placemark><name>P</name><Point><coordinates>7,58</coordinates></Point></Placemark>";
    String deep = "<Folder>".repeat(3000) + point + "</Folder>".repeat(3000);
    assertThat(read("deep.kml", kml(deep)).format()).startsWith("KML");
    String late = "<!-- " + "long ".repeat(3000) + "-->" + kml(point);
    assertThat(read("late.kml", late).format()).startsWith("KML");
    String gltf =
        "{\"extras\":\"" + "x".repeat(9000) + "\",\"scenes\":[],\"asset\":{\"version\":\"2.0\"}}";
    assertThat(read("late.gltf", gltf).format()).startsWith("glTF");
  }
}
