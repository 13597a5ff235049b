package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.choice.Choice;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Kind;
import wellspan.core.solid.Loft;

/**
 * Objects that are set up along a line, each made of closed bodies: x to the right of the line, y
 * along it, z up from where it stands. Another object is another row here.
 */
public enum ObjectShape implements Choice {
  POST("post", "post", "steel", box(-0.05, 0.05, -0.04, 0.04, -0.5, 0.75)),
  RAILING_POST("railing post", "post", "steel", box(-0.03, 0.03, -0.03, 0.03, -0.3, 1)),
  LIGHT(
      "light on a column",
      "light",
      "steel",
      column(0, 0, 0.09, 0.05, -0.5, 8),
      box(-1.6, -0.06, -0.05, 0.05, 7.86, 7.96)),
  MARKER_POST("marker post", "marker post", "plastic", box(-0.06, 0.06, -0.025, 0.025, -0.3, 1)),
  SIGN(
      "sign on a post",
      "sign",
      "steel",
      column(0, 0, 0.038, 0.038, -0.5, 2.8),
      box(-0.3, 0.3, -0.06, -0.04, 2.1, 2.7)),
  TREE(
      "tree",
      "tree",
      "timber",
      column(0, 0, 0.16, 0.1, -0.3, 2.2),
      column(0, 0, 1.9, 0.05, 2.2, 7));

  private final String word;
  private final String kind;
  private final String material;
  private final List<Mesh> bodies;

  ObjectShape(String word, String kind, String material, Mesh... bodies) {
    this.word = word;
    this.kind = kind;
    this.material = material;
    this.bodies = List.of(bodies);
  }

  @Override
  public String word() {
    return word;
  }

  public Kind kind() {
    return Kind.of(kind);
  }

  public String material() {
    return material;
  }

  /** The object standing somewhere, its x axis along {@code right}. */
  Mesh at(double east, double north, double level, double[] right) {
    int vertices = bodies.stream().mapToInt(Mesh::vertexCount).sum();
    int triangles = bodies.stream().mapToInt(Mesh::triangleCount).sum();
    double[] xyz = new double[3 * vertices];
    int[] t = new int[3 * triangles];
    int v = 0;
    int f = 0;
    for (Mesh m : bodies) {
      for (int c : m.triangles()) {
        t[f++] = c + v;
      }
      for (int i = 0; i < m.vertexCount(); i++) {
        double x = m.xyz()[3 * i];
        double y = m.xyz()[3 * i + 1];
        xyz[3 * v] = east + x * right[0] - y * right[1];
        xyz[3 * v + 1] = north + x * right[1] + y * right[0];
        xyz[3 * v + 2] = level + m.xyz()[3 * i + 2];
        v++;
      }
    }
    return new Mesh(xyz, t);
  }

  private static Mesh box(double x0, double x1, double y0, double y1, double z0, double z1) {
    return Loft.body(
        List.of(
            List.of(new double[] {x0, y0, z0, x1, y0, z0, x1, y1, z0, x0, y1, z0}),
            List.of(new double[] {x0, y0, z1, x1, y0, z1, x1, y1, z1, x0, y1, z1})),
        false);
  }

  /** With eight sides, of another radius at the top. */
  private static Mesh column(double x, double y, double low, double high, double z0, double z1) {
    List<List<double[]>> rings = new ArrayList<>();
    for (double[] ring : new double[][] {{low, z0}, {high, z1}}) {
      double[] xyz = new double[24];
      for (int i = 0; i < 8; i++) {
        xyz[3 * i] = x + ring[0] * Math.cos(i * Math.PI / 4);
        xyz[3 * i + 1] = y + ring[0] * Math.sin(i * Math.PI / 4);
        xyz[3 * i + 2] = ring[1];
      }
      rings.add(List.of(xyz));
    }
    return Loft.body(rings, false);
  }
}
