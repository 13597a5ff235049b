package wellspan.cli;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.crs.Crs;
import wellspan.core.crs.Transformation;

/**
 * {@code transform --from EPSG:a --to EPSG:b [FILE]}: lines of x y [z], easting or longitude first.
 */
@Command(
    name = "transform",
    description =
        "Brings lines of \"x y [z]\" from one system to another, easting or longitude first.",
    mixinStandardHelpOptions = true)
final class TransformCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Option(
      names = "--from",
      required = true,
      paramLabel = "EPSG:a",
      description = "system of the input: EPSG code, PROJ text or a file with WKT")
  private String from;

  @Option(
      names = "--to",
      required = true,
      paramLabel = "EPSG:b",
      description = "system of the output, likewise")
  private String to;

  @Parameters(
      paramLabel = "FILE",
      arity = "0..1",
      description = "file to read; standard input if not given")
  private Path file;

  @Override
  public Integer call() throws IOException {
    Crs target = SystemOption.of(to).crs();
    Transformation t = new Transformation(SystemOption.of(from).crs(), target);
    PrintWriter err = spec.commandLine().getErr();
    PrintWriter out = spec.commandLine().getOut();
    try (BufferedReader in =
        file == null
            ? new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))
            : Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
      CoordinateLines lines = new CoordinateLines(t, target.projected() ? 4 : 9);
      boolean all = lines.run(in, out, err::println);
      lines.doubts().forEach(s -> err.println("warning  " + s));
      return all ? Main.DONE : Main.ERRORS_FOUND;
    }
  }
}
