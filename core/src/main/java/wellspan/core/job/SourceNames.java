package wellspan.core.job;

import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Which source of a job a received file belongs to. */
public final class SourceNames {
  /** Stands for the source of what was made in the job. */
  public static final String JOB = "job";

  /** Endings under which one and the same thing is sent. */
  private static final List<Set<String>> ALIKE =
      List.of(
          Set.of("csv", "txt", "xyz", "pts", "dat"),
          Set.of("las", "laz"),
          Set.of("kml", "kmz"),
          Set.of("gltf", "glb"),
          Set.of("json", "geojson"),
          Set.of("xml", "landxml"),
          Set.of("png", "jpg", "jpeg"),
          Set.of("tif", "tiff"));

  private SourceNames() {}

  /**
   * The name of the source whose next revision a file is, or that it begins. Files whose names
   * differ by a mark of their revision only are one source, but not if they are of different kinds:
   * a grid and the picture of the same ground go by one name and are two things.
   */
  public static String of(Job job, String fileName) {
    String stem = JobStore.sourceName(fileName);
    // what is made in the job goes by this name
    String name = stem.equals(JOB) ? stem + "-" + ending(fileName) : stem;
    boolean other =
        job.source(name).filter(s -> !alike(s.current().fileName(), fileName)).isPresent();
    return other ? name + "-" + ending(fileName) : name;
  }

  private static boolean alike(String a, String b) {
    String one = ending(a), two = ending(b);
    return one.equals(two) || ALIKE.stream().anyMatch(s -> s.contains(one) && s.contains(two));
  }

  private static String ending(String fileName) {
    return fileName.substring(fileName.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
  }
}
