package wellspan.app.session;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.proof.Proof;
import wellspan.core.receipt.PastRun;
import wellspan.core.receipt.Receipt;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.delivery.DeliveredFile;
import wellspan.exchange.delivery.DeliveryRun;

/**
 * The job's deliveries in the window: which one is in hand, runs of this session and earlier ones.
 */
public final class Deliveries {
  private final Fingerprints fingerprints;
  private final Outlooks outlooks = new Outlooks();
  private final ReadOnlyIntegerWrapper reckoned = new ReadOnlyIntegerWrapper();
  private DeliveryRun.Outcome wholeOf;
  private Set<Whole> whole = Set.of();
  private final Session session;
  private final Clock clock;
  private final ObjectProperty<String> inHand = new SimpleObjectProperty<>("");
  private final ReadOnlyObjectWrapper<Map<String, DeliveryRun.Outcome>> runs =
      new ReadOnlyObjectWrapper<>(Map.of());
  private final ReadOnlyObjectWrapper<Map<String, PastRun>> latest =
      new ReadOnlyObjectWrapper<>(Map.of());

  private Object comparedOf;
  private Optional<SentAndArrived> compared = Optional.empty();
  private final ReadOnlyObjectWrapper<Map<String, CameBack>> returned =
      new ReadOnlyObjectWrapper<>(Map.of());

  Deliveries(Session session, Clock clock, Executor window) {
    this.session = session;
    this.clock = clock;
    fingerprints =
        new Fingerprints(Fingerprints.AT_ONCE, window, () -> reckoned.set(reckoned.get() + 1));
    List<Delivery> all = session.job().deliveries();
    inHand.set(all.isEmpty() ? "" : all.getFirst().name());
    session.findingsProperty().addListener((o, a, b) -> lookAhead());
  }

  /** What there is to say of a delivery before it runs. */
  public Outlook outlook(Delivery d) {
    return outlooks.of(session.build(), d, session.findingsProperty().get());
  }

  /** Works out beside the window what there will be to say of the delivery in hand. */
  private void lookAhead() {
    inHand().ifPresent(d -> outlooks.prepare(session.build(), d, session.findingsProperty().get()));
  }

  /** Tells of runs of earlier sessions; those of this one go before them. */
  void tell(Map<String, PastRun> earlier) {
    Map<String, PastRun> all = new TreeMap<>(earlier);
    all.putAll(latest.get());
    latest.set(all);
  }

  /** Name of the delivery in hand. */
  public ObjectProperty<String> inHandProperty() {
    return inHand;
  }

  public Optional<Delivery> inHand() {
    return session.job().delivery(inHand.get());
  }

  /** The schema of the delivery in hand; IFC4.3 while there is none. */
  public IfcSchema schema() {
    return inHand().map(Delivery::schema).orElse(IfcSchema.IFC4X3);
  }

  /** The latest run of each delivery in this session with its geometry, by its name. */
  public ReadOnlyObjectProperty<Map<String, DeliveryRun.Outcome>> runsProperty() {
    return runs.getReadOnlyProperty();
  }

  /** The latest run of each delivery, of this or an earlier session, by its name. */
  public ReadOnlyObjectProperty<Map<String, PastRun>> latestProperty() {
    return latest.getReadOnlyProperty();
  }

  /** Files that came back from receivers and were compared, by the name of the delivery. */
  public ReadOnlyObjectProperty<Map<String, CameBack>> returnedProperty() {
    return returned.getReadOnlyProperty();
  }

  /**
   * What is compared on the stage for the delivery in hand: a file that came back, else its run.
   * Put together once for each, and the same object until another is to be compared.
   */
  @SuppressWarnings("ReferenceEquality") // neither a run nor a file that came back ever changes
  public Optional<SentAndArrived> compared() {
    CameBack back = returned.get().get(inHand.get());
    DeliveryRun.Outcome run = runs.get().get(inHand.get());
    Object of = back != null ? back : run;
    if (of != comparedOf) {
      comparedOf = of;
      compared =
          back != null
              ? Optional.of(back.pictured())
              : Optional.ofNullable(run).map(SentAndArrived::of);
    }
    return compared;
  }

