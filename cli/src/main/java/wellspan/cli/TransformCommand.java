package wellspan.cli;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
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
      description = "system of the input")
  private String from;

  @Option(
      names = "--to",
      required = true,
      paramLabel = "EPSG:b",
      description = "system of the output")
  private String to;

  @Parameters(
      paramLabel = "FILE",
      arity = "0..1",
      description = "file to read; standard input if not given")
  private Path file;

  @Override
  public Integer call() throws IOException {
    Crs target = find(to);
    Crs source = find(from);
    Transformation t = new Transformation(source, target);
    if (!source.datum().equals(target.datum())) {
      for (Crs c : java.util.List.of(source, target)) {
        if (!c.hasDatumShift()) {
          spec.commandLine()
              .getErr()
              .println(
                  "warning  No datum shift is known here for "
                      + c.id()
                      + " ("
                      + c.datum()
                      + "); results may be off by hundreds of metres.");
        }
      }
    }
    String format = target.projected() ? "%.4f %.4f" : "%.9f %.9f";
    PrintWriter out = spec.commandLine().getOut();
    int code = Main.DONE;
    try (BufferedReader in =
        file == null
            ? new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))
            : Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
      long number = 0;
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        number++;
        String[] c = line.strip().split("[\\s,;]+", -1);
        if (line.isBlank() || line.startsWith("#")) {
          continue;
        }
        if (c.length < 2 || c.length > 3) {
          throw new IllegalArgumentException(
              "line " + number + ": \"" + line + "\" is not x y [z].");
        }
        try {
          double[] p = t.apply(Double.parseDouble(c[0]), Double.parseDouble(c[1]));
          out.print(
              String.format(Locale.ROOT, format, p[0], p[1])
                  + (c.length == 3 ? " " + c[2] : "")
                  + "\n");
        } catch (NumberFormatException e) {
          throw new IllegalArgumentException(
              "line " + number + ": \"" + line + "\" is not x y [z].", e);
        } catch (Transformation.OutsideAreaException e) {
          spec.commandLine().getErr().println("line " + number + ": " + e.getMessage());
          out.print("* *\n");
          code = Main.ERRORS_FOUND;
        }
      }
    }
    return code;
  }

  private static Crs find(String code) {
    return CrsCatalogue.shipped()
        .find(code)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    code + " is not in the catalogue of coordinate reference systems."));
  }
}
