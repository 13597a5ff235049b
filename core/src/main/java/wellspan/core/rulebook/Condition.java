package wellspan.core.rulebook;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.attribute.PropertyValue;

/**
 * What has to hold of an item for a rule to be for it. Texts are compared without case.
 *
 * @param fact id of a {@link Fact} that is asked for; empty where an attribute is
 * @param attribute {@code Set.Property}, or {@code Property} in whatever set
 * @param is one of these
 * @param isNot none of these
 * @param like a text with {@code *} for any letters
 * @param atLeast lowest number, SI units
 * @param atMost highest number, SI units
 * @param given whether there is a value at all
 */
public record Condition(
    String fact,
    String attribute,
    List<String> is,
    List<String> isNot,
    String like,
    Double atLeast,
    Double atMost,
    Boolean given) {

  public Condition {
    fact = Given.text(fact);
    attribute = Given.text(attribute);
    is = Given.list(is);
    isNot = Given.list(isNot);
    like = Given.text(like);
    if (fact.isEmpty() == attribute.isEmpty()) {
      throw new IllegalArgumentException("a condition asks for a fact or for an attribute");
    }
    Fact.require(fact);
    boolean asks =
        !is.isEmpty()
            || !isNot.isEmpty()
            || !like.isEmpty()
            || atLeast != null
            || atMost != null
            || given != null;
    if (!asks) {
      throw new IllegalArgumentException(
          "a condition on "
              + fact
              + attribute
              + " needs one of is, isNot, like, atLeast, atMost, given");
    }
  }

  /** A fact is one of some texts. */
  public static Condition fact(String id, List<String> is) {
    return new Condition(id, "", is, List.of(), "", null, null, null);
  }

  /** A fact reads like a text with {@code *}. */
  public static Condition like(String id, String text) {
    return new Condition(id, "", List.of(), List.of(), text, null, null, null);
  }

  boolean holds(Subject s) {
    Optional<PropertyValue> v = fact.isEmpty() ? s.attribute(attribute) : s.fact(fact);
    String text = v.map(Typing::text).orElse("");
    if (given != null && given == text.isEmpty()) {
      return false;
    }
    if (!is.isEmpty() && is.stream().noneMatch(text::equalsIgnoreCase)
        || isNot.stream().anyMatch(text::equalsIgnoreCase)
        || !like.isEmpty()
            && !matches(like.toLowerCase(Locale.ROOT), text.toLowerCase(Locale.ROOT))) {
      return false;
    }
    if (atLeast == null && atMost == null) {
      return true;
    }
    double d = v.map(Typing::number).orElse(Double.NaN);
    return !Double.isNaN(d) && (atLeast == null || d >= atLeast) && (atMost == null || d <= atMost);
  }

  /** In time of both lengths multiplied at worst. */
  private static boolean matches(String pattern, String text) {
    int p = 0;
    int t = 0;
    int star = -1;
    int after = 0;
    while (t < text.length()) {
      if (p < pattern.length() && pattern.charAt(p) == '*') {
        star = p++;
        after = t;
      } else if (p < pattern.length() && pattern.charAt(p) == text.charAt(t)) {
        p++;
        t++;
      } else if (star >= 0) {
        p = star + 1;
        t = ++after;
      } else {
        return false;
      }
    }
    while (p < pattern.length() && pattern.charAt(p) == '*') {
      p++;
    }
    return p == pattern.length();
  }

  /** For people: {@code kind is course or kerb}. */
  public String show() {
    String what = fact.isEmpty() ? attribute : Fact.find(fact).map(Fact::title).orElse(fact);
    StringBuilder s = new StringBuilder(what);
    if (!is.isEmpty()) {
      s.append(" is ").append(String.join(" or ", is));
    }
    if (!isNot.isEmpty()) {
      s.append(" is not ").append(String.join(" or ", isNot));
    }
    if (!like.isEmpty()) {
      s.append(" like ").append(like);
    }
    if (atLeast != null) {
      s.append(" at least ").append(Typing.plain(atLeast));
    }
    if (atMost != null) {
      s.append(" at most ").append(Typing.plain(atMost));
    }
    if (given != null) {
      s.append(given ? " is given" : " is not given");
    }
    return s.toString();
  }
}
