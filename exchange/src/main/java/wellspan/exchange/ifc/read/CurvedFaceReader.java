package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import wellspan.core.geom.FaceTriangulator;
import wellspan.core.solid.CurvedPatch;

/**
 * Reads faces that are bounded by curves and lie on planes or curved surfaces, as triangles within
 * twice the tolerance of curves. The loops are unrolled into the surface's parameters: what runs
 * round a surface is joined to the loop that runs round its other side, or to the pole, along a
 * seam. For one shell.
 */
final class CurvedFaceReader {
  /** Sag of a chord as a share of what it is part of, as of a round thing with 64 corners. */
  private static final double FINE = 6e-4;

  private final CurveReader curves;
  private final MeshBuilder mesh;
  private final EdgeReader edges;

  CurvedFaceReader(CurveReader curves, MeshBuilder mesh) {
    this.curves = curves;
    this.mesh = mesh;
    edges = new EdgeReader(curves, mesh);
  }

  /** A point of the border: where it is on the surface, and its number in the mesh. */
  private record Corner(double u, double v, int vertex) {
    Corner moved(double du) {
      return new Corner(u + du, v, vertex);
    }
  }

  /**
   * @param round how far u has grown when the loop is back; 0 or about a period
   */
  private record Unrolled(List<Corner> corners, double round) {}

  void face(Instance face) {
    List<List<Integer>> loops = new ArrayList<>();
    for (Instance bound : face.refs("Bounds")) {
      Instance of = SolidReader.part(bound, "Bound");
      if (of.isA("IFCVERTEXLOOP")) {
        continue; // the whole surface, or its pole
      }
      List<Integer> loop = edges.loop(of);
      if (bound.literal("Orientation").equals("F")) {
        Collections.reverse(loop);
      }
      loops.add(bound.isA("IFCFACEOUTERBOUND") ? 0 : loops.size(), loop);
    }
    Optional<Instance> surface = face.ref("FaceSurface");
    if (surface.isEmpty() || surface.get().isA("IFCPLANE")) {
      flat(face, loops);
      return;
    }
    boolean same = !face.literal("SameSense").equals("F");
    if (!same) {
      loops.forEach(Collections::reverse);
    }
    CurvedSurface on = CurvedSurface.of(surface.get(), curves);
    List<List<Corner>> areas = areas(face, on, loops);
    triangles(face, on, areas, same);
  }

  private void flat(Instance face, List<List<Integer>> loops) {
    try {
      int[] t =
          FaceTriangulator.triangles(
              mesh.coordinates(),
              loops.stream().map(l -> l.stream().mapToInt(Integer::intValue).toArray()).toList());
      for (int i = 0; i < t.length; i += 3) {
        mesh.triangle(t[i], t[i + 1], t[i + 2]);
      }
    } catch (IllegalArgumentException
        | IndexOutOfBoundsException
        | java.util.NoSuchElementException e) {
      throw new Unread(face, "cannot be cut into triangles: " + e.getMessage());
    }
  }

  private double[] place(int vertex) {
    return java.util.Arrays.copyOfRange(mesh.coordinates(), 3 * vertex, 3 * vertex + 3);
  }

  private List<List<Corner>> areas(Instance face, CurvedSurface on, List<List<Integer>> loops) {
    List<List<Corner>> out = new ArrayList<>();
    List<Unrolled> round = new ArrayList<>();
    for (List<Integer> loop : loops) {
      Unrolled u = unrolled(face, on, loop);
      if (Math.abs(u.round()) > on.periodU() / 2 && on.periodU() > 0) {
        round.add(u);
      } else {
        out.add(u.corners());
      }
    }
    if (loops.isEmpty()) {
      out.add(whole(face, on));
    } else if (round.size() == 2 && round.get(0).round() * round.get(1).round() < 0) {
      boolean first = round.get(0).round() > 0;
      out.add(band(on, round.get(first ? 0 : 1), round.get(first ? 1 : 0)));
    } else if (round.size() == 1) {
      out.add(cap(face, on, round.getFirst()));
    } else if (!round.isEmpty()) {
      throw new Unread(face, "runs round its surface " + round.size() + " times");
    }
    out.sort((a, b) -> Double.compare(Math.abs(area(b)), Math.abs(area(a))));
    return beside(on, out);
  }

  /** Holes lie where the outer loop was unrolled to. */
  private static List<List<Corner>> beside(CurvedSurface on, List<List<Corner>> loops) {
    List<List<Corner>> out = new ArrayList<>(List.of(loops.getFirst()));
    double middle = middle(loops.getFirst());
    for (List<Corner> hole : loops.subList(1, loops.size())) {
      double p = on.periodU();
      double by = p > 0 ? p * Math.rint((middle - middle(hole)) / p) : 0;
      out.add(hole.stream().map(c -> c.moved(by)).toList());
    }
    return out;
  }

