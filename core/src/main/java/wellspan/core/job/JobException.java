package wellspan.core.job;

import java.io.IOException;

/** A job folder that cannot be used; the message is a sentence for people. */
public class JobException extends IOException {
  public JobException(String message) {
    super(message);
  }

  public JobException(String message, Throwable cause) {
    super(message, cause);
  }
}
