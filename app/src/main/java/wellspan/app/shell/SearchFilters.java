package wellspan.app.shell;

import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.core.attribute.Holder;
import wellspan.core.build.Build;
import wellspan.core.describe.Networks;
import wellspan.core.schema.IfcSchema;
import wellspan.core.search.Facet;
import wellspan.core.search.StandsIn;

/** What items can be searched by, with what there is of each: nobody has to know the words. */
final class SearchFilters extends MenuButton {
  /** A menu is no place for hundreds of entries; what is rarer is typed. */
  private static final int MOST = 25;

  private final Session session;
  private final TextField search;

  SearchFilters(Session session, TextField search) {
    this.session = session;
    this.search = search;
    setId("strata-filters");
    setGraphic(new FontIcon(Feather.FILTER));
    getStyleClass().addAll("plain", "icon-menu");
    setAccessibleText("Filter by kind, layer, source, class, findings or delivery");
    setOnShowing(e -> fill());
    getItems().setAll(new MenuItem());
  }

  private void fill() {
    Build b = session.build();
    getItems()
        .setAll(
            values("Kind", Facet.KIND, i -> i.item().kind().title()),
            values("Layer", Facet.LAYER, i -> i.item().layer()),
            values("Source", Facet.SOURCE, Build.BuiltItem::source),
            values("Road or storey", Facet.PART, new StandsIn(b)::of),
            values("System or group", Facet.GROUP, i -> Networks.namesOf(i.item())),
            values("Type", Facet.TYPE, i -> i.item().said().type().map(Holder::name).orElse("")),
            values("Class", Facet.CLASS, i -> b.classOf(i, IfcSchema.IFC4X3).entity()),
            values("Material", Facet.MATERIAL, i -> i.item().attributes().material()),
            new SeparatorMenuItem(),
            entry("With findings", Facet.HAS, "finding"));
    Menu in = new Menu("In a delivery");
    in.getItems().add(entry("any", Facet.IN, "delivery"));
    session.job().deliveries().forEach(d -> in.getItems().add(entry(d.name(), Facet.IN, d.name())));
    getItems().add(in);
  }

  private Menu values(String title, Facet facet, Function<Build.BuiltItem, String> of) {
    Map<String, Integer> counts = new TreeMap<>();
    session.build().items().values().forEach(i -> counts.merge(of.apply(i), 1, Integer::sum));
    counts.remove("");
    Menu m = new Menu(title);
    m.setDisable(counts.isEmpty());
    counts.entrySet().stream()
        .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
        .limit(MOST)
        .forEach(
            e -> {
              MenuItem entry = entry(e.getKey(), facet, e.getKey());
              entry.setText(e.getKey() + "   " + Figures.count(e.getValue()));
              m.getItems().add(entry);
            });
    return m;
  }

  private MenuItem entry(String text, Facet facet, String value) {
    MenuItem m = new MenuItem(text);
    m.setMnemonicParsing(false);
    m.setOnAction(
        e -> {
          String term =
              facet.word() + ":" + (value.contains(" ") ? "\"" + value + "\"" : value) + " ";
          search.setText((search.getText().strip() + " " + term).stripLeading());
          search.requestFocus();
          search.end();
        });
    return m;
  }
}
