package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wellspan.exchange.ifc.read.HandMadeModel.HEAD;
import static wellspan.exchange.ifc.read.HandMadeModel.PLACEMENT;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;

/**
 * Every kind of geometry in every schema that has it, written by hand, with volumes and bounds from
 * closed formulas. The thing stands at 10.5, 18.25, 3.
 */
class GeometryKindsTest {
  private static final String[] SCHEMAS = {"IFC2X3", "IFC4", "IFC4X3_ADD2"};

  /** Of solids without round faces; of round ones as a share. */
  private static final double EXACT = 1e-9;

  private static final double ROUND = 5e-3;

  @TempDir Path dir;

  /**
   * One kind.
   *
   * @param records #50 is the body
   * @param share by which the volume may be off
   * @param bounds of the body about its placement: least and greatest x, y, z
   */
  private record Kind(String name, String records, double volume, double share, double... bounds) {}

  private static String extruded(String profile, double depth) {
    return "#49=" + profile + ";\n#50=IFCEXTRUDEDAREASOLID(#49,#6,#8," + depth + ");\n";
  }

  private static String points2(int first, double... xy) {
    StringBuilder s = new StringBuilder();
    StringBuilder refs = new StringBuilder();
    for (int i = 0; i < xy.length; i += 2) {
      int id = first + i / 2;
      s.append("#%d=IFCCARTESIANPOINT((%s,%s));\n".formatted(id, xy[i], xy[i + 1]));
      refs.append(i == 0 ? "#" : ",#").append(id);
    }
    return s + "#%d=IFCPOLYLINE((%s,#%d));\n".formatted(first - 1, refs, first);
  }

