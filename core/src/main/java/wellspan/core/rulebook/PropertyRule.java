package wellspan.core.rulebook;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What one property says.
 *
 * @param when all of which have to hold; for every item where there is none
 * @param value one part, which keeps its type, or several that are joined to a text
 * @param separator between the parts
 * @param set name of the set that it stands in; one that begins with {@code Qto_} holds quantities
 * @param property its name
 * @param type measure or type in the standard, such as {@code IfcLengthMeasure}; the one of the
 *     standard set, else that of the value, where nothing is said
 * @param oneOf the words that are allowed; for standard sets those of the standard count besides
 * @param description of the property, for people; delivered with it where the format can hold it
 * @param mayBeMissing whether it is no gap where an item has no such value
 * @param off whether the rule is passed over
 */
public record PropertyRule(
    List<Condition> when,
    List<ValuePart> value,
    @JsonInclude(JsonInclude.Include.ALWAYS) String separator,
    String set,
    String property,
    String type,
    List<String> oneOf,
    String description,
    @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean mayBeMissing,
    @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean off) {

  public PropertyRule {
    when = Given.list(when);
    value = Given.list(value);
    separator = separator == null ? " " : separator;
    set = Given.text(set).strip();
    property = Given.text(property).strip();
    type = Given.text(type);
    oneOf = Given.list(oneOf);
    description = Given.text(description);
    if (set.isEmpty() || property.isEmpty()) {
      throw new IllegalArgumentException("a property rule names a set and a property");
    }
    if (value.isEmpty()) {
      throw new IllegalArgumentException("the rule for " + set + "." + property + " says no value");
    }
    Typing.require(type);
  }

  /** A value as it is, into a property. */
  public static PropertyRule of(
      List<Condition> when, ValuePart value, String set, String property, String type) {
    return new PropertyRule(
        when, List.of(value), null, set, property, type, List.of(), "", false, false);
  }

  /** Set and property. */
  public String target() {
    return set + "." + property;
  }

  /** For people: what goes into it. */
  public String from() {
    return value.stream().map(ValuePart::show).collect(Collectors.joining(" + "));
  }

  /** For other items. */
  public PropertyRule withWhen(List<Condition> conditions) {
    return new PropertyRule(
        conditions, value, separator, set, property, type, oneOf, description, mayBeMissing, off);
  }

  /** With other parts. */
  public PropertyRule withValue(List<ValuePart> parts) {
    return new PropertyRule(
        when, parts, separator, set, property, type, oneOf, description, mayBeMissing, off);
  }

  /** With other words between the parts. */
  public PropertyRule withSeparator(String between) {
    return new PropertyRule(
        when, value, between, set, property, type, oneOf, description, mayBeMissing, off);
  }

  /** Into another property. */
  public PropertyRule into(String otherSet, String otherProperty) {
    return new PropertyRule(
        when,
        value,
        separator,
        otherSet,
        otherProperty,
        type,
        oneOf,
        description,
        mayBeMissing,
        off);
  }

  /** Of another type. */
  public PropertyRule withType(String other) {
    return new PropertyRule(
        when, value, separator, set, property, other, oneOf, description, mayBeMissing, off);
  }

  /** Whether it is no gap where an item has no such value. */
  public PropertyRule mayBeMissing(boolean missing) {
    return new PropertyRule(
        when, value, separator, set, property, type, oneOf, description, missing, off);
  }

  /** Switched on or off. */
  public PropertyRule off(boolean passedOver) {
    return new PropertyRule(
        when, value, separator, set, property, type, oneOf, description, mayBeMissing, passedOver);
  }
}
