package wellspan.exchange.bcf.write;

import java.util.Arrays;

/** Versions of BCF that can be written. */
public enum BcfVersion {
  V3_0("3.0"),
  V2_1("2.1");

  private final String id;

  BcfVersion(String id) {
    this.id = id;
  }

  public String id() {
    return id;
  }

  /**
   * @throws IllegalArgumentException with a sentence, if there is none
   */
  public static BcfVersion named(String id) {
    return Arrays.stream(values())
        .filter(v -> v.id.equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException("BCF " + id + " cannot be written; 3.0 and 2.1 can."));
  }
}
