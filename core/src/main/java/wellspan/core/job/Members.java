package wellspan.core.job;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * The members of one object of a job file. What is missing, of a wrong type or not known is noted
 * for people, and never guessed.
 */
final class Members {
  /** Reads one value. */
  interface Reader<T> {
    /**
     * @throws IllegalArgumentException with what is wrong
     */
    T read(Members of);
  }

  /** Reads one value that may be anything. */
  interface ValueReader<T> {
    /**
     * @throws IllegalArgumentException with what is wrong
     */
    T read(JsonNode value);
  }

  private final String path;
  private final JsonNode object;
  private final Collection<String> notUnderstood;
  private final Set<String> known = new TreeSet<>();

  /**
   * @param path to the object, for messages; empty for the whole file
   * @param notUnderstood takes what cannot be read
   */
  Members(String path, JsonNode object, Collection<String> notUnderstood) {
    if (!object.isObject()) {
      throw new IllegalArgumentException("it is no object");
    }
    this.path = path;
    this.object = object;
    this.notUnderstood = notUnderstood;
  }

  private String at(String name) {
    return path.isEmpty() ? name : path + "." + name;
  }

  void note(String name, String why) {
    notUnderstood.add(at(name) + " (" + why + ")");
  }

  /** The member, empty if it is not there. */
  Optional<JsonNode> get(String name) {
    known.add(name);
    return Optional.ofNullable(object.get(name));
  }

  boolean has(String name) {
    return object.has(name);
  }

  /** A text that has to be there. */
  String text(String name) {
    JsonNode v = get(name).orElse(null);
    if (v == null || !v.isTextual()) {
      throw new IllegalArgumentException(
          "\"" + name + "\" is " + (v == null ? "missing" : "no text"));
    }
    return v.textValue();
  }

  String text(String name, String otherwise) {
    return value(
        name,
        otherwise,
        v -> {
          if (!v.isTextual()) {
            throw new IllegalArgumentException("no text");
          }
          return v.textValue();
        });
  }

  boolean truth(String name, boolean otherwise) {
    return value(
        name,
        otherwise,
        v -> {
          if (!v.isBoolean()) {
            throw new IllegalArgumentException("neither true nor false");
          }
          return v.booleanValue();
        });
  }

  long whole(String name) {
    return value(
        name,
        0L,
        v -> {
          if (!v.canConvertToLong()) {
            throw new IllegalArgumentException("no whole number");
          }
          return v.longValue();
        });
  }

  /** A member that may be left out; what is there and cannot be read is noted. */
  <T> T value(String name, T otherwise, ValueReader<T> reader) {
    Optional<JsonNode> v = get(name);
    if (v.isEmpty()) {
      return otherwise;
    }
    try {
      return reader.read(v.get());
    } catch (IllegalArgumentException e) {
      note(name, e.getMessage());
      return otherwise;
    }
  }

  /** The elements of a list that can be read; the others are noted. */
  <T> List<T> list(String name, ValueReader<T> reader) {
    List<T> out = new ArrayList<>();
    JsonNode list = get(name).orElse(null);
    if (list != null && !list.isArray()) {
      note(name, "no list");
    } else if (list != null) {
      for (int i = 0; i < list.size(); i++) {
        element(name + "[" + i + "]", list.get(i), reader).ifPresent(out::add);
      }
    }
    return out;
  }

  /** The same for elements that are objects. */
  <T> List<T> objects(String name, Reader<T> reader) {
    int[] i = {0};
    return list(name, n -> member(name + "[" + i[0]++ + "]", n, reader));
  }

  /** The values of an object by their names; those that cannot be read are noted. */
  <T> Map<String, T> map(String name, ValueReader<T> reader) {
    Map<String, T> out = new LinkedHashMap<>();
    JsonNode all = get(name).orElse(null);
    if (all != null && !all.isObject()) {
      note(name, "no object");
    } else if (all != null) {
      all.properties()
          .forEach(
              e ->
                  element(name + "." + e.getKey(), e.getValue(), reader)
                      .ifPresent(v -> out.put(e.getKey(), v)));
    }
    return out;
  }

  private <T> Optional<T> element(String name, JsonNode value, ValueReader<T> reader) {
    try {
      return Optional.of(reader.read(value));
    } catch (IllegalArgumentException | java.time.DateTimeException e) {
      note(name, e.getMessage());
      return Optional.empty();
    }
  }

  /** Reads an object below this one and notes its members that are not known. */
  <T> T member(String name, JsonNode value, Reader<T> reader) {
    Members m = new Members(at(name), value, notUnderstood);
    T out = reader.read(m);
    m.noteUnknown();
    return out;
  }

  /** Notes the members that nothing asked for. */
  void noteUnknown() {
    object
        .properties()
        .forEach(
            e -> {
              if (!known.contains(e.getKey())) {
                note(e.getKey(), "not known to this version");
              }
            });
  }
}
