package wellspan.app.start;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.prefs.BackingStoreException;
import java.util.prefs.Preferences;

/**
 * Folders of jobs that were open on this machine, the last one first; in the user's preferences.
 */
final class RecentJobs {
  private static final String KEY = "recent-jobs";
  private static final int MOST = 12;

  private RecentJobs() {}

  private static Preferences store() {
    return Preferences.userRoot().node("wellspan");
  }

  /** Those that are still there. */
  static List<Path> all() {
    List<Path> out = new ArrayList<>();
    for (String line : store().get(KEY, "").split("\n", -1)) {
      if (!line.isBlank() && Files.isRegularFile(Path.of(line).resolve("job.json"))) {
        out.add(Path.of(line));
      }
    }
    return out;
  }

  static void opened(Path folder) {
    List<Path> now = all();
    now.remove(folder);
    now.addFirst(folder);
    keep(now);
  }

  /** Takes a job from the list; its folder stays as it is. */
  static void forget(Path folder) {
    List<Path> now = all();
    now.remove(folder);
    keep(now);
  }

  private static void keep(List<Path> folders) {
    StringBuilder s = new StringBuilder();
    for (Path p : folders.subList(0, Math.min(MOST, folders.size()))) {
      if (s.length() + p.toString().length() + 1 < Preferences.MAX_VALUE_LENGTH) {
        s.append(p).append('\n');
      }
    }
    store().put(KEY, s.toString());
    try {
      store().flush(); // other windows of other processes read it too
    } catch (BackingStoreException e) {
      System.err.println("The list of recent jobs could not be kept: " + e.getMessage());
    }
  }
}
