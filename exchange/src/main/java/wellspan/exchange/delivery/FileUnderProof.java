package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.deliver.Parcel;
import wellspan.core.job.Sha256;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receipt.Receipt;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.Received;

/**
 * A file that was written and read back, under a name of its own until it is kept. What is not kept
 * is taken away when it is closed.
 */
final class FileUnderProof implements AutoCloseable {
  private final Parcel sent;
  private final Path target;
  private final FreshFiles fresh;
  private final PicturesBeside pictures;
  private Optional<PositionBeside.Fresh> place = Optional.empty();
  private Received arrived;
  private Proof proof;
  private boolean kept;

  private FileUnderProof(Parcel sent, Path target, FreshFiles fresh, PicturesBeside pictures) {
    this.sent = sent;
    this.target = target;
    this.fresh = fresh;
    this.pictures = pictures;
  }

  /** Writes a parcel, reads it back and compares. */
  static FileUnderProof write(Parcel parcel, Path target, Clock clock, Progress progress)
      throws IOException {
    Path absolute = target.toAbsolutePath();
    Path folder = absolute.getParent();
    Files.createDirectories(folder);
    Carrier carrier = Carriers.of(parcel.format());
    FreshFiles fresh = FreshFiles.of(absolute, carrier.companions());
    String name = String.valueOf(target.getFileName());
    PicturesBeside pictures =
        PicturesBeside.write(parcel, folder, FileStem.withoutEnding(name), progress.part(0, 0.05));
    FileUnderProof out = new FileUnderProof(parcel, target, fresh, pictures);
    try {
      String provisional = String.valueOf(fresh.main().getFileName());
      out.prove(carrier, name, clock, progress.part(0.05, 1).naming(provisional, name));
      return out;
    } catch (IOException | RuntimeException e) {
      out.close();
      throw e;
    }
  }

  private void prove(Carrier carrier, String name, Clock clock, Progress progress)
      throws IOException {
    carrier.write(sent, pictures.names(), fresh.main(), name, clock, progress.part(0, 0.5));
    if (!sent.format().saysPlace(sent.frame())) {
      place = Optional.of(PositionBeside.write(sent, target.toAbsolutePath()));
    }
    String position = place.isPresent() ? place.get().read() : "";
    arrived = carrier.readBack(sent, fresh.main(), position, progress.part(0.5, 0.9));
    proof = Prover.compare(sent, arrived, progress.part(0.9, 1));
  }

  Parcel sent() {
    return sent;
  }

  Received arrived() {
    return arrived;
  }

  Proof proof() {
    return proof;
  }

  /** Where it is kept: what is not proven lies beside the last good file. */
  Path place(boolean proven) {
    return proven ? target : target.resolveSibling(target.getFileName() + ".unproven");
  }

  /** The files as they will be, with their digests. */
  List<Receipt.SentFile> files(boolean proven, Progress progress) throws IOException {
    List<Receipt.SentFile> out = new ArrayList<>();
    out.add(sent(place(proven), fresh.main(), progress));
    for (Map.Entry<Path, Path> c : fresh.companions(place(proven)).entrySet()) {
      out.add(sent(c.getValue(), c.getKey(), Progress.NONE));
    }
    for (Path p : pictures.files()) {
      out.add(sent(p, p, Progress.NONE));
    }
    return out;
  }

  /** Lets it take its place; files that say where it lies come with it and are returned. */
  List<Receipt.SentFile> keep(boolean proven) throws IOException {
    fresh.keep(place(proven));
    kept = true;
    List<Receipt.SentFile> out = new ArrayList<>();
    if (place.isPresent()) {
      for (Path p : place.get().keep()) {
        out.add(sent(p, p, Progress.NONE));
      }
    }
    return out;
  }

  private static Receipt.SentFile sent(Path name, Path file, Progress progress) throws IOException {
    return new Receipt.SentFile(
        String.valueOf(name.getFileName()), Files.size(file), Sha256.of(file, progress));
  }

  @Override
  public void close() throws IOException {
    if (!kept) {
      pictures.discard();
    }
    fresh.discard();
    if (place.isPresent()) {
      place.get().discard();
    }
  }
}
