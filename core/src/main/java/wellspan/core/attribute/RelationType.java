package wellspan.core.attribute;

/** How one thing stands to another. */
public enum RelationType {
  /** One is a part of the other, as posts are of their rail. */
  PART_OF("part of", "has part"),
  /** They are joined, as a pipe and its chamber. */
  CONNECTS("connected to", "connected to"),
  /** One was made along the other, as a course along its alignment. */
  FOLLOWS("follows", "followed by"),
  /** One is a feature of the other, as a marking on a course or a ledge on a wall. */
  FEATURE_OF("on", "has on it");

  private final String words;
  private final String back;

  RelationType(String words, String back) {
    this.words = words;
    this.back = back;
  }

  /** Between the first thing and the second. */
  public String words() {
    return words;
  }

  /** Between the second thing and the first. */
  public String back() {
    return back;
  }
}
