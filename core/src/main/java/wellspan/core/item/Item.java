package wellspan.core.item;

import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.picture.Texture;

/** One thing of a job, with geometry in shared coordinates. */
public sealed interface Item {
  /** Name as in the source. */
  String name();

  /** What kind of thing it is, in the trade's words. */
  String kind();

  /** The stratum it lies in. */
  Band band();

  Box bounds();

  /** The same under another name. */
  default Item named(String name) {
    return switch (this) {
      case TerrainSurface s -> new TerrainSurface(name, s.mesh, s.invisible, s.texture);
      case Body b -> new Body(name, b.mesh, b.band, b.use);
      case Cover c -> new Cover(name, c.mesh, c.material);
      case AlignmentLine a -> new AlignmentLine(name, a.alignment);
      case StringLine l -> new StringLine(name, l.lines);
      case PointGroup p -> new PointGroup(name, p.points);
      case GroundImage g -> new GroundImage(name, g.pixels, g.place);
    };
  }

  /** The triangles it is made of; empty for lines, points and pictures. */
  default Optional<Mesh> triangles() {
    return switch (this) {
      case TerrainSurface s -> Optional.of(s.mesh());
      case Body b -> Optional.of(b.mesh());
      case Cover c -> Optional.of(c.mesh());
      case AlignmentLine a -> Optional.empty();
      case StringLine l -> Optional.empty();
      case PointGroup p -> Optional.empty();
      case GroundImage g -> Optional.empty();
    };
  }

  /**
   * A terrain surface with its triangles as designed.
   *
   * @param invisible vertex numbers, in threes, of faces that the designer marked as invisible;
   *     they are kept but are no part of the surface
   * @param texture a picture over it, if it has one
   */
  record TerrainSurface(String name, Mesh mesh, int[] invisible, Optional<Texture> texture)
      implements Item {
    /** A surface without a picture over it. */
    public TerrainSurface(String name, Mesh mesh, int[] invisible) {
      this(name, mesh, invisible, Optional.empty());
    }

    @Override
    public String kind() {
      return "terrain surface";
    }

    @Override
    public Band band() {
      return Band.GROUND;
    }

    @Override
    public Box bounds() {
      return mesh.bounds();
    }

    public int invisibleCount() {
      return invisible.length / 3;
    }
  }

  /**
   * An area of the ground with a material of its own.
   *
   * @param material in the trade's words, may be empty
   */
  record Cover(String name, Mesh mesh, String material) implements Item {
    @Override
    public String kind() {
      return "cover";
    }

    @Override
    public Band band() {
      return Band.GROUND;
    }

    @Override
    public Box bounds() {
      return mesh.bounds();
    }
  }

  /** An alignment. */
  record AlignmentLine(String name, Alignment alignment) implements Item {
    @Override
    public String kind() {
      return "alignment";
    }

    @Override
    public Band band() {
      return Band.LINES_AND_POINTS;
    }

    @Override
    public Box bounds() {
      return alignment.bounds();
    }
  }

  /**
   * Lines in space without labels or elements: a string, breaklines, the lines of a drawing's
   * layer.
   *
   * @param lines one or more
   */
  record StringLine(String name, List<Polyline> lines) implements Item {
    public StringLine {
      lines = List.copyOf(lines);
      if (lines.isEmpty()) {
        throw new IllegalArgumentException("A string needs a line.");
      }
    }

    public StringLine(String name, Polyline line) {
      this(name, List.of(line));
    }

    /** Points of all lines together. */
    public int pointCount() {
      return lines.stream().mapToInt(Polyline::pointCount).sum();
    }

    /** Whether each line keeps to one level, and there are several levels. */
    public boolean isContours() {
      double first = lines.getFirst().point(0).height();
      return lines.stream().anyMatch(l -> l.point(0).height() != first)
          && lines.stream().allMatch(StringLine::isLevel);
    }

    private static boolean isLevel(Polyline line) {
      double[] xyz = line.xyz();
      for (int i = 2; i < xyz.length; i += 3) {
        if (xyz[i] != xyz[2]) { // NaN, no level, equals nothing
          return false;
        }
      }
      return true;
    }

    /** Length of all lines in plan, metres. */
    public double planLength() {
      return lines.stream().mapToDouble(Polyline::planLength).sum();
    }

    @Override
    public String kind() {
      return "string";
    }

    @Override
    public Band band() {
      return Band.LINES_AND_POINTS;
    }

    @Override
    public Box bounds() {
      return lines.stream().map(Polyline::bounds).reduce(Box.EMPTY, Box::union);
    }
  }

  /** Named single points, such as control points. */
  record PointGroup(String name, List<NamedPoint> points) implements Item {
    public PointGroup {
      points = points instanceof PointTable t ? t : List.copyOf(points);
    }

    @Override
    public String kind() {
      return "points";
    }

    @Override
    public Band band() {
      return Band.LINES_AND_POINTS;
    }

    /** Easting, northing and level of all points, in threes; not to be written. */
    public double[] coordinates() {
      if (points instanceof PointTable t) {
        return t.coordinates();
      }
      double[] xyz = new double[3 * points.size()];
      for (int i = 0; i < points.size(); i++) {
        Position p = points.get(i).position();
        xyz[3 * i] = p.east();
        xyz[3 * i + 1] = p.north();
        xyz[3 * i + 2] = p.height();
      }
      return xyz;
    }

    @Override
    public Box bounds() {
      return Box.of(coordinates());
    }
  }

  /** A picture of the ground. */
  record GroundImage(String name, Pixels pixels, PicturePlace place) implements Item {
    @Override
    public String kind() {
      return "image";
    }

    @Override
    public Band band() {
      return Band.DRAWINGS;
    }

    @Override
    public Box bounds() {
      return place.bounds();
    }
  }

  /** A point with its name or number and its code, which may be empty. */
  record NamedPoint(String name, Position position, String code) {}

  /**
   * A body or face set that is neither ground nor line.
   *
   * @param use earth that is cut or filled, or any other thing as received from a model
   */
  record Body(String name, Mesh mesh, Band band, Use use) implements Item {
    /** What a body stands for. */
    public enum Use {
      OBJECT,
      CUT,
      FILL
    }

    /** A thing as received. */
    public Body(String name, Mesh mesh, Band band) {
      this(name, mesh, band, Use.OBJECT);
    }

    @Override
    public String kind() {
      return "body";
    }

    @Override
    public Box bounds() {
      return mesh.bounds();
    }
  }
}
