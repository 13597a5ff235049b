package wellspan.core.rulebook;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.attribute.PropertyValue.Area;
import wellspan.core.attribute.PropertyValue.Count;
import wellspan.core.attribute.PropertyValue.Label;
import wellspan.core.attribute.PropertyValue.Length;
import wellspan.core.attribute.PropertyValue.Measure;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

/**
 * Something that is known of an item without asking anybody. Another fact is another line of the
 * list.
 *
 * @param id as it stands in rulebooks
 * @param title for people
 * @param of finds it; empty where an item has no such thing
 */
public record Fact(String id, String title, Function<Subject, Optional<PropertyValue>> of) {
  private static final Map<String, Fact> ALL = new LinkedHashMap<>();

  static {
    for (Fact f : list()) {
      ALL.put(f.id(), f);
    }
  }

  private static List<Fact> list() {
    List<Fact> all = new ArrayList<>();
    all.add(text("name", "name", s -> s.item().name()));
    all.add(text("kind", "kind", s -> s.item().kind().title()));
    all.add(text("stratum", "stratum", s -> s.item().kind().stratum().title()));
    all.add(text("layer", "layer of the source", s -> s.item().layer()));
    all.add(text("source", "source file", Subject::file));
    all.add(text("revision", "revision of the source", Subject::revision));
    all.add(
        text("class received", "class as received", s -> s.item().said().entityClass().entity()));
    all.add(text("type received", "type as received", s -> s.item().said().entityClass().type()));
    all.add(
        text(
            "type name received",
            "name of its type as received",
            s -> s.item().said().type().map(Holder::name).orElse("")));
    all.add(
        text(
            "place received",
            "what it stood in as received",
            s ->
                s.item().said().structure().isEmpty()
                    ? ""
                    : s.item().said().structure().getLast().name()));
    all.add(
        text(
            "groups received",
            "groups and systems as received",
            s ->
                s.item().said().groups().stream()
                    .map(Holder::name)
                    .collect(Collectors.joining("; "))));
    all.add(text("material", "material", s -> s.item().attributes().material()));
    all.add(
        new Fact(
            "colour",
            "colour",
            s ->
                s.item()
                    .said()
                    .finish()
                    .or(() -> s.item().kind().finish())
                    .map(Finish::rgb)
                    .map(c -> new Label(String.format(java.util.Locale.ROOT, "#%06X", c)))));
    all.add(
        new Fact(
            "code received",
            "code as received",
            s ->
                s.item().said().classification().stream()
                    .findFirst()
                    .map(c -> new Label(c.code()))));
    all.add(said("road", "road", "Wellspan_RoadPart.Road"));
    all.add(said("part", "part of the road", "Wellspan_RoadPart.Part"));
    all.add(said("side", "side of the road", "Wellspan_RoadPart.Side"));
    all.add(said("left string", "string on the left", "Wellspan_RoadPart.LeftString"));
    all.add(said("right string", "string on the right", "Wellspan_RoadPart.RightString"));
    all.add(
        new Fact(
            "strings",
            "between strings",
            s ->
                s.own("Wellspan_RoadPart.LeftString")
                    .flatMap(
                        l ->
                            s.own("Wellspan_RoadPart.RightString")
                                .map(
                                    r ->
                                        new Label(Typing.text(l) + " \u2013 " + Typing.text(r))))));
    all.add(said("course number", "course number, from the top", "Wellspan_RoadPart.Number"));
    all.add(said("network", "network", "Wellspan_Pipe.Network", "Wellspan_Chamber.Network"));
    all.add(
        new Fact(
            "start chainage",
            "start chainage",
            s ->
                s.own("Wellspan_RoadPart.StartChainage")
                    .or(() -> axis(s).map(a -> new Length(a.alignment().startChainage())))));
    all.add(
        new Fact(
            "end chainage",
            "end chainage",
            s ->
                s.own("Wellspan_RoadPart.EndChainage")
                    .or(() -> axis(s).map(a -> new Length(a.alignment().endChainage())))));
    all.add(new Fact("length", "length, computed", Fact::length));
    all.add(
        said("width", "width, computed", "Wellspan_RoadPart.Width", "Wellspan_Pipe.InnerWidth"));
    all.add(
        said(
            "thickness",
            "thickness, computed",
            "Wellspan_RoadPart.Thickness",
            "Wellspan_Course.Thickness"));
    all.add(said("section area", "area of the section", "Wellspan_RoadPart.SectionArea"));
    all.add(
        new Fact(
            "area",
            "area in plan, computed",
            s ->
                s.item().shape() instanceof Shape.Faces f
                    ? Optional.of(new Area(f.planArea()))
                    : Optional.empty()));
    all.add(
        new Fact(
            "surface area",
            "area of the surface, computed",
            s -> mesh(s).map(m -> new Area(m.surfaceArea()))));
    all.add(
        new Fact(
            "volume",
            "volume, computed",
            s ->
                s.own("Wellspan_RoadPart.Volume")
                    .or(() -> s.own("Qto_PipeSegmentBaseQuantities.NetVolume"))
                    .or(() -> s.own("Qto_DistributionChamberElementBaseQuantities.NetVolume"))
                    .or(
                        () ->
                            mesh(s)
                                .filter(m -> !s.item().kind().surface() && m.isClosed())
                                .map(m -> new Measure("IfcVolumeMeasure", m.volume())))));
    all.add(
        new Fact("lowest level", "lowest level", s -> levels(s).map(b -> new Length(b.minH()))));
    all.add(
        new Fact("highest level", "highest level", s -> levels(s).map(b -> new Length(b.maxH()))));
    all.add(said("slope", "slope, computed", "Wellspan_Pipe.Slope"));
    all.add(said("start invert", "invert at the start", "Wellspan_Pipe.StartInvert"));
    all.add(said("end invert", "invert at the end", "Wellspan_Pipe.EndInvert"));
    all.add(said("start chamber", "chamber at the start", "Wellspan_Pipe.StartChamber"));
    all.add(said("end chamber", "chamber at the end", "Wellspan_Pipe.EndChamber"));
    all.add(
        said(
            "diameter",
            "inner diameter",
            "Wellspan_Pipe.InnerHeight",
            "Wellspan_Chamber.InnerDiameter"));
    all.add(said("depth", "depth, computed", "Wellspan_Chamber.Depth"));
    all.add(said("cover level", "level of the cover", "Wellspan_Chamber.RimLevel"));
    all.add(
        new Fact("triangles", "triangles", s -> mesh(s).map(m -> new Count(m.triangleCount()))));
    all.add(
        new Fact(
            "points",
            "points",
            s ->
                s.item().shape().pointCount() == 0
                    ? Optional.empty()
                    : Optional.of(new Count(s.item().shape().pointCount()))));
    return all;
  }

