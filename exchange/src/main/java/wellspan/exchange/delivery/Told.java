package wellspan.exchange.delivery;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.Description;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.place.Placer;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;

/** What a file says together with the position file beside it. */
final class Told {
  private Told() {}

  static Frame frame(String position) throws IOException {
    return FrameJson.read(new ObjectMapper().readTree(position).path("frame"));
  }

  /**
   * The content of a file in shared coordinates.
   *
   * @param inMetres whether the reader knew the unit; otherwise the position file's counts
   */
  static Received inShared(Received file, Frame told, boolean inMetres) {
    SourcePlacement local =
        SourcePlacement.SHARED
            .withUnitFactor(inMetres ? 1 : told.unit().metres())
            .withWhere(
                new SourcePlacement.Where.Local(
                    told.basePoint(), told.rotationDegrees(), told.scale()));
    Received placed = Placer.place("the file", file, local, told);
    return new Received(
        placed.format(),
        told.crs(),
        placed.unit(),
        placed.entries(),
        placed.layers(),
        placed.counts(),
        placed.findings().stream().filter(f -> f.isError()).toList(),
        List.of(PlaceStatement.ofFrame(50, "the position file", "", told)));
  }

  /**
   * Gives every item the description it was sent with, found by the name it has in the file.
   * Formats of this kind hold no classes and properties, so these are taken as sent.
   *
   * @param names of the pieces in the file, by their keys
   * @param perKind whether names are unique within a kind only
   */
  static Received described(
      Received file, Parcel parcel, Map<String, String> names, boolean perKind) {
    Map<String, Description> known = new HashMap<>();
    for (Parcel.Piece p : parcel.pieces()) {
      known.put(
          (perKind ? FileNames.kind(p.item()) : "") + "\u0000" + names.get(p.key()),
          p.description());
    }
    List<Received.Entry> entries = new ArrayList<>();
    for (Received.Entry e : file.entries()) {
      String key =
          (perKind ? FileNames.kind(e.item()) : "")
              + "\u0000"
              + (perKind ? e.item().name() : e.layer());
      entries.add(new Received.Entry(e.item(), e.layer(), Optional.ofNullable(known.get(key))));
    }
    return file.withEntries(entries, file.findings());
  }
}
