package wellspan.app.session;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import wellspan.core.job.Job;
import wellspan.core.job.Source;
import wellspan.core.job.SourceNames;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;
import wellspan.exchange.intake.SourceIntake;
import wellspan.exchange.points.read.PointListPreview;

/** Takes files into the job, and asks how a point list is to be read where that is not certain. */
public final class ReceiveDesk {
  /**
   * A point list whose columns somebody must look at.
   *
   * @param source name of the source whose current file it is; empty for a file that is not
   *     received yet
   * @param why what went wrong, empty if nothing did
   */
  public record Question(Path file, String source, PointListPreview preview, String why) {}

  /** What became of a file. */
  private sealed interface Outcome {
    record Taken(SourceIntake.Taken taken) implements Outcome {}

    record Asked(Question question) implements Outcome {}
  }

  private final Session session;
  private final Clock clock;
  private final Deque<Path> rest = new ArrayDeque<>();
  private ReceivedSoFar soFar = ReceivedSoFar.NOTHING;
  private boolean reading;
  private final ReadOnlyObjectWrapper<Optional<Question>> question =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  ReceiveDesk(Session session, Clock clock) {
    this.session = session;
    this.clock = clock;
  }

  /** The point list that waits for an answer; the files behind it wait too. */
  public ReadOnlyObjectProperty<Optional<Question>> questionProperty() {
    return question.getReadOnlyProperty();
  }

  /**
   * Receives files one after the other; each becomes a new source or the next revision of one. A
   * file that cannot be read does not keep the others from being received.
   */
  public void receive(List<Path> files) {
    if (reading || question.get().isPresent()) {
      rest.addAll(files);
      return;
    }
    soFar = ReceivedSoFar.NOTHING;
    rest.addAll(files);
    next();
  }

  private void next() {
    Path file = rest.poll();
    if (file == null) {
      soFar.success().ifPresent(session::say);
      soFar.complaint().ifPresent(session::complain);
      return;
    }
    Job job = session.job();
    start(file, p -> take(job, file, p), this::taken, this::refused);
  }

  private <T> void start(Path file, Work.Task<T> task, Consumer<T> done, Consumer<String> failed) {
    reading =
        session
            .work()
            .start(
                "Reading " + file.getFileName(),
                task,
                t -> {
                  reading = false;
                  done.accept(t);
                },
                why -> {
                  boolean begun = reading;
                  reading = false;
                  if (begun && !session.work().isCancelled()) {
                    failed.accept(why);
                  } else {
                    rest.clear();
                    session.complain(why);
                  }
                });
  }

  private Outcome take(Job job, Path file, wellspan.core.progress.Progress p) throws IOException {
    Optional<PointListPreview> uncertain = SourceIntake.uncertain(job, file);
    if (uncertain.isPresent()) {
      return new Outcome.Asked(new Question(file, "", uncertain.get(), ""));
    }
    ReadingRule rule = SourceIntake.rule(job, file);
    try {
      return new Outcome.Taken(
          SourceIntake.take(session.store(), job, file, rule, before(job, file), clock, p));
    } catch (ReadException e) {
      if (!Intake.isPointList(file)) {
        throw e;
      }
      PointListPreview preview =
          rule instanceof ReadingRule.Columns c
              ? PointListPreview.by(file, c)
              : PointListPreview.found(file);
      if (preview.rows().isEmpty()) {
        throw e;
      }
      return new Outcome.Asked(new Question(file, "", preview, e.getMessage()));
    }
  }

  private Optional<Received> before(Job job, Path file) {
    return job.source(SourceNames.of(job, file.getFileName().toString())).flatMap(session::known);
  }

  private void taken(Outcome o) {
    switch (o) {
      case Outcome.Asked asked -> {
        question.set(Optional.of(asked.question()));
        session.say("Say what the columns of " + asked.question().file().getFileName() + " hold.");
      }
      case Outcome.Taken t -> {
        taken(t.taken());
        next();
      }
    }
  }

  private void refused(String why) {
    soFar = soFar.without(why);
    next();
  }

  private void taken(SourceIntake.Taken t) {
    session.keep(t.source(), t.received());
    boolean revision = t.source().revisions().size() > 1;
    session.edit("Receive " + t.source().current().fileName(), j -> t.job());
    session.showChange(t.change());
    int n = t.received().items().size();
    String found = n + (n == 1 ? " item" : " items");
    soFar =
        soFar.and(
            t.source().current().fileName()
                + (revision
                    ? " received as " + t.source().current().label() + " of " + t.source().name()
                    : " received")
                + ": "
                + found
                + ".",
            n);
  }

  /** Opens the columns of a point list that is in the job already. */
  public void reconsider(Source s) {
    soFar = ReceivedSoFar.NOTHING;
    try {
      Path file = session.store().stored(s.current());
      PointListPreview preview =
          s.reading() instanceof ReadingRule.Columns c
              ? PointListPreview.by(file, c)
              : PointListPreview.found(file);
      question.set(Optional.of(new Question(file, s.name(), preview, "")));
    } catch (IOException e) {
      session.complain(e.getMessage());
    }
  }

  /** Reads the file in question as somebody said. */
  public void answer(ReadingRule.Columns rule) {
    Question q = question.get().orElseThrow();
    if (!q.source().isEmpty()) {
      question.set(Optional.empty());
      read(q.source(), rule);
      next();
      return;
    }
    Job job = session.job();
    start(
        q.file(),
        p ->
            SourceIntake.take(
                session.store(), job, q.file(), rule, before(job, q.file()), clock, p),
        t -> {
          question.set(Optional.empty());
          taken(t);
          next();
        },
        why -> {
          question.set(Optional.of(new Question(q.file(), "", q.preview(), why)));
          session.complain(why);
        });
  }

  /** Leaves the file in question as it is and goes on with the next. */
  public void dismiss() {
    question.set(Optional.empty());
    next();
  }

  /** Reads a source by another rule from now on. */
  public void read(String source, ReadingRule rule) {
    session.edit(
        "Read " + source + " in another way",
        j -> j.source(source).map(s -> j.withSource(s.withReading(rule))).orElse(j));
  }
}
