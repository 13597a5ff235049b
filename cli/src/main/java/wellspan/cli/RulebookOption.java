package wellspan.cli;

import java.io.IOException;
import java.nio.file.Path;
import picocli.CommandLine.Option;
import wellspan.core.rulebook.Rulebook;
import wellspan.exchange.rulebook.RulebookFile;

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
   * @throws IOException with file, line and what is wrong
   */
  Rulebook book() throws IOException {
    return file == null ? Rulebook.NONE : RulebookFile.read(file);
  }
}
