package wellspan.app.shell;

/**
 * Something that can be found by its words and then done or gone to.
 *
 * @param group what it is: an action, an item, a finding, a system, help
 * @param title what is shown
 * @param beside the keys that do the same, or what tells it from others of that title
 * @param also words that it is found by too
 */
record Findable(String group, String title, String beside, String also, Runnable go) {}
