package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.recipe.Copy;
import wellspan.core.replay.RecordedStep;
import wellspan.core.step.Raise;
import wellspan.exchange.delivery.DeliveryRun;

class SessionTest extends SessionFixture {
  private static final Path ROAD_B = Path.of("..", "demo", "road", "quay-road-RevB.xml");

  @Test
  void receivingPlacesDeliversAndProves() throws Exception {
    receive(ROAD);
    assertThat(session.build().items()).hasSize(31);
    assertThat(session.job().frame().crs()).isEqualTo("EPSG:25832");
    assertThat(session.findingsProperty().get())
        .extracting(Finding::code)
        .contains("frame.far", "terrain.empty");
    session
        .place()
        .changeFrame(
            "Move",
            f -> f.withBasePoint(new Position(412_000, 6_534_500, 0)).withVerticalDatum("NN2000"));
    assertThat(session.findingsProperty().get())
        .extracting(Finding::code)
        .doesNotContain("frame.far");
    session.deliveries().run();
    settle();
    DeliveryRun.Outcome run = session.deliveries().runsProperty().get().get("BIM handover");
    assertThat(run.receipt().proof().pass()).isTrue();
    assertThat(session.messages().sentenceProperty().get())
        .contains("is proven")
        .contains("30 of 30");
    Build.BuiltItem road =
        session.build().items().get(ItemId.of("quay-road", "alignment", "Quay Road"));
    assertThat(CellState.of(session, session.job().deliveries().getFirst(), road))
        .isEqualTo(CellState.PROVEN);
    session.place().changeFrame("Turn", f -> f.withRotation(10));
    assertThat(session.job().frame().rotationDegrees()).isZero();
    assertThat(session.place().proposalProperty().get())
        .hasValueSatisfying(
            p ->
                assertThat(p.effects())
                    .anySatisfy(e -> assertThat(e).startsWith("Local coordinates move by up to"))
                    .anySatisfy(e -> assertThat(e).contains("BIM handover")));
    session.place().leaveProposal();
    session.place().changeFrame("Turn", f -> f.withRotation(10));
    session.place().takeProposal();
    assertThat(session.job().frame().rotationDegrees()).isEqualTo(10);
    assertThat(CellState.of(session, session.job().deliveries().getFirst(), road))
        .isEqualTo(CellState.CHANGED);
    session.undo();
    assertThat(CellState.of(session, session.job().deliveries().getFirst(), road))
        .isEqualTo(CellState.PROVEN);
    session.deliveries().holdBack("BIM handover", java.util.List.of(road.id()), true);
    assertThat(CellState.of(session, session.job().deliveries().getFirst(), road))
        .isEqualTo(CellState.HELD_BACK);
  }

  @Test
  void aRevisionIsComparedAndCanBeUndone() throws Exception {
    receive(ROAD);
    receive(ROAD_B);
    assertThat(session.job().sources().getFirst().current().label()).isEqualTo("Rev B");
    assertThat(session.lastChangeProperty().get())
        .hasValueSatisfying(c -> assertThat(c.largestLevelDifference()).isBetween(0.34, 0.36));
    session.undo();
    assertThat(session.job().sources().getFirst().current().label()).isEqualTo("Rev A");
    assertThat(session.build().items()).hasSize(31);
    session.redo();
    assertThat(session.build().items().values().iterator().next().origin().revision())
        .isEqualTo("Rev B");
  }

  @Test
  void aLockedFrameStaysUntilItIsUnlocked() {
    session.place().changeFrame("Lock", f -> f.withLock("agreed"));
    session.place().changeFrame("Move", f -> f.withBasePoint(new Position(1, 2, 3)));
    assertThat(session.job().frame().basePoint()).isEqualTo(new Position(0, 0, 0));
    assertThat(session.messages().complaintProperty().get()).isTrue();
    assertThat(session.messages().sentenceProperty().get()).contains("locked (agreed)");
    session.place().changeFrame("Unlock", f -> f.withLock(""));
    session.place().changeFrame("Move", f -> f.withBasePoint(new Position(1, 2, 3)));
    assertThat(session.job().frame().basePoint()).isEqualTo(new Position(1, 2, 3));
  }

