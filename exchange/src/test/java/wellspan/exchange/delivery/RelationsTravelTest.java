package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.RelationType;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.item.Relation;
import wellspan.core.item.Relations;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.FileProof;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;

/** Parts of wholes, connections, and what follows an alignment, through models and back. */
class RelationsTravelTest extends DeliveredInTest {
  private static Item block(String name, double east) {
    double e = 412_150 + east, n = 6_534_650, h = 12;
    return Item.body(
        name,
        new Mesh(
            new double[] {e, n, h, e + 2, n, h, e, n + 2, h, e, n, h + 2},
            new int[] {0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3}),
        Band.STRUCTURES);
  }

  private static Item joined(String name, double east, String link, boolean out) {
    Item i = block(name, east);
    Position at = new Position(412_150 + east, 6_534_650, 12);
    return i.with(
        i.attributes()
            .withConnection(
                Optional.of(
                    new Connection(
                        "Storm",
                        "storm",
                        List.of(
                            new Connection.Port(
                                link, at, out ? Connection.Flow.OUT : Connection.Flow.IN))))));
  }

  /** One of each sort; the connection once by ports and once without. */
  private static Parcel parcel(IfcSchema schema) {
    Kind k = block("x", 0).kind();
    List<Item> items =
        List.of(
            DeliveredItems.road(),
            block("Rail", 0),
            block("Posts", 10).partOf(block("Rail", 0)),
            block("Cap", 20)
                .partOf(block("Rail", 0))
                .standing(RelationType.FOLLOWS, Kind.ALIGNMENT, "Road"),
            block("Beam", 30).standing(RelationType.CONNECTS, k, "Rail"),
            joined("Pipe", 40, "p1", true),
            joined("Chamber", 50, "p1", false));
    return loose(schema, items);
  }

  private static Parcel loose(IfcSchema schema, List<Item> items) {
    return Packing.loose(
        "p",
        new wellspan.core.deliver.IfcFormat(schema),
        FRAME,
        LinearUnit.METRE,
        IDS,
        items.stream()
            .map(i -> Packing.loosePiece(IDS, ItemId.of("s", i), i, schema, "f.xml"))
            .toList());
  }

  private Received back() throws IOException {
    return IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
  }

  private static List<String> words(Received r) {
    Map<ItemId, Item> items = new LinkedHashMap<>();
    r.items().forEach(i -> items.put(ItemId.of("", i), i));
    return Relations.of(items).stream()
        .map(
            (Relation x) ->
                items.get(x.from()).name()
                    + " "
                    + x.type().words()
                    + " "
                    + items.get(x.to()).name())
        .toList();
  }

  @ParameterizedTest
  @EnumSource
  void everyRelationThatTheSchemaHoldsArrives(IfcSchema schema) throws IOException {
    DeliveryRun.Outcome o = run(parcel(schema));
    Proof proof = o.receipt().proof();
    assertThat(proof.findings()).noneMatch(Finding::isError);
    List<String> expected =
        new java.util.ArrayList<>(
            List.of(
                "Posts part of Rail",
                "Cap part of Rail",
                "Beam connected to Rail",
                "Pipe connected to Chamber"));
    if (schema == IfcSchema.IFC4X3) {
      expected.add("Cap follows Road");
    } else {
      assertThat(proof.findings())
          .anySatisfy(
              f -> {
                assertThat(f.code()).isEqualTo("deliver.follows");
                assertThat(f.message()).startsWith("1 thing follows");
              });
    }
    assertThat(words(back())).containsExactlyInAnyOrderElementsOf(expected);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "IFCRELAGGREGATES\\('([^']*)',(#\\d+|\\$),\\$,\\$,#(?!1\\d\\b)\\d+,\\(#\\d+,#\\d+\\)\\)",
        "IFCRELPOSITIONS",
        "IFCRELCONNECTSELEMENTS",
        "IFCRELCONNECTSPORTS\\("
      })
  void aRelationThatIsMissingFailsTheProof(String record) throws IOException {
    Parcel p = parcel(IfcSchema.IFC4X3);
    run(p);
    Path f = dir.resolve("a.ifc");
    String good = Files.readString(f);
    String wrong =
        good.lines()
            .filter(l -> !java.util.regex.Pattern.compile("=" + record).matcher(l).find())
            .collect(java.util.stream.Collectors.joining("\n", "", "\n"));
    assertThat(wrong).isNotEqualTo(good);
    Files.writeString(f, wrong);
    Proof proof = Prover.compare(p, back(), Progress.NONE);
    assertThat(proof.findings())
        .filteredOn(Finding::isError)
        .anySatisfy(e -> assertThat(e.code()).isEqualTo("proof.relation"))
        .allSatisfy( // a part that hangs on nothing stands nowhere either
            e -> assertThat(e.code()).isIn("proof.relation", "proof.structure"));
  }

  /** Things that are parts of each other cannot be written so; one of the two relations is. */
  @ParameterizedTest
  @EnumSource
  void aCircleOfPartsIsBroken(IfcSchema schema) throws IOException {
    List<Item> items =
        List.of(
            block("A", 0).partOf(block("B", 0)),
            block("B", 10).partOf(block("C", 0)),
            block("C", 20).partOf(block("A", 0)));
    DeliveryRun.Outcome o = run(loose(schema, items));
    assertThat(o.receipt().proof().findings()).noneMatch(Finding::isError);
    assertThat(words(back())).containsExactlyInAnyOrder("A part of B", "B part of C");
  }

  /** A file whose parts hang on ground is whole although no model that we write says so. */
  @Test
  void aPartOfTheGroundIsNoDifferenceBetweenFiles() {
    Item ground = DeliveredItems.ground();
    Item peg = block("Peg", 0).standing(RelationType.PART_OF, ground.kind(), ground.name());
    Received sent = received(List.of(ground, peg));
    Received arrived = received(List.of(ground, block("Peg", 0)));
    assertThat(FileProof.compare(sent, arrived, Progress.NONE).proof().findings()).isEmpty();
    Received rail = received(List.of(block("Rail", 0), block("Posts", 9).partOf(block("Rail", 0))));
    Received loose = received(List.of(block("Rail", 0), block("Posts", 9)));
    assertThat(FileProof.compare(rail, loose, Progress.NONE).proof().findings())
        .extracting(Finding::code)
        .containsExactly("proof.relation");
  }

  private static Received received(List<Item> items) {
    return new Received("IFC4", "EPSG:25832", "metre", items, Map.of(), List.of(), List.of());
  }

  @ParameterizedTest
  @EnumSource
  void aRelationThatWasNotSentIsFound(IfcSchema schema) throws IOException {
    Parcel p = parcel(schema);
    run(p);
    Parcel alone =
        new Parcel(
            p.project(),
            p.format(),
            p.frame(),
            p.unit(),
            p.ids(),
            p.pieces(),
            p.control(),
            p.info(),
            List.of(),
            Optional.empty());
    Proof proof = Prover.compare(alone, back(), Progress.NONE);
    assertThat(proof.findings())
        .extracting(Finding::message)
        .contains("Posts part of Rail: arrived and not sent.");
  }
}
