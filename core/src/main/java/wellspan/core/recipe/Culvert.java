package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.choice.Choice;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.network.PipeBody;
import wellspan.core.network.PipeSection;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;
import wellspan.core.solid.Loft;
import wellspan.core.sweep.LineOfWork;
import wellspan.core.sweep.Standing;

/**
 * A culvert under a road.
 *
 * @param along the road's line
 * @param at chainage at which it crosses, metres
 * @param form of its clear section
 * @param width clear, metres
 * @param height clear, metres; of a pipe its width counts
 * @param wall thickness, metres
 * @param toLeft from the line to its left end, metres
 * @param toRight from the line to its right end, metres
 * @param skew clockwise from the square to the line, degrees
 * @param leftInvert level of its lowest inside point at the left end, metres
 * @param rightInvert level at the right end, metres
 * @param headwalls whether a wall stands at each end
 */
@Declared(
    id = "culvert",
    title = "Culvert",
    about = "Lays a pipe or a box across under a road, with a wall at each end.",
    also = "box pipe under road waterway")
public record Culvert(
    @Parameter(label = "name", start = "\"Culvert\"") String name,
    @Parameter(
            label = "under",
            takes = {Takes.AXIS, Takes.LINES})
        ItemId along,
    @Parameter(label = "at chainage", unit = "m", start = "100") double at,
    @Parameter(label = "form", usual = "\"box\"") Form form,
    @Parameter(label = "clear width", unit = "m", start = "1.5", least = 0.05, most = 50)
        double width,
    @Parameter(label = "clear height", unit = "m", start = "1.2", least = 0.05, most = 50)
        double height,
    @Parameter(label = "wall", unit = "m", start = "0.2", least = 0.005, most = 5) double wall,
    @Parameter(label = "to the left", unit = "m", start = "8", least = 0, most = 500) double toLeft,
    @Parameter(label = "to the right", unit = "m", start = "8", least = 0, most = 500)
        double toRight,
    @Parameter(
            label = "skewed by",
            unit = "\u00b0 clockwise",
            usual = "0",
            start = "0",
            least = -70,
            most = 70)
        double skew,
    @Parameter(label = "invert on the left", unit = "m, such as 3.250") double leftInvert,
    @Parameter(label = "invert on the right", unit = "m, such as 3.150") double rightInvert,
    @Parameter(label = "headwalls", usual = "true") boolean headwalls,
    @Parameter(label = "material", usual = "\"concrete\"") String material)
    implements AlongLine {

  /** Of the clear section. */
  public enum Form implements Choice {
    BOX("box"),
    PIPE("pipe");

    private final String word;

    Form(String word) {
      this.word = word;
    }

    @Override
    public String word() {
      return word;
    }
  }

  @Override
  public Made make(Inputs inputs, Progress progress) {
    if (!(toLeft + toRight > 0.01)) {
      throw new IllegalArgumentException("the culvert has no length. Say how far it reaches.");
    }
    LineOfWork line = LineOfWork.of(inputs, along, new ItemId(""), -1e9, 1e9);
    double d = line.distance(at);
    Position axis = line.place(d, 0);
    double[] right = line.across(d);
    double c = Math.cos(Math.toRadians(skew));
    double s = Math.sin(Math.toRadians(skew));
    double[] way = {right[0] * c + right[1] * s, right[1] * c - right[0] * s};
    Position from = beside(axis, way, -toLeft, leftInvert);
    Position to = beside(axis, way, toRight, rightInvert);
    PipeSection section =
        form == Form.PIPE ? new PipeSection.Circle(width) : new PipeSection.Box(height, width);
    PipeBody body = new PipeBody(section, wall, from, to, toLeft + toRight);
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("Along", new PropertyValue.Label(line.name()));
    v.put("Chainage", new PropertyValue.Length(line.chainage(d)));
    v.put("LeftInvert", new PropertyValue.Length(leftInvert));
    v.put("RightInvert", new PropertyValue.Length(rightInvert));
    v.put("ClearWidth", new PropertyValue.Length(section.width()));
    v.put("ClearHeight", new PropertyValue.Length(section.height()));
    v.put("WallThickness", new PropertyValue.Length(wall));
    v.put("Length", new PropertyValue.Length(body.length()));
    Attributes made = Attributes.ofMaterial(material).withLayer(line.name());
    Item barrel =
        new Item(
            name,
            Kind.of("culvert"),
            Standing.at(line, d, body),
            made.with(
                made.said()
                    .withSets(List.of(new PropertySet("Wellspan_Culvert", v)))
                    .withClosed(true)));
    List<Item> items = new ArrayList<>(List.of(barrel));
    if (headwalls) {
      Function<Mesh, Shape> standing = m -> Standing.at(line, d, m);
      items.add(headwall("left", standing, from, way, -1, section, made).partOf(barrel));
      items.add(headwall("right", standing, to, way, 1, section, made).partOf(barrel));
    }
    double under = leftInvert + (rightInvert - leftInvert) * toLeft / (toLeft + toRight);
    double cover = axis.level() - under - section.height() - wall;
    List<Finding> findings = new ArrayList<>();
    if (cover < 0) {
      findings.add(
          Finding.error(
                  Stop.SHAPE,
                  "culvert.cover",
                  name,
                  String.format(
                      Locale.ROOT,
                      "%s comes %.3f m above %s at chainage %.3f. Lower its inverts.",
                      name,
                      -cover,
                      line.name(),
                      line.chainage(d)))
              .at(axis)
              .withFigure(Figure.of(-cover, 3, "m")));
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%.3f m of %s under %s at chainage %.3f, falling %.2f %%, %.3f m under the line.",
            body.length(),
            form.word(),
            line.name(),
            line.chainage(d),
            100 * Math.abs(leftInvert - rightInvert) / (toLeft + toRight),
            cover),
        findings);
  }

  private static Position beside(Position axis, double[] way, double by, double level) {
    return new Position(axis.east() + by * way[0], axis.north() + by * way[1], level);
  }

  /** A wall before the end of the barrel, with its opening. */
  private Item headwall(
      String side,
      Function<Mesh, Shape> standing,
      Position end,
      double[] way,
      int out,
      PipeSection section,
      Attributes made) {
    double wide = section.width() / 2 + wall + 0.5 * section.height();
    double low = end.level() - wall - 0.4;
    double high = end.level() + section.height() + wall + 0.3;
    double[] across = {way[1], -way[0]};
    double[] outline = section.outline(0, 48);
    List<List<double[]>> faces = new ArrayList<>();
    for (double depth : new double[] {0, 0.3}) {
      double e = end.east() + out * depth * way[0];
      double n = end.north() + out * depth * way[1];
      double[] wallRing = {-wide, low, wide, low, wide, high, -wide, high};
      double[] hole = new double[outline.length];
      for (int i = 0; i < outline.length; i += 2) { // the other way round
        hole[i] = outline[outline.length - 2 - i];
        hole[i + 1] = end.level() + outline[outline.length - 1 - i];
      }
      faces.add(List.of(upright(wallRing, e, n, across), upright(hole, e, n, across)));
    }
    return new Item(
        name + " headwall " + side, Kind.of("wall"), standing.apply(Loft.body(faces, false)), made);
  }

  private static double[] upright(double[] ring, double e, double n, double[] across) {
    double[] out = new double[ring.length / 2 * 3];
    for (int i = 0; i < ring.length / 2; i++) {
      out[3 * i] = e + ring[2 * i] * across[0];
      out[3 * i + 1] = n + ring[2 * i] * across[1];
      out[3 * i + 2] = ring[2 * i + 1];
    }
    return out;
  }
}