  /**
   * Compares a file that came back from a receiver with what was sent: the file that the delivery
   * left when it was last proven. The job stays as it is.
   */
  public void compare(String delivery, Path file) {
    Optional<Delivery> of = session.job().delivery(delivery);
    if (of.isEmpty()) {
      return;
    }
    Path sent = session.store().out().resolve(sentAs(of.get(), file));
    if (!Files.isRegularFile(sent)) {
      session.complain(
          delivery
              + " was not delivered yet, so there is nothing to compare "
              + file.getFileName()
              + " with. Deliver it first.");
      return;
    }
    inHand.set(delivery);
    session
        .work()
        .startBeside(
            "Comparing " + file.getFileName() + " with what was sent",
            p -> CameBack.compare(sent, file, p),
            back -> cameBack(delivery, back),
            session::complain);
  }

  /** Of several files that were sent the one of the same name is meant. */
  private String sentAs(Delivery delivery, Path file) {
    PastRun run = latest.get().get(delivery.name());
    return run == null || delivery.split().isEmpty()
        ? delivery.fileName()
        : run.files().stream()
            .map(Receipt.SentFile::name)
            .filter(n -> n.equals(String.valueOf(file.getFileName())))
            .findFirst()
            .orElse(run.files().getFirst().name());
  }

  private void cameBack(String delivery, CameBack back) {
    Map<String, CameBack> all = new LinkedHashMap<>(returned.get());
    all.put(delivery, back);
    returned.set(all);
    String file = String.valueOf(back.file().getFileName());
    Proof proof = back.proven().proof();
    if (proof.pass()) {
      session.say(file + " is whole: it holds what was sent with " + delivery + ".");
    } else {
      int n = proof.differences().size();
      session.complain(
          file
              + " is not what was sent with "
              + delivery
              + (n == 0 ? "." : ": " + n + (n == 1 ? " difference." : " differences.")));
    }
  }

  /** Puts the file that came back aside; the file itself stays where it is. */
  public void forget(String delivery) {
    Map<String, CameBack> all = new LinkedHashMap<>(returned.get());
    all.remove(delivery);
    returned.set(all);
  }

  /** Counts how often more became known of how items stand to what was sent. */
  public ReadOnlyIntegerProperty reckonedProperty() {
    return reckoned.getReadOnlyProperty();
  }

  /**
   * What an item is as it would be sent now; the same text as long as it does not change. Empty
   * while it is being reckoned.
   */
  Optional<String> fingerprint(ItemId item, Delivery delivery) {
    return fingerprints.of(session.build(), item, delivery);
  }

  private record Whole(String kind, String name) {}

  /**
   * Whether an item was whole in the last run of a delivery, which failed; only of this session.
   */
  @SuppressWarnings("ReferenceEquality") // a run never changes
  boolean wasWhole(Delivery delivery, Item item) {
    DeliveryRun.Outcome run = runs.get().get(delivery.name());
    if (run == null) {
      return false;
    }
    if (run != wholeOf) {
      wholeOf = run;
      whole =
          run.receipt().proof().items().stream()
              .filter(p -> p.identical())
              .map(p -> new Whole(p.kind(), p.name()))
              .collect(Collectors.toSet());
    }
    return whole.contains(new Whole(item.kind().title(), item.name()));
  }

  List<Finding> findings() {
    List<Finding> all = new ArrayList<>();
    runs.get().values().forEach(o -> all.addAll(o.receipt().proof().findings()));
    return all;
  }

  /** Holds items back from a delivery, or includes them. */
  public void holdBack(String delivery, Collection<ItemId> items, boolean held) {
    change(held(items, held), delivery, d -> d.holdingBack(changed(d.heldBack(), items, held)));
  }

