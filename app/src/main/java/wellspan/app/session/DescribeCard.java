package wellspan.app.session;

/** What stands beside the rules at the stop Describe. */
public enum DescribeCard {
  NONE,
  /** The rule in hand. */
  RULE,
  /** What the selected item says. */
  ITEM,
  /** What the receiver asks for. */
  REQUIREMENTS,
  /** What was said of the selected items by hand. */
  ATTRIBUTES,
  /** What becomes of the model in another schema. */
  SCHEMAS
}
