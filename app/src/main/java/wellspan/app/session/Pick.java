package wellspan.app.session;

/** What the next click on the plan is for. */
public enum Pick {
  NONE(""),
  BASE_POINT("Click where the base point shall be."),
  BEARING("Click two points: site north runs from the first to the second."),
  CONTROL("Click a point or vertex that shall be a control point."),
  MARK("Click the place to mark."),
  OUTLINE("Click the corners of the outline one after the other; Enter ends it."),
  PAIR("Click a point of the source, then where it belongs.");

  private final String sentence;

  Pick(String sentence) {
    this.sentence = sentence;
  }

  /** What to do, for people. */
  public String sentence() {
    return sentence;
  }
}
