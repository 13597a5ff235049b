package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Finding;
import wellspan.core.proof.Proof;

/** A delivered file that was changed on the way is not whole. */
class ChangedFilesFailTest extends DeliveredInTest {
  private static List<String> codes(Proof p) {
    return p.findings().stream().map(Finding::code).toList();
  }

  @Test
  void oneChangedCoordinateFailsAndSaysWhere() throws IOException {
    Proof p =
        damaged(s -> s.replaceFirst("(IFCCARTESIANPOINTLIST3D\\(\\(\\()(-?\\d+)\\.", "$1$20."));
    assertThat(p.pass()).isFalse();
    assertThat(p.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("proof.geometry");
              assertThat(f.message()).contains("vertex 1 of 144");
              assertThat(f.place().orElseThrow().east()).isCloseTo(412_100.123, within(1e-9));
            });
  }

  @Test
  void oneDroppedFaceFails() throws IOException {
    Proof p = damaged(s -> s.replaceFirst("\\(\\(1,2,14\\),", "("));
    assertThat(codes(p)).containsExactly("proof.triangles");
    assertThat(p.findings().getFirst().message())
        .contains("242 triangles were sent, 241 arrived")
        .contains("triangle 1");
  }

  @Test
  void aSwappedClassFails() throws IOException {
    assertThat(codes(damaged(s -> s.replace(".TERRAIN.", ".SOIL_BORING_POINT."))))
        .containsExactly("proof.type");
  }

  @Test
  void aChangedAlignmentPropertyIdOrFrameFails() throws IOException {
    assertThat(
            codes(
                damaged(
                    s ->
                        s.replaceFirst(
                            "(IFCALIGNMENTHORIZONTALSEGMENT\\(\\$,\\$,#\\d+,[^,]*,[^,]*,[^,]*),70\\.",
                            "$1,70.5"))))
        .contains("proof.geometry", "alignment.curve");
    assertThat(codes(damaged(s -> s.replaceFirst("IFCCLOTHOID\\((#\\d+),", "IFCCLOTHOID($1,1"))))
        .containsExactly("alignment.curve");
    assertThat(codes(damaged(s -> s.replace("IFCLABEL('Ground')", "IFCLABEL('Other')"))))
        .contains("proof.property");
    assertThat(
            codes(
                damaged(
                    s ->
                        s.replace(
                            IDS.of("s/alignment/Road", "product"), "0000000000000000000000"))))
        .contains("proof.missing", "proof.extra");
    assertThat(codes(damaged(s -> s.replace("412000.,6534500.", "412000.5,6534500."))))
        .contains("proof.place", "proof.geometry");
  }
}
