package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.attribute.Attributes;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.AlongLine;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.sweep.CarriedObjects;
import wellspan.core.sweep.LineOfWork;
import wellspan.core.sweep.ObjectShape;
import wellspan.core.sweep.SectionShape;
import wellspan.core.sweep.SweptBody;

/**
 * A section carried along a string or an alignment.
 *
 * @param along the line
 * @param section that ships with the program
 * @param drawn a closed line of a drawing instead, taken as it lies in plan, its base point in the
 *     middle of its lower edge
 * @param offset of the base point to the right of the line, metres
 * @param height of the base point above the line, metres
 * @param fall how much it rises to the right, per cent
 * @param from first chainage, metres; before the line's start for all of it
 * @param to last chainage, metres; beyond the line's end for all of it
 * @param ground on whose levels it stands instead of the line's own
 * @param rounding radius of the corners of a string, metres; 0 for mitred ones
 * @param posts distance between posts, metres; 0 for none
 */
@Declared(
    id = "sweep",
    title = "Sweep",
    about = "Carries a section along a string or an alignment: rails, kerbs, barriers, walls.",
    also = "kerbs rails barriers handrails channels profile along extrude path")
public record Sweep(
    @Parameter(label = "name", start = "\"Rail\"") String name,
    @Parameter(
            label = "along",
            takes = {Takes.AXIS, Takes.LINES})
        ItemId along,
    @Parameter(label = "section", usual = "\"guard rail beam\"") SectionShape section,
    @Parameter(label = "or a drawn section", usual = "\"\"", takes = Takes.LINES) ItemId drawn,
    @Parameter(label = "to the right", unit = "m", usual = "0", start = "0") double offset,
    @Parameter(label = "higher by", unit = "m", usual = "0", start = "0") double height,
    @Parameter(
            label = "rises to the right",
            unit = "%",
            usual = "0",
            start = "0",
            least = -100,
            most = 100)
        double fall,
    @Parameter(label = "from chainage", unit = "m", usual = "-1e9", start = "") double from,
    @Parameter(label = "to chainage", unit = "m", usual = "1e9", start = "") double to,
    @Parameter(label = "standing on", usual = "\"\"", takes = Takes.SURFACE) ItemId ground,
    @Parameter(
            label = "corners rounded",
            unit = "m, 0 for none",
            usual = "0",
            start = "0",
            least = 0,
            most = 10000)
        double rounding,
    @Parameter(label = "posts every", unit = "m, 0 for none", usual = "0", start = "0", least = 0)
        double posts,
    @Parameter(label = "material", usual = "\"\"") String material)
    implements AlongLine {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    LineOfWork line = LineOfWork.of(inputs, along, ground, from, to).rounded(rounding);
    boolean own = !drawn.value().isEmpty();
    double[] ring = own ? LineOfWork.section(inputs.item(drawn)) : section.ring();
    String word = own ? inputs.item(drawn).name() : section.word();
    SweptBody body = SweptBody.of(line, word, ring, offset, height, fall / 100);
    // nothing tells what a drawn section is, nor what it is made of
    String made = material.isEmpty() && !own ? section.material() : material;
    List<Item> items = new ArrayList<>();
    items.add(
        new Item(
                name,
                own ? Kind.of("block") : section.kind(),
                body.shape(),
                Attributes.ofMaterial(made).withLayer(line.name()))
            .saying(body.facts(made)));
    if (posts > 0) {
      items.add(
          CarriedObjects.together(
                  name + " posts",
                  ObjectShape.POST,
                  line,
                  CarriedObjects.every(line, posts),
                  offset,
                  height)
              .partOf(items.getFirst()));
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT,
            "%.3f m of %s along %s, %.3f m³.",
            body.length(),
            word,
            line.name(),
            body.volume()),
        List.of());
  }
}
