package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.attribute.Finish;
import wellspan.core.item.Item;
import wellspan.core.shape.FaceFinishes;

/** Materials and colours in the forms that models give them, written by hand. */
class FinishReadingTest {
  private static final String RED = style(60, "1.,0.,0.");
  private static final String BLUE = style(70, "0.,0.,1.");

  @TempDir Path dir;

  private static String style(int id, String rgb) {
    return "#%1$d=IFCCOLOURRGB($,%2$s);\n#%3$d=IFCSURFACESTYLESHADING(#%1$d,$);\n#%4$d=IFCSURFACESTYLE($,.BOTH.,(#%3$d));\n"
        .formatted(id, rgb, id + 1, id + 2);
  }

  private Item wall(String schema, String body) throws IOException {
    return new HandMadeModel(dir).wall(schema, body).items().getFirst();
  }

  private Finish finish(String schema, String more) throws IOException {
    return wall(schema, HandMadeModel.BOX + more).said().finish().orElseThrow();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "#80=IFCMATERIAL('Concrete',$,$); | #80",
        "#80=IFCMATERIAL('Concrete',$,$);#81=IFCMATERIALLIST((#80)); | #81",
        "#80=IFCMATERIAL('Concrete',$,$);#81=IFCMATERIALCONSTITUENT('x',$,#80,$,$);#82=IFCMATERIALCONSTITUENTSET($,$,(#81)); | #82",
        "#80=IFCMATERIAL('Concrete',$,$);#81=IFCMATERIALLAYER(#80,0.2,$,$,$,$,$);#82=IFCMATERIALLAYERSET((#81),$,$); | #82",
        "#80=IFCMATERIAL('Concrete',$,$);#81=IFCMATERIALLAYER(#80,0.2,$,$,$,$,$);#82=IFCMATERIALLAYERSET((#81),$,$);#83=IFCMATERIALLAYERSETUSAGE(#82,.AXIS2.,.POSITIVE.,0.,$); | #83",
        "#80=IFCMATERIAL('Concrete',$,$);#81=IFCMATERIALPROFILE($,$,#80,#49,$,$);#82=IFCMATERIALPROFILESET($,$,(#81),$); | #82",
        "#80=IFCMATERIAL('Concrete',$,$);#81=IFCMATERIALPROFILE($,$,#80,#49,$,$);#82=IFCMATERIALPROFILESET($,$,(#81),$);#83=IFCMATERIALPROFILESETUSAGE(#82,$,$); | #83"
      })
  void everyFormOfMaterialIsTheMaterialOfTheItem(String records, String which) throws IOException {
    String tied =
        records.replace(";#", ";\n#")
            + "\n#90=IFCRELASSOCIATESMATERIAL('0000000000000000000009',$,$,$,(#30),%s);\n"
                .formatted(which);
    assertThat(finish("IFC4", tied).material()).isEqualTo("Concrete");
  }

  @Test
  void severalMaterialsAreNamedTogetherEachOnce() throws IOException {
    assertThat(
            finish(
                    "IFC4",
                    "#80=IFCMATERIAL('Brick',$,$);\n#81=IFCMATERIAL('Wool',$,$);\n"
                        + "#82=IFCMATERIALLIST((#80,#81,#80));\n"
                        + "#90=IFCRELASSOCIATESMATERIAL('0000000000000000000009',$,$,$,(#30),#82);\n")
                .material())
        .isEqualTo("Brick, Wool");
  }

  @Test
  void whatATypeIsMadeOfItsOccurrencesAreUnlessTheySayElse() throws IOException {
    String type =
        "#80=IFCMATERIAL('Brick',$,$);\n#84=IFCMATERIAL('Stone',$,$);\n"
            + "#85=IFCWALLTYPE('0000000000000000000007',$,'t',$,$,$,$,$,$,.STANDARD.);\n"
            + "#86=IFCRELDEFINESBYTYPE('0000000000000000000008',$,$,$,(#30),#85);\n"
            + "#90=IFCRELASSOCIATESMATERIAL('0000000000000000000009',$,$,$,(#85),#80);\n";
    assertThat(finish("IFC4", type).material()).isEqualTo("Brick");
    assertThat(
            finish(
                    "IFC4",
                    type
                        + "#91=IFCRELASSOCIATESMATERIAL('000000000000000000000A',$,$,$,(#30),#84);\n")
                .material())
        .isEqualTo("Stone");
  }

  @Test
  void aMaterialGivesItsColourWhereTheShapeHasNone() throws IOException {
    String material =
        RED
            + "#80=IFCMATERIAL('Brick',$,$);\n#81=IFCSTYLEDITEM($,(#62),$);\n"
            + "#82=IFCSTYLEDREPRESENTATION(#4,$,$,(#81));\n"
            + "#83=IFCMATERIALDEFINITIONREPRESENTATION($,$,(#82),#80);\n"
            + "#90=IFCRELASSOCIATESMATERIAL('0000000000000000000009',$,$,$,(#30),#80);\n";
    assertThat(finish("IFC4", material)).isEqualTo(new Finish("Brick", 0xFF0000));
    assertThat(finish("IFC4", material + BLUE + "#92=IFCSTYLEDITEM(#50,(#72),$);\n"))
        .isEqualTo(new Finish("Brick", 0x0000FF));
  }

  /** Two boxes of one wall, each in its colour. */
  @Test
  void bodiesOfOneProductKeepTheirColours() throws IOException {
    String two =
        HandMadeModel.BOX
            + "#51=IFCCARTESIANPOINT((0.,0.,5.));\n#52=IFCAXIS2PLACEMENT3D(#51,$,$);\n"
            + "#53=IFCEXTRUDEDAREASOLID(#49,#52,#8,1.);\n"
            + "#92=IFCSTYLEDITEM(#50,(#62),$);\n#93=IFCSTYLEDITEM(#53,(#72),$);\n"
            + RED
            + BLUE;
    Item wall =
        new HandMadeModel(dir)
            .read(
                "IFC4",
                HandMadeModel.HEAD
                    + HandMadeModel.PLACEMENT
                    + HandMadeModel.WALL.replace("(#50)", "(#50,#53)")
                    + two)
            .items()
            .getFirst();
    FaceFinishes each = FaceFinishes.of(wall.shape()).orElseThrow();
    assertThat(each.parts(wall.triangles().orElseThrow()))
        .satisfiesExactly(
            p -> {
              assertThat(p.finish().orElseThrow().rgb()).isEqualTo(0xFF0000);
              assertThat(p.mesh().volume())
                  .isCloseTo(24, org.assertj.core.data.Offset.offset(1e-9));
            },
            p -> {
              assertThat(p.finish().orElseThrow().rgb()).isEqualTo(0x0000FF);
              assertThat(p.mesh().volume()).isCloseTo(8, org.assertj.core.data.Offset.offset(1e-9));
            });
    assertThat(wall.said().finish().orElseThrow().rgb()).isEqualTo(0xFF0000);
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC4", "IFC4X3_ADD2"})
  void aMapOfColoursIsReadFaceByFace(String schema) throws IOException {
    String points =
        schema.equals("IFC4")
            ? "((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.)));\n"
            : "((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.)),$);\n";
    Item wall =
        wall(
            schema,
            "#51=IFCCARTESIANPOINTLIST3D("
                + points
                + "#50=IFCTRIANGULATEDFACESET(#51,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);\n"
                + "#52=IFCCOLOURRGBLIST(((1.,0.,0.),(0.,0.,1.)));\n"
                + "#53=IFCINDEXEDCOLOURMAP(#50,$,#52,(1,2,2,9));\n");
    FaceFinishes each = FaceFinishes.of(wall.shape()).orElseThrow();
    assertThat(each.colours(7)).containsExactly(0xFF0000, 0x0000FF, 0x0000FF, 7);
  }

  @Test
  void polygonsGiveTheirColourToAllTheirTriangles() throws IOException {
    Item wall =
        wall(
            "IFC4",
            "#51=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(2.,0.,0.),(2.,2.,0.),(0.,2.,0.),(1.,1.,3.)));\n"
                + "#54=IFCINDEXEDPOLYGONALFACE((1,4,3,2));\n#55=IFCINDEXEDPOLYGONALFACE((1,2,5));\n"
                + "#56=IFCINDEXEDPOLYGONALFACE((2,3,5));\n#57=IFCINDEXEDPOLYGONALFACE((3,4,5));\n"
                + "#58=IFCINDEXEDPOLYGONALFACE((4,1,5));\n"
                + "#50=IFCPOLYGONALFACESET(#51,.T.,(#54,#55,#56,#57,#58),$);\n"
                + "#52=IFCCOLOURRGBLIST(((0.,1.,0.),(0.,0.,1.)));\n"
                + "#53=IFCINDEXEDCOLOURMAP(#50,$,#52,(1,2,2,2,2));\n");
    assertThat(FaceFinishes.of(wall.shape()).orElseThrow().colours(7))
        .containsExactly(0x00FF00, 0x00FF00, 0x0000FF, 0x0000FF, 0x0000FF, 0x0000FF);
  }
}
