package wellspan.exchange.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobException;
import wellspan.core.job.JobStore;
import wellspan.core.job.RevisionChange;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;

class IntakeTest {
  @TempDir Path dir;

  private Path write(String name, String text) throws IOException {
    return Files.writeString(dir.resolve(name), text);
  }

  @Test
  void whatCannotBeReceivedIsSaidInASentence() throws IOException {
    assertThatThrownBy(() -> Intake.read(dir.resolve("none.xml"), Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessage("none.xml: there is no such file.");
    assertThatThrownBy(() -> Intake.read(dir, Progress.NONE))
        .hasMessageContaining("a folder, not a file");
    assertThatThrownBy(() -> Intake.read(write("empty.ifc", " \n"), Progress.NONE))
        .hasMessageContaining("is empty");
    assertThatThrownBy(() -> Intake.read(write("photo.png", "\u0089PNG"), Progress.NONE))
        .hasMessageContaining("format is not known");
  }

  @Test
  void theContentDecidesAndNotTheName() throws IOException {
    assertThat(
            Intake.read(write("design.dat", "\uFEFF<LandXML version=\"1.1\"/>"), Progress.NONE)
                .format())
        .isEqualTo("LandXML 1.1");
  }

  private static String design(double top, String more) {
    return "<LandXML version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><CoordinateSystem epsgCode=\"25832\"/><Surfaces><Surface name=\"Hill\"><Definition surfType=\"TIN\"><Pnts>"
        + "<P id=\"1\">0 0 0</P><P id=\"2\">0 10 0</P><P id=\"3\">10 5 "
        + top
        + "</P></Pnts><Faces><F>1 2 3</F></Faces></Definition></Surface></Surfaces>"
        + "<Alignments><Alignment name=\"Road\" staStart=\"0\"><CoordGeom><Line><Start>0 0</Start><End>0 100</End></Line></CoordGeom>"
        + "<Profile name=\"p\"><ProfAlign name=\"p\"><PVI>0 1</PVI><PVI>50 "
        + top
        + "</PVI><PVI>100 1</PVI></ProfAlign></Profile></Alignment>"
        + more
        + "</Alignments></LandXML>";
  }

  private static final String LINK =
      "<Alignment name=\"Link\" staStart=\"0\"><CoordGeom><Line><Start>0 0</Start><End>50 0</End></Line></CoordGeom></Alignment>";

  /** A window offers files by the endings of their names. */
  @Test
  void whateverIsReceivedInTheDemoHasAnEndingOfTheList() throws IOException {
    List<String> unknown = new ArrayList<>();
    int received = 0;
    try (Stream<Path> files = Files.walk(Path.of("../demo"))) {
      for (Path f : files.filter(Files::isRegularFile).toList()) {
        String name = f.getFileName().toString().toLowerCase(Locale.ROOT);
        try {
          Intake.read(f, Progress.NONE);
          received++;
        } catch (ReadException e) {
          continue; // parts of a shapefile, rulebooks and the like
        }
        if (Intake.endings().stream().noneMatch(name::endsWith)) {
          unknown.add(name);
        }
      }
    }
    assertThat(unknown).isEmpty();
    assertThat(received).isGreaterThan(12);
    assertThat(Intake.endings()).contains(".ifczip", ".prj", ".wld", ".xyz", ".jpg").isSorted();
  }

  @Test
  void aNewRevisionKeepsItemsAndSettingsAndSaysWhatChanged() throws IOException {
    JobStore store = new JobStore(dir.resolve("job"));
    Job job = Job.named("j");
    store.create(job);
    SourceIntake.Taken first =
        SourceIntake.take(
            store,
            job,
            write("road.xml", design(5, LINK)),
            Optional.empty(),
            Clock.systemUTC(),
            Progress.NONE);
    assertThat(first.job().frame().crs()).isEqualTo("EPSG:25832");
    ItemId road = ItemId.of("road", "alignment", "Road");
    Job edited = first.job().withSettings(java.util.List.of(road), s -> s.withVisible(false));
    SourceIntake.Taken second =
        SourceIntake.take(
            store,
            edited,
            write("road-RevB.xml", design(5.35, "")),
            Optional.of(first.received()),
            Clock.systemUTC(),
            Progress.NONE);
    assertThat(second.job().sources())
        .singleElement()
        .satisfies(
            s -> {
              assertThat(s.name()).isEqualTo("road");
              assertThat(s.revisions())
                  .extracting(r -> r.label())
                  .containsExactly("Rev A", "Rev B");
            });
    Build build = SourceIntake.build(store, second.job(), Progress.NONE);
    assertThat(build.items()).containsKey(road);
    assertThat(build.isVisible(road)).isFalse();
    RevisionChange c = second.change().orElseThrow();
    assertThat(c.gone()).containsExactly("Link");
    assertThat(c.added()).isEmpty();
    assertThat(c.largestLevelDifference()).isCloseTo(0.35, within(1e-9));
    assertThat(c.changed())
        .hasSize(2)
        .anySatisfy(s -> assertThat(s).contains("profile moved by up to +0.350 m"));
  }

  @Test
  void theSameFileAgainChangesNothing() throws IOException {
    JobStore store = new JobStore(dir.resolve("job"));
    Job job = Job.named("j");
    Path file = write("road.xml", design(5, ""));
    Job with =
        SourceIntake.take(store, job, file, Optional.empty(), Clock.systemUTC(), Progress.NONE)
            .job();
    assertThatThrownBy(
            () ->
                SourceIntake.take(
                    store, with, file, Optional.empty(), Clock.systemUTC(), Progress.NONE))
        .isInstanceOf(JobException.class)
        .hasMessageContaining("byte for byte");
  }

  @Test
  void aBrokenFileLeavesTheJobFolderAlone() throws IOException {
    JobStore store = new JobStore(dir.resolve("job"));
    Path file = write("road.xml", "<LandXML version=\"1.2\"><Surf");
    assertThatThrownBy(
            () ->
                SourceIntake.take(
                    store,
                    Job.named("j"),
                    file,
                    Optional.empty(),
                    Clock.systemUTC(),
                    Progress.NONE))
        .isInstanceOf(ReadException.class);
    assertThat(store.folder()).doesNotExist();
  }

  @Test
  void aSourceChangedBehindTheJobsBackIsNoticed() throws IOException {
    JobStore store = new JobStore(dir.resolve("job"));
    Job job =
        SourceIntake.take(
                store,
                Job.named("j"),
                write("road.xml", design(5, "")),
                Optional.empty(),
                Clock.systemUTC(),
                Progress.NONE)
            .job();
    Files.writeString(store.stored(job.sources().getFirst().current()), "tampered");
    assertThatThrownBy(() -> SourceIntake.build(store, job, Progress.NONE))
        .isInstanceOf(JobException.class)
        .hasMessageContaining("no longer the file that was received");
  }

  @Test
  void receivedIsReadOnly() throws IOException {
    Received r = Intake.read(write("road.xml", design(5, "")), Progress.NONE);
    assertThatThrownBy(() -> r.items().clear()).isInstanceOf(UnsupportedOperationException.class);
  }
}
