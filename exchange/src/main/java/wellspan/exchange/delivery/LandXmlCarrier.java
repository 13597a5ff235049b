package wellspan.exchange.delivery;

import static wellspan.core.finding.Stop.DELIVER;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Boundaries;
import wellspan.core.proof.OutlineCheck;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.UniqueNames;
import wellspan.exchange.landxml.read.LandXmlReader;
import wellspan.exchange.landxml.write.Companions;
import wellspan.exchange.landxml.write.LandXmlWriter;

/** Carries surfaces, alignments with cross sections, networks, points and lines as LandXML. */
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
    Map<String, String> names = names(parcel);
    LandXmlWriter.write(parcel, names, Companions.of(parcel, names), file, clock, progress);
  }

  @Override
  public Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException {
    Frame told = ReadBack.frame(position);
    Map<String, String> names = names(parcel);
    Companions companions = Companions.of(parcel, names);
    Received read = withoutBoundaries(LandXmlReader.read(file, progress));
    List<Item> own = read.items().stream().filter(e -> !companions.has(e)).toList();
    Received there = ReadBack.inShared(read.withItems(own, read.findings()), told, true);
    List<Item> made =
        format.asSent(there.items()).stream().map(LandXmlCarrier::asReceived).toList();
    return ReadBack.identified(
        there.withItems(made, there.findings()), parcel, names, FileNames::kind, e -> e.name());
  }

  /** Without what a reader works out of curves and measures, which the file does not say. */
  private static Item asReceived(Item e) {
    Set<String> anew = new HashSet<>();
    LandXmlFormat.made(e).ifPresent(m -> m.facts().forEach(s -> anew.add(s.name())));
    return anew.isEmpty()
        ? e
        : e.saying(
            e.said()
                .withSets(
                    e.said().propertySets().stream()
                        .filter(s -> !anew.contains(s.name()))
                        .toList()));
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
        OutlineCheck check =
            given
                .getOrDefault(e.name(), new Boundaries(e.name(), List.of(), List.of()))
                .against(s.mesh());
        check
            .fault()
            .ifPresent(
                fault ->
                    findings.add(
                        Finding.error(
                            DELIVER, "proof.geometry", e.name(), e.name() + ": " + fault + ".")));
        if (check.unsaid() > 0) {
          findings.add(
              Finding.note(
                  DELIVER,
                  "landxml.boundary",
                  e.name(),
                  e.name()
                      + ": more than two triangles meet at an edge; "
                      + check.unsaid()
                      + " edges where it ends make no closed line and are in no boundary."));
        }
      }
    }
    return file.withItems(entries, findings);
  }
}
