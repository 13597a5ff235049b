package wellspan.exchange.image.read;

import static wellspan.core.finding.Stop.PLACE;
import static wellspan.core.finding.Stop.RECEIVE;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.stream.ImageInputStream;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.folder.Inside;
import wellspan.core.item.Item;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.progress.Progress;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.position.read.GeoTiffKeys;
import wellspan.exchange.position.read.PositionReader;
import wellspan.exchange.tiff.TiffTags;

/**
 * Reads a picture of the ground. It lies where its GeoTIFF keys or the world file beside it say;
 * its system comes from the keys or from the {@code .prj} beside it. Of a picture with more pixels
 * than can be shown every n-th row and column is taken, and that is said.
 */
public final class ImageReader {
  /** Pixels that are kept at most. */
  static final int MOST = 24_000_000;

  /** Endings of world files by that of the picture. */
  private static final Map<String, List<String>> WORLD =
      Map.of(
          "png", List.of("pgw", "pngw", "wld"),
          "jpg", List.of("jgw", "jpgw", "wld"),
          "jpeg", List.of("jgw", "jpgw", "jpegw", "wld"),
          "tif", List.of("tfw", "tifw", "wld"),
          "tiff", List.of("tfw", "tiffw", "tifw", "wld"));

  private final Path file;
  private final List<Finding> findings = new ArrayList<>();

  private ImageReader(Path file) {
    this.file = file;
  }

  /** Whether the first bytes are those of a PNG or JPEG picture. */
  public static boolean isPicture(byte[] head) {
    boolean png =
        head.length > 7
            && (head[0] & 0xFF) == 0x89
            && head[1] == 'P'
            && head[2] == 'N'
            && head[3] == 'G';
    boolean jpeg =
        head.length > 2
            && (head[0] & 0xFF) == 0xFF
            && (head[1] & 0xFF) == 0xD8
            && (head[2] & 0xFF) == 0xFF;
    return png || jpeg;
  }

  /**
   * @param tags of a TIFF file, empty for other pictures
   * @throws ReadException with a sentence, if the picture is damaged or of a kind that is not known
   */
  public static Received read(Path file, Optional<TiffTags> tags, Progress progress)
      throws IOException {
    return new ImageReader(file).read(tags, progress);
  }

  /**
   * The pixels of a picture, wherever it lies.
   *
   * @param most pixels to keep; of a larger picture every n-th row and column is taken
   * @throws ReadException with a sentence, if the picture is damaged or of a kind that is not known
   */
  public static Pixels pixels(Path file, int most) throws IOException {
    return new ImageReader(file).taken(most).pixels();
  }

  /** What came out of the file. */
  private record Taken(Pixels pixels, String format, int fullWidth, int fullHeight) {}

  private Received read(Optional<TiffTags> tags, Progress progress) throws IOException {
    progress.advance(0.1, "Reading " + file.getFileName());
    String name = FileStem.of(String.valueOf(file.getFileName()));
    Optional<Taken> taken = taken(tags.isPresent());
    progress.advance(0.9, "Placing " + file.getFileName());
    Place place = place(tags);
    if (place.six.length == 0) {
      findings.add(
          Finding.warning(
              PLACE,
              "place.none",
              name,
              "The picture does not say where it lies, so a pixel is taken as a metre. Ask for its world file, or place it by a fit."));
    }
    List<Item> entries = taken.isEmpty() ? List.of() : List.of(item(name, taken.get(), place.six));
    long pixels = taken.map(t -> (long) t.fullWidth * t.fullHeight).orElse(0L);
    return new Received(
        taken.map(Taken::format).orElse("TIFF image"),
        place.crs,
        "",
        entries,
        Map.of("pixel", (int) Math.min(Integer.MAX_VALUE, pixels)),
        findings,
        place.said);
  }

  private Item item(String name, Taken t, double[] six) throws ReadException {
    double[] where = six.length > 0 ? six : new double[] {1, 0, 0, -1, 0.5, t.fullHeight - 0.5};
    try {
      return Item.picture(name, t.pixels, PicturePlace.ofWorld(where, t.fullWidth, t.fullHeight));
    } catch (IllegalArgumentException e) {
      throw new ReadException(file, e.getMessage() + ": its world file is wrong.", e);
    }
  }

