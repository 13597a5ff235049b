package wellspan.core.choice;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.BeanDescription;
import com.fasterxml.jackson.databind.DeserializationConfig;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.deser.BeanDeserializerModifier;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import java.io.IOException;

/** Choices in JSON: by their words, read without regard to case. */
public final class ChoiceModule extends SimpleModule {
  private static final long serialVersionUID = 1;

  public ChoiceModule() {
    addSerializer(
        new StdSerializer<Choice>(Choice.class) {
          @Override
          public void serialize(Choice c, JsonGenerator to, SerializerProvider p)
              throws IOException {
            to.writeString(c.word());
          }
        });
    setDeserializerModifier(
        new BeanDeserializerModifier() {
          @Override
          public JsonDeserializer<?> modifyEnumDeserializer(
              DeserializationConfig c,
              JavaType type,
              BeanDescription d,
              JsonDeserializer<?> usual) {
            return Choice.class.isAssignableFrom(type.getRawClass())
                ? new ByWord(type.getRawClass())
                : usual;
          }
        });
  }

  /** One of an enumeration by its word, without case. */
  private static final class ByWord extends StdDeserializer<Object> {
    private static final long serialVersionUID = 1;

    ByWord(Class<?> type) {
      super(type);
    }

    @Override
    public Object deserialize(JsonParser from, DeserializationContext c) throws IOException {
      for (Object o : handledType().getEnumConstants()) {
        String word = ((Choice) o).word();
        if (from.hasToken(JsonToken.VALUE_STRING) && word.equalsIgnoreCase(from.getText())) {
          return o;
        }
      }
      return c.handleWeirdStringValue(
          handledType(),
          from.getText(),
          "not one of %s",
          String.join(", ", Choice.words(handledType())));
    }
  }
}
