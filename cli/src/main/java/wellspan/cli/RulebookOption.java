package wellspan.cli;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import picocli.CommandLine.Option;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookJson;

/** {@code --rulebook FILE}: what every item is called and what it says. */
final class RulebookOption {
  @Option(
      names = "--rulebook",
      paramLabel = "FILE",
      description = "class rules, property rules and classification of a client")
  private Path file;

  boolean isGiven() {
    return file != null;
  }

  /**
   * The rulebook; {@link Rulebook#NONE} if none is named.
   *
   * @throws IllegalArgumentException with file, line and what is wrong
   */
  Rulebook book() throws IOException {
    return file == null ? Rulebook.NONE : read(file);
  }

  static Rulebook read(Path file) throws IOException {
    try {
      return RulebookJson.read(Files.readString(file));
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException(file + ": " + e.getMessage() + ".", e);
    } catch (NoSuchFileException e) {
      throw new IOException(file + ": there is no such file.", e);
    } catch (CharacterCodingException e) {
      throw new IOException(file + ": this is no text in UTF-8.", e);
    }
  }
}