  /** Holds items back from every delivery, or includes them in every one. */
  public void holdBack(Collection<ItemId> items, boolean held) {
    session.edit(
        held(items, held) + " everywhere",
        j -> {
          Job next = j;
          for (Delivery d : j.deliveries()) {
            next = next.withDelivery(d.holdingBack(changed(d.heldBack(), items, held)));
          }
          return next;
        });
  }

  private static String held(Collection<ItemId> items, boolean held) {
    return (held ? "Hold back " : "Include ")
        + (items.size() == 1 ? items.iterator().next().value() : items.size() + " items");
  }

  private static Set<ItemId> changed(Set<ItemId> before, Collection<ItemId> items, boolean held) {
    Set<ItemId> all = new TreeSet<>(before);
    if (held) {
      all.addAll(items);
    } else {
      all.removeAll(Set.copyOf(items));
    }
    return all;
  }

  /** One undoable edit of a delivery. */
  public void change(String what, String delivery, UnaryOperator<Delivery> edit) {
    session.edit(what, j -> j.delivery(delivery).map(d -> j.withDelivery(edit.apply(d))).orElse(j));
  }

  /** Adds a delivery like the one in hand, under a name and file of its own. */
  public void add() {
    Delivery like = inHand().orElseGet(() -> Job.named("").deliveries().getFirst());
    int n = session.job().deliveries().size() + 1;
    while (session.job().delivery("Delivery " + n).isPresent()) {
      n++;
    }
    String name = "Delivery " + n;
    Delivery next =
        new Delivery(
            name,
            like.receiver(),
            like.format(),
            session.job().frame().unit(),
            like.zero(),
            "delivery-" + n + like.format().ending(),
            like.heldBack());
    session.edit("Add " + name, j -> j.withDelivery(next));
    inHand.set(name);
  }

  public void remove(String delivery) {
    session.edit("Remove " + delivery, j -> j.withoutDelivery(delivery));
    inHand.set(session.job().deliveries().stream().map(Delivery::name).findFirst().orElse(""));
  }

  /** Runs the delivery in hand and proves it. */
  public void run() {
    Optional<Delivery> chosen = inHand();
    if (chosen.isEmpty()) {
      session.complain("Choose a delivery first.");
      return;
    }
    if (!session.store().notUnderstood().isEmpty()) {
      session.complain(session.lookingOnlyProperty().get());
      return;
    }
    Optional<String> unfinished = session.opening().unfinished();
    if (unfinished.isPresent()) { // what is sent would not be what the job says
      session.complain(unfinished.get());
      return;
    }
    Build sent = session.build();
    session
        .work()
        .startBeside(
            "Delivering " + chosen.get().name(),
            p ->
                DeliveryRun.run(
                    sent,
                    chosen.get(),
                    DeliveredFile.folder(session.store(), session.store().out()),
                    DeliveredFile.folder(session.store(), session.store().receipts()),
                    clock,
                    p),
            this::delivered,
            session::complain);
  }

  void delivered(DeliveryRun.Outcome o) {
    String name = o.receipt().delivery();
    Map<String, DeliveryRun.Outcome> all = new LinkedHashMap<>(runs.get());
    all.put(name, o);
    Map<String, PastRun> told = new TreeMap<>(latest.get());
    told.put(name, PastRun.of(o.receipt()));
    // the manifest follows "latest" and then asks the run which items were whole
    forget(name); // it was compared with what was sent before
    runs.set(all);
    latest.set(told);
    session.refreshFindings();
    if (o.receipt().proof().pass()) {
      session.say(
          name
              + " is proven: "
              + o.receipt().proof().arrived()
              + " of "
              + o.receipt().proof().sent()
              + " items arrived in "
              + (o.files().size() > 1 ? o.files().size() + " files" : o.file().getFileName())
              + ".");
    } else {
      session.complain(name + " is not proven. The last good file is untouched; see the findings.");
    }
  }
}
