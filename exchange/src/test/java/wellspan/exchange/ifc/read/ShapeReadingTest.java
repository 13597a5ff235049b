package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

class ShapeReadingTest {
  @TempDir Path dir;

  /** A proxy with the body #50 at (100, 200, 5), turned by a quarter; lengths in millimetres. */
  private Received read(String schema, String body) throws IOException {
    String project =
        schema.equals("IFC2X3")
            ? "'0000000000000000000001',#9,'p',$,$,$,$,(#4),#2"
            : "'0000000000000000000001',$,'p',$,$,$,$,(#4),#2";
    String text =
        "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_SCHEMA(('"
            + schema
            + "'));\nENDSEC;\nDATA;\n"
            + "#1=IFCPROJECT("
            + project
            + ");\n#2=IFCUNITASSIGNMENT((#3));\n#3=IFCSIUNIT(*,.LENGTHUNIT.,.MILLI.,.METRE.);\n"
            + "#4=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,$,#6,$);\n#5=IFCCARTESIANPOINT((0.,0.,0.));\n#6=IFCAXIS2PLACEMENT3D(#5,$,$);\n#9=IFCOWNERHISTORY($,$,$,.ADDED.,$,$,$,0);\n"
            + "#20=IFCCARTESIANPOINT((100000.,200000.,5000.));\n#21=IFCDIRECTION((0.,0.,1.));\n#22=IFCDIRECTION((0.,1.,0.));\n#23=IFCAXIS2PLACEMENT3D(#20,#21,#22);\n#24=IFCLOCALPLACEMENT($,#23);\n"
            + "#30=IFCBUILDINGELEMENTPROXY('0000000000000000000002',$,'Box',$,$,#24,#31,$,$);\n"
            + "#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32));\n#32=IFCSHAPEREPRESENTATION(#4,'Body','x',(#50));\n"
            + body
            + "ENDSEC;\nEND-ISO-10303-21;\n";
    return IfcReader.read(Files.writeString(dir.resolve("m.ifc"), text), Progress.NONE);
  }

  private static final String POINTS =
      "#40=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(2000.,0.,0.),(2000.,3000.,0.),(0.,3000.,0.),(0.,0.,4000.),(2000.,0.,4000.),(2000.,3000.,4000.),(0.,3000.,4000.)));\n";

  private static void isTheBox(Received r) {
    assertThat(r.findings()).filteredOn(Finding::isError).isEmpty();
    Shape.Faces b = (Shape.Faces) r.items().getFirst().shape();
    Mesh m = b.mesh();
    assertThat(r.items().getFirst().name()).isEqualTo("Box");
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(24, within(1e-9));
    assertThat(m.bounds().minE())
        .isCloseTo(97, within(1e-9)); // a quarter turn: 3 m run against the easting
    assertThat(m.bounds().maxN()).isCloseTo(202, within(1e-9));
    assertThat(m.bounds().maxH()).isCloseTo(9, within(1e-9));
  }

  @Test
  void polygonalFaceSets() throws IOException {
    isTheBox(
        read(
            "IFC4",
            POINTS
                + "#41=IFCINDEXEDPOLYGONALFACE((4,3,2,1));\n#42=IFCINDEXEDPOLYGONALFACE((5,6,7,8));\n#43=IFCINDEXEDPOLYGONALFACE((1,2,6,5));\n#44=IFCINDEXEDPOLYGONALFACE((2,3,7,6));\n"
                + "#45=IFCINDEXEDPOLYGONALFACE((3,4,8,7));\n#46=IFCINDEXEDPOLYGONALFACE((4,1,5,8));\n#50=IFCPOLYGONALFACESET(#40,.T.,(#41,#42,#43,#44,#45,#46),$);\n"));
  }

  @Test
  void trianglesThroughAnIndexOfPoints() throws IOException {
    Received r =
        read("IFC4", POINTS + "#50=IFCTRIANGULATEDFACESET(#40,$,.F.,((1,2,3)),(8,7,6));\n");
    Mesh m = r.items().getFirst().triangles().orElseThrow();
    assertThat(m.triangles()).containsExactly(7, 6, 5);
  }

  private static final String FACES;

