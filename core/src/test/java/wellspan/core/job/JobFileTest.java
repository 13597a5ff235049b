package wellspan.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.extract.ChainageRange;
import wellspan.core.extract.Split;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;

/** Job files of other programs and hands, and several hands on one. */
class JobFileTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  @TempDir Path dir;
  private JobStore store;

  @BeforeEach
  void setUp() {
    store = new JobStore(dir.resolve("job"));
  }

  private static String sample(int version) throws IOException {
    try (var in = JobFileTest.class.getResourceAsStream("/jobs/version-" + version + ".json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private void put(String text) throws IOException {
    Files.createDirectories(store.folder());
    Files.writeString(store.jobFile(), text);
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3})
  void jobsOfEveryVersionOpenWholeAndAreSaved(int version) throws IOException {
    put(sample(version));
    Job job = store.open();
    assertThat(store.notUnderstood()).isEmpty();
    assertThat(job.sources()).hasSizeGreaterThan(1);
    assertThat(job.deliveries()).isNotEmpty();
    assertThat(job.frame().crs()).startsWith("EPSG:");
    store.save(job);
    assertThat(store.open()).isEqualTo(job);
    assertThat(store.notUnderstood()).isEmpty();
  }

  @Test
  void theRangeOfADeliveryIsKept() throws IOException {
    put(sample(3));
    double open = Double.POSITIVE_INFINITY;
    for (ChainageRange r :
        List.of(
            new ChainageRange(120.5, 980),
            new ChainageRange(-open, 980),
            new ChainageRange(120.5, open))) {
      Job job = store.open();
      Delivery cut = job.deliveries().getFirst().within(Optional.of(r));
      store.save(job.withDelivery(cut));
      assertThat(store.open().deliveries()).contains(cut);
    }
    String text = Files.readString(store.jobFile());
    for (String wrong : List.of("7", "[1]", "[1, \"x\"]", "[9, 1]", "[\"a\", 2, 3]")) {
      put(text.replaceFirst("\"chainages\" : \\[[^]]*]", "\"chainages\" : " + wrong));
      store.open();
      assertThat(store.notUnderstood()).as(wrong).isNotEmpty();
    }
  }

  @Test
  void howADeliveryIsDealtToFilesIsKept() throws IOException {
    put(sample(3));
    Job job = store.open();
    for (Split split :
        List.of(new Split.ByStratum(), new Split.ByRoad(), new Split.ByChainage(0.1))) {
      Delivery dealt = job.deliveries().getFirst().dealt(Optional.of(split));
      store.save(job.withDelivery(dealt));
      assertThat(store.open().deliveries()).contains(dealt);
    }
    String text = Files.readString(store.jobFile());
    for (String wrong : List.of("7", "\"-1\"", "\"each\"", "null")) {
      put(text.replaceFirst("\"split\" : \"[^\"]*\"", "\"split\" : " + wrong));
      store.open();
      assertThat(store.notUnderstood()).as(wrong).isNotEmpty();
    }
  }

  @Test
  void whatIsSaidOfTheProjectIsKeptAndNothingElseIsTakenForIt() throws IOException {
    put(sample(3));
    ProjectInfo info = new ProjectInfo("R. Exämple", "", "", "detailed \"2\"", "", "Quay");
    Job job = store.open().withProject(info);
    store.save(job);
    assertThat(store.open()).isEqualTo(job);
    String text = Files.readString(store.jobFile());
    assertThat(text).contains("\"phase\"").doesNotContain("authorisation");
    for (String wrong : List.of("\"phase\" : 3", "\"Phase\" : \"x\"", "\"phase\" : null")) {
      put(text.replaceFirst("\"phase\" : \"[^,}]*\"(?=[,\\s}])", wrong));
      assertThat(Files.readString(store.jobFile())).contains(wrong);
      store.open();
      assertThat(store.notUnderstood())
          .as(wrong)
          .anySatisfy(s -> assertThat(s).contains("project"));
    }
  }

  @Test
  void aMemberOfANewerProgramIsNamedAndNeverSavedOver() throws IOException {
    ObjectNode n = (ObjectNode) JSON.readTree(sample(3));
    n.put("wellspan", 4).putArray("phases").add("first");
    ((ObjectNode) n.get("sources").get(0)).put("discipline", "road");
    String text = n.toPrettyString();
    put(text);
    Job job = store.open();
    assertThat(job.sources()).hasSize(JSON.readTree(text).get("sources").size());
    assertThat(store.notUnderstood())
        .anySatisfy(s -> assertThat(s).contains("newer Wellspan"))
        .anySatisfy(s -> assertThat(s).contains("phases"))
        .anySatisfy(s -> assertThat(s).contains("sources[0].discipline"));
    assertThatThrownBy(() -> store.save(job.withFrame(Frame.UNPLACED)))
        .isInstanceOf(JobException.class)
        .hasMessageContaining("phases");
    assertThat(store.jobFile()).hasContent(text);
  }

  /** A view that cannot be looked at is named, and the others stay. */
  @Test
  void viewsAreReadWholeOrNamed() throws IOException {
    put(sample(3));
    Job job =
        store
            .open()
            .withView(
                new SavedView(
                    "Quay", SavedView.Picture.PLAN, new Position(1, 2, Double.NaN), 400, 0, 0, 1))
            .withView(
                new SavedView(
                    "Bridge", SavedView.Picture.SPACE, new Position(1, 2, 3), 250, -28, 58, 2));
    store.save(job);
    assertThat(store.open()).isEqualTo(job);
    String text = Files.readString(store.jobFile());
    for (String wrong :
        List.of(
            "\"picture\" : \"sketch\"",
            "\"picture\" : null",
            "\"picture\" : \"3D\", \"lens\" : 35")) {
      put(text.replace("\"picture\" : \"3D\"", wrong));
      assertThat(store.open().views()).as(wrong).extracting(SavedView::name).contains("Quay");
      assertThat(store.notUnderstood()).as(wrong).anySatisfy(s -> assertThat(s).contains("views"));
    }
    for (String wrong : List.of("0", "-5", "\"far\"")) {
      put(text.replaceFirst("\"reach\" : 250[.0]*", "\"reach\" : " + wrong));
      assertThat(store.open().views()).as(wrong).hasSize(1);
    }
    put(text.replace("\"Bridge\"", "\"Quay\""));
    store.open();
    assertThat(store.notUnderstood()).anySatisfy(s -> assertThat(s).contains("called \"Quay\""));
  }

  /** Every member, given every wrong type, must be named: none may vanish in silence. */
  @Test
  void noMemberOfAWrongTypeIsLostInSilence() throws IOException {
    ObjectNode whole = (ObjectNode) JSON.readTree(sample(3));
    whole.set(
        "views",
        JSON.readTree(
            """
            [{"name":"Bridge","picture":"3D","at":[412300,6534800,12],
              "reach":250,"turn":-28,"tilt":58,"levels":2}]"""));
    List<String> paths = new ArrayList<>();
    collect(whole, "", paths);
    assertThat(paths).hasSizeGreaterThan(60);
    List<String> silent = new ArrayList<>();
    for (String path : paths) {
      for (String wrong : List.of("null", "\"x\"", "[1]", "{\"a\":1}", "17")) {
        JsonNode value = JSON.readTree(wrong);
        JsonNode was = whole.at(path);
        if (was.getNodeType() == value.getNodeType()) {
          continue; // another name or number is no wrong type
        }
        JsonNode changed = whole.deepCopy();
        int cut = path.lastIndexOf('/');
        JsonNode parent = changed.at(path.substring(0, cut));
        if (parent instanceof ObjectNode o) {
          o.set(path.substring(cut + 1), value);
        } else if (parent instanceof ArrayNode a) {
          a.set(Integer.parseInt(path.substring(cut + 1)), value);
        }
        try {
          if (JobReading.read(changed, "job.json").notUnderstood().isEmpty()) {
            silent.add(path + " = " + wrong);
          }
        } catch (JobException e) {
          assertThat(e).hasMessageContaining("job.json");
        }
      }
    }
    assertThat(silent).isEmpty();
  }

  private static void collect(JsonNode n, String path, List<String> out) {
    if (!path.isEmpty()) {
      out.add(path);
    }
    if (n.isObject()) {
      n.properties()
          .forEach(
              e ->
                  collect(
                      e.getValue(),
                      path + "/" + e.getKey().replace("~", "~0").replace("/", "~1"),
                      out));
    } else if (n.isArray()) {
      for (int i = 0; i < n.size(); i++) {
        collect(n.get(i), path + "/" + i, out);
      }
    }
  }

  @Test
  void aJobChangedMeanwhileIsNotSavedOver() throws IOException {
    store.create(Job.named("J"));
    JobStore other = new JobStore(store.folder());
    Job seen = store.open();
    Job theirs = other.open().withFrame(Frame.UNPLACED.withRotation(1));
    other.save(theirs);
    assertThatThrownBy(() -> store.save(seen.withFrame(Frame.UNPLACED.withRotation(2))))
        .isInstanceOf(JobException.class)
        .hasMessageContaining("changed by somebody else");
    assertThat(new JobStore(store.folder()).open()).isEqualTo(theirs);
  }

  /** The process that has a job in hand until it is killed. */
  static final class Holder {
    public static void main(String[] args) throws Exception {
      try (JobLock _ = JobLock.take(Path.of(args[0]), "a test", Clock.systemUTC())) {
        System.out.println("held");
        Thread.sleep(60_000);
      }
    }
  }

  @Test
  void theSecondProcessIsToldWhoHasTheJobAndACrashFreesIt() throws Exception {
    store.create(Job.named("J"));
    Process p =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Holder.class.getName(),
                store.folder().toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    try (BufferedReader out =
        new BufferedReader(new InputStreamReader(p.getInputStream(), StandardCharsets.UTF_8))) {
      assertThat(out.readLine()).isEqualTo("held");
      assertThatThrownBy(() -> JobLock.take(store.folder(), "me", Clock.systemUTC()))
          .isInstanceOf(JobLock.HeldException.class)
          .hasMessageContaining("a test (process " + p.pid() + ") since 20");
      assertThat(store.open().name()).isEqualTo("J");
    } finally {
      p.destroyForcibly().waitFor();
    }
    try (JobLock mine = JobLock.take(store.folder(), "me", Clock.systemUTC())) {
      assertThat(mine).isNotNull();
      assertThatThrownBy(() -> JobLock.take(store.folder(), "me too", Clock.systemUTC()))
          .isInstanceOf(JobLock.HeldException.class);
    }
    JobLock.take(store.folder(), "me", Clock.systemUTC()).close();
  }

  @Test
  void aCompanionAloneMakesARevisionAndNeverChangesWhatIsStored(@TempDir Path from)
      throws IOException {
    store.create(Job.named("J"));
    Path shape = Files.writeString(from.resolve("a.shp"), "shape");
    Path system = Files.writeString(from.resolve("a.prj"), "first");
    Revision a = keep(shape, List.of());
    Files.writeString(system, "second");
    Revision b = keep(shape, List.of());
    assertThat(a.sameFiles(b)).isFalse();
    assertThat(store.stored(a).resolveSibling("a.prj")).hasContent("first");
    assertThat(store.stored(b).resolveSibling("a.prj")).hasContent("second");
    assertThat(keep(shape, List.of()).sameFiles(b)).isTrue();
    Files.writeString(store.stored(b).resolveSibling("a.prj"), "changed");
    assertThat(store.isIntact(b, Progress.NONE)).isFalse();
    assertThat(store.isIntact(a, Progress.NONE)).isTrue();
  }

  private Revision keep(Path file, List<String> beside) throws IOException {
    return store.keep(file, beside, "Rev A", Clock.systemUTC(), Progress.NONE);
  }

  @Test
  void nothingOutsideTheFolderIsStoredOrOpened(@TempDir Path from) throws IOException {
    store.create(Job.named("J"));
    Path inner = Files.createDirectories(from.resolve("in"));
    Path outside = Files.writeString(from.resolve("secret.bin"), "x");
    Path file = Files.writeString(inner.resolve("a.gltf"), "x");
    Files.createSymbolicLink(inner.resolve("link.bin"), outside);
    for (String bad : List.of("../secret.bin", outside.toString(), "link.bin", "..\\secret.bin")) {
      assertThatThrownBy(() -> keep(file, List.of(bad)))
          .isInstanceOf(JobException.class)
          .hasMessageContaining("not in its folder");
    }
    Files.createSymbolicLink(store.folder().resolve("away"), from);
    for (String bad : List.of("../other/x", "/etc/hostname", "away/secret.bin", "C:\\x", "")) {
      Revision r =
          new Revision("Rev A", "x", bad, "0", 1, java.time.Instant.EPOCH, java.util.Map.of());
      assertThatThrownBy(() -> store.stored(r))
          .isInstanceOf(JobException.class)
          .hasMessageContaining("not inside the job's folder");
    }
  }
}
