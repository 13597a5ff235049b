package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.proof.Proof;

/**
 * Shapes as drawings hold them, with upright faces, edges of three triangles, faces twice, lines
 * without length: every format that carries them proves them.
 */
class OddShapesTravelTest {
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);
  private static final double E = 412_020.154961;
  private static final double N = 6_534_544.177041;

  @TempDir Path dir;

  /** A mesh of triangles, each with corners of its own where they are not the same place. */
  private static Mesh mesh(double[]... corners) {
    List<double[]> places = new ArrayList<>();
    int[] t = new int[corners.length];
    for (int i = 0; i < corners.length; i++) {
      double[] c = corners[i];
      int v = 0;
      while (v < places.size() && !Arrays.equals(places.get(v), c)) {
        v++;
      }
      if (v == places.size()) {
        places.add(c);
      }
      t[i] = v;
    }
    return new Mesh(places.stream().flatMapToDouble(Arrays::stream).toArray(), t);
  }

  private static double[] at(double e, double n, double h) {
    return new double[] {E + e, N + n, h};
  }

  private static double[][] quad(double[] a, double[] b, double[] c, double[] d) {
    return new double[][] {a, b, c, a, c, d};
  }

  private static Mesh quads(double[][]... quads) {
    return mesh(Stream.of(quads).flatMap(Stream::of).toArray(double[][]::new));
  }

  private static Mesh wall() {
    return quads(
        quad(at(0, 0, 0), at(4, 0, 0), at(4, 0, 3), at(0, 0, 2)),
        quad(at(4, 0, 0), at(8, 0, 0), at(8, 0, 1), at(4, 0, 3)));
  }

  private static Mesh tube(double lean) {
    double[][][] all = new double[10][][];
    for (int i = 0; i < 10; i++) {
      double a = 2 * Math.PI * i / 10;
      double b = 2 * Math.PI * ((i + 1) % 10) / 10;
      all[i] =
          quad(
              at(Math.cos(a), Math.sin(a), 0),
              at(Math.cos(b), Math.sin(b), 0),
              at(Math.cos(b) + lean, Math.sin(b), 3),
              at(Math.cos(a) + lean, Math.sin(a), 3));
    }
    return quads(all);
  }

  private static Mesh boxes(boolean open) {
    List<double[][]> all = new ArrayList<>();
    for (double s : new double[] {4, 1}) {
      double[][] v = new double[8][];
      for (int i = 0; i < 8; i++) {
        boolean east = i % 4 == 1 || i % 4 == 2;
        v[i] = at(east ? s : -s, i % 4 > 1 ? s : -s, i > 3 ? s : -s);
      }
      all.add(quad(v[0], v[3], v[2], v[1]));
      if (!open) {
        all.add(quad(v[4], v[5], v[6], v[7]));
      }
      for (int i = 0; i < 4; i++) {
        int j = (i + 1) % 4;
        all.add(quad(v[i], v[j], v[j + 4], v[i + 4]));
      }
    }
    return quads(all.toArray(double[][][]::new));
  }

  private static Mesh twistedBand() {
    int n = 16;
    double[][][] all = new double[n][][];
    for (int i = 0; i < n; i++) {
      all[i] = quad(edge(i, n, -1), edge(i + 1, n, -1), edge(i + 1, n, 1), edge(i, n, 1));
    }
    return quads(all);
  }

  private static double[] edge(int i, int n, double side) {
    double s = i == n ? -side : side; // half a turn on the way round
    double a = 2 * Math.PI * (i % n) / n;
    double half = (i == n ? 0 : a) / 2;
    double r = 5 + s * Math.cos(half);
    return at(r * Math.cos(a), r * Math.sin(a), s * Math.sin(half));
  }

  private static Mesh soup() {
    Random random = new Random(8);
    double[][] all = new double[60][];
    for (int i = 0; i < all.length; i++) {
      all[i] = at(20 * random.nextDouble(), 20 * random.nextDouble(), 5 * random.nextDouble());
    }
    return mesh(all);
  }

  private static List<Item> items() {
    double[] a = at(0, 0, 0);
    double[] b = at(0, 5, 0);
    double[] c = at(3, 2, 0);
    return List.of(
        Item.surface("Wall", wall()),
        Item.surface("Tube", tube(0)),
        Item.surface("Leaning tube", tube(0.4)),
        Item.surface("Open boxes", boxes(true)),
        Item.surface("Boxes", boxes(false)),
        Item.surface("Twisted band", twistedBand()),
        Item.surface("Three at an edge", mesh(a, b, c, a, b, at(-3, 2, 1), a, b, at(0, 2, 4))),
        Item.surface("Face twice", mesh(a, b, c, a, b, c, a, c, b)),
        Item.surface("Bow tie", mesh(a, b, c, a, at(0, -5, 0), at(-3, -2, 0))),
        Item.surface("Soup", soup()),
        Item.string("Post", List.of(line(a, at(0, 0, 4)))),
        Item.string("Place", List.of(line(a, a), line(b, c))),
        Item.string("Kerb face", List.of(line(a, b, at(0, 5, 0.1), at(0, 9, 0.1)))),
        Item.string("Point twice", List.of(line(a, b, b, c))));
  }

  private static Polyline line(double[]... points) {
    return new Polyline(Stream.of(points).flatMapToDouble(Arrays::stream).toArray());
  }

  static Stream<Arguments> pairs() {
    return DeliveryFormat.all().stream()
        .flatMap(
            f -> items().stream().filter(i -> f.carries(i)).map(i -> Arguments.of(f, i.name())));
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void whatAFormatCarriesIsProven(DeliveryFormat f, String name) throws IOException {
    Proof proof = proof(f, name);
    assertThat(proof.findings()).noneMatch(Finding::isError);
    assertThat(proof.pass()).isTrue();
    assertThat(proof.arrived()).isOne();
  }

  @Test
  void edgesInNoBoundaryAreSaid() throws IOException {
    assertThat(proof(new LandXmlFormat(), "Three at an edge").findings())
        .filteredOn(f -> f.code().equals("landxml.boundary"))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).startsWith("Three at an edge: ").contains(" 6 "));
  }

  private Proof proof(DeliveryFormat f, String name) throws IOException {
    Item item = items().stream().filter(i -> i.name().equals(name)).findFirst().orElseThrow();
    return LooseDelivery.of(item, f, FRAME, dir.resolve("out" + f.ending())).receipt().proof();
  }
}
