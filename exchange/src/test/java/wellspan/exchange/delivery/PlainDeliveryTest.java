package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.place.Control;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.triangulate.BreaklineChains;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.dxf.read.DxfReader;
import wellspan.exchange.landxml.read.LandXmlReader;

/** LandXML and drawings: written, read back, proven; and damaged files that must fail. */
class PlainDeliveryTest {
  private static final Frame GRID =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 2), 21.5);
  private static final List<DeliveryFormat> FORMATS =
      List.of(
          new LandXmlFormat(),
          new DxfFormat(DxfRelease.R12, false),
          new DxfFormat(DxfRelease.R2000, false),
          new DxfFormat(DxfRelease.R2018, false),
          new DxfFormat(DxfRelease.R2018, true));

  @TempDir Path dir;

  private static Mesh hill() {
    int n = 12;
    double[] xyz = new double[3 * n * n];
    List<Integer> t = new ArrayList<>();
    for (int i = 0; i < n * n; i++) {
      xyz[3 * i] = 412_100.25 + 7.3 * (i % n);
      int row = i / n;
      xyz[3 * i + 1] = 6_534_600.5 + 6.1 * row;
      xyz[3 * i + 2] = 12 + Math.sin(i * 0.7);
      if (i % n > 0 && i >= n) {
        t.addAll(List.of(i - n - 1, i - n, i, i - n - 1, i, i - 1));
      }
    }
    t.subList(120, 126).clear(); // a hole
    return new Mesh(xyz, t.stream().mapToInt(Integer::intValue).toArray());
  }

  private static List<Item> items() {
    Polyline edge =
        new Polyline(
            new double[] {412_100, 6_534_600, 3.25, 412_150, 6_534_610, 4, 412_160, 6_534_640, 5});
    Polyline flat =
        new Polyline(new double[] {412_000, 6_534_500, Double.NaN, 412_010, 6_534_500, Double.NaN});
    return List.of(
        Item.surface("Hügel & <Nord>", hill()),
        Item.cover("Lawn", hill().only(k -> k < 9).compact(), "grass"),
        Item.string("Edge/1", List.of(edge, edge)),
        Item.string("Flat", flat),
        Item.points(
            "Pegs",
            List.of(
                new NamedPoint("P \"1\"", new Position(412_100, 6_534_600, 7.125), "peg"),
                new NamedPoint("P2", new Position(412_101, 6_534_601, Double.NaN), ""))),
        Item.surface("Hügel & <Nord>", hill().only(k -> k > 20).compact()));
  }

  private static Parcel parcel(DeliveryFormat format, Frame frame, LinearUnit unit) {
    GlobalIds ids = new GlobalIds(new UUID(3, 4));
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item i : items()) {
      ItemId id = ItemId.of("s" + pieces.size(), i);
      pieces.add(Packing.loosePiece(ids, id, i, format, "f"));
    }
    return new Parcel("p", format, frame, unit, ids, pieces, Control.NONE);
  }

  private Proof run(Parcel parcel, String name) throws IOException {
    DeliveryRun.Outcome o =
        DeliveryRun.run("d", parcel, dir.resolve(name), Clock.systemUTC(), Progress.NONE);
    if (name.endsWith(".xml")) {
      LandXmlStructure.check(o.file());
    }
    return o.receipt().proof();
  }

  @Test
  void everyFormatIsProvenInEveryUnitAndWithEveryZero() throws IOException {
    List<Frame> frames =
        List.of(
            GRID,
            GRID.withScale(1.0003),
            GRID.withBasePoint(new Position(0, 0, 0)).withRotation(0));
    for (DeliveryFormat f : FORMATS) {
      for (Frame frame : frames) {
        for (LinearUnit u :
            List.of(LinearUnit.METRE, LinearUnit.MILLIMETRE, LinearUnit.US_SURVEY_FOOT)) {
          Proof p = run(parcel(f, frame, u), "x" + f.ending());
          String what = f.id() + " " + u + " " + frame.basePoint();
          assertThat(p.findings().stream().filter(Finding::isError)).as(what).isEmpty();
          assertThat(p.arrived()).as(what).isEqualTo(6);
          assertThat(p.trianglesIdentical()).as(what).isTrue();
          assertThat(p.maxDeviation()).as(what).isLessThan(1e-6);
        }
      }
    }
  }

  @Test
  void aPositionFileGoesWithTheFile() throws IOException {
    run(parcel(new LandXmlFormat(), GRID, LinearUnit.METRE), "ground.xml");
    assertThat(dir.resolve("ground.position.json")).exists();
    assertThat(Files.readString(dir.resolve("ground.position.txt"))).contains("EPSG:25832");
  }

  @Test
  void landXmlIsShapedAsTheSchemaSays() throws Exception {
    Frame shared = GRID.withBasePoint(new Position(0, 0, 0)).withRotation(0);
    run(parcel(new LandXmlFormat(), shared, LinearUnit.METRE), "g.xml");
    Document d =
        DocumentBuilderFactory.newDefaultNSInstance()
            .newDocumentBuilder()
            .parse(dir.resolve("g.xml").toFile());
    Element root = d.getDocumentElement();
    assertThat(root.getNamespaceURI()).isEqualTo("http://www.landxml.org/schema/LandXML-1.2");
    assertThat(children(root))
        .containsExactly(
            "Units",
            "CoordinateSystem",
            "Project",
            "Application",
            "CgPoints",
            "PlanFeatures",
            "Surfaces");
    assertThat(((Element) root.getElementsByTagName("CoordinateSystem").item(0)))
        .extracting(e -> e.getAttribute("epsgCode"))
        .isEqualTo("25832");
    Element surface = (Element) root.getElementsByTagName("Surface").item(0);
    assertThat(surface.getAttribute("name")).isEqualTo("Hügel & <Nord>");
    assertThat(children(surface)).containsExactly("SourceData", "Definition");
    assertThat(children((Element) surface.getElementsByTagName("Boundaries").item(0))).hasSize(2);
    assertThat(surface.getElementsByTagName("P").getLength()).isEqualTo(144);
    assertThat(surface.getElementsByTagName("F").getLength()).isEqualTo(240);
    String[] first = surface.getElementsByTagName("P").item(0).getTextContent().split(" ");
    assertThat(Double.parseDouble(first[0])).isEqualTo(6_534_600.5);
    assertThat(Double.parseDouble(first[1])).isEqualTo(412_100.25);
    Received r = LandXmlReader.read(dir.resolve("g.xml"), Progress.NONE);
    assertThat(r.crs()).isEqualTo("EPSG:25832");
  }

  private static List<String> children(Element e) {
    List<String> out = new ArrayList<>();
    for (var n = e.getFirstChild(); n != null; n = n.getNextSibling()) {
      if (n instanceof Element c) {
        out.add(c.getTagName());
      }
    }
    return out;
  }

  @Test
  void aLocalZeroIsNotToldAsTheReferenceSystem() throws IOException {
    run(parcel(new LandXmlFormat(), GRID, LinearUnit.METRE), "g.xml");
    assertThat(Files.readString(dir.resolve("g.xml")))
        .doesNotContain("epsgCode")
        .contains("see the position file");
  }

  @Test
  void layersOfAnOldDrawingHavePlainNames() throws IOException {
    run(parcel(new DxfFormat(DxfRelease.R12, false), GRID, LinearUnit.METRE), "old.dxf");
    Received r = DxfReader.read(dir.resolve("old.dxf"), Progress.NONE);
    assertThat(r.layers())
        .extracting(l -> l.name())
        .contains("HUGEL_NORD_", "HUGEL_NORD__2", "EDGE_1", "PEGS");
    assertThat(Files.readString(dir.resolve("old.dxf"), StandardCharsets.US_ASCII))
        .doesNotContain("AcDb");
  }

  @Test
  void aDamagedFileFailsTheProof() throws IOException {
    for (DeliveryFormat f : FORMATS) {
      Parcel p = parcel(f, GRID, LinearUnit.METRE);
      Carrier carrier = Carriers.of(p.format());
      Path file = dir.resolve("damaged" + f.ending());
      carrier.write(p, java.util.Map.of(), file, "damaged", Clock.systemUTC(), Progress.NONE);
      String text = Files.readString(file, StandardCharsets.ISO_8859_1); // byte by byte
      Position local = GRID.toLocal(hill().vertex(5));
      String e = digits(local.east());
      assertThat(text).contains(e);
      Files.writeString(
          file, text.replaceFirst(e, digits(local.east() + 0.001)), StandardCharsets.ISO_8859_1);
      Received arrived =
          carrier.readBack(p, file, PositionBeside.json(p, "damaged"), Progress.NONE);
      Proof proof = wellspan.core.proof.Prover.compare(p, arrived, Progress.NONE);
      assertThat(proof.pass()).as(f.id()).isFalse();
    }
  }

  private static String digits(double d) {
    return java.math.BigDecimal.valueOf(d)
        .setScale(7, java.math.RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }

  @Test
  void aFaceLessIsSeenWhereverItIsDropped() throws IOException {
    Parcel p = parcel(new LandXmlFormat(), GRID, LinearUnit.METRE);
    Path file = dir.resolve("less.xml");
    Carrier carrier = Carriers.of(p.format());
    carrier.write(p, java.util.Map.of(), file, "less", Clock.systemUTC(), Progress.NONE);
    String text = Files.readString(file);
    Files.writeString(file, text.replaceFirst("<F>27 [^\n]*\n", ""));
    Received arrived = carrier.readBack(p, file, PositionBeside.json(p, "l"), Progress.NONE);
    Proof proof = wellspan.core.proof.Prover.compare(p, arrived, Progress.NONE);
    assertThat(proof.findings())
        .extracting(Finding::code)
        .contains("proof.triangles", "proof.geometry"); // and the outline no longer fits
  }

  @Test
  void numbersAreWrittenAsPlainDecimals() {
    for (double d : new double[] {0, -0.0, 1, -1.5, 1234.00001, 6_534_600.1234567, -1e-9, 1e12}) {
      StringBuilder s = new StringBuilder();
      wellspan.exchange.file.DecimalText.append(s, d, 7);
      assertThat(Double.parseDouble(s.toString()))
          .isCloseTo(d, within(5.1e-8 * Math.max(1, Math.abs(d) / 1e6)));
      assertThat(s.toString()).matches("-?\\d+\\.\\d+").doesNotMatch(".*\\.\\d+0$");
    }
  }

  private static Parcel withBreaklines() {
    Parcel p = parcel(new LandXmlFormat(), GRID, LinearUnit.METRE);
    Parcel.Piece hill = p.pieces().getFirst();
    Mesh m = hill();
    List<Polyline> rows =
        BreaklineChains.of(
            m,
            List.of(
                new Polyline(
                    new double[] {
                      m.east(12), m.north(12), 0, m.east(23), m.north(23), 0, m.east(23), 0, 0
                    })));
    Parcel.Piece lines =
        new Parcel.Piece(
            hill.key() + Packing.BREAKLINES,
            Item.string(hill.item().name() + Packing.BREAKLINES, rows),
            new wellspan.core.attribute.Description(
                new wellspan.core.attribute.EntityClass("IfcAnnotation", ""), "b", List.of()),
            "",
            hill.key());
    List<Parcel.Piece> all = new ArrayList<>(p.pieces());
    all.add(lines);
    return new Parcel("p", p.format(), p.frame(), p.unit(), p.ids(), all, Control.NONE);
  }

  @Test
  void breaklinesGoWithTheirSurfaceAndAreProvenToo() throws IOException {
    Parcel p = withBreaklines();
    List<Polyline> rows = ((Shape.Lines) p.pieces().getLast().item().shape()).lines();
    // along the second row all twelve vertices, then down to the first row; beyond it is no edge
    assertThat(rows).hasSize(1);
    assertThat(rows.getFirst().pointCount()).isEqualTo(13);
    Path f = dir.resolve("b.xml");
    Proof proof = DeliveryRun.run("d", p, f, Clock.systemUTC(), Progress.NONE).receipt().proof();
    assertThat(proof.pass()).as(proof.findings().toString()).isTrue();
    assertThat(proof.arrived()).isEqualTo(p.pieces().size());
    String text = Files.readString(f);
    assertThat(text).containsOnlyOnce("<Breakline brkType=\"standard\"><PntList3D>");
    assertThat(text.indexOf("<Breaklines>"))
        .isGreaterThan(text.indexOf("<Surface "))
        .isLessThan(text.indexOf("<Definition"));
  }
}
