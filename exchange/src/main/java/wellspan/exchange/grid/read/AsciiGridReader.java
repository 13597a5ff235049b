package wellspan.exchange.grid.read;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import wellspan.core.finding.Finding;
import wellspan.core.progress.Progress;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.terrain.ElevationGrid;
import wellspan.exchange.file.Beside;
import wellspan.exchange.file.NumberText;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.position.read.GeoTiffKeys;
import wellspan.exchange.position.read.PositionReader;

/**
 * Reads elevation grids as text: a head of names and values ({@code ncols}, {@code nrows}, a corner
 * or the centre of the south-western cell, the cell size, what stands for no level), then levels
 * row by row from the north. Each level is taken as the level at its cell's centre.
 */
public final class AsciiGridReader {
  private static final Pattern START = Pattern.compile("(?is)\\s*(ncols|nrows)[ \\t]+\\S+\\s.*");
  private static final Set<String> NAMES =
      Set.of(
          "ncols",
          "nrows",
          "xllcorner",
          "yllcorner",
          "xllcenter",
          "yllcenter",
          "cellsize",
          "dx",
          "dy",
          "nodata_value");
  private static final double USUAL_NO_LEVEL = -9999;

  private final Path file;
  private final BufferedReader text;
  private final Progress progress;
  private final NumberText numbers = new NumberText(false);
  private final Map<String, Double> head = new HashMap<>();
  private String line;
  private long lineNumber;

  private AsciiGridReader(Path file, BufferedReader text, Progress progress) {
    this.file = file;
    this.text = text;
    this.progress = progress;
  }

  /** True if this start of a file is that of a text grid. */
  public static boolean isGrid(String head) {
    return START.matcher(head).matches();
  }

  /**
   * @throws ReadException with file and line, if the grid is broken
   */
  public static Received read(Path file, Progress progress) throws IOException {
    try (BufferedReader text =
        new BufferedReader(
            new InputStreamReader(Files.newInputStream(file), StandardCharsets.ISO_8859_1),
            1 << 16)) {
      return new AsciiGridReader(file, text, progress).read();
    }
  }

  private Received read() throws IOException {
    head();
    long columns = count("ncols");
    long rows = count("nrows");
    GridSize.check(file, columns, rows, Files.size(file) / 2 + 1);
    double east = need("cellsize", "dx");
    double north = need("cellsize", "dy");
    double west = corner("xllcorner", "xllcenter", east);
    double south = corner("yllcorner", "yllcenter", north);
    double[] levels = levels((int) columns, (int) rows);
    ElevationGrid grid =
        new ElevationGrid(
            west, south + (rows - 1) * north, east, north, (int) columns, (int) rows, levels);
    Path projection = Beside.of(file, "prj");
    if (!Files.isRegularFile(projection)) {
      return GridReceived.of(
          file, "text grid", new GeoTiffKeys.RasterPlace("", new double[0], ""), grid);
    }
    Received system = PositionReader.read(projection);
    Received r =
        GridReceived.of(
            file, "text grid", new GeoTiffKeys.RasterPlace(system.crs(), new double[0], ""), grid);
    List<Finding> findings = new ArrayList<>(r.findings());
    findings.addAll(system.findings());
    List<PlaceStatement> places = new ArrayList<>(r.places());
    places.addAll(system.places());
    return new Received(r.format(), r.crs(), r.unit(), r.items(), r.counts(), findings, places);
  }

  private boolean next() throws IOException {
    line = text.readLine();
    lineNumber++;
    return line != null;
  }

  private void head() throws IOException {
    while (next()) {
      String[] words = line.strip().split("\\s+");
      String name = words[0].toLowerCase(Locale.ROOT);
      if (!NAMES.contains(name)) {
        if (!line.isBlank()) {
          return;
        }
      } else if (words.length != 2) {
        throw fault(name + " needs one value.");
      } else {
        head.put(name, number(words[1]));
      }
    }
  }

  private double number(String word) throws ReadException {
    try {
      double v = Double.parseDouble(word.replace(',', '.'));
      if (!Double.isNaN(v) || word.equalsIgnoreCase("nan")) {
        return v;
      }
    } catch (NumberFormatException e) {
      // said below, with the line
    }
    throw fault("\"" + word + "\" is not a number.");
  }

  private ReadException fault(String what) {
    return new ReadException(file, lineNumber, what);
  }

  private long count(String name) throws ReadException {
    Double v = head.get(name);
    if (v == null || v < 1 || v != Math.rint(v)) {
      throw new ReadException(
          file, "the head says no " + name + " that is a whole number. Ask for the grid again.");
    }
    return v.longValue();
  }

  /** The first of these values that the head has; a size, so it must be positive. */
  private double need(String name, String orElse) throws ReadException {
    Double v = head.getOrDefault(orElse, head.get(name));
    if (v == null || !(v > 0) || v.isInfinite()) {
      throw new ReadException(
          file, "the head says no positive " + name + ". Ask for the grid again.");
    }
    return v;
  }

  private double corner(String corner, String centre, double step) throws ReadException {
    Double v = head.get(centre);
    if (v == null && head.containsKey(corner)) {
      v = head.get(corner) + step / 2;
    }
    if (v == null || !Double.isFinite(v)) {
      throw new ReadException(
          file, "the head says neither " + corner + " nor " + centre + ". Ask for the grid again.");
    }
    return v;
  }

  private double[] levels(int columns, int rows) throws IOException {
    double noLevel = head.getOrDefault("nodata_value", USUAL_NO_LEVEL);
    double[] out = new double[columns * rows];
    int n = 0;
    while (n < out.length) {
      if (line == null) {
        throw new ReadException(
            file,
            out.length
                + " levels are declared and "
                + n
                + " are there. The grid was cut off; ask for it again.");
      }
      progress.advance((double) n / out.length, "Reading " + file.getFileName());
      n = row(out, n, noLevel);
      if (n < out.length) {
        next();
      }
    }
    while (next()) {
      if (!line.isBlank()) {
        throw fault("more levels follow than the " + out.length + " that are declared.");
      }
    }
    return out;
  }

  private int row(double[] out, int from, double noLevel) throws IOException {
    // a comma between digits is a decimal one: levels are parted by white space
    char[] chars = line.replace(',', '.').toCharArray();
    numbers.over(chars, 0, chars.length);
    int n = from;
    while (numbers.hasNext()) {
      if (n == out.length) {
        throw fault("more levels follow than the " + out.length + " that are declared.");
      }
      double v;
      try {
        v = numbers.nextDouble();
      } catch (NumberFormatException e) {
        if (!e.getMessage().equalsIgnoreCase("nan")) {
          throw fault("\"" + e.getMessage() + "\" is not a level.");
        }
        v = Double.NaN;
      }
      out[n++] = v == noLevel ? Double.NaN : v;
    }
    return n;
  }
}
