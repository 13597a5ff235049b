package wellspan.core.item;

import java.util.List;
import wellspan.core.align.Alignment;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/** One thing of a job, with geometry in shared coordinates. */
public sealed interface Item {
  /** Name as in the source. */
  String name();

  /** What kind of thing it is, in the trade's words. */
  String kind();

  /** The stratum it lies in. */
  Band band();

  Box bounds();

  /**
   * A terrain surface with its triangles as designed.
   *
   * @param invisible vertex numbers, in threes, of faces that the designer marked as invisible;
   *     they are kept but are no part of the surface
   */
  record TerrainSurface(String name, Mesh mesh, int[] invisible) implements Item {
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

  /** A line in space without labels or elements: a string, a breakline, an alignment as chords. */
  record StringLine(String name, Polyline line) implements Item {
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
      return line.bounds();
    }
  }

  /** Named single points, such as control points. */
  record PointGroup(String name, List<NamedPoint> points) implements Item {
    public PointGroup {
      points = List.copyOf(points);
    }

    @Override
    public String kind() {
      return "points";
    }

    @Override
    public Band band() {
      return Band.LINES_AND_POINTS;
    }

    @Override
    public Box bounds() {
      double[] xyz = new double[3 * points.size()];
      for (int i = 0; i < points.size(); i++) {
        Position p = points.get(i).position();
        xyz[3 * i] = p.east();
        xyz[3 * i + 1] = p.north();
        xyz[3 * i + 2] = p.height();
      }
      return Box.of(xyz);
    }
  }

  /** A point with its name or number and its code, which may be empty. */
  record NamedPoint(String name, Position position, String code) {}

  /** A body or face set that is neither ground nor line, as received from a model. */
  record Body(String name, Mesh mesh, Band band) implements Item {
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
