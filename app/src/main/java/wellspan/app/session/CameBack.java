package wellspan.app.session;

import java.io.IOException;
import java.nio.file.Path;
import wellspan.core.progress.Progress;
import wellspan.exchange.proving.FilesProven;

/**
 * A file that came back from a receiver, compared with what was sent.
 *
 * @param sent the file that the delivery had left
 * @param pictured the same for the stage
 */
public record CameBack(Path file, Path sent, FilesProven proven, SentAndArrived pictured) {

  static CameBack compare(Path sent, Path file, Progress progress) throws IOException {
    FilesProven proven = FilesProven.compare(sent, file, progress.part(0, 0.9));
    return new CameBack(file, sent, proven, SentAndArrived.of(proven, progress.part(0.9, 1)));
  }
}
