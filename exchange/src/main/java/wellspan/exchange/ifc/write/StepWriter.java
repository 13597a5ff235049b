package wellspan.exchange.ifc.write;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.progress.Progress;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;

/**
 * Writes ISO 10303-21 text, one record after the other, each checked against the schema first.
 * Records become text on a thread of their own, some thousands at a time, while the next ones are
 * made; a few such batches are in memory. For one thread.
 */
final class StepWriter implements AutoCloseable {
  /** Records that become text in one go: enough to be worth handing over. */
  private static final int BATCH = 4096;

  private static final int MOST_WAITING = 4;

  private final Schema schema;
  private final SchemaGuard guard;
  private final StepPrinter printer;
  private final Deque<Future<?>> waiting = new ArrayDeque<>();
  private List<Checked> batch = new ArrayList<>();
  private ExecutorService thread;
  private int lastId;
  private String subject = "";
  private StepValue owner = StepValue.UNSET;

  /**
   * A record that the schema allows.
   *
   * @param subject name of the item that it is about, empty if there is none
   */
  record Checked(int id, Entity entity, StepValue[] values, String subject) {}

  StepWriter(OutputStream out, Schema schema, Progress progress) {
    this.schema = schema;
    this.guard = new SchemaGuard(schema);
    this.printer = new StepPrinter(out, schema, progress);
  }

  void header(
      String fileSchema,
      String description,
      String fileName,
      String timeStamp,
      ProjectInfo info,
      String application)
      throws IOException {
    printer.ascii("ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((");
    printer.string(description);
    printer.ascii("),'2;1');\nFILE_NAME(");
    printer.string(fileName);
    printer.ascii(",");
    printer.string(timeStamp);
    printer.ascii(",(");
    printer.string(info.author());
    printer.ascii("),(");
    printer.string(info.organisation());
    printer.ascii("),");
    printer.string(application);
    printer.ascii(",");
    printer.string(application);
    printer.ascii(",");
    printer.string(info.authorisation());
    printer.ascii(");\nFILE_SCHEMA((");
    printer.string(fileSchema);
    printer.ascii("));\nENDSEC;\nDATA;\n");
  }

  void end() throws IOException {
    drain();
    printer.ascii("ENDSEC;\nEND-ISO-10303-21;\n");
    printer.flush();
  }

  /** Ends the work that is under way, if the writing failed or was cancelled. */
  @Override
  public void close() {
    if (thread != null) {
      thread.shutdownNow();
      thread.close();
    }
  }

  /** The item that what comes next is about, for what is said if it cannot be written. */
  void about(String item) {
    subject = item;
  }

  /** Number of attributes that the schema gives an entity. */
  int attributeCount(String entity) {
    return guard.entity(entity).attributes().size();
  }

  /** The owner history that rooted objects refer to from now on, where the schema demands one. */
  void ownedBy(int history) {
    owner = StepValue.ref(history);
  }

  StepValue owner() {
    return owner;
  }

  /** Writes a rooted object: its GlobalId, the owner history, and the rest. */
  int root(String entity, String globalId, StepValue... rest) throws IOException {
    StepValue[] values = new StepValue[rest.length + 2];
    values[0] = StepValue.text(globalId);
    values[1] = owner;
    System.arraycopy(rest, 0, values, 2, rest.length);
    return add(entity, values);
  }

  /**
   * Checks one record and has it written.
   *
   * @return its number
   * @throws SchemaViolation if the schema does not allow it; nothing of the record is written then.
   *     That a row of a short table cannot be written is said later, of the item that it is about
   */
  int add(String entity, StepValue... values) throws IOException {
    Entity e = guard.entity(entity);
    guard.check(e, values);
    int id = ++lastId;
    guard.written(id, e);
    batch.add(new Checked(id, e, values, subject));
    if (holdsLongTable(values)) {
      drain(); // its rows take all cores
    } else if (batch.size() == BATCH) {
      handOver();
    }
    return id;
  }

  private static boolean holdsLongTable(StepValue[] values) {
    for (StepValue v : values) {
      if (v instanceof StepValue.Points p && StepPrinter.isLong(p.rows())
          || v instanceof StepValue.Triples t && StepPrinter.isLong(t.zeroBased().length / 3)) {
        return true;
      }
    }
    return false;
  }

  private void handOver() throws IOException {
    if (thread == null) {
      thread = Executors.newSingleThreadExecutor(Thread.ofPlatform().name("step-text").factory());
    }
    while (waiting.size() >= MOST_WAITING) {
      await(waiting.remove());
    }
    List<Checked> full = batch;
    batch = new ArrayList<>(BATCH);
    waiting.add(
        thread.submit(
            () -> {
              print(full);
              return null;
            }));
  }

  /** Has everything become text that was added. */
  private void drain() throws IOException {
    while (!waiting.isEmpty()) {
      await(waiting.remove());
    }
    List<Checked> rest = batch;
    batch = new ArrayList<>();
    print(rest);
  }

  private void print(List<Checked> records) throws IOException {
    for (Checked r : records) {
      try {
        printer.record(r);
      } catch (SchemaViolation e) {
        throw e.of(r.subject());
      }
    }
  }

  private static void await(Future<?> batch) throws IOException {
    try {
      batch.get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("The writing was interrupted.", e);
    } catch (ExecutionException e) {
      switch (e.getCause()) {
        case IOException io -> throw io;
        case RuntimeException r -> throw r;
        case Error error -> throw error;
        default -> throw new IllegalStateException(e.getCause());
      }
    }
  }
}
