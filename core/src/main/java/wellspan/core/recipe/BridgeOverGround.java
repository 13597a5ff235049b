package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.bridge.Bridge;
import wellspan.core.bridge.BridgeMeasures;
import wellspan.core.bridge.Clearance;
import wellspan.core.bridge.PierLines;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.NumberList;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;
import wellspan.core.sweep.CarriedObjects;
import wellspan.core.sweep.LineOfWork;
import wellspan.core.sweep.ObjectShape;
import wellspan.core.sweep.SectionShape;
import wellspan.core.sweep.Standing;
import wellspan.core.sweep.SweptBody;

/**
 * A bridge over a range of chainages.
 *
 * @param along the alignment
 * @param ground down to which columns and abutments reach
 * @param from chainage at which the deck begins
 * @param to chainage at which it ends
 * @param piers chainages of the piers with blanks between, as {@code 140 165}; empty for none
 * @param skew of pier lines and abutments, degrees clockwise from the square to the alignment
 * @param parallel to whose direction pier lines and abutments run instead; empty for the skew
 * @param left width of the deck to the left, metres
 * @param right width to the right, metres
 * @param depth of its upper side below the profile, metres
 * @param thickness of the deck, metres
 * @param beamWidth of cross beams, metres
 * @param beamDepth of cross beams, metres
 * @param columns at each pier
 * @param diameter of columns, metres
 * @param bearing height of bearings, metres; 0 for none
 * @param abutment thickness of abutments, metres
 * @param footing how deep columns and abutments reach into the ground, metres
 * @param railing on both sides
 * @param below what runs below and needs room
 * @param clearance room that it needs, metres
 * @param material of all but bearings and railings
 */
@Declared(
    id = "bridge",
    title = "Bridge",
    about =
        "Makes a bridge of a range of chainages: deck, abutments, piers with cross beams and columns down to the ground, bearings, railings.",
    also = "deck piers abutments beams girders columns bearings viaduct structure")
