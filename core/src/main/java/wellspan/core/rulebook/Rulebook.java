package wellspan.core.rulebook;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a client wants to be said of every item: one readable file.
 *
 * @param name for people
 * @param version of the rulebook, in the client's own counting
 * @param copiedFrom name of the rulebook that it was made from, empty if none
 * @param classes of which the first that fits an item decides its class
 * @param properties each of which says one property of the items it is for
 * @param lookups tables that turn words into others
 * @param classification code systems, each with the rules that give an item its code
 * @param withoutSets names of sets that items would have and that are left out
 */
@JsonIgnoreProperties(RulebookJson.MARK)
public record Rulebook(
    String name,
    String version,
    String copiedFrom,
    List<ClassRule> classes,
    List<PropertyRule> properties,
    List<Lookup> lookups,
    List<CodeSystem> classification,
    List<String> withoutSets) {

  /** Says nothing: items are delivered as they are. */
  public static final Rulebook NONE =
      new Rulebook("", "", "", List.of(), List.of(), List.of(), List.of(), List.of());

  public Rulebook {
    name = Given.text(name);
    version = Given.text(version);
    copiedFrom = Given.text(copiedFrom);
    classes = Given.list(classes);
    properties = Given.list(properties);
    lookups = Given.list(lookups);
    classification = Given.list(classification);
    withoutSets = Given.list(withoutSets);
  }

  /** A rulebook of one's own that starts as this one. */
  public Rulebook copiedAs(String other) {
    return new Rulebook(
        other, "1", name, classes, properties, lookups, classification, withoutSets);
  }

  /** With other property rules. */
  public Rulebook withProperties(List<PropertyRule> rules) {
    return new Rulebook(
        name, version, copiedFrom, classes, rules, lookups, classification, withoutSets);
  }

  /** With other class rules. */
  public Rulebook withClasses(List<ClassRule> rules) {
    return new Rulebook(
        name, version, copiedFrom, rules, properties, lookups, classification, withoutSets);
  }

  /** With other tables. */
  public Rulebook withLookups(List<Lookup> tables) {
    return new Rulebook(
        name, version, copiedFrom, classes, properties, tables, classification, withoutSets);
  }

  /** With other code systems. */
  public Rulebook withClassification(List<CodeSystem> systems) {
    return new Rulebook(
        name, version, copiedFrom, classes, properties, lookups, systems, withoutSets);
  }

  /** Leaving out other sets. */
  public Rulebook withoutSets(List<String> names) {
    return new Rulebook(
        name, version, copiedFrom, classes, properties, lookups, classification, names);
  }

  /** The table of a name. */
  public Optional<Lookup> lookup(String table) {
    return lookups.stream().filter(l -> l.name().equals(table)).findFirst();
  }

  /** The code system of a name. */
  public Optional<CodeSystem> system(String of) {
    return classification.stream().filter(c -> c.system().equals(of)).findFirst();
  }

  /** With a code system instead of the one of its name, or as a further one. */
  public Rulebook with(CodeSystem system) {
    List<CodeSystem> all = new ArrayList<>(classification);
    int at = all.stream().map(CodeSystem::system).toList().indexOf(system.system());
    if (at < 0) {
      all.add(system);
    } else {
      all.set(at, system);
    }
    return withClassification(all);
  }

  /** How many rules it has, those that are off among them. */
  public int count() {
    return classes.size()
        + properties.size()
        + classification.stream().mapToInt(c -> c.rules().size()).sum();
  }
}
