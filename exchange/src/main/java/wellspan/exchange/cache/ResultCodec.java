package wellspan.exchange.cache;

import com.esotericsoftware.kryo.Kryo;
import com.esotericsoftware.kryo.KryoException;
import com.esotericsoftware.kryo.Registration;
import com.esotericsoftware.kryo.Serializer;
import com.esotericsoftware.kryo.io.Input;
import com.esotericsoftware.kryo.io.Output;
import com.esotericsoftware.kryo.serializers.ImmutableCollectionsSerializers;
import com.esotericsoftware.kryo.util.DefaultInstantiatorStrategy;
import java.io.Serializable;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.objenesis.strategy.StdInstantiatorStrategy;
import wellspan.core.item.Kind;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.PointTable;

/**
 * Turns results into bytes and back. A job's folder may come from anywhere, so only values of our
 * own core and plain ones of the JDK are made from what a file says.
 */
final class ResultCodec {
  private static final Set<String> PLAIN =
      Set.of(
          "java.util.ArrayList",
          "java.util.Arrays$ArrayList",
          "java.util.HashMap",
          "java.util.LinkedHashMap",
          "java.util.TreeMap",
          "java.util.EnumMap",
          "java.util.LinkedHashSet",
          "java.util.HashSet",
          "java.util.TreeSet",
          "java.util.Optional",
          "java.util.OptionalDouble",
          "java.util.OptionalInt",
          "java.util.UUID",
          "java.time.Instant",
          "java.time.LocalDate");

  private ResultCodec() {}

  /** For one thread and one result. */
  static Kryo fresh() {
    Kryo k = new Closed();
    k.setRegistrationRequired(false);
    k.setReferences(true);
    k.setInstantiatorStrategy(new DefaultInstantiatorStrategy(new StdInstantiatorStrategy()));
    ImmutableCollectionsSerializers.addDefaultSerializers(k);
    k.addDefaultSerializer(PointTable.class, new PointTableSerializer());
    k.addDefaultSerializer(Kind.class, new KindSerializer());
    k.addDefaultSerializer(
        Collections.unmodifiableMap(new LinkedHashMap<>()).getClass(),
        new UnmodifiableMapSerializer());
    k.addDefaultSerializer(
        Collections.unmodifiableList(new ArrayList<>()).getClass(),
        new UnmodifiableListSerializer());
    return k;
  }

  /** Knows no class but those that results are made of. */
  private static final class Closed extends Kryo {
    private final Set<Class<?>> admitted = new HashSet<>();

    @Override
    @SuppressWarnings("rawtypes") // as it is declared
    public Registration getRegistration(Class type) {
      Class<?> asked = type;
      if (!admitted.contains(asked)) { // asked for each object anew
        admit(asked);
        admitted.add(asked);
      }
      return super.getRegistration(type);
    }

    private static void admit(Class<?> type) {
      Class<?> element = type;
      while (element.isArray()) {
        element = element.getComponentType();
      }
      String name = element.getName();
      boolean known =
          element.isPrimitive()
              // a lambda has another name in the next program
              || name.startsWith("wellspan.core.") && !element.isHidden()
              || name.startsWith("java.lang.") && Serializable.class.isAssignableFrom(element)
              || name.startsWith("java.util.ImmutableCollections$")
              || name.startsWith("java.util.Collections$")
              || PLAIN.contains(name);
      if (!known) {
        throw new KryoException(name + " is no part of a result.");
      }
    }
  }

  /** Kinds are rows of a table: there is one of each. */
  private static final class KindSerializer extends Serializer<Kind> {
    KindSerializer() {
      super(false, true);
    }

    @Override
    public void write(Kryo kryo, Output out, Kind kind) {
      out.writeString(kind.id());
    }

    @Override
    public Kind read(Kryo kryo, Input in, Class<? extends Kind> type) {
      return Kind.of(in.readString());
    }
  }

  /** Points one after another; a point whose name is its number needs none. */
  private static final class PointTableSerializer extends Serializer<PointTable> {
    PointTableSerializer() {
      super(false, true);
    }

    @Override
    public void write(Kryo kryo, Output out, PointTable points) {
      out.writeInt(points.size());
      for (int i = 0; i < points.size(); i++) {
        NamedPoint p = points.get(i);
        out.writeString(p.name().equals(Integer.toString(i + 1)) ? "" : p.name());
        out.writeString(p.code());
        out.writeDouble(p.position().east());
        out.writeDouble(p.position().north());
        out.writeDouble(p.position().level());
      }
    }

    @Override
    public PointTable read(Kryo kryo, Input in, Class<? extends PointTable> type) {
      PointTable.Builder points = new PointTable.Builder();
      for (int n = in.readInt(); n > 0; n--) {
        String name = in.readString();
        String code = in.readString();
        points.add(name, in.readDouble(), in.readDouble(), in.readDouble(), code);
      }
      return points.build();
    }
  }

  /** Keeps the order, which copies would not. */
  private static final class UnmodifiableMapSerializer extends Serializer<Map<?, ?>> {
    UnmodifiableMapSerializer() {
      super(false, true);
    }

    @Override
    public void write(Kryo kryo, Output out, Map<?, ?> map) {
      kryo.writeObject(out, new LinkedHashMap<>(map));
    }

    @Override
    public Map<?, ?> read(Kryo kryo, Input in, Class<? extends Map<?, ?>> type) {
      LinkedHashMap<?, ?> map = kryo.readObject(in, LinkedHashMap.class);
      return Collections.unmodifiableMap(map);
    }
  }

  private static final class UnmodifiableListSerializer extends Serializer<List<?>> {
    UnmodifiableListSerializer() {
      super(false, true);
    }

    @Override
    public void write(Kryo kryo, Output out, List<?> list) {
      kryo.writeObject(out, new ArrayList<>(list));
    }

    @Override
    public List<?> read(Kryo kryo, Input in, Class<? extends List<?>> type) {
      ArrayList<?> list = kryo.readObject(in, ArrayList.class);
      return Collections.unmodifiableList(list);
    }
  }
}
