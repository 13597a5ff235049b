package wellspan.cli;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import picocli.CommandLine.Option;
import wellspan.core.extract.ChainageRange;
import wellspan.core.extract.Extract;
import wellspan.core.extract.Split;

/** What is taken of the received files, and how finely curves are cut. */
final class ExtractOptions {
  @Option(
      names = "--only",
      paramLabel = "NAME",
      description = "only items of exactly this name; can be given several times")
  private List<String> only = List.of();

  @Option(
      names = "--kind",
      paramLabel = "KIND",
      description =
          "only items of this kind, as inspect shows it (\"alignment\", \"course\", \"pipe\" …); can be given several times")
  private List<String> kinds = List.of();

  @Option(
      names = "--tolerance",
      paramLabel = "MM",
      description =
          "chord tolerance of solids and sampled curves, millimetres (${DEFAULT-VALUE} if not given)")
  private double tolerance = 10;

  @Option(
      names = "--thin",
      paramLabel = "H,V",
      split = ",",
      description = "lines thinned: at most H metres off in plan and V metres off in level")
  private List<Double> thin;

  @Option(
      names = "--from",
      paramLabel = "M",
      description = "smallest chainage of alignments and what follows them, as displayed, metres")
  private Double from;

  @Option(names = "--to", paramLabel = "M", description = "largest chainage, metres")
  private Double to;

  @Option(
      names = "--clip",
      paramLabel = "E,N,…",
      split = ",",
      description = "outline in shared coordinates; closed of itself, either way round")
  private List<Double> clip;

  @Option(
      names = "--split",
      paramLabel = "strata|road|M",
      description = "several files: by stratum, by road, or every M metres of chainage")
  private String split;

  /**
   * @throws IllegalArgumentException with a sentence that names the option
   */
  Extract extract() {
    if (thin != null && thin.size() != 2) {
      throw new IllegalArgumentException(
          "--thin needs two numbers, in plan and in level: --thin 0.05,0.02.");
    }
    Optional<ChainageRange> range =
        from == null && to == null
            ? Optional.empty()
            : Optional.of(
                new ChainageRange(
                    from == null ? Double.NEGATIVE_INFINITY : from,
                    to == null ? Double.POSITIVE_INFINITY : to));
    Set<String> names = new LinkedHashSet<>(only);
    return new Extract(
        names,
        new LinkedHashSet<>(kinds),
        range,
        Optional.ofNullable(clip).map(ExtractOptions::outline),
        Optional.ofNullable(thin).map(t -> new Extract.Thin(t.get(0), t.get(1))),
        tolerance / 1000);
  }

  private static Geometry outline(List<Double> numbers) {
    if (numbers.size() < 6 || numbers.size() % 2 != 0) {
      throw new IllegalArgumentException(
          "--clip needs three corners or more, easting and northing in turn.");
    }
    int n = numbers.size() / 2;
    Coordinate[] ring = new Coordinate[n + 1];
    for (int i = 0; i < n; i++) {
      ring[i] = new Coordinate(numbers.get(2 * i), numbers.get(2 * i + 1));
    }
    boolean closed = n > 3 && ring[0].equals2D(ring[n - 1]);
    Coordinate[] own = closed ? java.util.Arrays.copyOf(ring, n) : ring;
    own[own.length - 1] = own[0].copy();
    Polygon polygon = new GeometryFactory().createPolygon(own);
    if (!polygon.isValid() || polygon.getArea() == 0) {
      throw new IllegalArgumentException("--clip: the outline crosses itself or has no area.");
    }
    return polygon;
  }

  Optional<Split> split() {
    try {
      return Optional.ofNullable(split).map(Split::named);
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException("--split: " + e.getMessage(), e);
    }
  }
}