  /**
   * Where the picture lies.
   *
   * @param six numbers as in a world file, none if nothing says them
   */
  private record Place(double[] six, String crs, List<PlaceStatement> said) {}

  private Place place(Optional<TiffTags> tags) throws IOException {
    double[] six = new double[0];
    String crs = "";
    List<PlaceStatement> said = new ArrayList<>();
    if (tags.isPresent()) {
      GeoTiffKeys.RasterPlace keys = GeoTiffKeys.place(tags.get());
      six = keys.six();
      crs = keys.crs();
      keys.statement().ifPresent(said::add);
      keys.finding("").ifPresent(findings::add);
    }
    Optional<Path> world = beside(WORLD.getOrDefault(ending(), List.of("wld")));
    if (world.isPresent()) {
      said.addAll(PositionReader.read(world.get()).places());
      six = six.length == 0 ? PositionReader.sixNumbers(world.get()) : six;
    }
    Optional<Path> prj = beside(List.of("prj"));
    if (crs.isEmpty() && prj.isPresent()) {
      Received p = PositionReader.read(prj.get());
      crs = p.crs();
      said.addAll(p.places());
    }
    return new Place(six, crs, said);
  }

  /** The pixels; a TIFF file that cannot be unpacked still says where it lies. */
  private Optional<Taken> taken(boolean tiff) throws IOException {
    try {
      return Optional.of(taken(MOST));
    } catch (ReadException e) {
      if (!tiff) {
        throw e;
      }
      findings.add(
          Finding.warning(
              RECEIVE,
              "image.unread",
              "",
              "The picture itself cannot be read, only its position: it is damaged or packed in a way that is not known."));
      return Optional.empty();
    }
  }

  private Taken taken(int most) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
      Iterator<javax.imageio.ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw new ReadException(file, "this kind of picture is not known. PNG, JPEG and TIFF are.");
      }
      javax.imageio.ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        int w = reader.getWidth(0), h = reader.getHeight(0);
        ImageReadParam param = reader.getDefaultReadParam();
        int step = 1;
        while ((long) (w / step) * (h / step) > most) {
          step++;
        }
        if (step > 1) {
          param.setSourceSubsampling(step, step, 0, 0);
          findings.add(
              Finding.note(
                      RECEIVE,
                      "image.thinned",
                      FileStem.of(String.valueOf(file.getFileName())),
                      String.format(
                          Locale.ROOT,
                          "The picture has %d × %d pixels; every %d-th row and column was taken.",
                          w,
                          h,
                          step))
                  .withFigure(Figure.oneIn(step)));
        }
        BufferedImage image = reader.read(0, param);
        int[] argb =
            image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        return new Taken(
            new Pixels(image.getWidth(), image.getHeight(), argb),
            reader.getFormatName().toUpperCase(Locale.ROOT) + " image",
            w,
            h);
      } finally {
        reader.dispose();
      }
    } catch (ReadException e) {
      throw e;
    } catch (IIOException | RuntimeException e) { // the library tells damage in many ways
      throw new ReadException(
          file, "the picture is damaged or of a kind that cannot be read. Ask for it again.", e);
    }
  }

  private String ending() {
    String n = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    return n.substring(n.lastIndexOf('.') + 1);
  }

  /** A file of the same name with one of some endings, letters of either case. */
  private Optional<Path> beside(List<String> endings) throws IOException {
    String n = String.valueOf(file.getFileName());
    String stem = n.substring(0, Math.max(0, n.lastIndexOf('.')) + 1);
    for (String e : endings) {
      for (String each : List.of(e, e.toUpperCase(Locale.ROOT))) {
        Path p = file.resolveSibling(stem + each);
        if (Files.isRegularFile(p)
            && Inside.of(p.toAbsolutePath().getParent(), stem + each).isPresent()) {
          return Optional.of(p);
        }
      }
    }
    return Optional.empty();
  }
}
