package wellspan.exchange.file;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** Bytes of a file by their place, checked against its end. */
public final class FileBytes implements AutoCloseable {
  private final Path file;
  private final FileChannel channel;
  private final long size;

  public FileBytes(Path file) throws IOException {
    this.file = file;
    channel = FileChannel.open(file, StandardOpenOption.READ);
    size = channel.size();
  }

  public long size() {
    return size;
  }

  /**
   * @throws ReadException if the file ends before
   */
  public ByteBuffer at(long place, long length, ByteOrder order) throws IOException {
    return ByteBuffer.wrap(bytes(place, length)).order(order);
  }

  /**
   * @throws ReadException if the file ends before
   */
  public byte[] bytes(long place, long length) throws IOException {
    if (place < 0 || length < 0 || place + length > size || length > Integer.MAX_VALUE - 8) {
      throw new ReadException(file, "it ends too early or is damaged. Ask for the file again.");
    }
    byte[] out = new byte[(int) length];
    ByteBuffer b = ByteBuffer.wrap(out);
    while (b.hasRemaining()) {
      if (channel.read(b, place + b.position()) < 0) {
        throw new ReadException(file, "it ends too early or is damaged. Ask for the file again.");
      }
    }
    return out;
  }

  @Override
  public void close() throws IOException {
    channel.close();
  }
}
