package wellspan.exchange.dxf.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Affine;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Layer;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.file.UniqueNames;

/** Reads DXF drawings, text and binary, from R12 to 2018. */
public final class DxfReader {
  /** Largest distance of a straight piece from the curve it stands for, metres. */
  public static final double CURVE_TOLERANCE = 0.001;

  private static final int REPORT_EVERY = 1 << 12;

  private final Path file;
  private final Groups groups;
  private final Progress progress;
  private final Entity entity = new Entity();
  private final Map<String, Layer> layers = new LinkedHashMap<>();
  private final Map<String, Drawing.Block> blocks = new HashMap<>();
  private final Map<String, Map<String, Integer>> contents = new LinkedHashMap<>();
  private final Map<String, Integer> counts = new TreeMap<>();
  private final Map<String, Integer> unread = new TreeMap<>();
  private final Map<String, Integer> broken = new TreeMap<>();
  private int withoutArea;
  private int thick;
  private int clips;
  private Optional<GeoData> geoData = Optional.empty();
  private final List<Finding> findings = new ArrayList<>();
  private String version = "";
  private String codePage = "";
  private int insertUnit;
  private int inLayouts;
  private int entities;

  private DxfReader(Path file, Groups groups, Progress progress) {
    this.file = file;
    this.groups = groups;
    this.progress = progress;
  }

  /** True if these first bytes are those of a binary drawing. */
  public static boolean isBinary(byte[] head) {
    int n = BinaryGroups.SENTINEL.length;
    return head.length >= n && Arrays.equals(head, 0, n, BinaryGroups.SENTINEL, 0, n);
  }

  /** The words of a text of one line, without the marks of how it looks. */
  public static String words(String drawn) {
    return DrawnText.line(drawn);
  }

  /** The colour 0xRRGGBB of a number of the format's palette. */
  public static int rgb(int index) {
    return ColourIndex.rgb(index);
  }

  /** True if this start of a file is that of a text drawing. */
  public static boolean isText(String head) {
    return head.matches("(?s)\\s*(999\\s*\\R[^\\r\\n]*\\R\\s*)*0\\s*\\R\\s*SECTION\\s*\\R.*");
  }

  /**
   * @throws wellspan.exchange.file.ReadException with file and line, if the drawing is damaged;
   *     nothing is half-read
   */
  public static Received read(Path file, Progress progress) throws IOException {
    byte[] head;
    try (InputStream in = Files.newInputStream(file)) {
      head = in.readNBytes(BinaryGroups.SENTINEL.length);
    }
    boolean binary = isBinary(head);
    try (Groups groups = binary ? new BinaryGroups(file) : new TextGroups(file)) {
      return new DxfReader(file, groups, progress).read(binary);
    }
  }

  private Received read(boolean binary) throws IOException {
    Drawing drawing = null;
    if (!groups.next()) {
      throw groups.fault("the drawing is empty. Ask for it again.");
    }
    while (groups.code() != 0 || !groups.text().equals("EOF")) {
      if (groups.code() != 0 || !groups.text().equals("SECTION")) {
        throw groups.fault(
            "\""
                + groups.text()
                + "\" stands where a section must begin. The drawing is damaged; ask for it again.");
      }
      need(2);
      String section = groups.text();
      switch (section) {
        case "HEADER" -> header();
        case "TABLES" -> tables();
        case "BLOCKS" -> blocks();
        case "ENTITIES" -> {
          drawing = new Drawing(blocks, progress);
          need(0);
          Drawing into = drawing;
          entities("ENDSEC", into::add);
        }
        case "OBJECTS" -> objects();
        default -> toEndOfSection();
      }
      // behind ENDSEC
      if (!groups.next()) {
        throw groups.fault(
            "the drawing ends without its end mark. It was cut off; ask for it again.");
      }
    }
    if (drawing == null) {
      throw groups.fault("the drawing has no section of entities, so there is nothing to receive.");
    }
    return received(drawing, binary);
  }

  private void need(int code) throws IOException {
    if (!groups.next()) {
      throw groups.fault("the drawing ends too early. It was cut off; ask for it again.");
    }
    if (groups.code() != code) {
      throw groups.fault(
          "group "
              + groups.code()
              + " stands where group "
              + code
              + " must be. The drawing is damaged; ask for it again.");
    }
  }

