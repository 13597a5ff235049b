package wellspan.exchange.landxml;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.exchange.file.NumberText;

/** Reads one {@code Surface}: points with any ids, faces over them. */
final class SurfaceSection {
  private final XmlCursor xml;
  private final Map<String, Integer> counts;
  private double[] xyz = new double[3 * 1024];
  private int points;
  private int[] faces = new int[3 * 1024];
  private int faceNumbers;
  private int[] invisible = new int[0];
  private int invisibleNumbers;
  private int[] byNumber = new int[1024];
  private final Map<String, Integer> byName = new HashMap<>();
  private final SourceData data =
      new SourceData(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
  private boolean grid;

  SurfaceSection(XmlCursor xml, Map<String, Integer> counts) {
    this.xml = xml;
    this.counts = counts;
  }

  /**
   * A surface as read, in the file's unit.
   *
   * @param xyz easting, northing, level triples
   */
  record Raw(
      String name,
      double[] xyz,
      int[] faces,
      int[] invisible,
      SourceData data,
      boolean grid,
      long line) {}

  /**
   * What a surface says it was made of, as easting, northing, level triples in the file's unit.
   *
   * @param boundaries outer ones and holes
   */
  record SourceData(List<double[]> breaklines, List<double[]> boundaries, List<double[]> points) {}

  Raw read() throws IOException {
    String name = xml.attribute("name").orElse("Surface");
    long line = xml.line();
    for (int depth = 1; depth > 0; ) {
      if (!xml.nextTag()) {
        depth--;
        continue;
      }
      switch (xml.name()) {
        case "P" -> point();
        case "F" -> face();
        case "Definition" -> {
          grid |= xml.attribute("surfType").map(t -> t.equals("grid")).orElse(false);
          depth++;
        }
        case "Pnts", "Faces" -> depth++;
        case "Breakline" -> data.breaklines.addAll(lists());
        case "Boundary" -> data.boundaries.addAll(lists());
        case "DataPoints" -> data.points.addAll(lists());
        case "Contour", "PointFiles", "Watershed", "SurfVolume" -> {
          counts.merge(xml.name(), 1, Integer::sum);
          xml.skip();
        }
        case "SourceData", "Breaklines", "Boundaries", "Contours", "Watersheds" -> depth++;
        default -> xml.skip();
      }
    }
    return new Raw(
        name,
        Arrays.copyOf(xyz, 3 * points),
        Arrays.copyOf(faces, faceNumbers),
        Arrays.copyOf(invisible, invisibleNumbers),
        data,
        grid,
        line);
  }

  private List<double[]> lists() throws IOException {
    return PointListText.within(xml);
  }

  private void point() throws IOException {
    String id = xml.attributeOrNull("id");
    if (id == null) {
      throw xml.fault("a point <P> of a surface has no id.");
    }
    NumberText t = xml.text();
    if (3 * points + 3 > xyz.length) {
      xyz = Arrays.copyOf(xyz, 2 * xyz.length);
    }
    try {
      double north = t.nextDouble();
      double east = t.nextDouble();
      double level = t.nextDouble();
      xyz[3 * points] = east;
      xyz[3 * points + 1] = north;
      xyz[3 * points + 2] = level;
    } catch (NumberFormatException e) {
      throw xml.fault(
          "point "
              + id
              + " needs northing, easting and elevation as numbers"
              + (e.getMessage().isEmpty()
                  ? "; one is missing."
                  : ", found \"" + e.getMessage() + "\"."));
    }
    if (t.hasNext()) {
      throw xml.fault("point " + id + " holds more than three numbers.");
    }
    points++;
    int number = wholeNumber(id);
    if (number >= 0 && number < byNumber.length && byNumber[number] != 0
        || !byName.isEmpty() && byName.containsKey(id)) {
      throw xml.fault("the point id " + id + " stands twice in this surface.");
    }
    if (number < 0) {
      byName.put(id, points);
      return;
    }
    if (number >= byNumber.length) {
      byNumber =
          Arrays.copyOf(
              byNumber, (int) Math.max(number + 1L, Math.min(1L << 28, 2L * byNumber.length)));
    }
    byNumber[number] = points;
  }

  /** Ids written as plain numbers without leading zeros go into an array, all others into a map. */
  private int wholeNumber(String id) {
    int n = id.length();
    if (n > 9 || n > 1 && id.charAt(0) == '0') {
      return -1;
    }
    int v = 0;
    for (int i = 0; i < n; i++) {
      char c = id.charAt(i);
      if (c < '0' || c > '9') {
        return -1;
      }
      v = 10 * v + (c - '0');
    }
    // one stray huge number must not cost a gigabyte
    return v > 64 * (points + 1024) ? -1 : v;
  }

  private void face() throws IOException {
    boolean hidden = "1".equals(xml.attributeOrNull("i"));
    NumberText t = xml.text();
    int a = vertex(t);
    int b = vertex(t);
    int c = vertex(t);
    if (t.hasNext()) {
      throw xml.fault("a face <F> names more than three points; only triangles can be read.");
    }
    if (hidden) {
      if (invisibleNumbers + 3 > invisible.length) {
        invisible = Arrays.copyOf(invisible, Math.max(48, 2 * invisible.length));
      }
      invisibleNumbers = put(invisible, invisibleNumbers, a, b, c);
    } else {
      if (faceNumbers + 3 > faces.length) {
        faces = Arrays.copyOf(faces, 2 * faces.length);
      }
      faceNumbers = put(faces, faceNumbers, a, b, c);
    }
  }

  private static int put(int[] to, int at, int a, int b, int c) {
    to[at] = a;
    to[at + 1] = b;
    to[at + 2] = c;
    return at + 3;
  }

  private int vertex(NumberText t) throws IOException {
    int number = t.nextWhole();
    if (number >= 0 && number < byNumber.length && byNumber[number] != 0) {
      return byNumber[number] - 1;
    }
    if (number < 0 && !t.hasNext()) {
      throw xml.fault("a face <F> names fewer than three points.");
    }
    String id = number >= 0 ? Integer.toString(number) : t.nextToken();
    int found = byName.getOrDefault(id, 0);
    if (found == 0) {
      throw xml.fault("a face names the point " + id + ", which does not exist in this surface.");
    }
    return found - 1;
  }
}
