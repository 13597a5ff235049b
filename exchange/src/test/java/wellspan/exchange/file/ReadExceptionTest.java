package wellspan.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.EOFException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class ReadExceptionTest {
  private static final Path FILE = Path.of("jobs", "quay.xml");

  @Test
  void namesTheFileAndTheLineWhereItIsKnown() {
    assertThat(new ReadException(FILE, 7, "it ends.")).hasMessage("quay.xml, line 7: it ends.");
    assertThat(new ReadException(FILE, "it ends.")).hasMessage("quay.xml: it ends.");
    for (long unknown : new long[] {0, -1}) {
      assertThat(new ReadException(FILE, unknown, "it ends.")).hasMessage("quay.xml: it ends.");
      assertThat(new ReadException(FILE, unknown, "it ends.", new EOFException()))
          .hasMessage("quay.xml: it ends.")
          .hasCauseInstanceOf(EOFException.class);
    }
  }
}
