package wellspan.core.deliver;

import java.util.List;
import java.util.stream.Stream;
import wellspan.core.schema.IfcSchema;

/** The formats that are described here, for tests without the module that writes them. */
public final class CoreFormats implements FormatList {
  @Override
  public List<DeliveryFormat> formats() {
    return Stream.<DeliveryFormat>of(
            new IfcFormat(IfcSchema.IFC4X3),
            new IfcFormat(IfcSchema.IFC4),
            new IfcFormat(IfcSchema.IFC2X3),
            new LandXmlFormat(),
            new DxfFormat(DxfRelease.R12, false),
            new DxfFormat(DxfRelease.R2000, false),
            new DxfFormat(DxfRelease.R2018, false),
            new DxfFormat(DxfRelease.R2018, true),
            new PointListFormat())
        .toList();
  }
}
