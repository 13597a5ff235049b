package wellspan.core.deliver;

import static wellspan.core.deliver.Content.*;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/** Surfaces, alignments, points and lines as LandXML 1.2. */
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
    if (item.shape() instanceof Shape.Faces && !item.kind().surface()) {
      return new Carriage.Not("LandXML has surfaces and no bodies.");
    }
    List<Finding> out = new ArrayList<>();
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

  /** What was received; boundaries are written anew from the surface. */
  @Override
  public List<PropertySet> sets(Item item, PropertySet facts) {
    List<PropertySet> out = new ArrayList<>();
    item.said().propertySets().stream()
        .filter(s -> !s.name().equals(BOUNDARY))
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
