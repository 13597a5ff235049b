package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;
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
      new SourceData(
          new ArrayList<>(),
          new ArrayList<>(),
          new ArrayList<>(),
          new ArrayList<>(),
          new ArrayList<>(),
          new ArrayList<>());
  private final List<PropertySet> sets = new ArrayList<>();
  private final List<String> leftOut = new ArrayList<>();
  private final List<Later> later = new ArrayList<>();
  private boolean grid;
  private int quads;
  private int degenerate;

  SurfaceSection(XmlCursor xml, Map<String, Integer> counts) {
    this.xml = xml;
    this.counts = counts;
  }

  /**
   * A surface as read, in the file's unit.
   *
   * @param xyz easting, northing, level triples
   * @param quads faces of four points, each cut into two triangles
   * @param degenerate faces that name a point twice; they are no part of the mesh
   * @param leftOut parts that could not be read, with the reason
   */
  record Raw(
      String name,
      double[] xyz,
      int[] faces,
      int[] invisible,
      SourceData data,
      boolean grid,
      int quads,
      int degenerate,
      List<PropertySet> sets,
      List<String> leftOut,
      long line) {}

  /** A face that came before its points. */
  private record Later(boolean hidden, List<String> ids, long line) {}

  /**
   * What a surface says it was made of, as easting, northing, level triples in the file's unit.
   *
   * @param boundaries outer ones and holes
   * @param contours level lines
   * @param references names of coordinate points among the data points
   * @param boundaryTypes of each boundary
   */
  record SourceData(
      List<double[]> breaklines,
      List<double[]> boundaries,
      List<double[]> points,
      List<double[]> contours,
      List<String> references,
      List<String> boundaryTypes) {}

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
        case "Breakline" -> part(() -> data.breaklines.addAll(lists()));
        case "Boundary" -> part(this::boundary);
        case "DataPoints" -> part(this::dataPoints);
        case "Contour" -> part(this::contour);
        case "Feature" -> new FeatureSection(xml, counts).read(sets);
        case "PointFiles", "Watershed", "SurfVolume", "Chain", "RetWall" -> {
          counts.merge(xml.name(), 1, Integer::sum);
          xml.skip();
        }
        case "SourceData", "Breaklines", "Boundaries", "Contours", "Watersheds" -> depth++;
        default -> xml.skip();
      }
    }
    for (Later f : later) {
      int[] corners = new int[f.ids.size()];
      for (int i = 0; i < corners.length; i++) {
        corners[i] = known(f.ids.get(i));
        if (corners[i] < 0) {
          throw new XmlCursor.ContentFault(
              f.line,
              "a face names the point " + f.ids.get(i) + ", which does not exist in this surface.");
        }
      }
      put(f.hidden, corners);
    }
    return new Raw(
        name,
        Arrays.copyOf(xyz, 3 * points),
        Arrays.copyOf(faces, faceNumbers),
        Arrays.copyOf(invisible, invisibleNumbers),
        data,
        grid,
        quads,
        degenerate,
        sets,
        leftOut,
        line);
  }

  /** A part without which the surface's own triangles are whole. */
  private void part(XmlCursor.Part part) throws IOException {
    String name = xml.name();
    xml.whole(part, why -> leftOut.add("<" + name + ">, " + why));
  }

  private List<double[]> lists() throws IOException {
    return PointListText.within(xml);
  }

  private void dataPoints() throws IOException {
    String reference = xml.attributeOrNull("pntRef");
    if (reference != null) {
      data.references.addAll(List.of(reference.split("\\s+")));
    }
    data.points.addAll(lists());
  }

  private void boundary() throws IOException {
    String type = xml.attribute("bndType").orElse("outer");
    for (double[] xyz : lists()) {
      data.boundaries.add(xyz);
      data.boundaryTypes.add(type);
    }
  }

  private void contour() throws IOException {
    double level = xml.needNumber("elev");
    for (double[] xyz : lists()) {
      for (int i = 2; i < xyz.length; i += 3) {
        xyz[i] = level;
      }
      data.contours.add(xyz);
    }
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
      double north = t.nextOnEarth();
      double east = t.nextOnEarth();
      double level = t.nextOnEarth();
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
    int b = a < 0 ? a : vertex(t);
    int c = b < 0 ? b : vertex(t);
    if (c < 0 || t.hasNext()) {
      others(hidden, t, a, b, c);
    } else if (a == b || b == c || c == a) {
      degenerate++;
    } else {
      put(hidden, a, b, c);
    }
  }

  /** A face of four points, or one whose points come later. */
  private void others(boolean hidden, NumberText t, int a, int b, int c) throws IOException {
    List<String> ids = new ArrayList<>();
    for (String id : t.all().split("[ \\t\\r\\n]+")) {
      if (!id.isEmpty()) {
        ids.add(id);
      }
    }
    if (ids.size() < 3) {
      throw xml.fault("a face <F> names fewer than three points.");
    }
    if (ids.size() > 4) {
      throw xml.fault("a face <F> names more than four points.");
    }
    int[] corners = ids.stream().mapToInt(this::known).toArray();
    if (Arrays.stream(corners).anyMatch(v -> v < 0)) {
      later.add(new Later(hidden, ids, xml.line()));
    } else {
      put(hidden, corners);
    }
  }

  /** Adds a triangle, or a face of four corners as two of them. */
  private void put(boolean hidden, int... corners) {
    if (namesOneTwice(corners)) {
      degenerate++;
      return;
    }
    quads += corners.length == 4 ? 1 : 0;
    for (int k = 1; k + 1 < corners.length; k++) {
      if (hidden) {
        if (invisibleNumbers + 3 > invisible.length) {
          invisible = Arrays.copyOf(invisible, Math.max(48, 2 * invisible.length));
        }
        invisibleNumbers = put(invisible, invisibleNumbers, corners[0], corners[k], corners[k + 1]);
      } else {
        if (faceNumbers + 3 > faces.length) {
          faces = Arrays.copyOf(faces, 2 * faces.length);
        }
        faceNumbers = put(faces, faceNumbers, corners[0], corners[k], corners[k + 1]);
      }
    }
  }

  private static boolean namesOneTwice(int[] corners) {
    for (int i = 1; i < corners.length; i++) {
      for (int k = 0; k < i; k++) {
        if (corners[i] == corners[k]) {
          return true;
        }
      }
    }
    return false;
  }

  private static int put(int[] to, int at, int a, int b, int c) {
    to[at] = a;
    to[at + 1] = b;
    to[at + 2] = c;
    return at + 3;
  }

  /** The vertex of an id, −1 if there is none yet. */
  private int known(String id) {
    int number = wholeNumber(id);
    if (number >= 0 && number < byNumber.length && byNumber[number] != 0) {
      return byNumber[number] - 1;
    }
    return byName.getOrDefault(id, 0) - 1;
  }

  /** The vertex of the next id, −1 if there is none of it yet or no id any more. */
  private int vertex(NumberText t) {
    int number = t.nextWhole();
    if (number >= 0 && number < byNumber.length && byNumber[number] != 0) {
      return byNumber[number] - 1;
    }
    if (number < 0 && !t.hasNext()) {
      return -1;
    }
    String id = number >= 0 ? Integer.toString(number) : t.nextToken();
    return byName.getOrDefault(id, 0) - 1;
  }
}
