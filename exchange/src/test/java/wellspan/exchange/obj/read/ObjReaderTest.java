package wellspan.exchange.obj.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.Intake;

class ObjReaderTest {
  @TempDir Path dir;

  private Received read(String text) throws IOException {
    return Intake.read(Files.writeString(dir.resolve("m.obj"), text), Progress.NONE);
  }

  @Test
  void groupsBecomeSurfacesAndPolygonsTriangles() throws IOException {
    Received r =
        read(
            """
            # made by hand
            mtllib none.mtl
            o Pad
            v 0 0 1
            v 10 0 1
            v 10 10 1
            v 0 10 1
            vt 0 0
            f 1/1 2/1/1 3//1 4
            o Ramp
            v 20 0 3
            f -1 2 \\
              3
            curv 1 2
            """);
    assertThat(r.items()).extracting(Item::name).containsExactly("Pad", "Ramp");
    Shape.Faces pad = (Shape.Faces) r.items().getFirst().shape();
    assertThat(pad.mesh().triangleCount()).isEqualTo(2);
    assertThat(pad.mesh().planArea()).isCloseTo(100, within(1e-9));
    assertThat(pad.mesh().vertexCount()).isEqualTo(4);
    assertThat(r.findings()).extracting(f -> f.code()).contains("units.missing", "obj.unread");
  }

  @Test
  void whatIsWrongIsNamedWithItsLine() {
    assertThatThrownBy(() -> read("v 0 0 0\nv 1 NaN 0\n")).hasMessageContaining("line 2");
    assertThatThrownBy(() -> read("v 0 0 0\nf 1 2 3\n")).hasMessageContaining("vertex 2");
    assertThatThrownBy(() -> read("v 0 0 0\nf 1 1\n")).hasMessageContaining("three corners");
  }
}
