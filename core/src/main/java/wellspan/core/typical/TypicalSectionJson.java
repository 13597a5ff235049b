package wellspan.core.typical;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import wellspan.core.choice.ChoiceModule;

/** A typical section as a file of its own, so that it is used again in other jobs. */
public final class TypicalSectionJson {
  private static final JsonMapper JSON =
      JsonMapper.builder()
          .addModule(new ChoiceModule())
          .enable(SerializationFeature.INDENT_OUTPUT)
          .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private TypicalSectionJson() {}

  /** What the file holds around the section. */
  private record InFile(int version, TypicalSection typicalSection) {}

  public static String write(TypicalSection s) {
    try {
      return JSON.writeValueAsString(new InFile(1, s)) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("Records can be written.", e);
    }
  }

  /**
   * @throws IllegalArgumentException with line and what is wrong
   */
  public static TypicalSection read(String text) {
    InFile f;
    try {
      f = JSON.readValue(text, InFile.class);
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException(
          "line "
              + (e.getLocation() == null ? 1 : e.getLocation().getLineNr())
              + ": this is no typical section: "
              + e.getOriginalMessage(),
          e);
    }
    if (f.version() != 1) {
      throw new IllegalArgumentException(
          "the typical section is of version " + f.version() + "; this Wellspan reads version 1.");
    }
    return f.typicalSection();
  }
}
