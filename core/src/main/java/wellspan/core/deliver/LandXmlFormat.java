package wellspan.core.deliver;

import static wellspan.core.deliver.Content.*;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.network.NetworkPart;
import wellspan.core.road.RoadBody;
import wellspan.core.road.RoadSections;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/**
 * Surfaces, alignments, points and lines as LandXML 1.2; parts of roads as cross sections along
 * their alignment, pipes and chambers as networks.
 */
public record LandXmlFormat() implements DeliveryFormat {
  private static final Coverage COVERAGE =
      Coverage.of(
          "LandXML",
          EnumSet.of(
              POSITIONS,
              TRIANGLES,
              NO_LEVELS,
              ELEMENTS,
              NAMES,
              POINT_CODES,
              PROPERTIES,
              UNIT,
              SYSTEM,
              PLACE,
              BOUNDARIES,
              INVISIBLE),
          EnumSet.noneOf(Content.class));

  /** Name of the set by which readers mark the boundaries of a surface. */
  private static final String BOUNDARY = "Boundary";

  /** Name of the set that says what a cover is made of, as the format has no materials. */
  private static final String COVER = "Cover";

  @Override
  public String id() {
    return "LandXML 1.2";
  }

  @Override
  public String title() {
    return "LandXML 1.2";
  }

  @Override
  public String ending() {
    return ".xml";
  }

  @Override
  public int decimals(LinearUnit unit) {
    return unit.metres() >= 0.1 ? 7 : 4;
  }

  @Override
  public boolean takesBreaklines() {
    return true;
  }

  @Override
  public Carriage carriageOfContent(Item item, Frame frame) {
    Optional<Curved> made = made(item);
    if (item.shape() instanceof Shape.Faces && !item.kind().surface() && made.isEmpty()) {
      return new Carriage.Not(
          "LandXML has surfaces, cross sections and pipe networks, and no other bodies.");
    }
    if (made.isPresent() && made.get() instanceof NetworkPart && frame.scale() != 1) {
      return new Carriage.Not(
          "Pipes and chambers have measures that a scale would change. Send them at scale 1.");
    }
    List<Finding> out = new ArrayList<>();
    made.ifPresent(
        m ->
            out.add(
                Losses.note(
                    "deliver.measures",
                    item,
                    m instanceof RoadBody b
                        ? "it goes as cross sections of "
                            + b.axis().name()
                            + "; its triangles are the receiver's to make."
                        : "it goes by its measures; its triangles are the receiver's to make.")));
    out.add(
        Losses.note(
            "deliver.plain",
            item,
            "LandXML carries its name, geometry and received properties, no class and no properties of ours."));
    if (item.kind().is(Kind.COVER)) {
      out.add(
          Losses.note("deliver.material", item, "the material goes as the surface's description."));
    }
    if (item.shape() instanceof Shape.Axis a) {
      Losses.partProfile(item, a.alignment(), out);
    }
    Losses.faceColours(item, out);
    Losses.texture(item, this, out);
    return Carriage.with(out);
  }

  /** The curves and measures that cross sections or a network can say. */
  public static Optional<Curved> made(Item item) {
    return item.shape() instanceof Shape.Faces f
        ? f.curved().filter(c -> c instanceof RoadBody || c instanceof NetworkPart)
        : Optional.empty();
  }

  @Override
  public boolean leavesTriangles(Item item) {
    return made(item).isPresent();
  }

  /** Triangles are made of what is written as everybody makes them who reads it. */
  @Override
  public List<Item> asSent(List<Item> items) {
    Map<Alignment, List<RoadBody>> roads = new HashMap<>();
    for (Item i : items) {
      if (made(i).orElse(null) instanceof RoadBody b) {
        roads.computeIfAbsent(b.axis(), a -> new ArrayList<>()).add(b);
      }
    }
    Map<Alignment, Iterator<RoadBody>> together = new HashMap<>();
    roads.forEach((axis, bodies) -> together.put(axis, RoadSections.together(bodies).iterator()));
    List<Item> out = new ArrayList<>();
    for (Item i : items) {
      Optional<Curved> made = made(i);
      out.add(
          made.isEmpty()
              ? i
              : i.with(
                  Shape.Faces.of(
                      made.get() instanceof RoadBody b ? together.get(b.axis()).next() : made.get(),
                      Curved.USUAL_CHORD)));
    }
    return out;
  }

  /** What was received; boundaries and what follows from measures are made anew. */
  @Override
  public List<PropertySet> sets(Item item, PropertySet facts) {
    List<PropertySet> out = new ArrayList<>();
    Set<String> anew = new HashSet<>();
    made(item).ifPresent(m -> m.facts().forEach(s -> anew.add(s.name())));
    item.said().propertySets().stream()
        .filter(s -> !s.name().equals(BOUNDARY))
        .filter(s -> !anew.contains(s.name()))
        .filter(s -> !s.values().isEmpty())
        .forEach(out::add);
    String material = item.attributes().material();
    if (item.kind().is(Kind.COVER) && !material.isEmpty()) {
      out.add(new PropertySet(COVER, Map.of("Material", new PropertyValue.Label(material))));
    }
    return out;
  }

  @Override
  public Coverage coverage() {
    return COVERAGE;
  }

  @Override
  public boolean keepsShared() {
    return true;
  }

  @Override
  public boolean isTitled(String title) {
    return title.startsWith("LANDXML");
  }
}
