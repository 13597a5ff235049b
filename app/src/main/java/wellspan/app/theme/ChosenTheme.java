package wellspan.app.theme;

import java.util.prefs.BackingStoreException;
import java.util.prefs.Preferences;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * The theme of every window, as it was chosen last; kept in the user's preferences for later
 * starts. Window's thread; the first look may be taken by any.
 */
public final class ChosenTheme {
  private static final String KEY = "theme";

  private static final ReadOnlyObjectWrapper<Theme> CHOSEN =
      new ReadOnlyObjectWrapper<>(remembered());

  private ChosenTheme() {}

  private static Preferences store() {
    return Preferences.userRoot().node("wellspan");
  }

  private static Theme remembered() {
    String name = store().get(KEY, Theme.LIGHT.name());
    return Stream.of(Theme.values())
        .filter(t -> t.name().equals(name))
        .findFirst()
        .orElse(Theme.LIGHT);
  }

  public static Theme get() {
    return CHOSEN.get();
  }

  public static ReadOnlyObjectProperty<Theme> property() {
    return CHOSEN.getReadOnlyProperty();
  }

  /** Dresses every window in it, now and later. */
  public static void choose(Theme t) {
    CHOSEN.set(t);
    store().put(KEY, t.name());
    try {
      store().flush();
    } catch (BackingStoreException e) {
      System.err.println("The theme could not be kept for the next start: " + e.getMessage());
    }
  }
}
