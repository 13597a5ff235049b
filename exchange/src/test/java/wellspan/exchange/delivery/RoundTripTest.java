package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.ClassRules;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.place.Contradictions;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.write.IfcWriter;
import wellspan.exchange.ifc.write.SchemaViolation;

class RoundTripTest extends DeliveredInTest {
  static Stream<Arguments> cases() {
    Frame own =
        Frame.UNPLACED.withCrs(
            "Site grid",
            "+proj=tmerc +lat_0=58 +lon_0=7.5 +k=1 +x_0=412000 +y_0=6434500 +ellps=GRS80 +towgs84=0,0,0 +units=m");
    List<Arguments> out = new ArrayList<>();
    for (IfcSchema schema : IfcSchema.values()) {
      for (LinearUnit unit :
          List.of(
              LinearUnit.METRE,
              LinearUnit.MILLIMETRE,
              LinearUnit.FOOT,
              LinearUnit.US_SURVEY_FOOT)) {
        out.add(Arguments.of(schema, unit, FRAME));
      }
      out.add(Arguments.of(schema, LinearUnit.MILLIMETRE, FRAME.withScale(1.000305)));
      out.add(Arguments.of(schema, LinearUnit.METRE, FRAME.withScale(0.99964)));
      out.add(Arguments.of(schema, LinearUnit.METRE, new LocalZero.Shared().frame(FRAME)));
      out.add(Arguments.of(schema, LinearUnit.MILLIMETRE, new LocalZero.Shared().frame(FRAME)));
      out.add(
          Arguments.of(
              schema,
              LinearUnit.METRE,
              new LocalZero.Own(new Position(400_000, 6_500_000, -100)).frame(FRAME)));
      out.add(Arguments.of(schema, LinearUnit.METRE, own.withBasePoint(FRAME.basePoint())));
    }
    return out.stream();
  }

  @ParameterizedTest
  @MethodSource("cases")
  void everythingArrivesInEverySchemaUnitAndFrame(IfcSchema schema, LinearUnit unit, Frame frame)
      throws IOException {
    DeliveryRun.Outcome o =
        run(
            parcel(
                schema,
                frame,
                unit,
                DeliveredItems.ground(),
                DeliveredItems.road(),
                DeliveredItems.planOnly(),
                DeliveredItems.points(),
                DeliveredItems.string(),
                DeliveredItems.block()));
    Proof p = o.receipt().proof();
    assertThat(p.findings()).allSatisfy(f -> assertThat(f.code()).startsWith("deliver."));
    assertThat(p.findings().isEmpty()).isEqualTo(schema == IfcSchema.IFC4X3);
    assertThat(p.pass()).isTrue();
    assertThat(p.maxDeviation()).isLessThan(1e-6);
    assertThat(p.trianglesIdentical()).isTrue();
    assertThat(p.arrived()).isEqualTo(6);
    assertThat(o.arrived().items())
        .filteredOn(i -> i.triangles().isPresent())
        .extracting(i -> i.kind().title())
        .containsExactly("terrain surface", "body");
    assertThat(o.arrived().places().getFirst().level()).isEqualTo(50);
  }

  @Test
  void aReceivedFileGivesTheSameFrameBack() throws IOException {
    for (IfcSchema schema : IfcSchema.values()) {
      Frame f = FRAME.withScale(1.000305);
      Frame back =
          run(parcel(schema, f, LinearUnit.METRE, DeliveredItems.ground()))
              .arrived()
              .frame()
              .orElseThrow();
      assertThat(back.crs()).isEqualTo(f.crs());
      assertThat(back.verticalDatum()).isEqualTo(f.verticalDatum());
      assertThat(back.basePoint()).isEqualTo(f.basePoint());
      assertThat(back.rotationDegrees()).isCloseTo(f.rotationDegrees(), within(1e-9 * 21.5));
      assertThat(back.scale()).isCloseTo(f.scale(), within(1e-9));
    }
  }

  @Test
  void everyFileSaysItsLatitudeAndLongitudeInAgreement() throws IOException {
    for (IfcSchema schema : IfcSchema.values()) {
      Received r =
          run(parcel(schema, FRAME, LinearUnit.MILLIMETRE, DeliveredItems.ground())).arrived();
      assertThat(r.places()).extracting(PlaceStatement::level).containsExactly(50, 20);
      PlaceStatement.LonLat at = r.places().get(1).geographic().orElseThrow();
      assertThat(at.longitude()).isCloseTo(7.4708204, within(1e-6));
      assertThat(at.latitude()).isCloseTo(58.9411039, within(1e-6));
      assertThat(Contradictions.check("a.ifc", r.places())).isEmpty();
    }
  }

