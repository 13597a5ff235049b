package wellspan.exchange.intake;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import wellspan.core.build.Build;
import wellspan.core.build.ResultCache;
import wellspan.core.build.SourceExtents;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.job.Job;
import wellspan.core.job.JobException;
import wellspan.core.job.JobStore;
import wellspan.core.job.Origin;
import wellspan.core.job.Revision;
import wellspan.core.job.RevisionChange;
import wellspan.core.job.Source;
import wellspan.core.job.SourceNames;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.exchange.cache.CacheFolder;
import wellspan.exchange.points.read.PointListPreview;

/** Takes files into a job as sources and their revisions, and builds jobs from their sources. */
public final class SourceIntake {
  private SourceIntake() {}

  /**
   * A file taken in.
   *
   * @param job with the source added or its revision appended
   * @param change against the revision before, if there was one
   */
  public record Taken(Job job, Source source, Received received, Optional<RevisionChange> change) {}

  /**
   * Reads a file first and copies it into the job only if it can be read; the job is returned
   * changed, not saved. A file whose name is that of a source of the job, apart from a mark of its
   * revision, is that source's next revision if it is of the same kind.
   *
   * @param before what the source's current revision holds, if it is known
   */
  public static Taken take(
      JobStore store, Job job, Path file, Optional<Received> before, Clock clock, Progress progress)
      throws IOException {
    return take(store, job, file, rule(job, file), before, clock, progress);
  }

  /** The same, read by a rule that holds for later revisions too. */
  public static Taken take(
      JobStore store,
      Job job,
      Path file,
      ReadingRule rule,
      Optional<Received> before,
      Clock clock,
      Progress progress)
      throws IOException {
    Received received = Intake.read(file, rule, progress.part(0, 0.8));
    String name = SourceNames.of(job, file.getFileName().toString());
    Optional<Source> known = job.source(name);
    Revision revision =
        store.keep(
            file,
            received.beside(),
            JobStore.labelAfter(known.map(s -> s.revisions().size()).orElse(0)),
            clock,
            progress.part(0.8, 1));
    if (known.isPresent() && known.get().current().sameFiles(revision)) {
      throw new JobException(
          file.getFileName()
              + " is the same file as "
              + known.get().current().label()
              + " of "
              + name
              + ", byte for byte. Nothing was changed.");
    }
    Source source =
        known
            .map(s -> s.withRevision(revision))
            .orElseGet(() -> first(name, revision, received))
            .withReading(rule);
    Optional<RevisionChange> change =
        known.isPresent() ? before.map(b -> RevisionChange.between(b, received)) : Optional.empty();
    Job next = job.withSource(source);
    boolean projected =
        CrsCatalogue.shipped().find(received.crs()).filter(Crs::projected).isPresent();
    if (job.frame().crs().isEmpty() && projected) {
      next = next.withFrame(job.frame().withCrs(received.crs()));
    }
    return new Taken(next, source, received, change);
  }

  /** The rule by which a file is read: that of the source whose next revision it is. */
  public static ReadingRule rule(Job job, Path file) {
    return job.source(SourceNames.of(job, file.getFileName().toString()))
        .map(Source::reading)
        .orElse(ReadingRule.AS_FOUND);
  }

  /**
   * The columns of a point list that cannot be told for certain and that nobody chose before; empty
   * for all other files.
   */
  public static Optional<PointListPreview> uncertain(Job job, Path file) throws IOException {
    if (!(rule(job, file) instanceof ReadingRule.AsFound)
        || !Files.exists(file)
        || !Intake.isPointList(file)) {
      return Optional.empty();
    }
    return Optional.of(PointListPreview.found(file))
        .filter(p -> !p.certain() && !p.rows().isEmpty());
  }

  /** A new source; degrees can never be shared coordinates, so they are transformed at once. */
  private static Source first(String name, Revision revision, Received received) {
    Source source = Source.of(name, revision);
    boolean degrees =
        CrsCatalogue.shipped().find(received.crs()).filter(c -> !c.projected()).isPresent()
            && !received.items().isEmpty();
    return degrees
        ? source.withPlacement(
            SourcePlacement.SHARED.withWhere(
                new SourcePlacement.Where.InSystem(received.crs(), "")))
        : source;
  }

