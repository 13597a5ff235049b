package wellspan.exchange.intake;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.exchange.cloud.read.LasReader;
import wellspan.exchange.dxf.read.DxfReader;
import wellspan.exchange.file.XmlRoot;
import wellspan.exchange.geojson.read.GeoJsonReader;
import wellspan.exchange.gltf.read.GltfReader;
import wellspan.exchange.gpkg.read.GeoPackageReader;
import wellspan.exchange.grid.read.AsciiGridReader;
import wellspan.exchange.grid.read.GeoTiffGridReader;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.read.PackedStep;
import wellspan.exchange.image.read.ImageReader;
import wellspan.exchange.kml.read.KmlReader;
import wellspan.exchange.landxml.read.LandXmlReader;
import wellspan.exchange.obj.read.ObjReader;
import wellspan.exchange.points.read.PointListReader;
import wellspan.exchange.position.read.PositionReader;
import wellspan.exchange.shapefile.read.ShapefileReader;
import wellspan.exchange.tiff.TiffTags;

/**
 * A format that is received: how it is told from others, and its reader. The list is in the order
 * in which files are looked at; another format is another line in it.
 *
 * @param title for people
 * @param endings of names that such files usually have, with their dot; a file is known by what it
 *     holds all the same
 * @param utf16 whether its reader takes text in UTF-16
 */
record ReadFormat(String title, List<String> endings, Knows knows, Reads reads, boolean utf16) {
  static final String POINT_LIST = "point lists (CSV, TXT, XYZ)";

  /** Whether a file is of a format. */
  interface Knows {
    boolean test(Head head) throws IOException;
  }

  /** Reads a file of a format; only some have a choice of how. */
  interface Reads {
    Received read(Path file, ReadingRule rule, Progress progress) throws IOException;
  }

  private static ReadFormat binary(String title, String endings, Knows knows, Reads reads) {
    return new ReadFormat(title, List.of(endings.split(" ")), knows, reads, true);
  }

  private static ReadFormat text(String title, String endings, Knows knows, Reads reads) {
    return new ReadFormat(title, List.of(endings.split(" ")), knows, reads, true);
  }

  private static ReadFormat textInUtf8(String title, String endings, Knows knows, Reads reads) {
    return new ReadFormat(title, List.of(endings.split(" ")), knows, reads, false);
  }

  static final List<ReadFormat> ALL =
      List.of(
          binary(
              "position files (.prj, world files)",
              String.join(" ", PositionReader.endings()),
              h -> PositionReader.knows(h.file()),
              (f, r, p) -> PositionReader.read(f)),
          binary(
              "GeoTIFF and TIFF",
              ".tif .tiff",
              h -> TiffTags.isTiff(h.bytes()),
              (f, r, p) -> {
                TiffTags tags = TiffTags.read(f);
                return GeoTiffGridReader.isElevation(tags)
                    ? GeoTiffGridReader.read(f, tags, p)
                    : ImageReader.read(f, Optional.of(tags), p);
              }),
          binary(
              "pictures (PNG, JPEG)",
              ".png .jpg .jpeg",
              h -> ImageReader.isPicture(h.bytes()),
              (f, r, p) -> ImageReader.read(f, Optional.empty(), p)),
          binary(
              "DXF", ".dxf", h -> DxfReader.isBinary(h.bytes()), (f, r, p) -> DxfReader.read(f, p)),
          binary(
              "point clouds (LAS, LAZ)",
              ".las .laz",
              h -> LasReader.isLas(h.bytes()),
              (f, r, p) -> LasReader.read(f, part(r), p)),
          binary(
              "glTF",
              ".glb",
              h -> GltfReader.isBinary(h.bytes()),
              (f, r, p) -> GltfReader.read(f, p)),
          binary(
              "shapefiles",
              ".shp",
              h -> ShapefileReader.isShapefile(h.bytes()),
              (f, r, p) -> ShapefileReader.read(f, p)),
          binary(
              "GeoPackage",
              ".gpkg",
              h -> GeoPackageReader.isDatabase(h.bytes()),
              (f, r, p) -> GeoPackageReader.read(f, p)),
          binary(
              "IFC",
              ".ifczip .zip",
              h -> KmlReader.isPacked(h.bytes()) && PackedStep.isPacked(h.file()),
              (f, r, p) -> IfcReader.read(f, p)),
          binary(
              "KMZ",
              ".kmz",
              h -> KmlReader.isPacked(h.bytes()),
              (f, r, p) -> KmlReader.readPacked(f, p)),
          text(
              "IFC",
              ".ifc .stp",
              h -> h.text().contains("ISO-10303-21"),
              (f, r, p) -> IfcReader.read(f, p)),
          text(
              "KML",
              ".kml",
              h -> h.isXml() && (KmlReader.isKml(h.text()) || XmlRoot.of(h.file()).equals("kml")),
              (f, r, p) -> KmlReader.read(f, p)),
          text("LandXML", ".xml .landxml", Head::isXml, (f, r, p) -> LandXmlReader.read(f, p)),
          text("DXF", ".dxf", h -> DxfReader.isText(h.text()), (f, r, p) -> DxfReader.read(f, p)),
          text(
              "elevation grids (Esri ASCII)",
              ".asc .grd",
              h -> AsciiGridReader.isGrid(h.text()),
              (f, r, p) -> AsciiGridReader.read(f, p)),
          textInUtf8(
              "glTF",
              ".gltf",
              h ->
                  GltfReader.isText(h.text())
                      || h.text().stripLeading().startsWith("{") && GltfReader.hasAsset(h.file()),
              (f, r, p) -> GltfReader.read(f, p)),
          text(
              "GeoJSON",
              ".geojson .json",
              h -> GeoJsonReader.isGeoJson(h.text()),
              (f, r, p) -> GeoJsonReader.read(f, p)),
          textInUtf8(
              "OBJ", ".obj", h -> ObjReader.isObj(h.text()), (f, r, p) -> ObjReader.read(f, p)),
          text(
              POINT_LIST,
              String.join(" ", Head.LISTS),
              Head::isNamedAsList,
              (f, r, p) -> PointListReader.read(f, columns(r), p)));

  private static Optional<ReadingRule.Columns> columns(ReadingRule rule) {
    return rule instanceof ReadingRule.Columns c ? Optional.of(c) : Optional.empty();
  }

  private static ReadingRule.CloudPart part(ReadingRule rule) {
    return rule instanceof ReadingRule.CloudPart c
        ? c
        : new ReadingRule.CloudPart(Collections.emptySortedSet(), 1, 0);
  }
}
