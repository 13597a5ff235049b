package wellspan.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** How the toolkit draws; to be chosen before it starts. */
public final class Drawing {
  /** What stands for a graphics processor where the kernel is Linux. */
  private static final List<Path> PROCESSORS =
      Stream.of("/dev/dri", "/dev/nvidia0", "/dev/dxg", "/dev/mali0").map(Path::of).toList();

  private Drawing() {}

  /** Chooses what was not chosen at the start of the program. */
  public static void choose() {
    choose("java.awt.headless", "true"); // pieces of the plan are painted off screen
    // letters with coloured fringes have what lies beneath them copied first
    choose("prism.lcdtext", "false");
    if (Files.isDirectory(Path.of("/proc")) && PROCESSORS.stream().noneMatch(Files::exists)) {
      // the processor draws into memory: the picture is handed over at once, not by way of a
      // second one that is swapped; half of a frame's time
      choose("prism.forceUploadingPainter", "true");
    }
  }

  private static void choose(String property, String value) {
    if (System.getProperty(property) == null) {
      System.setProperty(property, value);
    }
  }
}
