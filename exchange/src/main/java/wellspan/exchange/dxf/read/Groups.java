package wellspan.exchange.dxf.read;

import java.io.IOException;
import wellspan.exchange.file.ReadException;

/** A drawing as a run of groups: a code that says what the value is, and the value. */
sealed interface Groups extends AutoCloseable permits TextGroups, BinaryGroups {
  /**
   * Moves on to the next group.
   *
   * @return false at the end of the file
   */
  boolean next() throws IOException;

  int code();

  /** The value as text, without white space around it; escapes are kept as they are. */
  String text() throws IOException;

  /**
   * @throws ReadException if the value is no finite number
   */
  double number() throws IOException;

  /**
   * @throws ReadException if the value is no whole number
   */
  int whole() throws IOException;

  /** How much of the file has been read, 0 to 1. */
  double fraction();

  /** A fault at the group just read, with its place in the file. */
  ReadException fault(String what);

  /** The encoding of texts from here on, if the file is one of those that do not use UTF-8. */
  void textsAre(java.nio.charset.Charset charset);

  @Override
  void close() throws IOException;
}
