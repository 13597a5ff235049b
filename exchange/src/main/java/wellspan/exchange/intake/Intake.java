package wellspan.exchange.intake;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.place.Placer;
import wellspan.core.progress.Progress;
import wellspan.core.receive.LayerChoice;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.exchange.cloud.LasReader;
import wellspan.exchange.dxf.DxfReader;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.file.XmlRoot;
import wellspan.exchange.geojson.GeoJsonReader;
import wellspan.exchange.gltf.GltfReader;
import wellspan.exchange.gpkg.GeoPackageReader;
import wellspan.exchange.grid.AsciiGridReader;
import wellspan.exchange.grid.GeoTiffGridReader;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.image.ImageReader;
import wellspan.exchange.kml.KmlReader;
import wellspan.exchange.landxml.LandXmlReader;
import wellspan.exchange.obj.ObjReader;
import wellspan.exchange.points.PointListReader;
import wellspan.exchange.position.PositionReader;
import wellspan.exchange.shapefile.ShapefileReader;
import wellspan.exchange.tiff.TiffTags;

/** Opens a received file, whatever its name says: the format is found in its first bytes. */
public final class Intake {
  private static final int HEAD = 4096;

  /** Endings of files that are read as lists of points if nothing tells another format. */
  private static final List<String> LISTS = List.of(".csv", ".txt", ".xyz", ".pts", ".asc", ".dat");

  private Intake() {}

  /**
   * @throws ReadException with a sentence that names the file and what to do
   * @throws java.util.concurrent.CancellationException if the progress was cancelled
   */
  public static Received read(Path file, Progress progress) throws IOException {
    return read(file, ReadingRule.AS_FOUND, progress);
  }

  /**
   * The same, by a rule where the format can be read in more than one way.
   *
   * @throws ReadException with a sentence that names the file and what to do
   * @throws java.util.concurrent.CancellationException if the progress was cancelled
   */
  public static Received read(Path file, ReadingRule rule, Progress progress) throws IOException {
    Received all = inMetres(readAll(file, rule, progress));
    return rule instanceof ReadingRule.Layers l ? LayerChoice.of(all, l) : all;
  }

  /** Formats that give numbers in the unit of their system name no unit of their own. */
  private static Received inMetres(Received r) {
    return r.unit().isEmpty()
        ? CrsCatalogue.shipped()
            .find(r.crs())
            .map(system -> Placer.planInMetres(r, system))
            .orElse(r)
        : r;
  }

  private static Received readAll(Path file, ReadingRule rule, Progress progress)
      throws IOException {
    try {
      Kind kind = kind(file, rule);
      if (NOT_IN_UTF16.contains(kind) && isUtf16(first(file))) {
        throw new ReadException(
            file, "it is text in UTF-16, which this format is not read in. Save it as UTF-8.");
      }
      return switch (kind) {
        case POSITION -> PositionReader.read(file);
        case TIFF -> tiff(file, progress);
        case PICTURE -> ImageReader.read(file, Optional.empty(), progress);
        case DXF -> DxfReader.read(file, progress);
        case CLOUD -> LasReader.read(file, part(rule), progress);
        case GLTF -> GltfReader.read(file, progress);
        case SHAPEFILE -> ShapefileReader.read(file, progress);
        case GEOPACKAGE -> GeoPackageReader.read(file, progress);
        case PACKED_KML -> KmlReader.readPacked(file, progress);
        case KML -> KmlReader.read(file, progress);
        case IFC -> IfcReader.read(file, progress);
        case LANDXML -> LandXmlReader.read(file, progress);
        case GRID -> AsciiGridReader.read(file, progress);
        case GEOJSON -> GeoJsonReader.read(file, progress);
        case OBJ -> ObjReader.read(file, progress);
        case POINT_LIST -> PointListReader.read(file, columns(rule), progress);
        case EMPTY -> throw new ReadException(file, "the file is empty. Ask for it again.");
        case UNKNOWN ->
            throw new ReadException(
                file,
                "the format is not known. LandXML, IFC, DXF, OBJ, glTF, elevation grids (Esri ASCII, GeoTIFF), point clouds (LAS, LAZ), shapefiles, GeoJSON, GeoPackage, KML and KMZ, point lists (CSV, TXT, XYZ), pictures (PNG, JPEG, TIFF) and position files (.prj, world files) can be received.");
      };
    } catch (NoSuchFileException e) {
      throw new ReadException(file, "there is no such file.", e);
    } catch (AccessDeniedException e) {
      throw new ReadException(file, "the file may not be read. Check its permissions.", e);
    }
  }

