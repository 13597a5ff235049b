package wellspan.exchange.grid.read;

import java.nio.file.Path;
import wellspan.exchange.file.ReadException;

/** Refuses grids that cannot be true or cannot be held, before memory is asked for. */
final class GridSize {
  /** Levels, vertices and two triangles for each node while they are being made. */
  private static final long BYTES_PER_NODE = 96;

  private GridSize() {}

  /**
   * @param most as many nodes as a file of this size can hold
   * @throws ReadException if there are more, or more than the memory holds
   */
  static void check(Path file, long columns, long rows, long most) throws ReadException {
    if (columns > most || rows > most || columns * rows > most) {
      throw new ReadException(
          file,
          columns
              + " × "
              + rows
              + " levels are declared, more than a file of this size can hold. It is damaged or was cut off; ask for it again.");
    }
    long needed = columns * rows * BYTES_PER_NODE;
    if (needed > Runtime.getRuntime().maxMemory() || columns * rows > Integer.MAX_VALUE / 6) {
      throw new ReadException(
          file,
          columns
              + " × "
              + rows
              + " levels need about "
              + (needed >> 30)
              + " GB of memory, more than there is. Ask for a part of it or a coarser grid.");
    }
  }
}
