package wellspan.exchange.cache;

import com.esotericsoftware.kryo.KryoException;
import com.esotericsoftware.kryo.io.Input;
import com.esotericsoftware.kryo.io.Output;
import java.io.DataInputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.zip.CRC32C;
import java.util.zip.CheckedInputStream;
import java.util.zip.CheckedOutputStream;
import wellspan.core.progress.Progress;

/** One result in one file: a mark, a check sum of the rest, the rest. */
final class ResultFile {
  private static final byte[] MARK = "wellspan result 3\n".getBytes(StandardCharsets.US_ASCII);
  private static final int BUFFER = 1 << 16;

  private ResultFile() {}

  /**
   * @throws java.util.concurrent.CancellationException if cancelled; the file is cut off then
   */
  static void write(Path file, Object result, Progress progress) throws IOException {
    CRC32C sum = new CRC32C();
    try (OutputStream out = Files.newOutputStream(file)) {
      out.write(MARK);
      out.write(new byte[Long.BYTES]);
      Output data =
          new Output(new CheckedOutputStream(new Cancellable(out, progress), sum), BUFFER);
      ResultCodec.fresh().writeClassAndObject(data, result);
      data.flush();
    } catch (KryoException | IllegalArgumentException e) {
      progress.checkCancelled();
      throw new IOException("A result cannot be kept: " + e.getMessage(), e);
    }
    try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "rw")) {
      f.seek(MARK.length);
      f.writeLong(sum.getValue());
    }
  }

  /** Stops what writes to it once that is no longer wanted. */
  private static final class Cancellable extends FilterOutputStream {
    private final Progress progress;

    Cancellable(OutputStream out, Progress progress) {
      super(out);
      this.progress = progress;
    }

    @Override
    public void write(byte[] bytes, int from, int length) throws IOException {
      progress.checkCancelled();
      out.write(bytes, from, length);
    }
  }

  /** Empty if it is damaged or of another make. */
  static Optional<Object> read(Path file) throws IOException {
    if (!isSound(file)) {
      return Optional.empty();
    }
    try (InputStream in = Files.newInputStream(file)) {
      in.skipNBytes(MARK.length + Long.BYTES);
      return Optional.ofNullable(ResultCodec.fresh().readClassAndObject(new Input(in, BUFFER)));
    } catch (KryoException | IllegalArgumentException | IndexOutOfBoundsException e) {
      return Optional.empty();
    }
  }

  /** Before anything of it is believed, so that nothing is made of damaged data. */
  private static boolean isSound(Path file) throws IOException {
    CRC32C sum = new CRC32C();
    try (DataInputStream in = new DataInputStream(Files.newInputStream(file))) {
      if (!java.util.Arrays.equals(in.readNBytes(MARK.length), MARK)
          || in.available() < Long.BYTES) {
        return false;
      }
      long stated = in.readLong();
      try (InputStream data = new CheckedInputStream(in, sum)) {
        byte[] buffer = new byte[BUFFER];
        while (data.read(buffer) >= 0) {
          // the sum is what counts
        }
      }
      return sum.getValue() == stated;
    }
  }
}
