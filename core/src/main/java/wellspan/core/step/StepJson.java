package wellspan.core.step;

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
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import com.fasterxml.jackson.databind.type.LogicalType;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import wellspan.core.item.ItemId;
import wellspan.core.triangulate.LevelRule;

/**
 * Steps and recipes as JSON: the member {@code step}, {@code recipe} or {@code from} names the
 * kind, the others are its parameters by name.
 */
public final class StepJson {
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "step")
  private interface StepKind {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "recipe")
  private interface RecipeKind {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "from")
  private interface OutlineKind {}

  private static final ObjectMapper JSON = mapper();

  /**
   * Parameters that may be left out, by kind: those that a kind has gained, and those whose usual
   * value goes without saying. Whoever gives a kind one more parameter adds it here, so that jobs
   * saved before open.
   */
  private static final Map<String, String> USUAL =
      Map.of(
          "drop false levels", "{\"refill\":false}",
          "drop spikes", "{\"height\":0,\"refill\":false}",
          "merge duplicates", "{\"rule\":\"mean\"}",
          "fill holes", "{\"largest\":0}",
          "clip", "{\"inside\":true}",
          "item", "{\"offset\":0}",
          "contours", "{\"base\":0,\"majorEvery\":5}",
          "triangulation",
              "{\"points\":[],\"breaklines\":[],\"boundaries\":[],\"holes\":[],\"duplicates\":\"mean\",\"crossings\":\"mean\"}");

  private StepJson() {}

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
    own.addSerializer(
        new StdSerializer<LevelRule>(LevelRule.class) {
          @Override
          public void serialize(LevelRule r, JsonGenerator to, SerializerProvider p)
              throws IOException {
            to.writeString(r.word());
          }
        });
    ObjectMapper json =
        JsonMapper.builder()
            .addModule(own)
            .addMixIn(Step.class, StepKind.class)
            .addMixIn(Recipe.class, RecipeKind.class)
            .addMixIn(Step.Outline.class, OutlineKind.class)
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
    json.registerSubtypes(
        new NamedType(Step.DropFalseLevels.class, "drop false levels"),
        new NamedType(Step.DropSpikes.class, "drop spikes"),
        new NamedType(Step.MergeDuplicates.class, "merge duplicates"),
        new NamedType(Step.DropFlawedTriangles.class, "drop flawed triangles"),
        new NamedType(Step.DropIslands.class, "drop islands"),
        new NamedType(Step.Trim.class, "trim"),
        new NamedType(Step.Clip.class, "clip"),
        new NamedType(Step.SetIn.class, "set in"),
        new NamedType(Step.Raise.class, "raise"),
        new NamedType(Step.Simplify.class, "simplify"),
        new NamedType(Step.FillHoles.class, "fill holes"),
        new NamedType(Step.CutCover.class, "cover"),
        new NamedType(Recipe.Triangulation.class, "triangulation"),
        new NamedType(Recipe.Copy.class, "copy"),
        new NamedType(Recipe.Contours.class, "contours"),
        new NamedType(Recipe.TexturedGround.class, "textured ground"),
        new NamedType(Recipe.Earth.class, "earth"),
        new NamedType(Recipe.GradedPad.class, "pad"),
        new NamedType(Step.Outline.Drawn.class, "drawn"),
        new NamedType(Step.Outline.Of.class, "item"));
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
          "this is no step that can be read: " + n + " (" + e.getOriginalMessage() + ")", e);
    }
  }

  /** With the usual values of parameters that are left out. */
  private static JsonNode completed(JsonNode n) throws JsonProcessingException {
    ObjectNode out = n.deepCopy();
    for (String member : List.of("step", "recipe", "from")) {
      String usual = USUAL.get(n.path(member).asText());
      if (usual != null) {
        JSON.readTree(usual).properties().forEach(e -> out.putIfAbsent(e.getKey(), e.getValue()));
      }
    }
    for (Map.Entry<String, JsonNode> e : n.properties()) {
      if (e.getValue().isObject()) {
        out.set(e.getKey(), completed(e.getValue()));
      }
    }
    return out;
  }
}
