package wellspan.core.packing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.Parcel;
import wellspan.core.extract.ChainageRange;
import wellspan.core.extract.Split;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;
import wellspan.core.road.RoadItem;
import wellspan.core.road.RoadParts;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.ValuePart;
import wellspan.core.schema.IfcSchema;
import wellspan.core.typical.TypicalRoad;
import wellspan.core.typical.TypicalSection;
import wellspan.core.unit.LinearUnit;

/** A delivery over a range of chainages sends that part of roads, with what is true of the part. */
class ChainageDeliveryTest {
  /** 100 m to the east from chainage 1000 on. */
  private static Alignment axis(List<Chainages.Equation> equations) {
    Pvi.Rounding none = new Pvi.Rounding.None();
    return new Alignment(
        "Axis",
        List.of(new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0), 100)),
        new Chainages(1000, equations),
        Optional.of(Profile.through("p", List.of(new Pvi(0, 10, none), new Pvi(100, 12, none)))));
  }

  private static Build build(List<Chainages.Equation> equations) {
    Alignment a = axis(equations);
    List<Item> items = new ArrayList<>(List.of(Item.alignment("Axis", a)));
    RoadParts.of(
            a,
            TypicalRoad.sections(
                a,
                TypicalSection.FIRST,
                0,
                100,
                Optional.empty(),
                Optional.empty(),
                Optional.empty()),
            new ArrayList<>())
        .forEach(
            p ->
                RoadItem.of("Axis", a, p, p.name(), Stop.RECEIVE, new ArrayList<>())
                    .ifPresent(items::add));
    items.add(
        Item.string(
            "Fence", new Polyline(new double[] {412_000, 6_534_500, 0, 412_005, 6_534_500, 0})));
    Revision r = new Revision("Rev A", "a.xml", "x", "abc", 1, Instant.EPOCH, Map.of());
    PropertyRule volume = PropertyRule.of(List.of(), ValuePart.fact("volume"), "Client", "V", "");
    Job job =
        Job.named("j")
            .withFrame(Job.named("x").frame().withCrs("EPSG:25832"))
            .withSource(Source.of("road", r))
            .withRulebook(Rulebook.NONE.withProperties(List.of(volume)));
    return Build.of(
        job,
        Map.of(
            "road",
            new Received(
                "LandXML 1.2", "EPSG:25832", "metre", items, Map.of(), List.of(), List.of())));
  }

  private static Delivery delivery(double from, double to) {
    return new Delivery(
            "d",
            "",
            IfcSchema.IFC4X3,
            LinearUnit.METRE,
            new LocalZero.BasePoint(),
            "d.ifc",
            Set.of())
        .within(Optional.of(new ChainageRange(from, to)));
  }

  private static Parcel.Piece piece(Parcel p, String name) {
    return p.pieces().stream().filter(x -> x.item().name().equals(name)).findFirst().orElseThrow();
  }

  @Test
  void roadsAreCutAndSayWhatIsTrueOfThePart() {
    Build b = build(List.of());
    Parcel p = Packing.parcel(b, delivery(1020, 1050));
    Item course = piece(p, "Surface course").item();
    double whole =
        b.items().get(ItemId.of("road", course)).item().triangles().orElseThrow().volume();
    double part = course.triangles().orElseThrow().volume();
    assertThat(course.triangles().orElseThrow().isClosed()).isTrue();
    assertThat(part).isCloseTo(0.3 * whole, within(1e-6));
    assertThat(course.bounds().minE()).isCloseTo(412_020, within(1e-6));
    assertThat(piece(p, "Surface course").description().propertySets())
        .filteredOn(s -> s.name().equals("Client"))
        .singleElement()
        .satisfies(
            s ->
                assertThat(((PropertyValue.Measure) s.values().get("V")).number())
                    .as("what a rule computes")
                    .isCloseTo(part, within(1e-6)));
    assertThat(piece(p, "Axis").item().shape()).isInstanceOf(wellspan.core.shape.Shape.Axis.class);
    assertThat(piece(p, "Axis").item().bounds().maxE()).isCloseTo(412_050, within(1e-6));
    assertThat(p.pieces())
        .as("what follows no alignment goes whole")
        .anyMatch(x -> x.item().name().equals("Fence"));
    assertThat(BeforeDelivery.of(b, delivery(1020, 1050), List.of()))
        .as("which is said before")
        .anySatisfy(f -> assertThat(f.message()).startsWith("Fence follows no alignment"));
  }

  @Test
  void whatLiesBeyondTheRangeIsNotSent() {
    Build b = build(List.of());
    Delivery d = delivery(3000, 4000);
    assertThat(Packing.parcel(b, d).pieces())
        .extracting(x -> x.item().kind())
        .containsExactly(Kind.STRING);
    assertThat(b.items().values().stream().filter(i -> b.sends(d, i))).hasSize(1);
    Delivery open = d.within(Optional.of(new ChainageRange(1050, Double.POSITIVE_INFINITY)));
    assertThat(b.items().values()).allMatch(i -> b.sends(open, i));
  }

  @Test
  void anotherRangeIsAnotherDelivery() {
    Build b = build(List.of());
    ItemId id = ItemId.of("road", axisItem());
    assertThat(Packing.fingerprint(b, id, delivery(1000, 1050)))
        .isNotEqualTo(Packing.fingerprint(b, id, delivery(1000, 1051)));
  }

  private static Item axisItem() {
    return Item.alignment("Axis", axis(List.of()));
  }

  @Test
  void aRangeThatStandsInTwoPlacesIsRefused() {
    Build b = build(List.of(new Chainages.Equation(60, 1060, 1010, true)));
    assertThatThrownBy(() -> Packing.parcel(b, delivery(1020, 1030)))
        .hasMessageContaining("in 2 places");
    assertThat(BeforeDelivery.of(b, delivery(1020, 1030), List.of()))
        .as("said before it runs, once for all that follows the axis")
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.code()).isEqualTo("deliver.range"))
        .satisfies(f -> assertThat(f.message()).contains("in 2 places"));
    assertThat(BeforeDelivery.of(b, delivery(1052, 1058), List.of())).noneMatch(Finding::isError);
  }

  @Test
  void aDeliveryIsDealtToFilesWithNothingLost() {
    Build b = build(List.of());
    Delivery d = delivery(1000, 1090).dealt(Optional.of(new Split.ByChainage(40)));
    Map<String, Parcel> files = Packing.parcels(b, d);
    assertThat(files.keySet()).containsExactly("1+000", "1+040", "1+080");
    List<Parcel.Piece> all = files.values().stream().flatMap(p -> p.pieces().stream()).toList();
    assertThat(all)
        .extracting(Parcel.Piece::itemKey)
        .containsAll(Packing.parcel(b, d).pieces().stream().map(Parcel.Piece::key).toList());
    assertThat(all).extracting(p -> p.description().globalId()).doesNotHaveDuplicates();
    double volume = 0;
    for (Parcel.Piece p : all) {
      if (p.item().name().equals("Surface course")) {
        volume += p.item().triangles().orElseThrow().volume();
      }
    }
    double whole =
        piece(Packing.parcel(b, d), "Surface course").item().triangles().orElseThrow().volume();
    assertThat(volume).isCloseTo(whole, within(1e-6));
    Parcel.Piece fence = piece(files.get("1+000"), "Fence");
    assertThat(fence.key())
        .as("what lies in one file only is what it always was")
        .isEqualTo(fence.itemKey());
    assertThat(Packing.parcels(b, d.dealt(Optional.empty())).keySet()).containsExactly("");
  }

  @Test
  void aPartIsNamedWhateverTheFileIsCalled() {
    for (String[] named :
        new String[][] {
          {"a.b.ifc", "a.b-rest.ifc"}, {"road", "road-rest"}, {".ifc", ".ifc-rest"}
        }) {
      Delivery d =
          new Delivery(
              "d",
              "",
              IfcSchema.IFC4,
              LinearUnit.METRE,
              new LocalZero.Shared(),
              named[0],
              Set.of());
      assertThat(d.fileName("rest")).isEqualTo(named[1]);
    }
    for (double none : new double[] {0, -1, Double.NaN, Double.POSITIVE_INFINITY}) {
      assertThatThrownBy(() -> new Split.ByChainage(none)).hasMessageContaining("more than 0");
    }
  }

  @Test
  void whatIsToldOfOneItemIsWhatIsSentOfIt() {
    Build b = build(List.of());
    for (IfcSchema schema : IfcSchema.values()) {
      Delivery all = Delivery.ofAll(schema);
      for (Parcel.Piece p : Packing.whole(b, all).pieces()) {
        assertThat(Packing.description(b, b.items().get(new ItemId(p.key())), all))
            .as(p.item().name() + " in " + schema)
            .isEqualTo(p.description());
      }
    }
  }
}
