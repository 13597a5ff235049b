package wellspan.exchange.proving;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.place.Placer;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.proof.FileProof;
import wellspan.core.proof.ItemPair;
import wellspan.core.proof.Proof;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;

/**
 * Two files compared.
 *
 * @param sent what was meant, in shared coordinates
 * @param arrived what is judged, in the same system where both say theirs
 * @param pairs which item of one was compared with which of the other
 * @param tolerance up to which two places are the same in both formats, metres
 */
public record FilesProven(
    Received sent, Received arrived, Proof proof, List<ItemPair> pairs, double tolerance) {

  /**
   * @throws ReadException with a sentence, if one of the files cannot be read
   */
  public static FilesProven compare(Path sent, Path arrived, Progress progress) throws IOException {
    Placed meant = placed(sent, progress.part(0, 0.4));
    return compare(meant.file(), meant.frame(), arrived, progress.part(0.4, 1));
  }

  /** The same with what was sent at hand, in shared coordinates. */
  public static FilesProven compare(Received sent, Path arrived, Progress progress)
      throws IOException {
    return compare(sent, sent.frame(), arrived, progress);
  }

  private static FilesProven compare(
      Received sent, Optional<Frame> frame, Path arrived, Progress progress) throws IOException {
    Placed came = placed(arrived, progress.part(0, 0.6));
    Optional<Received> there =
        saysNothing(came)
            ? frame.flatMap(f -> whereSentLies(came.file(), sent, f))
            : Optional.empty();
    Received file = there.orElseGet(() -> inSystem(came.file(), sent.crs()));
    FileProof.Result result = FileProof.compare(sent, file, progress.part(0.6, 1));
    return new FilesProven(
        sent,
        file,
        there.isPresent() ? result.proof().with(List.of(taken(arrived))) : result.proof(),
        result.pairs(),
        result.tolerance());
  }

  private static Finding taken(Path file) {
    return Finding.warning(
        Stop.DELIVER,
        "prove.frame",
        "",
        file.getFileName()
            + " does not say where it lies. It is compared as if it lay in the frame of what was sent.");
  }

  /**
   * A file in shared coordinates.
   *
   * @param frame the frame that it or the position file beside it tells
   */
  private record Placed(Received file, Optional<Frame> frame) {}

  private static boolean saysNothing(Placed p) {
    return p.frame().isEmpty() && p.file().crs().isEmpty();
  }

  /**
   * A file that does not say where it lies is taken in the frame of what was sent, if it lies there
   * then and not as it stands; so a drawing that comes back in local coordinates can be judged.
   */
  private static Optional<Received> whereSentLies(Received file, Received sent, Frame frame) {
    Received there = inFrame(file, "the file", frame);
    return !file.bounds().overlapsPlan(sent.bounds()) && there.bounds().overlapsPlan(sent.bounds())
        ? Optional.of(there)
        : Optional.empty();
  }

  /** A file in shared coordinates, by the position file beside it where it has one. */
  private static Placed placed(Path file, Progress progress) throws IOException {
    Received read = Intake.read(file, progress);
    String stem = FileStem.withoutEnding(String.valueOf(file.getFileName()));
    Path position = file.resolveSibling(stem + ".position.json");
    if (read.frame().filter(f -> !f.crs().isEmpty()).isPresent()
        || !Files.isRegularFile(position)) {
      return new Placed(read, read.frame());
    }
    Frame told;
    try {
      JsonNode n = new ObjectMapper().readTree(Files.readString(position));
      told = FrameJson.read(n.path("frame"));
    } catch (JsonProcessingException | IllegalArgumentException e) {
      throw new ReadException(position, "this is no position file, or it is damaged.", e);
    }
    return new Placed(inFrame(read, stem, told), Optional.of(told));
  }

  /** A file whose coordinates are local to a frame, in shared ones. */
  private static Received inFrame(Received read, String stem, Frame frame) {
    SourcePlacement local =
        SourcePlacement.SHARED
            .withUnitFactor(read.unit().isEmpty() ? frame.unit().metres() : 1)
            .withWhere(
                new SourcePlacement.Where.Local(
                    frame.basePoint(), frame.rotationDegrees(), frame.scale()));
    Received shared = Placer.place(stem, read, local, frame);
    return new Received(
            shared.format(),
            frame.crs(),
            shared.unit(),
            shared.items(),
            shared.layers(),
            shared.counts(),
            shared.findings(),
            List.of(PlaceStatement.ofFrame(50, "the position file", "", frame)))
        .with(shared.beside())
        .of(shared.root());
  }

  /** Brings a file into a system, where both are known and differ. */
  private static Received inSystem(Received file, String crs) {
    Optional<Crs> from = CrsCatalogue.shipped().find(file.crs());
    Optional<Crs> to = CrsCatalogue.shipped().find(crs);
    if (from.isEmpty() || to.isEmpty() || from.get().equals(to.get())) {
      return file;
    }
    return Placer.place(
        "the file",
        file,
        SourcePlacement.SHARED.withWhere(new SourcePlacement.Where.InSystem(file.crs(), "")),
        Frame.UNPLACED.withCrs(crs));
  }
}