  /** What all three schemas write alike. */
  private static List<Kind> common() {
    List<Kind> out = new ArrayList<>();
    out.add(
        new Kind(
            "rectangle",
            extruded("IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.)", 3),
            24,
            EXACT,
            -2,
            2,
            -1,
            1,
            0,
            3));
    out.add(
        new Kind(
            "circle",
            extruded("IFCCIRCLEPROFILEDEF(.AREA.,$,#12,1.5)", 2),
            Math.PI * 2.25 * 2,
            ROUND,
            -1.5,
            1.5,
            -1.5,
            1.5,
            0,
            2));
    out.add(
        new Kind(
            "pipe",
            extruded("IFCCIRCLEHOLLOWPROFILEDEF(.AREA.,$,#12,1.5,0.25)", 2),
            Math.PI * (2.25 - 1.5625) * 2,
            ROUND,
            -1.5,
            1.5,
            -1.5,
            1.5,
            0,
            2));
    out.add(
        new Kind(
            "ellipse",
            extruded("IFCELLIPSEPROFILEDEF(.AREA.,$,#12,2.,1.)", 1),
            Math.PI * 2,
            ROUND,
            -2,
            2,
            -1,
            1,
            0,
            1));
    out.add(
        new Kind(
            "rounded rectangle",
            extruded("IFCROUNDEDRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.,0.5)", 1),
            8 - (4 - Math.PI) * 0.25,
            ROUND,
            -2,
            2,
            -1,
            1,
            0,
            1));
    out.add(
        new Kind(
            "hollow rectangle",
            extruded("IFCRECTANGLEHOLLOWPROFILEDEF(.AREA.,$,#12,4.,2.,0.25,$,$)", 1),
            8 - 3.5 * 1.5,
            EXACT,
            -2,
            2,
            -1,
            1,
            0,
            1));
    out.add(
        new Kind(
            "trapezium",
            extruded("IFCTRAPEZIUMPROFILEDEF(.AREA.,$,#12,4.,2.,3.,1.)", 1),
            9,
            EXACT,
            -2,
            2,
            -1.5,
            1.5,
            0,
            1));
    out.add(
        new Kind(
            "outline",
            points2(61, 0, 0, 3, 0, 3, 1, 1, 1, 1, 2, 0, 2)
                + extruded("IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#60)", 2),
            8,
            EXACT,
            0,
            3,
            0,
            2,
            0,
            2));
    out.add(
        new Kind(
            "outline with a hole",
            points2(61, 0, 0, 4, 0, 4, 4, 0, 4)
                + points2(81, 1, 1, 1, 2, 3, 2, 3, 1)
                + extruded("IFCARBITRARYPROFILEDEFWITHVOIDS(.AREA.,$,#60,(#80))", 1),
            14,
            EXACT,
            0,
            4,
            0,
            4,
            0,
            1));
    out.add(
        new Kind(
            "slanted extrusion",
            "#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.);\n#48=IFCDIRECTION((0.6,0.,0.8));\n"
                + "#50=IFCEXTRUDEDAREASOLID(#49,#6,#48,5.);\n",
            8 * 4,
            EXACT,
            -2,
            5,
            -1,
            1,
            0,
            4));
    out.add(
        new Kind(
            "revolution by a quarter",
            points2(61, 1, 0, 2, 0, 2, 1, 1, 1)
                + "#49=IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#60);\n"
                + "#47=IFCAXIS1PLACEMENT(#5,#10);\n"
                + "#50=IFCREVOLVEDAREASOLID(#49,#6,#47,1.5707963267948966);\n",
            Math.PI / 4 * 3,
            ROUND,
            0,
            2,
            0,
            1,
            -2,
            0));
    out.add(
        new Kind(
            "tube",
            "#61=IFCCARTESIANPOINT((0.,0.,0.));\n#62=IFCCARTESIANPOINT((5.,0.,0.));\n"
                + "#60=IFCPOLYLINE((#61,#62));\n#50=IFCSWEPTDISKSOLID(#60,0.5,0.25,0.,1.);\n",
            Math.PI * (0.25 - 0.0625) * 5,
            ROUND,
            0,
            5,
            -0.5,
            0.5,
            -0.5,
            0.5));
    out.add(new Kind("block", "#50=IFCBLOCK(#6,4.,2.,3.);\n", 24, EXACT, 0, 4, 0, 2, 0, 3));
    out.add(
        new Kind(
            "cylinder",
            "#50=IFCRIGHTCIRCULARCYLINDER(#6,3.,1.);\n",
            Math.PI * 3,
            ROUND,
            -1,
            1,
            -1,
            1,
            0,
            3));
    out.add(
        new Kind(
            "cone", "#50=IFCRIGHTCIRCULARCONE(#6,3.,1.);\n", Math.PI, ROUND, -1, 1, -1, 1, 0, 3));
    out.add(
        new Kind(
            "pyramid", "#50=IFCRECTANGULARPYRAMID(#6,4.,2.,3.);\n", 8, EXACT, 0, 4, 0, 2, 0, 3));
    out.add(
        new Kind(
            "tube cut at parameters",
            "#61=IFCCARTESIANPOINT((0.,0.,0.));\n#62=IFCCARTESIANPOINT((5.,0.,0.));\n"
                + "#63=IFCCARTESIANPOINT((7.,0.,0.));\n"
                + "#60=IFCPOLYLINE((#61,#62,#63));\n#50=IFCSWEPTDISKSOLID(#60,0.5,$,0.2,1.5);\n",
            Math.PI * 0.25 * 5,
            ROUND,
            1,
            6,
            -0.5,
            0.5,
            -0.5,
            0.5));
    out.add(
        new Kind(
            "sphere", "#50=IFCSPHERE(#6,2.);\n", Math.PI * 32 / 3, 2 * ROUND, -2, 2, -2, 2, -2, 2));
    String two =
        "#71=IFCBLOCK(#6,4.,2.,3.);\n#73=IFCCARTESIANPOINT((3.,1.,1.));\n"
            + "#74=IFCAXIS2PLACEMENT3D(#73,$,$);\n#72=IFCBLOCK(#74,4.,2.,3.);\n";
    out.add(
        new Kind(
            "difference",
            two + "#50=IFCBOOLEANRESULT(.DIFFERENCE.,#71,#72);\n",
            24 - 1 * 1 * 2,
            EXACT,
            0,
            4,
            0,
            2,
            0,
            3));
    out.add(
        new Kind(
            "union",
            two + "#50=IFCBOOLEANRESULT(.UNION.,#71,#72);\n",
            48 - 2,
            EXACT,
            0,
            7,
            0,
            3,
            0,
            4));
    out.add(
        new Kind(
            "intersection",
            two + "#50=IFCBOOLEANRESULT(.INTERSECTION.,#71,#72);\n",
            2,
            EXACT,
            3,
            4,
            1,
            2,
            1,
            3));
    String solid =
        "#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.);\n#48=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.);\n";
    String plane =
        "#71=IFCCARTESIANPOINT((0.,0.,2.));\n#72=IFCAXIS2PLACEMENT3D(#71,$,$);\n#73=IFCPLANE(#72);\n";
    out.add(
        new Kind(
            "cut off above",
            solid
                + plane
                + "#74=IFCHALFSPACESOLID(#73,.F.);\n"
                + "#50=IFCBOOLEANCLIPPINGRESULT(.DIFFERENCE.,#48,#74);\n",
            16,
            EXACT,
            -2,
            2,
            -1,
            1,
            0,
            2));
    out.add(
        new Kind(
            "cut off below",
            solid
                + plane
                + "#74=IFCHALFSPACESOLID(#73,.T.);\n"
                + "#50=IFCBOOLEANCLIPPINGRESULT(.DIFFERENCE.,#48,#74);\n",
            8,
            EXACT,
            -2,
            2,
            -1,
            1,
            2,
            3));
    out.add(
        new Kind(
            "cut off within an outline",
            solid
                + plane
                + points2(81, 0, -5, 5, -5, 5, 5, 0, 5)
                + "#74=IFCPOLYGONALBOUNDEDHALFSPACE(#73,.F.,#6,#80);\n"
                + "#50=IFCBOOLEANCLIPPINGRESULT(.DIFFERENCE.,#48,#74);\n",
            24 - 4,
            EXACT,
            -2,
            2,
            -1,
            1,
            0,
            3));
    out.add(
        new Kind(
            "mapped item twice as large",
            solid
                + "#71=IFCSHAPEREPRESENTATION(#4,'Body','SweptSolid',(#48));\n#72=IFCREPRESENTATIONMAP(#6,#71);\n"
                + "#73=IFCCARTESIANPOINT((1.,1.,1.));\n#74=IFCCARTESIANTRANSFORMATIONOPERATOR3D($,$,#73,2.,$);\n"
                + "#50=IFCMAPPEDITEM(#72,#74);\n",
            8 * 24,
            EXACT,
            -3,
            5,
            -1,
            3,
            1,
            7));
    out.add(
        new Kind(
            "mapped item stretched",
            solid
                + "#71=IFCSHAPEREPRESENTATION(#4,'Body','SweptSolid',(#48));\n#72=IFCREPRESENTATIONMAP(#6,#71);\n"
                + "#74=IFCCARTESIANTRANSFORMATIONOPERATOR3DNONUNIFORM($,$,#5,1.,$,3.,0.5);\n"
                + "#50=IFCMAPPEDITEM(#72,#74);\n",
            1.5 * 24,
            EXACT,
            -2,
            2,
            -3,
            3,
            0,
            1.5));
    String corners =
        "#101=IFCCARTESIANPOINT((0.,0.,0.));\n#102=IFCCARTESIANPOINT((3.,0.,0.));\n"
            + "#103=IFCCARTESIANPOINT((0.,3.,0.));\n#104=IFCCARTESIANPOINT((0.,0.,3.));\n";
    String[] loops = {"#101,#103,#102", "#101,#102,#104", "#101,#104,#103", "#102,#103,#104"};
    StringBuilder faces = new StringBuilder(corners);
    for (int i = 0; i < 4; i++) {
      faces.append(
          "#%d=IFCPOLYLOOP((%s));\n#%d=IFCFACEOUTERBOUND(#%d,.T.);\n#%d=IFCFACE((#%d));\n"
              .formatted(110 + i, loops[i], 120 + i, 110 + i, 130 + i, 120 + i));
    }
    out.add(
        new Kind(
            "brep",
            faces + "#140=IFCCLOSEDSHELL((#130,#131,#132,#133));\n#50=IFCFACETEDBREP(#140);\n",
            4.5,
            EXACT,
            0,
            3,
            0,
            3,
            0,
            3));
    out.add(
        new Kind(
            "shell",
            faces
                + "#140=IFCOPENSHELL((#130,#131,#132,#133));\n#50=IFCSHELLBASEDSURFACEMODEL((#140));\n",
            4.5,
            EXACT,
            0,
            3,
            0,
            3,
            0,
            3));
    out.add(
        new Kind(
            "face sets",
            faces
                + "#140=IFCCONNECTEDFACESET((#130,#131,#132,#133));\n#50=IFCFACEBASEDSURFACEMODEL((#140));\n",
            4.5,
            EXACT,
            0,
            3,
            0,
            3,
            0,
            3));
    return out;
  }