  @Test
  void editsAreInTheJournalUntilTheyAreSaved() throws Exception {
    receive(ROAD);
    assertThat(session.unsavedProperty().get()).isTrue();
    assertThat(store.recoverable()).isPresent();
    Session again = new Session(store, store.open(), Clock.systemUTC(), window::add);
    again.recover(store.recoverable().orElseThrow());
    again.load();
    session = again;
    settle();
    assertThat(again.build().items()).hasSize(31);
    again.save();
    assertThat(store.recoverable()).isEmpty();
    assertThat(store.open().sources()).hasSize(1);
    assertThat(again.unsavedProperty().get()).isFalse();
  }

  private static final String NOT_READ =
      "Not all of the job was read, so it cannot be checked or delivered.";

  @Test
  void aJobWhoseOpeningWasCancelledIsNotDeliveredInPart() throws Exception {
    receive(ROAD);
    session.edit("Raise", j -> j.withSteps(ground(), List.of(RecordedStep.of(new Raise(1)))));
    settle();
    session.save();
    session = new Session(store, store.open(), Clock.systemUTC(), window::add);
    session.load();
    session.deliveries().run();
    assertThat(session.messages().sentenceProperty().get()).contains("is still being read");
    session.work().cancel();
    settle();
    assertThat(session.findingsProperty().get())
        .singleElement()
        .satisfies(f -> assertThat(f.message()).startsWith(NOT_READ));
    session.deliveries().run();
    assertThat(session.messages().sentenceProperty().get()).startsWith(NOT_READ);
    session.load();
    settle();
    assertThat(session.findingsProperty().get())
        .extracting(Finding::code)
        .doesNotContain("job.unread");
    session.deliveries().run();
    settle();
    assertThat(session.messages().sentenceProperty().get()).contains("30 of 30");
  }

  /** An edit reads what was not read; a later one must not look like a job that was cut off. */
  @Test
  void aCancelledOpeningIsOverOnceAllIsRead() throws Exception {
    receive(ROAD);
    session.save();
    session = new Session(store, store.open(), Clock.systemUTC(), window::add);
    session.load();
    session.work().cancel();
    settle();
    session.edit("Name", j -> j.withFrame(j.frame().withVerticalDatum("NN2000")));
    settle();
    assertThat(session.build().items()).hasSize(31);
    session.edit("Raise", j -> j.withSteps(ground(), List.of(RecordedStep.of(new Raise(1)))));
    assertThat(session.opening().isCutOff()).isFalse();
    session.deliveries().run();
    assertThat(session.messages().sentenceProperty().get()).contains("still being made anew");
    settle();
  }

  @Test
  void whatIsBeingMadeAnewIsNotDeliveredAsItWas() throws Exception {
    receive(ROAD);
    session.edit("Raise", j -> j.withSteps(ground(), List.of(RecordedStep.of(new Raise(1)))));
    session.deliveries().run();
    assertThat(session.messages().sentenceProperty().get()).contains("still being made anew");
    settle();
    session.deliveries().run();
    settle();
    assertThat(session.messages().sentenceProperty().get()).contains("30 of 30");
  }

  @Test
  void peelingHidesFromTheTopAndBringsBack() throws Exception {
    receive(ROAD);
    session.visibility().peel(true);
    assertThat(session.visibility().itemsIn(Band.LINES_AND_POINTS))
        .noneMatch(session.build()::isVisible);
    assertThat(session.visibility().itemsIn(Band.GROUND)).allMatch(session.build()::isVisible);
    for (Band band : new Band[] {Band.EDGES, Band.PAVEMENT, Band.EARTHWORKS}) {
      session.visibility().peel(true);
      assertThat(session.visibility().itemsIn(band))
          .isNotEmpty()
          .noneMatch(session.build()::isVisible);
    }
    session.visibility().peel(true);
    assertThat(session.visibility().itemsIn(Band.GROUND)).noneMatch(session.build()::isVisible);
    session.visibility().peel(false);
    assertThat(session.visibility().itemsIn(Band.GROUND)).allMatch(session.build()::isVisible);
  }

