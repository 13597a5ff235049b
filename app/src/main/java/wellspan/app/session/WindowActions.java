package wellspan.app.session;

/** What the window as a whole can be asked for. */
public interface WindowActions {
  void chooseFiles();

  /** Chooses a file that came back from a receiver, to compare it with what was sent. */
  void chooseReturned(String delivery);

  /** Shows the first screen in a window of its own: recent jobs, a new one. */
  void openAnotherJob();

  void toggleFindings();

  void toggleTheme();

  void showShortcuts();

  /** Opens the field that finds whatever can be done or gone to. */
  void showFind();

  /** Opens a file or folder with the system's own program. */
  void openOutside(java.nio.file.Path path);
}
