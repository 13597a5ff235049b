package wellspan.core.road;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Tells which points of one outline belong to which of the next: by their codes, else by where they
 * lie in the outline. Points that the other outline lacks are matched along its edges, so that both
 * have the same number afterwards.
 *
 * @param first places on the first outline, whole numbers are its points
 * @param second places on the second outline, as many
 */
record RingMatching(double[] first, double[] second) {
  /** What a common code is worth against distance in outlines of size one. */
  private static final double SAME_CODE = -4;

  private static final double OTHER_CODE = 0.5;

  /** How many times worse the start of the file may fit, because shapes change along a road. */
  private static final double FAR_BETTER = 4;

  /** A point that lies off the line between its neighbours by less is a mark on it, metres. */
  private static final double STRAIGHT = 1e-4;

  /** Above this many points only starts near the first point are tried. */
  private static final int MANY = 64;

  static RingMatching of(SectionRing a, SectionRing b) {
    Costs costs = new Costs(a, b);
    if (!a.closed()) {
      return costs.path(0, false).merged(a, b);
    }
    if (a.size() == b.size()) {
      int turn = costs.bestTurn();
      if (!costs.contradicts(turn)) {
        return turned(a.size(), turn);
      }
    }
    int[] ca = corners(a);
    int[] cb = corners(b);
    if (ca.length == cb.length && ca.length > 2) {
      Costs only = new Costs(picked(a, ca), picked(b, cb));
      int turn = only.bestTurn();
      if (!only.contradicts(turn)) {
        return Path.through(ca, cb, turn, b.size()).merged(a, b);
      }
    }
    Path best = null;
    int starts = b.size() > MANY ? 3 : b.size();
    for (int j = 0; j < starts; j++) {
      Path p = costs.path(j, true);
      if (best == null || p.cost < best.cost - 1e-12) {
        best = p;
      }
    }
    return best.merged(a, b);
  }

  /**
   * Points that are more than a mark on a straight edge: they have a code, or the outline bends.
   */
  private static int[] corners(SectionRing r) {
    int n = r.size();
    return java.util.stream.IntStream.range(0, n)
        .filter(i -> !r.code().get(i).isEmpty() || bends(r, (i + n - 1) % n, i, (i + 1) % n))
        .toArray();
  }

  private static boolean bends(SectionRing r, int before, int i, int after) {
    double po = r.offset()[i] - r.offset()[before];
    double pz = r.level()[i] - r.level()[before];
    double qo = r.offset()[after] - r.offset()[i];
    double qz = r.level()[after] - r.level()[i];
    double p = Math.hypot(po, pz);
    double q = Math.hypot(qo, qz);
    boolean apart = Math.min(p, q) > 1e-9; // what lies on its neighbour ends something there
    return !apart || po * qo + pz * qz < 0 || Math.abs(po * qz - pz * qo) > STRAIGHT * (p + q);
  }

  private static SectionRing picked(SectionRing r, int[] points) {
    double[] places = Arrays.stream(points).asDoubleStream().toArray();
    return r.at(places);
  }

  private static RingMatching turned(int n, int turn) {
    double[] first = new double[n];
    double[] second = new double[n];
    for (int i = 0; i < n; i++) {
      first[i] = i;
      second[i] = (i + turn) % n;
    }
    return new RingMatching(first, second);
  }

  /** How badly each point of one outline fits each of the other. */
  private static final class Costs {
    private final SectionRing a;
    private final SectionRing b;
    private final double[][] ua;
    private final double[][] ub;

    Costs(SectionRing a, SectionRing b) {
      this.a = a;
      this.b = b;
      ua = inUnitBox(a);
      ub = inUnitBox(b);
    }

    private static double[][] inUnitBox(SectionRing r) {
      return new double[][] {unit(r.offset()), unit(r.level())};
    }

