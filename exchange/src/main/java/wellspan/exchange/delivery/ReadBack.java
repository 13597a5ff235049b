package wellspan.exchange.delivery;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import wellspan.core.attribute.Description;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.item.Item;
import wellspan.core.place.Placer;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;

/** What a file says together with the position file beside it. */
final class ReadBack {
  private ReadBack() {}

  static Frame frame(String position) throws IOException {
    return FrameJson.read(new ObjectMapper().readTree(position).path("frame"));
  }

  /**
   * The content of a file in shared coordinates. Where the file says its system itself that must be
   * the one of the position file; the frame tells both apart.
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
    Frame said = file.crs().isEmpty() ? told : told.withCrs(file.crs(), told.definition());
    String heights = file.frame().map(Frame::verticalDatum).orElse("");
    said = heights.isEmpty() ? said : said.withVerticalDatum(heights);
    return new Received(
            placed.format(),
            said.crs(),
            placed.unit(),
            placed.items(),
            placed.layers(),
            placed.counts(),
            placed.findings().stream()
                .filter(f -> f.isError() || f.stop() == Stop.DELIVER)
                .toList(),
            List.of(PlaceStatement.ofFrame(50, "the position file", "", said)))
        .of(file.root());
  }

  /**
   * Gives every item the GlobalId of the piece that has its name in the file, so that they can be
   * paired. What the file says of it stays.
   *
   * @param names of the pieces in the file, by their keys
   * @param group pieces of different groups may share a name
   * @param name of an entry in the file
   */
  static Received identified(
      Received file,
      Parcel parcel,
      Map<String, String> names,
      Function<Item, String> group,
      Function<Item, String> name) {
    Map<String, String> ids = new HashMap<>();
    for (Parcel.Piece p : parcel.pieces()) {
      ids.put(group.apply(p.item()) + "\u0000" + names.get(p.key()), p.description().globalId());
    }
    List<Item> entries = new ArrayList<>();
    for (Item e : file.items()) {
      String id = ids.get(group.apply(e) + "\u0000" + name.apply(e));
      Description said = e.said();
      entries.add(id == null ? e : e.on(e.layer()).saying(said.withGlobalId(id)));
    }
    return file.withItems(entries, file.findings());
  }
}
