package wellspan.core.describe;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.attribute.EntityClass;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/** What stands for a received class where the schema has it not. */
class ReceivedClassesTest {
  private static final Item BODY =
      Item.body(
          "B",
          new Mesh(new double[] {0, 0, 0, 1, 0, 0, 0, 1, 0}, new int[] {0, 1, 2}),
          Band.STRUCTURES);

  private static EntityClass of(String entity, String type, String own, IfcSchema schema) {
    return ClassRules.of(BODY, new EntityClass(entity, type, own), schema);
  }

  @ParameterizedTest
  @CsvSource({
    "IfcPipeSegment, RIGIDSEGMENT, '', IFC2X3, IfcFlowSegment RIGIDSEGMENT",
    "IfcPipeSegment, FLEXIBLESEGMENT, '', IFC2X3, IfcFlowSegment (FLEXIBLESEGMENT)",
    "IfcPump, CIRCULATOR, '', IFC2X3, IfcFlowMovingDevice (CIRCULATOR)",
    "IfcLightFixture, '', '', IFC2X3, IfcFlowTerminal (LightFixture)",
    "IfcMember, POST, '', IFC2X3, IfcMember POST",
    "IfcMember, BRACE, '', IFC2X3, IfcMember (BRACE)",
    "IfcKerb, NOTDEFINED, '', IFC4, IfcCivilElement (Kerb)",
    "IfcKerb, USERDEFINED, Dropped kerb, IFC4, IfcCivilElement (Dropped kerb)",
    "IfcKerb, USERDEFINED, '', IFC4, IfcCivilElement (Kerb)",
    "IfcKerb, USERDEFINED, '', IFC2X3, IfcBuildingElementProxy (Kerb)",
    "IfcCourse, ARMOUR, '', IFC4, IfcCivilElement (ARMOUR)",
    "IfcCourse, PAVEMENT, '', IFC2X3, IfcBuildingElementProxy (Course)",
    "IfcSign, MIRROR, '', IFC4, IfcBuildingElementProxy USERDEFINED (MIRROR)",
    "IfcColumn, PIERSTEM, '', IFC4, IfcColumn USERDEFINED (Pier column)",
    "IfcBeam, EDGEBEAM, '', IFC4, IfcBeam USERDEFINED (EDGEBEAM)",
    "IfcGeotechnicalStratum, '', '', IFC2X3, IfcBuildingElementProxy (GeotechnicalStratum)",
    "IfcWall, '', '', IFC2X3, IfcWall",
    "IfcRailing, GUARDRAIL, '', IFC2X3, IfcRailing GUARDRAIL"
  })
  void theNearestClassStandsForIt(
      String entity, String type, String own, IfcSchema schema, String expected) {
    assertThat(of(entity, type, own, schema)).hasToString(expected);
  }

  @Test
  void whatIsMadeHereGoesByItsKind() {
    Item kerb = Item.of("K", Kind.of("kerb"), BODY.shape());
    EntityClass received = new EntityClass("IfcCourse", "PAVEMENT");
    assertThat(ClassRules.of(kerb, received, IfcSchema.IFC4)).hasToString("IfcCivilElement (Kerb)");
  }

  /** Whatever a model says, there is a class for it that the schema has. */
  @ParameterizedTest
  @EnumSource
  void everyProductOfEverySchemaHasAClass(IfcSchema schema) {
    Schema target = Schema.forFile(schema.id()).orElseThrow();
    for (IfcSchema from : IfcSchema.values()) {
      Schema tables = Schema.forFile(from.id()).orElseThrow();
      for (Entity e : tables.entities()) {
        if (!e.isAbstract() && tables.isA(e, "IFCELEMENT")) {
          EntityClass c = of(e.name(), "", "", schema);
          assertThat(target.entity(c.entity()))
              .as(e.name() + " in " + schema)
              .hasValueSatisfying(x -> assertThat(x.isAbstract()).isFalse());
        }
      }
    }
  }
}
