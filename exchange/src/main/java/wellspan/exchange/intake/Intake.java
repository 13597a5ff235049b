package wellspan.exchange.intake;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.place.Placer;
import wellspan.core.progress.Progress;
import wellspan.core.receive.LayerChoice;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.receive.WithinReach;
import wellspan.exchange.file.ReadException;

/** Opens a received file, whatever its name says: the format is found in its first bytes. */
public final class Intake {
  private Intake() {}

  /**
   * @throws ReadException with a sentence that names the file and what to do
   * @throws java.util.concurrent.CancellationException if the progress was cancelled
   */
  public static Received read(Path file, Progress progress) throws IOException {
    return read(file, ReadingRule.AS_FOUND, progress);
  }

  /**
   * The same, by a rule where the format can be read in more than one way.
   *
   * @throws ReadException with a sentence that names the file and what to do
   * @throws java.util.concurrent.CancellationException if the progress was cancelled
   */
  public static Received read(Path file, ReadingRule rule, Progress progress) throws IOException {
    Received all = WithinReach.of(inMetres(readAll(file, rule, progress)));
    return rule instanceof ReadingRule.Layers l ? LayerChoice.of(all, l) : all;
  }

  /** Formats that give numbers in the unit of their system name no unit of their own. */
  private static Received inMetres(Received r) {
    return r.unit().isEmpty()
        ? CrsCatalogue.shipped()
            .find(r.crs())
            .map(system -> Placer.planInMetres(r, system))
            .orElse(r)
        : r;
  }

  private static Received readAll(Path file, ReadingRule rule, Progress progress)
      throws IOException {
    try {
      Head head = head(file);
      ReadFormat format =
          format(head, rule)
              .orElseThrow(
                  () ->
                      new ReadException(
                          file,
                          head.text().isBlank()
                              ? "the file is empty. Ask for it again."
                              : "the format is not known. " + allTitles() + " can be received."));
      if (!format.utf16() && head.isUtf16()) {
        throw new ReadException(
            file, "it is text in UTF-16, which this format is not read in. Save it as UTF-8.");
      }
      return format.reads().read(file, rule, progress);
    } catch (NoSuchFileException e) {
      throw new ReadException(file, "there is no such file.", e);
    } catch (AccessDeniedException e) {
      throw new ReadException(file, "the file may not be read. Check its permissions.", e);
    } catch (CancellationException e) {
      throw e;
    } catch (RuntimeException e) { // whatever a file holds, its reader answers
      System.getLogger("wellspan").log(System.Logger.Level.ERROR, "reading failed", e);
      throw new ReadException(
          file,
          "it cannot be read, and the fault is Wellspan's (" + e.getClass().getSimpleName() + ").",
          e);
    } catch (IOException e) {
      throw named(file, e);
    }
  }

  /** Readers name their file; libraries and streams do not. */
  private static IOException named(Path file, IOException e) {
    String name = String.valueOf(file.getFileName());
    return e instanceof ReadException || e.getMessage() != null && e.getMessage().contains(name)
        ? e
        : new ReadException(file, "the file is damaged or ends too early. Ask for it again.", e);
  }

  /** The formats that are read, each once, by the alphabet. */
  public static List<String> titles() {
    return ReadFormat.ALL.stream().map(ReadFormat::title).distinct().sorted().toList();
  }

  /** Endings of names that files of these formats usually have, with their dot. */
  public static List<String> endings() {
    return ReadFormat.ALL.stream().flatMap(f -> f.endings().stream()).distinct().sorted().toList();
  }

  private static String allTitles() {
    List<String> all = titles();
    return String.join(", ", all.subList(0, all.size() - 1)) + " and " + all.getLast();
  }

  /** Whether a file is read as a list of points, whose columns people can choose. */
  public static boolean isPointList(Path file) throws IOException {
    return format(head(file), ReadingRule.AS_FOUND)
        .filter(f -> f.title().equals(ReadFormat.POINT_LIST))
        .isPresent();
  }

  private static Head head(Path file) throws IOException {
    if (Files.isDirectory(file)) {
      throw new ReadException(file, "this is a folder, not a file.");
    }
    return Head.of(file);
  }

  private static Optional<ReadFormat> format(Head head, ReadingRule rule) throws IOException {
    boolean list = rule instanceof ReadingRule.Columns; // somebody said which columns it has
    for (ReadFormat f : ReadFormat.ALL) {
      boolean known =
          f.title().equals(ReadFormat.POINT_LIST)
              ? !head.text().isBlank() && (list || f.knows().test(head))
              : f.knows().test(head);
      if (known) {
        return Optional.of(f);
      }
    }
    return Optional.empty();
  }
}
