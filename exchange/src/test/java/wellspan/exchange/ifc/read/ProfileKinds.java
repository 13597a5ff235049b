package wellspan.exchange.ifc.read;

import static wellspan.exchange.ifc.read.GeometryKind.EXACT;
import static wellspan.exchange.ifc.read.GeometryKind.ROUND;
import static wellspan.exchange.ifc.read.GeometryKind.extruded;

import java.util.List;

/** Steel sections, and what came with IFC4. */
final class ProfileKinds {
  private ProfileKinds() {}

  /** Steel sections, which IFC2x3 gives centres of gravity besides. */
  static List<GeometryKind> sections(boolean old) {
    return List.of(
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
  static List<GeometryKind> tessellated(boolean latest) {
    String list = "#51=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(3.,0.,0.),(0.,3.,0.),(0.,0.,3.))";
    String points = list + (latest ? ",$);\n" : ");\n");
    return List.of(
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
}