  static {
    int[][] faces = {
      {4, 3, 2, 1}, {5, 6, 7, 8}, {1, 2, 6, 5}, {2, 3, 7, 6}, {3, 4, 8, 7}, {4, 1, 5, 8}
    };
    double[][] p = {
      {0, 0, 0},
      {2000, 0, 0},
      {2000, 3000, 0},
      {0, 3000, 0},
      {0, 0, 4000},
      {2000, 0, 4000},
      {2000, 3000, 4000},
      {0, 3000, 4000}
    };
    StringBuilder s = new StringBuilder();
    for (int i = 0; i < 8; i++) {
      s.append("#")
          .append(101 + i)
          .append("=IFCCARTESIANPOINT((")
          .append(p[i][0])
          .append(',')
          .append(p[i][1])
          .append(',')
          .append(p[i][2])
          .append("));\n");
    }
    for (int f = 0; f < 6; f++) {
      int k = 200 + 10 * f;
      s.append("#").append(k).append("=IFCPOLYLOOP((");
      for (int i = 0; i < 4; i++) {
        s.append(i == 0 ? "#" : ",#").append(100 + faces[f][f == 0 ? 3 - i : i]);
      }
      s.append("));\n#")
          .append(k + 1)
          .append("=IFCFACEOUTERBOUND(#")
          .append(k)
          .append(f == 0 ? ",.F.);\n#" : ",.T.);\n#")
          .append(k + 2)
          .append("=IFCFACE((#")
          .append(k + 1)
          .append("));\n");
    }
    FACES = s.toString();
  }

  @Test
  void breps() throws IOException {
    isTheBox(
        read(
            "IFC2X3",
            FACES
                + "#49=IFCCLOSEDSHELL((#202,#212,#222,#232,#242,#252));\n#50=IFCFACETEDBREP(#49);\n"));
  }

  @Test
  void surfaceModels() throws IOException {
    isTheBox(
        read(
            "IFC2X3",
            FACES
                + "#49=IFCCONNECTEDFACESET((#202,#212,#222,#232,#242,#252));\n#50=IFCFACEBASEDSURFACEMODEL((#49));\n"));
    isTheBox(
        read(
            "IFC4",
            FACES
                + "#49=IFCOPENSHELL((#202,#212,#222,#232,#242,#252));\n#50=IFCSHELLBASEDSURFACEMODEL((#49));\n"));
  }

  private static final String EXTRUSION =
      "#60=IFCCARTESIANPOINT((1000.,1500.));\n#61=IFCAXIS2PLACEMENT2D(#60,$);\n#62=IFCRECTANGLEPROFILEDEF(.AREA.,$,#61,2000.,3000.);\n#63=IFCDIRECTION((0.,0.,1.));\n";

  @Test
  void extrusions() throws IOException {
    isTheBox(read("IFC4", EXTRUSION + "#50=IFCEXTRUDEDAREASOLID(#62,#6,#63,4000.);\n"));
  }

  @Test
  void anExtrusionWithAHole() throws IOException {
    String outline =
        "#70=IFCCARTESIANPOINT((0.,0.));\n#71=IFCCARTESIANPOINT((4000.,0.));\n#72=IFCCARTESIANPOINT((4000.,4000.));\n#73=IFCCARTESIANPOINT((0.,4000.));\n#74=IFCPOLYLINE((#70,#71,#72,#73,#70));\n"
            + "#75=IFCCARTESIANPOINT((1000.,1000.));\n#76=IFCCARTESIANPOINT((3000.,1000.));\n#77=IFCCARTESIANPOINT((3000.,3000.));\n#78=IFCCARTESIANPOINT((1000.,3000.));\n#79=IFCPOLYLINE((#75,#76,#77,#78,#75));\n"
            + "#80=IFCARBITRARYPROFILEDEFWITHVOIDS(.AREA.,$,#74,(#79));\n#63=IFCDIRECTION((0.,0.,1.));\n#50=IFCEXTRUDEDAREASOLID(#80,#6,#63,1000.);\n";
    Mesh m = ((Shape.Faces) read("IFC4", outline).items().getFirst().shape()).mesh();
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(12, within(1e-9));
  }

  @Test
  void mappedItems() throws IOException {
    isTheBox(
        read(
            "IFC4",
            EXTRUSION
                + "#51=IFCEXTRUDEDAREASOLID(#62,#6,#63,4000.);\n#52=IFCSHAPEREPRESENTATION(#4,'Body','SweptSolid',(#51));\n#53=IFCREPRESENTATIONMAP(#6,#52);\n"
                + "#54=IFCCARTESIANTRANSFORMATIONOPERATOR3D($,$,#5,$,$);\n#50=IFCMAPPEDITEM(#53,#54);\n"));
  }

  @Test
  void geometryThatIsNotReadIsNamedAndWrongIndicesAreErrors() throws IOException {
    Received box = read("IFC4", "#50=IFCBOUNDINGBOX(#5,1000.,1000.,1000.);\n");
    assertThat(box.items()).isEmpty();
    assertThat(box.findings())
        .anySatisfy(
            f -> {
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains("left out").contains("#50 IfcBoundingBox");
            });
    Received wrong = read("IFC4", POINTS + "#50=IFCTRIANGULATEDFACESET(#40,$,.F.,((1,2,9)),$);\n");
    assertThat(wrong.findings())
        .anySatisfy(
            f -> {
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains("point 9 of 8");
            });
    assertThat(read("IFC4", "").findings())
        .anySatisfy(f -> assertThat(f.message()).contains("refers to #50"));
  }
}
