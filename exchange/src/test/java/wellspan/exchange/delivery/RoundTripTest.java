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
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.Packing;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.Proof;
import wellspan.core.deliver.Prover;
import wellspan.core.describe.ClassRules;
import wellspan.core.describe.Description;
import wellspan.core.describe.EntityClass;
import wellspan.core.describe.PropertySet;
import wellspan.core.describe.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.write.IfcWriter;
import wellspan.exchange.ifc.write.SchemaViolation;

class RoundTripTest {
  private static final Frame FRAME =
      new Frame("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 10), 21.5, "");
  private static final GlobalIds IDS = new GlobalIds(new UUID(7, 9));

  @TempDir Path dir;

  private static Item ground() {
    int n = 12;
    double[] xyz = new double[3 * n * n];
    List<Integer> tri = new ArrayList<>();
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        int k = j * n + i;
        xyz[3 * k] = 412_100.123 + 7.77 * i;
        xyz[3 * k + 1] = 6_534_600.456 + 7.77 * j;
        xyz[3 * k + 2] = 20 + Math.sin(i) + Math.cos(j);
        if (i + 1 < n && j + 1 < n) {
          tri.addAll(List.of(k, k + 1, k + n + 1, k, k + n + 1, k + n));
        }
      }
    }
    return new Item.TerrainSurface(
        "Ground", new Mesh(xyz, tri.stream().mapToInt(Integer::intValue).toArray()), new int[0]);
  }

  /** Every kind of element, in both turns, and every kind of vertical curve. */
  private static Item road() {
    List<PlanElement> plan = new ArrayList<>();
    PlanPoint at = new PlanPoint(412_050.5, 6_534_550.25, 0.7);
    double sign = 1;
    plan.add(new PlanElement.Line(at, 60));
    for (SpiralLaw law : SpiralLaw.values()) {
      at = plan.getLast().end();
      plan.add(new PlanElement.Spiral(at, 50, 0, sign / 180, law));
      plan.add(new PlanElement.Arc(plan.getLast().end(), 70, sign * 180));
      plan.add(new PlanElement.Spiral(plan.getLast().end(), 30, sign / 180, sign / 120, law));
      plan.add(new PlanElement.Spiral(plan.getLast().end(), 40, sign / 120, 0, law));
      sign = -sign;
    }
    Pvi.Rounding none = new Pvi.Rounding.None();
    Profile profile =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 30, none),
                new Pvi(150, 36, new Pvi.Rounding.Parabola(40, 40)),
                new Pvi(350, 30, new Pvi.Rounding.Parabola(30, 60)),
                new Pvi(550, 35, new Pvi.Rounding.Circle(2000)),
                new Pvi(700, 33, none),
                new Pvi(820, 31, none)));
    return new Item.AlignmentLine(
        "Road",
        new Alignment(
            "Road",
            plan,
            new Chainages(500, List.of(new Chainages.Equation(200, 700, 1000, true))),
            Optional.of(profile)));
  }

  private static Item planOnly() {
    return new Item.AlignmentLine(
        "Path",
        new Alignment(
            "Path",
            List.of(new PlanElement.Arc(new PlanPoint(412_000, 6_534_500, 2), 1200, -200)),
            new Chainages(0, List.of()),
            Optional.empty()));
  }

  private static Parcel parcel(Frame frame, LinearUnit unit, Item... items) {
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item i : items) {
      pieces.add(
          Packing.piece(
              IDS,
              ItemId.of("s", i.kind(), i.name()),
              i,
              ClassRules.standard(i),
              "design – größe.xml",
              "Rev A"));
    }
    return new Parcel("Prüf & Co", frame, unit, IDS, pieces);
  }

  @ParameterizedTest
  @EnumSource(
      value = LinearUnit.class,
      names = {"METRE", "MILLIMETRE", "FOOT", "US_SURVEY_FOOT"})
  void everythingArrivesInEveryUnit(LinearUnit unit) throws IOException {
    DeliveryRun.Outcome o =
        DeliveryRun.run(
            "d",
            parcel(FRAME, unit, ground(), road(), planOnly()),
            dir.resolve("a.ifc"),
            Clock.systemUTC(),
            Progress.NONE);
    assertThat(o.receipt().proof().findings()).isEmpty();
    assertThat(o.receipt().proof().pass()).isTrue();
    assertThat(o.receipt().proof().maxDeviation()).isLessThan(1e-6);
    assertThat(o.receipt().proof().trianglesIdentical()).isTrue();
    assertThat(o.arrived().counts())
        .containsEntry("IfcAlignment", 2)
        .containsEntry("IfcRoadPart", 1)
        .containsEntry("IfcReferent", 3);
  }

  @Test
  void aMapInFeetIsServedToo() throws IOException {
    double foot = LinearUnit.US_SURVEY_FOOT.metres();
    Frame f =
        new Frame("EPSG:2227", "", new Position(6_010_000 * foot, 2_080_000 * foot, 0), 0, "");
    double e = 6_012_000 * foot;
    double n = 2_082_000 * foot;
    Item s =
        new Item.TerrainSurface(
            "S",
            new Mesh(new double[] {e, n, 1, e + 5, n, 2, e, n + 5, 3}, new int[] {0, 1, 2}),
            new int[0]);
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
    Parcel p = parcel(FRAME, LinearUnit.METRE, ground(), road());
    Path a = dir.resolve("a.ifc");
    Path b = dir.resolve("b.ifc");
    IfcWriter.write(p, a, "x.ifc", Clock.systemUTC(), Progress.NONE);
    IfcWriter.write(
        parcel(FRAME.withRotation(3), LinearUnit.MILLIMETRE, ground(), road()),
        b,
        "x.ifc",
        Clock.systemUTC(),
        Progress.NONE);
    assertThat(guids(b)).isEqualTo(guids(a)).doesNotHaveDuplicates();
  }

  private static List<String> guids(Path file) throws IOException {
    return Pattern.compile("\\('([0-9A-Za-z_$]{22})',")
        .matcher(Files.readString(file))
        .results()
        .map(m -> m.group(1))
        .toList();
  }

  private Proof damaged(UnaryOperator<String> damage) throws IOException {
    Parcel p = parcel(FRAME, LinearUnit.METRE, ground(), road());
    Path f = dir.resolve("x.ifc");
    IfcWriter.write(p, f, "x.ifc", Clock.systemUTC(), Progress.NONE);
    String whole = Files.readString(f);
    String broken = damage.apply(whole);
    assertThat(broken).isNotEqualTo(whole);
    Files.writeString(f, broken);
    return Prover.compare(p, IfcReader.read(f, Progress.NONE), Progress.NONE);
  }

  private static List<String> codes(Proof p) {
    return p.findings().stream().map(Finding::code).toList();
  }

  @Test
  void oneChangedCoordinateFailsAndSaysWhere() throws IOException {
    Proof p =
        damaged(s -> s.replaceFirst("(IFCCARTESIANPOINTLIST3D\\(\\(\\()(-?\\d+)\\.", "$1$20."));
    assertThat(p.pass()).isFalse();
    assertThat(p.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("proof.moved");
              assertThat(f.message()).contains("vertex 1 of 144");
              assertThat(f.place().orElseThrow().east()).isCloseTo(412_100.123, within(1e-9));
            });
  }

  @Test
  void oneDroppedFaceFails() throws IOException {
    Proof p = damaged(s -> s.replaceFirst("\\(\\(1,2,14\\),", "("));
    assertThat(codes(p)).containsExactly("proof.triangles");
    assertThat(p.findings().getFirst().message())
        .contains("242 triangles were sent, 241 arrived")
        .contains("triangle 1");
  }

  @Test
  void aSwappedClassFails() throws IOException {
    assertThat(codes(damaged(s -> s.replace(".TERRAIN.", ".SOIL_BORING_POINT."))))
        .containsExactly("proof.class");
  }

  @Test
  void aChangedAlignmentPropertyIdOrFrameFails() throws IOException {
    assertThat(
            codes(
                damaged(
                    s ->
                        s.replaceFirst(
                            "(IFCALIGNMENTHORIZONTALSEGMENT\\(\\$,\\$,#\\d+,[^,]*,[^,]*,[^,]*),70\\.",
                            "$1,70.5"))))
        .contains("proof.moved", "alignment.curve");
    assertThat(codes(damaged(s -> s.replaceFirst("IFCCLOTHOID\\((#\\d+),", "IFCCLOTHOID($1,1"))))
        .containsExactly("alignment.curve");
    assertThat(codes(damaged(s -> s.replace("'Rev A'", "'Rev B'")))).contains("proof.property");
    assertThat(
            codes(
                damaged(
                    s ->
                        s.replace(
                            IDS.of("s/alignment/Road", "product"), "0000000000000000000000"))))
        .contains("proof.missing", "proof.extra");
    assertThat(codes(damaged(s -> s.replace("412000.,6534500.", "412000.5,6534500."))))
        .contains("proof.frame", "proof.moved");
  }

  @Test
  void aRunThatFailsLeavesTheLastGoodFile() throws IOException {
    Path target = dir.resolve("out").resolve("a.ifc");
    DeliveryRun.run(
        "d", parcel(FRAME, LinearUnit.METRE, ground()), target, Clock.systemUTC(), Progress.NONE);
    byte[] good = Files.readAllBytes(target);
    Parcel bad = parcel(FRAME, LinearUnit.METRE, ground());
    Parcel.Piece piece = bad.pieces().getFirst();
    Parcel wrong =
        new Parcel(
            "p",
            FRAME,
            LinearUnit.METRE,
            IDS,
            List.of(
                new Parcel.Piece(
                    piece.key(),
                    piece.item(),
                    new Description(new EntityClass("IfcProject", ""), "x", List.of()))));
    assertThatThrownBy(() -> DeliveryRun.run("d", wrong, target, Clock.systemUTC(), Progress.NONE))
        .isInstanceOf(SchemaViolation.class);
    Progress cancelled =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {}

          @Override
          public boolean isCancelled() {
            return true;
          }
        };
    assertThatThrownBy(() -> DeliveryRun.run("d", bad, target, Clock.systemUTC(), cancelled))
        .isInstanceOf(CancellationException.class);
    assertThat(Files.readAllBytes(target)).isEqualTo(good);
    try (var files = Files.list(target.getParent())) {
      assertThat(files).containsExactly(target);
    }
  }

  @Test
  void surfacesCanGoUnderAnotherClass() throws IOException {
    Parcel p = parcel(FRAME, LinearUnit.METRE, ground());
    Parcel.Piece g = p.pieces().getFirst();
    Parcel fill =
        new Parcel(
            "p",
            FRAME,
            LinearUnit.METRE,
            IDS,
            List.of(
                new Parcel.Piece(
                    g.key(),
                    g.item(),
                    new Description(
                        new EntityClass("IfcEarthworksFill", "EMBANKMENT"),
                        g.description().globalId(),
                        List.of()))));
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
        new Item.TerrainSurface(
            "S",
            new Mesh(
                new double[] {412_000, 6_534_500, 1, 412_005, 6_534_500, 2, 412_000, 6_534_505, 3},
                new int[] {0, 1, 2}),
            new int[0]);
    Parcel p =
        new Parcel(
            "p",
            FRAME,
            LinearUnit.METRE,
            IDS,
            List.of(
                new Parcel.Piece(
                    "k",
                    s,
                    new Description(
                        ClassRules.standard(s),
                        IDS.of("k", "product"),
                        List.of(new PropertySet("Set", values))))));
    Path f = Files.createTempFile("round", ".ifc");
    try {
      IfcWriter.write(p, f, "x.ifc", Clock.systemUTC(), Progress.NONE);
      Received r = IfcReader.read(f, Progress.NONE);
      assertThat(
              r.entries().getFirst().description().orElseThrow().propertySets().getFirst().values())
          .isEqualTo(values);
    } finally {
      Files.delete(f);
    }
  }

  @Example
  void receiptsSayWhatHappened() throws IOException {
    Path folder = Files.createTempDirectory("receipt");
    DeliveryRun.Outcome o =
        DeliveryRun.run(
            "BIM <handover>",
            parcel(FRAME, LinearUnit.METRE, ground()),
            folder.resolve("a.ifc"),
            Clock.systemUTC(),
            Progress.NONE);
    String html = wellspan.core.deliver.ReceiptPage.html("Job", o.receipt());
    assertThat(html)
        .contains("Proven")
        .contains("BIM &lt;handover&gt;")
        .contains("242 triangles")
        .contains(o.receipt().files().getFirst().sha256());
    String json = wellspan.core.deliver.ReceiptJson.text(o.receipt());
    assertThat(json).contains("\"pass\" : true").contains("\"trianglesIdentical\" : true");
  }
}
