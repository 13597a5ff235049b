package wellspan.core.check;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import wellspan.core.item.Item;
import wellspan.core.operation.Parameters;
import wellspan.core.operation.Step;
import wellspan.core.replay.OperationJson;
import wellspan.core.replay.Operations;

/**
 * What a code of findings stands for: a row of {@code checks.tsv}.
 *
 * @param definition what is found, as a part of a sentence
 * @param limit from where on it counts, empty if there is none
 * @param source where it is looked for
 */
public record Check(String code, String definition, String limit, String source, String mend) {
  private static final Map<String, Check> ALL = load();

  /** All checks in the order of the table. */
  public static Collection<Check> all() {
    return ALL.values();
  }

  public static Optional<Check> of(String code) {
    return Optional.ofNullable(ALL.get(code));
  }

  /** Whether there is a step that mends what it finds. */
  public boolean canMend() {
    return !mend.isEmpty();
  }

  /** The step that mends an item, if there is one for items such as this. */
  public Optional<Step> mendFor(Item item) {
    if (!canMend()) {
      return Optional.empty();
    }
    try {
      JsonNode n = new ObjectMapper().readTree(mend);
      Class<? extends Step> step =
          Operations.named(n.path("step").asText()).orElseThrow().asSubclass(Step.class);
      if (!Operations.accepts(step, item)) {
        return Optional.empty();
      }
      for (Parameters.Of p : Parameters.of(step)) {
        boolean means =
            p.declared().takes().length == 0
                || Stream.of(p.declared().takes()).anyMatch(t -> t.fits(item));
        if (!means) { // it stays at its usual value
          ((ObjectNode) n).remove(p.name());
        }
      }
      return Optional.of(OperationJson.step(n).step());
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("The table of checks is damaged. Install again.", e);
    }
  }

  private static Map<String, Check> load() {
    Map<String, Check> out = new LinkedHashMap<>();
    try (InputStream in = Check.class.getResourceAsStream("checks.tsv");
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (!line.startsWith("#")) {
          String[] c = line.split("\t", -1);
          out.put(c[0], new Check(c[0], c[1], c[2], c[3], c[4]));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("The table of checks is damaged. Install again.", e);
    }
    return out;
  }
}
