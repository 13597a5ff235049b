package wellspan.exchange.obj.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.FaceFinishes;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;

/** What mesh formats say beside their triangles. */
class MaterialsTest {
  private static final String BOX =
      """
      mtllib m.mtl
      v 0 0 0
      v 1 0 0
      v 1 1 0
      v 0 1 0
      v 0 0 1
      v 1 0 1
      v 1 1 1
      v 0 1 1
      g Kerb
      usemtl Granite
      f 1 4 3 2
      f 5 6 7 8
      f 1 2 6 5
      f 2 3 7 6
      f 3 4 8 7
      f 4 1 5 8
      g Lawn
      usemtl Unknown
      f 1 2 3 4
      """;

  @TempDir Path dir;

  private static Description said(Received r, int item) {
    return r.items().get(item).said();
  }

  @Test
  void facesOfAGroupKeepTheirMaterials() throws IOException {
    Files.writeString(
        dir.resolve("m.mtl"), "newmtl Granite\nKd 0.5 0.25 1\nnewmtl Lead\nKd 0 0 1\n");
    String two = BOX.replace("f 4 1 5 8\n", "usemtl Lead\nf 4 1 5 8\n");
    Item kerb =
        Intake.read(Files.writeString(dir.resolve("a.obj"), two), Progress.NONE).items().getFirst();
    assertThat(kerb.said().finish()).contains(new Finish("Granite, Lead", 0x8040FF));
    assertThat(FaceFinishes.of(kerb.shape()).orElseThrow().parts(kerb.triangles().orElseThrow()))
        .satisfiesExactly(
            p -> assertThat(p.mesh().triangleCount()).isEqualTo(10),
            p -> {
              assertThat(p.finish()).contains(new Finish("Lead", 0x0000FF));
              assertThat(p.mesh().triangleCount()).isEqualTo(2);
            });
  }

  @Test
  void groupsAreBodiesOrSheetsOfTheirMaterials() throws IOException {
    Files.writeString(dir.resolve("m.mtl"), "newmtl Granite\nKd 0.5 0.25 1\n");
    Received r = Intake.read(Files.writeString(dir.resolve("a.obj"), BOX), Progress.NONE);
    assertThat(r.items().getFirst()).extracting(i -> i.kind().title()).isEqualTo("body");
    assertThat(r.items().get(1)).extracting(i -> i.kind().title()).isEqualTo("terrain surface");
    assertThat(said(r, 0).finish()).contains(new Finish("Granite", 0x8040FF));
    assertThat(said(r, 1).finish().orElseThrow().material()).isEqualTo("Unknown");
    assertThat(r.beside()).containsExactly("m.mtl");
  }

  @Test
  void aLibraryElsewhereIsNamedAndNotOpened() throws IOException {
    Path inner = Files.createDirectories(dir.resolve("in"));
    Files.writeString(dir.resolve("m.mtl"), "newmtl Granite\nKd 0 0 0\n");
    Path file = Files.writeString(inner.resolve("a.obj"), BOX.replace("m.mtl", "../m.mtl"));
    Received r = Intake.read(file, Progress.NONE);
    assertThat(r.findings()).anySatisfy(f -> assertThat(f.message()).contains("../m.mtl"));
    assertThat(r.beside()).isEmpty();
  }

  @Test
  void textInUtf16SaysSo() throws IOException {
    Path file = Files.write(dir.resolve("a.obj"), BOX.getBytes(StandardCharsets.UTF_16));
    assertThatThrownBy(() -> Intake.read(file, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("UTF-16");
  }

  @Test
  void aNodeBringsItsMaterialAndFactsAndTheRestIsNamed() throws IOException {
    java.nio.ByteBuffer b =
        java.nio.ByteBuffer.allocate(36).order(java.nio.ByteOrder.LITTLE_ENDIAN);
    for (float f : new float[] {0, 0, 0, 1, 0, 0, 0, 0, -1}) {
      b.putFloat(f);
    }
    String gltf =
        """
        {"asset":{"version":"2.0"},"scenes":[{"nodes":[0]}],
         "nodes":[{"name":"Slab","mesh":0,"extras":{"course":3,"checked":true}}],
         "meshes":[{"extras":{"owner":"Town"},"primitives":[{"attributes":{"POSITION":0,"COLOR_0":0},"material":0}]}],
         "materials":[{"name":"Concrete","pbrMetallicRoughness":{"baseColorFactor":[1,0,0.2158605,1]}}],
         "animations":[{}],
         "accessors":[{"bufferView":0,"componentType":5126,"count":3,"type":"VEC3"}],
         "bufferViews":[{"buffer":0,"byteLength":36}],
         "buffers":[{"byteLength":36,"uri":"%s"}]}
        """;
    String data =
        "data:application/octet-stream;base64," + Base64.getEncoder().encodeToString(b.array());
    Received r =
        Intake.read(Files.writeString(dir.resolve("a.gltf"), gltf.formatted(data)), Progress.NONE);
    assertThat(said(r, 0).finish()).contains(new Finish("Concrete", 0xFF0080));
    assertThat(said(r, 0).propertySets().getFirst().values())
        .containsEntry("course", new PropertyValue.Count(3))
        .containsEntry("checked", new PropertyValue.Flag(true))
        .containsEntry("owner", new PropertyValue.Label("Town"));
    assertThat(r.findings())
        .anySatisfy(f -> assertThat(f.message()).contains("animations"))
        .anySatisfy(f -> assertThat(f.message()).contains("colours at their vertices"));
    Files.write(dir.resolve("own part.bin"), b.array());
    Path beside = Files.writeString(dir.resolve("b.gltf"), gltf.formatted("own%20part.bin"));
    assertThat(Intake.read(beside, Progress.NONE).beside()).containsExactly("own part.bin");
    Path away = Files.createDirectories(dir.resolve("in"));
    Path outside = Files.writeString(away.resolve("c.gltf"), gltf.formatted("../own%20part.bin"));
    assertThatThrownBy(() -> Intake.read(outside, Progress.NONE))
        .hasMessageContaining("does not lie beside it");
  }
}
