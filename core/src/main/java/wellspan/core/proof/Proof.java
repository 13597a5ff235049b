package wellspan.core.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import wellspan.core.finding.Finding;
import wellspan.core.place.ControlTally;

/**
 * The comparison of a delivery with its read-back, in shared coordinates.
 *
 * @param sent number of items sent
 * @param arrived number of them found again
 * @param maxDeviation largest distance of a vertex or alignment point from where it was sent,
 *     metres
 * @param trianglesIdentical whether all meshes have the same triangles over the same vertices, and
 *     all bodies that went by outline and line the same outlines
 * @param missing names of items that did not arrive
 * @param controlTally control points as known and as found in the written file, worst first
 * @param extra names of items that arrived and were not sent
 * @param differences everything in which what arrived is not what was sent
 * @param notCompared kinds of content that were not compared, with the reason where there is one
 */
public record Proof(
    boolean pass,
    int sent,
    int arrived,
    double maxDeviation,
    boolean trianglesIdentical,
    int propertiesEqual,
    List<ItemProof> items,
    List<String> missing,
    List<String> extra,
    List<String> propertyMismatches,
    List<ControlTally.Line> controlTally,
    List<Difference> differences,
    List<String> notCompared,
    List<Finding> findings) {

  /** The geometry of an item counts as the same up to here where no format says less, metres. */
  public static final double TOLERANCE = 1e-5;

  /** The same with findings of what went before; errors among them leave the proof as it is. */
  public Proof with(List<Finding> before) {
    if (before.isEmpty()) {
      return this;
    }
    List<Finding> all = new ArrayList<>(findings);
    all.addAll(before);
    return new Proof(
        pass,
        sent,
        arrived,
        maxDeviation,
        trianglesIdentical,
        propertiesEqual,
        items,
        missing,
        extra,
        propertyMismatches,
        controlTally,
        differences,
        notCompared,
        List.copyOf(all));
  }

  /** The proof of several files that were sent together: it passes if each of them does. */
  public static Proof together(List<Proof> files) {
    if (files.size() == 1) {
      return files.getFirst();
    }
    return new Proof(
        files.stream().allMatch(Proof::pass),
        files.stream().mapToInt(Proof::sent).sum(),
        files.stream().mapToInt(Proof::arrived).sum(),
        files.stream().mapToDouble(Proof::maxDeviation).reduce(0, Math::max), // NaN stays
        files.stream().allMatch(Proof::trianglesIdentical),
        files.stream().mapToInt(Proof::propertiesEqual).sum(),
        all(files, Proof::items),
        all(files, Proof::missing),
        all(files, Proof::extra),
        all(files, Proof::propertyMismatches),
        files.stream()
            .flatMap(f -> f.controlTally().stream())
            .sorted(Comparator.comparingDouble(ControlTally.Line::space).reversed())
            .toList(),
        all(files, Proof::differences),
        all(files, Proof::notCompared).stream().distinct().toList(),
        all(files, Proof::findings).stream().distinct().toList());
  }

  private static <T> List<T> all(List<Proof> files, Function<Proof, List<T>> of) {
    return files.stream().flatMap(f -> of.apply(f).stream()).toList();
  }

  /** Of the triangles, for people. */
  public String triangles() {
    long carried = items.stream().filter(ItemProof::carried).count();
    String word = trianglesIdentical ? "identical" : "differ";
    return carried == 0 ? word : word + ", " + carried + " swept";
  }

  /** Whether what was sent was whole: nothing of it was left out or in doubt when received. */
  public boolean whole() {
    return findings.stream().noneMatch(Finding::isError);
  }

  /**
   * The figures of one item.
   *
   * @param what what was compared, for people, such as {@code 21 406 triangles}
   * @param carried whether it went by outline and line, and its triangles are the reader's own
   * @param deviations distance of each vertex or alignment point from where it was sent, metres, in
   *     the order sent; empty if they could not be paired. Of what was carried, each corner that
   *     arrived
   */
  public record ItemProof(
      String name,
      String kind,
      String what,
      double maxDeviation,
      boolean identical,
      boolean carried,
      double[] deviations) {
    /** Of something that was compared as it was sent. */
    public ItemProof(
        String name,
        String kind,
        String what,
        double maxDeviation,
        boolean identical,
        double[] deviations) {
      this(name, kind, what, maxDeviation, identical, false, deviations);
    }
  }
}
