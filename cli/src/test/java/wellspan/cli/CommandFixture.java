package wellspan.cli;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;

/** Runs commands and keeps what they print. */
abstract class CommandFixture {
  @TempDir Path dir;
  final StringWriter out = new StringWriter();
  final StringWriter err = new StringWriter();

  int run(String... args) {
    out.getBuffer().setLength(0);
    err.getBuffer().setLength(0);
    return Main.run(args, new PrintWriter(out), new PrintWriter(err));
  }

  JsonNode json() throws IOException {
    return new ObjectMapper().readTree(out.toString());
  }
}
