package wellspan.core.finding;

/** How much a finding weighs, lightest first. */
public enum Severity {
  NOTE,
  WARNING,
  ERROR;

  /** The word as it stands in messages and files, in lower case. */
  public String word() {
    return name().toLowerCase(java.util.Locale.ROOT);
  }
}
