package wellspan.core.describe;

import java.util.LinkedHashMap;
import java.util.Map;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Shape;

/** The property set that every item gets from what is known without asking anybody. */
public final class KnownFacts {
  /** Name of the set in deliveries. */
  public static final String SET = "Wellspan_KnownFacts";

  private KnownFacts() {}

  /**
   * @param file name of the source file, without its path
   * @param revision label of the source's revision
   */
  public static PropertySet of(Item item, String file, String revision) {
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("SourceFile", new PropertyValue.Label(file));
    v.put("SourceRevision", new PropertyValue.Label(revision));
    v.put("SourceName", new PropertyValue.Label(item.name()));
    switch (item.shape()) {
      case Shape.Faces s -> {
        mesh(v, s);
        if (item.kind().is(Kind.TERRAIN)) {
          v.put("InvisibleFaces", new PropertyValue.Count(s.invisibleCount()));
        }
        if (item.kind().is(Kind.COVER)) {
          v.put("Material", new PropertyValue.Label(item.attributes().material()));
        }
      }
      case Shape.Axis a -> {
        Alignment line = a.alignment();
        v.put("Length", new PropertyValue.Length(line.length()));
        v.put("StartChainage", new PropertyValue.Length(line.startChainage()));
        v.put("EndChainage", new PropertyValue.Length(line.endChainage()));
        v.put("HasProfile", new PropertyValue.Flag(line.profile().isPresent()));
      }
      case Shape.Lines l -> {
        v.put("Points", new PropertyValue.Count(l.pointCount()));
        v.put("Length", new PropertyValue.Length(l.planLength()));
      }
      case Shape.Picture g -> {
        v.put("Columns", new PropertyValue.Count(g.pixels().width()));
        v.put("Rows", new PropertyValue.Count(g.pixels().height()));
      }
      case Shape.Points p -> v.put("Points", new PropertyValue.Count(p.points().size()));
    }
    return new PropertySet(SET, v);
  }

  private static void mesh(Map<String, PropertyValue> v, Shape.Faces faces) {
    Mesh mesh = faces.mesh();
    Box b = mesh.bounds();
    v.put("Triangles", new PropertyValue.Count(mesh.triangleCount()));
    v.put("PlanArea", new PropertyValue.Area(faces.planArea()));
    v.put("SurfaceArea", new PropertyValue.Area(mesh.surfaceArea()));
    if (b.hasLevels()) {
      v.put("LowestLevel", new PropertyValue.Length(b.minH()));
      v.put("HighestLevel", new PropertyValue.Length(b.maxH()));
    }
  }
}
