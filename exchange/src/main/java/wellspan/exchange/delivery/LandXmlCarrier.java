package wellspan.exchange.delivery;

import static wellspan.core.finding.Stop.DELIVER;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Boundaries;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.UniqueNames;
import wellspan.exchange.landxml.read.LandXmlReader;
import wellspan.exchange.landxml.write.LandXmlWriter;

/** Carries surfaces, alignments, points and lines as LandXML. */
record LandXmlCarrier(LandXmlFormat format) implements Carrier {
  private static Map<String, String> names(Parcel parcel) {
    return new FileNames(p -> p.item().name(), n -> n, FileNames::kind, new UniqueNames())
        .of(parcel);
  }

  @Override
  public void write(
      Parcel parcel,
      Map<String, String> pictures,
      Path file,
      String name,
      Clock clock,
      Progress progress)
      throws IOException {
    LandXmlWriter.write(parcel, names(parcel), file, clock, progress);
  }

  @Override
  public Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException {
    Frame told = ReadBack.frame(position);
    Received read = withoutBoundaries(LandXmlReader.read(file, progress));
    return ReadBack.identified(
        ReadBack.inShared(read, told, true), parcel, names(parcel), FileNames::kind, e -> e.name());
  }

  /**
   * The boundaries of a surface are written beside it for receivers that want them. They are no
   * items; they must be where the arrived surface ends.
   */
  private static Received withoutBoundaries(Received file) {
    Map<String, Boundaries> given = new HashMap<>();
    List<Item> entries = new ArrayList<>();
    for (Item e : file.items()) {
      Optional<Boundaries> b = Boundaries.of(e);
      b.ifPresent(x -> given.put(x.surface(), x));
      if (b.isEmpty()) {
        entries.add(e);
      }
    }
    List<Finding> findings = new ArrayList<>(file.findings());
    for (Item e : entries) {
      if (e.kind().is(Kind.TERRAIN) && e.shape() instanceof Shape.Faces s) {
        given
            .getOrDefault(e.name(), new Boundaries(e.name(), List.of(), List.of()))
            .fault(s.mesh())
            .ifPresent(
                fault ->
                    findings.add(
                        Finding.error(
                            DELIVER, "proof.geometry", e.name(), e.name() + ": " + fault + ".")));
      }
    }
    return file.withItems(entries, findings);
  }
}
