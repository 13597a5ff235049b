package wellspan.app;

import java.io.IOException;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * Lets the compiler that optimizes give way to everything else where there are few cores.
 *
 * <p>While a window is made, the virtual machine translates what it has just begun to use, and the
 * translation that takes most of the time is for what will run long. On two cores it takes one of
 * them for seconds, and the window stands a second later for it. At a lower priority it uses what
 * is left over, which is all of a core as soon as the window waits; what keeps both cores busy from
 * the first moment, as reading a large model, takes a fifteenth longer. Only Linux has priorities
 * of single threads that a program without special rights may lower; elsewhere nothing is done.
 */
final class CompilerPriority {
  private static final int ENOUGH_CORES = 4;
  private static final Path THREADS = Path.of("/proc/self/task");

  /** As the system calls it, cut off after fifteen letters: the name goes on "…CompilerThread0". */
  private static final String NAME = "C2 Compiler";

  /** Of 20 steps down: a tenth of what a thread of usual priority gets beside it. */
  private static final int STEPS_DOWN = 10;

  /** {@code PRIO_PROCESS} of {@code setpriority(2)}, which takes the number of a thread too. */
  private static final int OF_A_THREAD = 0;

  private CompilerPriority() {}

  /** Lowers it; the program is as right and only slower where that is not possible. */
  @SuppressWarnings("restricted") // the start of the program allows native access
  static void lower() {
    if (Runtime.getRuntime().availableProcessors() >= ENOUGH_CORES || !Files.isDirectory(THREADS)) {
      return;
    }
    try (DirectoryStream<Path> all = Files.newDirectoryStream(THREADS)) {
      Linker linker = Linker.nativeLinker();
      MethodHandle setPriority =
          linker.downcallHandle(
              linker.defaultLookup().findOrThrow("setpriority"),
              FunctionDescriptor.of(
                  ValueLayout.JAVA_INT,
                  ValueLayout.JAVA_INT,
                  ValueLayout.JAVA_INT,
                  ValueLayout.JAVA_INT));
      for (Path t : all) {
        if (Files.readString(t.resolve("comm")).startsWith(NAME)) {
          int result =
              (int)
                  setPriority.invokeExact(
                      OF_A_THREAD, Integer.parseInt(t.getFileName().toString()), STEPS_DOWN);
          log("set the priority of thread " + t.getFileName() + ": " + result);
        }
      }
    } catch (IOException | RuntimeException e) {
      log("left the priority of the compiler as it is: " + e);
    } catch (Throwable e) { // declared by the handle; setpriority throws nothing
      throw new AssertionError(e);
    }
  }

  private static void log(String sentence) {
    Logger.getLogger(CompilerPriority.class.getName()).log(Level.FINE, sentence);
  }
}