    private static double[] unit(double[] x) {
      double min = Arrays.stream(x).min().orElse(0);
      double span = Arrays.stream(x).max().orElse(0) - min;
      return Arrays.stream(x).map(v -> span > 1e-9 ? (v - min) / span : 0).toArray();
    }

    double at(int i, int j) {
      return apart(i, j) + byCode(i, j);
    }

    private double apart(int i, int j) {
      double dx = ua[0][i] - ub[0][j];
      double dy = ua[1][i] - ub[1][j];
      return dx * dx + dy * dy;
    }

    private double byCode(int i, int j) {
      String ca = a.code().get(i);
      String cb = b.code().get(j);
      return ca.isEmpty() || cb.isEmpty() ? 0 : ca.equals(cb) ? SAME_CODE : OTHER_CODE;
    }

    /**
     * How far the second outline starts behind the first: as codes say; where they say nothing the
     * same place, unless another one fits far better.
     */
    int bestTurn() {
      int n = a.size();
      double[] places = new double[n];
      double[] codes = new double[n];
      int best = 0;
      for (int turn = 0; turn < n; turn++) {
        for (int i = 0; i < n; i++) {
          places[turn] += apart(i, (i + turn) % n);
          codes[turn] += byCode(i, (i + turn) % n);
        }
        boolean fits =
            codes[turn] < codes[best] - 1e-9
                || codes[turn] < codes[best] + 1e-9 && places[turn] < places[best] - 1e-9;
        best = fits ? turn : best;
      }
      boolean asGood =
          codes[0] < codes[best] + 1e-9 && places[0] < FAR_BETTER * places[best] + 1e-9;
      return asGood ? 0 : best;
    }

    /** Whether points of one code would not come together. */
    boolean contradicts(int turn) {
      for (int i = 0; i < a.size(); i++) {
        String code = a.code().get(i);
        String other = b.code().get((i + turn) % b.size());
        if (!code.isEmpty() && !code.equals(other) && b.code().contains(code)) {
          return true;
        }
      }
      return false;
    }

    /**
     * The cheapest way along both outlines, each step one point further on one or both.
     *
     * @param start the point of the second outline that goes with the first of the first
     */
    Path path(int start, boolean round) {
      int n = a.size();
      int m = b.size();
      double[][] sum = new double[n][m];
      for (int i = 0; i < n; i++) {
        for (int j = 0; j < m; j++) {
          double before =
              i == 0 && j == 0
                  ? 0
                  : Math.min(
                      i > 0 && j > 0 ? sum[i - 1][j - 1] : Double.POSITIVE_INFINITY,
                      Math.min(
                          i > 0 ? sum[i - 1][j] : Double.POSITIVE_INFINITY,
                          j > 0 ? sum[i][j - 1] : Double.POSITIVE_INFINITY));
          sum[i][j] = before + at(i, (j + start) % m);
        }
      }
      List<int[]> cells = new ArrayList<>();
      int i = n - 1;
      int j = m - 1;
      cells.add(new int[] {i, j});
      while (i > 0 || j > 0) {
        double both = i > 0 && j > 0 ? sum[i - 1][j - 1] : Double.POSITIVE_INFINITY;
        double one = i > 0 ? sum[i - 1][j] : Double.POSITIVE_INFINITY;
        double other = j > 0 ? sum[i][j - 1] : Double.POSITIVE_INFINITY;
        if (both <= one && both <= other) {
          i--;
          j--;
        } else if (one <= other) {
          i--;
        } else {
          j--;
        }
        cells.addFirst(new int[] {i, j});
      }
      List<int[]> pairs = anchors(cells, start);
      if (!round) { // the ends of lines always belong together
        pairs.set(0, cells.getFirst());
        pairs.set(pairs.size() - 1, cells.getLast());
        if (pairs.size() == 1) {
          pairs.addFirst(cells.getFirst());
        }
      }
      return new Path(sum[n - 1][m - 1], pairs, start, round);
    }

