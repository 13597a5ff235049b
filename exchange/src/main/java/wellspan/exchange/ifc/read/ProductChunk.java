package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import wellspan.core.progress.Progress;

/**
 * Products of a file that were read together, in its order.
 *
 * @param reader that read them
 * @param read what they became; fewer than there are where the text of the file is broken
 * @param fault where it is
 */
record ProductChunk(
    ProductReader reader, List<ReadProduct> read, Optional<StepSyntaxException> fault) {
  /** Fewer products than this are not worth a thread. */
  private static final int LEAST = 64;

  /** Chunks for each thread, so that one who is done early finds more. */
  private static final int FOR_EACH = 4;

  /**
   * Reads products on all cores; pictures over surfaces are looked up by one. Of alignments no more
   * is read than what they are.
   *
   * @param ids their numbers
   * @return chunks in the order of the file
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  static List<ProductChunk> of(int[] ids, ModelTables tables, Progress progress) {
    int parts =
        tables.textures().isEmpty() ? FOR_EACH * Runtime.getRuntime().availableProcessors() : 1;
    int size = Math.max(LEAST, (ids.length + parts - 1) / parts);
    List<int[]> chunks = new ArrayList<>();
    for (int from = 0; from < ids.length; from += size) {
      chunks.add(Arrays.copyOfRange(ids, from, Math.min(ids.length, from + size)));
    }
    AtomicInteger done = new AtomicInteger();
    Consumer<Instance> each =
        p ->
            progress.advance(
                (double) done.getAndIncrement() / ids.length, "Reading " + p.entity().name());
    return chunks.parallelStream().map(c -> read(c, tables, each)).toList();
  }

  private static ProductChunk read(int[] ids, ModelTables tables, Consumer<Instance> progress) {
    ProductReader reader = ProductReader.beside(tables);
    List<ReadProduct> read = new ArrayList<>(ids.length);
    try {
      for (int id : ids) {
        Instance p = tables.model().find(id).orElseThrow();
        progress.accept(p);
        read.add(
            p.isA("IFCALIGNMENT")
                ? new ReadProduct(p, false, Optional.empty(), List.of(), List.of())
                : reader.read(p));
      }
      return new ProductChunk(reader, read, Optional.empty());
    } catch (StepSyntaxException e) {
      return new ProductChunk(reader, read, Optional.of(e));
    }
  }
}
