package wellspan.core.deliver;

import static wellspan.core.deliver.Content.*;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.ValueTypes;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.network.NetworkPart;
import wellspan.core.road.RoadBody;
import wellspan.core.road.SectionedBody;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.CarriedBody;
import wellspan.core.shape.Shape;
import wellspan.core.solid.Prism;
import wellspan.core.sweep.SweptSection;
import wellspan.core.unit.LinearUnit;

/**
 * A model with classes, properties and its place.
 *
 * @param swept whether bodies that are carried along a line go as outlines and line, all others as
 *     triangles; only IFC4.3 has the lines
 */
public record IfcFormat(IfcSchema of, boolean swept) implements DeliveryFormat {
  /** Behind the schema in the id of a model with swept bodies. */
  public static final String SWEPT = "-swept";

  private static final Coverage IFC2X3 =
      Coverage.of(
          "IFC2x3",
          EnumSet.of(
              POSITIONS,
              TRIANGLES,
              CLOSED,
              NO_LEVELS,
              NAMES,
              POINT_CODES,
              CLASSES,
              IDS,
              PROPERTIES,
              CLASSIFICATION,
              MATERIALS,
              COLOURS,
              FACE_COLOURS,
              RELATIONS,
              STRUCTURE,
              LAYERS,
              UNIT,
              SYSTEM,
              PLACE),
          EnumSet.of(MATERIAL_AREAS, DESIGN_LOOKS));
  private static final Coverage IFC4 = IFC2X3.with("IFC4", TEXTURES).with("IFC4", PARENT_CODES);
  private static final Coverage IFC4X3 = IFC4.with("IFC4.3", ELEMENTS);

  public IfcFormat {
    if (swept && of != IfcSchema.IFC4X3) {
      throw new IllegalArgumentException(of.title() + " has no alignments to sweep along.");
    }
  }

  /** All bodies as triangles. */
  public IfcFormat(IfcSchema of) {
    this(of, false);
  }

  /** By a word for its schema. */
  static Optional<DeliveryFormat> named(String id) {
    boolean swept = id.toLowerCase(Locale.ROOT).endsWith(SWEPT);
    String schema = swept ? id.substring(0, id.length() - SWEPT.length()) : id;
    return IfcSchema.named(schema)
        .filter(s -> !swept || s == IfcSchema.IFC4X3)
        .map(s -> new IfcFormat(s, swept));
  }

  @Override
  public String id() {
    return of.id() + (swept ? SWEPT : "");
  }

  @Override
  public String title() {
    return of.title() + (swept ? " swept" : "");
  }

  @Override
  public String about() {
    return swept
        ? "Parts of roads go as sections along their alignment, round pipes along their axis, raised footprints by outline and height, everything else as triangles. For receivers that follow curves."
        : "";
  }

  @Override
  public Optional<CarriedBody> carried(Item item, Frame frame) {
    if (!swept
        || !(item.shape() instanceof Shape.Faces f)
        || f.finishes().isPresent()
        || f.invisible().length > 0) {
      return Optional.empty();
    }
    return switch (f.curved().orElse(null)) {
      case RoadBody b -> sectioned(Optional.of(b.sectioned()));
      case SweptSection s -> sectioned(s.sectioned());
      case NetworkPart.Run r when r.body().isRound() && frame.scale() == 1 -> Optional.of(r.body());
      case Prism p -> Optional.of(p);
      case null, default -> Optional.empty();
    };
  }

  /** What outlines along an alignment's curve tell whole. */
  private static Optional<CarriedBody> sectioned(Optional<SectionedBody> body) {
    return body.filter(b -> b.outlines().isPresent()).map(b -> b);
  }

  /** The second is the same model packed. */
  @Override
  public List<String> endings() {
    return List.of(ending(), ".ifczip");
  }

  @Override
  public String ending() {
    return ".ifc";
  }

  @Override
  public Optional<IfcSchema> schema() {
    return Optional.of(of);
  }

  @Override
  public int decimals(LinearUnit unit) {
    return unit.metres() >= 100 ? 9 : unit.metres() >= 0.1 ? 7 : 4;
  }

  /** A place needs a system to be told in; without one the model is a local one. */
  @Override
  public boolean saysPlace(Frame frame) {
    return !frame.crs().isEmpty();
  }

  @Override
  public boolean carriesPictures() {
    return of != IfcSchema.IFC2X3;
  }

  /** Whatever has something in it; what is lost on the way is not asked for here. */
  @Override
  public boolean carries(Item item) {
    return !item.shape().isEmpty() && !(item.shape() instanceof Shape.Picture);
  }

  @Override
  public Carriage carriageOfContent(Item item, Frame frame) {
    List<Finding> out = new ArrayList<>();
    if (item.shape() instanceof Shape.Axis a) {
      if (of == IfcSchema.IFC4X3) {
        Losses.transitions(item, a.alignment(), out);
        Losses.partProfile(item, a.alignment(), out);
      } else {
        out.add(Losses.chords(item, a, of));
      }
    }
    Losses.invisible(item, out);
    Losses.faceMaterials(item, out);
    if (of == IfcSchema.IFC2X3 && item.kind().is(Kind.TERRAIN)) {
      out.add(
          Losses.note(
              "deliver.class",
              item,
              "IFC2x3 has no class for ground; it goes as IfcBuildingElementProxy."));
    }
    if (frame.scale() != 1 && of != IfcSchema.IFC4X3) {
      out.add(Losses.scale(item, of, frame));
    }
    Losses.texture(item, this, out);
    return Carriage.with(out);
  }

  /** What is known here, and what was received in types that the schema has. */
  @Override
  public List<PropertySet> sets(Item item, PropertySet facts) {
    List<PropertySet> out = new ArrayList<>();
    out.add(facts);
    item.said().propertySets().stream()
        .filter(s -> !s.name().equals(facts.name()))
        .map(s -> ValueTypes.fitting(s, of))
        .forEach(out::add);
    return out;
  }

  @Override
  public Coverage coverage() {
    return switch (of) {
      case IFC2X3 -> IFC2X3;
      case IFC4 -> IFC4;
      case IFC4X3 -> IFC4X3;
    };
  }

  @Override
  public boolean isTitled(String title) {
    return !swept && isOfSchema(title);
  }

  private boolean isOfSchema(String title) {
    return switch (of) {
      case IFC2X3 -> title.startsWith("IFC2X3");
      case IFC4 -> title.startsWith("IFC4") && !isLater(title);
      case IFC4X3 -> isLater(title);
    };
  }

  private static boolean isLater(String title) {
    return title.startsWith("IFC4X3") || title.startsWith("IFC4.3");
  }
}
