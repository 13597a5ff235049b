package wellspan.exchange.delivery;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import javax.imageio.ImageIO;
import wellspan.core.deliver.Parcel;
import wellspan.core.job.AtomicFile;
import wellspan.core.job.Sha256;
import wellspan.core.picture.Pixels;
import wellspan.core.picture.Texture;
import wellspan.core.progress.Progress;

/**
 * Pictures laid over the surfaces of a parcel, as PNG files beside the delivered one. The digest of
 * a picture is part of its name, so that a new picture never takes the place of one that an earlier
 * delivery refers to.
 */
final class PicturesBeside {
  private static final int DIGITS = 12;

  private final Path folder;
  private final Map<String, String> names = new HashMap<>();
  private final List<Path> fresh = new ArrayList<>();

  private PicturesBeside(Path folder) {
    this.folder = folder;
  }

  /**
   * Writes them.
   *
   * @param stem what the names of the files begin with
   */
  static PicturesBeside write(Parcel parcel, Path folder, String stem, Progress progress)
      throws IOException {
    PicturesBeside out = new PicturesBeside(folder);
    if (!parcel.format().carriesPictures()) {
      return out;
    }
    IdentityHashMap<Pixels, String> known = new IdentityHashMap<>();
    try {
      for (Parcel.Piece p : parcel.pieces()) {
        Optional<Texture> texture = p.item().attributes().texture();
        if (texture.isPresent()) {
          progress.advance(0, "Writing the picture over " + p.item().name());
          Pixels pixels = texture.get().pixels();
          String name = known.get(pixels);
          if (name == null) {
            name = out.write(pixels, stem);
            known.put(pixels, name);
          }
          out.names.put(p.key(), name);
        }
      }
      return out;
    } catch (IOException | RuntimeException e) {
      out.discard();
      throw e;
    }
  }

  private String write(Pixels pixels, String stem) throws IOException {
    BufferedImage image =
        new BufferedImage(pixels.width(), pixels.height(), BufferedImage.TYPE_INT_ARGB);
    image.setRGB(0, 0, pixels.width(), pixels.height(), pixels.argb(), 0, pixels.width());
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.setUseCache(false);
    ImageIO.write(image, "png", png);
    Path part = AtomicFile.fresh(folder.resolve(stem + ".png"));
    try {
      Files.write(part, png.toByteArray());
      String name = stem + "-" + Sha256.of(part).substring(0, DIGITS) + ".png";
      Path target = folder.resolve(name);
      if (!Files.exists(target)) {
        AtomicFile.move(part, target);
        fresh.add(target);
      }
      return name;
    } finally {
      Files.deleteIfExists(part);
    }
  }

  /** Names of the files by the keys of the pieces they lie over. */
  Map<String, String> names() {
    return names;
  }

  /** All files, whether written now or there before. */
  List<Path> files() {
    return new TreeSet<>(names.values()).stream().map(folder::resolve).toList();
  }

  /** Takes away what was written, as it goes with nothing. */
  void discard() throws IOException {
    for (Path p : fresh) {
      Files.deleteIfExists(p);
    }
  }
}