  private static double middle(List<Corner> loop) {
    double low = loop.stream().mapToDouble(Corner::u).min().orElse(0);
    double high = loop.stream().mapToDouble(Corner::u).max().orElse(0);
    return (low + high) / 2;
  }

  private static double area(List<Corner> loop) {
    double sum = 0;
    for (int i = 0; i < loop.size(); i++) {
      Corner a = loop.get(i);
      Corner b = loop.get((i + 1) % loop.size());
      sum += a.u() * b.v() - b.u() * a.v();
    }
    return sum / 2;
  }

  /** Each point at the parameters nearest to those of the one before. */
  private Unrolled unrolled(Instance face, CurvedSurface on, List<Integer> loop) {
    int n = loop.size();
    double[][] uv = new double[n][];
    int first = -1;
    for (int i = 0; i < n; i++) {
      uv[i] = on.parameters(place(loop.get(i)));
      double off = Direction.distance(place(loop.get(i)), on.at(or(uv[i][0], 0), uv[i][1]));
      if (!(off <= 10 * curves.tolerance())) {
        throw new Unread(face, "has a border that lies beside its surface");
      }
      boolean pole = Double.isNaN(uv[i][0]);
      if (!pole && (first < 0 || i > 0 && Double.isNaN(uv[i - 1][0]))) {
        first = i; // behind a pole, so that the loop ends with it
      }
    }
    if (first < 0) {
      throw new Unread(face, "has a border without length");
    }
    List<Corner> out = new ArrayList<>();
    double u = uv[first][0];
    double v = uv[first][1];
    boolean atPole = false;
    for (int k = 0; k < n; k++) {
      int i = (first + k) % n;
      boolean pole = Double.isNaN(uv[i][0]);
      double next = pole ? u : near(uv[i][0], u, on.periodU());
      v = near(uv[i][1], v, on.periodV());
      if (atPole) { // left at another u than it was come to
        out.add(new Corner(next, out.getLast().v(), out.getLast().vertex()));
      }
      u = next;
      out.add(new Corner(u, v, loop.get(i)));
      atPole = pole;
    }
    double start = out.getFirst().u();
    if (atPole) {
      out.add(new Corner(start, v, out.getLast().vertex()));
      return new Unrolled(out, 0);
    }
    double back = near(uv[first][0], u, on.periodU());
    if (Math.abs(near(uv[first][1], v, on.periodV()) - out.getFirst().v()) > on.periodV() / 2
        && on.periodV() > 0) {
      throw new Unread(face, "has a border that runs round its surface the other way");
    }
    return new Unrolled(out, back - start);
  }

  private static double or(double u, double otherwise) {
    return Double.isNaN(u) ? otherwise : u;
  }

  private static double near(double t, double to, double period) {
    return period > 0 ? t + period * Math.rint((to - t) / period) : t;
  }

  /** Between a loop that runs forward round the surface and one that runs back. */
  private List<Corner> band(CurvedSurface on, Unrolled forward, Unrolled back) {
    double period = on.periodU();
    List<Corner> out = new ArrayList<>(forward.corners());
    Corner a = forward.corners().getFirst();
    out.add(a.moved(period));
    int best = 0;
    List<Corner> other = back.corners();
    for (int i = 0; i < other.size(); i++) {
      best = apart(other.get(i), a, period) < apart(other.get(best), a, period) ? i : best;
    }
    double shift = near(other.get(best).u(), a.u() + period, period) - other.get(best).u();
    Corner b = other.get(best).moved(shift);
    List<Corner> seam = seam(on, a.moved(period), b);
    out.addAll(seam);
    out.add(b);
    for (int k = 1; k < other.size(); k++) {
      int i = (best + k) % other.size();
      double turn = i < best ? -period : 0; // behind the end of the list it goes on
      out.add(other.get(i).moved(shift + turn));
    }
    out.add(b.moved(-period));
    seam.reversed().forEach(c -> out.add(c.moved(-period)));
    return out;
  }

  private static double apart(Corner c, Corner from, double period) {
    return Math.abs(near(c.u(), from.u(), period) - from.u());
  }

