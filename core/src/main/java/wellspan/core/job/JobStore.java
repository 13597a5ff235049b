package wellspan.core.job;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import wellspan.core.progress.Progress;
import wellspan.core.receipt.PastRun;
import wellspan.core.receive.FileStem;

/**
 * A job's folder: {@code job.json}, {@code sources/}, {@code receipts/}, {@code out/}, {@code
 * cache/} and the journal of unsaved edits.
 */
public final class JobStore {
  private final Path folder;

  public JobStore(Path folder) {
    this.folder = folder.toAbsolutePath().normalize();
  }

  public Path folder() {
    return folder;
  }

  public Path jobFile() {
    return folder.resolve("job.json");
  }

  public Path receipts() {
    return folder.resolve("receipts");
  }

  public Path out() {
    return folder.resolve("out");
  }

  public Journal journal() {
    return new Journal(folder.resolve("job.journal"));
  }

  /** Makes the folder and its first {@code job.json}. */
  public void create(Job job) throws IOException {
    if (Files.exists(jobFile())) {
      throw new JobException(folder + " already holds a job. Open it, or choose another folder.");
    }
    try {
      Files.createDirectories(folder.resolve("sources"));
    } catch (FileAlreadyExistsException e) {
      throw new JobException(folder + " is a file. Choose a folder for the job.", e);
    }
    save(job);
  }

  /**
   * Reads the saved state, without unsaved edits.
   *
   * @throws JobException with a sentence, if there is no job, or it is damaged or newer
   */
  public Job open() throws IOException {
    String text;
    try {
      text = Files.readString(jobFile());
    } catch (NoSuchFileException e) {
      throw new JobException(folder + " is not a job: there is no job.json in it.", e);
    } catch (java.nio.charset.MalformedInputException e) {
      throw new JobException(
          jobFile() + ": the job file is damaged (not text). Restore an earlier copy of it.", e);
    }
    return JobJson.read(text, jobFile().toString());
  }

  /** Unsaved edits of a process that ended without saving, if they continue the saved state. */
  public java.util.Optional<Journal.Recovered> recoverable() throws IOException {
    return journal().recover(savedState());
  }

  /** Saves atomically; the journal starts anew. */
  public void save(Job job) throws IOException {
    Files.createDirectories(folder);
    AtomicFile.write(jobFile(), JobJson.write(job));
    journal().discard();
  }

  /** Notes an edit in the journal, so that it survives a crash. */
  public void note(String what, Job job) throws IOException {
    journal().append(savedState(), what, job);
  }

  private String savedState() throws IOException {
    return Files.exists(jobFile()) ? Sha256.of(jobFile()) : "";
  }

  public Path stored(Revision revision) {
    return folder.resolve(revision.storedAs());
  }

  /** Whether the stored file still is what was received. */
  public boolean isIntact(Revision revision, Progress progress) throws IOException {
    Path file = stored(revision);
    return Files.isRegularFile(file) && Sha256.of(file, progress).equals(revision.sha256());
  }

  /**
   * Copies a received file into the job, byte for byte, and names the revision. The file is stored
   * under its digest, so that two files of one name never meet. Nothing in the job is changed yet.
   *
   * @param beside other files that were read with it, relative to it; they are copied too, as are
   *     those that belong to it by their names
   */
  public Revision keep(
      Path received, List<String> beside, String label, Clock clock, Progress progress)
      throws IOException {
    String sha = Sha256.of(received, progress);
    String name = received.getFileName().toString();
    String stored = "sources/" + sha.substring(0, 12) + "/" + name;
    Path target = folder.resolve(stored);
    if (!Files.exists(target)) {
      Files.createDirectories(target.getParent());
      copy(received, target);
    }
    for (Path companion : Companions.of(received)) {
      copy(companion, target.resolveSibling(companion.getFileName()));
    }
    for (String other : beside) {
      Path to = target.resolveSibling(other);
      Files.createDirectories(to.getParent());
      copy(received.resolveSibling(other), to);
    }
    return new Revision(label, name, stored, sha, Files.size(target), clock.instant());
  }

  private static void copy(Path from, Path to) throws IOException {
    Path fresh = to.resolveSibling(to.getFileName() + ".new");
    Files.copy(from, fresh, StandardCopyOption.REPLACE_EXISTING);
    AtomicFile.move(fresh, to);
  }

  /** The label after a given number of revisions: Rev A, Rev B … Rev Z, Rev AA … */
  public static String labelAfter(int revisions) {
    StringBuilder s = new StringBuilder();
    for (int n = revisions + 1; n > 0; n = (n - 1) / 26) {
      s.insert(0, (char) ('A' + (n - 1) % 26));
    }
    return "Rev " + s;
  }

  /**
   * The source a file name stands for: without its ending and without a trailing mark of a
   * revision.
   */
  public static String sourceName(String fileName) {
    return FileStem.of(fileName).toLowerCase(Locale.ROOT);
  }

  /**
   * The latest run of each delivery as the job's receipts tell it, by the delivery's name. Receipts
   * that cannot be read are passed over: they are records for people first.
   */
  public Map<String, PastRun> pastRuns() throws IOException {
    Map<String, PastRun> out = new TreeMap<>();
    if (!Files.isDirectory(receipts())) {
      return out;
    }
    try (Stream<Path> files = Files.list(receipts())) {
      for (Path f : files.filter(p -> p.toString().endsWith(".json")).sorted().toList()) {
        PastRun.read(Files.readString(f))
            .ifPresent(
                r ->
                    out.merge(
                        r.delivery(), r, (old, now) -> now.at().isBefore(old.at()) ? old : now));
      }
    }
    return out;
  }
}
