package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/** Grids, and what stands where their axes cross, by files written by hand. */
class GridTest {
  @TempDir Path dir;

  /** Axis 1 runs north at x = 5, axis A east at y = 2; the grid stands at (100, 200, 10). */
  private static final String AXES =
      "#200=IFCCARTESIANPOINT((5.,0.));\n#201=IFCCARTESIANPOINT((5.,30.));\n#202=IFCPOLYLINE((#200,#201));\n#203=IFCGRIDAXIS('1',#202,.T.);\n"
          + "#204=IFCCARTESIANPOINT((0.,2.));\n#205=IFCCARTESIANPOINT((20.,2.));\n#206=IFCPOLYLINE((#204,#205));\n#207=IFCGRIDAXIS('A',#206,.T.);\n"
          + "#208=IFCCARTESIANPOINT((100.,200.,10.));\n#209=IFCAXIS2PLACEMENT3D(#208,$,$);\n#210=IFCLOCALPLACEMENT($,#209);\n";

  private static String grid(String schema) {
    return "#220=IFCGRID('0000000000000000000003',$,'Grid',$,$,#210,$,(#203),(#207),$"
        + (schema.equals("IFC2X3") ? "" : ",$")
        + ");\n";
  }

  private static String placed(String schema, String crossing, String towards) {
    return "#221=IFCVIRTUALGRIDINTERSECTION("
        + crossing
        + ");\n#24=IFCGRIDPLACEMENT("
        + (schema.equals("IFC4X3_ADD2") ? "$," : "")
        + "#221,"
        + towards
        + ");\n";
  }

  private static String wall(String schema) {
    return schema.equals("IFC2X3")
        ? HandMadeModel.WALL.replace("#24,#31,$,$);", "#24,#31,$);")
        : HandMadeModel.WALL;
  }

  private Received read(String schema, String crossing, String towards) throws IOException {
    return new HandMadeModel(dir)
        .read(
            schema,
            HandMadeModel.HEAD
                + AXES
                + grid(schema)
                + placed(schema, crossing, towards)
                + wall(schema)
                + HandMadeModel.BOX);
  }

  private static Item named(Received r, String name) {
    assertThat(r.findings()).filteredOn(Finding::isError).isEmpty();
    return r.items().stream().filter(i -> i.name().equals(name)).findFirst().orElseThrow();
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC2X3", "IFC4", "IFC4X3_ADD2"})
  void whatStandsOnAGridStandsWhereItsAxesCross(String schema) throws IOException {
    // offsets to the left of each axis: 1 m west of axis 1, 3 m north of axis A, 4 m up
    Box b = named(read(schema, "(#203,#207),(1.,3.,4.)", "$"), "Wall").bounds();
    // x of the wall, 4 m long, follows the first axis to the north
    assertThat(b.minE()).isCloseTo(100 + 5 - 1 - 1, within(1e-9));
    assertThat(b.maxE()).isCloseTo(100 + 5 - 1 + 1, within(1e-9));
    assertThat(b.minN()).isCloseTo(200 + 2 + 3 - 2, within(1e-9));
    assertThat(b.maxN()).isCloseTo(200 + 2 + 3 + 2, within(1e-9));
    assertThat(b.minH()).isCloseTo(14, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC4", "IFC4X3_ADD2"})
  void aDirectionOfItsOwnTurnsIt(String schema) throws IOException {
    Box b = named(read(schema, "(#203,#207),(0.,0.)", "#9"), "Wall").bounds();
    assertThat(b.maxE() - b.minE()).isCloseTo(4, within(1e-9));
    assertThat(b.minN()).isCloseTo(200 + 2 - 1, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC2X3", "IFC4", "IFC4X3_ADD2"})
  void axesAreLinesAndTheirTagsArePoints(String schema) throws IOException {
    Received r = read(schema, "(#203,#207),(0.,0.)", "$");
    Item grid = named(r, "Grid");
    assertThat(((Shape.Lines) grid.shape()).lines()).hasSize(2);
    assertThat(grid.bounds().maxN()).isCloseTo(230, within(1e-9));
    assertThat(((Shape.Points) named(r, "Points").shape()).points())
        .extracting(p -> p.name())
        .containsExactly("1", "A");
  }

  @Test
  void axesThatDoNotCrossAreNamed() throws IOException {
    Received r = read("IFC4", "(#203,#203),(0.,0.)", "$");
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("Wall", "do not cross"));
  }
}
