package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receipt.Receipt;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.delivery.DeliveryRun;

/** Deliveries over several sessions, and the desk of the stop Place without a window. */
class DeliveriesTest extends SessionFixture {
  @BeforeEach
  void place() throws Exception {
    receive(ROAD);
    session.place().changeFrame("Move", f -> f.withBasePoint(new Position(412_000, 6_534_500, 0)));
    session.save();
  }

  private List<CellState> states() {
    Delivery d = session.job().deliveries().getFirst();
    return session.build().items().values().stream()
        .map((Build.BuiltItem i) -> CellState.of(session, d, i))
        .distinct()
        .toList();
  }

  @Test
  void aLaterSessionKnowsWhatWasProven() throws Exception {
    session.deliveries().run();
    settle();
    assertThat(states()).contains(CellState.PROVEN).doesNotContain(CellState.INCLUDED);
    session = open();
    session.load();
    settle();
    assertThat(session.deliveries().runsProperty().get()).isEmpty();
    assertThat(session.deliveries().latestProperty().get()).containsKey("BIM handover");
    assertThat(states()).contains(CellState.PROVEN).doesNotContain(CellState.INCLUDED);
    session.place().changeFrame("Turn", f -> f.withRotation(3));
    session.place().takeProposal();
    assertThat(states()).contains(CellState.CHANGED).doesNotContain(CellState.PROVEN);
  }

  @Test
  void aJobOfALaterProgramIsLookedAtAndNotDelivered() throws Exception {
    Path file = session.store().jobFile();
    Files.writeString(
        file,
        Files.readString(file)
            .replace(
                "\"steps\" : { }",
                "\"steps\" : { \"quay-road/terrain/Design ground\" : [ { \"step\" : \"smooth out\" } ] }"));
    session = open();
    session.lookOnly("It holds a step of a later Wellspan.");
    session.load();
    settle();
    assertThat(session.store().notUnderstood()).isNotEmpty();
    session.deliveries().run();
    settle();
    assertThat(session.messages().sentenceProperty().get()).contains("later Wellspan");
    assertThat(session.deliveries().runsProperty().get()).isEmpty();
    assertThat(session.store().out()).doesNotExist();
  }

  @Test
  void ofThousandsItIsReckonedAsideWhatTheyAreAndOnlyOfTheLatestState() throws Exception {
    Delivery d = session.job().deliveries().getFirst();
    AtomicInteger told = new AtomicInteger();
    Fingerprints many = new Fingerprints(0, window::add, told::incrementAndGet);
    Build first = session.build();
    ItemId one = first.items().keySet().iterator().next();
    assertThat(many.of(first, one, d)).as("nobody waits").isEmpty();
    assertThat(many.of(first, one, d)).as("and it is begun once").isEmpty();
    window.poll(20, TimeUnit.SECONDS).run();
    assertThat(told).hasValue(1);
    assertThat(window).isEmpty();
    for (ItemId id : first.items().keySet()) {
      assertThat(many.of(first, id, d)).contains(Packing.fingerprint(first, id, d));
    }
    session.place().changeFrame("Turn", f -> f.withRotation(3));
    Build second = session.build();
    assertThat(many.of(second, one, d)).isEmpty();
    assertThat(many.of(first, one, d)).as("another state is begun anew").isEmpty();
    window.poll(20, TimeUnit.SECONDS).run();
    window.poll(20, TimeUnit.SECONDS).run();
    assertThat(told).as("what is no longer shown is nothing to tell of").hasValue(2);
    assertThat(many.of(first, one, d)).contains(Packing.fingerprint(first, one, d));
  }

  @Test
  void aFailedProofIsToldByItsReceipt() throws Exception {
    session.deliveries().run();
    settle();
    Path receipt;
    try (Stream<Path> all = Files.list(store.receipts())) {
      receipt = all.filter(p -> p.toString().endsWith(".json")).findFirst().orElseThrow();
    }
    Files.writeString(
        receipt, Files.readString(receipt).replace("\"pass\" : true", "\"pass\" : false"));
    Files.writeString(store.receipts().resolve("broken.json"), "{");
    session = open();
    session.load();
    settle();
    assertThat(states()).contains(CellState.FAILED).doesNotContain(CellState.PROVEN);
  }

  @Test
  void whatArrivedWholeIsNotBlamedForWhatDidNot() throws Exception {
    session.deliveries().run();
    settle();
    String delivery = session.job().deliveries().getFirst().name();
    DeliveryRun.Outcome good = session.deliveries().runsProperty().get().get(delivery);
    List<Item> entries = good.arrived().items();
    Received arrived =
        new Received(
            good.arrived().format(),
            good.arrived().crs(),
            good.arrived().unit(),
            entries.subList(1, entries.size()),
            good.arrived().counts(),
            good.arrived().findings(),
            good.arrived().places());
    Receipt r = good.receipt();
    Proof failed = Prover.compare(good.sent(), arrived, Progress.NONE);
    Receipt receipt =
        new Receipt(
            r.delivery(),
            r.schema(),
            r.at(),
            r.seconds(),
            r.frame(),
            r.files(),
            r.contents(),
            failed);
    List<List<CellState>> shown = new ArrayList<>();
    session.deliveries().latestProperty().addListener((o, a, b) -> shown.add(states()));
    session
        .deliveries()
        .delivered(new DeliveryRun.Outcome(receipt, good.sent(), arrived, good.files()));
    assertThat(failed.pass()).isFalse();
    assertThat(shown)
        .as("what the manifest sees when it is told")
        .singleElement()
        .satisfies(
            s ->
                assertThat(s)
                    .contains(CellState.FAILED, CellState.INCLUDED)
                    .doesNotContain(CellState.PROVEN));
  }