  /** Whether a file is read as a list of points, whose columns people can choose. */
  public static boolean isPointList(Path file) throws IOException {
    return kind(file, ReadingRule.AS_FOUND) == Kind.POINT_LIST;
  }

  /** Text formats whose readers take bytes for characters. */
  private static final Set<Kind> NOT_IN_UTF16 = EnumSet.of(Kind.GLTF, Kind.OBJ);

  private enum Kind {
    POSITION,
    TIFF,
    PICTURE,
    DXF,
    CLOUD,
    GLTF,
    SHAPEFILE,
    GEOPACKAGE,
    PACKED_KML,
    KML,
    IFC,
    LANDXML,
    GRID,
    GEOJSON,
    OBJ,
    POINT_LIST,
    EMPTY,
    UNKNOWN
  }

  private static Kind kind(Path file, ReadingRule rule) throws IOException {
    if (Files.isDirectory(file)) {
      throw new ReadException(file, "this is a folder, not a file.");
    }
    if (PositionReader.knows(file)) {
      return Kind.POSITION;
    }
    byte[] first = first(file);
    Kind binary = binary(first);
    if (binary != Kind.UNKNOWN) {
      return binary;
    }
    Kind text = text(characters(first), file);
    boolean list = isList(file) || rule instanceof ReadingRule.Columns;
    return text == Kind.UNKNOWN && list ? Kind.POINT_LIST : text;
  }

  private static Kind binary(byte[] first) {
    if (TiffTags.isTiff(first)) {
      return Kind.TIFF;
    }
    if (ImageReader.isPicture(first)) {
      return Kind.PICTURE;
    }
    if (DxfReader.isBinary(first)) {
      return Kind.DXF;
    }
    if (LasReader.isLas(first)) {
      return Kind.CLOUD;
    }
    if (GltfReader.isBinary(first)) {
      return Kind.GLTF;
    }
    if (ShapefileReader.isShapefile(first)) {
      return Kind.SHAPEFILE;
    }
    if (GeoPackageReader.isDatabase(first)) {
      return Kind.GEOPACKAGE;
    }
    return KmlReader.isPacked(first) ? Kind.PACKED_KML : Kind.UNKNOWN;
  }

  private static Kind text(String head, Path file) throws IOException {
    if (head.isBlank()) {
      return Kind.EMPTY;
    }
    if (head.contains("ISO-10303-21")) {
      return Kind.IFC;
    }
    if (head.stripLeading().startsWith("<")) {
      return KmlReader.isKml(head) || XmlRoot.of(file).equals("kml") ? Kind.KML : Kind.LANDXML;
    }
    if (DxfReader.isText(head)) {
      return Kind.DXF;
    }
    if (AsciiGridReader.isGrid(head)) {
      return Kind.GRID;
    }
    if (GltfReader.isText(head)
        || head.stripLeading().startsWith("{") && GltfReader.hasAsset(file)) {
      return Kind.GLTF;
    }
    if (GeoJsonReader.isGeoJson(head)) {
      return Kind.GEOJSON;
    }
    return ObjReader.isObj(head) ? Kind.OBJ : Kind.UNKNOWN;
  }

  private static Received tiff(Path file, Progress progress) throws IOException {
    TiffTags tags = TiffTags.read(file);
    return GeoTiffGridReader.isElevation(tags)
        ? GeoTiffGridReader.read(file, tags, progress)
        : ImageReader.read(file, Optional.of(tags), progress);
  }

  private static boolean isList(Path file) {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    return LISTS.stream().anyMatch(name::endsWith);
  }

  private static Optional<ReadingRule.Columns> columns(ReadingRule rule) {
    return rule instanceof ReadingRule.Columns c ? Optional.of(c) : Optional.empty();
  }

  private static ReadingRule.CloudPart part(ReadingRule rule) {
    return rule instanceof ReadingRule.CloudPart c
        ? c
        : new ReadingRule.CloudPart(Collections.emptySortedSet(), 1, 0);
  }

  private static byte[] first(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return in.readNBytes(HEAD);
    }
  }

  private static boolean isUtf16(byte[] b) {
    return b.length > 1
        && ((b[0] & 0xFF) == 0xFE && (b[1] & 0xFF) == 0xFF
            || (b[0] & 0xFF) == 0xFF && (b[1] & 0xFF) == 0xFE);
  }

  private static String characters(byte[] b) {
    String s = new String(b, isUtf16(b) ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
    return s.startsWith("\uFEFF") ? s.substring(1) : s;
  }
}
