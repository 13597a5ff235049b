package wellspan.core.job;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/**
 * Unsaved edits, one line of JSON each, with the digest of the saved state that they continue. Each
 * line is synced before the edit counts as done. A line cut short by a crash is ignored.
 */
public record Journal(Path file) {
  private static final ObjectMapper JSON = new ObjectMapper();

  /** What a journal holds beyond the saved state. */
  public record Recovered(Job job, int edits, String lastEdit) {}

  void append(String base, String what, Job job) throws IOException {
    ObjectNode line = JSON.createObjectNode();
    line.put("base", base).put("what", what).set("job", JobJson.node(job));
    // a line cut short by a crash ends here, so that it takes nothing written later with it
    String start = endsWithLine() ? "" : "\n";
    byte[] bytes = (start + JSON.writeValueAsString(line) + "\n").getBytes(StandardCharsets.UTF_8);
    try (FileChannel out =
        FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.APPEND)) {
      ByteBuffer buffer = ByteBuffer.wrap(bytes);
      while (buffer.hasRemaining()) {
        out.write(buffer);
      }
      out.force(true);
    }
  }

  private boolean endsWithLine() throws IOException {
    if (!Files.exists(file) || Files.size(file) == 0) {
      return true;
    }
    try (SeekableByteChannel in = Files.newByteChannel(file)) {
      ByteBuffer last = ByteBuffer.allocate(1);
      in.position(in.size() - 1).read(last);
      return last.get(0) == '\n';
    }
  }

  Optional<Recovered> recover(String base) throws IOException {
    if (!Files.exists(file)) {
      return Optional.empty();
    }
    Recovered last = null;
    int edits = 0;
    for (String line : new String(Files.readAllBytes(file), StandardCharsets.UTF_8).split("\n")) {
      try {
        JsonNode n = JSON.readTree(line);
        if (n != null && base.equals(n.path("base").asText())) {
          edits++;
          last =
              new Recovered(
                  JobReading.read(n.path("job"), file.toString()).job(),
                  edits,
                  n.path("what").asText());
        }
      } catch (JsonProcessingException | JobException e) {
        // written when a process ended; every other line counts
      }
    }
    return Optional.ofNullable(last);
  }

  public void discard() throws IOException {
    Files.deleteIfExists(file);
  }
}
