package wellspan.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Application;
import javafx.stage.Stage;
import wellspan.app.start.JobWindows;
import wellspan.app.theme.Theme;

/** The application: shows the job named in the call, or the first screen. */
public final class WellspanApp extends Application {
  private JobWindows windows;

  @Override
  public void start(Stage stage) {
    Theme.loadFonts();
    windows = new JobWindows(getHostServices(), stage);
    try {
      List<String> args = getParameters().getRaw();
      if (!args.isEmpty() && args.getFirst().equals("demo")) {
        windows.openDemo();
      } else if (args.size() > 1) {
        windows.openFirst(Path.of(args.get(1)));
      } else {
        windows.showStart();
      }
    } catch (IOException e) {
      System.err.println(e.getMessage());
      windows.complain(e.getMessage());
    }
  }

  @Override
  public void stop() throws IOException {
    windows.closeAll();
  }
}
