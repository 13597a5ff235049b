package wellspan.demo;

import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;

/** The storm drainage of Quay Road as LandXML: fourteen chambers and an outfall. */
final class Drainage {
  private static final int CHAMBERS = 14;
  private static final double OFFSET = -1.6;
  private static final double CROSSFALL = 0.025;
  private static final double FALL = 0.006;
  private static final double DEPTH = 1.7;

  private Drainage() {}

  static String network(Alignment road) {
    StringBuilder structs = new StringBuilder();
    StringBuilder pipes = new StringBuilder();
    double invert = Double.NaN;
    double[] before = null;
    for (int i = 1; i <= CHAMBERS + 1; i++) {
      AlignmentPoint p = road.at(30 + (road.length() - 60) * (i - 1) / CHAMBERS);
      double e = p.east() + OFFSET * Math.sin(p.direction());
      double n = p.north() - OFFSET * Math.cos(p.direction());
      double rim = p.level() + CROSSFALL * OFFSET;
      double length = before == null ? 0 : Math.hypot(e - before[0], n - before[1]);
      invert = Double.isNaN(invert) ? rim - DEPTH : Math.min(invert - FALL * length, rim - DEPTH);
      boolean outfall = i > CHAMBERS;
      String name = outfall ? "Outfall" : f("M%02d", i);
      structs.append(
          outfall
              ? f(
                  "        <Struct name=\"%s\" elevRim=\"%.3f\" elevSump=\"%.3f\">",
                  name, rim, invert - 0.1)
              : f(
                  "        <Struct name=\"%s\" elevRim=\"%.3f\" elevSump=\"%.3f\">",
                  name, rim, invert - 0.15));
      structs.append(f("<Center>%.4f %.4f</Center>", n, e));
      structs.append(
          outfall
              ? "<OutletStruct/>"
              : "<CircStruct diameter=\"1200\" thickness=\"120\" material=\"concrete\"/>");
      if (i > 1) {
        structs.append(
            f("<Invert elev=\"%.4f\" flowDir=\"in\" refPipe=\"P%02d\"/>", invert, i - 1));
        int diameter = i < 6 ? 300 : i < 11 ? 400 : 500;
        pipes.append(
            f(
                "        <Pipe name=\"P%02d\" refStart=\"M%02d\" refEnd=\"%s\"><CircPipe diameter=\"%d\" thickness=\"50\" material=\"concrete\"/></Pipe>\n",
                i - 1, i - 1, name, diameter));
      }
      if (!outfall) {
        structs.append(f("<Invert elev=\"%.4f\" flowDir=\"out\" refPipe=\"P%02d\"/>", invert, i));
      }
      structs.append("</Struct>\n");
      before = new double[] {e, n};
    }
    return """
        <?xml version="1.0" encoding="UTF-8"?>
        <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2" date="2026-11-12" time="09:00:00">
          <Units><Metric linearUnit="meter" areaUnit="squareMeter" volumeUnit="cubicMeter" temperatureUnit="celsius" pressureUnit="milliBars" diameterUnit="millimeter" widthUnit="millimeter" heightUnit="millimeter"/></Units>
          <CoordinateSystem name="ETRS89 / UTM zone 32N" epsgCode="25832"/>
          <Project name="Brindle Ness ferry landing" desc="Storm drainage, revision A"/>
          <PipeNetworks name="Brindle Ness">
            <PipeNetwork name="Quay Road storm" pipeNetType="storm">
              <Structs>
        %s      </Structs>
              <Pipes>
        %s      </Pipes>
            </PipeNetwork>
          </PipeNetworks>
        </LandXML>
        """
        .formatted(structs, pipes);
  }

  private static String f(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
