package wellspan.app.shell;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.session.Visibility;
import wellspan.app.session.WindowActions;
import wellspan.app.stage.StageView;
import wellspan.core.build.Build;
import wellspan.core.check.Check;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.job.SavedView;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Operation;
import wellspan.core.replay.Operations;
import wellspan.core.search.ItemQuery;

/** What words find: everything that can be done, items, findings, systems and help. */
final class FindEverything {
  private static final List<String> SENTENCES = List.of("finding", "help");
  private static final int ITEMS = 12;
  private static final int FINDINGS = 6;
  private static final int SYSTEMS = 5;

  private final Session session;
  private final WindowActions window;
  private final StageView stage;
  private final Runnable searchItems;

  FindEverything(Session session, WindowActions window, StageView stage, Runnable searchItems) {
    this.session = session;
    this.window = window;
    this.stage = stage;
    this.searchItems = searchItems;
  }

  /** The best first; all actions where nothing is typed yet. */
  List<Findable> find(String typed) {
    List<Findable> out = new ArrayList<>();
    Predicate<Findable> fits = fits(typed);
    actions().stream().filter(fits).forEach(out::add);
    if (typed.isBlank()) {
      return out;
    }
    items(typed, out);
    findings(fits, out);
    systems(typed, out);
    help().stream().filter(fits).forEach(out::add);
    out.sort(bestFirst(typed));
    return out;
  }

  /**
   * By how near the name is; of those that only hold what was typed items come first, since going
   * to one does less harm than an action that was not meant.
   */
  static Comparator<Findable> bestFirst(String typed) {
    return Comparator.<Findable>comparingInt(f -> distance(f, typed))
        .thenComparing(f -> distance(f, typed) > 1 && !f.group().equals("item"));
  }

  private static int distance(Findable f, String typed) {
    int d = distance(f.title(), f.also(), typed);
    return SENTENCES.contains(f.group()) ? Math.max(d, 4) : d; // a word of a sentence is no name
  }

  static int distance(String name, String typed) {
    return distance(name, "", typed);
  }

  /**
   * How far a name is from what was typed: the name itself, its beginning, that of one of its
   * words, of one of the words that it is found by too, anywhere in it, or only in what is said
   * about it.
   */
  private static int distance(String name, String also, String typed) {
    String n = name.toLowerCase(Locale.ROOT);
    String t = typed.strip().toLowerCase(Locale.ROOT);
    if (n.equals(t)) {
      return 0;
    }
    if (n.startsWith(t)) {
      return 1;
    }
    if (hasWord(n, t)) {
      return 2;
    }
    if (hasWord(also.toLowerCase(Locale.ROOT), t)) {
      return 3;
    }
    return n.contains(t) ? 4 : 5;
  }

  private static boolean hasWord(String text, String beginning) {
    return (" " + text).contains(" " + beginning);
  }

  private static Predicate<Findable> fits(String typed) {
    String[] words = typed.toLowerCase(Locale.ROOT).strip().split("\\s+");
    return f -> {
      String text = (f.title() + " " + f.also() + " " + f.group()).toLowerCase(Locale.ROOT);
      for (String w : words) {
        if (!text.contains(w)) {
          return false;
        }
      }
      return true;
    };
  }

  private void peel(Visibility.Peeled what, boolean away) {
    session.visibility().peeledProperty().set(what);
    session.visibility().peel(away);
  }

  private Findable card(String title, String also, DescribeCard card) {
    return action(
        title,
        "at Describe",
        also,
        () -> {
          session.stopProperty().set(Stop.DESCRIBE);
          session.rules().cardProperty().set(card);
        });
  }

  private static Findable action(String title, String keys, String also, Runnable go) {
    return new Findable("action", title, keys, also, go);
  }

