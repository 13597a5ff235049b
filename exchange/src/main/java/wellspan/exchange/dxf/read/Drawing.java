package wellspan.exchange.dxf.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import wellspan.core.geom.Affine;
import wellspan.core.progress.Progress;
import wellspan.exchange.file.UniqueNames;

/**
 * Gathers what is drawn, layer by layer, and lays out blocks: what a block draws on layer "0" comes
 * on the layer of its insert, as the format has it.
 */
final class Drawing {
  private static final int DEEPEST = 32;

  /** No single work is larger than this, metres. */
  private static final double LARGEST_WORK = 100_000;

  /** More than this is no drawing but an attempt to fill the memory, or a mistake. */
  static final long MOST_LAID_OUT = 20_000_000;

  /** A block's shapes and its own zero. */
  record Block(double[] zero, List<Drawn> shapes, boolean elsewhere) {}

  private final Map<String, LayerShapes> layers = new LinkedHashMap<>();
  private final Map<String, Block> blocks;
  private final Progress progress;
  private final Set<String> missing = new TreeSet<>();
  private final Set<String> elsewhere = new TreeSet<>();
  private final Set<String> endless = new TreeSet<>();
  private final Map<String, Integer> badSplines = new TreeMap<>();
  private final Map<String, Long> thingsIn = new HashMap<>();
  private long laidOut;

  Drawing(Map<String, Block> blocks, Progress progress) {
    this.blocks = blocks;
    this.progress = progress;
  }

  Map<String, LayerShapes> layers() {
    return layers;
  }

  /** Blocks that are inserted and do not exist. */
  Set<String> missing() {
    return missing;
  }

  /** Blocks whose content is in another drawing. */
  Set<String> elsewhere() {
    return elsewhere;
  }

  /** Blocks that contain themselves. */
  Set<String> endless() {
    return endless;
  }

  /** Splines that cannot be drawn, by layer. */
  Map<String, Integer> badSplines() {
    return badSplines;
  }

  boolean overflowed() {
    return laidOut > MOST_LAID_OUT;
  }

  /**
   * Draws all curves as straight pieces.
   *
   * @param unit metres in the drawing's unit, 0 if it does not say. Then it is taken as millimetres
   *     where metres would make the drawing larger than any work, so that curves do not become
   *     thousands of pieces.
   * @param tolerance metres
   */
  void drawCurves(double unit, double tolerance) {
    Extent all = new Extent();
    layers.values().forEach(l -> all.add(l.extent()));
    double metres = unit > 0 ? unit : all.diagonal() > LARGEST_WORK ? 0.001 : 1;
    layers.forEach(
        (name, l) -> {
          int bad = l.drawCurves(tolerance / metres);
          if (bad > 0) {
            badSplines.put(name, bad);
          }
        });
  }

  /** Lays out nothing of what would be too much together with all before. */
  void add(Drawn shape) {
    if (laidOut + things(shape, 0) > MOST_LAID_OUT) {
      laidOut = MOST_LAID_OUT + 1;
      return;
    }
    lay(shape, Affine.IDENTITY, "0", List.of());
  }

  /** How many things a shape makes when it is laid out; no more than are counted. */
  private long things(Drawn shape, int depth) {
    if (!(shape instanceof Drawn.Insert i) || depth >= DEEPEST) {
      return 1;
    }
    String name = UniqueNames.folded(i.block());
    Long inside = thingsIn.get(name);
    if (inside == null) {
      thingsIn.put(name, 1L); // a block that contains itself is laid out no further
      inside = 1L;
      Block block = blocks.get(name);
      for (Drawn s : block == null ? List.<Drawn>of() : block.shapes()) {
        inside = Math.min(MOST_LAID_OUT, inside + things(s, depth + 1));
      }
      thingsIn.put(name, inside);
    }
    return 1 + Math.min(MOST_LAID_OUT, (long) i.rows() * i.columns() * inside);
  }

  private void lay(Drawn shape, Affine map, String outer, List<String> within) {
    if ((++laidOut & 0xFFFF) == 0) {
      progress.checkCancelled();
    }
    if (overflowed()) {
      return;
    }
    String layer = within.isEmpty() || !shape.layer().equals("0") ? shape.layer() : outer;
    LayerShapes on = layers.computeIfAbsent(layer, l -> new LayerShapes());
    if (shape instanceof Drawn.Insert insert) {
      insert(insert, map, layer, within, on);
      return;
    }
    on.add(shape, map);
  }

  private void insert(
      Drawn.Insert i, Affine map, String layer, List<String> within, LayerShapes on) {
    Affine plane = map.after(i.plane());
    if (!i.attributes().isEmpty()) {
      on.mark(new LayerShapes.Mark(plane.apply(i.at()), 0, i.name(), i.block(), i.attributes()));
    }
    Block block = blocks.get(UniqueNames.folded(i.block()));
    if (block == null) {
      missing.add(i.block());
      return;
    }
    if (block.elsewhere()) {
      elsewhere.add(i.block());
    }
    if (within.contains(i.block()) || within.size() >= DEEPEST) {
      endless.add(i.block());
      return;
    }
    List<String> inside = new ArrayList<>(within);
    inside.add(i.block());
    double[] z = block.zero();
    Affine toInsert = i.scale().after(Affine.shift(-z[0], -z[1], -z[2]));
    for (int r = 0; r < i.rows() && !overflowed(); r++) {
      for (int c = 0; c < i.columns() && !overflowed(); c++) {
        laidOut++;
        Affine step =
            Affine.turn(i.turn()).after(Affine.shift(c * i.columnSpacing(), r * i.rowSpacing(), 0));
        Affine place =
            plane.after(Affine.shift(i.at()[0], i.at()[1], i.at()[2])).after(step).after(toInsert);
        for (Drawn s : block.shapes()) {
          lay(s, place, layer, inside);
        }
      }
    }
  }
}
