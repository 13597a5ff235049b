package wellspan.exchange.cache;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.esotericsoftware.kryo.Kryo;
import com.esotericsoftware.kryo.KryoException;
import com.esotericsoftware.kryo.io.Input;
import com.esotericsoftware.kryo.io.Output;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.build.ResultCache;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.exchange.intake.Intake;

class CacheFolderTest {
  private static final long LONG = ResultCache.EXPENSIVE;

  @TempDir Path dir;

  private CacheFolder cache() {
    return new CacheFolder(dir.resolve("cache"), 1 << 20);
  }

  private static Path sample(String name) throws Exception {
    return Path.of(CacheFolderTest.class.getResource("/wellspan/exchange/feature/" + name).toURI());
  }

  private Path only() throws IOException {
    try (Stream<Path> all = Files.list(dir.resolve("cache"))) {
      return all.toList().getFirst();
    }
  }

  private static Item item(int triangles) {
    double[] xyz = new double[9 * triangles];
    int[] corners = new int[3 * triangles];
    for (int i = 0; i < xyz.length; i++) {
      xyz[i] = i * 0.5;
    }
    for (int i = 0; i < corners.length; i++) {
      corners[i] = i;
    }
    return Item.surface("Ground", new Mesh(xyz, corners));
  }

  @ParameterizedTest
  @ValueSource(strings = {"area.kmz", "lines.shp", "pts.geojson", "site.gpkg"})
  void whatWasReceivedComesBackAsItWas(String name) throws Exception {
    Path file = sample(name);
    Received read = Intake.read(file, ReadingRule.AS_FOUND, Progress.NONE);
    cache().keep("a", read, LONG, Progress.NONE);
    Received kept = cache().find("a", Received.class).orElseThrow();
    kept.items().forEach(Item::bounds); // which who takes a file in has asked, and is not kept
    assertThat(kept)
        .usingRecursiveComparison()
        .withEqualsForType((a, b) -> Double.compare(a, b) == 0, Double.class)
        .isEqualTo(read);
    assertThat(kept.counts().keySet()).containsExactlyElementsOf(read.counts().keySet());
  }

  @Test
  void nothingIsFoundUnderAnotherKeyOrAsSomethingElse() {
    cache().keep("a", item(1), LONG, Progress.NONE);
    assertThat(cache().find("b", Item.class)).isEmpty();
    assertThat(cache().find("a", Received.class)).isEmpty();
  }

  @Test
  void whatIsQuicklyMadeIsNotKept() {
    cache().keep("a", item(1), LONG - 1, Progress.NONE);
    assertThat(cache().find("a", Item.class)).isEmpty();
  }

  @Test
  void aDamagedResultIsTakenAsNotThere() throws IOException {
    cache().keep("a", item(200), LONG, Progress.NONE);
    byte[] good = Files.readAllBytes(only());
    Path file = only();
    for (int at = 0; at < good.length; at += 97) {
      byte[] bad = good.clone();
      bad[at] ^= 0x10;
      Files.write(file, bad);
      assertThat(cache().find("a", Item.class)).as("byte %d", at).isEmpty();
    }
    for (int length : new int[] {0, 5, 20, good.length / 2, good.length - 1}) {
      Files.write(file, java.util.Arrays.copyOf(good, length));
      assertThat(cache().find("a", Item.class)).as("%d bytes", length).isEmpty();
    }
    Files.write(file, good);
    assertThat(cache().find("a", Item.class)).isPresent();
  }

  @Test
  void aFileThatAsksForAnotherClassIsRefused() throws IOException {
    Kryo open = new Kryo();
    open.setRegistrationRequired(false);
    Output data = new Output(1024, -1);
    open.writeClassAndObject(data, URI.create("http://example.org/").toURL());
    Input foreign = new Input(data.toBytes());
    assertThatThrownBy(() -> ResultCodec.fresh().readClassAndObject(foreign))
        .isInstanceOf(KryoException.class)
        .hasMessageContaining("java.net.URL is no part of a result");
  }

  @Test
  void theFolderMayBeDeletedAtAnyTime() throws IOException {
    CacheFolder c = cache();
    c.keep("a", item(1), LONG, Progress.NONE);
    Files.delete(only());
    Files.delete(dir.resolve("cache"));
    assertThat(c.find("a", Item.class)).isEmpty();
    c.keep("a", item(1), LONG, Progress.NONE);
    assertThat(c.find("a", Item.class)).isPresent();
  }

  @Test
  void whatWasNotUsedForLongestGoesFirst() throws IOException {
    CacheFolder two = new CacheFolder(dir.resolve("cache"), 30_000); // each takes some 12 600
    two.keep("a", item(150), LONG, Progress.NONE);
    Files.setLastModifiedTime(only(), FileTime.from(Instant.now().minusSeconds(60)));
    two.keep("b", item(150), LONG, Progress.NONE);
    two.keep("c", item(150), LONG, Progress.NONE);
    assertThat(two.find("a", Item.class)).isEmpty();
    assertThat(two.find("b", Item.class)).isPresent();
    assertThat(two.find("c", Item.class)).isPresent();
  }

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 4})
  void nothingIsLeftOfAResultWhoseKeepingIsCancelled(int looks) throws IOException {
    Progress cancelled = cancelledAfter(looks);
    Item large = item(10_000); // some 840 000 bytes, written in many blocks
    assertThatThrownBy(() -> cache().keep("a", large, LONG, cancelled))
        .isInstanceOf(CancellationException.class);
    try (Stream<Path> all = Files.list(dir)) {
      assertThat(all.flatMap(CacheFolderTest::under)).isEmpty();
    }
  }

  @Test
  void whatAProgramThatEndedWhileItWroteLeftGoes() throws IOException {
    CacheFolder c = cache();
    c.keep("a", item(1), LONG, Progress.NONE);
    Path old = Files.writeString(dir.resolve("cache/x.result.1.new"), "half");
    Path ofToday = Files.writeString(dir.resolve("cache/y.result.2.new"), "half");
    Path foreign = Files.writeString(dir.resolve("cache/notes.txt"), "not ours");
    FileTime longAgo = FileTime.from(Instant.now().minusSeconds(7200));
    Files.setLastModifiedTime(old, longAgo);
    Files.setLastModifiedTime(foreign, longAgo);
    c.keep("b", item(1), LONG, Progress.NONE);
    assertThat(old).doesNotExist();
    assertThat(ofToday).exists();
    assertThat(foreign).exists();
  }

  private static Stream<Path> under(Path folder) {
    try (Stream<Path> all = Files.list(folder)) {
      return all.toList().stream();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Wanted for a number of looks at it, and no longer. */
  private static Progress cancelledAfter(int looks) {
    AtomicInteger left = new AtomicInteger(looks);
    return new Progress() {
      @Override
      public void report(double fraction, String sentence) {}

      @Override
      public boolean isCancelled() {
        return left.decrementAndGet() < 0;
      }
    };
  }
}
