package wellspan.app.shell;

import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.stage.StageView;
import wellspan.app.theme.OnDemand;
import wellspan.core.finding.Stop;

/** What each key does in the window, wherever the hand is. */
record WindowKeys(
    Session session,
    WindowActions window,
    StageView stage,
    StrataView strata,
    Node docket,
    Node findings,
    OnDemand<ShortcutsView> shortcuts) {
  private static void fold(Node n) {
    n.setManaged(!n.isVisible());
    n.setVisible(!n.isVisible());
  }

  void key(KeyEvent e) {
    if (e.isShortcutDown()) {
      if (control(e)) {
        e.consume();
      }
      return;
    }
    if (e.isAltDown() && picture(e.getCode())) {
      e.consume();
      return;
    }
    if (plain(e)) {
      e.consume();
    }
  }

  private boolean control(KeyEvent e) {
    boolean typing = e.getTarget() instanceof TextInputControl;
    switch (e.getCode()) {
      case DIGIT1, DIGIT2, DIGIT3, DIGIT4, DIGIT5, DIGIT6 ->
          session
              .stopProperty()
              .set(Stop.values()[e.getCode().ordinal() - KeyCode.DIGIT1.ordinal()]);
      case Z -> {
        if (typing) {
          return false;
        }
        if (e.isShiftDown()) {
          session.redo();
        } else {
          session.undo();
        }
      }
      case Y -> session.redo();
      case S -> session.save();
      case O -> Platform.runLater(window::openAnotherJob);
      case R -> Platform.runLater(window::chooseFiles);
      case F -> window.toggleFindings();
      case K -> window.showFind();
      case L -> strata.search();
      case T -> window.toggleTheme();
      case B -> fold(strata);
      case D -> fold(docket);
      case ENTER -> session.deliveries().run();
      default -> {
        return false;
      }
    }
    return true;
  }

  private boolean picture(KeyCode code) {
    switch (code) {
      case DIGIT1 -> stage.show(StageView.Picture.PLAN);
      case DIGIT2 -> stage.show(StageView.Picture.SPACE);
      case DIGIT3 -> stage.show(StageView.Picture.SECTION);
      case DIGIT4 -> stage.show(StageView.Picture.CROSS);
      default -> {
        return false;
      }
    }
    return true;
  }

  private boolean plain(KeyEvent e) {
    if (e.getCode() == KeyCode.F1) {
      window.showShortcuts();
      return true;
    }
    if (e.getCode() == KeyCode.ESCAPE) {
      return escape();
    }
    if (e.getTarget() instanceof TextInputControl) {
      return false;
    }
    switch (e.getCode()) {
      case F -> stage.fit();
      case G -> session.aim().goTo(session.selection().ids());
      case P ->
          session
              .aim()
              .pointerProperty()
              .get()
              .ifPresent(p -> session.place().probeProperty().set(Optional.of(p)));
      case M ->
          session
              .place()
              .probeProperty()
              .get()
              .or(() -> session.aim().pointerProperty().get())
              .ifPresent(p -> session.place().mark(session.aim().readingAt(p).shared()));
      case ENTER -> {
        Pick pick = session.place().pickProperty().get();
        if (pick != Pick.OUTLINE && pick != Pick.MEASURE && pick != Pick.SELECT) {
          return false;
        }
        session.selection().outline().take(session.visibility().shown());
        session.place().pickProperty().set(Pick.NONE);
      }
      case D -> togglePick(Pick.MEASURE);
      case O -> togglePick(Pick.SELECT);
      case V -> session.aim().viewsProperty().set(!session.aim().viewsProperty().get());
      case OPEN_BRACKET -> session.visibility().peel(true);
      case CLOSE_BRACKET -> session.visibility().peel(false);
      case SPACE -> {
        boolean onStage =
            session.stopProperty().get() == Stop.PLACE && !(e.getTarget() instanceof ButtonBase);
        if (!onStage) {
          return false;
        }
        togglePick(Pick.BASE_POINT);
      }
      default -> {
        return false;
      }
    }
    return true;
  }

  private void togglePick(Pick p) {
    boolean on = session.place().pickProperty().get() == p;
    session.place().pickProperty().set(on ? Pick.NONE : p);
  }

  private boolean escape() {
    if (shortcuts.isVisible()) {
      window.showShortcuts();
    } else if (session.work().runningProperty().get()) {
      session.work().cancel();
    } else if (session.place().pickProperty().get() != Pick.NONE) {
      if (session.place().pickProperty().get() == Pick.OUTLINE) {
        session.shape().outlineProperty().set(List.of());
      }
      if (session.place().pickProperty().get() == Pick.MEASURE) {
        session.measure().clear();
      }
      session.selection().outline().clear();
      session.place().pickProperty().set(Pick.NONE);
    } else if (session.place().probeProperty().get().isPresent()) {
      session.place().probeProperty().set(Optional.empty());
    } else if (findings.isVisible()) {
      window.toggleFindings();
    } else {
      return false;
    }
    return true;
  }
}
