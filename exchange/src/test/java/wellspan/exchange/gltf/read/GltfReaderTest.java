package wellspan.exchange.gltf.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.Intake;

class GltfReaderTest {
  @TempDir Path dir;

  /** A square of ten metres in the x-z plane at y = 2, indices as unsigned shorts. */
  private static byte[] buffer() {
    ByteBuffer b = ByteBuffer.allocate(4 * 12 + 6 * 2).order(ByteOrder.LITTLE_ENDIAN);
    for (float[] p : new float[][] {{0, 2, 0}, {10, 2, 0}, {10, 2, -10}, {0, 2, -10}}) {
      b.putFloat(p[0]).putFloat(p[1]).putFloat(p[2]);
    }
    for (int i : new int[] {0, 1, 2, 0, 2, 3}) {
      b.putShort((short) i);
    }
    return b.array();
  }

  private static String json(String uri, String more) {
    return """
        {"asset":{"version":"2.0"},"scene":0,"scenes":[{"nodes":[0]}],
         "nodes":[{"name":"Quay","translation":[100,5,-200],"children":[1]},
                  {"name":"Slab","mesh":0,"scale":[2,1,1]}],
         "meshes":[{"primitives":[{"attributes":{"POSITION":0},"indices":1}]}],
         "accessors":[{"bufferView":0,"componentType":5126,"count":4,"type":"VEC3"},
                      {"bufferView":1,"componentType":5123,"count":6,"type":"SCALAR"}],
         "bufferViews":[{"buffer":0,"byteLength":48},{"buffer":0,"byteOffset":48,"byteLength":12}],
         %s "buffers":[{"byteLength":60%s}]}
        """
        .formatted(more, uri.isEmpty() ? "" : ",\"uri\":\"" + uri + "\"");
  }

  private static byte[] binary(String json) {
    byte[] text = json.getBytes(StandardCharsets.UTF_8);
    int padded = (text.length + 3) / 4 * 4;
    byte[] data = buffer();
    ByteBuffer b = ByteBuffer.allocate(12 + 8 + padded + 8 + data.length);
    b.order(ByteOrder.LITTLE_ENDIAN).putInt(0x46546C67).putInt(2).putInt(b.capacity());
    b.putInt(padded).putInt(0x4E4F534A).put(text);
    while (b.position() < 20 + padded) {
      b.put((byte) ' ');
    }
    return b.putInt(data.length).putInt(0x004E4942).put(data).array();
  }

  private static void isTheSlab(Received r) {
    Shape.Faces s = (Shape.Faces) r.items().getFirst().shape();
    Mesh m = s.mesh();
    assertThat(r.items().getFirst().name()).isEqualTo("Slab");
    assertThat(m.triangleCount()).isEqualTo(2);
    assertThat(m.planArea()).isCloseTo(200, within(1e-9));
    assertThat(m.planArea(0)).isPositive();
    assertThat(m.vertex(2).east()).isCloseTo(120, within(1e-9));
    assertThat(m.vertex(2).north()).isCloseTo(210, within(1e-9));
    assertThat(m.vertex(2).level()).isCloseTo(7, within(1e-9));
  }

  @Test
  void binaryEmbeddedAndBesideAreTheSame() throws IOException {
    Path glb = Files.write(dir.resolve("a.glb"), binary(json("", "")));
    isTheSlab(Intake.read(glb, Progress.NONE));
    String data =
        "data:application/octet-stream;base64," + Base64.getEncoder().encodeToString(buffer());
    isTheSlab(Intake.read(Files.writeString(dir.resolve("b.gltf"), json(data, "")), Progress.NONE));
    Files.write(dir.resolve("c.bin"), buffer());
    isTheSlab(
        Intake.read(Files.writeString(dir.resolve("c.gltf"), json("c.bin", "")), Progress.NONE));
  }

  @Test
  void whatCannotBeReadIsASentence() throws IOException {
    Path f = dir.resolve("x.gltf");
    Files.writeString(f, json("", "\"extensionsRequired\":[\"KHR_draco_mesh_compression\"],"));
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE))
        .hasMessageContaining("without compression");
    Files.writeString(f, json("../secret.bin", ""));
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE))
        .hasMessageContaining("does not lie beside");
    Files.writeString(f, json("data:;base64,AAAA", ""));
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE)).hasMessageContaining("room for");
    byte[] glb = binary(json("", ""));
    Path cut = Files.write(dir.resolve("x.glb"), Arrays.copyOf(glb, glb.length - 20));
    assertThatThrownBy(() -> Intake.read(cut, Progress.NONE)).hasMessageContaining("ends after");
  }

  @Test
  void nodesThatContainEachOtherComeToAnEnd() throws IOException {
    String loop = json("", "").replace("\"name\":\"Slab\",", "\"children\":[0],");
    Path f = Files.write(dir.resolve("l.glb"), binary(loop));
    assertThatThrownBy(() -> Intake.read(f, Progress.NONE))
        .hasMessageContaining("contain each other");
  }
}