  /** Steel sections, which IFC2x3 gives centres of gravity besides. */
  private static List<Kind> sections(boolean old) {
    return List.of(
        new Kind(
            "I section",
            extruded("IFCISHAPEPROFILEDEF(.AREA.,$,#12,2.,3.,0.2,0.4,$" + (old ? ")" : ",$,$)"), 1),
            2 * 2 * 0.4 + 2.2 * 0.2,
            EXACT,
            -1,
            1,
            -1.5,
            1.5,
            0,
            1),
        new Kind(
            "L section",
            extruded("IFCLSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.5,$,$,$" + (old ? ",$,$)" : ")"), 1),
            3 * 0.5 + 1.5 * 0.5,
            EXACT,
            -1,
            1,
            -1.5,
            1.5,
            0,
            1),
        new Kind(
            "T section",
            extruded(
                "IFCTSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.4,0.5,$,$,$,$,$" + (old ? ",$)" : ")"),
                1),
            2 * 0.5 + 2.5 * 0.4,
            EXACT,
            -1,
            1,
            -1.5,
            1.5,
            0,
            1),
        new Kind(
            "U section",
            extruded(
                "IFCUSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.4,0.5,$,$,$" + (old ? ",$)" : ")"), 1),
            3 * 0.4 + 2 * 1.6 * 0.5,
            EXACT,
            -1,
            1,
            -1.5,
            1.5,
            0,
            1),
        new Kind(
            "Z section",
            extruded("IFCZSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.4,0.5,$,$)", 1),
            3 * 0.4 + 2 * 1.6 * 0.5,
            EXACT,
            -1.8,
            1.8,
            -1.5,
            1.5,
            0,
            1),
        new Kind(
            "C section",
            extruded("IFCCSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.2,0.6,$" + (old ? ",$)" : ")"), 1),
            3 * 0.2 + 2 * 1.8 * 0.2 + 2 * 0.4 * 0.2,
            EXACT,
            -1,
            1,
            -1.5,
            1.5,
            0,
            1));
  }

