package wellspan.core.rulebook;

/**
 * Where a value, or a part of a text, comes from: one of a fact, an attribute and a fixed text.
 *
 * @param fact id of a {@link Fact}
 * @param attribute {@code Set.Property}, or {@code Property} in whatever set; what an item does not
 *     say itself is asked of its road, and of what its source says
 * @param text a fixed text
 * @param lookup name of a table through which it goes
 * @param unit in which a number stands in a text, or in which a number is meant that has none:
 *     {@code mm}, {@code m3} …
 * @param decimals of a number in a text; as many as it has where nothing is said
 */
public record ValuePart(
    String fact, String attribute, String text, String lookup, String unit, Integer decimals) {

  public ValuePart {
    fact = Given.text(fact);
    attribute = Given.text(attribute);
    lookup = Given.text(lookup);
    text = text == null || text.isEmpty() ? null : text;
    unit = Given.text(unit);
    int sources = (fact.isEmpty() ? 0 : 1) + (attribute.isEmpty() ? 0 : 1) + (text == null ? 0 : 1);
    if (sources != 1) {
      throw new IllegalArgumentException("a part of a value is one of fact, attribute and text");
    }
    Fact.require(fact);
    if (!unit.isEmpty() && MeasureUnit.named(unit).isEmpty()) {
      throw new IllegalArgumentException(
          "the unit " + unit + " is not known; known are " + MeasureUnit.symbols());
    }
    if (decimals != null && (decimals < 0 || decimals > 12)) {
      throw new IllegalArgumentException("decimals are between 0 and 12");
    }
  }

  /** A fact as it is. */
  public static ValuePart fact(String id) {
    return new ValuePart(id, "", null, "", "", null);
  }

  /** An attribute as it is. */
  public static ValuePart attribute(String name) {
    return new ValuePart("", name, null, "", "", null);
  }

  /** A fixed text. */
  public static ValuePart text(String words) {
    return new ValuePart("", "", words, "", "", null);
  }

  /** Through a table. */
  public ValuePart through(String table) {
    return new ValuePart(fact, attribute, text, table, unit, decimals);
  }

  /** In a unit. */
  public ValuePart in(String symbol, Integer places) {
    return new ValuePart(fact, attribute, text, lookup, symbol, places);
  }

  /** For people: what is asked for. */
  public String show() {
    return text != null
        ? "\u201c" + text + "\u201d"
        : fact.isEmpty() ? attribute : Fact.find(fact).map(Fact::title).orElse(fact);
  }
}