  private boolean atEnd(String mark) throws IOException {
    return groups.code() == 0 && groups.text().equals(mark);
  }

  private void step() throws IOException {
    if (!groups.next()) {
      throw groups.fault(
          "the drawing ends without its end mark. It was cut off; ask for it again.");
    }
  }

  private void toEndOfSection() throws IOException {
    do {
      step();
    } while (!atEnd("ENDSEC"));
  }

  /** Objects draw nothing; but one says where the drawing lies, and some cut blocks off. */
  private void objects() throws IOException {
    step();
    while (!atEnd("ENDSEC")) {
      if (atEnd("GEODATA")) {
        geoData = Optional.of(GeoData.read(groups));
      } else {
        clips += atEnd("SPATIAL_FILTER") ? 1 : 0;
        step();
      }
    }
  }

  private void header() throws IOException {
    String variable = "";
    step();
    while (!atEnd("ENDSEC")) {
      if (groups.code() == 9) {
        variable = groups.text();
      } else {
        switch (variable) {
          case "$ACADVER" -> version = groups.text();
          case "$DWGCODEPAGE" -> codePage = groups.text();
          case "$INSUNITS" -> insertUnit = groups.whole();
          default -> {}
        }
      }
      step();
    }
    groups.textsAre(DxfVersion.charset(version, codePage));
  }

  private void tables() throws IOException {
    step();
    while (!atEnd("ENDSEC")) {
      if (atEnd("LAYER")) {
        entity.read(groups);
        layer();
      } else {
        step();
      }
    }
  }

  private void layer() {
    String name = entity.spelled(DrawnText.name(entity.text(2)));
    int index = entity.whole(62, 7);
    boolean frozen = (entity.whole(70, 0) & 1) != 0;
    int rgb = entity.whole(420, ColourIndex.rgb(Math.abs(index)));
    layers.putIfAbsent(name, new Layer(name, rgb, index >= 0 && !frozen, Map.of()));
  }

  private void blocks() throws IOException {
    step();
    while (!atEnd("ENDSEC")) {
      if (!atEnd("BLOCK")) {
        throw groups.fault("\"" + groups.text() + "\" stands where a block must begin.");
      }
      entity.read(groups);
      String name = UniqueNames.folded(DrawnText.name(entity.text(2)));
      double[] zero = entity.point(10);
      // 4: an external reference, 8: laid over one
      boolean elsewhere = (entity.whole(70, 0) & 12) != 0 && !entity.text(1).isEmpty();
      List<Drawn> shapes = new ArrayList<>();
      // what lies in blocks is counted where it is inserted; here only what is not read
      entities("ENDBLK", shapes::add);
      blocks.put(name, new Drawing.Block(zero, shapes, elsewhere));
      entity.read(groups);
    }
  }

  /** Reads entities, the first of which stands in the current group, up to an end mark. */
  private void entities(String end, Consumer<Drawn> into) throws IOException {
    while (!atEnd(end)) {
      if (++entities % REPORT_EVERY == 0) {
        progress.advance(groups.fraction(), "Reading " + file.getFileName());
      }
      if (groups.code() != 0) {
        throw groups.fault("group " + groups.code() + " stands where an entity must begin.");
      }
      if (atEnd("ENDSEC") || atEnd("EOF")) {
        throw groups.fault("a block has no end. The drawing is damaged; ask for it again.");
      }
      entity.read(groups);
      boolean layout = entity.whole(67, 0) == 1;
      String type = entity.type();
      if (!layout) {
        count(type, entity.layer(), end.equals("ENDSEC"));
      } else {
        inLayouts++;
      }
      if (!layout && !EntityShapes.isWhole(entity)) {
        broken.merge(type, 1, Integer::sum);
        continue;
      }
      boolean hasThickness = entity.number(39, 0) != 0;
      Optional<Drawn> shape =
          switch (type) {
            case "POLYLINE" -> polyline();
            case "INSERT" -> Optional.of(insert());
            default -> EntityShapes.of(entity);
          };
      if (layout) {
        continue;
      }
      if (type.equals("3DFACE")
          && shape.orElse(null) instanceof Drawn.Faces f
          && EntityShapes.isWithoutArea(f)) {
        withoutArea++;
      } else {
        thick += hasThickness ? 1 : 0;
        shape.ifPresent(into);
      }
    }
  }