  private List<Findable> actions() {
    List<Findable> out = new ArrayList<>();
    out.add(
        action("Receive files", "Ctrl+R", "import open add design drawing", window::chooseFiles));
    out.add(action("Save the job", "Ctrl+S", "store", session::save));
    out.add(
        action("Another job", "Ctrl+O", "open new recent start folder", window::openAnotherJob));
    out.add(action("Undo", "Ctrl+Z", "back", session::undo));
    out.add(action("Redo", "Ctrl+Shift+Z", "again", session::redo));
    for (Stop s : Stop.values()) {
      out.add(
          action(
              "Go to " + s.title(),
              "Ctrl+" + (s.ordinal() + 1),
              "stop",
              () -> session.stopProperty().set(s)));
    }
    for (Delivery d : session.job().deliveries()) {
      out.add(
          action(
              "Deliver " + d.name(),
              d.format().title(),
              "export send write prove " + d.fileName(),
              () -> {
                session.deliveries().inHandProperty().set(d.name());
                session.stopProperty().set(Stop.DELIVER);
                session.deliveries().run();
              }));
    }
    out.add(
        card(
            "Compare schemas",
            "differences proxies lost properties of two models versions",
            DescribeCard.SCHEMAS));
    out.add(
        card("Check requirements", "IDS specification receiver asks", DescribeCard.REQUIREMENTS));
    out.add(
        card(
            "Put attributes on the selection",
            "properties values by hand table",
            DescribeCard.ATTRIBUTES));
    out.add(
        card(
            "What the selected item will say",
            "class properties GlobalId sets",
            DescribeCard.ITEM));
    out.add(action("Show findings", "Ctrl+F", "errors warnings problems", window::toggleFindings));
    out.add(action("Search items", "Ctrl+L", "filter strata find", searchItems));
    out.add(action("Plan", "Alt+1", "picture", () -> stage.show(StageView.Picture.PLAN)));
    out.add(
        action("3D", "Alt+2", "picture space model", () -> stage.show(StageView.Picture.SPACE)));
    out.add(
        action(
            "Long section",
            "Alt+3",
            "picture profile",
            () -> stage.show(StageView.Picture.SECTION)));
    out.add(
        action(
            "Cross section under the plan",
            "Alt+4",
            "picture courses cut",
            () -> stage.show(StageView.Picture.CROSS)));
    out.add(action("Show everything", "F", "fit zoom all", stage::fit));
    out.add(
        action(
            "Go to the selection",
            "G",
            "zoom to",
            () -> session.aim().goTo(session.selection().ids())));
    out.add(
        action(
            "Hide the selection",
            "",
            "visible",
            () -> session.visibility().set(session.selection().ids(), false)));
    out.add(
        action(
            "Show only the selection",
            "",
            "alone visible",
            () -> session.visibility().only(session.selection().ids())));
    out.add(action("Show all items", "", "visible unhide", session.visibility()::all));
    for (Visibility.Peeled p : Visibility.Peeled.values()) {
      out.add(action("Peel the topmost " + p.word() + " away", "[", "hide", () -> peel(p, true)));
      out.add(action("Put peeled " + p.word() + " back", "]", "show", () -> peel(p, false)));
    }
    out.add(
        action(
            "Select by an outline",
            "O",
            "polygon corners area within",
            () -> session.place().pickProperty().set(Pick.SELECT)));
    out.add(
        action(
            "Measure",
            "D",
            "distance slope area bearing length rise",
            () -> session.place().pickProperty().set(Pick.MEASURE)));
    out.add(
        action(
            "Views kept by name",
            "V",
            "keep save camera place look",
            () -> session.aim().viewsProperty().set(true)));
    for (SavedView v : session.job().views()) {
      out.add(action("Look at: " + v.name(), v.picture().word(), "view", () -> stage.look(v)));
    }
    out.add(action("Light or dark", "Ctrl+T", "theme colours", window::toggleTheme));
    out.add(action("Keys", "F1", "help shortcuts", window::showShortcuts));
    for (Class<? extends Operation> o : operations()) {
      out.add(
          action(
              declared(o).title(),
              "at Shape",
              "step make operation " + declared(o).about() + " " + declared(o).also(),
              () -> session.forms().ask(o)));
    }
    return out;
  }

  private static Declared declared(Class<? extends Operation> o) {
    return o.getAnnotation(Declared.class);
  }

  private static List<Class<? extends Operation>> operations() {
    List<Class<? extends Operation>> out = new ArrayList<>(Operations.recipes());
    out.addAll(Operations.steps());
    return out;
  }

  private void items(String typed, List<Findable> out) {
    Build b = session.build();
    Predicate<Build.BuiltItem> wanted = ItemQuery.of(typed).on(b, session.findingsProperty().get());
    b.items().values().stream()
        .filter(wanted)
        .sorted(Comparator.comparingInt(i -> distance(i.item().name(), typed)))
        .limit(ITEMS)
        .forEach(
            i ->
                out.add(
                    new Findable(
                        "item",
                        i.item().name(),
                        i.item().kind().title() + ", " + i.source(),
                        "",
                        () -> {
                          session.selectedProperty().set(Optional.of(i.id()));
                          session.aim().goTo(List.of(i.id()));
                        })));
  }

  private void findings(Predicate<Findable> fits, List<Findable> out) {
    session.findingsProperty().get().stream()
        .map(this::finding)
        .filter(fits)
        .limit(FINDINGS)
        .forEach(out::add);
  }

  private Findable finding(Finding f) {
    return new Findable(
        "finding", f.message(), f.severity().word(), f.code(), () -> FindingsView.go(session, f));
  }

  private void systems(String typed, List<Findable> out) {
    if (typed.strip().length() < 3) {
      return;
    }
    for (Crs c : CrsCatalogue.shipped().search(typed, List.of(), SYSTEMS)) {
      if (c.projected()) {
        out.add(
            new Findable(
                "system",
                c.id() + "  " + c.name(),
                "take for the job",
                "",
                () -> session.place().changeFrame("Choose " + c.id(), f -> f.withCrs(c.id(), ""))));
      }
    }
  }

  /** What every check looks for, in its own words. */
  private List<Findable> help() {
    return Check.all().stream()
        .map(
            c ->
                new Findable(
                    "help",
                    c.definition(),
                    c.code(),
                    "check what is",
                    () -> {
                      session.say(c.code() + ": " + c.definition() + ".");
                    }))
        .toList();
  }
}
