package wellspan.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.attribute.EntityClass;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.place.Control;
import wellspan.core.place.PointPair;
import wellspan.core.place.SourcePlacement;
import wellspan.core.place.SpotMark;
import wellspan.core.progress.Progress;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;

class JobStoreTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-11-24T09:00:00Z"), ZoneOffset.UTC);

  @TempDir Path dir;
  private JobStore store;
  private Job job;

  @BeforeEach
  void setUp() throws IOException {
    store = new JobStore(dir.resolve("job"));
    Path received = Files.writeString(dir.resolve("Road Rev A.xml"), "<x/>");
    store.create(Job.named("Brindle Ness"));
    Revision r = store.keep(received, List.of(), "Rev A", CLOCK, Progress.NONE);
    ItemId id = ItemId.of("road", "terrain surface", "Ground");
    job =
        store
            .open()
            .withSource(Source.of("road", r))
            .withFrame(
                Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500.125, 0), 21.5)
                    .withHeights("NN2000", 39.5)
                    .withScale(1.0003)
                    .withUnit(LinearUnit.MILLIMETRE)
                    .withLock("agreed"))
            .withControl(
                new Control(
                    List.of(
                        new Control.Point("BN-1", new Position(1, 2, 3)),
                        new Control.Point("flat", new Position(1, 2, Double.NaN))),
                    0.01,
                    "road"))
            .withMarks(List.of(new SpotMark("S", new Position(4, 5, Double.NaN))))
            .withSource(
                Source.of("system", r)
                    .withPlacement(
                        new SourcePlacement(
                            true,
                            0.3048,
                            new SourcePlacement.Where.InSystem("Harbour grid", "+proj=longlat"))))
            .withSource(
                Source.of("local", r)
                    .withPlacement(
                        SourcePlacement.SHARED.withWhere(
                            new SourcePlacement.Where.Local(new Position(7, 8, 9), 21.5, 1.0001))))
            .withSource(
                Source.of("fit", r)
                    .withPlacement(
                        SourcePlacement.SHARED.withWhere(
                            new SourcePlacement.Where.Fitted(
                                List.of(
                                    new PointPair(
                                        "P",
                                        new Position(1, 2, Double.NaN),
                                        new Position(3, 4, 5),
                                        false)),
                                true))))
            .withDelivery(
                new Delivery(
                    "Third",
                    "",
                    IfcSchema.IFC2X3,
                    LinearUnit.METRE,
                    new LocalZero.Own(new Position(1, 2, 3)),
                    "c.ifc",
                    Set.of()))
            .withDelivery(
                new Delivery(
                    "Fourth",
                    "",
                    IfcSchema.IFC4,
                    LinearUnit.METRE,
                    new LocalZero.Shared(),
                    "d.ifc",
                    Set.of()))
            .withSettings(
                List.of(id),
                s ->
                    new ItemSettings(
                        false,
                        Optional.of(new EntityClass("IfcEarthworksFill", "EMBANKMENT")),
                        Map.of("Status", "as built", "Client_Code.Code", "0042")))
            .withDelivery(
                new Delivery(
                    "Second",
                    "viewer",
                    IfcSchema.IFC4X3,
                    LinearUnit.US_SURVEY_FOOT,
                    new LocalZero.BasePoint(),
                    "b.ifc",
                    Set.of(id)));
  }

  @Test
  void whatIsSavedIsOpened() throws IOException {
    store.save(job);
    assertThat(store.open()).isEqualTo(job);
    String first = Files.readString(store.jobFile());
    store.save(store.open());
    assertThat(Files.readString(store.jobFile())).isEqualTo(first);
    assertThat(store.folder().resolve("job.json.new")).doesNotExist();
  }

  @Test
  void receivedFilesAreKeptByteForByteAndWatched() throws IOException {
    Revision r = job.sources().getFirst().current();
    assertThat(store.stored(r)).hasContent("<x/>");
    assertThat(store.isIntact(r, Progress.NONE)).isTrue();
    Files.writeString(store.stored(r), "changed");
    assertThat(store.isIntact(r, Progress.NONE)).isFalse();
  }

  @Test
  void damagedNewerAndMissingJobsSaySo() throws IOException {
    assertThatThrownBy(() -> new JobStore(dir.resolve("none")).open())
        .isInstanceOf(JobException.class)
        .hasMessageContaining("no job.json");
    Files.writeString(store.jobFile(), "{\"wellspan\": 1, \"id\": ");
    assertThatThrownBy(store::open)
        .isInstanceOf(JobException.class)
        .hasMessageContaining("damaged")
        .hasMessageContaining("line 1");
    Files.writeString(store.jobFile(), "{\"wellspan\": 99}");
    store.open();
    assertThat(store.notUnderstood()).first().asString().contains("newer Wellspan");
    Files.writeString(store.jobFile(), "{\"wellspan\": 1}");
    store.open();
    assertThat(store.notUnderstood()).contains("frame (missing)", "sources (missing)");
    Files.writeString(store.jobFile(), "[]");
    assertThatThrownBy(store::open)
        .isInstanceOf(JobException.class)
        .hasMessageContaining("not a Wellspan job");
    Files.write(store.jobFile(), new byte[] {(byte) 0xC3, 0x28, (byte) 0xFF});
    assertThatThrownBy(store::open)
        .isInstanceOf(JobException.class)
        .hasMessageContaining("damaged");
  }

  @Test
  void aFolderWithAJobIsNotWrittenOver() {
    assertThatThrownBy(() -> store.create(Job.named("Other")))
        .isInstanceOf(JobException.class)
        .hasMessageContaining("already holds a job");
  }

  @Test
  void theJournalGoesOnFromTheSavedStateOnly() throws IOException {
    store.save(job);
    store.note("Turn site north", job.withFrame(job.frame().withRotation(30)));
    store.note("Turn it more", job.withFrame(job.frame().withRotation(31)));
    assertThat(store.recoverable())
        .hasValueSatisfying(
            r -> {
              assertThat(r.edits()).isEqualTo(2);
              assertThat(r.lastEdit()).isEqualTo("Turn it more");
              assertThat(r.job().frame().rotationDegrees()).isEqualTo(31);
            });
    Files.writeString(store.journal().file(), "{\"base\":\"cut sho", StandardOpenOption.APPEND);
    assertThat(store.recoverable()).isPresent();
    // what is noted after a crash is not swallowed by the line that the crash cut short
    store.note("Turn it back", job.withFrame(job.frame().withRotation(29)));
    assertThat(store.recoverable())
        .hasValueSatisfying(r -> assertThat(r.lastEdit()).isEqualTo("Turn it back"));
    store.save(job);
    assertThat(store.recoverable()).isEmpty();
  }

  /** The process that edits until it is killed. */
  static final class Editor {
    public static void main(String[] args) throws IOException {
      JobStore store = new JobStore(Path.of(args[0]));
      Job job = store.open();
      for (int i = 1; ; i++) {
        store.note("Edit " + i, job.withFrame(job.frame().withRotation(i)));
        System.out.println(i);
      }
    }
  }

  @Test
  void aKilledProcessLosesNoFinishedEdit() throws Exception {
    store.save(job);
    Process p =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Editor.class.getName(),
                store.folder().toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    int last = 0;
    try (BufferedReader out =
        new BufferedReader(new InputStreamReader(p.getInputStream(), StandardCharsets.UTF_8))) {
      while (last < 20) {
        last = Integer.parseInt(out.readLine());
      }
      p.destroyForcibly().waitFor();
    }
    assertThat(store.open()).isEqualTo(job);
    int finished = last;
    assertThat(store.recoverable())
        .hasValueSatisfying(
            r -> {
              assertThat(r.edits()).isGreaterThanOrEqualTo(finished);
              assertThat(r.job().frame().rotationDegrees()).isEqualTo(r.edits());
            });
  }

  @Test
  void undoAndRedoWalkThroughAllEdits() {
    History h = History.of(job);
    Job a = job.withFrame(job.frame().withRotation(1));
    Job b = job.withFrame(job.frame().withRotation(2));
    h = h.edit("first", a).edit("second", b).edit("nothing", b);
    assertThat(h.past()).hasSize(2);
    assertThat(h.undo().now()).isEqualTo(a);
    assertThat(h.undo().undo().now()).isEqualTo(job);
    assertThat(h.undo().undo().undo().now()).isEqualTo(job);
    assertThat(h.undo().undo().redo().redo()).isEqualTo(h);
    assertThat(h.undo().edit("other", job).canRedo()).isFalse();
  }

  @Test
  void sourcesAreKnownAgainWhateverTheRevisionMark() {
    assertThat(JobStore.sourceName("quay-road.xml")).isEqualTo("quay-road");
    assertThat(JobStore.sourceName("quay-road-RevB.xml")).isEqualTo("quay-road");
    assertThat(JobStore.sourceName("Quay-Road (rev 3).xml")).isEqualTo("quay-road");
    assertThat(JobStore.sourceName("revetment.xml")).isEqualTo("revetment");
    assertThat(JobStore.labelAfter(0)).isEqualTo("Rev A");
    assertThat(JobStore.labelAfter(27)).isEqualTo("Rev AB");
  }

  @Test
  void filesThatBelongTogetherAreKeptTogether(@TempDir Path from) throws Exception {
    JobStore store = new JobStore(dir.resolve("together"));
    store.create(Job.named("J"));
    for (String name : List.of("a.shp", "a.dbf", "a.PRJ", "a.txt", "b.dbf")) {
      Files.writeString(from.resolve(name), name);
    }
    Revision r =
        store.keep(
            from.resolve("a.shp"), List.of(), "Rev A", java.time.Clock.systemUTC(), Progress.NONE);
    try (var kept = Files.list(store.stored(r).getParent())) {
      assertThat(kept.map(p -> p.getFileName().toString()))
          .containsExactlyInAnyOrder("a.shp", "a.dbf", "a.PRJ");
    }
    assertThat(store.isIntact(r, Progress.NONE)).isTrue();
  }

  @Test
  void aJobOfTheVersionBeforeOpens() throws Exception {
    String now = JobJson.write(Job.named("Old"));
    String before =
        now.replace("\"wellspan\" : 3", "\"wellspan\" : 2")
            .replace("\"format\" : \"IFC4X3_ADD2\"", "\"schema\" : \"IFC4X3_ADD2\"")
            .replaceFirst(",\\s*\"recipes\" : \\[ \\],\\s*\"steps\" : \\{ \\}", "");
    assertThat(before).doesNotContain("recipes").contains("\"schema\"");
    Job read = JobReading.read(before, "job.json").job();
    assertThat(read.recipes()).isEmpty();
    assertThat(JobJson.write(read)).isEqualTo(now);
  }
}
