package wellspan.exchange.gltf.read;

import com.fasterxml.jackson.databind.JsonNode;

/**
 * A transformation of a node.
 *
 * @param m twelve numbers: three rows of four
 */
record Matrix(double[] m) {
  static final Matrix IDENTITY = new Matrix(new double[] {1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0});

  /** As a node says it: as a matrix column by column, or as translation, rotation and scale. */
  static Matrix of(JsonNode node) {
    JsonNode c = node.path("matrix");
    if (c.size() == 16) {
      double[] m = new double[12];
      for (int row = 0; row < 3; row++) {
        for (int column = 0; column < 4; column++) {
          m[4 * row + column] = c.get(4 * column + row).asDouble();
        }
      }
      return new Matrix(m);
    }
    JsonNode t = node.path("translation"), q = node.path("rotation"), s = node.path("scale");
    double x = at(q, 0, 0), y = at(q, 1, 0), z = at(q, 2, 0), w = at(q, 3, 1);
    double sx = at(s, 0, 1), sy = at(s, 1, 1), sz = at(s, 2, 1);
    return new Matrix(
        new double[] {
          (1 - 2 * (y * y + z * z)) * sx, 2 * (x * y - z * w) * sy, 2 * (x * z + y * w) * sz,
              at(t, 0, 0),
          2 * (x * y + z * w) * sx, (1 - 2 * (x * x + z * z)) * sy, 2 * (y * z - x * w) * sz,
              at(t, 1, 0),
          2 * (x * z - y * w) * sx, 2 * (y * z + x * w) * sy, (1 - 2 * (x * x + y * y)) * sz,
              at(t, 2, 0)
        });
  }

  private static double at(JsonNode n, int i, double otherwise) {
    return n.path(i).asDouble(otherwise);
  }

  Matrix times(Matrix o) {
    double[] out = new double[12];
    for (int r = 0; r < 3; r++) {
      for (int c = 0; c < 4; c++) {
        double sum = c == 3 ? m[4 * r + 3] : 0;
        for (int k = 0; k < 3; k++) {
          sum += m[4 * r + k] * o.m[4 * k + c];
        }
        out[4 * r + c] = sum;
      }
    }
    return new Matrix(out);
  }

  double[] apply(double x, double y, double z) {
    return new double[] {
      m[0] * x + m[1] * y + m[2] * z + m[3],
      m[4] * x + m[5] * y + m[6] * z + m[7],
      m[8] * x + m[9] * y + m[10] * z + m[11]
    };
  }
}
