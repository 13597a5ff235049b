package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.deliver.Delivery;
import wellspan.core.folder.Inside;
import wellspan.core.job.Job;
import wellspan.core.job.JobException;
import wellspan.core.job.JobStore;
import wellspan.core.receive.FileStem;

/** Where deliveries of a job may write: their own files in their own folder, and nowhere else. */
public final class DeliveredFile {
  private DeliveredFile() {}

  /**
   * Checks the name that the job file gives.
   *
   * @throws JobException if it is more than the name of a file, or another delivery writes it too
   */
  static void check(Job job, Delivery delivery) throws JobException {
    String file = delivery.fileName();
    if (!Inside.isFileName(file)) {
      throw new JobException(
          "The delivery "
              + delivery.name()
              + " names \""
              + file
              + "\" as its file. A delivery writes into its own folder only: give the plain name of a file, such as road.ifc.");
    }
    for (Delivery other : job.deliveries()) {
      if (other.name().equals(delivery.name())) {
        continue;
      }
      Set<String> both = files(job, delivery);
      both.retainAll(files(job, other));
      if (!both.isEmpty()) {
        throw new JobException(
            "The deliveries "
                + delivery.name()
                + " and "
                + other.name()
                + " would both write "
                + both.iterator().next()
                + ". Give one of them another file.");
      }
    }
  }

  /**
   * Checks the name of one of several files of a delivery.
   *
   * @throws JobException if another delivery writes it too
   */
  static void checkPart(Job job, Delivery delivery, String name) throws JobException {
    for (Delivery other : job.deliveries()) {
      if (!other.name().equals(delivery.name()) && other.fileName().equalsIgnoreCase(name)) {
        throw new JobException(
            "A part of the delivery "
                + delivery.name()
                + " would be written to "
                + name
                + ", the file of the delivery "
                + other.name()
                + ". Give one of them another file.");
      }
    }
  }

  /** Names of the files that a delivery leaves, without regard to case as some systems do. */
  private static Set<String> files(Job job, Delivery d) {
    Set<String> out = new TreeSet<>();
    String file = d.fileName().toLowerCase(Locale.ROOT);
    out.add(file);
    if (!d.format().saysPlace(job.frame())) {
      out.add(FileStem.withoutEnding(file) + ".position.json");
      out.add(FileStem.withoutEnding(file) + ".position.txt");
    }
    return out;
  }

  /**
   * A folder of the job for what is delivered.
   *
   * @throws JobException if a link leads out of the job's folder
   */
  public static Path folder(JobStore store, Path folder) throws IOException {
    String name = store.folder().relativize(folder).toString();
    return Inside.of(store.folder(), name)
        .orElseThrow(
            () ->
                new JobException(
                    folder
                        + " leads out of the job's folder. Replace the link by a folder, or give another one with --to."));
  }
}
