package wellspan.core.json;

import com.fasterxml.jackson.databind.JsonNode;

/**
 * Members of an object by their types. One that is left out has its usual value; one of another
 * type is an error and never its usual value.
 */
public final class TypedMembers {
  private TypedMembers() {}

  /**
   * @throws IllegalArgumentException if it is there and no text
   */
  public static String text(JsonNode n, String name, String otherwise) {
    JsonNode v = n.path(name);
    return require(v, v.isTextual(), name, "no text").asText(otherwise);
  }

  /**
   * @throws IllegalArgumentException if it is there and no number
   */
  public static double number(JsonNode n, String name, double otherwise) {
    JsonNode v = n.path(name);
    return require(v, v.isNumber(), name, "no number").asDouble(otherwise);
  }

  /**
   * @throws IllegalArgumentException if it is there and neither true nor false
   */
  public static boolean truth(JsonNode n, String name, boolean otherwise) {
    JsonNode v = n.path(name);
    return require(v, v.isBoolean(), name, "neither true nor false").asBoolean(otherwise);
  }

  /**
   * The elements, none if it is left out.
   *
   * @throws IllegalArgumentException if it is there and no list
   */
  public static JsonNode list(JsonNode n, String name) {
    JsonNode v = n.path(name);
    return require(v, v.isArray(), name, "no list");
  }

  private static JsonNode require(JsonNode v, boolean fits, String name, String fault) {
    if (!v.isMissingNode() && !fits) {
      throw new IllegalArgumentException(name + " is " + fault);
    }
    return v;
  }
}
