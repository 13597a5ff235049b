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
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.place.Placer;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.proof.FileProof;
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
 */
public record FilesProven(Received sent, Received arrived, Proof proof) {

  /**
   * @throws ReadException with a sentence, if one of the files cannot be read
   */
  public static FilesProven compare(Path sent, Path arrived, Progress progress) throws IOException {
    return compare(placed(sent, progress.part(0, 0.4)), arrived, progress.part(0.4, 1));
  }

  /** The same with what was sent at hand. */
  public static FilesProven compare(Received sent, Path arrived, Progress progress)
      throws IOException {
    Received came = inSystem(placed(arrived, progress.part(0, 0.6)), sent.crs());
    return new FilesProven(sent, came, FileProof.compare(sent, came, progress.part(0.6, 1)));
  }

  /** A file in shared coordinates, by the position file beside it where it has one. */
  private static Received placed(Path file, Progress progress) throws IOException {
    Received read = Intake.read(file, progress);
    String stem = FileStem.withoutEnding(String.valueOf(file.getFileName()));
    Path position = file.resolveSibling(stem + ".position.json");
    if (read.frame().filter(f -> !f.crs().isEmpty()).isPresent()
        || !Files.isRegularFile(position)) {
      return read;
    }
    Frame told;
    try {
      JsonNode n = new ObjectMapper().readTree(Files.readString(position));
      told = FrameJson.read(n.path("frame"));
    } catch (JsonProcessingException | IllegalArgumentException e) {
      throw new ReadException(position, "this is no position file, or it is damaged.", e);
    }
    SourcePlacement local =
        SourcePlacement.SHARED
            .withUnitFactor(read.unit().isEmpty() ? told.unit().metres() : 1)
            .withWhere(
                new SourcePlacement.Where.Local(
                    told.basePoint(), told.rotationDegrees(), told.scale()));
    Received shared = Placer.place(stem, read, local, told);
    return new Received(
            shared.format(),
            told.crs(),
            shared.unit(),
            shared.entries(),
            shared.layers(),
            shared.counts(),
            shared.findings(),
            List.of(PlaceStatement.ofFrame(50, "the position file", "", told)))
        .with(shared.beside());
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
