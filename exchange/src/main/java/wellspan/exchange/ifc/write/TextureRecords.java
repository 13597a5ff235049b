package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.flag;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import wellspan.core.geom.Mesh;

/** Lays pictures over triangulated face sets: texture coordinates for every vertex. */
final class TextureRecords {
  /** A thousand-millionth of the picture's width: a micrometre on a kilometre. */
  private static final int DECIMALS = 9;

  private final StepWriter step;

  TextureRecords(StepWriter step) {
    this.step = step;
  }

  /**
   * @param faceSet the triangulated face set of the mesh
   * @return the image texture
   */
  int lay(PictureOver picture, int faceSet, Mesh mesh) throws IOException {
    // the picture takes the place of the colour, it is not shaded by it
    int image =
        step.add(
            "IfcImageTexture",
            flag(false),
            flag(false),
            text("REPLACE"),
            UNSET,
            UNSET,
            text(relative(picture.file())));
    StepValue.RowSource rows =
        (v, row) -> {
          row[0] = picture.texture().across(mesh.east(v), mesh.north(v));
          row[1] = 1 - picture.texture().down(mesh.east(v), mesh.north(v)); // upwards in IFC
        };
    int coordinates =
        step.add(
            "IfcTextureVertexList", new StepValue.Points(mesh.vertexCount(), 2, DECIMALS, rows));
    step.add(
        "IfcIndexedTriangleTextureMap",
        refs(List.of(image)),
        ref(faceSet),
        ref(coordinates),
        new StepValue.Triples(mesh.triangles()));
    return image;
  }

  /** A file name as a relative reference by RFC 3986. */
  private static String relative(String file) {
    return URLEncoder.encode(file, StandardCharsets.UTF_8).replace("+", "%20");
  }
}
