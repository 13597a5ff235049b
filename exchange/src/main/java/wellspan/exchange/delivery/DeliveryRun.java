package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.Parcel;
import wellspan.core.extract.Extract;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.job.AtomicFile;
import wellspan.core.packing.Packing;
import wellspan.core.packing.RootsLeftBehind;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.receipt.Receipt;
import wellspan.core.receipt.ReceiptJson;
import wellspan.core.receipt.ReceiptPage;
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
   * @param sent what went, of all its files
   * @param arrived the files as read back, as one
   * @param files where they lie, also if the proof failed: then beside the last good ones, with the
   *     ending {@code .unproven}
   */
  public record Outcome(Receipt receipt, Parcel sent, Received arrived, List<Path> files) {

    /** The file, or the first of them. */
    public Path file() {
      return files.getFirst();
    }
  }

  /**
   * Runs a delivery of a job. A failed or cancelled run leaves the last good files; of several
   * files either all are proven and take their places, or none does.
   *
   * @param out folder for the files
   * @param receipts folder for the receipt as JSON and HTML
   * @throws IOException with a sentence, if nothing can be sent or a folder cannot be written
   */
  public static Outcome run(
      Build build, Delivery delivery, Path out, Path receipts, Clock clock, Progress progress)
      throws IOException {
    DeliveredFile.check(build.job(), delivery);
    Map<Path, Parcel> parcels = new LinkedHashMap<>();
    Set<Finding> lost = new LinkedHashSet<>();
    List<Item> sent = new ArrayList<>();
    for (Map.Entry<String, Parcel> e : Packing.parcels(build, delivery).entrySet()) {
      if (!e.getValue().pieces().isEmpty()) {
        String name = e.getKey().isEmpty() ? delivery.fileName() : delivery.fileName(e.getKey());
        DeliveredFile.checkPart(build.job(), delivery, name);
        parcels.put(out.resolve(name), e.getValue());
        lost.addAll(LostAtReceiving.of(build, e.getValue()));
        e.getValue().pieces().forEach(p -> sent.add(p.item()));
      }
    }
    if (delivery.range().isPresent()) {
      Extract.whole(sent).ifPresent(lost::add);
    }
    if (parcels.isEmpty()) {
      throw new IOException(
          "The delivery "
              + delivery.name()
              + " has nothing to send. Receive a design first, or stop holding its items back.");
    }
    lost.addAll(RootsLeftBehind.of(build, delivery));
    Outcome o = run(delivery.name(), parcels, List.copyOf(lost), clock, progress);
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
   * @param lost what was lost or in doubt before anything was sent, or is to be known
   */
  public static Outcome run(
      String name, Parcel parcel, List<Finding> lost, Path target, Clock clock, Progress progress)
      throws IOException {
    return run(name, Map.of(target, parcel), lost, clock, progress);
  }

  /** Writes and proves parcels by the files that they go to. */
  private static Outcome run(
      String name, Map<Path, Parcel> parcels, List<Finding> lost, Clock clock, Progress progress)
      throws IOException {
    Instant begin = clock.instant();
    long nanos = System.nanoTime();
    List<FileUnderProof> all = new ArrayList<>();
    try {
      for (Map.Entry<Path, Parcel> p : parcels.entrySet()) {
        double share = 0.9 / parcels.size();
        Progress of = progress.part(all.size() * share, (all.size() + 1) * share);
        all.add(FileUnderProof.write(p.getValue(), p.getKey(), clock, of));
      }
      Proof proof = Proof.together(all.stream().map(FileUnderProof::proof).toList()).with(lost);
      List<Receipt.SentFile> files = new ArrayList<>();
      for (FileUnderProof f : all) {
        files.addAll(f.files(proof.pass(), progress.part(0.9, 1)));
      }
      Map<String, String> contents = new TreeMap<>();
      for (FileUnderProof f : all) {
        files.addAll(f.keep(proof.pass())); // from the first on it cannot be cancelled
        f.sent().pieces().forEach(p -> contents.put(p.itemKey(), p.fingerprint()));
      }
      Parcel first = all.getFirst().sent();
      Receipt receipt =
          new Receipt(
              name,
              first.format().id(),
              begin,
              (System.nanoTime() - nanos) / 1e9,
              first.frame(),
              files,
              contents,
              proof);
      return new Outcome(
          receipt,
          first.withPieces(all.stream().flatMap(f -> f.sent().pieces().stream()).toList()),
          together(all.stream().map(FileUnderProof::arrived).toList()),
          all.stream().map(f -> f.place(proof.pass())).toList());
    } finally {
      for (FileUnderProof f : all) {
        f.close();
      }
    }
  }

  private static Received together(List<Received> all) {
    Received first = all.getFirst();
    return all.size() == 1
        ? first
        : first.withItems(
            all.stream().flatMap(r -> r.items().stream()).toList(),
            all.stream().flatMap(r -> r.findings().stream()).distinct().toList());
  }
}
