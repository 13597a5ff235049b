package wellspan.app.session;

/** What stands beside the rules at the stop Describe. */
public enum DescribeCard {
  NONE,
  /** The rule in hand. */
  RULE,
  /** What the receiver asks for, and the selected item. */
  REQUIREMENTS,
  /** What was said of the selected items by hand. */
  ATTRIBUTES
}
