package wellspan.exchange.obj.read;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Finish;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.folder.Inside;

/** The material libraries beside an OBJ file: names and colours. */
final class ObjMaterials {
  private static final int WITHOUT_COLOUR = 0xA7A29A;

  private final Map<String, Integer> colours = new HashMap<>();
  private final List<String> beside = new ArrayList<>();
  private final List<String> missing = new ArrayList<>();

  /** Reads a library; one that is not there, or lies elsewhere, is named and not opened. */
  void read(Path file, String name) throws IOException {
    Optional<Path> library = Inside.of(file.toAbsolutePath().getParent(), name);
    if (library.isEmpty() || !Files.isRegularFile(library.get())) {
      missing.add(name);
      return;
    }
    beside.add(name.replace('\\', '/'));
    String material = "";
    for (String line : Files.readAllLines(library.get(), StandardCharsets.ISO_8859_1)) {
      String text = line.strip();
      if (text.startsWith("newmtl ")) {
        material = text.substring(7).strip();
      } else if (text.startsWith("Kd ")) {
        Optional<Integer> rgb = rgb(text.substring(3).strip().split("\\s+"));
        if (rgb.isPresent()) {
          colours.put(material, rgb.get());
        }
      }
    }
  }

  private static Optional<Integer> rgb(String[] parts) {
    int rgb = 0;
    for (int k = 0; k < 3; k++) {
      try {
        rgb = rgb << 8 | (int) Math.round(255 * Math.clamp(Double.parseDouble(parts[k]), 0.0, 1.0));
      } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
        return Optional.empty(); // a spectrum, or nothing at all
      }
    }
    return Optional.of(rgb);
  }

  Finish finish(String material) {
    return new Finish(material, colours.getOrDefault(material, WITHOUT_COLOUR));
  }

  /** Libraries that were read, relative to the file. */
  List<String> beside() {
    return beside;
  }

  List<Finding> findings(String item) {
    return missing.stream()
        .map(
            name ->
                Finding.warning(
                    Stop.RECEIVE,
                    "obj.library",
                    item,
                    "The material library "
                        + name
                        + " does not lie beside the file; its colours are missing. Ask for both."))
        .toList();
  }
}
