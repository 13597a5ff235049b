package wellspan.app.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import wellspan.core.crs.Crs;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;

/**
 * What is said of a job before it is open.
 *
 * @param place its system and what it holds
 * @param date when it was saved last
 */
record JobSummary(Path folder, String name, String place, String date) {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  /** Reads the job file; one that cannot be read says so in place of the place. */
  static JobSummary of(Path folder) {
    String title = String.valueOf(folder.getFileName());
    String saved;
    try {
      saved =
          LocalDate.ofInstant(
                  Files.getLastModifiedTime(folder.resolve("job.json")).toInstant(),
                  ZoneId.systemDefault())
              .format(DAY);
    } catch (IOException e) {
      saved = "";
    }
    try {
      Job job = new JobStore(folder).open();
      int sources = job.sources().size();
      return new JobSummary(
          folder,
          job.name(),
          job.frame().system().map(Crs::name).orElse("no system yet")
              + ", "
              + sources
              + (sources == 1 ? " source" : " sources"),
          saved);
    } catch (IOException e) {
      return new JobSummary(folder, title, "cannot be read", saved);
    }
  }
}
