package wellspan.exchange.grid.read;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.logging.Level;
import java.util.logging.Logger;
import mil.nga.tiff.FileDirectory;
import mil.nga.tiff.Rasters;
import mil.nga.tiff.TiffReader;
import mil.nga.tiff.util.TiffException;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.terrain.ElevationGrid;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.position.read.GeoTiffKeys;
import wellspan.exchange.tiff.TiffTags;

/**
 * Reads elevation grids as GeoTIFF: one sample a pixel, whole numbers of 16 bits or more or
 * floating-point ones, in strips or tiles, unpacked or packed with LZW, deflate or PackBits. Each
 * level is taken as the level at its pixel's centre.
 */
public final class GeoTiffGridReader {
  private static final Set<Integer> PACKINGS = Set.of(1, 5, 8, 32773, 32946);
  private static final int WHOLE = 1;
  private static final int COLOUR_TABLE = 3;

  /** Kept here, as the level of a logger that nobody holds is forgotten. */
  private static final Logger LIBRARY = Logger.getLogger("mil.nga.tiff");

  static {
    LIBRARY.setLevel(Level.OFF); // what it has to say of damage is said by us, in one sentence
  }

  private GeoTiffGridReader() {}

  /** True for rasters that hold levels rather than a picture. */
  public static boolean isElevation(TiffTags tags) {
    boolean levels =
        tags.number(TiffTags.SAMPLE_FORMAT, WHOLE) != WHOLE || tags.number(TiffTags.BITS, 1) >= 16;
    return levels
        && tags.number(TiffTags.SAMPLES, 1) == 1
        && tags.number(TiffTags.PHOTOMETRIC, 1) != COLOUR_TABLE;
  }

  /**
   * @throws ReadException with a sentence, if the raster cannot be read
   */
  public static Received read(Path file, TiffTags tags, Progress progress) throws IOException {
    GeoTiffKeys.RasterPlace place = GeoTiffKeys.place(tags);
    double[] six = place.six();
    if (six.length != 6) {
      throw new ReadException(
          file, "the grid does not say where it lies. Ask for it with its GeoTIFF keys.");
    }
    if (six[1] != 0 || six[2] != 0) {
      throw new ReadException(
          file,
          "the grid is turned against the axes, which cannot be read. Ask for it along them.");
    }
    if (!(six[0] > 0) || six[3] == 0) {
      throw new ReadException(file, "the pixels of the grid have no size. Ask for it again.");
    }
    long columns = (long) tags.number(TiffTags.WIDTH, 0);
    long rows = (long) tags.number(TiffTags.HEIGHT, 0);
    if (columns < 1 || rows < 1) {
      throw new ReadException(file, "the grid has no pixels. Ask for it again.");
    }
    packing(file, tags);
    // packed levels may shrink a thousandfold, hardly more
    GridSize.check(file, columns, rows, 1024 * Files.size(file));
    DeflatedParts.check(file, tags, progress);
    progress.advance(0, "Reading " + file.getFileName());
    double[] levels = levels(file, tags, (int) columns, (int) rows, six[3] > 0, progress);
    double north = six[3] > 0 ? six[5] + (rows - 1) * six[3] : six[5];
    ElevationGrid grid =
        new ElevationGrid(
            six[4], north, six[0], Math.abs(six[3]), (int) columns, (int) rows, levels);
    return GridReceived.of(file, "GeoTIFF grid", place, grid);
  }

  private static void packing(Path file, TiffTags tags) throws ReadException {
    int packing = (int) tags.number(TiffTags.COMPRESSION, 1);
    if (tags.isBig()) {
      throw new ReadException(
          file, "the grid is a BigTIFF, which cannot be read yet. Ask for it in parts.");
    }
    if (!PACKINGS.contains(packing)) {
      String name =
          switch (packing) {
            case 50000 -> "ZSTD";
            case 34887 -> "LERC";
            case 34925 -> "LZMA";
            case 7 -> "JPEG";
            default -> "method " + packing;
          };
      throw new ReadException(
          file,
          "the grid is packed with "
              + name
              + ", which cannot be read. Ask for it packed with deflate or LZW.");
    }
  }

  private static double[] levels(
      Path file, TiffTags tags, int columns, int rows, boolean fromSouth, Progress progress)
      throws IOException {
    double none = noLevel(tags.text(TiffTags.NO_DATA));
    Rasters pixels;
    try {
      FileDirectory directory = TiffReader.readTiff(file.toFile()).getFileDirectory();
      pixels = directory.readRasters();
    } catch (RuntimeException e) { // the library tells damage in many ways
      throw new ReadException(
          file,
          "the grid's pixels cannot be read ("
              + (e instanceof TiffException ? e.getMessage() : "it is damaged")
              + "). Ask for it again.",
          e);
    }
    double[] out = new double[columns * rows];
    for (int r = 0; r < rows; r++) {
      progress.advance(0.5 + 0.5 * r / rows, "Reading " + file.getFileName());
      int row = fromSouth ? rows - 1 - r : r;
      for (int c = 0; c < columns; c++) {
        double v = pixels.getPixelSample(0, c, r).doubleValue();
        boolean level = Double.isFinite(v) && v != none && (float) v != (float) none;
        out[row * columns + c] = level ? v : Double.NaN;
      }
    }
    return out;
  }

  /** What stands for no level; NaN where nothing does. */
  private static double noLevel(String text) {
    try {
      return text.isEmpty() ? Double.NaN : Double.parseDouble(text);
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }
}
