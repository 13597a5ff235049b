package wellspan.core.deliver;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.item.Item;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/** The format of a delivered file. */
public sealed interface DeliveryFormat {
  /** A model by ISO 16739. */
  record Ifc(IfcSchema schema) implements DeliveryFormat {}

  /** LandXML 1.2. */
  record LandXml() implements DeliveryFormat {}

  /**
   * A drawing.
   *
   * @param mesh each surface as one mesh entity, which needs release 2018; otherwise as 3D faces
   */
  record Dxf(DxfRelease release, boolean mesh) implements DeliveryFormat {
    /**
     * @throws IllegalArgumentException if the release has no mesh entity
     */
    public Dxf {
      if (mesh && release != DxfRelease.R2018) {
        throw new IllegalArgumentException(
            "A drawing of release " + release.title() + " has no mesh entity; take 3D faces.");
      }
    }
  }

  /** Named points as comma-separated values. */
  record PointList() implements DeliveryFormat {}

  /** All formats that can be chosen. */
  static List<DeliveryFormat> all() {
    List<DeliveryFormat> out = new ArrayList<>();
    for (IfcSchema s : IfcSchema.values()) {
      out.add(new Ifc(s));
    }
    out.add(new LandXml());
    for (DxfRelease r : DxfRelease.values()) {
      out.add(new Dxf(r, false));
    }
    out.add(new Dxf(DxfRelease.R2018, true));
    out.add(new PointList());
    return out;
  }

  /** As it stands in {@code job.json} and in receipts. */
  default String id() {
    return switch (this) {
      case Ifc f -> f.schema().id();
      case LandXml f -> "LandXML 1.2";
      case Dxf f -> "DXF " + f.release().title() + (f.mesh() ? " mesh" : "");
      case PointList f -> "point list";
    };
  }

  /** For people. */
  default String title() {
    return switch (this) {
      case Ifc f -> f.schema().title();
      case LandXml f -> "LandXML 1.2";
      case Dxf f -> "DXF " + f.release().title() + (f.mesh() ? ", one mesh each" : ", 3D faces");
      case PointList f -> "Point list";
    };
  }

  /** Of the file's name, with its dot. */
  default String ending() {
    return switch (this) {
      case Ifc f -> ".ifc";
      case LandXml f -> ".xml";
      case Dxf f -> ".dxf";
      case PointList f -> ".csv";
    };
  }

  /** Decimals that coordinates are written with in a unit. */
  default int decimals(LinearUnit unit) {
    boolean coarse = unit.metres() >= 0.1;
    return switch (this) {
      case Ifc f -> unit.metres() >= 100 ? 9 : coarse ? 7 : 4;
      case LandXml f -> coarse ? 7 : 4;
      case Dxf f -> coarse ? 7 : 4;
      case PointList f -> coarse ? 6 : 3;
    };
  }

  /** Whether a file of this format says where its zero lies; if not, position files go with it. */
  default boolean saysPlace() {
    return this instanceof Ifc;
  }

  /** Whether pictures laid over surfaces go with it, as files beside it. */
  default boolean carriesPictures() {
    return this instanceof Ifc f && f.schema() != IfcSchema.IFC2X3;
  }

  /** Whether the format carries this item. */
  default boolean carries(Item item) {
    if (item.shape().isEmpty()) {
      return false;
    }
    return switch (item.shape()) {
      case Shape.Faces s ->
          item.kind().surface()
              ? !(this instanceof PointList)
              : this instanceof Ifc || this instanceof Dxf;
      case Shape.Axis a -> !(this instanceof PointList);
      case Shape.Lines l -> !(this instanceof PointList);
      case Shape.Points p -> true;
      case Shape.Picture g -> false;
    };
  }

  /** The format of an id, letters of either case; {@code IFC4X3} is known too. */
  static Optional<DeliveryFormat> named(String id) {
    String wanted = id.strip().toLowerCase(Locale.ROOT);
    Optional<DeliveryFormat> found =
        all().stream().filter(f -> f.id().toLowerCase(Locale.ROOT).equals(wanted)).findFirst();
    return found.isPresent() ? found : IfcSchema.named(id).map(Ifc::new);
  }
}
