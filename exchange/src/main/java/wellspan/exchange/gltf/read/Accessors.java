package wellspan.exchange.gltf.read;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.List;
import wellspan.exchange.file.ReadException;

/** Numbers out of the buffers of a glTF file. */
final class Accessors {
  private final Path file;
  private final JsonNode root;
  private final List<byte[]> buffers;

  Accessors(Path file, JsonNode root, List<byte[]> buffers) {
    this.file = file;
    this.root = root;
    this.buffers = buffers;
  }

  /** Where the elements of an accessor lie. */
  private record Run(ByteBuffer bytes, int start, int stride, int count, int type, boolean unit) {}

  private Run run(int index, int components) throws IOException {
    JsonNode a = root.path("accessors").path(index);
    if (index < 0 || a.isMissingNode()) {
      throw new ReadException(file, "a mesh names an accessor that is not there.");
    }
    if (a.has("sparse") || !a.has("bufferView")) {
      throw new ReadException(
          file, "it holds sparse data, which is not read. Ask for plain accessors.");
    }
    JsonNode v = root.path("bufferViews").path(a.path("bufferView").asInt(-1));
    int b = v.path("buffer").asInt(-1);
    if (b < 0 || b >= buffers.size()) {
      throw new ReadException(file, "a view names a buffer that is not there.");
    }
    int type = a.path("componentType").asInt();
    int size = size(type);
    long stride = v.path("byteStride").asLong((long) size * components);
    long start = v.path("byteOffset").asLong(0) + a.path("byteOffset").asLong(0);
    long count = a.path("count").asLong(0);
    long end = count == 0 ? start : start + (count - 1) * stride + (long) size * components;
    if (start < 0 || stride < 0 || count < 0 || end > buffers.get(b).length) {
      throw new ReadException(
          file, "it says it holds more than its buffer has room for: it is damaged or cut off.");
    }
    ByteBuffer bytes = ByteBuffer.wrap(buffers.get(b)).order(ByteOrder.LITTLE_ENDIAN);
    return new Run(
        bytes, (int) start, (int) stride, (int) count, type, a.path("normalized").asBoolean(false));
  }

  private int size(int type) throws ReadException {
    return switch (type) {
      case 5120, 5121 -> 1;
      case 5122, 5123 -> 2;
      case 5125, 5126 -> 4;
      default -> throw new ReadException(file, "the component type " + type + " is not known.");
    };
  }

  /**
   * @throws ReadException if the accessor is damaged or a number is none
   */
  double[] numbers(int index, int components) throws IOException {
    Run r = run(index, components);
    double[] out = new double[r.count * components];
    int size = size(r.type);
    for (int i = 0; i < r.count; i++) {
      for (int k = 0; k < components; k++) {
        double d = number(r, r.start + i * r.stride + k * size);
        if (!Double.isFinite(d)) {
          throw new ReadException(file, "vertex " + (i + 1) + " of a mesh is no number.");
        }
        out[i * components + k] = d;
      }
    }
    return out;
  }

  private static double number(Run r, int at) {
    return switch (r.type) {
      case 5120 -> r.unit ? Math.max(r.bytes.get(at) / 127.0, -1) : r.bytes.get(at);
      case 5121 -> {
        int v = Byte.toUnsignedInt(r.bytes.get(at));
        yield r.unit ? v / 255.0 : v;
      }
      case 5122 -> r.unit ? Math.max(r.bytes.getShort(at) / 32767.0, -1) : r.bytes.getShort(at);
      case 5123 -> {
        int v = Short.toUnsignedInt(r.bytes.getShort(at));
        yield r.unit ? v / 65535.0 : v;
      }
      case 5125 -> Integer.toUnsignedLong(r.bytes.getInt(at));
      default -> r.bytes.getFloat(at);
    };
  }

  int[] indices(int index) throws IOException {
    Run r = run(index, 1);
    int[] out = new int[r.count];
    for (int i = 0; i < r.count; i++) {
      double d = number(r, r.start + i * r.stride);
      if (!(d >= 0 && d < Integer.MAX_VALUE)) {
        throw new ReadException(file, "a triangle names a vertex that is not there.");
      }
      out[i] = (int) d;
    }
    return out;
  }
}
