package wellspan.exchange.landxml.write;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.network.Chamber;
import wellspan.core.network.LaidPipe;
import wellspan.core.network.NetworkPart;
import wellspan.core.network.PipeSection;

/** Writes pipes and the chambers they lie between as networks. */
final class NetworkElements {
  /** Set in which readers keep what a pipe's section says beside its measures. */
  private static final String OF_SECTION = "LandXML_Pipe";

  private static final int FINE = AlignmentElements.FINE;

  private final XmlElements xml;
  private final Places places;
  private final Frame frame;
  private final double unit;
  private final Companions companions;

  NetworkElements(XmlElements xml, Places places, Frame frame, double unit, Companions companions) {
    this.xml = xml;
    this.places = places;
    this.frame = frame;
    this.unit = unit;
    this.companions = companions;
  }

  /**
   * A chamber as it goes into the file.
   *
   * @param material as delivered
   */
  private record Node(Chamber chamber, String material, List<PropertySet> sets) {}

  private record Run(String name, LaidPipe laid, String material, List<PropertySet> sets) {}

  private record Group(String type, List<Node> nodes, List<Run> runs) {}

  /**
   * @param name of all networks together
   * @param pieces those that are parts of networks
   */
  void write(String name, List<Parcel.Piece> pieces) throws IOException {
    Map<String, Group> groups = new LinkedHashMap<>();
    List<Chamber> written = new ArrayList<>();
    for (Parcel.Piece p : pieces) {
      NetworkPart part = (NetworkPart) LandXmlFormat.made(p.item()).orElseThrow();
      Group g =
          groups.computeIfAbsent(
              part.network(), n -> new Group(part.type(), new ArrayList<>(), new ArrayList<>()));
      String material = p.item().attributes().material();
      List<PropertySet> sets = p.description().propertySets();
      switch (part) {
        case NetworkPart.Node n -> g.nodes.add(new Node(n.chamber(), material, sets));
        case NetworkPart.Run r -> {
          g.runs.add(new Run(companions.nameOf(r.laid().pipe()), r.laid(), material, sets));
          for (Chamber c : List.of(r.laid().start(), r.laid().end())) {
            if (companions.beside().containsKey(c) && !written.contains(c)) {
              written.add(c);
              g.nodes.add(new Node(c, c.material(), List.of()));
            }
          }
        }
      }
    }
    List<LaidPipe> all =
        groups.values().stream().flatMap(g -> g.runs.stream()).map(Run::laid).toList();
    xml.line(2, "PipeNetworks").attribute("name", name).newLine();
    for (Map.Entry<String, Group> e : groups.entrySet()) {
      network(e.getKey(), e.getValue(), all);
    }
    xml.white(2).close().newLine();
  }

  private void network(String name, Group g, List<LaidPipe> all) throws IOException {
    xml.line(4, "PipeNetwork")
        .attribute("name", name)
        .attribute("pipeNetType", g.type.isEmpty() ? "other" : g.type)
        .newLine()
        .line(6, "Structs")
        .newLine();
    for (Node n : g.nodes) {
      chamber(n, all);
    }
    xml.white(6).close().newLine().line(6, "Pipes").newLine();
    for (Run r : g.runs) {
      pipe(r);
    }
    xml.white(6).close().newLine().white(4).close().newLine();
  }

  private void measure(String attribute, double metres) throws IOException {
    if (Double.isFinite(metres)) {
      xml.attribute(attribute, metres / unit, FINE);
    }
  }

  private void level(String attribute, double shared) throws IOException {
    measure(attribute, frame.toLocal(new Position(0, 0, shared)).level());
  }

  private void chamber(Node n, List<LaidPipe> all) throws IOException {
    Chamber c = n.chamber;
    xml.line(8, "Struct").attribute("name", companions.nameOf(c));
    level("elevRim", c.rim());
    level("elevSump", c.sump());
    xml.open("Center");
    places.place(new Position(c.east(), c.north(), Double.NaN));
    xml.close();
    switch (c.form()) {
      case Chamber.Form.Round r -> {
        xml.empty("CircStruct");
        measure("diameter", r.diameter());
        wall(c, n.material);
      }
      case Chamber.Form.Rectangular b -> {
        xml.empty("RectStruct");
        measure("length", b.length());
        measure("width", b.width());
        xml.attribute("lengthDir", azimuth(c, b.direction()), FINE);
        wall(c, n.material);
      }
      case Chamber.Form.Inlet i -> xml.empty("InletStruct");
      case Chamber.Form.Outlet o -> xml.empty("OutletStruct");
      case Chamber.Form.None none -> xml.empty("Connection");
    }
    inverts(c, all);
    FeatureElements.write(xml, 10, n.sets);
    xml.close().newLine();
  }

