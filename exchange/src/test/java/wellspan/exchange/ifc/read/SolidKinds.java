package wellspan.exchange.ifc.read;

import static wellspan.exchange.ifc.read.GeometryKind.EXACT;
import static wellspan.exchange.ifc.read.GeometryKind.ROUND;
import static wellspan.exchange.ifc.read.GeometryKind.extruded;
import static wellspan.exchange.ifc.read.GeometryKind.points2;

import java.util.ArrayList;
import java.util.List;

/** Solids, booleans, mapped items and breps. */
final class SolidKinds {
  private SolidKinds() {}

  /** What all three schemas write alike. */
  static List<GeometryKind> all() {
    List<GeometryKind> out = new ArrayList<>();
    out.add(
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
    out.add(new GeometryKind("block", "#50=IFCBLOCK(#6,4.,2.,3.);\n", 24, EXACT, 0, 4, 0, 2, 0, 3));
    out.add(
        new GeometryKind(
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
        new GeometryKind(
            "cone", "#50=IFCRIGHTCIRCULARCONE(#6,3.,1.);\n", Math.PI, ROUND, -1, 1, -1, 1, 0, 3));
    out.add(
        new GeometryKind(
            "pyramid", "#50=IFCRECTANGULARPYRAMID(#6,4.,2.,3.);\n", 8, EXACT, 0, 4, 0, 2, 0, 3));
    out.add(
        new GeometryKind(
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
        new GeometryKind(
            "sphere", "#50=IFCSPHERE(#6,2.);\n", Math.PI * 32 / 3, 2 * ROUND, -2, 2, -2, 2, -2, 2));
    String two =
        "#71=IFCBLOCK(#6,4.,2.,3.);\n#73=IFCCARTESIANPOINT((3.,1.,1.));\n"
            + "#74=IFCAXIS2PLACEMENT3D(#73,$,$);\n#72=IFCBLOCK(#74,4.,2.,3.);\n";
    out.add(
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
        new GeometryKind(
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
}
