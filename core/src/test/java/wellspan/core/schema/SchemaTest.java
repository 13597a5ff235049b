package wellspan.core.schema;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SchemaTest {
  private static Schema schema(String name) {
    return Schema.forFile(name).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"IFC2X3,IFC2X3", "ifc2x3,IFC2X3", "IFC4,IFC4", "IFC4X3_ADD2,IFC4X3", "IFC4X3,IFC4X3"})
  void schemasAreFoundByTheirNameInFiles(String inFile, String table) {
    assertThat(schema(inFile).id()).isEqualTo(table);
  }

  @Test
  void otherSchemasAreNotKnown() {
    assertThat(Schema.forFile("IFC5")).isEmpty();
    assertThat(Schema.forFile("")).isEmpty();
  }

  @Test
  void entitiesHaveTheirAttributesInOrder() {
    Entity point = schema("IFC4").entity("IFCCARTESIANPOINT").orElseThrow();
    assertThat(point.name()).isEqualTo("IfcCartesianPoint");
    assertThat(point.attributes()).extracting(Attribute::name).containsExactly("Coordinates");
    Entity element = schema("IFC4X3_ADD2").entity("IfcGeographicElement").orElseThrow();
    assertThat(element.indexOf("GlobalId")).isZero();
    assertThat(element.indexOf("PredefinedType")).isEqualTo(8);
    assertThat(element.indexOf("NoSuch")).isEqualTo(-1);
    assertThat(element.attributes().get(0).optional()).isFalse();
    assertThat(element.attributes().get(1).optional()).isTrue();
  }

  @Test
  void subtypesAreKnown() {
    Schema s = schema("IFC4X3_ADD2");
    Entity road = s.entity("IfcRoad").orElseThrow();
    assertThat(s.isA(road, "IFCPRODUCT")).isTrue();
    assertThat(s.isA(road, "IFCROAD")).isTrue();
    assertThat(s.isA(road, "IFCALIGNMENT")).isFalse();
    assertThat(s.entity("IfcProduct").orElseThrow().isAbstract()).isTrue();
    assertThat(s.entity(road.number())).isSameAs(road);
  }

  @Test
  void entitiesOfOneVersionAreNotTakenForAnother() {
    assertThat(schema("IFC4X3_ADD2").entity("IfcAlignment")).isPresent();
    assertThat(schema("IFC2X3").entity("IfcAlignment")).isEmpty();
    assertThat(schema("IFC2X3").entity("IfcMapConversion")).isEmpty();
    assertThat(schema("IFC4").entity("IfcMapConversion")).isPresent();
  }

  @Test
  void definedTypesComeDownToSimpleOnes() {
    Schema s = schema("IFC4X3_ADD2");
    assertThat(s.simpleType("IFCPOSITIVELENGTHMEASURE")).contains("REAL");
    assertThat(s.simpleType("IFCLABEL")).contains("STRING");
    assertThat(s.simpleType("IFCCARTESIANPOINT")).isEmpty();
    assertThat(s.type("IFCGLOBALLYUNIQUEID").orElseThrow().maxLength()).isEqualTo(22);
    assertThat(s.type("IFCGLOBALLYUNIQUEID").orElseThrow().exactLength()).isTrue();
    assertThat(s.type("IFCLABEL").orElseThrow().maxLength()).isEqualTo(255);
  }

  @Test
  void selectsAreFollowedToTheirMembers() {
    Schema s = schema("IFC4X3_ADD2");
    assertThat(s.isSelect("IFCVALUE")).isTrue();
    assertThat(s.selectMembers("IFCVALUE"))
        .contains("IFCLABEL", "IFCLENGTHMEASURE", "IFCBOOLEAN")
        .doesNotContain("IFCSIMPLEVALUE", "IFCMEASUREVALUE");
    assertThat(s.enumeration("IFCGEOGRAPHICELEMENTTYPEENUM").orElseThrow()).contains("TERRAIN");
    assertThat(s.enumeration("IFCNONE")).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC2X3", "IFC4", "IFC4X3_ADD2"})
  void everySupertypeExists(String name) {
    Schema s = schema(name);
    for (int i = 0; ; i++) {
      Entity e;
      try {
        e = s.entity(i);
      } catch (IndexOutOfBoundsException end) {
        assertThat(i).isGreaterThan(600);
        return;
      }
      if (!e.supertype().isEmpty()) {
        Entity parent = s.entity(e.supertype()).orElseThrow();
        assertThat(e.attributes().size()).isGreaterThanOrEqualTo(parent.attributes().size());
      }
    }
  }
}
