package wellspan.core.receive;

/** What a file is called apart from its ending and its revision. */
public final class FileStem {
  private FileStem() {}

  /**
   * The name without its ending and without a trailing mark of a revision, so that all revisions of
   * a file share it: {@code shore-survey} of {@code shore-survey_RevB.csv}.
   */
  public static String of(String fileName) {
    String base = withoutEnding(fileName);
    String plain = base.replaceFirst("(?i)[-_ ]*\\(?rev(ision)?[-_. ]*[a-z0-9]{1,3}\\)?$", "");
    return plain.isEmpty() ? base : plain;
  }

  /** The name without its ending. */
  public static String withoutEnding(String fileName) {
    int dot = fileName.lastIndexOf('.');
    return dot > 0 ? fileName.substring(0, dot) : fileName;
  }
}
