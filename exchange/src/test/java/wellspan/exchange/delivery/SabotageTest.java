package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.regex.MatchResult;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.attribute.Classified;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.PointListFormat;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/**
 * Damages written files in every way that matters, at random places: the proof must fail each time
 * and name what differs. A file that cannot be read any more has failed too.
 */
class SabotageTest {
  private static final int EACH = 14;

  private static final Frame GRID =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);

  @TempDir Path dir;

  /** Another number: a millimetre or more beside, in whatever unit. */
  private static final Damage.Change MOVED =
      (s, r) -> {
        double by = (0.001 + 3 * r.nextDouble()) * (r.nextBoolean() ? 1 : -1);
        return String.format(Locale.ROOT, "%.7f", Double.parseDouble(s) + by);
      };

  private static final Damage.Change OTHER_WORD = (s, r) -> s + "x";

  private static List<Item> entries() {
    Mesh box =
        new Mesh(
            new double[] {
              412_010, 6_534_510, 3, 412_012, 6_534_510, 3, 412_012, 6_534_513, 3, 412_010,
              6_534_513, 3, 412_010, 6_534_510, 7, 412_012, 6_534_510, 7, 412_012, 6_534_513, 7,
              412_010, 6_534_513, 7
            },
            new int[] {
              0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7,
              6, 3, 0, 4, 3, 4, 7
            });
    PropertySet client =
        new PropertySet(
            "Client",
            new LinkedHashMap<>(
                Map.of(
                    "Status",
                    new PropertyValue.Label("new"),
                    "Width",
                    new PropertyValue.Length(2.25),
                    "Ready",
                    new PropertyValue.Flag(true),
                    "Number",
                    new PropertyValue.Count(12))));
    PropertySet quantities =
        new PropertySet(
            "Qto_KerbBaseQuantities",
            Map.of("Volume", new PropertyValue.Measure("IfcVolumeMeasure", 24)),
            true);
    Item ground = DeliveredItems.ground();
    Item holed =
        Item.of(
            "Holed",
            Kind.TERRAIN,
            new Shape.Faces(
                ground.ground().orElseThrow().only(t -> t != 100 && t != 101).compact(),
                new int[] {3, 4, 5}));
    return List.of(
        ground.on("ground layer"),
        holed.saying(Description.of(List.of(client), Optional.empty())),
        DeliveredItems.road().on("axes"),
        Item.body("Kerb", box, Band.EDGES)
            .on("kerbs")
            .saying(
                new Description(
                    new EntityClass("IfcKerb", "NOTDEFINED"),
                    "0abcdefghijklmnopqrs01",
                    List.of(client, quantities),
                    Optional.of(new Finish("granite", 0x8090A0)),
                    Optional.empty(),
                    List.of(
                        new Classified("Client codes", "K10", "Kerbs", List.of("K")),
                        new Classified("National list", "33.1", "", List.of())))),
        Item.string(
                "Edge",
                List.of(
                    new Polyline(
                        new double[] {
                          412_001.5, 6_534_502.25, 1, 412_005, 6_534_507.5, 2, 412_009, 6_534_504, 3
                        }),
                    new Polyline(new double[] {412_021, 6_534_502, 4.5, 412_025, 6_534_507, 5.5})))
            .on("edges"),
        Item.points(
            "Pegs",
            List.of(
                new NamedPoint("P1", new Position(412_100, 6_534_600, 7.125), "peg"),
                new NamedPoint("P2", new Position(412_101, 6_534_601, 8.25), "nail"))));
  }

  private static Parcel parcel(DeliveryFormat format) {
    GlobalIds ids = new GlobalIds(new UUID(3, 4));
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item e : entries()) {
      if (format.carries(e)) {
        ItemId id = ItemId.of("s", e);
        pieces.add(Packing.loosePiece(ids, id, e, format, "f"));
      }
    }
    boolean shared = format instanceof LandXmlFormat;
    return Packing.loose(
        "p",
        format,
        shared ? GRID.withBasePoint(new Position(0, 0, 0)).withRotation(0) : GRID,
        LinearUnit.METRE,
        ids,
        pieces);
  }

  private static final String NUMBER = "(-?\\d+\\.\\d*)";

  private static List<Damage> model() {
    return List.of(
        Damage.of("coordinate", "(?:POINTLIST3D\\(\\(|\\),)\\((?:-?\\d+\\.\\d*,)?" + NUMBER, MOVED),
        Damage.of(
            "triangle's order",
            "\\(([1-9]\\d*,[1-9]\\d*),[1-9]\\d*\\)(?=[,)])",
            (s, r) -> s.split(",")[1] + "," + s.split(",")[0]),
        Damage.out("dropped face", "\\([1-9]\\d*,[1-9]\\d*,[1-9]\\d*\\),"),
        Damage.of("point of a line", "IFCCARTESIANPOINT\\(\\(" + NUMBER + ",-?\\d+\\.\\d*,", MOVED),
        Damage.of(
            "Closed",
            "FACESET\\(#\\d+,\\$,(\\.[TF]\\.)",
            (s, r) -> s.equals(".T.") ? ".F." : ".T."),
        Damage.of("property value", "IFCLABEL\\('([^']*)'\\)", OTHER_WORD),
        Damage.of("property number", "IFCLENGTHMEASURE\\(" + NUMBER + "\\),\\$", MOVED),
        Damage.of("property type", "\\$,(IFCLABEL)\\('", (s, r) -> "IFCTEXT"),
        Damage.of("property name", "IFCPROPERTYSINGLEVALUE\\('([^']*)'", OTHER_WORD),
        Damage.of("set name", "IFCPROPERTYSET\\('[^']*',[^,]*,'([^']*)'", OTHER_WORD),
        Damage.of("quantity", "IFCQUANTITYVOLUME\\('Volume',\\$,\\$," + NUMBER, MOVED),
        Damage.of("class", "(IFCKERB)\\(", (s, r) -> "IFCCOURSE"),
        Damage.of("type", "(\\.TERRAIN\\.)", (s, r) -> ".USERDEFINED."),
        Damage.of("material", "IFCMATERIAL\\('([^']*)'", OTHER_WORD),
        Damage.of(
            "colour",
            "IFCCOLOURRGB\\(\\$," + NUMBER,
            (s, r) -> s.startsWith("0.9") ? "0.1" : "0.95"),
        Damage.of("code", "IFCCLASSIFICATIONREFERENCE\\((?:\\$|'[^']*'),'([^']*)'", OTHER_WORD),
        Damage.of("title of a code", "IFCCLASSIFICATIONREFERENCE\\([^;]*'(Kerbs)'", OTHER_WORD),
        Damage.of(
            "name of a code system", "IFCCLASSIFICATION\\((?:[^,;]*,){3}'([^']*)'", OTHER_WORD),
        Damage.out("dropped code", "#\\d+=IFCRELASSOCIATESCLASSIFICATION\\([^;]*;\n"),
        Damage.of("name of a road", "IFCROAD(?:PART)?\\('[^']*',[^,]*,'([^']*)'", OTHER_WORD),
        Damage.of("layer", "IFCPRESENTATIONLAYERASSIGNMENT\\('([^']*)'", OTHER_WORD),
        Damage.of(
            "name of a product",
            "(?:IFCGEOGRAPHICELEMENT|IFCKERB|IFCALIGNMENT|IFCANNOTATION|IFCGROUP)\\('[^']*',[^,]*,'([^']*)'",
            OTHER_WORD),
        Damage.of(
            "GlobalId",
            "(?:IFCGEOGRAPHICELEMENT|IFCKERB|IFCALIGNMENT|IFCGROUP)\\('([^']*)'",
            (s, r) -> "1" + s.substring(1, 21) + (s.endsWith("z") ? "y" : "z")),
        Damage.of("unit", "(\\$,\\.METRE\\.)", (s, r) -> ".CENTI.,.METRE."),
        Damage.of("CRS", "EPSG:(25832)", (s, r) -> "25833"),
        Damage.of("placement", "IFCMAPCONVERSION\\(#\\d+,#\\d+," + NUMBER, MOVED),
        Damage.of(
            "rotation",
            "IFCMAPCONVERSION\\((?:[^,]*,){5}" + NUMBER,
            (s, r) -> Double.toString(Double.parseDouble(s) * 0.99)),
        Damage.of(
            "profile piece",
            "IFCALIGNMENTVERTICALSEGMENT\\(\\$,\\$,(?:-?[\\d.E-]+,){2}" + NUMBER,
            MOVED),
        Damage.of(
            "plan element",
            "IFCALIGNMENTHORIZONTALSEGMENT\\(\\$,\\$,#\\d+,(?:-?[\\d.E-]+,){3}(\\d\\d\\.\\d*)",
            MOVED));
  }

  private static List<Damage> landXml() {
    return List.of(
        Damage.of("coordinate", "<P id=\"\\d+\">(?:-?[\\d.]+ ){0,2}" + NUMBER, MOVED),
        Damage.of(
            "triangle's order",
            "<F(?: i=\"1\")?>(\\d+ \\d+) \\d+</F>",
            (s, r) -> s.split(" ")[1] + " " + s.split(" ")[0]),
        Damage.out("dropped face", "<F(?: i=\"1\")?>[^\n]*\n"),
        Damage.of("hidden face shown", "(<F i=\"1\">)", (s, r) -> "<F>"),
        Damage.out("dropped ring", "<Boundary [^\n]*\n"),
        Damage.of("ring", "<Boundary[^>]*><PntList3D>[^<]*? " + NUMBER + " ", MOVED),
        Damage.of(
            "kind of ring",
            "bndType=\"(outer|void)\"",
            (s, r) -> s.equals("outer") ? "void" : "outer"),
        Damage.of("line", "<PlanFeature[^\n]*\n[^\n]*<PntList3D>[^<]*? " + NUMBER + " ", MOVED),
        Damage.of("point", "<CgPoint [^>]*>" + NUMBER, MOVED),
        Damage.out("dropped point", "    <CgPoint [^\n]*\n"),
        Damage.of("code", "<CgPoint [^>]*code=\"([^\"]*)\"", OTHER_WORD),
        Damage.of("name of a point", "<CgPoint name=\"([^\"]*)\"", OTHER_WORD),
        Damage.of(
            "name", "<(?:Surface|Alignment|PlanFeature|CgPoints) name=\"([^\"]*)\"", OTHER_WORD),
        Damage.of("profile piece", "<(?:PVI|ParaCurve|CircCurve)[^>]*>-?[\\d.]+ " + NUMBER, MOVED),
        Damage.of("radius", "<Curve[^>]*>.*?<Center>" + NUMBER, MOVED),
        Damage.of("length of a spiral", "<Spiral length=\"" + NUMBER, MOVED),
        Damage.of("chainage", "staStart=\"" + NUMBER, MOVED),
        Damage.of("property value", "<Property label=\"[^\"]*\" value=\"([^\"]*)\"", OTHER_WORD),
        Damage.of("property name", "<Property label=\"([^\"]*)\"", OTHER_WORD),
        Damage.of("set name", "<Feature name=\"([^\"]*)\"", OTHER_WORD),
        Damage.of("unit", "linearUnit=\"(meter)\"", (s, r) -> "foot"),
        Damage.of("CRS", "epsgCode=\"(25832)\"", (s, r) -> "25833"),
        Damage.of("heights", "verticalDatum=\"([^\"]*)\"", OTHER_WORD));
  }

  private static List<Damage> drawing(boolean mesh, boolean unit) {
    List<Damage> out = new ArrayList<>();
    out.add(
        Damage.of(
            "coordinate",
            mesh
                ? "\n 10\n" + NUMBER + "\n 20\n-?\\d+\\.\\d*\n 30"
                : "  0\n3DFACE\n(?:(?!  0\n)[^\n]*\n[^\n]*\n)*? 1[0-3]\n" + NUMBER,
            MOVED));
    if (!mesh) {
      out.add(Damage.out("dropped face", "  0\n3DFACE\n(?:(?!  0\n)[^\n]*\n[^\n]*\n)*?(?=  0\n)"));
    }
    if (mesh) {
      out.add(
          Damage.of(
              "triangle's order", "\n 90\n3\n 90\n(\\d+)\n", (s, r) -> s.equals("0") ? "1" : "0"));
    }
    out.add(
        Damage.of(
            "point of a line", "VERTEX\n(?:(?!  0\n)[^\n]*\n[^\n]*\n)*? 10\n" + NUMBER, MOVED));
    out.add(Damage.of("point", "  0\nPOINT\n(?:(?!  0\n)[^\n]*\n[^\n]*\n)*? 10\n" + NUMBER, MOVED));
    out.add(
        Damage.of(
            "name of a point",
            "  0\nTEXT\n(?:(?!  0\n)[^\n]*\n[^\n]*\n)*?  1\n([^\n]*)",
            OTHER_WORD));
    out.add(
        Damage.of(
            "layer of an entity",
            "  0\n(?:3DFACE|MESH|POLYLINE|POINT)\n(?:(?!  0\n)[^\n]*\n[^\n]*\n)*?  8\n([^\n]*)",
            OTHER_WORD));
    out.add(
        Damage.of(
            "colour of a layer", // a true colour goes before the number
            "  0\nLAYER\n(?:(?!  0\n| 62\n)[^\n]*\n[^\n]*\n)*? 62\n(?:7\n 420\n|\\d+\n420\n)?(\\d+)\n(?!420)",
            (s, r) -> s.equals("3") ? "4" : "3"));
    if (unit) {
      out.add(Damage.of("unit", "INSUNITS\n 70\n(\\d+)", (s, r) -> "2"));
      out.add(Damage.of("no unit", "INSUNITS\n 70\n(\\d+)", (s, r) -> "0"));
    }
    return out;
  }

  private static List<Damage> pointList() {
    return List.of(
        Damage.of("coordinate", "\n[^,\n]*,(?:[^,\n]*,){0,2}" + NUMBER, MOVED),
        Damage.out("dropped point", "P1,[^\n]*\n"),
        Damage.of("name", "\n(P\\d)", OTHER_WORD),
        Damage.of("code", ",(peg|nail)", OTHER_WORD));
  }

  private static List<Damage> damages(DeliveryFormat f) {
    return switch (f) {
      case IfcFormat i -> model();
      case LandXmlFormat l -> landXml();
      case DxfFormat d -> drawing(d.mesh(), !d.id().contains("R12"));
      case PointListFormat p -> pointList();
      default -> throw new IllegalArgumentException("no damages for this format");
    };
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "IFC4X3_ADD2",
        "IFC4",
        "LandXML 1.2",
        "DXF R12",
        "DXF 2000",
        "DXF 2018",
        "DXF 2018 mesh",
        "point list"
      })
  void everyDamageFailsTheProofAndIsNamed(String id) throws IOException {
    DeliveryFormat format = DeliveryFormat.named(id).orElseThrow();
    Parcel p = parcel(format);
    Path file = dir.resolve("good" + format.ending());
    Carrier carrier = Carriers.of(p.format());
    carrier.write(
        p, Map.of(), file, file.getFileName().toString(), Clock.systemUTC(), Progress.NONE);
    String position = PositionBeside.json(p, "good");
    Proof good =
        Prover.compare(p, carrier.readBack(p, file, position, Progress.NONE), Progress.NONE);
    assertThat(good.differences()).isEmpty();
    assertThat(good.pass()).isTrue();
    byte[] bytes = Files.readAllBytes(file);
    String text = new String(bytes, StandardCharsets.ISO_8859_1);
    Random r = new Random(id.hashCode());
    List<Damage> kinds = damages(format);
    int times = Math.max(EACH, 220 / kinds.size());
    int done = 0;
    List<String> missed = new ArrayList<>();
    Map<String, Integer> table = new LinkedHashMap<>();
    for (Damage d : kinds) {
      List<MatchResult> places =
          d.where()
              .matcher(text)
              .results()
              .filter(m -> !m.group().contains("\n  2\n0\n")) // the layer that every drawing has
              .toList();
      if (places.isEmpty() && format.id().equals("IFC4")) {
        continue; // its kerb and alignments go in other classes
      }
      assertThat(places).as(id + ": a place for " + d.what()).isNotEmpty();
      for (int i = 0; i < times; i++) {
        MatchResult at = places.get(r.nextInt(places.size()));
        String damaged =
            text.substring(0, at.start(1))
                + d.change().of(at.group(1), r)
                + text.substring(at.end(1));
        Path bad = dir.resolve("bad" + format.ending());
        Files.writeString(bad, damaged, StandardCharsets.ISO_8859_1);
        done++;
        if (isSeen(p, carrier, bad, position)) {
          table.merge(d.what(), 1, Integer::sum);
        } else {
          missed.add(d.what() + " at " + at.group(1) + " (offset " + at.start(1) + ")");
        }
      }
    }
    System.out.println(id + ": " + done + " damages, all caught: " + table);
    assertThat(missed).isEmpty();
    assertThat(done).isGreaterThanOrEqualTo(200);
  }

  private static boolean isSeen(Parcel p, Carrier carrier, Path bad, String position) {
    Received arrived;
    try {
      arrived = carrier.readBack(p, bad, position, Progress.NONE);
    } catch (IOException e) {
      return !e.getMessage().isBlank();
    }
    Proof proof = Prover.compare(p, arrived, Progress.NONE);
    return !proof.pass()
        && proof.findings().stream().anyMatch(f -> f.isError() && !f.message().isBlank());
  }
}
