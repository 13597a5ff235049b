package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.landxml.LandXmlReader;
import wellspan.exchange.landxml.write.LandXmlWriter;

/** Carries surfaces, alignments, points and lines as LandXML. */
record LandXmlCarrier() implements Carrier {
  private static Map<String, String> names(Parcel parcel) {
    return FileNames.of(parcel, n -> n, true);
  }

  @Override
  public void write(Parcel parcel, Path file, String name, Clock clock, Progress progress)
      throws IOException {
    LandXmlWriter.write(parcel, names(parcel), file, clock, progress);
  }

  @Override
  public Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException {
    Frame told = Told.frame(position);
    Received shared = Told.inShared(LandXmlReader.read(file, progress), told, true);
    return Told.described(withoutOutlines(shared), parcel, names(parcel), true);
  }

  /**
   * The outlines of a surface are written beside it for receivers that want them. Where they are
   * those of the surface that arrived they say nothing new; otherwise they stay and fail the proof.
   */
  private static Received withoutOutlines(Received file) {
    Map<String, Mesh> surfaces = new HashMap<>();
    for (Item i : file.items()) {
      if (i instanceof Item.TerrainSurface s) {
        surfaces.put(s.name() + LandXmlReader.OUTLINES, s.mesh());
      }
    }
    List<Received.Entry> entries = new ArrayList<>(file.entries());
    entries.removeIf(
        e ->
            e.item() instanceof Item.StringLine l
                && surfaces.containsKey(l.name())
                && same(LandXmlWriter.outlines(surfaces.get(l.name())), l.lines()));
    return file.withEntries(entries, file.findings());
  }

  private static boolean same(List<Polyline> a, List<Polyline> b) {
    if (a.size() != b.size()) {
      return false;
    }
    for (int i = 0; i < a.size(); i++) {
      if (!Arrays.equals(a.get(i).xyz(), b.get(i).xyz())) {
        return false;
      }
    }
    return true;
  }
}