  private void count(String type, String layer, boolean inModel) {
    counts.merge(type, 1, Integer::sum);
    if (inModel) {
      contents.computeIfAbsent(layer, l -> new TreeMap<>()).merge(type, 1, Integer::sum);
    }
    if (!EntityShapes.reads(type)) {
      unread.merge(type, 1, Integer::sum);
    }
  }

  private Optional<Drawn> polyline() throws IOException {
    PolylineShapes p = new PolylineShapes(entity);
    while (atEnd("VERTEX")) {
      entity.read(groups);
      p.vertex(entity);
    }
    endOfSequence();
    return p.shape();
  }

  private void endOfSequence() throws IOException {
    if (atEnd("SEQEND")) {
      entity.read(groups);
    }
  }

  private Drawn insert() throws IOException {
    double turn = Math.toRadians(entity.number(50, 0));
    Affine scale = Affine.scale(entity.number(41, 1), entity.number(42, 1), entity.number(43, 1));
    String layer = entity.layer();
    String block = DrawnText.name(entity.text(2));
    Affine plane = OwnPlane.facing(entity.extrusion());
    int columns = Math.max(1, entity.whole(70, 1));
    int rows = Math.max(1, entity.whole(71, 1));
    double columnSpacing = entity.number(44, 0);
    double rowSpacing = entity.number(45, 0);
    double[] at = entity.point(10);
    String name = "";
    Map<String, String> attributes = new LinkedHashMap<>();
    UniqueNames tags = new UniqueNames();
    if (entity.whole(66, 0) == 1) {
      while (atEnd("ATTRIB")) {
        entity.read(groups);
        String words = DrawnText.line(entity.text(1));
        attributes.put(tags.of("tag", DrawnText.codePoints(entity.text(2))), words);
        name = name.isEmpty() || isName(entity.text(2)) ? words : name;
      }
      endOfSequence();
    }
    return new Drawn.Insert(
        layer,
        block,
        plane,
        scale,
        turn,
        columns,
        rows,
        columnSpacing,
        rowSpacing,
        at,
        name,
        attributes);
  }

  /** Tags that by their name hold the number or name of a point. */
  private static boolean isName(String tag) {
    return tag.toUpperCase(java.util.Locale.ROOT)
        .matches("(.*_)?(NAME|NO|NR|NUMBER|NUM|ID|POINT|PT|PNT|PUNKT|NUMMER|NOM|PUNTO|PUNTO_NR)");
  }

  private Received received(Drawing drawing, boolean binary) throws IOException {
    if (drawing.overflowed()) {
      throw groups.fault(
          "laid out, the blocks of this drawing would make more than "
              + Drawing.MOST_LAID_OUT / 1_000_000
              + " million things. Ask for a drawing without such nested blocks.");
    }
    double metres = DrawingUnit.metres(insertUnit);
    if (metres == 0) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "units.missing",
              "",
              "The drawing does not say its unit; metres are taken. Check a known length, and set the unit at Place."));
    }
    drawing.drawCurves(metres, CURVE_TOLERANCE);
    List<Item> entries = new LayerItems(drawing.layers(), metres, findings).items();
    findings.addAll(DxfFindings.of(drawing, unread, inLayouts));
    findings.addAll(DxfFindings.of(broken, withoutArea, thick, clips));
    geoData.ifPresent(g -> findings.addAll(g.findings()));
    String unit =
        LinearUnit.nearest(metres).map(LinearUnit::title).orElse(metres == 0 ? "" : metres + " m");
    return new Received(
        "DXF " + DxfVersion.title(version) + (binary ? ", binary" : ""),
        geoData.map(GeoData::crs).orElse(""),
        unit,
        entries,
        described(),
        counts,
        findings,
        geoData.map(g -> g.places(metres == 0 ? 1 : metres)).orElse(List.of()));
  }

  /** The layers of the table and those that are only used, with what is on them. */
  private List<Layer> described() {
    Map<String, Layer> all = new LinkedHashMap<>(layers);
    contents.forEach(
        (name, what) -> {
          Layer l = all.getOrDefault(name, new Layer(name, ColourIndex.rgb(7), true, Map.of()));
          all.put(name, new Layer(name, l.rgb(), l.shown(), what));
        });
    return List.copyOf(all.values());
  }
}
