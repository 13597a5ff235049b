package wellspan.exchange.obj.read;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wellspan.core.attribute.Finish;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.Received;
import wellspan.exchange.file.LooseMesh;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.file.UniqueNames;

/**
 * Reads vertices and faces; every object or group becomes a surface. Faces of more than three
 * corners are cut into triangles. The format knows no unit and no axes: x is taken as east, y as
 * north, z as up.
 */
public final class ObjReader {
  private final Path file;
  private double[] xyz = new double[3 * 1024];
  private int vertices;
  private final Map<String, Faces> groups = new LinkedHashMap<>();
  private final Map<String, Integer> unread = new TreeMap<>();
  private final String stem;
  private final ObjMaterials library = new ObjMaterials();
  private String group;
  private String material = "";
  private boolean coloured;
  private int flawed;

  private static final class Faces {
    int[] corners = new int[768];
    int size;
    final List<String> materials = new ArrayList<>();

    void add(int a, int b, int c, String material) {
      materials.add(material);
      if (size + 3 > corners.length) {
        corners = Arrays.copyOf(corners, 2 * corners.length);
      }
      corners[size++] = a;
      corners[size++] = b;
      corners[size++] = c;
    }
  }

  private ObjReader(Path file) {
    this.file = file;
    stem = FileStem.of(String.valueOf(file.getFileName()));
    group = stem;
  }

  /** Whether a text begins like OBJ: vertices, or what stands before them. */
  public static boolean isObj(String head) {
    return head.lines()
        .map(String::strip)
        .filter(l -> !l.isEmpty() && !l.startsWith("#"))
        .limit(3)
        .anyMatch(l -> l.matches("v\\s+[-+.\\d].*|(mtllib|o|g|usemtl)\\s+\\S.*"));
  }

  /**
   * @throws ReadException with line, if it is damaged
   */
  public static Received read(Path file, Progress progress) throws IOException {
    return new ObjReader(file).read(progress);
  }

  private Received read(Progress progress) throws IOException {
    double size = Math.max(1, Files.size(file));
    long done = 0;
    try (BufferedReader in = Files.newBufferedReader(file, StandardCharsets.ISO_8859_1)) {
      long number = 0;
      StringBuilder joined = new StringBuilder();
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        number++;
        done += line.length() + 1;
        if (number % 8192 == 0) {
          progress.advance(Math.min(1, done / size), "Reading " + file.getFileName());
        }
        if (line.endsWith("\\")) {
          joined.append(line, 0, line.length() - 1).append(' ');
          continue;
        }
        line(joined.isEmpty() ? line : joined.append(line).toString(), number);
        joined.setLength(0);
      }
    }
    return received();
  }

  private void line(String line, long number) throws IOException {
    int hash = line.indexOf('#');
    String text = (hash < 0 ? line : line.substring(0, hash)).strip();
    if (text.isEmpty()) {
      return;
    }
    String[] w = text.split("\\s+");
    switch (w[0]) {
      case "v" -> vertex(w, number);
      case "f" -> face(w, number);
      case "o", "g" -> group = w.length > 1 ? text.substring(1).strip() : stem;
      case "usemtl" -> material = w.length > 1 ? text.substring(6).strip() : "";
      case "mtllib" -> library.read(file, text.substring(6).strip());
      case "vt", "vn", "s" -> {}
      default -> unread.merge(w[0], 1, Integer::sum);
    }
  }

  private void vertex(String[] w, long number) throws IOException {
    if (3 * vertices == xyz.length) {
      xyz = Arrays.copyOf(xyz, 2 * xyz.length);
    }
    try {
      for (int k = 0; k < 3; k++) {
        double d = Double.parseDouble(w[k + 1]);
        if (!Double.isFinite(d)) {
          throw new NumberFormatException();
        }
        xyz[3 * vertices + k] = d;
      }
    } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
      throw new ReadException(file, number, "a vertex needs three numbers.", e);
    }
    coloured |= w.length >= 7;
    vertices++;
  }

  private void face(String[] w, long number) throws IOException {
    int[] v = new int[w.length - 1];
    try {
      for (int i = 0; i < v.length; i++) {
        String s = w[i + 1];
        int slash = s.indexOf('/');
        int n = Integer.parseInt(slash < 0 ? s : s.substring(0, slash));
        v[i] = n > 0 ? n - 1 : vertices + n;
        if (n == 0 || v[i] < 0 || v[i] >= vertices) {
          throw new ReadException(
              file, number, "a face names the vertex " + n + ", which is not there (yet).");
        }
      }
    } catch (NumberFormatException e) {
      throw new ReadException(file, number, "a face names something that is no vertex.", e);
    }
    if (v.length < 3) {
      throw new ReadException(file, number, "a face needs three corners or more.");
    }
    Faces to = groups.computeIfAbsent(group, k -> new Faces());
    try {
      int[] t = FaceTriangulator.triangles(xyz, List.of(v));
      for (int i = 0; i < t.length; i += 3) {
        to.add(t[i], t[i + 1], t[i + 2], material);
      }
    } catch (IllegalArgumentException e) {
      flawed++;
    }
  }

  private Received received() {
    List<Finding> findings = new ArrayList<>();
    List<Item> items = new ArrayList<>();
    UniqueNames names = new UniqueNames();
    double[] all = Arrays.copyOf(xyz, 3 * vertices);
    int faces = 0;
    for (Map.Entry<String, Faces> g : groups.entrySet()) {
      Faces f = g.getValue();
      faces += f.size / 3;
      Mesh mesh = new Mesh(all, Arrays.copyOf(f.corners, f.size)).compact();
      Finish[] each =
          f.materials.stream()
              .map(m -> m.isEmpty() ? null : library.finish(m))
              .toArray(Finish[]::new);
      items.add(LooseMesh.item(names, g.getKey(), mesh, each).on(g.getKey()));
    }
    findings.addAll(library.findings(stem));
    if (coloured) {
      findings.add(
          Finding.note(Stop.RECEIVE, "obj.unread", stem, "Colours at vertices are not read."));
    }
    findings.add(
        Finding.note(
            Stop.RECEIVE,
            "units.missing",
            "",
            "OBJ does not say its unit, its axes or its place: metres, x east, y north and z up are taken."));
    if (faces == 0) {
      findings.add(
          Finding.error(
              Stop.RECEIVE, "file.empty", stem, "The file holds no faces. Ask for it again."));
    }
    if (flawed > 0) {
      findings.add(
          Finding.warning(
                  Stop.RECEIVE,
                  "mesh.face",
                  stem,
                  flawed + " faces are no simple polygons and were left out.")
              .withFigure(Figure.count(flawed, "faces")));
    }
    unread.forEach(
        (kind, n) ->
            findings.add(
                Finding.note(
                        Stop.RECEIVE, "obj.unread", stem, n + " × \"" + kind + "\" is not read.")
                    .withFigure(Figure.count(n))));
    Map<String, Integer> counts = new TreeMap<>();
    counts.put("vertex", vertices);
    counts.put("triangle", faces);
    return new Received("OBJ", "", "", items, List.of(), counts, findings, List.of())
        .with(library.beside());
  }
}
