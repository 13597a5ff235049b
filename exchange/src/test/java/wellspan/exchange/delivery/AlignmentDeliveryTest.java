package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.place.Control;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.landxml.read.LandXmlReader;

/** Alignments as LandXML keep their elements, profile and chainages; as drawings they are lines. */
class AlignmentDeliveryTest {
  private static final Frame LOCAL =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 2), 21.5);
  private static final Frame SHARED = LOCAL.withBasePoint(new Position(0, 0, 0)).withRotation(0);

  @TempDir Path dir;

  private static Alignment road(SpiralLaw law) {
    List<PlanElement> e = new ArrayList<>();
    PlanPoint at = new PlanPoint(412_052.184, 6_534_702.417, Math.toRadians(33));
    e.add(new PlanElement.Line(at, 96.5));
    e.add(new PlanElement.Spiral(e.getLast().end(), 60, 0, -1 / 220.0, law));
    e.add(new PlanElement.Arc(e.getLast().end(), 88, -220));
    e.add(new PlanElement.Spiral(e.getLast().end(), 40, -1 / 220.0, 0, law));
    e.add(new PlanElement.Spiral(e.getLast().end(), 50, 0, 1 / 150.0, law));
    e.add(new PlanElement.Arc(e.getLast().end(), 70, 150));
    e.add(new PlanElement.Line(e.getLast().end(), 30));
    double length = e.stream().mapToDouble(PlanElement::length).sum();
    Profile profile =
        Profile.through(
            "Road",
            List.of(
                new Pvi(0, 40, new Pvi.Rounding.None()),
                new Pvi(90, 44.5, new Pvi.Rounding.Parabola(30, 30)),
                new Pvi(180, 42, new Pvi.Rounding.None()),
                new Pvi(260, 36, new Pvi.Rounding.Parabola(20, 45)),
                new Pvi(350, 37, new Pvi.Rounding.Circle(900)),
                new Pvi(length, 33, new Pvi.Rounding.None())));
    return new Alignment(
        "Road",
        e,
        new Chainages(100, List.of(new Chainages.Equation(200, 300, 512.5, true))),
        Optional.of(profile));
  }

  private static Parcel parcel(Alignment a, DeliveryFormat f, Frame frame, LinearUnit unit) {
    GlobalIds ids = new GlobalIds(new UUID(5, 6));
    Item item = Item.alignment("Road & <Co>", a);
    ItemId id = ItemId.of("s", item);
    return new Parcel(
        "p", f, frame, unit, ids, List.of(Packing.loosePiece(ids, id, item, f, "f")), Control.NONE);
  }

  private Proof run(Parcel p, String name) throws IOException {
    DeliveryRun.Outcome o =
        DeliveryRun.run("d", p, dir.resolve(name), Clock.systemUTC(), Progress.NONE);
    if (name.endsWith(".xml")) {
      LandXmlStructure.check(o.file());
    }
    return o.receipt().proof();
  }

  @Test
  void everySpiralProfileAndEquationIsProven() throws IOException {
    for (SpiralLaw law : SpiralLaw.values()) {
      for (Frame frame : List.of(LOCAL, SHARED)) {
        for (LinearUnit u : List.of(LinearUnit.METRE, LinearUnit.MILLIMETRE, LinearUnit.FOOT)) {
          Proof p = run(parcel(road(law), new LandXmlFormat(), frame, u), "road.xml");
          String what = law + " " + u + " " + frame.rotationDegrees();
          assertThat(p.findings().stream().filter(Finding::isError)).as(what).isEmpty();
          assertThat(p.maxDeviation()).as(what).isLessThan(1e-6);
        }
      }
    }
  }

  /** What the layouts of IFC4.3 have no type for goes in pieces, and that is told. */
  @Test
  void everySpiralThatAModelHasATypeForArrivesAsOne() throws IOException {
    Map<SpiralLaw, Boolean> asOne = new EnumMap<>(SpiralLaw.class);
    for (SpiralLaw law : SpiralLaw.values()) {
      for (LinearUnit u : List.of(LinearUnit.METRE, LinearUnit.MILLIMETRE)) {
        Alignment sent = road(law);
        Proof p = run(parcel(sent, new IfcFormat(IfcSchema.IFC4X3), LOCAL, u), "road.ifc");
        assertThat(p.findings().stream().filter(Finding::isError)).as(law + " " + u).isEmpty();
        assertThat(p.pass()).as(law + " " + u).isTrue();
        Shape shape =
            IfcReader.read(dir.resolve("road.ifc"), Progress.NONE).items().getFirst().shape();
        Alignment back = ((Shape.Axis) shape).alignment();
        boolean whole = back.elements().size() == sent.elements().size();
        asOne.put(law, whole);
        if (whole) {
          assertThat(((PlanElement.Spiral) back.elements().get(1)).law()).isEqualTo(law);
          assertThat(((PlanElement.Spiral) back.elements().get(3)).law()).isEqualTo(law);
        } else {
          assertThat(p.findings()).extracting(Finding::code).contains("deliver.transition");
          assertThat(back.elements())
              .filteredOn(e -> e instanceof PlanElement.Spiral)
              .allMatch(e -> ((PlanElement.Spiral) e).law() == SpiralLaw.CLOTHOID);
          for (double d = 0; d <= sent.length(); d += 3.7) {
            assertThat(back.at(d).east()).isCloseTo(sent.at(d).east(), within(1e-4));
            assertThat(back.at(d).north()).isCloseTo(sent.at(d).north(), within(1e-4));
          }
        }
      }
    }
    assertThat(asOne.keySet().stream().filter(l -> !asOne.get(l)))
        .containsExactlyInAnyOrder(
            SpiralLaw.CUBIC,
            SpiralLaw.BIQUADRATIC_PARABOLA,
            SpiralLaw.SINE_HALF_WAVE,
            SpiralLaw.RADIOID);
  }

  @Test
  void elementsAndPiecesOfTheProfileArriveOneByOne() throws IOException {
    Alignment sent = road(SpiralLaw.CLOTHOID);
    run(parcel(sent, new LandXmlFormat(), SHARED, LinearUnit.METRE), "road.xml");
    Received r = LandXmlReader.read(dir.resolve("road.xml"), Progress.NONE);
    Alignment back = ((Shape.Axis) r.items().getFirst().shape()).alignment();
    assertThat(back.elements())
        .extracting(e -> e.getClass().getSimpleName())
        .containsExactly("Line", "Spiral", "Arc", "Spiral", "Spiral", "Arc", "Line");
    assertThat(back.profile().orElseThrow().segments())
        .hasSameSizeAs(sent.profile().orElseThrow().segments());
    assertThat(back.chainages().start()).isCloseTo(100, within(1e-9));
    assertThat(back.at(250).chainage()).isCloseTo(562.5, within(1e-6));
    assertThat(r.findings()).isEmpty();
  }

  private static final Map<String, DeliveryFormat> FORMATS =
      Map.of(
          "g.ifc", new IfcFormat(IfcSchema.IFC4X3),
          "g4.ifc", new IfcFormat(IfcSchema.IFC4),
          "g.xml", new LandXmlFormat(),
          "g.dxf", new DxfFormat(DxfRelease.R2018, false));

  private static Alignment withGap(double east) {
    double d = Math.toRadians(33);
    return withGap(96.5, east * Math.cos(d), -east * Math.sin(d));
  }

  /** A bend in pieces, and an arc that begins elsewhere than it ends. */
  private static Alignment withGap(double length, double ahead, double left) {
    List<PlanElement> e = new ArrayList<>();
    e.add(new PlanElement.Line(new PlanPoint(412_000, 6_534_600, Math.toRadians(33)), length / 3));
    e.add(new PlanElement.Line(e.getLast().end(), length / 7));
    e.add(new PlanElement.Line(e.getLast().end(), length - length / 3 - length / 7));
    PlanPoint end = e.getLast().end();
    double c = Math.cos(end.direction());
    double d = Math.sin(end.direction());
    PlanPoint next =
        new PlanPoint(
            end.east() + ahead * c - left * d, end.north() + ahead * d + left * c, end.direction());
    e.add(new PlanElement.Arc(next, 80, 220));
    return new Alignment("Road", e, new Chainages(0, List.of()), Optional.empty());
  }

  @Test
  void aDesignThatHasAGapArrivesWithIt() throws IOException {
    for (Map.Entry<String, DeliveryFormat> f : FORMATS.entrySet()) {
      Proof p = run(parcel(withGap(0.3), f.getValue(), LOCAL, LinearUnit.METRE), f.getKey());
      assertThat(p.findings().stream().filter(Finding::isError)).as(f.getKey()).isEmpty();
    }
    assertThat(Files.readString(dir.resolve("g.ifc")))
        .containsSubsequence("IFCCURVESEGMENT(.DISCONTINUOUS.", "IFCCURVESEGMENT(.CONTINUOUS.");
    Parcel p = parcel(withGap(0.3), new IfcFormat(IfcSchema.IFC4X3), LOCAL, LinearUnit.METRE);
    assertThat(
            Prover.compare(p, IfcReader.read(dir.resolve("g.ifc"), Progress.NONE), Progress.NONE)
                .findings())
        .extracting(Finding::code, Finding::severity)
        .contains(tuple("alignment.jump", Severity.WARNING));
  }

  /**
   * Ahead, behind, to both sides; behind, the drawn line runs back over what it has drawn. Whether
   * a point at the gap comes to lie before or behind it is a matter of the last digit.
   */
  @Test
  void aGapOfAnyDirectionIsAsItWasSent() throws IOException {
    for (double length : new double[] {61.3, 77.77, 83.1, 96.5}) {
      for (double ahead : new double[] {0.39, 0, -0.39, -2.4}) {
        for (double left : new double[] {0.21, 3e-7, -0.35}) { // one that is rounding only
          Alignment sent = withGap(length, ahead, left);
          for (Map.Entry<String, DeliveryFormat> f : FORMATS.entrySet()) {
            Proof p = run(parcel(sent, f.getValue(), LOCAL, LinearUnit.METRE), f.getKey());
            assertThat(p.findings().stream().filter(Finding::isError))
                .as("%s, %s long, %s ahead, %s left", f.getKey(), length, ahead, left)
                .isEmpty();
            assertThat(p.pass()).isTrue();
          }
        }
      }
    }
  }

  @Test
  void aGapThatWasNotSentIsAFault() throws IOException {
    for (double other : new double[] {0, 0.301}) {
      run(
          parcel(withGap(other), new IfcFormat(IfcSchema.IFC4X3), LOCAL, LinearUnit.METRE),
          "o.ifc");
      Parcel meant = parcel(withGap(0.3), new IfcFormat(IfcSchema.IFC4X3), LOCAL, LinearUnit.METRE);
      Received arrived = IfcReader.read(dir.resolve("o.ifc"), Progress.NONE);
      assertThat(Prover.compare(meant, arrived, Progress.NONE).pass()).as("gap " + other).isFalse();
    }
  }

  @Test
  void aDrawingHoldsTheLineAndSaysWhatStays() throws IOException {
    Proof p =
        run(
            parcel(
                road(SpiralLaw.CLOTHOID),
                new DxfFormat(DxfRelease.R2000, false),
                LOCAL,
                LinearUnit.METRE),
            "road.dxf");
    assertThat(p.pass()).isTrue();
    assertThat(p.findings()).extracting(Finding::code).contains("deliver.chords");
  }
}
