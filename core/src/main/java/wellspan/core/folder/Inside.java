package wellspan.core.folder;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.Optional;

/** Resolves paths that come from files. They stay inside a folder, links followed, or are none. */
public final class Inside {
  private Inside() {}

  /**
   * The place that a relative path names within a folder, whether there is a file or not.
   *
   * @param relative with slashes of either kind
   * @return empty if the path is absolute, leads out of the folder, is the folder itself, or passes
   *     through a link that leads out
   * @throws IOException if the folder cannot be looked at
   */
  public static Optional<Path> of(Path folder, String relative) throws IOException {
    Path top = folder.toAbsolutePath().normalize();
    Path named;
    try {
      Path own = Path.of(relative.replace('\\', '/'));
      boolean drive = relative.length() > 1 && relative.charAt(1) == ':';
      if (own.isAbsolute() || drive || relative.startsWith("/") || relative.startsWith("\\")) {
        return Optional.empty();
      }
      named = top.resolve(own).normalize();
    } catch (InvalidPathException e) {
      return Optional.empty();
    }
    return !named.equals(top) && named.startsWith(top) && staysInside(top, named)
        ? Optional.of(named)
        : Optional.empty();
  }

  /** Whether a place is inside a folder once all links on the way are followed. */
  private static boolean staysInside(Path top, Path named) throws IOException {
    if (!Files.exists(top)) {
      return true; // nothing is there yet that could lead out
    }
    Path real = top.toRealPath();
    Path existing = named;
    while (!Files.exists(existing, LinkOption.NOFOLLOW_LINKS)) {
      existing = existing.getParent();
    }
    try {
      return existing.toRealPath().startsWith(real);
    } catch (IOException e) {
      return false; // a link that leads nowhere
    }
  }

  /** Whether a text is the plain name of a file: no folders, no way up, nothing special. */
  public static boolean isFileName(String name) {
    if (name.isBlank()
        || name.equals(".")
        || name.equals("..")
        || name.contains("/")
        || name.contains("\\")
        || name.contains(":")
        || name.chars().anyMatch(c -> c < ' ')) {
      return false;
    }
    try {
      return Path.of(name).getNameCount() == 1;
    } catch (InvalidPathException e) {
      return false;
    }
  }
}
