package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.packing.Packing;
import wellspan.core.proof.Proof;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;

/** What models say of the project besides its name. */
class ProjectInfoTest extends DeliveredInTest {
  @ParameterizedTest
  @EnumSource(IfcSchema.class)
  void whatIsStatedStandsWhereTheSchemaHasRoomForIt(IfcSchema schema) throws IOException {
    ProjectInfo info =
        new ProjectInfo(
            "R. Exämple", "Example Roads", "head of design", "detailed", "Shore", "Quay Road");
    Proof p =
        run(Packing.loose(
                "Prüf & Co",
                info,
                new IfcFormat(schema),
                FRAME,
                LinearUnit.METRE,
                IDS,
                parcel(schema, FRAME, LinearUnit.METRE, DeliveredItems.ground()).pieces()))
            .receipt()
            .proof();
    assertThat(p.pass()).as(p.findings().toString()).isTrue();
    String text = Files.readString(dir.resolve("a.ifc"));
    assertThat(text)
        .contains("('R. Ex\\X2\\00E4\\X0\\mple'),('Example Roads')")
        .contains("'head of design');")
        .containsPattern("IFCPROJECT\\('[^']*',[^,]*,'Pr[^']*',\\$,\\$,\\$,'detailed',")
        .containsPattern("IFCSITE\\('[^']*',[^,]*,'Shore',");
    assertThat(text.contains("IFCROAD(")).isEqualTo(schema == IfcSchema.IFC4X3);
    if (schema == IfcSchema.IFC4X3) {
      assertThat(text).containsPattern("IFCROAD\\('[^']*',[^,]*,'Quay Road',");
    }
    if (schema == IfcSchema.IFC2X3) {
      assertThat(text).contains("IFCORGANIZATION($,'Example Roads',$,$,$)");
    }
  }

  @ParameterizedTest
  @EnumSource(IfcSchema.class)
  void nobodyIsNamedWhereNothingIsStated(IfcSchema schema) throws IOException {
    run(parcel(schema, FRAME, LinearUnit.METRE, DeliveredItems.ground()));
    assertThat(Files.readString(dir.resolve("a.ifc"))).contains("(''),('')");
  }
}
