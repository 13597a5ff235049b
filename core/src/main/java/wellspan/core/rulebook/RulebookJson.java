package wellspan.core.rulebook;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;

/**
 * Rulebooks as readable JSON, in the order in which they are written. A rulebook is read whole or
 * refused: a rule that was understood by half would say something else.
 */
public final class RulebookJson {
  /** The member that tells a rulebook, with the version of its form. */
  public static final String MARK = "wellspan-rulebook";

  private static final int VERSION = 1;
  private static final JsonMapper JSON =
      JsonMapper.builder()
          .enable(SerializationFeature.INDENT_OUTPUT)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .defaultPropertyInclusion(
              JsonInclude.Value.construct(
                  JsonInclude.Include.NON_EMPTY, JsonInclude.Include.ALWAYS))
          .build();

  private RulebookJson() {}

  /** A rulebook as it stands in a file. */
  public static String write(Rulebook book) {
    try {
      return JSON.writeValueAsString(node(book)) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a rulebook can always be written", e);
    }
  }

  /** A rulebook as part of a larger file. */
  public static ObjectNode node(Rulebook book) {
    ObjectNode out = JSON.createObjectNode();
    out.put(MARK, VERSION);
    out.setAll((ObjectNode) JSON.valueToTree(book));
    return out;
  }

  /**
   * @throws IllegalArgumentException with line and what is wrong
   */
  public static Rulebook read(String text) {
    try {
      JsonNode n = JSON.readTree(text);
      requireVersion(n);
      return JSON.readValue(text, Rulebook.class);
    } catch (JsonProcessingException e) {
      throw fault(e);
    }
  }

  /**
   * @throws IllegalArgumentException with what is wrong
   */
  public static Rulebook read(JsonNode n) {
    requireVersion(n);
    try {
      return JSON.treeToValue(n, Rulebook.class);
    } catch (JsonProcessingException e) {
      throw fault(e);
    }
  }

  private static void requireVersion(JsonNode n) {
    JsonNode version = n.path(MARK);
    if (!version.isInt()) {
      throw new IllegalArgumentException(
          "this is no rulebook: the member \""
              + MARK
              + "\" with the version of its form is missing");
    }
    if (version.intValue() != VERSION) {
      throw new IllegalArgumentException(
          "the rulebook is of form " + version + ", this program reads form " + VERSION);
    }
  }

  private static IllegalArgumentException fault(JsonProcessingException e) {
    JsonLocation at = e.getLocation();
    String line = at == null || at.getLineNr() < 1 ? "" : "line " + at.getLineNr() + ": ";
    String where = "";
    if (e instanceof JsonMappingException m && !m.getPath().isEmpty()) {
      where =
          m.getPath().stream()
                  .map(
                      r ->
                          r.getFieldName() != null
                              ? r.getFieldName()
                              : "number " + (r.getIndex() + 1))
                  .collect(Collectors.joining(", "))
              + ": ";
    }
    String what =
        e instanceof UnrecognizedPropertyException u
            ? "the member \""
                + u.getPropertyName()
                + "\" is not known here; known are "
                + u.getKnownPropertyIds().stream()
                    .map(String::valueOf)
                    .filter(p -> !p.equals(MARK))
                    .sorted()
                    .collect(Collectors.joining(", "))
            : e.getCause() instanceof IllegalArgumentException cause
                ? cause.getMessage()
                : e instanceof JsonMappingException
                    ? "a value of another form is expected"
                    : "this is not JSON";
    return new IllegalArgumentException(line + where + what, e);
  }

  /** The rulebook that ships with the program: what roads and drainage usually have to say. */
  public static Rulebook shipped() {
    try (InputStream in = RulebookJson.class.getResourceAsStream("roads.json")) {
      return read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException("The shipped rulebook is damaged. Install again.", e);
    }
  }
}
