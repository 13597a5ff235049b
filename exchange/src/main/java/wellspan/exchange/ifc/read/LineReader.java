package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads polylines and single points out of axis and annotation representations. */
final class LineReader {
  private final Georeference geo;
  private final Map<Integer, Placement> placements;

  LineReader(Georeference geo, Map<Integer, Placement> placements) {
    this.geo = geo;
    this.placements = placements;
  }

  /** The polylines of a product in shared coordinates, levels NaN where one is flat. */
  List<double[]> lines(Instance product) {
    List<double[]> out = new ArrayList<>();
    for (Instance item : items(product)) {
      if (item.isA("IFCPOLYLINE")) {
        out.add(shared(product, item.refs("Points")));
      }
      if (item.isA("IFCINDEXEDPOLYCURVE") && item.get("Segments") instanceof Value.Unset) {
        Value table = item.ref("Points").map(p -> p.get("CoordList")).orElse(Value.UNSET);
        if (table instanceof Value.Table(double[] v, int columns)) {
          out.add(shared(product, v, columns));
        }
      }
    }
    return out;
  }

  /** The single point of a product in shared coordinates, its level NaN where it has none. */
  Optional<double[]> point(Instance product) {
    List<Instance> points =
        items(product).stream().filter(i -> i.isA("IFCCARTESIANPOINT")).toList();
    return points.size() == 1 ? Optional.of(shared(product, points)) : Optional.empty();
  }

  private static List<Instance> items(Instance product) {
    List<Instance> out = new ArrayList<>();
    for (Instance r :
        product.ref("Representation").map(d -> d.refs("Representations")).orElse(List.of())) {
      for (Instance item : r.refs("Items")) {
        if (item.isA("IFCGEOMETRICSET")) {
          out.addAll(item.refs("Elements"));
        } else {
          out.add(item);
        }
      }
    }
    return out;
  }

  private double[] shared(Instance product, List<Instance> points) {
    double[] xyz = new double[3 * points.size()];
    boolean flat = true;
    for (int i = 0; i < points.size(); i++) {
      double[] c = points.get(i).numbers("Coordinates");
      flat &= c.length < 3;
      System.arraycopy(Placement.point(Optional.of(points.get(i))), 0, xyz, 3 * i, 3);
    }
    return moved(product, xyz, flat);
  }

  private double[] shared(Instance product, double[] table, int columns) {
    double[] xyz = new double[table.length / columns * 3];
    for (int i = 0; i < table.length / columns; i++) {
      System.arraycopy(table, i * columns, xyz, 3 * i, Math.min(3, columns));
    }
    return moved(product, xyz, columns < 3);
  }

  private double[] moved(Instance product, double[] xyz, boolean flat) {
    Placement at = Placement.of(product.ref("ObjectPlacement"), placements);
    if (!at.isIdentity()) {
      at.apply(xyz, 0, xyz.length);
    }
    geo.apply(xyz);
    if (flat) {
      for (int i = 2; i < xyz.length; i += 3) {
        xyz[i] = Double.NaN;
      }
    }
    return xyz;
  }
}
