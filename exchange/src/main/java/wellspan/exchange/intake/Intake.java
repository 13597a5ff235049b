package wellspan.exchange.intake;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Locale;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.cloud.LasReader;
import wellspan.exchange.dxf.DxfReader;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.geojson.GeoJsonReader;
import wellspan.exchange.gltf.GltfReader;
import wellspan.exchange.gpkg.GeoPackageReader;
import wellspan.exchange.grid.AsciiGridReader;
import wellspan.exchange.grid.GeoTiffGridReader;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.kml.KmlReader;
import wellspan.exchange.landxml.LandXmlReader;
import wellspan.exchange.obj.ObjReader;
import wellspan.exchange.points.PointListReader;
import wellspan.exchange.position.GeoTiffKeys;
import wellspan.exchange.position.PositionReader;
import wellspan.exchange.shapefile.ShapefileReader;
import wellspan.exchange.tiff.TiffTags;

/** Opens a received file, whatever its name says: the format is found in its first bytes. */
public final class Intake {
  private static final int HEAD = 4096;

  private Intake() {}

  /**
   * @throws ReadException with a sentence that names the file and what to do
   * @throws java.util.concurrent.CancellationException if the progress was cancelled
   */
  public static Received read(Path file, Progress progress) throws IOException {
    if (Files.isDirectory(file)) {
      throw new ReadException(file, "this is a folder, not a file.");
    }
    try {
      if (PositionReader.knows(file)) {
        return PositionReader.read(file);
      }
      byte[] first = first(file);
      if (TiffTags.isTiff(first)) {
        TiffTags tags = TiffTags.read(file);
        return GeoTiffGridReader.isElevation(tags)
            ? GeoTiffGridReader.read(file, tags, progress)
            : GeoTiffKeys.read(file);
      }
      if (DxfReader.isBinary(first)) {
        return DxfReader.read(file, progress);
      }
      if (LasReader.isLas(first)) {
        return LasReader.read(file, progress);
      }
      if (GltfReader.isBinary(first)) {
        return GltfReader.read(file, progress);
      }
      if (ShapefileReader.isShapefile(first)) {
        return ShapefileReader.read(file, progress);
      }
      if (GeoPackageReader.isDatabase(first)) {
        return GeoPackageReader.read(file, progress);
      }
      if (KmlReader.isPacked(first)) {
        return KmlReader.readPacked(file, progress);
      }
      String head = text(first);
      if (head.isBlank()) {
        throw new ReadException(file, "the file is empty. Ask for it again.");
      }
      if (head.contains("ISO-10303-21")) {
        return IfcReader.read(file, progress);
      }
      if (head.stripLeading().startsWith("<") && KmlReader.isKml(head)) {
        return KmlReader.read(file, progress);
      }
      if (head.stripLeading().startsWith("<")) {
        return LandXmlReader.read(file, progress);
      }
      if (DxfReader.isText(head)) {
        return DxfReader.read(file, progress);
      }
      if (AsciiGridReader.isGrid(head)) {
        return AsciiGridReader.read(file, progress);
      }
      if (GltfReader.isText(head)) {
        return GltfReader.read(file, progress);
      }
      if (GeoJsonReader.isGeoJson(head)) {
        return GeoJsonReader.read(file, progress);
      }
      if (ObjReader.isObj(head)) {
        return ObjReader.read(file, progress);
      }
      String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
      if (name.endsWith(".csv") || name.endsWith(".txt")) {
        return PointListReader.read(file, progress);
      }
    } catch (NoSuchFileException e) {
      throw new ReadException(file, "there is no such file.", e);
    } catch (AccessDeniedException e) {
      throw new ReadException(file, "the file may not be read. Check its permissions.", e);
    }
    throw new ReadException(
        file,
        "the format is not known. LandXML, IFC, DXF, OBJ, glTF, elevation grids (Esri ASCII, GeoTIFF), point clouds (LAS, LAZ), shapefiles, GeoJSON, GeoPackage, KML and KMZ, point lists (CSV) and position files (.prj, world files, GeoTIFF) can be received.");
  }

  private static byte[] first(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return in.readNBytes(HEAD);
    }
  }

  private static String text(byte[] b) {
    boolean utf16 =
        b.length > 1
            && ((b[0] & 0xFF) == 0xFE && (b[1] & 0xFF) == 0xFF
                || (b[0] & 0xFF) == 0xFF && (b[1] & 0xFF) == 0xFE);
    String s = new String(b, utf16 ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
    return s.startsWith("\uFEFF") ? s.substring(1) : s;
  }
}