  @Test
  void anOutOfDateReceiptDoesNotHoldAFrameBack() throws Exception {
    session.deliveries().run();
    settle();
    session.place().changeFrame("Count", f -> f.withUnit(wellspan.core.unit.LinearUnit.FOOT));
    assertThat(session.place().proposalProperty().get())
        .as("the unit of readings touches no delivery")
        .isEmpty();
    session.place().changeFrame("Turn", f -> f.withRotation(3));
    assertThat(session.place().proposalProperty().get()).isPresent();
    session.place().takeProposal();
    session.place().changeFrame("Turn on", f -> f.withRotation(4));
    assertThat(session.place().proposalProperty().get())
        .as("nothing was delivered in the frame that is left now")
        .isEmpty();
    assertThat(session.job().frame().rotationDegrees()).isEqualTo(4);
  }

  @Test
  void theFrameOfAReceivedFileIsTaken() throws Exception {
    session
        .place()
        .changeFrame(
            "Turn", f -> f.withRotation(21.5).withVerticalDatum("NN2000").withScale(1.0003));
    session.deliveries().run();
    settle();
    Path file = session.deliveries().runsProperty().get().get("BIM handover").file();
    JobStore other = new JobStore(dir.resolve("other"));
    other.create(Job.named("Other"));
    store = other;
    session = open();
    session.receiving().receive(List.of(file));
    settle();
    PlaceStatement says = session.build().received().values().iterator().next().places().getFirst();
    session.place().take(says);
    assertThat(session.job().frame().basePoint()).isEqualTo(new Position(412_000, 6_534_500, 0));
    assertThat(session.job().frame().verticalDatum()).isEqualTo("NN2000");
    assertThat(session.job().frame().scale()).isEqualTo(1.0003);
    Path sheet = session.place().writeSheet().orElseThrow();
    assertThat(Files.readString(sheet)).contains("Check points");
    assertThat(sheet.resolveSibling("frame-sheet.json")).exists();
    assertThat(sheet.resolveSibling("frame-sheet.prj")).exists();
  }

  @Test
  void onlyTheSystemIsTakenWhereNothingElseIsSaid() throws Exception {
    Path prj =
        Files.writeString(
            dir.resolve("x.prj"),
            wellspan.core.crs.WellKnownTexts.of(
                    wellspan.core.crs.CrsCatalogue.shipped().find("25833").orElseThrow())
                .orElseThrow());
    session.receiving().receive(List.of(prj));
    settle();
    session.place().take(session.build().received().get("x").places().getFirst());
    assertThat(session.job().frame().crs()).isEqualTo("EPSG:25833");
    assertThat(session.job().frame().basePoint().east())
        .as("the base point stays")
        .isEqualTo(412_000);
  }

  @Test
  void lockedFramesRefuseWithTheReason() {
    session.place().changeFrame("Lock", f -> f.withLock("agreed 12 Nov"));
    session.place().turnToTrueNorth();
    assertThat(session.messages().sentenceProperty().get()).contains("locked (agreed 12 Nov)");
    session.place().changeFrame("Unlock", f -> f.withLock(""));
    session.place().changeFrame("No system", f -> f.withCrs(""));
    session.place().turnToTrueNorth();
    assertThat(session.messages().sentenceProperty().get()).contains("True north is not known");
    session.place().scaleToGround();
    assertThat(session.messages().sentenceProperty().get()).contains("Choose a system first");
  }

  @Test
  void aFileThatCameBackIsComparedWithWhatWasSent() throws Exception {
    Deliveries d = session.deliveries();
    String name = session.job().deliveries().getFirst().name();
    Path sent = store.out().resolve(session.job().deliveries().getFirst().fileName());
    Path back = dir.resolve("back " + sent.getFileName());
    d.compare(name, ROAD);
    assertThat(session.messages().sentenceProperty().get()).contains("was not delivered yet");
    assertThat(d.compared()).isEmpty();
    d.run();
    settle();
    Files.copy(sent, back);
    d.compare(name, back);
    settle();
    assertThat(session.messages().sentenceProperty().get()).contains("is whole");
    assertThat(session.messages().complaintProperty().get()).isFalse();
    assertThat(d.compared().orElseThrow().arrived())
        .isNotEmpty()
        .allSatisfy(a -> assertThat(a.same()).isTrue())
        .allSatisfy(a -> assertThat(Arrays.stream(a.distances()).max().orElse(0)).isLessThan(1e-5));

    String text = Files.readString(back);
    // one point of the coordinate list is lifted by two metres and more
    String lifted =
        text.replaceFirst("(IFCCARTESIANPOINTLIST3D\\(\\(\\([^,]+,[^,]+,)[^)]+", "$1100.");
    assertThat(lifted).isNotEqualTo(text);
    Files.writeString(back, lifted);
    d.compare(name, back);
    settle();
    assertThat(session.messages().sentenceProperty().get()).contains("is not what was sent");
    assertThat(d.returnedProperty().get().get(name).proven().proof().differences())
        .anySatisfy(x -> assertThat(x.place()).isPresent());
    assertThat(d.compared().orElseThrow().arrived())
        .filteredOn(a -> !a.same())
        .singleElement()
        .satisfies(a -> assertThat(Arrays.stream(a.distances()).max().orElse(0)).isGreaterThan(1));
    d.forget(name);
    assertThat(d.compared()).as("the run is shown again").isPresent();
    assertThat(d.compared().orElseThrow().arrived()).allSatisfy(a -> assertThat(a.same()).isTrue());
    assertThat(session.historyProperty().get().canRedo()).isFalse();
  }
}
