package wellspan.core.job;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import wellspan.core.folder.Inside;
import wellspan.core.progress.Progress;
import wellspan.core.receipt.PastRun;
import wellspan.core.receive.FileStem;

/**
 * A job's folder: {@code job.json}, {@code sources/}, {@code receipts/}, {@code out/}, {@code
 * cache/} and the journal of unsaved edits.
 */
public final class JobStore {
  private final Path folder;

  /** Digest of the file that was opened or saved last; empty before. */
  private Optional<String> state = Optional.empty();

  private List<String> notUnderstood = List.of();

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
   * Reads the saved state, without unsaved edits. A file that is not understood whole opens with
   * what is, for looking only: {@link #notUnderstood} says what is not.
   *
   * @throws JobException with a sentence, if there is no job, or it is damaged
   */
  public Job open() throws IOException {
    byte[] bytes;
    String text;
    try {
      bytes = Files.readAllBytes(jobFile());
      text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    } catch (NoSuchFileException e) {
      throw new JobException(folder + " is not a job: there is no job.json in it.", e);
    } catch (CharacterCodingException e) {
      throw new JobException(
          jobFile() + ": the job file is damaged (not text). Restore an earlier copy of it.", e);
    }
    JobReading.Opened opened = JobReading.read(text, jobFile().toString());
    state = Optional.of(Sha256.of(bytes));
    notUnderstood = opened.notUnderstood();
    return opened.job();
  }

  /**
   * The same for all that makes something of a job: what is left out of it would be missing without
   * a word.
   *
   * @throws JobException besides, if the file holds what is not understood, naming it
   */
  public Job openWhole() throws IOException {
    Job job = open();
    if (!notUnderstood.isEmpty()) {
      throw new JobException(
          jobFile()
              + " holds what this Wellspan does not understand: "
              + String.join("; ", notUnderstood)
              + ". What is made without it would not be what the job says. Update Wellspan, or mend the file; the window shows what can be read.");
    }
    return job;
  }

  /**
   * What the opened file holds that is not in the job; while there is any, nothing is saved and
   * nothing delivered.
   */
  public List<String> notUnderstood() {
    return notUnderstood;
  }

  /** Unsaved edits of a process that ended without saving, if they continue the saved state. */
  public Optional<Journal.Recovered> recoverable() throws IOException {
    return journal().recover(savedState());
  }

  /**
   * Saves atomically; the journal starts anew.
   *
   * @throws JobException if the file holds what was not understood, or was changed since it was
   *     opened; it stays as it is
   */
  public void save(Job job) throws IOException {
    Files.createDirectories(folder);
    if (!notUnderstood.isEmpty()) {
      throw new JobException(
          jobFile()
              + " holds what this Wellspan does not understand, and is not saved over: "
              + String.join("; ", notUnderstood)
              + ". It can be looked at. Change it with the program that saved it, or mend the file.");
    }
    if (state.isPresent() && !state.get().equals(fileState())) {
      throw new JobException(
          jobFile()
              + " was changed by somebody else since it was opened, and is not saved over. Open it again and repeat the change.");
    }
    String text = JobJson.write(job);
    AtomicFile.write(jobFile(), text);
    state = Optional.of(Sha256.of(text.getBytes(StandardCharsets.UTF_8)));
    journal().discard();
  }

  /** Notes an edit in the journal, so that it survives a crash. */
  public void note(String what, Job job) throws IOException {
    journal().append(savedState(), what, job);
  }

  private String savedState() throws IOException {
    return state.isPresent() ? state.get() : fileState();
  }

  private String fileState() throws IOException {
    return Files.exists(jobFile()) ? Sha256.of(jobFile()) : "";
  }

  /**
   * Where the file of a revision lies.
   *
   * @throws JobException if the job file says that it lies outside of the job's folder
   */
  public Path stored(Revision revision) throws IOException {
    return Inside.of(folder, revision.storedAs())
        .orElseThrow(
            () ->
                new JobException(
                    jobFile()
                        + " says that "
                        + revision.fileName()
                        + " is stored at \""
                        + revision.storedAs()
                        + "\", which is not inside the job's folder. It is not opened."));
  }

  /** Whether the stored files still are what was received. */
  public boolean isIntact(Revision revision, Progress progress) throws IOException {
    Path file = stored(revision);
    if (!isFile(file, revision.sha256(), progress)) {
      return false;
    }
    for (Map.Entry<String, String> e : revision.beside().entrySet()) {
      Optional<Path> other = Inside.of(file.getParent(), e.getKey());
      if (other.isEmpty() || !isFile(other.get(), e.getValue(), Progress.NONE)) {
        return false;
      }
    }
    return true;
  }

  private static boolean isFile(Path file, String sha256, Progress progress) throws IOException {
    return Files.isRegularFile(file) && Sha256.of(file, progress).equals(sha256);
  }

  /**
   * Copies a received file into the job, byte for byte, and names the revision. The files are
   * stored under their digest, so that two of one name never meet and what is stored is never
   * written again. Nothing in the job is changed yet.
   *
   * @param beside other files that were read with it, relative to it; they are copied too, as are
   *     those that belong to it by their names
   * @throws JobException if one of them lies outside of the folder of the file
   */
  public Revision keep(
      Path received, List<String> beside, String label, Clock clock, Progress progress)
      throws IOException {
    String sha = Sha256.of(received, progress);
    String name = received.getFileName().toString();
    Path from = received.toAbsolutePath().getParent();
    Map<String, Path> others = new TreeMap<>();
    for (Path companion : Companions.of(received)) {
      others.put(companion.getFileName().toString(), companion);
    }
    for (String other : beside) {
      Path file =
          Inside.of(from, other)
              .orElseThrow(
                  () ->
                      new JobException(
                          received
                              + " refers to \""
                              + other
                              + "\", which is not in its folder. Put the file beside it."));
      others.put(from.relativize(file).toString().replace('\\', '/'), file);
    }
    Map<String, String> digests = new TreeMap<>();
    for (Map.Entry<String, Path> e : others.entrySet()) {
      digests.put(e.getKey(), Sha256.of(e.getValue()));
    }
    String all =
        digests.isEmpty() ? sha : Sha256.of((sha + digests).getBytes(StandardCharsets.UTF_8));
    String stored = "sources/" + all.substring(0, 12) + "/" + name;
    Path target = folder.resolve(stored);
    copy(received, target, sha);
    for (Map.Entry<String, Path> e : others.entrySet()) {
      copy(e.getValue(), target.resolveSibling(e.getKey()), digests.get(e.getKey()));
    }
    return new Revision(label, name, stored, sha, Files.size(target), clock.instant(), digests);
  }

  /** What is there already under its digest is left alone, unless somebody changed it. */
  private static void copy(Path from, Path to, String sha256) throws IOException {
    if (isFile(to, sha256, Progress.NONE)) {
      return;
    }
    Files.createDirectories(to.getParent());
    Path fresh = AtomicFile.fresh(to);
    try {
      Files.copy(from, fresh, StandardCopyOption.REPLACE_EXISTING);
      AtomicFile.move(fresh, to);
    } finally {
      Files.deleteIfExists(fresh);
    }
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