  private void wall(Chamber c, String material) throws IOException {
    measure("thickness", c.wall());
    if (!material.isEmpty()) {
      xml.attribute("material", material);
    }
  }

  /** Clockwise from the file's north, degrees. */
  private double azimuth(Chamber c, double direction) {
    Position from = frame.toLocal(new Position(c.east(), c.north(), 0));
    Position to =
        frame.toLocal(
            new Position(c.east() + Math.cos(direction), c.north() + Math.sin(direction), 0));
    double a = Math.toDegrees(Math.atan2(to.east() - from.east(), to.north() - from.north()));
    return a < 0 ? a + 360 : a;
  }

  /** Those of its source, and one for each pipe whose level came from elsewhere. */
  private void inverts(Chamber c, List<LaidPipe> all) throws IOException {
    List<LaidPipe> meeting =
        all.stream().filter(l -> l.start().equals(c) || l.end().equals(c)).toList();
    for (Chamber.Invert i : c.inverts()) {
      if (Double.isFinite(i.level())) {
        String pipe =
            meeting.stream()
                .filter(l -> l.pipe().name().equals(i.pipe()))
                .map(l -> companions.nameOf(l.pipe()))
                .findFirst()
                .orElse("");
        invert(i.level(), i.direction(), pipe);
      }
    }
    for (LaidPipe l : meeting) {
      boolean said =
          c.inverts().stream()
              .anyMatch(i -> i.pipe().equals(l.pipe().name()) && Double.isFinite(i.level()));
      if (!said) {
        boolean out = l.start().equals(c);
        invert((out ? l.from() : l.to()).level(), out ? "out" : "in", companions.nameOf(l.pipe()));
      }
    }
  }

  private void invert(double level, String direction, String pipe) throws IOException {
    xml.empty("Invert");
    level("elev", level);
    xml.attribute("flowDir", direction.isEmpty() ? "both" : direction);
    if (!pipe.isEmpty()) {
      xml.attribute("refPipe", pipe);
    }
  }

  private void pipe(Run r) throws IOException {
    LaidPipe l = r.laid;
    xml.line(8, "Pipe")
        .attribute("name", r.name)
        .attribute("refStart", companions.nameOf(l.start()))
        .attribute("refEnd", companions.nameOf(l.end()));
    measure(
        "length", Math.hypot(l.to().east() - l.from().east(), l.to().north() - l.from().north()));
    if (Double.isFinite(l.pipe().slope())) {
      xml.attribute("slope", 100 * l.pipe().slope(), FINE);
    }
    switch (l.pipe().section()) {
      case PipeSection.Circle c -> {
        xml.empty("CircPipe");
        measure("diameter", c.diameter());
      }
      case PipeSection.Egg e -> {
        xml.empty("EggPipe");
        measure("height", e.height());
        measure("span", e.width());
      }
      case PipeSection.Ellipse e -> {
        xml.empty("ElliPipe");
        measure("height", e.height());
        measure("span", e.width());
      }
      case PipeSection.Box b -> {
        xml.empty("RectPipe");
        measure("height", b.height());
        measure("width", b.width());
      }
      case PipeSection.Channel c -> {
        xml.empty("Channel");
        measure("height", c.height());
        measure("widthTop", c.widthTop());
        measure("widthBottom", c.widthBottom());
      }
    }
    measure("thickness", l.pipe().wall());
    if (!r.material.isEmpty()) {
      xml.attribute("material", r.material);
    }
    for (PropertySet s : r.sets) {
      if (s.name().equals(OF_SECTION)) {
        for (Map.Entry<String, PropertyValue> v : s.values().entrySet()) {
          xml.attribute(v.getKey(), ValueText.of(v.getValue()));
        }
      }
    }
    FeatureElements.write(
        xml, 10, r.sets.stream().filter(s -> !s.name().equals(OF_SECTION)).toList());
    xml.close().newLine();
  }
}