  @Test
  void theScaledFormIsWrittenWhereTheSchemaHasIt() throws IOException {
    Frame f = FRAME.withScale(1.000305);
    assertThat(Files.readString(run(parcel(f, LinearUnit.METRE, DeliveredItems.ground())).file()))
        .contains("IFCMAPCONVERSIONSCALED");
    assertThat(
            Files.readString(
                run(parcel(IfcSchema.IFC4, f, LinearUnit.METRE, DeliveredItems.ground())).file()))
        .contains("IFCMAPCONVERSION(")
        .doesNotContain("SCALED");
    assertThat(
            Files.readString(
                run(parcel(IfcSchema.IFC2X3, f, LinearUnit.METRE, DeliveredItems.ground())).file()))
        .contains("ePSet_MapConversion")
        .contains("IFCOWNERHISTORY");
  }

  @Test
  void alignmentsHaveTheirElementsInIfc43() throws IOException {
    assertThat(
            run(parcel(FRAME, LinearUnit.METRE, DeliveredItems.road(), DeliveredItems.planOnly()))
                .arrived()
                .counts())
        .containsEntry("IfcAlignment", 2)
        .containsEntry("IfcRoadPart", 1)
        .containsEntry("IfcReferent", 3);
  }

  @Test
  void controlPointsAreTalliedInTheWrittenFile() throws IOException {
    Parcel p = parcel(FRAME, LinearUnit.METRE, DeliveredItems.points());
    Control control =
        new Control(
            List.of(new Control.Point("BN-1", new Position(412_100.123, 6_534_600.456, 21.538))),
            0.015,
            "");
    Parcel with =
        new Parcel(p.project(), p.schema(), p.frame(), p.unit(), p.ids(), p.pieces(), control);
    Proof proof = run(with).receipt().proof();
    assertThat(proof.pass()).isTrue();
    assertThat(proof.controlTally())
        .singleElement()
        .satisfies(
            l -> {
              assertThat(l.height()).isCloseTo(-0.038, within(1e-6));
              assertThat(l.plan()).isLessThan(1e-6);
              assertThat(l.by()).isEqualTo(ControlTally.FoundBy.NAME);
            });
    assertThat(proof.findings()).extracting(Finding::code).containsExactly("place.tally");
  }

  @Test
  void aMapInFeetIsServedToo() throws IOException {
    double foot = LinearUnit.US_SURVEY_FOOT.metres();
    Frame f = Frame.of("EPSG:2227", "", new Position(6_010_000 * foot, 2_080_000 * foot, 0), 0);
    double e = 6_012_000 * foot;
    double n = 2_082_000 * foot;
    Item s =
        Item.surface(
            "S", new Mesh(new double[] {e, n, 1, e + 5, n, 2, e, n + 5, 3}, new int[] {0, 1, 2}));
    DeliveryRun.Outcome o =
        DeliveryRun.run(
            "d",
            parcel(f, LinearUnit.METRE, s),
            dir.resolve("ft.ifc"),
            Clock.systemUTC(),
            Progress.NONE);
    assertThat(o.receipt().proof().findings()).isEmpty();
    assertThat(Files.readString(o.file())).contains("6010000.");
  }

  @Test
  void globalIdsStayTheSameInEveryRun() throws IOException {
    Parcel p = parcel(FRAME, LinearUnit.METRE, DeliveredItems.ground(), DeliveredItems.road());
    Path a = dir.resolve("a.ifc");
    Path b = dir.resolve("b.ifc");
    IfcWriter.write(p, a, "x.ifc", Clock.systemUTC(), Progress.NONE);
    IfcWriter.write(
        parcel(
            FRAME.withRotation(3),
            LinearUnit.MILLIMETRE,
            DeliveredItems.ground(),
            DeliveredItems.road()),
        b,
        "x.ifc",
        Clock.systemUTC(),
        Progress.NONE);
    assertThat(guids(b)).isEqualTo(guids(a)).doesNotHaveDuplicates();
  }

