package wellspan.core.typical;

import wellspan.core.choice.Choice;

/** How paved shoulders fall where the lanes beside them are superelevated. */
public enum ShoulderRule implements Choice {
  OWN("own fall"),
  LANE("fall of the lane"),
  LIMITED("own within break");

  private final String word;

  ShoulderRule(String word) {
    this.word = word;
  }

  @Override
  public String word() {
    return word;
  }

  /**
   * The fall of a shoulder, per cent to the outside.
   *
   * @param own of the typical section
   * @param lane of the lane beside it
   * @param most largest difference between both
   */
  double fall(double own, double lane, double most) {
    return switch (this) {
      case OWN -> own;
      case LANE -> lane;
      case LIMITED -> Math.clamp(own, lane - most, lane + most);
    };
  }
}
