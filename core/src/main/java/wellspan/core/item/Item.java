package wellspan.core.item;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Reference;
import wellspan.core.attribute.RelationType;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/**
 * One thing of a job.
 *
 * @param name as in the source
 * @param kind what it is
 * @param shape its geometry, in shared coordinates
 * @param attributes what is said of it
 */
public record Item(String name, Kind kind, Shape shape, Attributes attributes) {

  /** An item of which nothing else is said. */
  public static Item of(String name, Kind kind, Shape shape) {
    return new Item(name, kind, shape, Attributes.NONE);
  }

  /** A terrain surface with its triangles as designed. */
  public static Item surface(String name, Mesh mesh) {
    return of(name, Kind.TERRAIN, new Shape.Faces(mesh));
  }

  /** A thing in faces, as received. */
  public static Item body(String name, Mesh mesh, Band stratum) {
    return of(name, Kind.body(stratum), new Shape.Faces(mesh));
  }

  /** An area of the ground with a material of its own. */
  public static Item cover(String name, Mesh mesh, String material) {
    return new Item(name, Kind.COVER, new Shape.Faces(mesh), Attributes.ofMaterial(material));
  }

  public static Item alignment(String name, Alignment alignment) {
    return of(name, Kind.ALIGNMENT, new Shape.Axis(alignment));
  }

  /**
   * Lines in space.
   *
   * @param lines one or more
   */
  public static Item string(String name, List<Polyline> lines) {
    return of(name, Kind.STRING, new Shape.Lines(lines));
  }

  /** One line in space. */
  public static Item string(String name, Polyline line) {
    return string(name, List.of(line));
  }

  public static Item points(String name, List<NamedPoint> points) {
    return of(name, Kind.POINTS, new Shape.Points(points));
  }

  /** A picture of the ground. */
  public static Item picture(String name, Pixels pixels, PicturePlace place) {
    return of(name, Kind.IMAGE, new Shape.Picture(pixels, place));
  }

  /** Extent in shared coordinates. */
  public Box bounds() {
    return shape.bounds();
  }

  /** The triangles it is made of; empty for lines, points and pictures. */
  public Optional<Mesh> triangles() {
    return shape.triangles();
  }

  /** Layer or group it was received on, empty if there was none. */
  public String layer() {
    return attributes.layer();
  }

  /** What its source says of it. */
  public Description said() {
    return attributes.said();
  }

  /** The same as received on a layer. */
  public Item on(String layer) {
    return with(attributes.withLayer(layer));
  }

  /** The same with what its source says of it. */
  public Item saying(Description said) {
    return with(attributes.with(said));
  }

  /** The triangles of a terrain surface that has some. */
  public Optional<Mesh> ground() {
    return kind.is(Kind.TERRAIN) && !shape.isEmpty() ? shape.triangles() : Optional.empty();
  }

  /** The same under another name. */
  public Item named(String other) {
    return new Item(other, kind, shape, attributes);
  }

  /** The same as a part of another item of its source. */
  public Item partOf(Item whole) {
    return standing(RelationType.PART_OF, whole.kind, whole.name);
  }

  /** The same with how it stands to another item of its source. */
  public Item standing(RelationType type, Kind otherKind, String otherName) {
    List<Reference> all = new ArrayList<>(attributes.references());
    all.add(new Reference(type, otherKind.title(), otherName));
    return with(attributes.withReferences(all));
  }

  /** The same in another form. */
  public Item with(Shape other) {
    return new Item(name, kind, other, attributes);
  }

  /** The same with other words about it. */
  public Item with(Attributes others) {
    return new Item(name, kind, shape, others);
  }
}
