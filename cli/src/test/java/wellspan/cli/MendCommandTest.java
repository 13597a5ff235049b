package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.exchange.intake.SourceIntake;

/** Mends that can be done for some items only. */
class MendCommandTest extends CommandFixture {
  /** Lines of 10 m, each turned by as much against the one before. */
  private static String bent(String name, int lines, double degrees) {
    StringBuilder all = new StringBuilder();
    double n = 5_700_000;
    double e = 400_000;
    for (int i = 0; i < lines; i++) {
      String start = "<Line><Start>" + n + " " + e + "</Start><End>";
      n += 10 * Math.sin(Math.toRadians(i * degrees));
      e += 10 * Math.cos(Math.toRadians(i * degrees));
      all.append(start).append(n).append(' ').append(e).append("</End></Line>");
    }
    return String.format(
        "<Alignment name=\"%s\" length=\"%d\" staStart=\"0\"><CoordGeom>%s</CoordGeom></Alignment>",
        name, 10 * lines, all);
  }

  private String job(String alignments) throws IOException {
    Path file =
        Files.writeString(
            dir.resolve("lanes.xml"),
            "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><CoordinateSystem epsgCode=\"25832\"/><Alignments>"
                + alignments
                + "</Alignments></LandXML>");
    JobStore store = new JobStore(dir.resolve("job"));
    Job job = Job.named("Lanes");
    store.create(job);
    store.save(
        SourceIntake.take(store, job, file, Optional.empty(), Clock.systemUTC(), Progress.NONE)
            .job());
    return store.folder().toString();
  }

  @Test
  void aStepThatCannotBeDoneIsNotKept() throws IOException {
    String job = job(bent("Slight", 2, 0.05) + bent("Sharp", 2, 30) + bent("Curved", 30, 0.2));
    run("check", job, "--mend", "alignment.tangent");
    assertThat(err.toString().lines().toList())
        .anySatisfy(l -> assertThat(l).contains("Slight").doesNotContain("not done"))
        .anySatisfy(l -> assertThat(l).contains("Sharp").contains("not done").contains("wider"))
        .anySatisfy(l -> assertThat(l).contains("Curved").contains("not done").contains("beside"));
    assertThat(out.toString().lines().filter(l -> l.contains("alignment.tangent")))
        .hasSize(2)
        .noneMatch(l -> l.contains("Slight"));
    assertThat(out.toString()).doesNotContain("step.failed");
    String saved = Files.readString(Path.of(job, "job.json"));
    assertThat(saved)
        .contains("lanes/alignment/Slight")
        .doesNotContain("alignment/Sharp", "alignment/Curved");
  }

  @Test
  void whereNoneCanBeDoneTheJobStaysAsItIs() throws IOException {
    String job = job(bent("Sharp", 2, 30));
    String before = Files.readString(Path.of(job, "job.json"));
    run("check", job, "--mend", "alignment.tangent");
    assertThat(err.toString()).contains("not done");
    assertThat(Files.readString(Path.of(job, "job.json"))).isEqualTo(before);
  }
}
