package wellspan.exchange.gltf.read;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.URLDecoder;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import wellspan.core.attribute.Finish;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.folder.Inside;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.Received;
import wellspan.exchange.file.FileBytes;
import wellspan.exchange.file.LooseMesh;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.file.UniqueNames;

/**
 * Reads the triangles of every node that has a mesh, with the transformations above it (Khronos
 * glTF 2.0; KHR_mesh_quantization). The format's y axis points up and is turned to z: east = x,
 * north = −z.
 */
public final class GltfReader {
  private static final int MAGIC = 0x46546C67;
  private static final int JSON_CHUNK = 0x4E4F534A;
  private static final int BINARY_CHUNK = 0x004E4942;
  private static final Set<String> UNDERSTOOD =
      Set.of("KHR_mesh_quantization", "KHR_materials_unlit", "KHR_texture_transform");
  private static final int DEEPEST = 64;

  private final Path file;
  private final String stem;
  private final List<Item> items = new ArrayList<>();
  private final UniqueNames names = new UniqueNames();
  private final Map<String, Integer> counts = new TreeMap<>();
  private final Map<Integer, Mesh> meshes = new HashMap<>();
  private final Map<Integer, Finish[]> finishes = new HashMap<>();
  private final Map<String, Integer> unread = new TreeMap<>();
  private final List<String> besides = new ArrayList<>();
  private JsonNode root;
  private Accessors accessors;

  private GltfReader(Path file) {
    this.file = file;
    stem = FileStem.of(String.valueOf(file.getFileName()));
  }

  /** Whether bytes begin like the binary form. */
  public static boolean isBinary(byte[] head) {
    return head.length >= 12
        && ByteBuffer.wrap(head).order(ByteOrder.LITTLE_ENDIAN).getInt() == MAGIC;
  }

  /** Whether a text begins like the text form. */
  public static boolean isText(String head) {
    return head.stripLeading().startsWith("{")
        && head.contains("\"asset\"")
        && (head.contains("\"version\"") || head.contains("\"generator\""));
  }

  /** Whether a JSON file has the member that tells the text form, wherever it stands. */
  public static boolean hasAsset(Path file) throws IOException {
    try (JsonParser p = new JsonFactory().createParser(file.toFile())) {
      if (p.nextToken() != JsonToken.START_OBJECT) {
        return false;
      }
      while (p.nextToken() == JsonToken.FIELD_NAME) {
        if (p.currentName().equals("asset")) {
          return p.nextToken() == JsonToken.START_OBJECT;
        }
        p.nextToken();
        p.skipChildren();
      }
      return false;
    } catch (JsonProcessingException e) {
      return false;
    }
  }

  /**
   * @throws ReadException with a sentence, if it is damaged or needs an extension that is not read
   */
  public static Received read(Path file, Progress progress) throws IOException {
    return new GltfReader(file).read(progress);
  }

  private Received read(Progress progress) throws IOException {
    progress.advance(0, "Reading " + file.getFileName());
    byte[] binary = null;
    byte[] text;
    try (FileBytes bytes = new FileBytes(file)) {
      byte[] head = bytes.bytes(0, Math.min(12, bytes.size()));
      if (isBinary(head)) {
        long declared =
            Integer.toUnsignedLong(ByteBuffer.wrap(head).order(ByteOrder.LITTLE_ENDIAN).getInt(8));
        if (declared > bytes.size()) {
          throw new ReadException(
              file,
              "it ends after " + bytes.size() + " of " + declared + " bytes. Ask for it again.");
        }
        text = chunk(bytes, 12, JSON_CHUNK);
        long next = 20L + text.length;
        binary = next + 8 <= declared ? chunk(bytes, next, BINARY_CHUNK) : null;
      } else {
        text = bytes.bytes(0, bytes.size());
      }
    }
    try {
      root = new ObjectMapper().readTree(text);
    } catch (JsonProcessingException e) {
      throw new ReadException(file, "its JSON is damaged or ends too early.", e);
    }
    for (JsonNode e : root.path("extensionsRequired")) {
      if (!UNDERSTOOD.contains(e.asText())) {
        throw new ReadException(
            file,
            "it needs the extension "
                + e.asText()
                + ", which is not read. Ask for it without compression.");
      }
    }
    accessors = new Accessors(file, root, buffers(binary));
    JsonNode scene = root.path("scenes").path(root.path("scene").asInt(0)).path("nodes");
    if (scene.isMissingNode() || scene.isEmpty()) {
      for (int i = 0; i < root.path("nodes").size(); i++) {
        node(i, Matrix.IDENTITY, 0, progress);
      }
    } else {
      for (JsonNode n : scene) {
        node(n.asInt(-1), Matrix.IDENTITY, 0, progress);
      }
    }
    return received();
  }

  private byte[] chunk(FileBytes bytes, long at, int type) throws IOException {
    ByteBuffer h = bytes.at(at, 8, ByteOrder.LITTLE_ENDIAN);
    if (h.getInt(4) != type) {
      throw new ReadException(file, "a part of the file is not what it should be.");
    }
    return bytes.bytes(at + 8, Integer.toUnsignedLong(h.getInt(0)));
  }

  private List<byte[]> buffers(byte[] binary) throws IOException {
    List<byte[]> out = new ArrayList<>();
    for (JsonNode b : root.path("buffers")) {
      String uri = b.path("uri").asText("");
      if (uri.isEmpty()) {
        out.add(binary == null ? new byte[0] : binary);
      } else if (uri.startsWith("data:")) {
        try {
          out.add(java.util.Base64.getDecoder().decode(uri.substring(uri.indexOf(',') + 1)));
        } catch (IllegalArgumentException e) {
          throw new ReadException(file, "a buffer within the file is damaged.", e);
        }
      } else {
        Path beside = Inside.of(file.toAbsolutePath().getParent(), decoded(uri)).orElse(null);
        if (beside == null || !Files.isRegularFile(beside)) {
          throw new ReadException(
              file, "its buffer " + uri + " does not lie beside it. Ask for both, or for a .glb.");
        }
        out.add(Files.readAllBytes(beside));
        besides.add(decoded(uri));
      }
    }
    return out;
  }