  /** What came with IFC4. */
  private static List<Kind> tessellated(boolean latest) {
    String list = "#51=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(3.,0.,0.),(0.,3.,0.),(0.,0.,3.))";
    String points = list + (latest ? ",$);\n" : ");\n");
    return List.of(
        new Kind(
            "triangles",
            points + "#50=IFCTRIANGULATEDFACESET(#51,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);\n",
            4.5,
            EXACT,
            0,
            3,
            0,
            3,
            0,
            3),
        new Kind(
            "polygons",
            points
                + "#52=IFCINDEXEDPOLYGONALFACE((1,3,2));\n#53=IFCINDEXEDPOLYGONALFACE((1,2,4));\n"
                + "#54=IFCINDEXEDPOLYGONALFACE((1,4,3));\n#55=IFCINDEXEDPOLYGONALFACE((2,3,4));\n"
                + "#50=IFCPOLYGONALFACESET(#51,.T.,(#52,#53,#54,#55),$);\n",
            4.5,
            EXACT,
            0,
            3,
            0,
            3,
            0,
            3),
        new Kind(
            "indexed outline with an arc",
            "#61=IFCCARTESIANPOINTLIST2D(((0.,0.),(4.,0.),(4.,2.),(2.,4.),(0.,2.))"
                + (latest ? ",$);\n" : ");\n")
                + "#60=IFCINDEXEDPOLYCURVE(#61,(IFCLINEINDEX((1,2,3)),IFCARCINDEX((3,4,5)),IFCLINEINDEX((5,1))),.F.);\n"
                + extruded("IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#60)", 1),
            8 + Math.PI * 2,
            ROUND,
            0,
            4,
            0,
            4,
            0,
            1));
  }

  static Stream<Arguments> kinds() {
    List<Arguments> out = new ArrayList<>();
    for (String schema : SCHEMAS) {
      List<Kind> all = new ArrayList<>(common());
      all.addAll(sections(schema.equals("IFC2X3")));
      if (!schema.equals("IFC2X3")) {
        all.addAll(tessellated(!schema.equals("IFC4")));
      }
      all.forEach(k -> out.add(Arguments.of(schema, k)));
    }
    return out.stream();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void hasTheVolumeAndTheBoundsOfItsFormula(String schema, Kind kind) throws IOException {
    Received r =
        new HandMadeModel(dir)
            .read(
                schema,
                HEAD
                    + PLACEMENT
                    + "#30=IFCBUILDINGELEMENTPROXY('0000000000000000000002',$,'Thing',$,$,#24,#31,$,$);\n"
                    + "#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32));\n#32=IFCSHAPEREPRESENTATION(#4,'Body','x',(#50));\n"
                    + kind.records());
    assertThat(r.findings()).filteredOn(f -> f.code().startsWith("ifc.left")).isEmpty();
    Item thing = r.items().getFirst();
    Mesh mesh = thing.triangles().orElseThrow();
    assertThat(mesh.volume())
        .as("volume of %s", kind.name())
        .isCloseTo(kind.volume(), within(Math.max(1e-9, kind.share() * kind.volume())));
    Box b = mesh.bounds();
    double[] found = {
      b.minE() - 10.5,
      b.maxE() - 10.5,
      b.minN() - 18.25,
      b.maxN() - 18.25,
      b.minH() - 3,
      b.maxH() - 3
    };
    double[] meant = kind.bounds();
    for (int i = 0; i < 6; i++) {
      assertThat(found[i])
          .as("bound %d of %s", i, kind.name())
          .isCloseTo(meant[i], within(kind.share() == EXACT ? 1e-9 : 0.02));
    }
    assertThat(r.findings()).extracting(Finding::code).doesNotContain("ifc.open");
  }
}
