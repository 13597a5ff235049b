package wellspan.core.shape;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.RandomAccess;
import wellspan.core.geom.Position;

/**
 * Many points in little room: coordinates in one array, codes shared, names only where they differ
 * from the point's number. To others it is a list that cannot be changed.
 */
public final class PointTable extends AbstractList<NamedPoint> implements RandomAccess {
  private final double[] xyz;
  private final String[] names;
  private final String[] codes;
  private final int size;

  private PointTable(double[] xyz, String[] names, String[] codes, int size) {
    this.xyz = xyz;
    this.names = names;
    this.codes = codes;
    this.size = size;
  }

  /** Gathers points one after another. */
  public static final class Builder {
    private double[] xyz = new double[3 * 1024];
    private String[] names;
    private String[] codes;
    private final Map<String, String> known = new HashMap<>();
    private int size;

    /**
     * @param name empty for the point's number, counted from one
     */
    public void add(String name, double east, double north, double height, String code) {
      if (3 * size == xyz.length) {
        xyz = Arrays.copyOf(xyz, 2 * xyz.length);
      }
      xyz[3 * size] = east;
      xyz[3 * size + 1] = north;
      xyz[3 * size + 2] = height;
      if (!name.isEmpty() && !name.equals(Integer.toString(size + 1))) {
        names = put(names, name);
      }
      if (!code.isEmpty()) {
        codes = put(codes, known.computeIfAbsent(code, c -> c));
      }
      size++;
    }

    private String[] put(String[] to, String text) {
      String[] room =
          to == null
              ? new String[Math.max(16, size + 1)]
              : size < to.length ? to : Arrays.copyOf(to, Math.max(size + 1, 2 * to.length));
      room[size] = text;
      return room;
    }

    public int size() {
      return size;
    }

    public PointTable build() {
      return new PointTable(Arrays.copyOf(xyz, 3 * size), names, codes, size);
    }
  }

  @Override
  public NamedPoint get(int i) {
    java.util.Objects.checkIndex(i, size);
    String name = text(names, i);
    return new NamedPoint(
        name.isEmpty() ? Integer.toString(i + 1) : name,
        new Position(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]),
        text(codes, i));
  }

  private static String text(String[] from, int i) {
    return from == null || i >= from.length || from[i] == null ? "" : from[i];
  }

  @Override
  public int size() {
    return size;
  }

  /** Easting, northing and level of all points, in threes; not to be written. */
  double[] coordinates() {
    return xyz;
  }

  /** Easting, northing and level of all points, in threes; not to be written. */
  static double[] coordinates(List<NamedPoint> points) {
    if (points instanceof PointTable t) {
      return t.coordinates();
    }
    double[] xyz = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      Position p = points.get(i).position();
      xyz[3 * i] = p.east();
      xyz[3 * i + 1] = p.north();
      xyz[3 * i + 2] = p.level();
    }
    return xyz;
  }

  /** The same points at other places. */
  static List<NamedPoint> at(List<NamedPoint> points, double[] xyz) {
    List<NamedPoint> out = new ArrayList<>();
    for (int i = 0; i < points.size(); i++) {
      NamedPoint p = points.get(i);
      Position at = new Position(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
      out.add(new NamedPoint(p.name(), at, p.code()));
    }
    return out;
  }
}
