package wellspan.exchange.delivery;

import static wellspan.core.finding.Stop.DELIVER;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import wellspan.core.attribute.Finish;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Layer;
import wellspan.core.receive.Received;
import wellspan.exchange.dxf.read.DxfReader;
import wellspan.exchange.dxf.write.DxfWriter;
import wellspan.exchange.dxf.write.LayerLook;
import wellspan.exchange.dxf.write.LayerNames;

/**
 * Carries every item on the layer that it was received on, or on one of its own name. Faces, lines
 * and points may share a layer; two items of one of these cannot.
 */
record DxfCarrier(DxfFormat format) implements Carrier {
  /** Colours of layers by the bands of items, as numbers of the format's own palette. */
  private static final int[] COLOURS = {1, 40, 6, 5, 8, 9, 32, 34, 7};

  private Map<String, String> names(Parcel parcel) {
    return new FileNames(
            p -> p.item().layer().isEmpty() ? p.item().name() : p.item().layer(),
            LayerNames.of(format.release()),
            FileNames::drawn,
            LayerNames.unique(format.release()))
        .of(parcel);
  }

  /** A layer has the colour of the first piece on it. */
  private Map<String, LayerLook> looks(Parcel parcel) {
    Map<String, String> names = names(parcel);
    Map<String, LayerLook> byName = new HashMap<>();
    Map<String, LayerLook> out = new HashMap<>();
    for (Parcel.Piece p : parcel.pieces()) {
      int rgb =
          format.release() == DxfRelease.R2018
              ? p.description().finish().map(Finish::rgb).orElse(-1)
              : -1;
      out.put(
          p.key(),
          byName.computeIfAbsent(
              names.get(p.key()),
              n -> new LayerLook(n, COLOURS[p.item().kind().stratum().ordinal()], rgb)));
    }
    return out;
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
    DxfWriter.write(parcel, format, looks(parcel), file, progress);
  }

  @Override
  public Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException {
    Received read = DxfReader.read(file, progress);
    Received shared = ReadBack.inShared(read, ReadBack.frame(position), !read.unit().isEmpty());
    Received identified =
        ReadBack.identified(shared, parcel, names(parcel), FileNames::drawn, Item::layer);
    List<Finding> findings = new ArrayList<>(identified.findings());
    findings.addAll(colours(looks(parcel), read.layers()));
    return identified.withItems(identified.items(), findings);
  }

  /** Colours that layers did not arrive with. */
  private static List<Finding> colours(Map<String, LayerLook> sent, List<Layer> arrived) {
    Map<String, Integer> there = new HashMap<>();
    arrived.forEach(l -> there.put(l.name(), l.rgb()));
    List<Finding> out = new ArrayList<>();
    for (LayerLook l : new java.util.LinkedHashSet<>(sent.values())) {
      int meant = l.rgb() >= 0 ? l.rgb() : DxfReader.rgb(l.index());
      Integer is = there.get(l.name());
      if (is != null && is != meant) {
        out.add(
            Finding.error(
                DELIVER,
                "proof.colour",
                l.name(),
                String.format(
                    Locale.ROOT,
                    "The layer %s was sent in the colour #%06X and arrived in #%06X.",
                    l.name(),
                    meant,
                    is)));
      }
    }
    return out;
  }
}
