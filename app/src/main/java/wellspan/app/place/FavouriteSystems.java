package wellspan.app.place;

import java.util.Set;
import java.util.TreeSet;
import java.util.prefs.Preferences;

/** Systems that the user marked; they stay over jobs, in the user's own preferences. */
final class FavouriteSystems {
  private static final String KEY = "favourite-systems";

  private FavouriteSystems() {}

  private static Preferences store() {
    return Preferences.userRoot().node("wellspan");
  }

  static Set<String> all() {
    Set<String> out = new TreeSet<>();
    for (String s : store().get(KEY, "").split(" ", -1)) {
      if (!s.isBlank()) {
        out.add(s);
      }
    }
    return out;
  }

  /** Marks a system, or takes the mark away; true if it is marked now. */
  static boolean toggle(String id) {
    Set<String> all = all();
    boolean marked = !all.remove(id) && all.add(id);
    store().put(KEY, String.join(" ", all));
    return marked;
  }
}
