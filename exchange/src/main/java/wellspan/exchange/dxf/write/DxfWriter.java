package wellspan.exchange.dxf.write;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/**
 * Writes each piece of a parcel on a layer of its own: surfaces as 3D faces or one mesh, lines and
 * alignments as 3D polylines, points with their names, in the parcel's frame and unit. A drawing
 * cannot say where its zero lies, so position files belong beside it.
 */
public final class DxfWriter {
  /** Height of the names of points, metres. */
  private static final double TEXT_HEIGHT = 0.5;

  private final Parcel parcel;
  private final Map<String, LayerLook> layers;
  private final DxfRelease release;
  private final boolean meshes;
  private final Frame frame;
  private final double unit;
  private final GroupText dxf;
  private final Tables.Handles handles;

  private DxfWriter(Parcel parcel, DxfFormat format, Map<String, LayerLook> layers, GroupText dxf) {
    this.parcel = parcel;
    this.layers = layers;
    this.release = format.release();
    this.meshes = format.mesh();
    this.dxf = dxf;
    frame = parcel.frame();
    unit = parcel.unit().metres();
    handles = Tables.Handles.of(dxf);
  }

  /**
   * @param layers of each piece, by its key; pieces may share one
   */
  public static void write(
      Parcel parcel, DxfFormat format, Map<String, LayerLook> layers, Path file, Progress progress)
      throws IOException {
    Charset charset =
        switch (format.release()) {
          case R12 -> StandardCharsets.US_ASCII;
          case R2000 -> Charset.forName("windows-1252");
          case R2018 -> StandardCharsets.UTF_8;
        };
    try (BufferedWriter out = Files.newBufferedWriter(file, charset)) {
      GroupText dxf =
          new GroupText(
              out,
              format.release() != DxfRelease.R12,
              charset.newEncoder(),
              format.decimals(parcel.unit()));
      new DxfWriter(parcel, format, layers, dxf).write(progress);
      dxf.end();
    }
  }

  private void write(Progress progress) throws IOException {
    Box extent = extent();
    boolean r12 = release == DxfRelease.R12;
    if (r12) { // it has no variable for it
      dxf.put(999, "lengths in " + parcel.unit().title());
    }
    header(extent);
    if (!r12) {
      classes();
    }
    Map<String, LayerLook> byName = new LinkedHashMap<>();
    for (Parcel.Piece p : parcel.pieces()) {
      LayerLook l = layers.get(p.key());
      byName.putIfAbsent(l.name(), l);
    }
    new Tables(dxf, handles).write(byName.values(), extent);
    dxf.put(0, "SECTION").put(2, "ENTITIES");
    int done = 0;
    for (Parcel.Piece p : parcel.pieces()) {
      progress.advance((double) done++ / parcel.pieces().size(), "Writing " + p.item().name());
      piece(layers.get(p.key()).name(), p.item(), progress);
    }
    dxf.put(0, "ENDSEC");
    if (!r12) {
      new Objects(dxf, handles).write(extent);
    }
    dxf.put(0, "EOF");
  }

  /** Extent in the file's coordinates and unit. */
  private Box extent() {
    Box box = Box.EMPTY;
    for (Parcel.Piece p : parcel.pieces()) {
      Box b = p.item().bounds();
      for (double e : new double[] {b.minE(), b.maxE()}) {
        for (double n : new double[] {b.minN(), b.maxN()}) {
          for (double h : new double[] {b.minH(), b.maxH()}) {
            double level = Double.isFinite(h) ? h : frame.basePoint().level();
            Position q = local(new Position(e, n, level));
            box = box.union(Box.of(new double[] {q.east(), q.north(), q.level()}));
          }
        }
      }
    }
    return box;
  }

  private void header(Box box) throws IOException {
    dxf.put(0, "SECTION").put(2, "HEADER").put(9, "$ACADVER").put(1, release.code());
    if (release != DxfRelease.R12) {
      boolean metric =
          switch (parcel.unit()) {
            case METRE, MILLIMETRE, CENTIMETRE, KILOMETRE -> true;
            case FOOT, US_SURVEY_FOOT, INCH, MILE -> false;
          };
      dxf.put(9, "$DWGCODEPAGE").put(3, "ANSI_1252");
      dxf.put(9, "$INSUNITS").put(70, insertionUnit(parcel.unit()));
      dxf.put(9, "$MEASUREMENT").put(70, metric ? 1 : 0);
      dxf.put(9, "$TILEMODE").put(70, 1);
      dxf.put(9, "$CLAYER").put(8, "0").put(9, "$CELTYPE").put(6, "ByLayer");
      dxf.put(9, "$TEXTSTYLE").put(7, "Standard").put(9, "$DIMSTYLE").put(2, "Standard");
      dxf.put(9, "$HANDSEED").put(5, "FFFFFFF");
    }
    dxf.put(9, "$EXTMIN").point(10, box.minE(), box.minN(), box.minH());
    dxf.put(9, "$EXTMAX").point(10, box.maxE(), box.maxN(), box.maxH());
    dxf.put(0, "ENDSEC");
  }

