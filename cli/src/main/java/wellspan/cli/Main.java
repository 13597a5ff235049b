package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/**
 * Entry of the command line. Exit codes: 0 done, 1 done with errors found, 2 wrong usage or
 * unreadable input, 3 a fault of ours.
 */
@Command(
    name = "wellspan",
    mixinStandardHelpOptions = true,
    version = "Wellspan 0.1.0",
    description = "Receives, places, delivers and proves civil designs.",
    footer = {
      "",
      "In the window:",
      "  demo          start with a fresh copy of the demo job",
      "  open [JOB]    start with a job"
    },
    subcommands = {
      InspectCommand.class,
      DescribeCommand.class,
      CheckCommand.class,
      DeliverCommand.class,
      ConvertCommand.class,
      ProveCommand.class,
      TransformCommand.class,
      PlaceCommand.class,
      TallyCommand.class,
      FrameCommand.class,
      ShapeCommand.class,
      CompareCommand.class,
      MassesCommand.class,
      RulebookCommand.class,
      AttributeCommand.class
    })
public final class Main implements Runnable {
  static final int DONE = 0;
  static final int ERRORS_FOUND = 1;
  static final int UNUSABLE = 2;
  static final int FAULT = 3;

  public static void main(String[] args) {
    System.exit(
        run(
            args,
            new PrintWriter(System.out, true, StandardCharsets.UTF_8),
            new PrintWriter(System.err, true, StandardCharsets.UTF_8)));
  }

  /** Runs one command; for tests too. */
  static int run(String[] args, PrintWriter out, PrintWriter err) {
    Locale.setDefault(Locale.ROOT);
    CommandLine line = new CommandLine(new Main());
    line.getSubcommands().forEach(FormatHelp::tell);
    line.setOut(out);
    line.setErr(err);
    line.setParameterExceptionHandler(
        (e, a) -> {
          err.println(WrongCall.sentence(e, a));
          return UNUSABLE;
        });
    line.setExecutionExceptionHandler((e, commandLine, parsed) -> refused(e, err));
    int code;
    try {
      code = line.execute(args);
    } catch (OutOfMemoryError e) {
      err.println(
          "There is not enough memory for this ("
              + Runtime.getRuntime().maxMemory() / 1_000_000
              + " MB). Give more with WELLSPAN_JAVA_OPTS=-Xmx8g.");
      code = UNUSABLE;
    }
    out.flush();
    err.flush();
    return code;
  }

  /** Says why a command came to nothing; its exit code. */
  static int refused(Exception e, PrintWriter err) {
    if (e instanceof IOException
        || e instanceof IllegalArgumentException
        || e instanceof wellspan.exchange.ifc.write.SchemaViolation) {
      err.println(sentence(e));
      return UNUSABLE;
    }
    System.getLogger("wellspan").log(System.Logger.Level.DEBUG, "command failed", e);
    err.println(
        "This did not work, and the fault is Wellspan's ("
            + e
            + "). Nothing was changed. Tell us the command and, if you may, the file.");
    return FAULT;
  }

  /** What is wrong, for the one who called. */
  static String sentence(Exception e) {
    return switch (e) {
      case java.nio.file.NoSuchFileException f -> f.getFile() + ": there is no such file.";
      case java.nio.file.AccessDeniedException f ->
          f.getFile() + ": it may not be read or written. Check its permissions.";
      case java.nio.file.FileSystemException f ->
          f.getFile() + ": " + (f.getReason() == null ? "it cannot be used." : f.getReason() + ".");
      default -> e.getMessage();
    };
  }

  @Override
  public void run() {
    CommandLine.usage(this, System.out);
  }
}
