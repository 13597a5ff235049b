package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;
import wellspan.core.job.Source;
import wellspan.core.receive.ColumnRole;
import wellspan.core.receive.ReadingRule;
import wellspan.core.shape.Shape;

class ReceiveDeskTest extends SessionFixture {
  private static final ReadingRule.Columns HEIGHT_FIRST =
      new ReadingRule.Columns(
          ";", 0, List.of(ColumnRole.HEIGHT, ColumnRole.NORTH, ColumnRole.EAST), Optional.empty());

  private Path list(String name, String text) throws IOException {
    return Files.writeString(dir.resolve(name), text);
  }

  private Position firstPoint() {
    Shape.Points g =
        (Shape.Points) session.build().items().values().iterator().next().item().shape();
    return g.points().getFirst().position();
  }

  @Test
  void aListWithoutHeaderIsAskedAboutAndTheAnswerHoldsForTheNextRevision() throws Exception {
    Path known = list("pegs.csv", "id,e,n\nP,1,2\n");
    session
        .receiving()
        .receive(List.of(list("shore.txt", "7;6534500;412000\n8;6534501;412001\n"), known));
    settle();
    ReceiveDesk.Question q = session.receiving().questionProperty().get().orElseThrow();
    assertThat(q.preview().rows()).hasSize(2);
    assertThat(session.job().sources()).isEmpty();
    session.receiving().answer(HEIGHT_FIRST);
    settle();
    assertThat(firstPoint()).isEqualTo(new Position(412_000, 6_534_500, 7));
    assertThat(session.job().sources()).extracting(Source::name).hasSize(2); // the other followed
    session.save();
    assertThat(store.open().sources().getFirst().reading()).isEqualTo(HEIGHT_FIRST);

    receive(list("shore-RevB.txt", "9;6534500;412000\n"));
    assertThat(session.receiving().questionProperty().get()).isEmpty();
    assertThat(session.job().sources()).hasSize(2);
    assertThat(firstPoint().level()).isEqualTo(9);

    receive(list("shore-RevC.txt", "P1;9;6534500;412000\n")); // another office, another order
    ReceiveDesk.Question again = session.receiving().questionProperty().get().orElseThrow();
    assertThat(again.why()).contains("P1").contains("height");
    assertThat(firstPoint().level()).isEqualTo(9);
    session.receiving().dismiss();
    assertThat(session.job().sources().getFirst().revisions()).hasSize(2);
  }

  @Test
  void columnsOfAReceivedListCanBeCorrectedAndTheCorrectionUndone() throws Exception {
    receive(list("shore.csv", "e;n;h\n7;6534500;412000\n"));
    assertThat(firstPoint().east()).isEqualTo(7);
    Source s = session.job().sources().getFirst();
    session.receiving().reconsider(s);
    ReceiveDesk.Question q = session.receiving().questionProperty().get().orElseThrow();
    assertThat(q.preview().roles())
        .containsExactly(ColumnRole.EAST, ColumnRole.NORTH, ColumnRole.HEIGHT);
    session
        .receiving()
        .answer(new ReadingRule.Columns(";", 1, HEIGHT_FIRST.roles(), Optional.empty()));
    settle();
    assertThat(firstPoint()).isEqualTo(new Position(412_000, 6_534_500, 7));
    session.undo();
    assertThat(firstPoint().east()).isEqualTo(7);
  }

  @Test
  void aRuleThatCannotReadTheFileIsTakenBack() throws Exception {
    receive(list("shore.csv", "id;e;n;h\nP;7;6534500;412000\n"));
    session.receiving().read(session.job().sources().getFirst().name(), HEIGHT_FIRST);
    settle();
    assertThat(session.messages().complaintProperty().get()).isTrue();
    assertThat(session.job().sources().getFirst().reading()).isEqualTo(ReadingRule.AS_FOUND);
    assertThat(firstPoint().east()).isEqualTo(7);
  }

  @Test
  void aFileThatCannotBeReadDoesNotKeepTheOthersOut() throws Exception {
    Path one = list("one.csv", "id,e,n\nP,1,2\n");
    Path broken = list("broken.xml", "<LandXML><Surfaces>");
    Path two = list("two.csv", "id,e,n\nQ,3,4\nR,5,6\n");
    session.receiving().receive(List.of(one, broken, two));
    settle();
    assertThat(session.job().sources()).extracting(Source::name).containsExactly("one", "two");
    assertThat(session.messages().complaintProperty().get()).isTrue();
    assertThat(session.messages().sentenceProperty().get())
        .startsWith("2 of 3 files received. Not received: broken.xml")
        .contains("line 1");
    receive(broken);
    assertThat(session.messages().sentenceProperty().get()).startsWith("broken.xml");
  }

  @Test
  void filesReceivedTogetherAreToldTogether() throws Exception {
    Path one = list("one.csv", "id,e,n\nP,1,2\n");
    Path two = list("two.csv", "id,e,n\nQ,3,4\nR,5,6\n");
    session.receiving().receive(List.of(one, two));
    settle();
    assertThat(session.messages().sentenceProperty().get()).isEqualTo("2 files received: 2 items.");
    receive(list("one-RevB.csv", "id,e,n\nP,1,2.5\n"));
    assertThat(session.messages().sentenceProperty().get())
        .isEqualTo("one-RevB.csv received as Rev B of one: 1 item.");
  }

  @Test
  void whatComesWhileAFileIsReadWaitsForItsTurn() throws Exception {
    session.receiving().receive(List.of(ROAD));
    session.receiving().receive(List.of(list("one.csv", "id,e,n\nP,1,2\n")));
    settle();
    assertThat(session.job().sources())
        .extracting(Source::name)
        .containsExactly("quay-road", "one");
  }

  @Test
  void cancellingLeavesTheFilesBehindOutToo() throws Exception {
    session.receiving().receive(List.of(ROAD, list("one.csv", "id,e,n\nP,1,2\n")));
    session.work().cancel();
    settle();
    assertThat(session.job().sources()).isEmpty();
    assertThat(session.messages().sentenceProperty().get())
        .isEqualTo("Cancelled. Nothing was changed.");
  }
}
