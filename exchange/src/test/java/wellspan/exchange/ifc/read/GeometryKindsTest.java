package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wellspan.exchange.ifc.read.HandMadeModel.HEAD;
import static wellspan.exchange.ifc.read.HandMadeModel.PLACEMENT;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;

/**
 * Every kind of geometry in every schema that has it, written by hand, with volumes and bounds from
 * closed formulas. The thing stands at 10.5, 18.25, 3.
 */
class GeometryKindsTest {
  private static final String[] SCHEMAS = {"IFC2X3", "IFC4", "IFC4X3_ADD2"};

  @TempDir Path dir;

  static Stream<Arguments> kinds() {
    List<Arguments> out = new ArrayList<>();
    for (String schema : SCHEMAS) {
      List<GeometryKind> all = new ArrayList<>(SolidKinds.all());
      all.addAll(ProfileKinds.sections(schema.equals("IFC2X3")));
      all.addAll(CarriedKinds.of(schema));
      if (!schema.equals("IFC2X3")) {
        all.addAll(ProfileKinds.tessellated(!schema.equals("IFC4")));
      }
      all.forEach(k -> out.add(Arguments.of(schema, k)));
    }
    return out.stream();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void hasTheVolumeAndTheBoundsOfItsFormula(String schema, GeometryKind kind) throws IOException {
    Received r =
        new HandMadeModel(dir)
            .read(
                schema,
                HEAD
                    + PLACEMENT
                    + "#30=IFCBUILDINGELEMENTPROXY('0000000000000000000002',$,'Thing',$,$,#24,#31,$,$);\n"
                    + "#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32));\n#32=IFCSHAPEREPRESENTATION(#4,'Body','x',(#50));\n"
                    + kind.records());
    assertThat(r.findings()).filteredOn(f -> f.code().startsWith("ifc.left")).isEmpty();
    Item thing = r.items().getFirst();
    Mesh mesh = thing.triangles().orElseThrow();
    assertThat(mesh.volume())
        .as("volume of %s", kind.name())
        .isCloseTo(kind.volume(), within(Math.max(1e-9, kind.share() * kind.volume())));
    Box b = mesh.bounds();
    double[] found = {
      b.minE() - 10.5,
      b.maxE() - 10.5,
      b.minN() - 18.25,
      b.maxN() - 18.25,
      b.minH() - 3,
      b.maxH() - 3
    };
    double[] meant = kind.bounds();
    for (int i = 0; i < 6; i++) {
      assertThat(found[i])
          .as("bound %d of %s", i, kind.name())
          .isCloseTo(meant[i], within(kind.share() == GeometryKind.EXACT ? 1e-9 : 0.02));
    }
    assertThat(r.findings()).extracting(Finding::code).doesNotContain("ifc.open");
  }
}
