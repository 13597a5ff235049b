package wellspan.app;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;

/**
 * Starts the window. It does not extend {@link Application}: then JavaFX may lie on the class path.
 */
public final class Main {
  /** Loggers that report at every start what nobody can change. */
  private static final List<Logger> QUIET =
      List.of(Logger.getLogger("javafx"), Logger.getLogger("java.util.prefs"));

  private Main() {}

  public static void main(String[] args) {
    Locale.setDefault(Locale.ROOT);
    if (args.length > 2
        || args.length > 0 && !Arrays.asList("demo", "open").contains(args[0])
        || args.length == 2 && args[0].equals("demo")) {
      System.err.println("Call it as: wellspan demo, or wellspan open [JOB]");
      System.exit(2);
    }
    QUIET.forEach(l -> l.setLevel(Level.SEVERE));
    Drawing.choose();
    WarmUp.begin(args.length == 2 ? Optional.of(args[1]) : Optional.empty());
    Application.launch(WellspanApp.class, args);
  }
}
