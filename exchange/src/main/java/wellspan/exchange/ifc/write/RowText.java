package wellspan.exchange.ifc.write;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import wellspan.core.progress.Progress;

/**
 * The text of a table of numbers, row after row. Blocks of rows become text on all cores at once
 * and are written in their order; only a few blocks are kept in memory.
 */
interface RowText {
  /** Room for the text of one row, with some to spare behind it. */
  int ROW_BYTES = 128;

  /** Rows that become text in one go: long enough to be worth a task, short enough for a cache. */
  int BLOCK = 4096;

  /**
   * Appends one row; called by several threads at once.
   *
   * @param to has room for {@link #ROW_BYTES} more bytes
   * @return where the text ends
   * @throws SchemaViolation if the row cannot be written
   */
  int append(int row, byte[] to, int at);

  /** Text of a block of rows. */
  record Block(byte[] text, int length) {}

  /**
   * Appends some rows with commas between them, and before them unless they are the first.
   *
   * @param text has room for {@link #ROW_BYTES} bytes for each row
   * @return where the text ends
   */
  default int append(int from, int to, byte[] text, int start) {
    int at = start;
    for (int i = from; i < to; i++) {
      if (i > 0) {
        text[at++] = ',';
      }
      at = append(i, text, at);
    }
    return at;
  }

  /** Writes all rows with commas between them. */
  default void write(int rows, OutputStream out, Progress progress, String sentence)
      throws IOException {
    if (rows <= BLOCK) { // not worth a thread
      byte[] text = new byte[ROW_BYTES * rows];
      out.write(text, 0, append(0, rows, text, 0));
      return;
    }
    int cores = Runtime.getRuntime().availableProcessors();
    Deque<CompletableFuture<Block>> running = new ArrayDeque<>();
    Deque<byte[]> free = new ArrayDeque<>();
    try (ExecutorService pool = Executors.newFixedThreadPool(cores)) {
      for (int next = 0; next < rows || !running.isEmpty(); ) {
        if (next < rows && running.size() < 2 * cores) {
          int from = next;
          int to = (int) Math.min(rows, (long) from + BLOCK);
          byte[] text = free.isEmpty() ? new byte[ROW_BYTES * BLOCK] : free.pop();
          running.add(
              CompletableFuture.supplyAsync(
                  () -> new Block(text, append(from, to, text, 0)), pool));
          next = to;
          continue;
        }
        progress.advance((double) next / rows, sentence);
        Block done = await(running.remove());
        out.write(done.text(), 0, done.length());
        free.push(done.text());
      }
    }
  }

  private static Block await(CompletableFuture<Block> block) {
    try {
      return block.join();
    } catch (CompletionException e) {
      if (e.getCause() instanceof SchemaViolation v) {
        throw v;
      }
      throw e;
    }
  }
}
