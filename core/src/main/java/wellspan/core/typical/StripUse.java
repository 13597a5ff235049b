package wellspan.core.typical;

import wellspan.core.choice.Choice;

/** What a strip beside the axis is for. */
public enum StripUse implements Choice {
  LANE("lane", true),
  SHOULDER("paved shoulder", true),
  KERB("kerb", false),
  FOOTWAY("footway", false),
  CYCLE_TRACK("cycle track", false),
  VERGE("verge", false),
  DITCH("ditch", false),
  SLOPE("side slope", false);

  private final String word;
  private final boolean paved;

  StripUse(String word, boolean paved) {
    this.word = word;
    this.paved = paved;
  }

  @Override
  public String word() {
    return word;
  }

  /** Whether the courses lie under it. */
  public boolean paved() {
    return paved;
  }
}
