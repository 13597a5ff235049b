package wellspan.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FileBytesTest {
  @TempDir Path dir;

  @Test
  void bytesAreReadByTheirPlaceAndNeverBeyondTheEnd() throws IOException {
    Path f = Files.write(dir.resolve("b.bin"), new byte[] {1, 2, 3, 4, 5, 6, 7, 8});
    try (FileBytes b = new FileBytes(f)) {
      assertThat(b.size()).isEqualTo(8);
      assertThat(b.at(1, 2, ByteOrder.LITTLE_ENDIAN).getShort()).isEqualTo((short) 0x0302);
      assertThat(b.at(1, 2, ByteOrder.BIG_ENDIAN).getShort()).isEqualTo((short) 0x0203);
      assertThat(b.bytes(8, 0)).isEmpty();
      for (long[] wrong : new long[][] {{6, 3}, {-1, 2}, {0, -1}, {0, 1L << 40}}) {
        assertThatThrownBy(() -> b.bytes(wrong[0], wrong[1]))
            .isInstanceOf(ReadException.class)
            .hasMessageContaining("b.bin")
            .hasMessageContaining("ends too early");
      }
    }
  }
}
