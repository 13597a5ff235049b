package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.PointListFormat;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.write.IfcWriter;

/** How a parcel goes into a file of one format and comes back out of it. */
interface Carrier {
  void write(Parcel parcel, Path file, String name, Clock clock, Progress progress)
      throws IOException;

  /**
   * @param position text of the position file that goes with the file
   * @return what the file holds, in shared coordinates, each item under the GlobalId it was sent
   *     with
   */
  Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException;

  /** Makes the carrier of a format. */
  interface Maker {
    /**
     * @param pictures names of the files beside it that hold pictures over surfaces, by piece
     */
    Carrier of(DeliveryFormat format, Map<String, String> pictures);
  }

  /** The carrier of every format. Another one is another line here. */
  Map<Class<? extends DeliveryFormat>, Maker> ALL =
      Map.of(
          IfcFormat.class, (f, pictures) -> new Model(pictures),
          LandXmlFormat.class, (f, pictures) -> new LandXmlCarrier(),
          DxfFormat.class, (f, pictures) -> new DxfCarrier((DxfFormat) f),
          PointListFormat.class, (f, pictures) -> new PointListCarrier());

  /**
   * @param pictures names of the files beside it that hold pictures over surfaces, by piece
   */
  static Carrier of(Parcel parcel, Map<String, String> pictures) {
    return ALL.get(parcel.format().getClass()).of(parcel.format(), pictures);
  }

  /** A model says everything itself. */
  record Model(Map<String, String> pictures) implements Carrier {
    @Override
    public void write(Parcel parcel, Path file, String name, Clock clock, Progress progress)
        throws IOException {
      IfcWriter.write(parcel, pictures, file, name, clock, progress);
    }

    @Override
    public Received readBack(Parcel parcel, Path file, String position, Progress progress)
        throws IOException {
      return IfcReader.read(file, progress);
    }
  }
}
