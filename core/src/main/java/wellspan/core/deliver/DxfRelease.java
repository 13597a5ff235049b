package wellspan.core.deliver;

/** The releases of the drawing exchange format that are written. */
public enum DxfRelease {
  R12("AC1009", "R12"),
  R2000("AC1015", "2000"),
  R2018("AC1032", "2018");

  private final String code;
  private final String title;

  DxfRelease(String code, String title) {
    this.code = code;
    this.title = title;
  }

  /** As it stands in the header under {@code $ACADVER}. */
  public String code() {
    return code;
  }

  public String title() {
    return title;
  }
}
