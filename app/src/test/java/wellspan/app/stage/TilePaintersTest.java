package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;

class TilePaintersTest {
  private static final SurfaceLook LOOK = new SurfaceLook.Tint(0x336699);

  private final Semaphore told = new Semaphore(0);
  private final TilePainters painters = new TilePainters(told::release);

  private static Mesh square(double e) {
    return new Mesh(
        new double[] {e, 0, 1, e + 100, 0, 2, e + 100, 100, 3, e, 100, 4},
        new int[] {0, 1, 2, 0, 2, 3});
  }

  private static TileCache.Key key(Mesh m, long column) {
    return new TileCache.Key(m, LOOK, 0, column, 0);
  }

  private List<TilePainters.Painted> all() throws InterruptedException {
    List<TilePainters.Painted> out = new ArrayList<>();
    while (painters.isBusy()) {
      assertThat(told.tryAcquire(20, TimeUnit.SECONDS)).as("told of what is finished").isTrue();
      out.addAll(painters.takeFinished());
    }
    out.addAll(painters.takeFinished());
    return out;
  }

  @Test
  void everyWishIsPaintedOnceThoughNobodyCollects() throws InterruptedException {
    Set<TileCache.Key> wished = new HashSet<>();
    for (int m = 0; m < 6; m++) {
      Mesh mesh = square(300 * m);
      for (int c = 0; c < 9; c++) {
        wished.add(key(mesh, c));
      }
    }
    wished.forEach(k -> assertThat(painters.wish(k)).isEmpty());
    while (told.availablePermits() < wished.size()) { // the window is busy with something else
      Thread.sleep(5);
    }
    assertThat(painters.isBusy()).isTrue();
    List<TilePainters.Painted> painted = all();
    assertThat(painted).extracting(TilePainters.Painted::key).hasSameElementsAs(wished);
    assertThat(painted).hasSameSizeAs(wished);
  }

  @Test
  void aPieceShowsItsPartOfTheSurface() throws InterruptedException {
    Mesh mesh = square(40);
    painters.wish(key(mesh, 0));
    painters.wish(key(mesh, 7));
    for (TilePainters.Painted p : all()) {
      boolean inside = p.key().column() == 0;
      // 100 m at 1 m a pixel, and one pixel around
      assertThat(p.used().getWidth()).isEqualTo(inside ? 102 : 0);
      assertThat(p.used().getMinX()).isEqualTo(inside ? 39 : 0);
    }
    assertThat(painters.index(mesh)).isPresent();
    painters.forgetMeshesBut(Set.of());
    assertThat(painters.index(mesh)).isEmpty();
  }

  @Test
  void theOldestWishesAreGivenUpWhereThereAreTooMany() throws InterruptedException {
    Mesh mesh = square(0);
    Set<TileCache.Key> wanted = new HashSet<>();
    for (int c = 0; c < 2_000; c++) {
      TileCache.Key k = key(mesh, c);
      wanted.add(k);
      painters.wish(k).ifPresent(wanted::remove);
    }
    assertThat(wanted).contains(key(mesh, 1_999)).hasSizeLessThan(2_000);
    assertThat(all()).extracting(TilePainters.Painted::key).hasSameElementsAs(wanted);
  }
}