  @Test
  void coursesArePeeledByTheirNumber() throws Exception {
    receive(ROAD);
    session.visibility().peeledProperty().set(Visibility.Peeled.COURSES);
    List<String> order = List.of("Surface course", "Binder course", "Base course", "Sub-base");
    for (int peeled = 1; peeled <= 4; peeled++) {
      session.visibility().peel(true);
      List<String> away = order.subList(0, peeled);
      assertThat(session.build().items().values())
          .filteredOn(i -> i.item().kind().id().equals("course"))
          .isNotEmpty()
          .allSatisfy(
              i ->
                  assertThat(session.build().isVisible(i.id()))
                      .as(i.item().name())
                      .isEqualTo(away.stream().noneMatch(i.item().name()::startsWith)));
    }
    session.visibility().peel(true);
    assertThat(session.messages().sentenceProperty().get()).contains("All courses are peeled");
    session.visibility().peel(false);
    assertThat(session.build().items().values())
        .filteredOn(i -> i.item().name().startsWith("Sub-base"))
        .allMatch(i -> session.build().isVisible(i.id()));
    assertThat(session.visibility().itemsIn(Band.GROUND)).allMatch(session.build()::isVisible);
  }

  @Test
  void badFilesLeaveTheJobAsItIs() throws Exception {
    receive(Files.writeString(dir.resolve("bad.xml"), "<LandXML version=\"1.2\"><Surfaces>"));
    assertThat(session.messages().complaintProperty().get()).isTrue();
    assertThat(session.messages().sentenceProperty().get()).startsWith("bad.xml, line ");
    assertThat(session.job().sources()).isEmpty();
    assertThat(session.unsavedProperty().get()).isFalse();
    session.deliveries().run();
    settle();
    assertThat(session.messages().sentenceProperty().get()).contains("nothing to send");
  }

  @Test
  void workCanBeCancelled() throws Exception {
    session.receiving().receive(List.of(ROAD));
    session.work().cancel();
    settle();
    assertThat(session.messages().sentenceProperty().get())
        .isEqualTo("Cancelled. Nothing was changed.");
    assertThat(session.job().sources()).isEmpty();
    assertThat(session.selectedProperty().get()).isEqualTo(Optional.empty());
  }

  private ItemId ground() {
    return session.build().items().values().stream()
        .filter(i -> i.item().ground().isPresent())
        .findFirst()
        .orElseThrow()
        .id();
  }

  /** While an edit is carried out, what it changes is shown as not being as the job has it. */
  @Test
  void whatIsBeingMadeAnewIsStaleUntilItIsThere() throws Exception {
    receive(ROAD);
    ItemId ground = ground();
    assertThat(session.staleProperty().get()).isEmpty();
    session.edit("Raise", j -> j.withSteps(ground, List.of(RecordedStep.of(new Raise(1)))));
    assertThat(session.staleProperty().get()).containsExactly(ground);
    settle();
    assertThat(session.staleProperty().get()).isEmpty();
    assertThat(session.build().results().shaped()).containsKey(ground);
  }

  /** A job that is opened has no findings until all of it is there. */
  @Test
  void aJobThatIsOpenedSaysNothingFalse() throws Exception {
    receive(ROAD);
    ItemId ground = ground();
    session.edit("Copy", j -> j.withRecipe(new Copy("Ground again", ground)));
    settle();
    session.save();
    Session again = open();
    again.load();
    session = again;
    assertThat(again.findingsProperty().get()).isEmpty();
    settle();
    assertThat(again.build().items()).hasSize(32);
    assertThat(again.findingsProperty().get()).isNotEmpty();
  }
}