  private static int insertionUnit(LinearUnit u) {
    return switch (u) {
      case INCH -> 1;
      case FOOT -> 2;
      case MILE -> 3;
      case MILLIMETRE -> 4;
      case CENTIMETRE -> 5;
      case METRE -> 6;
      case KILOMETRE -> 7;
      case US_SURVEY_FOOT -> 21;
    };
  }

  private void classes() throws IOException {
    dxf.put(0, "SECTION").put(2, "CLASSES");
    if (meshes) {
      classRecord("MESH", "AcDbSubDMesh", 1);
    }
    classRecord("ACDBDICTIONARYWDFLT", "AcDbDictionaryWithDefault", 0);
    classRecord("ACDBPLACEHOLDER", "AcDbPlaceHolder", 0);
    dxf.put(0, "ENDSEC");
  }

  private void classRecord(String name, String subclass, int entity) throws IOException {
    dxf.put(0, "CLASS").put(1, name).put(2, subclass).put(3, "ObjectDBX Classes").put(90, 0);
    if (release == DxfRelease.R2018) {
      dxf.put(91, 0);
    }
    dxf.put(280, 0).put(281, entity);
  }

  private void piece(String layer, Item item, Progress progress) throws IOException {
    switch (item.shape()) {
      case Shape.Faces f -> surface(layer, f.mesh(), progress);
      case Shape.Axis a -> line(layer, a.line());
      case Shape.Lines l -> {
        for (Polyline p : l.lines()) {
          line(layer, p);
        }
      }
      case Shape.Points g -> points(layer, g);
      case Shape.Picture g -> throw new IllegalStateException(item.kind().title());
    }
  }

  private String entity(String type, String layer) throws IOException {
    return entity(type, layer, handles.model());
  }

  private String entity(String type, String layer, String owner) throws IOException {
    String own = dxf.object(type, owner);
    dxf.subclass("AcDbEntity").words(8, layer);
    return own;
  }

  private Position local(Position shared) {
    Position p = frame.toLocal(shared);
    return new Position(p.east() / unit, p.north() / unit, p.level() / unit);
  }

  private void surface(String layer, Mesh mesh, Progress progress) throws IOException {
    if (meshes) {
      mesh(layer, mesh);
      return;
    }
    int[] t = mesh.triangles();
    for (int i = 0; i < t.length; i += 3) {
      if (i % 30_000 == 0) {
        progress.checkCancelled();
      }
      entity("3DFACE", layer);
      dxf.subclass("AcDbFace");
      for (int k = 0; k < 4; k++) {
        Position p = local(mesh.vertex(t[i + Math.min(k, 2)]));
        dxf.point(10 + k, p.east(), p.north(), p.level());
      }
    }
  }

  private void mesh(String layer, Mesh mesh) throws IOException {
    entity("MESH", layer);
    dxf.subclass("AcDbSubDMesh").put(71, 2).put(72, 0).put(91, 0).put(92, mesh.vertexCount());
    for (int v = 0; v < mesh.vertexCount(); v++) {
      Position p = local(mesh.vertex(v));
      dxf.point(10, p.east(), p.north(), p.level());
    }
    int[] t = mesh.triangles();
    dxf.put(93, t.length / 3 * 4);
    for (int i = 0; i < t.length; i += 3) {
      dxf.put(90, 3).put(90, t[i]).put(90, t[i + 1]).put(90, t[i + 2]);
    }
    dxf.put(94, 0).put(95, 0).put(90, 0);
  }

  /** A line in space; a point without a level lies at the height of the file's zero. */
  private void line(String layer, Polyline line) throws IOException {
    String own = entity("POLYLINE", layer);
    dxf.subclass("AcDb3dPolyline").put(66, 1).point(10, 0, 0, 0).put(70, 8);
    for (int i = 0; i < line.pointCount(); i++) {
      Position p = onZero(line.point(i));
      entity("VERTEX", layer, own);
      dxf.subclass("AcDbVertex").subclass("AcDb3dPolylineVertex");
      dxf.point(10, p.east(), p.north(), p.level()).put(70, 32);
    }
    entity("SEQEND", layer, own);
  }

  private Position onZero(Position p) {
    return local(
        Double.isFinite(p.level())
            ? p
            : new Position(p.east(), p.north(), frame.basePoint().level()));
  }

  private void points(String layer, Shape.Points g) throws IOException {
    for (NamedPoint n : g.points()) {
      Position p = onZero(n.position());
      entity("POINT", layer);
      dxf.subclass("AcDbPoint").point(10, p.east(), p.north(), p.level());
      entity("TEXT", layer);
      dxf.subclass("AcDbText").point(10, p.east(), p.north(), p.level());
      dxf.put(40, TEXT_HEIGHT / unit).words(1, n.name()).subclass("AcDbText");
    }
  }
}
