package wellspan.core.model;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How the same model differs in two files or two schemas: what became of its objects, and which
 * properties did not come along. Objects are the same by their GlobalIds. Made in time of the
 * number of properties; immutable.
 *
 * @param from schema of the first model as its file names it
 * @param to that of the second
 * @param compared number of objects that both have
 * @param changes like ones together, in the order of {@link What} and of their first objects
 */
public record ModelComparison(String from, String to, int compared, List<Change> changes) {
  private static final Set<String> PROXIES = Set.of("IfcBuildingElementProxy", "IfcProxy");

  /** What became of objects. */
  public enum What {
    PROXY("became proxies"),
    CLASS("are of another class"),
    PREDEFINED_TYPE("are of another type"),
    MISSING("are not there"),
    EXTRA("are new"),
    PROPERTY_LOST("lost a property"),
    PROPERTY_MOVED("have a property in another set"),
    VALUE("say another value");

    private final String words;

    What(String words) {
      this.words = words;
    }

    /** Behind a number of objects. */
    public String words() {
      return words;
    }
  }

  /**
   * The same change of some objects.
   *
   * @param from class or property in the first model, empty where it has none
   * @param to that in the second
   * @param objects of the first model; of the second where only that has them
   */
  public record Change(What what, String from, String to, List<ModelObject> objects) {}

  public ModelComparison {
    changes = List.copyOf(changes);
  }

  public static ModelComparison of(Model first, Model second) {
    return new Comparing().run(first, second);
  }

  /** The objects of both models whose class or properties changed, by what changed of them most. */
  public Map<String, What> byGlobalId() {
    Map<String, What> out = new HashMap<>();
    for (Change c : changes) { // in the order of how much a change weighs
      c.objects().forEach(o -> out.putIfAbsent(o.globalId(), c.what()));
    }
    return out;
  }

  /** For programs. */
  public ObjectNode json() {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.put("from", from);
    out.put("to", to);
    out.put("compared", compared);
    ArrayNode all = out.putArray("changes");
    for (Change c : changes) {
      ObjectNode n = all.addObject();
      n.put("what", c.what().name().toLowerCase(Locale.ROOT).replace('_', ' '));
      if (!c.from().isEmpty()) {
        n.put("from", c.from());
      }
      if (!c.to().isEmpty()) {
        n.put("to", c.to());
      }
      ArrayNode objects = n.putArray("objects");
      c.objects().forEach(o -> objects.addObject().put("id", o.globalId()).put("name", o.name()));
    }
    return out;
  }

  /** Gathers like changes. */
  private static final class Comparing {
    private record Key(What what, String from, String to) {}

    private final Map<Key, List<ModelObject>> found = new LinkedHashMap<>();
    private int compared;

    ModelComparison run(Model first, Model second) {
      Map<String, ModelObject> there = byId(second);
      Map<String, ModelObject> here = byId(first);
      here.forEach(
          (id, o) -> {
            ModelObject other = there.get(id);
            if (other == null) {
              note(What.MISSING, o.entity(), "", o);
            } else {
              compared++;
              classes(o, other);
              properties(o, other);
            }
          });
      there.forEach(
          (id, o) -> {
            if (!here.containsKey(id)) {
              note(What.EXTRA, "", o.entity(), o);
            }
          });
      List<Change> changes = new ArrayList<>();
      for (What w : What.values()) {
        found.forEach(
            (key, objects) -> {
              if (key.what() == w) {
                changes.add(new Change(w, key.from(), key.to(), List.copyOf(objects)));
              }
            });
      }
      return new ModelComparison(first.schema(), second.schema(), compared, changes);
    }

    /** Things of the model; of two with one id the first counts. */
    private static Map<String, ModelObject> byId(Model m) {
      Map<String, ModelObject> out = new LinkedHashMap<>();
      m.objects().stream()
          .filter(ModelJson::isDescribed)
          .forEach(o -> out.putIfAbsent(o.globalId(), o));
      return out;
    }

    private void note(What what, String from, String to, ModelObject o) {
      found.computeIfAbsent(new Key(what, from, to), k -> new ArrayList<>()).add(o);
    }

    private void classes(ModelObject o, ModelObject other) {
      if (!o.entity().equals(other.entity())) {
        note(
            PROXIES.contains(other.entity()) ? What.PROXY : What.CLASS,
            o.entity(),
            other.entity(),
            o);
      } else if (!type(o).equals(type(other))) {
        note(What.PREDEFINED_TYPE, typed(o), typed(other), o);
      }
    }

    private static String typed(ModelObject o) {
      return (o.entity() + " " + type(o)).strip();
    }

    /** That it is not known says no more than nothing, which is all that some schemas can say. */
    private static String type(ModelObject o) {
      return o.predefinedType().equals("NOTDEFINED") ? "" : o.predefinedType();
    }

    private void properties(ModelObject o, ModelObject other) {
      for (ModelSet set : o.sets()) {
        for (ModelProperty p : set.properties().values()) {
          String name = set.name() + "." + p.name();
          Optional<ModelProperty> same =
              other.sets().stream()
                  .filter(s -> s.name().equals(set.name()))
                  .map(s -> s.properties().get(p.name()))
                  .filter(x -> x != null)
                  .findFirst();
          if (same.isPresent()) {
            if (!shown(p).equals(shown(same.get()))) {
              note(What.VALUE, name, name, o);
            }
          } else {
            Optional<String> elsewhere = elsewhere(o, p, other);
            note(
                elsewhere.isPresent() ? What.PROPERTY_MOVED : What.PROPERTY_LOST,
                name,
                elsewhere.map(s -> s + "." + p.name()).orElse(""),
                o);
          }
        }
      }
    }

    /** Another set that holds the property now and did not before. */
    private static Optional<String> elsewhere(ModelObject o, ModelProperty p, ModelObject other) {
      return other.sets().stream()
          .filter(s -> s.properties().containsKey(p.name()))
          .filter(s -> shown(s.properties().get(p.name())).equals(shown(p)))
          .map(ModelSet::name)
          .filter(
              name ->
                  o.sets().stream()
                      .noneMatch(
                          s -> s.name().equals(name) && s.properties().containsKey(p.name())))
          .findFirst();
    }

    private static List<String> shown(ModelProperty p) {
      List<String> out = new ArrayList<>(p.values().stream().map(ModelValue::show).toList());
      p.parts().forEach(x -> out.add(x.name() + ": " + String.join(", ", shown(x))));
      return out;
    }
  }
}
