package wellspan.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.attribute.EntityClass;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.ItemSettings;
import wellspan.core.job.Job;
import wellspan.core.job.Origin;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.place.SourcePlacement;
import wellspan.core.place.SpotMark;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

class BuildTest {
  private static final Revision REV =
      new Revision(
          "Rev A", "road.xml", "sources/x/road.xml", "abc", 12, Instant.EPOCH, java.util.Map.of());
  private static final Item GROUND =
      Item.surface(
          "Ground",
          new Mesh(
              new double[] {412_000, 6_534_500, 1, 412_010, 6_534_500, 2, 412_000, 6_534_510, 3},
              new int[] {0, 1, 2}));
  private static final Item EMPTY = Item.surface("Empty", new Mesh(new double[0], new int[0]));
  private static final Item ROAD =
      Item.alignment(
          "Road",
          new Alignment(
              "Road",
              List.of(new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0), 10)),
              new Chainages(0, List.of()),
              Optional.empty()));
  private static final Item POINTS =
      Item.points("control", List.of(new NamedPoint("A", new Position(412_001, 6_534_501, 4), "")));

  private static Received received(String crs, Item... items) {
    List<Item> entries = java.util.Arrays.stream(items).map(i -> i).toList();
    return new Received("LandXML 1.2", crs, "metre", entries, Map.of(), List.of(), List.of());
  }

  private static Job job() {
    return Job.named("j")
        .withSource(Source.of("road", REV))
        .withFrame(Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 0));
  }

  @Test
  void itemsAreKnownBySourceKindAndName() {
    Build b = Build.of(job(), Map.of("road", received("EPSG:25832", GROUND, ROAD, POINTS)));
    assertThat(b.items().keySet())
        .extracting(ItemId::value)
        .containsExactly(
            "road/terrain-surface/Ground", "road/alignment/Road", "road/points/control");
    assertThat(b.items().get(ItemId.of("road", "alignment", "Road")).origin().content())
        .isEqualTo(REV.sha256());
    assertThat(b.bounds().maxE()).isEqualTo(412_010);
    assertThat(b.bounds().maxH()).isEqualTo(4);
  }

  @Test
  void sourcesThatAreNotReadYetHaveNoItems() {
    assertThat(Build.of(job(), Map.of()).items()).isEmpty();
    assertThat(Build.of(job(), Map.of()).bounds().isEmpty()).isTrue();
  }

  @Test
  void anotherDeclaredSystemIsAFinding() {
    Build b = Build.of(job(), Map.of("road", received("EPSG:25833", GROUND)));
    assertThat(b.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("frame.crs.differs");
              assertThat(f.message()).contains("EPSG:25833").contains("EPSG:25832");
            });
    assertThat(Build.of(job(), Map.of("road", received("epsg:25832", GROUND))).findings())
        .isEmpty();
  }

  @Test
  void spotMarksAreAnItemOfTheJob() {
    Job marked = job().withMarks(List.of(new SpotMark("S1", new Position(412_003, 6_534_503, 7))));
    Build b = Build.of(marked, Map.of("road", received("EPSG:25832", POINTS)));
    assertThat(b.findings()).isEmpty();
    Build.BuiltItem marks = b.items().get(ItemId.of("job", "points", Build.MARKS));
    assertThat(marks.origin()).isEqualTo(Origin.BY_HAND);
    assertThat(((Shape.Points) marks.item().shape()).points())
        .extracting(NamedPoint::name)
        .containsExactly("S1");
  }

  @Test
  void chosenClassesGoBeforeStandardOnes() {
    ItemId id = ItemId.of("road", "terrain surface", "Ground");
    EntityClass fill = new EntityClass("IfcEarthworksFill", "EMBANKMENT");
    Job chosen =
        job().withSettings(List.of(id), s -> new ItemSettings(true, Optional.of(fill), Map.of()));
    Map<String, Received> r = Map.of("road", received("EPSG:25832", GROUND, ROAD));
    Build b = Build.of(chosen, r);
    assertThat(b.classOf(b.items().get(id), IfcSchema.IFC4X3))
        .isEqualTo(fill)
        .hasToString("IfcEarthworksFill EMBANKMENT");
    Build plain = Build.of(job(), r);
    assertThat(plain.classOf(plain.items().get(id), IfcSchema.IFC4))
        .hasToString("IfcGeographicElement TERRAIN");
    assertThat(
            plain.classOf(
                plain.items().get(ItemId.of("road", "alignment", "Road")), IfcSchema.IFC4X3))
        .hasToString("IfcAlignment");
  }

  @Test
  void settingsThatAreStandardAgainAreForgotten() {
    ItemId id = ItemId.of("road", "alignment", "Road");
    Job hidden = job().withSettings(List.of(id), s -> s.withVisible(false));
    assertThat(hidden.settings()).containsKey(id);
    assertThat(Build.of(hidden, Map.of()).isVisible(id)).isFalse();
    assertThat(hidden.withSettings(List.of(id), s -> s.withVisible(true)).settings()).isEmpty();
  }

  @Test
  void deliveriesSendWhatTheyCanCarryAndIsNotHeldBack() {
    Delivery d =
        new Delivery(
            "d",
            "r",
            IfcSchema.IFC4X3,
            LinearUnit.METRE,
            new LocalZero.BasePoint(),
            "d.ifc",
            Set.of());
    ItemId id = ItemId.of("road", "terrain surface", "Ground");
    assertThat(d.sends(id, GROUND)).isTrue();
    assertThat(d.holdingBack(Set.of(id)).sends(id, GROUND)).isFalse();
    assertThat(d.sends(id, EMPTY)).isFalse();
    assertThat(d.sends(id, POINTS)).isTrue();
    assertThat(d.sends(id, ROAD)).isTrue();
  }

  @Test
  void sourcesAreReplacedByNameAndKeepTheirOrder() {
    Revision b =
        new Revision("Rev B", "road-b.xml", "x", "def", 1, Instant.EPOCH, java.util.Map.of());
    Job two = job().withSource(Source.of("survey", REV));
    Job next = two.withSource(two.source("road").orElseThrow().withRevision(b));
    assertThat(next.sources()).extracting(Source::name).containsExactly("road", "survey");
    assertThat(next.source("road").orElseThrow().current()).isEqualTo(b);
    assertThatThrownBy(
            () -> new Source("none", List.of(), SourcePlacement.SHARED, ReadingRule.AS_FOUND))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void deliveriesAreReplacedByName() {
    Delivery other =
        new Delivery(
            "Other",
            "r",
            IfcSchema.IFC4X3,
            LinearUnit.FOOT,
            new LocalZero.BasePoint(),
            "o.ifc",
            Set.of());
    Job with = job().withDelivery(other);
    assertThat(with.deliveries()).hasSize(2);
    ItemId id = ItemId.of("road", "alignment", "Road");
    Job held = with.withDelivery(other.holdingBack(Set.of(id)));
    assertThat(held.deliveries()).hasSize(2);
    assertThat(held.delivery("Other").orElseThrow().heldBack()).containsExactly(id);
    assertThat(held.delivery("None")).isEmpty();
  }
}
