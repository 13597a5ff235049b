package wellspan.core.recipe;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.road.PartWords;
import wellspan.core.shape.Shape;
import wellspan.core.solid.SurfaceSlab;

/**
 * A course under a surface: turning heads, junctions and yards, where no section is carried along a
 * line.
 *
 * @param surface the finished one
 * @param depth of the course's upper side below it, metres
 * @param thickness vertical, metres
 * @param material empty where it is not said
 */
@Declared(
    id = "course",
    title = "Course under a surface",
    about =
        "Makes a closed course under a surface, as under turning heads, junctions and yards. Its name tells what it is: a course, a footway, a verge.",
    also = "pavement layer thickness overlay")
public record CourseUnderSurface(
    @Parameter(label = "name", start = "\"Surface course\"") String name,
    @Parameter(label = "under", takes = Takes.SURFACE) ItemId surface,
    @Parameter(label = "its upper side lower by", unit = "m", usual = "0", start = "0", least = 0)
        double depth,
    @Parameter(label = "thickness", unit = "m", start = "0.04", least = 0.001, most = 100)
        double thickness,
    @Parameter(label = "material", usual = "\"\"", start = "\"asphalt\"") String material)
    implements Recipe {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    Item top = inputs.item(surface);
    Mesh body = SurfaceSlab.under(inputs.ground(surface), depth, thickness);
    if (!body.isClosed()) {
      throw new IllegalArgumentException(
          top.name()
              + " has flaws, so that no closed body lies under it. Drop its flawed triangles first.");
    }
    Kind kind = Kind.of(PartWords.kind(List.of(name, "", "", material)));
    double volume = body.volume();
    double area = volume / thickness;
    Optional<Finish> finish =
        material.isEmpty()
            ? kind.finish()
            : Optional.of(new Finish(material, Finish.colour(material)));
    Map<String, PropertyValue> own = new LinkedHashMap<>();
    own.put("Surface", new PropertyValue.Label(top.name()));
    own.put("Depth", new PropertyValue.Length(depth));
    own.put("Thickness", new PropertyValue.Length(thickness));
    own.put("PlanArea", new PropertyValue.Area(area));
    own.put("Volume", new PropertyValue.Measure("IfcVolumeMeasure", volume));
    Map<String, PropertyValue> q = new LinkedHashMap<>();
    q.put("Thickness", new PropertyValue.Length(thickness));
    q.put("Volume", new PropertyValue.Measure("IfcVolumeMeasure", volume));
    List<PropertySet> sets =
        List.of(
            new PropertySet("Wellspan_Course", own),
            new PropertySet("Qto_CourseBaseQuantities", q, true));
    Item made =
        new Item(
            name,
            kind,
            new Shape.Faces(body),
            Attributes.NONE
                .withLayer(top.name())
                .with(Description.of(sets, finish).withClosed(true)));
    return new Made(
        made,
        String.format(
            Locale.ROOT,
            "%.3f m of %s under %s, %.3f m², %.3f m³.",
            thickness,
            material.isEmpty() ? "course" : material,
            top.name(),
            area,
            volume));
  }
}
