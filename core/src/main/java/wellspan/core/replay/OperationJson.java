package wellspan.core.replay;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.cfg.CoercionAction;
import com.fasterxml.jackson.databind.cfg.CoercionInputShape;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.exc.InvalidTypeIdException;
import com.fasterxml.jackson.databind.exc.MismatchedInputException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import com.fasterxml.jackson.databind.type.LogicalType;
import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import wellspan.core.choice.Choice;
import wellspan.core.choice.ChoiceModule;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Operation;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Step;

/**
 * Steps and recipes as JSON: the member {@code step}, {@code recipe} or {@code from} names the
 * kind, the others are its parameters by name.
 */
public final class OperationJson {
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "step")
  private interface StepKind {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "recipe")
  private interface RecipeKind {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "from")
  private interface OutlineKind {}

  private static final ObjectMapper JSON = mapper();

  private OperationJson() {}

  private static ObjectMapper mapper() {
    SimpleModule own = new SimpleModule();
    own.addSerializer(
        new StdSerializer<ItemId>(ItemId.class) {
          @Override
          public void serialize(ItemId id, JsonGenerator to, SerializerProvider p)
              throws IOException {
            to.writeString(id.value());
          }
        });
    own.addDeserializer(
        ItemId.class,
        new StdDeserializer<ItemId>(ItemId.class) {
          @Override
          public ItemId deserialize(JsonParser from, DeserializationContext c) throws IOException {
            if (!from.hasToken(JsonToken.VALUE_STRING)) {
              return (ItemId) c.handleUnexpectedToken(ItemId.class, from);
            }
            return new ItemId(from.getText());
          }
        });
    ObjectMapper json =
        JsonMapper.builder()
            .addModule(own)
            .addModule(new ChoiceModule())
            .addMixIn(Step.class, StepKind.class)
            .addMixIn(Recipe.class, RecipeKind.class)
            .addMixIn(Outline.class, OutlineKind.class)
            .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
            .withCoercionConfig(
                LogicalType.Textual,
                c ->
                    c.setCoercion(CoercionInputShape.Integer, CoercionAction.Fail)
                        .setCoercion(CoercionInputShape.Float, CoercionAction.Fail)
                        .setCoercion(CoercionInputShape.Boolean, CoercionAction.Fail))
            .build();
    Operations.all()
        .forEach(o -> json.registerSubtypes(new NamedType(o, Operations.declared(o).id())));
    json.registerSubtypes(
        new NamedType(Outline.Drawn.class, "drawn"), new NamedType(Outline.Of.class, "item"));
    return json;
  }

  public static ObjectNode node(RecordedStep s) {
    ObjectNode n = JSON.valueToTree(s.step());
    if (!s.on()) {
      n.put("off", true);
    }
    return n;
  }

  public static ObjectNode node(Recipe recipe) {
    return JSON.valueToTree(recipe);
  }

  /** The value of a parameter as it stands in files. */
  public static JsonNode value(Object parameter) {
    return JSON.valueToTree(parameter);
  }

  /**
   * @throws IllegalArgumentException with what is wrong
   */
  public static RecordedStep step(JsonNode n) {
    if (!(n.deepCopy() instanceof ObjectNode rest)) {
      throw new IllegalArgumentException("this is no step: " + n);
    }
    JsonNode off = rest.remove("off");
    if (off != null && !off.isBoolean()) {
      throw new IllegalArgumentException("\"off\" is neither true nor false: " + n);
    }
    return new RecordedStep(read(rest, Step.class), off == null || !off.asBoolean());
  }

  /**
   * @throws IllegalArgumentException with what is wrong
   */
  public static Recipe recipe(JsonNode n) {
    return read(n, Recipe.class);
  }

  private static <T> T read(JsonNode n, Class<T> type) {
    if (!n.isObject()) {
      throw new IllegalArgumentException("this is no step: " + n);
    }
    try {
      return JSON.treeToValue(completed(n), type);
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException(
          "this is no " + word(type) + " that can be read: " + n + " (" + why(e) + ")", e);
    }
  }

  private static String word(Class<?> type) {
    return type == Recipe.class ? "recipe" : "step";
  }

  /** What is wrong, without words that only programs know. */
  private static String why(JsonProcessingException e) {
    return switch (e) {
      case UnrecognizedPropertyException u ->
          "it has no \""
              + u.getPropertyName()
              + "\", but "
              + u.getKnownPropertyIds().stream()
                  .map(id -> "\"" + id + "\"")
                  .collect(Collectors.joining(", "));
      case InvalidTypeIdException t ->
          t.getTypeId() == null
              ? "its name is missing"
              : "there is none of the name \"" + t.getTypeId() + "\"; shape --help lists them";
      case InvalidFormatException f when !Choice.words(f.getTargetType()).isEmpty() ->
          "\""
              + f.getPath().getLast().getFieldName()
              + "\" is \""
              + f.getValue()
              + "\" and can be "
              + String.join(", ", Choice.words(f.getTargetType()));
      case MismatchedInputException m when !m.getPath().isEmpty() ->
          "\""
              + m.getPath().getLast().getFieldName()
              + (m.getOriginalMessage().startsWith("Missing")
                  ? "\" is missing"
                  : "\" is of another kind than is needed");
      default -> e.getOriginalMessage();
    };
  }

  /** With the usual values of parameters that are left out. */
  private static JsonNode completed(JsonNode n) throws JsonProcessingException {
    ObjectNode out = n.deepCopy();
    for (String member : List.of("step", "recipe")) {
      Optional<Class<? extends Operation>> of = Operations.named(n.path(member).asText());
      if (of.isPresent()) {
        for (RecordComponent c : of.get().getRecordComponents()) {
          String usual = c.getAnnotation(Parameter.class).usual();
          if (!usual.isEmpty()) {
            out.putIfAbsent(c.getName(), JSON.readTree(usual));
          }
        }
      }
    }
    if (n.path("from").asText().equals("item")) {
      out.putIfAbsent("offset", out.numberNode(0));
    }
    for (Map.Entry<String, JsonNode> e : n.properties()) {
      if (e.getValue().isObject()) {
        out.set(e.getKey(), completed(e.getValue()));
      }
    }
    return out;
  }
}
