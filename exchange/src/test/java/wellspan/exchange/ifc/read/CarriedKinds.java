package wellspan.exchange.ifc.read;

import static wellspan.exchange.ifc.read.GeometryKind.EXACT;
import static wellspan.exchange.ifc.read.GeometryKind.ROUND;
import static wellspan.exchange.ifc.read.GeometryKind.points2;

import java.util.ArrayList;
import java.util.List;

/** Profiles that are carried along curves of their own, and turned while they change. */
final class CarriedKinds {
  private static final String CORNER =
      "#61=IFCCARTESIANPOINT((0.,0.,0.));\n#62=IFCCARTESIANPOINT((10.,0.,0.));\n"
          + "#63=IFCCARTESIANPOINT((10.,5.,0.));\n#60=IFCPOLYLINE((#61,#62,#63));\n";
  private static final String UP = "#59=IFCDIRECTION((0.,0.,1.));\n";
  private static final String BEAM = "#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,1.,2.);\n";

  private CarriedKinds() {}

  static List<GeometryKind> of(String schema) {
    List<GeometryKind> out = new ArrayList<>();
    boolean latest = schema.startsWith("IFC4X3");
    String[] whole =
        latest
            ? new String[] {"IFCPARAMETERVALUE(0.)", "IFCPARAMETERVALUE(2.)"}
            : new String[] {"0.", "2."};
    out.add(
        new GeometryKind(
            "along a corner on a plane",
            CORNER
                + BEAM
                + "#58=IFCPLANE(#6);\n#50=IFCSURFACECURVESWEPTAREASOLID(#49,#6,#60,%s,%s,#58);\n"
                    .formatted(whole[0], whole[1]),
            2 * 15,
            EXACT,
            0,
            11,
            -1,
            5,
            -0.5,
            0.5));
    if (schema.equals("IFC2X3")) {
      return out;
    }
    out.add(
        new GeometryKind(
            "upright along an arc",
            UP
                + BEAM
                + "#55=IFCCIRCLE(#6,10.);\n#60=IFCTRIMMEDCURVE(#55,(IFCPARAMETERVALUE(0.)),"
                + "(IFCPARAMETERVALUE(1.5707963267949)),.T.,.PARAMETER.);\n"
                + "#50=IFCFIXEDREFERENCESWEPTAREASOLID(#49,#6,#60,$,$,#59);\n",
            Math.PI * 10,
            ROUND,
            0,
            11,
            0,
            11,
            -0.5,
            0.5));
    out.add(
        new GeometryKind(
            "bar with a rounded corner",
            CORNER + "#50=IFCSWEPTDISKSOLIDPOLYGONAL(#60,0.5,$,$,$,2.);\n",
            Math.PI / 4 * (15 - 2 * 2 + Math.PI), // two metres less on each piece, a quarter turn
            ROUND,
            0,
            10.5,
            -0.5,
            5,
            -0.5,
            0.5));
    out.add(
        new GeometryKind(
            "stirrup, its last corner rounded too",
            "#61=IFCCARTESIANPOINT((0.,0.,0.));\n#62=IFCCARTESIANPOINT((4.,0.,0.));\n"
                + "#63=IFCCARTESIANPOINT((4.,4.,0.));\n#64=IFCCARTESIANPOINT((0.,4.,0.));\n"
                + "#60=IFCPOLYLINE((#61,#62,#63,#64,#61));\n"
                + "#50=IFCSWEPTDISKSOLIDPOLYGONAL(#60,0.25,0.125,$,$,2.);\n",
            Math.PI * (0.0625 - 0.015625) * 4 * Math.PI, // the arcs meet: a circle of two metres
            ROUND,
            -0.25,
            4.25,
            -0.25,
            4.25,
            -0.25,
            0.25));
    // the x axis goes up, so that y goes to the right of who walks along
    out.add(
        new GeometryKind(
            "lopsided",
            UP
                + points2(71, 0, 0, 1, 0, 1, 2, 0, 2)
                + "#49=IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#70);\n#61=IFCCARTESIANPOINT((0.,0.,0.));\n"
                + "#62=IFCCARTESIANPOINT((10.,0.,0.));\n#60=IFCPOLYLINE((#61,#62));\n"
                + "#50=IFCFIXEDREFERENCESWEPTAREASOLID(#49,#6,#60,$,$,#59);\n",
            20,
            EXACT,
            0,
            10,
            -2,
            0,
            0,
            1));
    out.add(
        new GeometryKind(
            "turned and tapered",
            "#48=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,1.,0.5);\n#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,2.,1.);\n"
                + "#55=IFCCARTESIANPOINT((5.,0.,0.));\n#56=IFCDIRECTION((0.,1.,0.));\n#57=IFCAXIS1PLACEMENT(#55,#56);\n"
                + "#50=IFCREVOLVEDAREASOLIDTAPERED(#49,#6,#57,1.,#48);\n",
            5 * 7 / 6.0, // radius × the mean of (2 − t)(1 − t / 2)
            ROUND,
            -1,
            5 - 4.5 * Math.cos(1),
            -0.5,
            0.5,
            0,
            5.5 * Math.sin(1)));
    if (latest) {
      out.add(
          new GeometryKind(
              "between two lengths of its curve",
              UP
                  + CORNER
                  + BEAM
                  + "#50=IFCDIRECTRIXDERIVEDREFERENCESWEPTAREASOLID(#49,#6,#60,IFCLENGTHMEASURE(2.),IFCLENGTHMEASURE(12.),#59);\n",
              20,
              EXACT,
              2,
              11,
              -1,
              2,
              -0.5,
              0.5));
    }
    return out;
  }
}
