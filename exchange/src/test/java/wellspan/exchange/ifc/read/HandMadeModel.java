package wellspan.exchange.ifc.read;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/** A model of one wall in metres, written by hand: #30 is the wall, #50 the item of its body. */
record HandMadeModel(Path folder) {
  static final String HEAD =
      "#1=IFCPROJECT('0000000000000000000001',$,'p',$,$,$,$,(#4),#2);\n"
          + "#2=IFCUNITASSIGNMENT((#3,#7));\n#3=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);\n#7=IFCSIUNIT(*,.PLANEANGLEUNIT.,$,.RADIAN.);\n"
          + "#4=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,$,#6,$);\n#5=IFCCARTESIANPOINT((0.,0.,0.));\n#6=IFCAXIS2PLACEMENT3D(#5,$,$);\n"
          + "#8=IFCDIRECTION((0.,0.,1.));\n#9=IFCDIRECTION((1.,0.,0.));\n#10=IFCDIRECTION((0.,1.,0.));\n#11=IFCCARTESIANPOINT((0.,0.));\n#12=IFCAXIS2PLACEMENT2D(#11,$);\n";

  static final String PLACEMENT =
      "#20=IFCCARTESIANPOINT((10.5,18.25,3.));\n#23=IFCAXIS2PLACEMENT3D(#20,#8,#9);\n#24=IFCLOCALPLACEMENT($,#23);\n";

  static final String WALL =
      "#30=IFCWALL('0000000000000000000002',$,'Wall',$,$,#24,#31,$,$);\n"
          + "#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32));\n#32=IFCSHAPEREPRESENTATION(#4,'Body','x',(#50));\n";

  /** A wall of 4 × 2 × 3 m, its middle at the placement. */
  static final String BOX =
      "#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.);\n#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.);\n";

  Received read(String schema, String data) throws IOException {
    return IfcReader.read(file(schema, data), Progress.NONE);
  }

  Path file(String schema, String data) throws IOException {
    String text =
        "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_NAME('','',(''),(''),'','','');\nFILE_SCHEMA(('"
            + schema
            + "'));\nENDSEC;\nDATA;\n"
            + data
            + "ENDSEC;\nEND-ISO-10303-21;\n";
    return Files.writeString(folder.resolve("hand.ifc"), text);
  }

  /** The wall with a body of its own. */
  Received wall(String schema, String body) throws IOException {
    return read(schema, HEAD + PLACEMENT + WALL + body);
  }
}
