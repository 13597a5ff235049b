package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.finding.Finding;
import wellspan.core.receive.Received;

/** Sizes that only a fault of unit or number makes: the thing is named, and nothing takes long. */
class AbsurdSizesTest {
  private static final Duration LONG = Duration.ofSeconds(30);

  @TempDir Path dir;

  private Received read(String schema, String data) {
    return Assertions.assertTimeoutPreemptively(
        LONG, () -> new HandMadeModel(dir).read(schema, HandMadeModel.HEAD + data));
  }

  private static void named(Received r, String what) {
    assertThat(r.items()).isEmpty();
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains(what));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "#50=IFCRIGHTCIRCULARCYLINDER(#6,400.,1.E300);",
        "#50=IFCRIGHTCIRCULARCYLINDER(#6,400.,1.E12);",
        "#50=IFCRIGHTCIRCULARCONE(#6,400.,1.E30);",
        "#50=IFCSPHERE(#6,1.E6);",
        // a tube of 50 m that is bent with 500 m
        "#49=IFCCIRCLEPROFILEDEF(.AREA.,$,#52,50.);\n#51=IFCCARTESIANPOINT((500.,0.));\n#52=IFCAXIS2PLACEMENT2D(#51,$);\n#53=IFCAXIS1PLACEMENT(#5,#10);\n#50=IFCREVOLVEDAREASOLID(#49,$,#53,6.28);"
      })
  void aSolidOfMillionsOfFaces(String solid) {
    Received r = read("IFC4", HandMadeModel.PLACEMENT + HandMadeModel.WALL + solid + "\n");
    if (solid.contains("REVOLVED")) {
      assertThat(r.findings()).filteredOn(Finding::isError).isEmpty(); // large, and possible
      assertThat(r.items()).hasSize(1);
    } else {
      named(r, "its size or its unit is wrong");
    }
  }

  @Test
  void aSolidThatTurnsRoundAndRound() {
    String degreesAsRadians =
        "#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#52,1.,1.);\n#51=IFCCARTESIANPOINT((5.,0.));\n#52=IFCAXIS2PLACEMENT2D(#51,$);\n#53=IFCAXIS1PLACEMENT(#5,#10);\n#50=IFCREVOLVEDAREASOLID(#49,$,#53,90.);\n";
    named(
        read("IFC4", HandMadeModel.PLACEMENT + HandMadeModel.WALL + degreesAsRadians),
        "more than once round");
  }

  private static final String LINE =
      "#100=IFCCARTESIANPOINT((0.,0.));\n#101=IFCDIRECTION((1.,0.));\n#102=IFCVECTOR(#101,1.);\n#103=IFCLINE(#100,#102);\n#104=IFCAXIS2PLACEMENT2D(#100,#101);\n#26=IFCLOCALPLACEMENT($,#6);\n"
          + "#30=IFCALIGNMENT('0000000000000000000002',$,'Road',$,$,#26,#31,$);\n#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32));\n#32=IFCSHAPEREPRESENTATION(#4,'Axis','Curve2D',(#115));\n"
          + "#115=IFCCOMPOSITECURVE((#105),.F.);\n";

  @ParameterizedTest
  @ValueSource(
      strings = {
        "#105=IFCCURVESEGMENT(.CONTINUOUS.,#104,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(1.E300),#103);",
        "#106=IFCCLOTHOID(#104,1.E-9);\n#105=IFCCURVESEGMENT(.CONTINUOUS.,#104,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(60.),#106);",
        "#106=IFCCLOTHOID(#104,100.);\n#105=IFCCURVESEGMENT(.CONTINUOUS.,#104,IFCLENGTHMEASURE(1.E12),IFCLENGTHMEASURE(60.),#106);",
        "#106=IFCCIRCLE(#104,1.E-9);\n#105=IFCCURVESEGMENT(.CONTINUOUS.,#104,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(60.),#106);"
      })
  void anAlignmentThatNoRoadHas(String segment) {
    Received r = read("IFC4X3_ADD2", LINE + segment + "\n");
    named(r, "The alignment Road is left out");
  }

  @Test
  void aSegmentWhoseParametersAreSomethingElse() throws IOException {
    Received r =
        read(
            "IFC4X3_ADD2",
            LINE.replace("#31,$);", "$,$);")
                + "#105=IFCCURVESEGMENT(.CONTINUOUS.,#104,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(1.),#103);\n"
                + "#40=IFCALIGNMENTSEGMENT('0000000000000000000003',$,$,$,$,#26,$,#6);\n#41=IFCALIGNMENTHORIZONTAL('0000000000000000000004',$,$,$,$,#26,$);\n"
                + "#42=IFCRELNESTS('0000000000000000000005',$,$,$,#41,(#40));\n#43=IFCRELNESTS('0000000000000000000006',$,$,$,#30,(#41));\n");
    named(r, "The alignment Road is left out");
  }
}
