package wellspan.core.model;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a model says of its objects, as a table: one row for each, one column for each property.
 *
 * @param rows cells of each: String, Double, Long, Boolean, or null for an empty one
 */
public record ModelTable(List<String> head, List<List<Object>> rows) {

  /** Every product and every part of the structure, in the order of the file. */
  public static ModelTable of(Model model) {
    List<ModelObject> objects = model.objects().stream().filter(ModelJson::isDescribed).toList();
    Set<String> columns = new LinkedHashSet<>();
    for (ModelObject o : objects) {
      for (ModelSet s : o.sets()) {
        s.properties().keySet().forEach(p -> columns.add(s.name() + "." + p));
      }
    }
    List<String> head =
        new ArrayList<>(
            List.of(
                "name",
                "id",
                "class",
                "predefinedType",
                "material",
                "colour",
                "layer",
                "groups",
                "classification"));
    head.addAll(columns);
    List<List<Object>> rows = new ArrayList<>();
    for (ModelObject o : objects) {
      rows.add(row(o, columns));
    }
    return new ModelTable(head, rows);
  }

  private static List<Object> row(ModelObject o, Set<String> columns) {
    List<Object> row = new ArrayList<>();
    row.add(o.name());
    row.add(o.globalId());
    row.add(o.entity());
    row.add(o.predefinedType());
    row.add(ModelJson.material(o));
    row.add(o.colour().map(c -> String.format(Locale.ROOT, "#%06X", c)).orElse(""));
    row.add(o.layer());
    row.add(String.join(", ", o.groups()));
    row.add(
        o.classification().stream()
            .map(c -> c.system() + ": " + c.code())
            .collect(Collectors.joining(", ")));
    java.util.Map<String, Object> cells = new java.util.HashMap<>();
    for (ModelSet s : o.sets()) {
      for (ModelProperty p : s.properties().values()) {
        cells.put(s.name() + "." + p.name(), cell(p));
      }
    }
    columns.forEach(c -> row.add(cells.get(c)));
    return row;
  }

  private static Object cell(ModelProperty p) {
    if (p.given().isEmpty() && p.parts().isEmpty()) {
      return null;
    }
    if (!p.parts().isEmpty() || p.values().size() > 1 || p.kind() == ModelProperty.Kind.BOUNDED) {
      return ModelJson.value(p).toString();
    }
    return switch (p.values().getFirst()) {
      case ModelValue.Text t -> t.text();
      case ModelValue.Num n -> (Object) n.number();
      case ModelValue.Whole w -> w.number();
      case ModelValue.Flag f -> f.value();
      case ModelValue.Unknown u -> null;
      case ModelValue.Thing t -> null;
    };
  }
}