  /** All that can be asked for, in the order in which they are offered. */
  public static List<Fact> all() {
    return List.copyOf(ALL.values());
  }

  /** The fact of an id. */
  public static Optional<Fact> find(String id) {
    return Optional.ofNullable(ALL.get(id));
  }

  /**
   * @throws IllegalArgumentException if it is not empty and no fact
   */
  static void require(String id) {
    if (!id.isEmpty() && !ALL.containsKey(id)) {
      throw new IllegalArgumentException(
          "there is no fact \u201c"
              + id
              + "\u201d; known are "
              + ALL.keySet().stream().collect(Collectors.joining(", ")));
    }
  }

  private static Fact text(String id, String title, Function<Subject, String> of) {
    return new Fact(
        id, title, s -> Optional.of(of.apply(s)).filter(t -> !t.isEmpty()).map(Label::new));
  }

  /** What one of some properties says. */
  private static Fact said(String id, String title, String... properties) {
    return new Fact(
        id,
        title,
        s -> {
          for (String p : properties) {
            Optional<PropertyValue> v = s.own(p);
            if (v.isPresent()) {
              return v;
            }
          }
          return Optional.empty();
        });
  }

  private static Optional<Mesh> mesh(Subject s) {
    return s.item().triangles();
  }

  private static Optional<Shape.Axis> axis(Subject s) {
    return s.item().shape() instanceof Shape.Axis a ? Optional.of(a) : Optional.empty();
  }

  private static Optional<PropertyValue> length(Subject s) {
    Item i = s.item();
    return s.own("Wellspan_RoadPart.Length")
        .or(() -> s.own("Wellspan_Pipe.Length"))
        .or(
            () ->
                i.shape() instanceof Shape.Lines l
                    ? Optional.of(new Length(l.planLength()))
                    : axis(s).map(a -> new Length(a.alignment().length())));
  }

  private static Optional<Box> levels(Subject s) {
    return Optional.of(s.item().bounds()).filter(Box::hasLevels);
  }
}