    /** Pairs of points, each point once: where one has several partners the nearest stays. */
    private List<int[]> anchors(List<int[]> cells, int start) {
      List<int[]> out = new ArrayList<>();
      for (int[] c : cells) {
        int[] last = out.isEmpty() ? null : out.getLast();
        if (last == null || last[0] != c[0] && last[1] != c[1]) {
          out.add(c);
        } else if (at(c[0], (c[1] + start) % b.size())
            < at(last[0], (last[1] + start) % b.size())) {
          out.set(out.size() - 1, c);
        }
      }
      return out;
    }
  }

  private record Path(double cost, List<int[]> anchors, int start, boolean round) {

    /**
     * Through corners of two outlines that belong together in their order.
     *
     * @param turn how far the corners of the second begin behind those of the first
     * @param m points of the second outline
     */
    static Path through(int[] first, int[] second, int turn, int m) {
      int start = second[turn];
      List<int[]> anchors = new ArrayList<>();
      for (int k = 0; k < first.length; k++) {
        int j = second[(k + turn) % second.length];
        anchors.add(new int[] {first[k], (j - start + m) % m});
      }
      return new Path(0, anchors, start, true);
    }

    /** Between two pairs the points of both outlines are taken where they lie along the way. */
    RingMatching merged(SectionRing a, SectionRing b) {
      List<Double> first = new ArrayList<>();
      List<Double> second = new ArrayList<>();
      int pairs = anchors.size();
      for (int k = 0; k < (round ? pairs : pairs - 1); k++) {
        int[] from = anchors.get(k);
        int[] to = anchors.get((k + 1) % pairs);
        int i1 = k + 1 < pairs ? to[0] : to[0] + a.size();
        int j1 = k + 1 < pairs ? to[1] : to[1] + b.size();
        double[] alongA = along(a, from[0], i1, 0);
        double[] alongB = along(b, from[1], j1, start);
        double[] all = union(alongA, alongB);
        for (int q = 0; q + 1 < all.length; q++) {
          first.add(place(alongA, from[0], all[q]) % a.size());
          second.add((place(alongB, from[1], all[q]) + start) % b.size());
        }
      }
      if (!round) {
        first.add((double) a.size() - 1);
        second.add((double) b.size() - 1);
      }
      return new RingMatching(
          first.stream().mapToDouble(x -> x).toArray(),
          second.stream().mapToDouble(x -> x).toArray());
    }

    /** Shares of the way from one point to another at which the points between lie. */
    private static double[] along(SectionRing r, int from, int to, int start) {
      double[] s = new double[to - from + 1];
      for (int i = from; i < to; i++) {
        int p = (i + start) % r.size();
        int q = (i + 1 + start) % r.size();
        s[i - from + 1] =
            s[i - from] + Math.hypot(r.offset()[q] - r.offset()[p], r.level()[q] - r.level()[p]);
      }
      double all = s[s.length - 1];
      for (int i = 1; i < s.length; i++) {
        s[i] = i == s.length - 1 ? 1 : all > 0 ? s[i] / all : (double) i / (s.length - 1);
      }
      return s;
    }

    private static double[] union(double[] a, double[] b) {
      double[] all =
          java.util.stream.DoubleStream.concat(Arrays.stream(a), Arrays.stream(b))
              .sorted()
              .toArray();
      int n = 0;
      for (double x : all) {
        if (n == 0 || x > all[n - 1] + 1e-9) {
          all[n++] = x;
        }
      }
      all[n - 1] = 1;
      return Arrays.copyOf(all, n);
    }

    private static double place(double[] along, int from, double share) {
      int i = 0;
      while (i + 2 < along.length && share >= along[i + 1] - 1e-9) {
        i++;
      }
      double step = along[i + 1] - along[i];
      double t = step > 0 ? (share - along[i]) / step : 0;
      return from + i + (t < 1e-9 ? 0 : t > 1 - 1e-9 ? 1 : t);
    }
  }
}
