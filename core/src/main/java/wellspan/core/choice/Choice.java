package wellspan.core.choice;

/** One of several that a parameter may be: an enumeration with words for people and files. */
public interface Choice {
  /** As it stands in files, forms and messages. */
  String word();
}
