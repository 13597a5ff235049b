package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.job.AtomicFile;
import wellspan.core.job.Sha256;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receipt.Receipt;
import wellspan.core.receipt.ReceiptJson;
import wellspan.core.receipt.ReceiptPage;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.Received;

/**
 * Writes a delivery, reads the written file back, compares, and leaves file and receipt where they
 * belong.
 */
public final class DeliveryRun {
  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("uuuuMMdd-HHmmss-SSS").withZone(ZoneOffset.UTC);

  private DeliveryRun() {}

  /**
   * The outcome of a run.
   *
   * @param arrived the file as read back
   * @param file where it lies, also if the proof failed: then beside the last good one, with the
   *     ending {@code .unproven}
   */
  public record Outcome(Receipt receipt, Parcel sent, Received arrived, Path file) {}

  /**
   * Runs a delivery of a job. A failed or cancelled run leaves the last good file.
   *
   * @param out folder for the file
   * @param receipts folder for the receipt as JSON and HTML
   * @throws IOException with a sentence, if nothing can be sent or a folder cannot be written
   */
  public static Outcome run(
      Build build, Delivery delivery, Path out, Path receipts, Clock clock, Progress progress)
      throws IOException {
    DeliveredFile.check(build.job(), delivery);
    Parcel parcel = Packing.parcel(build, delivery);
    if (parcel.pieces().isEmpty()) {
      throw new IOException(
          "The delivery "
              + delivery.name()
              + " has nothing to send. Receive a design first, or stop holding its items back.");
    }
    Outcome o =
        run(
            delivery.name(),
            parcel,
            LostAtReceiving.of(build, parcel),
            out.resolve(delivery.fileName()),
            clock,
            progress);
    Files.createDirectories(receipts);
    String name =
        delivery.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-")
            + "-"
            + STAMP.format(o.receipt().at());
    AtomicFile.write(receipts.resolve(name + ".json"), ReceiptJson.text(o.receipt()));
    AtomicFile.write(
        receipts.resolve(name + ".html"), ReceiptPage.html(build.job().name(), o.receipt()));
    return o;
  }

  /** Writes and proves one parcel. */
  public static Outcome run(String name, Parcel parcel, Path target, Clock clock, Progress progress)
      throws IOException {
    return run(name, parcel, List.of(), target, clock, progress);
  }

  /**
   * The same, with what the receipt says besides.
   *
   * @param lost what was lost or in doubt before anything was sent
   */
  public static Outcome run(
      String name, Parcel parcel, List<Finding> lost, Path target, Clock clock, Progress progress)
      throws IOException {
    Instant begin = clock.instant();
    long nanos = System.nanoTime();
    Path folder = target.toAbsolutePath().getParent();
    Files.createDirectories(folder);
    String fileName = String.valueOf(target.getFileName());
    Carrier carrier = Carriers.of(parcel.format());
    FreshFiles fresh = FreshFiles.of(target.toAbsolutePath(), carrier.companions());
    PicturesBeside pictures =
        PicturesBeside.write(
            parcel, folder, FileStem.withoutEnding(fileName), progress.part(0, 0.05));
    Optional<PositionBeside.Fresh> place = Optional.empty();
    boolean delivered = false;
    try {
      carrier.write(
          parcel, pictures.names(), fresh.main(), fileName, clock, progress.part(0.05, 0.45));
      if (!parcel.format().saysPlace(parcel.frame())) {
        place = Optional.of(PositionBeside.write(parcel, target.toAbsolutePath()));
      }
      String position = place.isPresent() ? place.get().read() : "";
      Received arrived = carrier.readBack(parcel, fresh.main(), position, progress.part(0.45, 0.8));
      Proof proof = Prover.compare(parcel, arrived, progress.part(0.8, 0.9)).with(lost);
      Path kept = proof.pass() ? target : folder.resolve(fileName + ".unproven");
      List<Receipt.SentFile> files = new ArrayList<>();
      files.add(sent(kept, fresh.main(), progress.part(0.9, 1)));
      for (Map.Entry<Path, Path> c : fresh.companions(kept).entrySet()) {
        files.add(sent(c.getValue(), c.getKey(), Progress.NONE));
      }
      for (Path p : pictures.files()) {
        files.add(sent(p, p, Progress.NONE));
      }
      fresh.keep(kept); // from here on it is delivered and cannot be cancelled
      delivered = true;
      if (place.isPresent()) {
        for (Path p : place.get().keep()) {
          files.add(sent(p, p, Progress.NONE));
        }
      }
      Receipt receipt =
          new Receipt(
              name,
              parcel.format().id(),
              begin,
              (System.nanoTime() - nanos) / 1e9,
              parcel.frame(),
              files,
              contents(parcel),
              proof);
      return new Outcome(receipt, parcel, arrived, kept);
    } finally {
      if (!delivered) {
        pictures.discard();
      }
      fresh.discard();
      if (place.isPresent()) {
        place.get().discard();
      }
    }
  }

  private static Receipt.SentFile sent(Path name, Path file, Progress progress) throws IOException {
    return new Receipt.SentFile(
        String.valueOf(name.getFileName()), Files.size(file), Sha256.of(file, progress));
  }

  private static Map<String, String> contents(Parcel parcel) {
    Map<String, String> out = new TreeMap<>();
    parcel.pieces().forEach(p -> out.put(p.key(), p.fingerprint()));
    return out;
  }
}
