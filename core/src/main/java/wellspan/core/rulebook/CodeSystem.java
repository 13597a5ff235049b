package wellspan.core.rulebook;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Classified;

/**
 * A classification: its codes, and how items get theirs.
 *
 * @param system its name
 * @param codes in the order of their list; may be empty, then every code is taken
 * @param rules of which the first that fits an item gives its code
 * @param withoutReference whether it goes into properties only
 * @param properties in which the code stands besides
 * @param off whether it is passed over
 */
public record CodeSystem(
    String system,
    List<Code> codes,
    List<CodeRule> rules,
    @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean withoutReference,
    List<CodeProperty> properties,
    @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean off) {

  /**
   * A code.
   *
   * @param parent code above it, empty if none
   */
  public record Code(String code, String title, String parent) {
    public Code {
      code = Given.text(code).strip();
      title = Given.text(title).strip();
      parent = Given.text(parent).strip();
      if (code.isEmpty()) {
        throw new IllegalArgumentException("a code of a classification is empty");
      }
    }
  }

  /**
   * Which code items get.
   *
   * @param value one part, or several that are joined without a separator
   */
  public record CodeRule(
      List<Condition> when,
      List<ValuePart> value,
      @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean off) {
    public CodeRule {
      when = Given.list(when);
      value = Given.list(value);
      if (value.isEmpty()) {
        throw new IllegalArgumentException("a rule of a classification says no code");
      }
    }
  }

  /** What of a code a property says. */
  public enum Says {
    @JsonProperty("code")
    CODE,
    @JsonProperty("title")
    TITLE,
    @JsonProperty("system")
    SYSTEM
  }

  /**
   * A property in which a code stands.
   *
   * @param says joined in this order
   */
  public record CodeProperty(
      String set,
      String property,
      List<Says> says,
      @JsonInclude(JsonInclude.Include.ALWAYS) String separator) {
    public CodeProperty {
      set = Given.text(set);
      property = Given.text(property);
      says = says == null || says.isEmpty() ? List.of(Says.CODE) : List.copyOf(says);
      separator = separator == null ? " " : separator;
      if (set.isEmpty() || property.isEmpty()) {
        throw new IllegalArgumentException("a code's property names a set and a property");
      }
    }
  }

  public CodeSystem {
    system = Given.text(system).strip();
    codes = Given.list(codes);
    rules = Given.list(rules);
    properties = Given.list(properties);
    if (system.isEmpty()) {
      throw new IllegalArgumentException("a classification needs a name");
    }
    Set<String> seen = new HashSet<>();
    for (Code c : codes) {
      if (!seen.add(c.code())) {
        throw new IllegalArgumentException(
            "the classification " + system + " has the code " + c.code() + " twice");
      }
    }
  }

  /** With other codes. */
  public CodeSystem withCodes(List<Code> others) {
    return new CodeSystem(system, others, rules, withoutReference, properties, off);
  }

  /** With other rules. */
  public CodeSystem withRules(List<CodeRule> others) {
    return new CodeSystem(system, codes, others, withoutReference, properties, off);
  }

  /** Switched on or off. */
  public CodeSystem off(boolean passedOver) {
    return new CodeSystem(system, codes, rules, withoutReference, properties, passedOver);
  }

  /** A code with its title and what stands above it; empty if the list does not have it. */
  Optional<Classified> find(String code) {
    if (codes.isEmpty()) {
      return Optional.of(new Classified(system, code, "", List.of()));
    }
    return entry(code)
        .map(
            c -> {
              List<String> above = new ArrayList<>();
              Optional<Code> at = entry(c.parent());
              while (at.isPresent() && !above.contains(at.get().code())) {
                above.add(at.get().code());
                at = entry(at.get().parent());
              }
              return new Classified(system, c.code(), c.title(), above);
            });
  }

  private Optional<Code> entry(String code) {
    return codes.stream().filter(c -> c.code().equals(code)).findFirst();
  }
}