  private static String decoded(String uri) {
    try {
      return URLDecoder.decode(uri.replace("+", "%2B"), StandardCharsets.UTF_8);
    } catch (IllegalArgumentException e) {
      return uri; // an escape that is none is a name as it stands
    }
  }

  private void node(int index, Matrix above, int depth, Progress progress) throws IOException {
    JsonNode n = root.path("nodes").path(index);
    if (index < 0 || n.isMissingNode()) {
      throw new ReadException(file, "it names a node that is not there: " + index + ".");
    }
    if (depth > DEEPEST) {
      throw new ReadException(file, "its nodes contain each other.");
    }
    Matrix here = above.times(Matrix.of(n));
    if (n.has("mesh")) {
      mesh(n, n.path("mesh").asInt(), here);
      progress.advance(0.5, "Reading " + file.getFileName());
    }
    for (JsonNode c : n.path("children")) {
      node(c.asInt(-1), here, depth + 1, progress);
    }
  }

  private void mesh(JsonNode node, int index, Matrix m) throws IOException {
    JsonNode named = root.path("meshes").path(index);
    Mesh local = meshes.get(index);
    if (local == null) {
      List<Finish> each = new ArrayList<>();
      local = triangles(named, each);
      meshes.put(index, local);
      finishes.put(index, each.toArray(Finish[]::new));
    }
    if (local.triangleCount() == 0) {
      return;
    }
    double[] xyz = new double[local.xyz().length];
    for (int v = 0; v < local.vertexCount(); v++) {
      double[] p = m.apply(local.east(v), local.north(v), local.level(v));
      xyz[3 * v] = p[0];
      xyz[3 * v + 1] = -p[2];
      xyz[3 * v + 2] = p[1];
    }
    String name = node.path("name").asText("");
    name = name.isEmpty() ? named.path("name").asText("") : name;
    Item item =
        LooseMesh.item(
            names,
            name.isEmpty() ? stem : name,
            new Mesh(xyz, local.triangles()),
            finishes.get(index));
    items.add(item.saying(new GltfLook(root).of(node, named, item.said().finish())));
    counts.merge("triangle", local.triangleCount(), Integer::sum);
  }

  /**
   * All triangles of a mesh's primitives.
   *
   * @param each takes the finish of every triangle
   */
  private Mesh triangles(JsonNode mesh, List<Finish> each) throws IOException {
    double[] xyz = new double[0];
    int[] all = new int[0];
    for (JsonNode p : mesh.path("primitives")) {
      int mode = p.path("mode").asInt(4);
      if (mode < 4) {
        unread.merge(mode == 0 ? "points" : "lines", 1, Integer::sum);
        continue;
      }
      double[] position = accessors.numbers(p.path("attributes").path("POSITION").asInt(-1), 3);
      int[] index =
          p.has("indices")
              ? accessors.indices(p.path("indices").asInt(-1))
              : java.util.stream.IntStream.range(0, position.length / 3).toArray();
      int[] corners = corners(index, mode);
      int base = xyz.length / 3;
      for (int i = 0; i < corners.length; i++) {
        if (corners[i] >= position.length / 3) {
          throw new ReadException(file, "a triangle names a vertex that is not there.");
        }
        corners[i] += base;
      }
      xyz = join(xyz, position);
      int from = all.length;
      all = java.util.Arrays.copyOf(all, from + corners.length);
      System.arraycopy(corners, 0, all, from, corners.length);
      each.addAll(Collections.nCopies(corners.length / 3, new GltfLook(root).finish(p)));
    }
    return new Mesh(xyz, all);
  }

  private static double[] join(double[] a, double[] b) {
    double[] out = java.util.Arrays.copyOf(a, a.length + b.length);
    System.arraycopy(b, 0, out, a.length, b.length);
    return out;
  }

  /** Triangles as they are, or unrolled from a strip (5) or a fan (6). */
  private static int[] corners(int[] index, int mode) {
    if (mode == 4) {
      return java.util.Arrays.copyOf(index, index.length / 3 * 3);
    }
    int n = Math.max(0, index.length - 2);
    int[] out = new int[3 * n];
    for (int i = 0; i < n; i++) {
      boolean odd = mode == 5 && i % 2 == 1;
      out[3 * i] = mode == 6 ? index[0] : index[i];
      out[3 * i + 1] = index[odd ? i + 2 : i + 1];
      out[3 * i + 2] = index[odd ? i + 1 : i + 2];
    }
    return out;
  }

  private Received received() {
    List<Finding> findings = new ArrayList<>(new GltfLook(root).leftOut(stem));
    findings.add(
        Finding.note(
            Stop.RECEIVE,
            "place.system.missing",
            "",
            "glTF counts in metres from a zero of its own and does not say where that lies; y is up and becomes the level."));
    if (items.isEmpty()) {
      findings.add(
          Finding.error(
              Stop.RECEIVE, "file.empty", stem, "The file holds no triangles. Ask for it again."));
    }
    unread.forEach(
        (kind, n) ->
            findings.add(
                Finding.note(
                        Stop.RECEIVE,
                        "gltf.unread",
                        stem,
                        n + " sets of " + kind + " are not read.")
                    .withFigure(Figure.count(n))));
    return new Received("glTF 2.0", "", "metre", items, List.of(), counts, findings, List.of())
        .with(besides);
  }
}
