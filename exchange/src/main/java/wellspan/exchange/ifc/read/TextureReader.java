package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.finding.Finding;
import wellspan.core.folder.Inside;
import wellspan.core.geom.Mesh;
import wellspan.core.picture.Pixels;
import wellspan.core.picture.Texture;
import wellspan.core.picture.TextureFit;
import wellspan.exchange.image.read.ImageReader;

/**
 * Finds pictures that are laid over triangulated face sets from above. They lie in files beside the
 * model; one that lies elsewhere is not fetched.
 */
final class TextureReader {
  /** Texture coordinates farther from a picture laid on from above are of another kind, metres. */
  private static final double FLAT = 0.01;

  private static final double SAME = 1e-6;

  private final Path file;
  private final Map<Integer, Instance> maps = new HashMap<>();
  private final Set<Integer> used = new HashSet<>();
  private final Map<String, Optional<Pixels>> known = new HashMap<>();
  private final Set<String> beside = new TreeSet<>();

  TextureReader(IfcModel model, Path file) {
    this.file = file;
    for (Instance map : model.all("IFCTEXTURECOORDINATE")) {
      map.ref("MappedTo").ifPresent(set -> maps.put(set.id(), map));
    }
  }

  /** Whether no surface of the file has a picture over it. */
  boolean isEmpty() {
    return maps.isEmpty();
  }

  /** Files beside the model that pictures were read from, relative to it. */
  List<String> beside() {
    return List.copyOf(beside);
  }

  /** Texture coordinates that were met and not read, by entity. */
  void unread(Map<String, Integer> counts) {
    maps.values().stream()
        .filter(m -> !used.contains(m.id()))
        .forEach(m -> counts.merge(m.entity().name(), 1, Integer::sum));
  }

  /**
   * The picture over a surface.
   *
   * @param set the only geometry of the surface
   * @param mesh made of it, in shared coordinates
   * @param findings takes why there is none
   */
  Optional<Texture> over(Instance set, String name, Mesh mesh, List<Finding> findings) {
    Instance map = maps.get(set.id());
    if (map == null || !map.isA("IFCINDEXEDTRIANGLETEXTUREMAP")) {
      return Optional.empty();
    }
    Optional<Instance> image =
        map.refs("Maps").stream()
            .filter(t -> t.isA("IFCIMAGETEXTURE") && t.ref("TextureTransform").isEmpty())
            .findFirst();
    Optional<TextureFit> fit = image.flatMap(i -> fit(set, map, mesh));
    if (fit.isEmpty()) {
      return Optional.empty();
    }
    used.add(map.id());
    return pixels(image.get().text("URLReference"), name, findings)
        .map(p -> new Texture(p, fit.get().place()));
  }

  private static Optional<TextureFit> fit(Instance set, Instance map, Mesh mesh) {
    Value list = map.ref("TexCoords").map(c -> c.get("TexCoordsList")).orElse(Value.UNSET);
    Value own = map.get("TexCoordIndex");
    if (!(list instanceof Value.Table(double[] uv, int columns, Value.Tokens _) && columns == 2)
        || !(set.get("CoordIndex")
            instanceof Value.Table(double[] corners, int three, Value.Tokens _))
        || three != 3) {
      return Optional.empty();
    }
    double[] index =
        own instanceof Value.Table(double[] t, int c, Value.Tokens _) && c == 3 ? t : corners;
    if (index.length != corners.length || set.numbers("PnIndex").length > 0) {
      return Optional.empty();
    }
    double[] across = new double[mesh.vertexCount()];
    double[] down = new double[mesh.vertexCount()];
    Arrays.fill(across, Double.NaN);
    Arrays.fill(down, Double.NaN);
    for (int k = 0; k < corners.length; k++) {
      int v = (int) corners[k] - 1;
      int t = (int) index[k] - 1;
      if (v < 0 || v >= across.length || t < 0 || 2 * t + 1 >= uv.length) {
        return Optional.empty();
      }
      double u = uv[2 * t];
      double d = 1 - uv[2 * t + 1];
      // NaN, a vertex met for the first time, is greater than nothing
      if (Math.abs(across[v] - u) > SAME || Math.abs(down[v] - d) > SAME) {
        return Optional.empty(); // a seam: the vertex lies at two places of the picture
      }
      across[v] = u;
      down[v] = d;
    }
    return TextureFit.of(mesh.xyz(), across, down).filter(f -> f.worst() <= FLAT);
  }

  private Optional<Pixels> pixels(String url, String name, List<Finding> findings) {
    return known.computeIfAbsent(url, u -> read(u, name, findings));
  }

  private Optional<Pixels> read(String url, String name, List<Finding> findings) {
    Optional<Path> picture = local(url);
    if (picture.isEmpty()) {
      return missing(findings, name, url, "lies elsewhere and is not fetched");
    }
    if (!Files.isRegularFile(picture.get())) {
      return missing(findings, name, url, "is not beside the file");
    }
    try {
      Pixels p = ImageReader.pixels(picture.get(), Texture.MOST);
      beside.add(folder().relativize(picture.get()).toString().replace('\\', '/'));
      return Optional.of(p);
    } catch (IOException e) {
      return missing(findings, name, url, "cannot be read");
    }
  }

  private static Optional<Pixels> missing(
      List<Finding> findings, String name, String url, String why) {
    findings.add(
        Finding.warning(
            RECEIVE,
            "ifc.picture",
            name,
            name
                + ": the picture \u201c"
                + url
                + "\u201d over it "
                + why
                + ", so it comes without. Put it beside the file and receive both again."));
    return Optional.empty();
  }

  private Path folder() {
    return file.toAbsolutePath().normalize().getParent();
  }

  /** A file in the model's folder or below it; nothing else is ever opened. */
  private Optional<Path> local(String url) {
    if (url.isEmpty() || url.contains(":")) {
      return Optional.empty();
    }
    try {
      String decoded =
          URLDecoder.decode(url.replace('\\', '/').replace("+", "%2B"), StandardCharsets.UTF_8);
      return Inside.of(folder(), decoded);
    } catch (IOException | IllegalArgumentException e) { // no folder to look at, no escape
      return Optional.empty();
    }
  }
}
