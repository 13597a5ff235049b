package wellspan.core.packing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.MaterialSet;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;

/** What of a received model has no place in a delivery is told before it runs. */
class LossesBeforeTest {
  private static Item door() {
    Mesh mesh =
        new Mesh(
            new double[] {0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1},
            new int[] {0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3});
    return Item.body("Gate", mesh, Band.STRUCTURES)
        .saying(
            new Description(new EntityClass("IfcDoor", ""), "", List.of())
                .within(List.of(new Holder(new EntityClass("IfcBuilding", ""), "Depot")))
                .heldBy(List.of(), Optional.empty())
                .withAttributes(
                    Map.of(
                        "Tag", new PropertyValue.Label("G-1"),
                        "OverallHeight", new PropertyValue.Length(2.1))));
  }

  private static Build build(Item item) {
    Revision r = new Revision("Rev A", "a.ifc", "x", "abc", 1, Instant.EPOCH, Map.of());
    return Build.of(
        Job.named("j").withSource(Source.of("a", r)),
        Map.of(
            "a", new Received("IFC4", "", "metre", List.of(item), Map.of(), List.of(), List.of())));
  }

  private static List<String> losses(Build b, DeliveryFormat format) {
    Delivery d =
        new Delivery(
                "d",
                "",
                IfcSchema.IFC4,
                LinearUnit.METRE,
                new LocalZero.BasePoint(),
                "d.ifc",
                Set.of())
            .withFormat(format);
    return BeforeDelivery.losses(b, d).stream().map(Finding::message).toList();
  }

  @Test
  void aFormatWithoutLevelsAndAttributesLosesThem() {
    assertThat(losses(build(door()), new DxfFormat(DxfRelease.R2018, false)))
        .anyMatch(m -> m.startsWith("Gate was received in levels"))
        .anyMatch(m -> m.startsWith("Gate goes without OverallHeight, Tag"));
  }

  @Test
  void whatAReceivedSiteSaysIsToldWhereTheJobHasItsOwn() {
    Holder project = new Holder(new EntityClass("IfcProject", ""), "P");
    Holder site = new Holder(new EntityClass("IfcSite", ""), "North yard");
    Map<String, PropertyValue> title = Map.of("LandTitleNumber", new PropertyValue.Label("Lot 1"));
    assertThat(losses(rooted(project, site), new IfcFormat(IfcSchema.IFC4))).isEmpty();
    Build b = rooted(project, site.saying(List.of(), title));
    assertThat(losses(b, new IfcFormat(IfcSchema.IFC4)))
        .singleElement()
        .asString()
        .startsWith("a: what North yard (IfcSite) says of itself stays here");
  }

  private static Build rooted(Holder project, Holder site) {
    Build plain = build(door());
    return Build.of(
        plain.job(),
        Map.of(
            "a",
            plain
                .received()
                .get("a")
                .of(Optional.of(new ModelRoot(project, "", Optional.of(site), List.of())))));
  }

  @Test
  void aModelKeepsWhatTheClassHas() {
    Build b = build(door());
    assertThat(losses(b, new IfcFormat(IfcSchema.IFC4))).isEmpty();
    ItemId id = b.items().keySet().iterator().next();
    Job proxy =
        b.job()
            .withSettings(
                List.of(id),
                s ->
                    new wellspan.core.job.ItemSettings(
                        true,
                        Optional.of(new EntityClass("IfcBuildingElementProxy", "")),
                        Map.of()));
    Build as =
        Build.of(
            proxy,
            Map.of(
                "a",
                new Received(
                    "IFC4", "", "metre", List.of(door()), Map.of(), List.of(), List.of())));
    assertThat(losses(as, new IfcFormat(IfcSchema.IFC4)))
        .singleElement()
        .asString()
        .startsWith("Gate goes without OverallHeight: there is no such attribute in IFC4");
  }

  @Test
  void aLevelThatTheSchemaHasNoPlaceForIsTold() {
    Holder zone = new Holder(new EntityClass("IfcSpatialZone", ""), "Clearance");
    Build b = build(door().saying(door().said().within(List.of(zone))));
    assertThat(losses(b, new IfcFormat(IfcSchema.IFC2X3)))
        .anySatisfy(
            l ->
                assertThat(l)
                    .startsWith(
                        "Gate stands in Clearance (IfcSpatialZone), which IFC2x3 has no place for"));
    assertThat(losses(b, new IfcFormat(IfcSchema.IFC4))).noneMatch(l -> l.contains("Clearance"));
  }

  @Test
  void valuesThatAnEarlierSchemaDoesNotHaveAreTold() {
    PropertyValue.Length metre = new PropertyValue.Length(1);
    Map<String, PropertyValue> values =
        Map.of(
            "Range",
            new PropertyValue.Bounded(Optional.empty(), Optional.of(metre), Optional.of(metre)),
            "Density",
            new PropertyValue.Measure("IfcAreaDensityMeasure", 2));
    Build b = build(door().saying(door().said().withSets(List.of(new PropertySet("S", values)))));
    assertThat(losses(b, new IfcFormat(IfcSchema.IFC2X3)))
        .anyMatch(m -> m.contains("set points, the type IfcAreaDensityMeasure: IFC2x3"));
    assertThat(losses(b, new IfcFormat(IfcSchema.IFC4)))
        .noneMatch(m -> m.contains("set points") || m.contains("IfcAreaDensityMeasure"));
  }

  @Test
  void layersAreToldWhereTheFormatHasNone() {
    MaterialSet set =
        new MaterialSet(
            MaterialSet.Form.LAYERS,
            "Wall",
            List.of(new MaterialSet.Part("Face", "Brick", "", OptionalDouble.of(0.1), false)));
    Build b =
        build(
            door()
                .saying(
                    Description.of(List.of(), Optional.of(new Finish("Brick", 0xAA0000, 0.5)))
                        .madeOf(Optional.of(set))));
    assertThat(losses(b, new IfcFormat(IfcSchema.IFC4))).isEmpty();
    assertThat(losses(b, new IfcFormat(IfcSchema.IFC2X3)))
        .anyMatch(m -> m.startsWith("Gate is made of layers or parts that go without"));
    assertThat(losses(b, new DxfFormat(DxfRelease.R2018, false)))
        .anyMatch(m -> m.startsWith("Gate is made of layers"))
        .anyMatch(m -> m.startsWith("Gate is seen through as received"));
  }

  @Test
  void aClassThatTheSchemaDoesNotHaveIsTold() {
    Item kerb =
        door().saying(new Description(new EntityClass("IfcKerb", "NOTDEFINED"), "", List.of()));
    assertThat(losses(build(kerb), new IfcFormat(IfcSchema.IFC4X3))).isEmpty();
    assertThat(losses(build(kerb), new IfcFormat(IfcSchema.IFC2X3)))
        .anyMatch(m -> m.startsWith("Gate was received as IfcKerb and goes as Ifc"));
  }
}
