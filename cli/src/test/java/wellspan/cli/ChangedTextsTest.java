package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;

/**
 * Requirements, rulebooks and jobs that somebody edited by hand: whatever was changed, they are
 * read, or one sentence names the file.
 */
class ChangedTextsTest extends CommandFixture {
  private static final Path DEMO = Path.of("..", "demo");
  private static final String SIGNS = "{}[]\"':,<>/=&; 0123456789.-eaX\n\u0001";
  private static final int TIMES = 120;

  /** Changes signs, takes a piece out, or writes a piece twice. */
  private static String changed(String whole, Random random) {
    int at = random.nextInt(whole.length());
    int n = 1 + random.nextInt(Math.min(30, whole.length() - at));
    return switch (random.nextInt(3)) {
      case 0 -> whole.substring(0, at) + whole.substring(at + n);
      case 1 -> whole.substring(0, at + n) + whole.substring(at);
      default ->
          whole.substring(0, at)
              + SIGNS.charAt(random.nextInt(SIGNS.length()))
              + whole.substring(at + 1);
    };
  }

  @BeforeEach
  void aModel() throws IOException {
    Path design =
        Files.writeString(
            dir.resolve("lane.xml"),
            """
            <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
            <Units><Metric linearUnit="meter"/></Units><CoordinateSystem epsgCode="25832"/>
            <Alignments><Alignment name="Lane" length="100" staStart="0"><CoordGeom>
            <Line><Start>5700000 400000</Start><End>5700000 400100</End></Line></CoordGeom><CrossSects>
            <CrossSect sta="0"><DesignCrossSectSurf closedArea="true" name="Base"><CrossSectPnt>-3 20</CrossSectPnt><CrossSectPnt>3 20</CrossSectPnt><CrossSectPnt>3 19.8</CrossSectPnt><CrossSectPnt>-3 19.8</CrossSectPnt></DesignCrossSectSurf></CrossSect>
            <CrossSect sta="100"><DesignCrossSectSurf closedArea="true" name="Base"><CrossSectPnt>-3 20</CrossSectPnt><CrossSectPnt>3 20</CrossSectPnt><CrossSectPnt>3 19.8</CrossSectPnt><CrossSectPnt>-3 19.8</CrossSectPnt></DesignCrossSectSurf></CrossSect>
            </CrossSects></Alignment></Alignments></LandXML>
            """);
    assertThat(run("convert", design.toString(), model())).as(err.toString()).isZero();
  }

  private String model() {
    return dir.resolve("lane.ifc").toString();
  }

  private void answers(int code, String name, String text) {
    String said = err.toString();
    assertThat(code).as("%s%n%s%n%s", said, name, text).isBetween(0, 2);
    assertThat(said).as(text).doesNotContain("Exception", "\tat ", "Wellspan's");
    if (code == 2) {
      assertThat(said.strip().lines()).as(said).hasSize(1);
      assertThat(said).contains(name);
    }
  }

  @Test
  @Timeout(120)
  void requirements() throws IOException {
    String whole = Files.readString(DEMO.resolve("client/harbour-client.ids"));
    Random random = new Random(1);
    int read = 0;
    for (int k = 0; k < TIMES; k++) {
      String text = changed(whole, random);
      Path f = Files.writeString(dir.resolve("client.ids"), text);
      int code = run("check", model(), "--ids", f.toString(), "--json");
      answers(code, "client.ids", text);
      read += code < 2 ? 1 : 0;
    }
    assertThat(read).as("some are still requirements").isBetween(10, TIMES - 10);
  }

  @Test
  @Timeout(120)
  void rulebooks() throws IOException {
    String whole = Files.readString(DEMO.resolve("client/harbour-client.json"));
    Random random = new Random(2);
    int read = 0;
    for (int k = 0; k < TIMES; k++) {
      String text = changed(whole, random);
      Path f = Files.writeString(dir.resolve("client.json"), text);
      int code = run("describe", model(), "--rulebook", f.toString(), "--json");
      answers(code, "client.json", text);
      read += code < 2 ? 1 : 0;
    }
    assertThat(read).isBetween(10, TIMES - 10);
  }

  @Test
  @Timeout(120)
  void jobs() throws IOException {
    String whole = Files.readString(DEMO.resolve("job/job.json"));
    Path folder = dir.resolve("job");
    new JobStore(folder).create(Job.named("Changed"));
    Random random = new Random(3);
    for (int k = 0; k < TIMES; k++) {
      // without the sources, which would be missed first
      String text =
          changed(whole.replaceAll("(?s)\"sources\" : \\[.*?\\n  \\]", "\"sources\" : []"), random);
      Files.writeString(folder.resolve("job.json"), text);
      int code = run("check", folder.toString(), "--json");
      answers(code, "job", text);
      assertThat(Files.readString(folder.resolve("job.json")))
          .as("a job that is looked at stays as it is")
          .isEqualTo(text);
    }
  }
}