  @Test
  void aRunThatFailsLeavesTheLastGoodFile() throws IOException {
    Path target = dir.resolve("out").resolve("a.ifc");
    DeliveryRun.run(
        "d",
        parcel(FRAME, LinearUnit.METRE, DeliveredItems.ground()),
        target,
        Clock.systemUTC(),
        Progress.NONE);
    byte[] good = Files.readAllBytes(target);
    Parcel bad = parcel(FRAME, LinearUnit.METRE, DeliveredItems.ground());
    Parcel.Piece piece = bad.pieces().getFirst();
    Parcel wrong =
        loose(
            new Parcel.Piece(
                piece.key(),
                piece.item(),
                new Description(new EntityClass("IfcProject", ""), "x", List.of()),
                ""));
    assertThatThrownBy(() -> DeliveryRun.run("d", wrong, target, Clock.systemUTC(), Progress.NONE))
        .isInstanceOf(SchemaViolation.class);
    for (String stage : List.of("", "Reading", "Comparing", "Tallying", "Taking the checksum")) {
      Progress cancelled = new CancelledAt(stage);
      assertThatThrownBy(() -> DeliveryRun.run("d", bad, target, Clock.systemUTC(), cancelled))
          .as("cancelled at: " + stage)
          .isInstanceOf(CancellationException.class);
    }
    assertThat(Files.readAllBytes(target)).isEqualTo(good);
    try (var files = Files.list(target.getParent())) {
      assertThat(files).containsExactly(target);
    }
  }

  @Test
  void surfacesCanGoUnderAnotherClass() throws IOException {
    Parcel p = parcel(FRAME, LinearUnit.METRE, DeliveredItems.ground());
    Parcel.Piece g = p.pieces().getFirst();
    Parcel fill =
        loose(
            new Parcel.Piece(
                g.key(),
                g.item(),
                new Description(
                    new EntityClass("IfcEarthworksFill", "EMBANKMENT"),
                    g.description().globalId(),
                    List.of()),
                ""));
    assertThat(
            DeliveryRun.run("d", fill, dir.resolve("f.ifc"), Clock.systemUTC(), Progress.NONE)
                .receipt()
                .proof()
                .pass())
        .isTrue();
  }

  @Property(tries = 60)
  void anyTextAndNumberComesBack(
      @ForAll @StringLength(max = 80) String text, @ForAll double number, @ForAll long count)
      throws IOException {
    Map<String, PropertyValue> values =
        Map.of(
            "Text",
            new PropertyValue.Label(text),
            "Number",
            new PropertyValue.Real(number),
            "Length",
            new PropertyValue.Length(number / 1e300),
            "Count",
            new PropertyValue.Count(count >> 12),
            "Flag",
            new PropertyValue.Flag(count > 0));
    Item s =
        Item.surface(
            "S",
            new Mesh(
                new double[] {412_000, 6_534_500, 1, 412_005, 6_534_500, 2, 412_000, 6_534_505, 3},
                new int[] {0, 1, 2}));
    Parcel p =
        loose(
            new Parcel.Piece(
                "k",
                s,
                new Description(
                    ClassRules.standard(s, IfcSchema.IFC4X3),
                    IDS.of("k", "product"),
                    List.of(new PropertySet("Set", values))),
                ""));
    Path f = Files.createTempFile("round", ".ifc");
    try {
      IfcWriter.write(p, f, "x.ifc", Clock.systemUTC(), Progress.NONE);
      Received r = IfcReader.read(f, Progress.NONE);
      assertThat(r.items().getFirst().said().propertySets().getFirst().values()).isEqualTo(values);
    } finally {
      Files.delete(f);
    }
  }

  @Test
  void receiptsSayWhatHappened(@TempDir Path folder) throws IOException {
    DeliveryRun.Outcome o =
        DeliveryRun.run(
            "BIM <handover>",
            parcel(FRAME, LinearUnit.METRE, DeliveredItems.ground()),
            folder.resolve("a.ifc"),
            Clock.systemUTC(),
            Progress.NONE);
    String html = wellspan.core.receipt.ReceiptPage.html("Job", o.receipt());
    assertThat(html)
        .contains("Proven")
        .contains("BIM &lt;handover&gt;")
        .contains("242 triangles")
        .contains(o.receipt().files().getFirst().sha256());
    String json = wellspan.core.receipt.ReceiptJson.text(o.receipt());
    assertThat(json).contains("\"pass\" : true").contains("\"trianglesIdentical\" : true");
  }
}
