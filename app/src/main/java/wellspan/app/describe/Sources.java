package wellspan.app.describe;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;
import wellspan.core.rulebook.Fact;

/**
 * What can be asked of items, to be chosen from: facts by their titles, and attributes by their
 * names. A text that is typed and no title is an attribute.
 */
final class Sources {
  private static final String ATTRIBUTE = "attribute: ";

  private Sources() {}

  /**
   * One that can be asked for.
   *
   * @param fact id, empty for an attribute
   * @param attribute name, empty for a fact
   */
  record Source(String fact, String attribute) {
    String show() {
      return fact.isEmpty() ? ATTRIBUTE + attribute : Fact.find(fact).map(Fact::title).orElse(fact);
    }
  }

  /** A field that offers all of them. */
  static ComboBox<Source> choice(Source now, List<String> attributes) {
    ComboBox<Source> c = new ComboBox<>();
    List<Source> all = new ArrayList<>();
    Fact.all().forEach(f -> all.add(new Source(f.id(), "")));
    attributes.forEach(a -> all.add(new Source("", a)));
    if (!all.contains(now)) {
      all.add(now);
    }
    c.getItems().setAll(all);
    c.setEditable(true);
    c.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Source s) {
            return s == null ? "" : s.show();
          }

          @Override
          public Source fromString(String text) {
            return read(text);
          }
        });
    c.setValue(now);
    c.setMaxWidth(Double.MAX_VALUE);
    c.setVisibleRowCount(14);
    return c;
  }

  static Source read(String text) {
    String t = text.strip();
    return Fact.all().stream()
        .filter(f -> f.title().equalsIgnoreCase(t) || f.id().equalsIgnoreCase(t))
        .findFirst()
        .map(f -> new Source(f.id(), ""))
        .orElseGet(
            () ->
                new Source(
                    "",
                    t.toLowerCase(java.util.Locale.ROOT).startsWith(ATTRIBUTE)
                        ? t.substring(ATTRIBUTE.length()).strip()
                        : t));
  }
}