  /**
   * Reads the current revision of every source.
   *
   * @throws JobException if a stored source is not there or was changed
   */
  public static Build build(JobStore store, Job job, Progress progress) throws IOException {
    return build(store, job, CacheFolder.of(store), SoFar.NOBODY, progress);
  }

  /** Who wants to see a job while it is opened. Called on the thread that reads. */
  public interface SoFar {
    /** Nobody does. */
    SoFar NOBODY =
        new SoFar() {
          @Override
          public boolean isWanted() {
            return false;
          }

          @Override
          public void show(Build early) {}
        };

    /** Whether it is worth showing what is there by now. */
    boolean isWanted();

    /**
     * @param early the sources read so far in their places, without what operations make of them
     */
    void show(Build early);
  }

  /**
   * The same, telling on the way what is there already.
   *
   * @param cache where results are looked for and kept
   * @throws JobException if a stored source is not there or was changed
   */
  public static Build build(
      JobStore store, Job job, ResultCache cache, SoFar soFar, Progress progress)
      throws IOException {
    Build early = Build.of(job.withoutOperations(), Map.of());
    Map<String, Received> received = new LinkedHashMap<>();
    boolean shaped = !job.recipes().isEmpty() || !job.steps().isEmpty();
    Progress reading = shaped ? progress.part(0, 0.5) : progress;
    int done = 0;
    Optional<Fresh> last = Optional.empty();
    for (Source s : SourceExtents.kept(job, cache).nearestFirst(job.sources())) {
      Revision r = s.current();
      double share = 1.0 / job.sources().size();
      Progress own = reading.part(done * share, (done + 1) * share);
      if (!store.isIntact(r, own.part(0, 0.2))) {
        throw new JobException(
            store.stored(r)
                + " is missing or is no longer the file that was received. Put the original back, or receive it again.");
      }
      Fresh fresh = read(store, s, cache, own.part(0.2, 1));
      received.put(s.name(), fresh.received());
      done++;
      boolean more = shaped || done < job.sources().size();
      if (more && soFar.isWanted()) {
        early = early.next(early.job(), received, Progress.NONE);
        soFar.show(early);
      }
      if (more) {
        fresh.keep(cache, own);
      } else {
        last = Optional.of(fresh);
      }
    }
    Map<String, Received> inOrder = new LinkedHashMap<>();
    job.sources().forEach(s -> inOrder.put(s.name(), received.get(s.name())));
    Build build = Build.of(job, inOrder, cache, progress.part(shaped ? 0.5 : 1, 1));
    if (last.filter(Fresh::isWorthKeeping).isPresent()) {
      soFar.show(build); // keeping millions of points takes seconds
      last.get().keep(cache, progress);
    }
    SourceExtents.keep(build, cache);
    return build;
  }

  /**
   * What was read of a source.
   *
   * @param key under which it may be kept
   * @param nanos how long it took; 0 if it was kept already
   */
  private record Fresh(Received received, String key, long nanos) {
    boolean isWorthKeeping() {
      return nanos >= ResultCache.EXPENSIVE;
    }

    void keep(ResultCache cache, Progress progress) {
      if (isWorthKeeping()) {
        cache.keep(key, received, nanos, progress);
      }
    }
  }

  /** Reads a stored file, or takes what was read before of the same bytes by the same rule. */
  private static Fresh read(JobStore store, Source source, ResultCache cache, Progress progress)
      throws IOException {
    Revision r = source.current();
    String key =
        ResultCache.key(
            "received", Origin.of(r).content(), r.fileName(), source.reading().toString());
    progress.advance(0, "Opening " + r.fileName());
    Optional<Received> known = cache.find(key, Received.class);
    if (known.isPresent()) {
      return new Fresh(known.get(), key, 0);
    }
    long begin = System.nanoTime();
    Received received = Intake.read(store.stored(r), source.reading(), progress);
    return new Fresh(received, key, System.nanoTime() - begin);
  }
}
