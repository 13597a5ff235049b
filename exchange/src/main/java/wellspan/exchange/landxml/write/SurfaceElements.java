package wellspan.exchange.landxml.write;

import java.io.IOException;
import java.util.List;
import wellspan.core.deliver.Parcel;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/** Writes a surface: its outlines, breaklines, points and faces. */
final class SurfaceElements {
  /** Elements after which a cancelled writing ends. */
  private static final int OFTEN = 4096;

  private final XmlElements xml;
  private final Places places;
  private final double squares;

  /**
   * @param squares square units of the file in a square metre
   */
  SurfaceElements(XmlElements xml, Places places, double squares) {
    this.xml = xml;
    this.places = places;
    this.squares = squares;
  }

  /**
   * @param more writes what else belongs into the surface
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  void write(
      String name,
      Parcel.Piece piece,
      List<Polyline> breaklines,
      XmlElements.Content more,
      Progress progress)
      throws IOException {
    Shape.Faces faces = (Shape.Faces) piece.item().shape();
    String material = piece.item().attributes().material();
    Mesh mesh = faces.mesh();
    xml.line(4, "Surface").attribute("name", name);
    if (!material.isEmpty()) {
      xml.attribute("desc", material);
    }
    xml.newLine().line(6, "SourceData").open("Boundaries").newLine();
    for (Polyline o : LandXmlWriter.outlines(mesh)) {
      xml.line(8, "Boundary")
          .attribute("bndType", isOuter(o) ? "outer" : "void")
          .attribute("edgeTrim", "false");
      places.list(o);
      xml.close().newLine();
    }
    xml.white(6).close();
    if (!breaklines.isEmpty()) {
      xml.open("Breaklines").newLine();
      for (Polyline b : breaklines) {
        xml.line(8, "Breakline").attribute("brkType", "standard");
        places.list(b);
        xml.close().newLine();
      }
      xml.white(6).close();
    }
    xml.close().newLine();
    xml.line(6, "Definition")
        .attribute("surfType", "TIN")
        .attribute("area2DSurf", mesh.planArea() * squares, 3)
        .newLine()
        .line(6, "Pnts")
        .newLine();
    for (int v = 0; v < mesh.vertexCount(); v++) {
      xml.open("P").attribute("id", Integer.toString(v + 1));
      places.place(mesh.vertex(v));
      xml.close().newLine();
      if (v % OFTEN == 0) {
        progress.checkCancelled();
      }
    }
    xml.white(6).close().newLine().line(6, "Faces").newLine();
    faces(mesh.triangles(), false, progress);
    faces(faces.invisible(), true, progress);
    xml.white(6).close().newLine().white(6).close().newLine();
    more.write();
    xml.white(4).close().newLine();
  }

  private void faces(int[] corners, boolean invisible, Progress progress) throws IOException {
    StringBuilder three = new StringBuilder(32);
    for (int t = 0; t < corners.length; t += 3) {
      xml.open("F");
      if (invisible) {
        xml.attribute("i", "1");
      }
      three.setLength(0);
      three.append(corners[t] + 1).append(' ').append(corners[t + 1] + 1).append(' ');
      xml.text(three.append(corners[t + 2] + 1)).close().newLine();
      if (t % (3 * OFTEN) == 0) {
        progress.checkCancelled();
      }
    }
  }

  private static boolean isOuter(Polyline ring) {
    int n = ring.pointCount() - 1;
    int[] loop = new int[n];
    for (int i = 0; i < n; i++) {
      loop[i] = i;
    }
    return SurfaceFlaws.planArea(new Mesh(ring.xyz(), new int[0]), loop) > 0;
  }
}