public record BridgeOverGround(
    @Parameter(label = "name", start = "\"Bridge\"") String name,
    @Parameter(label = "along", takes = Takes.AXIS) ItemId along,
    @Parameter(label = "ground", takes = Takes.SURFACE) ItemId ground,
    @Parameter(label = "from chainage", unit = "m, for example 120", start = "") double from,
    @Parameter(label = "to chainage", unit = "m, for example 190", start = "") double to,
    @Parameter(label = "piers at", unit = "m, for example 140 165", usual = "\"\"") String piers,
    @Parameter(
            label = "pier lines turned",
            unit = "° clockwise",
            usual = "0",
            start = "0",
            least = -75,
            most = 75)
        double skew,
    @Parameter(
            label = "or parallel to",
            usual = "\"\"",
            takes = {Takes.LINES, Takes.AXIS})
        ItemId parallel,
    @Parameter(label = "deck to the left", unit = "m", start = "5", least = 0.5) double left,
    @Parameter(label = "deck to the right", unit = "m", start = "5", least = 0.5) double right,
    @Parameter(label = "deck below the profile", unit = "m", usual = "0", start = "0.12")
        double depth,
    @Parameter(label = "deck thickness", unit = "m", start = "0.8", least = 0.05) double thickness,
    @Parameter(label = "cross beam width", unit = "m", usual = "1.2", start = "1.2", least = 0.1)
        double beamWidth,
    @Parameter(label = "cross beam depth", unit = "m", usual = "1", start = "1", least = 0.1)
        double beamDepth,
    @Parameter(label = "columns at a pier", usual = "2", start = "2", least = 1) int columns,
    @Parameter(label = "column diameter", unit = "m", usual = "1", start = "1", least = 0.1)
        double diameter,
    @Parameter(
            label = "bearing height",
            unit = "m, 0 for none",
            usual = "0.2",
            start = "0.2",
            least = 0)
        double bearing,
    @Parameter(label = "abutment thickness", unit = "m", usual = "1.5", start = "1.5", least = 0.2)
        double abutment,
    @Parameter(label = "into the ground", unit = "m", usual = "1", start = "1", least = 0)
        double footing,
    @Parameter(label = "railings", usual = "true", start = "true") boolean railing,
    @Parameter(
            label = "runs below",
            usual = "[]",
            takes = {Takes.AXIS, Takes.LINES})
        List<ItemId> below,
    @Parameter(label = "room it needs", unit = "m", usual = "4.7", start = "4.7", least = 0)
        double clearance,
    @Parameter(label = "material", usual = "\"concrete\"", start = "\"concrete\"") String material)
    implements AlongLine {

  public BridgeOverGround {
    below = List.copyOf(below);
  }

  @Override
  public Made make(Inputs inputs, Progress progress) {
    if (!(inputs.item(along).shape() instanceof Shape.Axis axis)) {
      throw new IllegalArgumentException(
          inputs.item(along).name() + " is no alignment. Choose one with a profile.");
    }
    Alignment a = axis.alignment();
    LineOfWork line = LineOfWork.of(inputs, along, new ItemId(""), from, to);
    BridgeMeasures m =
        new BridgeMeasures(
            left, right, depth, thickness, beamWidth, beamDepth, columns, diameter, bearing,
            abutment, footing);
    List<Double> at = piersAt(a, line);
    progress.advance(0.1, "Carrying the deck");
    List<Item> items = new ArrayList<>(deck(line));
    progress.advance(0.4, "Setting up piers and abutments");
    for (Bridge.Body b :
        Bridge.of(
            a, line.from(), line.to(), at, skews(inputs, a, line, at), m, inputs.ground(ground))) {
      items.add(item(b, a));
    }
    progress.advance(0.8, "Measuring the room below");
    List<Finding> findings = new ArrayList<>();
    for (ItemId id : below) {
      room(inputs.item(id), a, line, m).ifPresent(findings::add);
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%.3f m of deck along %s on %d piers, %d bodies.",
            line.to() - line.from(),
            line.name(),
            at.size(),
            items.size()),
        findings);
  }

  private List<Double> piersAt(Alignment a, LineOfWork line) {
    TreeSet<Double> out = new TreeSet<>();
    for (double chainage : NumberList.of(piers, "chainage of a pier", "140 165")) {
      double d =
          a.chainages().distances(chainage, a.length()).stream()
              .filter(x -> x > line.from() && x < line.to())
              .findFirst()
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "the pier at "
                              + Chainages.format(chainage)
                              + " does not stand between the ends of the deck."));
      out.add(d);
    }
    return List.copyOf(out);
  }

  private double[] skews(Inputs inputs, Alignment a, LineOfWork line, List<Double> at) {
    List<Double> all = new ArrayList<>(at);
    all.addFirst(line.from() + abutment / 2);
    all.add(line.to() - abutment / 2);
    double[] out = new double[all.size()];
    for (int i = 0; i < out.length; i++) {
      out[i] =
          parallel.value().isEmpty()
              ? Math.toRadians(skew)
              : PierLines.skew(a, all.get(i), lines(inputs.item(parallel)));
    }
    return out;
  }

  private static List<Polyline> lines(Item item) {
    if (item.shape().lines().isEmpty()) {
      throw new IllegalArgumentException(
          item.name() + " is no line. Choose a string or an alignment.");
    }
    return item.shape().lines();
  }

  private List<Item> deck(LineOfWork line) {
    double[] ring = {-left, -thickness, right, -thickness, right, 0, -left, 0};
    SweptBody body = SweptBody.of(line, "deck", ring, 0, -depth, 0);
    List<Item> out = new ArrayList<>();
    out.add(
        new Item(
                name + " deck",
                Kind.of("bridge deck"),
                body.shape(),
                Attributes.ofMaterial(material).withLayer(name))
            .saying(body.facts(material)));
    if (railing) {
      for (int side : new int[] {-1, 1}) {
        double offset = side < 0 ? 0.2 - left : right - 0.2;
        SectionShape handrail = SectionShape.HANDRAIL;
        SweptBody rail = SweptBody.of(line, handrail.word(), handrail.ring(), offset, -depth, 0);
        String title = name + " railing " + (side < 0 ? "left" : "right");
        out.add(
            new Item(
                    title,
                    handrail.kind(),
                    rail.shape(),
                    Attributes.ofMaterial("steel").withLayer(name))
                .saying(rail.facts("steel")));
        out.add(
            CarriedObjects.together(
                    title + " posts",
                    ObjectShape.RAILING_POST,
                    line,
                    CarriedObjects.every(line, 2),
                    offset,
                    -depth)
                .on(name));
      }
    }
    return out;
  }

  private Item item(Bridge.Body b, Alignment a) {
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("Structure", new PropertyValue.Label(name));
    v.put("Chainage", new PropertyValue.Length(a.chainages().at(b.distance())));
    v.put("Volume", new PropertyValue.Measure("IfcVolumeMeasure", b.mesh().volume()));
    String kind =
        switch (b.part()) {
          case ABUTMENT -> "bridge abutment";
          case CROSS_BEAM -> "bridge cross beam";
          case COLUMN -> "bridge column";
          case BEARING -> "bridge bearing";
        };
    String made = b.part() == Bridge.Part.BEARING ? "rubber" : material;
    Description said =
        Description.of(
            List.of(new PropertySet("Wellspan_Structure", v)),
            Optional.of(new Finish(made, Finish.colour(made))));
    return new Item(
        name + " " + b.name(),
        Kind.of(kind),
        Standing.at(a, b.distance(), b.mesh()),
        Attributes.NONE.withLayer(name).with(said.withClosed(true)));
  }

  private Optional<Finding> room(Item what, Alignment a, LineOfWork line, BridgeMeasures m) {
    return Clearance.of(a, line.from(), line.to(), m, lines(what))
        .filter(c -> c.room() < clearance)
        .map(
            c ->
                Finding.warning(
                        Stop.SHAPE,
                        "bridge.clearance",
                        name,
                        String.format(
                            Locale.ROOT,
                            "%s leaves %s %.2f m of room where %.2f m are needed%s. Raise the profile, or make the deck thinner.",
                            name,
                            what.name(),
                            Math.max(0, c.room()),
                            clearance,
                            c.room() < 0 ? "; it is hit" : ""))
                    .at(c.at())
                    .withFigure(Figure.of(c.room(), 2, "m")));
  }
}
