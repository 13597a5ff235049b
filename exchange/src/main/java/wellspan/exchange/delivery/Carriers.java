package wellspan.exchange.delivery;

import java.util.List;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.FormatList;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.PointListFormat;
import wellspan.core.deliver.ShapefileFormat;
import wellspan.core.schema.IfcSchema;

/**
 * The list of formats to deliver in. Another one is another line here: losses, manifest, {@code
 * convert}, file names, proof and the choice in the window follow from it.
 */
public final class Carriers implements FormatList {
  private static final List<Carrier> ALL =
      List.of(
          new ModelCarrier(new IfcFormat(IfcSchema.IFC4X3)),
          new ModelCarrier(new IfcFormat(IfcSchema.IFC4X3, true)),
          new ModelCarrier(new IfcFormat(IfcSchema.IFC4)),
          new ModelCarrier(new IfcFormat(IfcSchema.IFC2X3)),
          new LandXmlCarrier(new LandXmlFormat()),
          new DxfCarrier(new DxfFormat(DxfRelease.R12, false)),
          new DxfCarrier(new DxfFormat(DxfRelease.R2000, false)),
          new DxfCarrier(new DxfFormat(DxfRelease.R2018, false)),
          new DxfCarrier(new DxfFormat(DxfRelease.R2018, true)),
          new PointListCarrier(new PointListFormat()),
          new ShapefileCarrier(new ShapefileFormat()));

  @Override
  public List<DeliveryFormat> formats() {
    return ALL.stream().map(Carrier::format).toList();
  }

  /**
   * @throws IllegalArgumentException if the format has no carrier
   */
  static Carrier of(DeliveryFormat format) {
    return ALL.stream()
        .filter(c -> c.format().equals(format))
        .findFirst()
        .orElseThrow(
            () -> new IllegalArgumentException(format.title() + " cannot be written here."));
  }
}