  /** From a loop that runs round the surface to the pole on its left. */
  private List<Corner> cap(Instance face, CurvedSurface on, Unrolled loop) {
    double period = Math.copySign(on.periodU(), loop.round());
    double v =
        on.pole(loop.round() > 0)
            .orElseThrow(() -> new Unread(face, "runs round a surface that has no pole"));
    List<Corner> out = new ArrayList<>(loop.corners());
    Corner a = loop.corners().getFirst();
    double[] p = on.at(a.u(), v);
    Corner pole = new Corner(a.u() + period, v, mesh.vertex(p[0], p[1], p[2]));
    List<Corner> seam = seam(on, a.moved(period), pole);
    out.add(a.moved(period));
    out.addAll(seam);
    out.add(pole);
    out.add(pole.moved(-period));
    seam.reversed().forEach(c -> out.add(c.moved(-period)));
    return out;
  }

  /** All of a surface from pole to pole. */
  private List<Corner> whole(Instance face, CurvedSurface on) {
    Optional<Double> low = on.pole(false);
    Optional<Double> high = on.pole(true);
    if (low.isEmpty() || high.isEmpty()) {
      throw new Unread(face, "has no border on a surface without poles");
    }
    double[] p = on.at(0, low.get());
    double[] q = on.at(0, high.get());
    Corner south = new Corner(0, low.get(), mesh.vertex(p[0], p[1], p[2]));
    Corner north = new Corner(0, high.get(), mesh.vertex(q[0], q[1], q[2]));
    List<Corner> seam = seam(on, south, north);
    List<Corner> out = new ArrayList<>(List.of(south, south.moved(on.periodU())));
    seam.forEach(c -> out.add(c.moved(on.periodU())));
    out.add(north.moved(on.periodU()));
    out.add(north);
    out.addAll(seam.reversed());
    return out;
  }

  /** Points of the surface between two corners, as many as its bend asks for. */
  private List<Corner> seam(CurvedSurface on, Corner a, Corner b) {
    double most = tolerance(List.of(place(a.vertex()), place(b.vertex())));
    int n = 1;
    while (n < 1024 && sag(on, a, b, n) > most) {
      n *= 2;
    }
    List<Corner> out = new ArrayList<>();
    for (int i = 1; i < n; i++) {
      double u = a.u() + (b.u() - a.u()) * i / n;
      double v = a.v() + (b.v() - a.v()) * i / n;
      double[] p = on.at(u, v);
      out.add(new Corner(u, v, mesh.vertex(p[0], p[1], p[2])));
    }
    return out;
  }

  /** That of curves, finer for what is small: a share of its own reach. */
  private double tolerance(List<double[]> places) {
    double reach = 0;
    for (double[] p : places) {
      reach = Math.max(reach, Direction.distance(p, places.getFirst()));
    }
    return reach > 0 ? Math.min(curves.tolerance(), FINE * reach) : curves.tolerance();
  }

  private static double sag(CurvedSurface on, Corner a, Corner b, int n) {
    double worst = 0;
    for (int i = 0; i < n; i++) {
      double[][] p = new double[3][];
      for (int k = 0; k < 3; k++) {
        double t = (i + k / 2.0) / n;
        p[k] = on.at(a.u() + (b.u() - a.u()) * t, a.v() + (b.v() - a.v()) * t);
      }
      double[] chord = new double[3];
      for (int k = 0; k < 3; k++) {
        chord[k] = (p[0][k] + p[2][k]) / 2;
      }
      worst = Math.max(worst, Direction.distance(p[1], chord));
    }
    return worst;
  }

  private void triangles(Instance face, CurvedSurface on, List<List<Corner>> areas, boolean same) {
    List<List<CurvedPatch.Corner>> loops = new ArrayList<>();
    List<Integer> numbers = new ArrayList<>();
    List<double[]> places = new ArrayList<>();
    for (List<Corner> loop : areas) {
      List<CurvedPatch.Corner> out = new ArrayList<>();
      for (Corner c : loop) {
        out.add(new CurvedPatch.Corner(c.u(), c.v(), place(c.vertex())));
        numbers.add(c.vertex());
        places.add(place(c.vertex()));
      }
      loops.add(out);
    }
    CurvedPatch.Triangles made;
    try {
      made = CurvedPatch.of(loops, on, 2 * tolerance(places));
    } catch (IllegalArgumentException e) {
      throw new Unread(face, "cannot be cut into triangles: " + e.getMessage());
    }
    double[] inner = made.inner();
    for (int i = 0; i < inner.length; i += 3) {
      numbers.add(mesh.vertex(inner[i], inner[i + 1], inner[i + 2]));
    }
    int[] t = made.triangles();
    for (int i = 0; i < t.length; i += 3) {
      int a = numbers.get(t[i]);
      int b = numbers.get(t[i + (same ? 1 : 2)]);
      int c = numbers.get(t[i + (same ? 2 : 1)]);
      if (a != b && b != c && c != a) { // at a pole
        mesh.triangle(a, b, c);
      }
    }
  }
}
