package wellspan.exchange.position.read;

import static wellspan.core.finding.Stop.PLACE;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.CrsTextException;
import wellspan.core.crs.OwnSystem;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;

/** Reads files that hold no items but say where those of another file lie. */
public final class PositionReader {
  private static final Set<String> WORLD =
      Set.of("tfw", "tifw", "tiffw", "jgw", "jpgw", "jpegw", "pgw", "pngw", "wld", "bpw");
  private static final int LONGEST = 1 << 20;

  private PositionReader() {}

  /** Endings of the names of such files, with their dot; only by them they are known. */
  public static List<String> endings() {
    return Stream.concat(Stream.of("prj"), WORLD.stream().sorted()).map(e -> "." + e).toList();
  }

  /** Whether the name's ending is that of a projection or world file. */
  public static boolean knows(Path file) {
    String e = ending(file);
    return e.equals("prj") || WORLD.contains(e);
  }

  private static String ending(Path file) {
    String n = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    return n.substring(n.lastIndexOf('.') + 1);
  }

  /**
   * @throws ReadException with a sentence, if the file is none of these or is damaged
   */
  public static Received read(Path file) throws IOException {
    if (Files.size(file) > LONGEST) {
      throw new ReadException(file, "it is too long for a file that says a position.");
    }
    String text = Files.readString(file, StandardCharsets.ISO_8859_1);
    return ending(file).equals("prj") ? projection(file, text) : world(file, text);
  }

  private static Received projection(Path file, String text) throws ReadException {
    Optional<Crs> known = OwnSystem.identify(text);
    Frame frame;
    try {
      Crs crs = known.isPresent() ? known.get() : OwnSystem.of("", text);
      frame = Frame.UNPLACED.withCrs(crs.id(), known.isPresent() ? "" : text.strip());
    } catch (CrsTextException e) {
      throw new ReadException(file, e.getMessage(), e);
    }
    List<Finding> findings = new ArrayList<>();
    if (known.isEmpty()) {
      findings.add(
          Finding.note(
              PLACE,
              "place.system.own",
              "",
              frame.crs()
                  + " is none of the catalogue's systems by its name; it can be taken as a system of the job's own."));
    }
    return received(
        "projection file",
        List.of(
            PlaceStatement.ofFrame(50, "the projection file", "the system " + frame.crs(), frame)),
        findings);
  }

  private static Received world(Path file, String text) throws ReadException {
    return received(
        "world file", List.of(raster("the world file", "", sixNumbers(file, text))), List.of());
  }

  /**
   * The six numbers of a world file.
   *
   * @throws ReadException with the line that is missing or wrong
   */
  public static double[] sixNumbers(Path file) throws IOException {
    if (Files.size(file) > LONGEST) {
      throw new ReadException(file, "it is too long for a file that says a position.");
    }
    return sixNumbers(file, Files.readString(file, StandardCharsets.ISO_8859_1));
  }

  private static double[] sixNumbers(Path file, String text) throws ReadException {
    double[] v = new double[6];
    String[] words = text.strip().split("\\s+");
    for (int i = 0; i < 6; i++) {
      try {
        v[i] = i < words.length ? Double.parseDouble(words[i].replace(',', '.')) : Double.NaN;
      } catch (NumberFormatException e) {
        v[i] = Double.NaN;
      }
      if (!Double.isFinite(v[i])) {
        throw new ReadException(
            file,
            i + 1,
            "a world file needs six numbers, one a line; this one is missing or wrong.");
      }
    }
    return v;
  }

  /**
   * @param v the six numbers in the order of world files: x and y of a step along a row, a step
   *     along a column, and the centre of the first pixel
   */
  static PlaceStatement raster(String where, String crs, double[] v) {
    double pixel = Math.hypot(v[0], v[1]);
    double rotation = Math.toDegrees(Math.atan2(-v[1], v[0]));
    Optional<Crs> system = CrsCatalogue.shipped().find(crs);
    double metres = system.filter(Crs::projected).map(Crs::metresPerUnit).orElse(1.0);
    String unit = system.map(c -> c.projected() ? " " + c.unit() : " degrees").orElse("");
    Frame f =
        Frame.of(
            crs, "", new Position(v[4] * metres, v[5] * metres, 0), rotation == 0 ? 0 : rotation);
    return PlaceStatement.ofFrame(
        crs.isEmpty() ? 40 : 50,
        where,
        String.format(
            Locale.ROOT,
            unit.equals(" degrees")
                ? "the first pixel at longitude %.7f latitude %.7f, pixels of %.7f%s%s"
                : "the first pixel at E %.3f N %.3f, pixels of %.4f%s%s",
            v[4],
            v[5],
            pixel,
            unit,
            crs.isEmpty() ? "" : ", in " + crs),
        f);
  }

  static Received received(String format, List<PlaceStatement> places, List<Finding> findings) {
    String crs =
        places.stream()
            .flatMap(p -> p.frame().stream())
            .filter(f -> f.definition().isEmpty())
            .map(Frame::crs)
            .findFirst()
            .orElse("");
    return new Received(format, crs, "", List.of(), Map.of(), findings, places);
  }
}
