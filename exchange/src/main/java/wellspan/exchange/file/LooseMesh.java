package wellspan.exchange.file;

import java.util.List;
import java.util.Optional;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.shape.FaceFinishes;
import wellspan.core.shape.Shape;

/** Triangles of formats that do not say what they are: closed all around they are a body. */
public final class LooseMesh {
  private LooseMesh() {}

  /**
   * A surface with the triangles as they are, or a body with its corners shared.
   *
   * @param names unique ones of the file
   */
  public static Item item(UniqueNames names, String name, Mesh mesh) {
    Mesh shared = shared(mesh);
    return shared.triangleCount() == mesh.triangleCount() && shared.isClosed()
        ? Item.body(names.of("body", name), shared, Band.STRUCTURES)
        : Item.surface(names.of("surface", name), mesh);
  }

  /**
   * The same with what it is made of.
   *
   * @param each finish of each triangle, null for none
   */
  public static Item item(UniqueNames names, String name, Mesh mesh, Finish[] each) {
    Item item = item(names, name, mesh);
    Optional<FaceFinishes> several = FaceFinishes.of(each);
    Optional<Finish> whole =
        several.isPresent()
            ? Optional.of(several.get().whole(mesh))
            : each.length == 0 ? Optional.empty() : Optional.ofNullable(each[0]);
    return item.with(new Shape.Faces(item.triangles().orElseThrow(), several))
        .saying(Description.of(List.of(), whole));
  }

  /** The same triangles with one vertex at each place; many formats repeat them for shading. */
  private static Mesh shared(Mesh mesh) {
    MeshWeld weld = new MeshWeld();
    int[] at = new int[mesh.vertexCount()];
    for (int v = 0; v < at.length; v++) {
      at[v] = weld.vertex(mesh.east(v), mesh.north(v), mesh.level(v));
    }
    int[] t = mesh.triangles();
    for (int i = 0; i + 2 < t.length; i += 3) {
      weld.triangle(at[t[i]], at[t[i + 1]], at[t[i + 2]]);
    }
    return weld.mesh();
  }
}
