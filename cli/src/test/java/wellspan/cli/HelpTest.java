package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import org.junit.jupiter.api.Test;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.exchange.intake.Intake;

/** What the command line says of itself. */
class HelpTest extends CommandFixture {
  @Test
  void convertNamesEveryFormatThatIsWrittenAndRead() {
    assertThat(run("convert", "--help")).isZero();
    for (DeliveryFormat f : DeliveryFormat.all()) {
      assertThat(out.toString()).contains(f.title());
      f.endings().forEach(ending -> assertThat(out.toString()).contains(ending));
    }
    Intake.titles().forEach(t -> assertThat(out.toString()).contains(t));
    assertThat(run("inspect", "--help")).isZero();
    Intake.titles().forEach(t -> assertThat(out.toString()).contains(t));
  }

  @Test
  void aFaultOfOursIsToldFromWhatTheCallerCanMend() {
    PrintWriter to = new PrintWriter(err);
    assertThat(Main.refused(new IllegalStateException("no line"), to)).isEqualTo(3);
    assertThat(err.toString()).contains("the fault is Wellspan's");
    err.getBuffer().setLength(0);
    assertThat(Main.refused(new IOException("a.xml: it ends too early."), to)).isEqualTo(2);
    assertThat(Main.refused(new IllegalArgumentException("--every needs a distance."), to))
        .isEqualTo(2);
    assertThat(err.toString()).doesNotContain("fault");
  }
}
