package wellspan.app.session;

/** What the next click on the plan is for. */
public enum Pick {
  NONE(""),
  BASE_POINT("Click where the base point shall be."),
  BEARING(
      "Click two points: site north runs from the first to the second.",
      "Click the point that site north runs to."),
  CONTROL("Click a point or vertex that shall be a control point."),
  MARK("Click the place to mark."),
  MEASURE("Click the points to measure between; Enter ends it."),
  OUTLINE("Click the corners of the outline one after the other; Enter ends it."),
  SELECT("Click the corners around what shall be selected; Enter ends it."),
  PAIR("Click a point of the source, then where it belongs.", "Click where this point belongs.");

  private final String sentence;
  private final String second;

  Pick(String sentence) {
    this(sentence, sentence);
  }

  Pick(String sentence, String second) {
    this.sentence = sentence;
    this.second = second;
  }

  /** What to do, for people. */
  public String sentence() {
    return sentence;
  }

  /** Whether a click takes the point or vertex that is nearest to it. */
  public boolean catches() {
    return this != SELECT && this != OUTLINE;
  }

  /** What to do after the first of two clicks. */
  public String second() {
    return second;
  }
}
