package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import wellspan.exchange.file.NumberText;

/** Lists of points as text: {@code PntList2D} and {@code PntList3D}. */
final class PointListText {
  private PointListText() {}

  /** The lists within the element at hand; everything else in it is passed over. */
  static List<double[]> within(XmlCursor xml) throws IOException {
    List<double[]> out = new ArrayList<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "PntList3D" -> out.add(read(xml, 3));
        case "PntList2D" -> out.add(read(xml, 2));
        default -> xml.skip();
      }
    }
    return out;
  }

  /**
   * @return easting, northing, level triples; levels are NaN in a list of two numbers each
   */
  static double[] read(XmlCursor xml, int each) throws IOException {
    NumberText t = xml.text();
    double[] xyz = new double[48];
    int n = 0;
    try {
      while (t.hasNext()) {
        if (n + 3 > xyz.length) {
          xyz = Arrays.copyOf(xyz, 2 * xyz.length);
        }
        xyz[n + 1] = t.nextOnEarth();
        xyz[n] = t.nextOnEarth();
        xyz[n + 2] = each == 3 ? t.nextOnEarth() : Double.NaN;
        n += 3;
      }
    } catch (NumberFormatException e) {
      throw xml.fault(
          "a list of points holds "
              + (e.getMessage().isEmpty()
                  ? "no whole number of points."
                  : "\""
                      + e.getMessage()
                      + "\", which is no number"
                      + (e.getMessage().contains(",") ? " (a decimal comma?)." : ".")));
    }
    return Arrays.copyOf(xyz, n);
  }
}
