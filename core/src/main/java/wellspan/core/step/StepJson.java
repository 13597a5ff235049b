package wellspan.core.step;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import java.io.IOException;
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
    ObjectNode rest = n.deepCopy();
    JsonNode off = rest.remove("off");
    return new RecordedStep(read(rest, Step.class), off == null || !off.asBoolean());
  }

  /**
   * @throws IllegalArgumentException with what is wrong
   */
  public static Recipe recipe(JsonNode n) {
    return read(n, Recipe.class);
  }

  private static <T> T read(JsonNode n, Class<T> type) {
    try {
      return JSON.treeToValue(n, type);
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException(
          "this is no step that can be read: " + n + " (" + e.getOriginalMessage() + ")", e);
    }
  }
}
