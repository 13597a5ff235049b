package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.attribute.Attributes;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.proof.Proof;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/** Shapes that are the same but for where they stand are written once. */
class LikeShapesTest extends DeliveredInTest {
  /** A leaning tetrahedron, so that no turn brings it onto itself. */
  private static final double[] SHAPE = {0, 0, 0, 2, 0.1, 0, 0.3, 1, 0.2, 0.4, 0.5, 3};

  private static final int[] FACES = {0, 2, 1, 0, 1, 3, 1, 2, 3, 2, 0, 3};

  /**
   * @param across what the first axis is multiplied by; -1 mirrors
   * @param tilt about the first axis, radians
   */
  private static Item standing(
      String name, String material, double e, double n, double turn, double tilt, double across) {
    double[] xyz = new double[SHAPE.length];
    for (int i = 0; i < xyz.length; i += 3) {
      double x = across * SHAPE[i];
      double y = SHAPE[i + 1] * Math.cos(tilt) - SHAPE[i + 2] * Math.sin(tilt);
      double z = SHAPE[i + 1] * Math.sin(tilt) + SHAPE[i + 2] * Math.cos(tilt);
      xyz[i] = 412_000 + e + x * Math.cos(turn) - y * Math.sin(turn);
      xyz[i + 1] = 6_534_500 + n + x * Math.sin(turn) + y * Math.cos(turn);
      xyz[i + 2] = 20 + z;
    }
    int[] faces = FACES.clone();
    if (across < 0) {
      for (int i = 0; i < faces.length; i += 3) {
        faces[i] = FACES[i + 1];
        faces[i + 1] = FACES[i];
      }
    }
    return new Item(
        name,
        Kind.of("post"),
        new Shape.Faces(new Mesh(xyz, faces)),
        Attributes.ofMaterial(material).withLayer("posts"));
  }

  private static int count(String text, String pattern) {
    return (int) Pattern.compile(pattern).matcher(text).results().count();
  }

  private static String geometry(IfcSchema s) {
    return s == IfcSchema.IFC2X3 ? "=IFCFACETEDBREP\\(" : "=IFCTRIANGULATEDFACESET\\(";
  }

  @ParameterizedTest
  @CsvSource({"IFC4X3,METRE", "IFC4,MILLIMETRE", "IFC2X3,FOOT", "IFC4X3,US_SURVEY_FOOT"})
  void turnedAndTiltedOnesShareTheirGeometryAndArriveWhereTheyStand(
      IfcSchema schema, LinearUnit unit) throws IOException {
    Random r = new Random(7);
    List<Item> items = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      items.add(
          standing(
              "post " + i,
              "steel",
              900 * r.nextDouble(),
              900 * r.nextDouble(),
              6 * r.nextDouble(),
              r.nextDouble(),
              1));
    }
    Proof p = run(parcel(schema, FRAME, unit, items.toArray(Item[]::new))).receipt().proof();
    assertThat(p.pass()).as(p.findings().toString()).isTrue();
    assertThat(p.arrived()).isEqualTo(12);
    assertThat(p.maxDeviation()).isLessThan(2e-6);
    assertThat(p.trianglesIdentical()).isTrue();
    String text = Files.readString(dir.resolve("a.ifc"));
    assertThat(count(text, "=IFCREPRESENTATIONMAP\\(")).isEqualTo(1);
    assertThat(count(text, geometry(schema))).isEqualTo(1);
    assertThat(count(text, "=IFCMAPPEDITEM\\(")).isEqualTo(12);
  }

  @ParameterizedTest
  @EnumSource(IfcSchema.class)
  void whatIsMirroredLongerOrOfAnotherColourIsWrittenForItself(IfcSchema schema)
      throws IOException {
    Proof p =
        run(parcel(
                schema,
                FRAME,
                LinearUnit.METRE,
                standing("one", "steel", 0, 0, 0, 0, 1),
                standing("two", "steel", 10, 0, 1, 0, 1),
                standing("mirrored", "steel", 20, 0, 1, 0, -1),
                standing("longer", "steel", 30, 0, 1, 0, 1.000_01),
                standing("wooden", "timber", 40, 0, 1, 0, 1)))
            .receipt()
            .proof();
    assertThat(p.pass()).as(p.findings().toString()).isTrue();
    assertThat(p.arrived()).isEqualTo(5);
    String text = Files.readString(dir.resolve("a.ifc"));
    assertThat(count(text, "=IFCMAPPEDITEM\\(")).isEqualTo(2);
    assertThat(count(text, geometry(schema))).isEqualTo(4);
  }

  @ParameterizedTest
  @EnumSource(IfcSchema.class)
  void oneThatIsMovedAfterwardsIsMissed(IfcSchema schema) throws IOException {
    DeliveryRun.Outcome o =
        run(
            parcel(
                schema,
                FRAME,
                LinearUnit.METRE,
                standing("one", "steel", 0, 0, 0, 0, 1),
                standing("two", "steel", 10, 0, 1, 0, 1)));
    assertThat(o.receipt().proof().pass()).isTrue();
    String text = Files.readString(dir.resolve("a.ifc"));
    String origin =
        Pattern.compile("IFCCARTESIANTRANSFORMATIONOPERATOR3D\\(#\\d+,#\\d+,(#\\d+),")
            .matcher(text)
            .results()
            .findFirst()
            .orElseThrow()
            .group(1);
    String moved =
        text.replaceFirst(
            "(?m)^" + origin + "=IFCCARTESIANPOINT\\(\\(", origin + "=IFCCARTESIANPOINT((1");
    assertThat(moved).isNotEqualTo(text);
    Files.writeString(dir.resolve("a.ifc"), moved);
    Proof p =
        wellspan.core.proof.Prover.compare(
            parcel(
                schema,
                FRAME,
                LinearUnit.METRE,
                standing("one", "steel", 0, 0, 0, 0, 1),
                standing("two", "steel", 10, 0, 1, 0, 1)),
            wellspan.exchange.ifc.read.IfcReader.read(
                dir.resolve("a.ifc"), wellspan.core.progress.Progress.NONE),
            wellspan.core.progress.Progress.NONE);
    assertThat(p.pass()).isFalse();
    assertThat(p.findings()).anyMatch(f -> f.code().equals("proof.geometry"));
  }
}
