package wellspan.app;

import java.util.Arrays;
import java.util.Locale;
import javafx.application.Application;

/**
 * Starts the window. It does not extend {@link Application}: then JavaFX may lie on the class path.
 */
public final class Main {
  private Main() {}

  public static void main(String[] args) {
    Locale.setDefault(Locale.ROOT);
    if (args.length > 2
        || args.length > 0 && !Arrays.asList("demo", "open").contains(args[0])
        || args.length == 2 && args[0].equals("demo")) {
      System.err.println("Call it as: wellspan demo, or wellspan open [JOB]");
      System.exit(2);
    }
    System.setProperty("java.awt.headless", "true"); // pieces of the plan are painted off screen
    Application.launch(WellspanApp.class, args);
  }
}
